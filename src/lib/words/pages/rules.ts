/** What the pages of rules call things: tests find them by the same words. */
export const RULES = {
  iceboxTimes: 'How long may icebox rivets be out?',
  iceboxWhy:
    'Blank: guidance times. Shorter times are a shop choice. Longer times need approved data and are shown on every clock and record. A batch keeps the times in force when it was taken out.',
  onlyWhereLonger: 'only where longer',
  sayWhatChangedAndWhy: 'Enter a change note to save.',
  whatChangedAndWhy: 'What changed and why'
};
