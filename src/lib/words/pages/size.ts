/** What the pages of size call things: tests find them by the same words. */
export const SIZE = {
  /** rows of figures while there is no answer yet */
  answers: ['Rivets needed', 'Rivet', 'Efficiency'],
  choices: 'Rivet and sheet',
  jointLocationCountFactor: 'Joint location (count factor)',
  rivetsPerInchFromApproved: 'Rivets per inch from approved data',
  strengthOverPitch: 'Strength vs. pitch',
  whoseFigureAndWhereIt: 'Source (document, table)'
};
