/** What the card of old work calls things. */
export const OLD_WORK = {
  title: 'Old work: found in service',
  none: 'Existing rivets and picked-up holes, as service left them. Nothing here is judged by the limits of new heads, counts for a release or names a driver.',
  sign: 'What was found',
  where: 'Where',
  whereEx: 'frame 9, old row, hole 5',
  hours: 'Hours in service, if known',
  note: 'What was seen',
  record: 'Record the finding',
  around: 'Look at around it',
  seen: 'What was seen there; empty: nothing',
  looked: 'Looked',
  disposition: 'What becomes of it',
  authority: 'By whose data, and where it stands',
  decide: 'Record the disposition',
  voidIt: 'Void the finding',
  open: 'open',
  settled: 'settled',
  notTaken: 'Not taken'
};
