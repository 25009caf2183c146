/** What the pages of rules call things: tests find them by the same words. */
export const RULES = {
  sayWhatChangedAndWhy: 'Say what changed and why, and it can be saved.',
  whatChangedAndWhy: 'What changed and why'
};
