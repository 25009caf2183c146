/** What the pages of stock call things: tests find them by the same words. */
export const STOCK = {
  allBinsAsATable: 'All bins as a table (CSV)',
  countAgain: 'Count again',
  handOut: 'Hand out',
  howMany: 'How many',
  howManyAreThere: 'How many are there',
  howManyGoOut: 'How many go out',
  keptCold: 'kept cold',
  receiveIntoStock: 'Receive into stock',
  setTheCount: 'Set the count'
};
