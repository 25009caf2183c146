/** What the pages of bench call things: tests find them by the same words. */
export const BENCH = {
  changedElsewhereDecide: '△ Changed elsewhere: decide',
  changedInAnotherPlace: 'Changed in another place',
  holeBackHoleOn: 'hole back, hole on',
  nameOfTheJoint: 'Name of the joint',
  planItUnderTheseRules: 'Plan it under these rules',
  putBothTogether: 'Put both together',
  redo: 'Redo',
  saveMineOnTopOf: 'Save mine on top of it',
  stations: 'Stations'
};
