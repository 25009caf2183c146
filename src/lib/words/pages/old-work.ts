/** What the card of old work calls things. */
export const OLD_WORK = {
  title: 'Old work: found in service',
  none: 'Findings on existing rivets and holes. Limits for new heads do not apply. Findings do not count for a release and name no driver.',
  sign: 'Finding',
  where: 'Location',
  whereEx: 'frame 9, old row, hole 5',
  hours: 'Hours in service (blank: not known)',
  note: 'Details',
  record: 'Record finding',
  around: 'Inspect around the finding',
  seen: 'Result (blank: nothing found)',
  looked: 'Inspected',
  disposition: 'Disposition',
  authority: 'Data reference (document and sheet)',
  decide: 'Record disposition',
  voidIt: 'Void finding',
  open: 'open',
  settled: 'closed',
  notTaken: 'Not recorded'
};
