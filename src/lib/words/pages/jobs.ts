/** What the pages of home call things: tests find them by the same words. */
export const JOBS = {
  aircraftAndPlace: 'Aircraft and location',
  bench: 'Jobs',
  day: 'Light',
  forPracticeNothingHereCan: 'Practice: nothing here can be released',
  jobNumber: 'Job number',
  main: 'Main',
  moveIt: 'Move',
  newJob: 'New job',
  night: 'Dark',
  noJointYetNameThe: 'No joints yet. Add the first one below, named as on the drawing.',
  openIt: 'Open it',
  openTheJob: 'Create job',
  practiceJoint: 'Practice joint',
  skipToTheContent: 'Skip to content',
  underJob: 'Move to job',
  whatIsRepaired: 'Repair description'
};
