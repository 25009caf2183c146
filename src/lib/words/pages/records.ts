/** What the pages of records call things: tests find them by the same words. */
export const RECORDS = {
  listRivets: 'List rivets',
  finding: 'Finding',
  filters: 'Filters',
  anythingButGood: 'Not accepted',
  byWhoDrove: 'Driver',
  coupon: 'Coupon',
  findingsByWeek: 'Findings by week',
  gradeACoupon: 'Grade a coupon',
  heads: 'Heads',
  itIsIn: 'installed',
  kept: '✓ Saved',
  limit: '± limit',
  next: 'Next',
  noRivetOnRecordIs: 'No matching rivets. Clear a field or',
  placesRead: 'Measuring points',
  releases: 'Releases',
  rivetsOfThisHole: 'Rivets of this hole',
  rivetsOnRecord: 'Rivets on record',
  sheetPDF: 'Sheet (PDF)',
  student: 'Student',
  takenOutSince: ', removed since'
};
