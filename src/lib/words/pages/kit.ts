/** What the pages of kit call things: tests find them by the same words. */
export const KIT = {
  arithmeticOfTheNextSetting: 'Arithmetic of the next setting',
  flush100: 'Flush 100°',
  letter: 'Letter',
  strikeIt: 'Void reading',
  whatCanHurt: '△ What can hurt',
  whyIsItFalse: 'Reason'
};
