/** What the pages of records call things: tests find them by the same words. */
export const RECORDS = {
  anythingButGood: 'Anything but good',
  byWhoDrove: 'By who drove',
  coupon: 'Coupon',
  findingsByWeek: 'Findings by week',
  gradeACoupon: 'Grade a coupon',
  heads: 'Heads',
  itIsIn: 'it is in',
  kept: '✓ Kept',
  limit: '± limit',
  next: 'Next',
  noRivetOnRecordIs: 'No rivet on record is like that. Leave a field empty to ask less, or look at',
  placesRead: 'Places read',
  releases: 'Releases',
  rivetsOfThisHole: 'Rivets of this hole',
  rivetsOnRecord: 'Rivets on record',
  sheetPDF: 'Sheet (PDF)',
  student: 'Student',
  takenOutSince: ', taken out since'
};
