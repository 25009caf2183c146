/** What the pages of bench call things: tests find them by the same words. */
export const BENCH = {
  changedElsewhereDecide: '△ Resolve conflict',
  changedInAnotherPlace: 'Edit conflict',
  holeBackHoleOn: 'previous hole, next hole',
  nameOfTheJoint: 'Name of the joint',
  planItUnderTheseRules: 'Use these rules',
  putBothTogether: 'Merge both',
  redo: 'Redo',
  saveMineOnTopOf: 'Overwrite with mine',
  stations: 'Stages'
};
