/** What the pages of rivets call things: tests find them by the same words. */
export const RIVETS = {
  findByMarkOneRaised: 'Find by mark: one raised dot, cross, plain …',
  partNumberAsItStands: 'Part number as on the bag or drawing'
};
