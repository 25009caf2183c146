/** What the pages of home call things: tests find them by the same words. */
export const HOME = {
  aircraftAndPlace: 'Aircraft and place',
  bench: 'Bench',
  day: 'Day',
  forPracticeNothingHereCan: 'For practice: nothing here can be released',
  jobNumber: 'Job number',
  main: 'Main',
  moveIt: 'Move it',
  newJob: 'New job',
  night: 'Night',
  noJointYetNameThe: 'No joint yet. Name the first one below: the place, as the drawing calls it.',
  openIt: 'Open it',
  openTheJob: 'Open the job',
  practiceJoint: 'Practice joint',
  skipToTheContent: 'Skip to the content',
  underJob: 'under job',
  whatIsRepaired: 'What is repaired'
};
