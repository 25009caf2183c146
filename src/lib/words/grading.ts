import type { CouponProblem, Criterion } from '../../core/grading/coupon.ts';
import type { FeedbackSaid } from '../../core/grading/grade-coupon.ts';
import type { WriteLength } from './writing.ts';

export const CRITERION_NAMES: Record<Criterion, string> = {
  edge: 'edge distance',
  pitch: 'pitch',
  diameter: 'head diameter',
  height: 'head height',
  flushness: 'flushness'
};

export const COUPON_PROBLEMS: Record<CouponProblem, string> = {
  'no-length': 'a length is needed, as 0.125, 3/32 or 2.4mm',
  'no-number': 'a number of points is needed',
  'limit-nought': 'a limit is more than nothing',
  'flushness-limit': 'flushness is held to 0.005 in at the most',
  'too-many-readings': 'at most ten readings of one place'
};

/** A path of a coupon in words: `edge.3.student` → edge distance, place 3, the student’s. */
export function couponPath(path: string): string {
  const [first = '', second = '', third = ''] = path.split('.');
  if (first === 'agreeWithin') return 'how near readings have to agree';
  if (first === 'measuringPoints') return 'points for measuring';
  const name = CRITERION_NAMES[first as Criterion] ?? first;
  if (third !== '') return `${name}, place ${second}, the ${third}’s`;
  return `${name}, ${second}`;
}

/** Means are told to the tenth of a thou: more is not in the readings. */
export const toTenths = (valueIn: number): number => Math.round(valueIn * 1e4) / 1e4;

const SIDES = { over: 'over', under: 'under', both: 'over and under' } as const;
const listed = (places: readonly number[]): string =>
  `${places.length === 1 ? 'place' : 'places'} ${places.join(', ')}`;

/** What a student is told, in a line. */
export function feedbackInWords(said: FeedbackSaid, length: WriteLength): string {
  const name = CRITERION_NAMES[said.key];
  const fine = (valueIn: number) => length(Math.abs(toTenths(valueIn)), 'fine');
  switch (said.code) {
    case 'not-read':
      return `The ${name} was not read by the instructor: it is not graded.`;
    case 'all-within':
      return `The ${name} is within its limit at every place read.`;
    case 'off':
      return `The ${name} is ${SIDES[said.side]} what is expected at ${listed(said.places)}, by ${fine(said.meanIn)} on average: check the setup there.`;
    case 'biased':
      return `You read the ${name} ${fine(said.biasIn)} ${said.biasIn > 0 ? 'more' : 'less'} than the instructor everywhere: zero the instrument, and hold it square. That is your measuring, not your work.`;
    case 'scatters':
      return `Your readings of the ${name} scatter by ${fine(said.scatterIn)} where ${fine(said.limitIn)} is allowed: take each twice, with the same feel.`;
    case 'misjudged':
      return `By your own readings of the ${name} you would have accepted or rejected ${listed(said.places)} differently.`;
    case 'measures-well':
      return `Your readings of the ${name} agree with the instructor’s.`;
  }
}
