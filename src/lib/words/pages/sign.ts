/** What the pages of sign call things: tests find them by the same words. */
export const SIGN = {
  practiceNotSigned: 'Practice is not signed. Download the practice record.',
  practiceRecord: 'Practice record',
  record: 'The record',
  planTheNextRelease: 'Plan the next release'
};
