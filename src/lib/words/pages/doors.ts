/** What the door and the account say: the server says it, tests find it by the same words. */
export const DOORS = {
  notThatPin: 'that is not the PIN',
  pinKept: 'The PIN is kept.',
  noPinMore: 'There is no PIN any more.',
  lastLead: 'a shop has a lead: make somebody else one first',
  nameTaken: 'somebody has that name or login already: choose another',
  sayWhoFirst: 'Say who is at the bench first.'
};
