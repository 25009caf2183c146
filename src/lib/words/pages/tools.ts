/** What the pages of tools call things: tests find them by the same words. */
export const TOOLS = {
  aFreshRivetNotSqueezed: 'New rivet',
  cracks: 'cracks',
  divisionsClosed: 'Divisions closed',
  eachSheet: 'Each sheet',
  fitsOver: 'fits over',
  gaugePlate: 'gauge plate',
  headHeightNow: 'Head height now',
  headOrNextDimpleIn: 'Head or next dimple nests',
  it: 'Result',
  keepTheTools: 'Save tools',
  keepThisBurst: 'Save burst',
  keepThisDimple: 'Save dimple',
  keepThisSqueeze: 'Save squeeze',
  keepThisTry: 'Save test',
  liesFlush: 'lies flush',
  theToolsAreKept: 'Tools saved',
  touches: 'touches',
  weightLb: 'Weight, lb',
  whichGun: 'Which gun',
  whichSqueezer: 'Which squeezer'
};
