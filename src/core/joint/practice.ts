/**
 * The job that practice joints are under: no aircraft, no data. What is done of them is on record as practice, is signed by
 * nobody, takes nothing from stock and qualifies no setting.
 */
export const PRACTICE = {
  number: 'practice',
  title: 'Practice',
  place: 'no aircraft',
  data: 'practice, no data'
} as const;

/** Whether a job is the one for practice. */
export const isPractice = ({ number }: { number: string }): boolean =>
  number.toLowerCase() === PRACTICE.number;
