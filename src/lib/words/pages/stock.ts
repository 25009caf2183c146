/** What the pages of stock call things: tests find them by the same words. */
export const STOCK = {
  allBinsAsATable: 'All bins as a table (CSV)',
  countAgain: 'Recount',
  handOut: 'Issue',
  howMany: 'How many',
  howManyAreThere: 'Quantity counted',
  howManyGoOut: 'Quantity issued',
  keptCold: 'refrigerated',
  receiveIntoStock: 'Receive into stock',
  setTheCount: 'Set the count'
};
