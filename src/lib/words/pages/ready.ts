/** What the pages of ready call things: tests find them by the same words. */
export const READY = {
  afterUpSizing: 'After up-sizing',
  benchView: 'Bench view',
  holdersFor40: 'Holders for #40',
  holdersStandWiderApart: 'Holders stand wider apart',
  keepForTheShop: 'Keep for the shop',
  noCageIsSetFor: '△ No cage is set for this step yet.',
  reCheck: 'Re-check',
  setACage: 'Set a cage',
  shadowBoard: 'Shadow board',
  timesAndHolders: 'Times and holders'
};
