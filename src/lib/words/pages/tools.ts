/** What the pages of tools call things: tests find them by the same words. */
export const TOOLS = {
  aFreshRivetNotSqueezed: 'a fresh rivet, not squeezed before',
  cracks: 'cracks',
  divisionsClosed: 'Divisions closed',
  eachSheet: 'Each sheet',
  fitsOver: 'fits over',
  gaugePlate: 'gauge plate',
  headHeightNow: 'Head height now',
  headOrNextDimpleIn: 'Head or next dimple in it',
  it: 'It',
  keepTheTools: 'Keep the tools',
  keepThisBurst: 'Keep this burst',
  keepThisDimple: 'Keep this dimple',
  keepThisSqueeze: 'Keep this squeeze',
  keepThisTry: 'Keep this try',
  liesFlush: 'lies flush',
  theToolsAreKept: 'The tools are kept',
  touches: 'touches',
  weightLb: 'Weight, lb',
  whichGun: 'Which gun',
  whichSqueezer: 'Which squeezer'
};
