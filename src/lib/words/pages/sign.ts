/** What the pages of sign call things: tests find them by the same words. */
export const SIGN = {
  planTheNextRelease: 'Plan the next release'
};
