/** What the pages of rules call things: tests find them by the same words. */
export const RULES = {
  iceboxTimes: 'How long may icebox rivets be out?',
  iceboxWhy:
    'Empty: the guidance’s times. Shorter ones are the shop’s to choose; longer ones need the data that allow them, and every clock and record says so. A batch keeps the times it was taken out under.',
  onlyWhereLonger: 'only where longer',
  sayWhatChangedAndWhy: 'Say what changed and why, and it can be saved.',
  whatChangedAndWhy: 'What changed and why'
};
