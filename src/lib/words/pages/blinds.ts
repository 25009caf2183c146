/** What the card of blind rivets and the fields of an open hole call things. */
export const BLINDS = {
  blindRivets: 'Blind rivets',
  inspected: 'inspected',
  inNoCount: 'Blind rivets are not in the joint strength or the counts.',
  lot: 'Lot, from the package',
  lotNotTold: 'lot not recorded',
  putIn: 'Record blind rivet installed',
  whatIsWrong: 'Findings, blind rivet in hole',
  nothingWrong: 'Accept: nothing found',
  record: 'Record findings',
  whyOut: 'Reason for removal',
  isOut: 'Record removal',
  notTaken: 'Not recorded',
  caution:
    'Wear eye protection: the stem breaks. To remove, drive out the stem first. Never drill against a locked stem.',
  fastener: 'Blind rivet for this hole',
  fastenerEx: 'NAS1398D4-3; blank: none',
  least: 'Minimum grip',
  most: 'Maximum grip',
  asItsNumber: 'From the part number:'
};
