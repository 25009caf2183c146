/** What the card of blind rivets and the fields of an open hole call things. */
export const BLINDS = {
  blindRivets: 'Blind rivets',
  inspected: 'inspected',
  inNoCount: 'The joint’s strength and counts do without them.',
  lot: 'Lot, as its package says',
  lotNotTold: 'lot not told',
  putIn: 'Put in',
  whatIsWrong: 'What is wrong with the blind rivet in hole',
  nothingWrong: 'Nothing found: good',
  record: 'Record what was found',
  whyOut: 'Why it is out',
  isOut: 'It is out',
  notTaken: 'Not taken',
  caution:
    'Eyes covered while the stem breaks. Removal: stem first, never drill against a stem that is still locked.',
  fastener: 'Blind rivet that goes in it',
  fastenerEx: 'NAS1398D4-3; empty: none',
  least: 'Its least grip',
  most: 'Its largest grip',
  asItsNumber: 'as its part number says:'
};
