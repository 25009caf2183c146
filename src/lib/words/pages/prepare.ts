/** What the pages of ready call things: tests find them by the same words. */
export const READY = {
  afterUpSizing: 'At final size',
  benchView: 'Full screen',
  holdersFor40: '#40 temporary fasteners',
  holdersStandWiderApart: 'Temporary fasteners spaced wider',
  keepForTheShop: 'Save shop times',
  noCageIsSetFor: '△ No stop countersink set up for this step.',
  reCheck: 'Re-check',
  setACage: 'Set up a stop countersink',
  shadowBoard: 'Tools for this joint',
  timesAndHolders: 'Shop times and fasteners'
};
