/** What the pages of kit call things: tests find them by the same words. */
export const KIT = {
  arithmeticOfTheNextSetting: 'Arithmetic of the next setting',
  drillOut: 'drill out',
  flush100: 'Flush 100°',
  letter: 'Letter',
  strikeIt: 'Strike it',
  whatCanHurt: '△ What can hurt',
  whyIsItFalse: 'Why is it false?'
};
