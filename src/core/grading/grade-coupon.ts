import { workLine, type WorkLine } from '../answer.ts';
import { by, len } from '../notation.ts';
import { atMost } from '../units/tolerance.ts';
import type { Coupon, Criterion, CriterionRead } from './coupon.ts';

/** How a student's measuring stands to the instructor's, at the places both read; inches. */
export interface Measuring {
  places: number;
  /** the student's mean over the instructor's */
  biasIn: number;
  /** how the differences scatter from place to place; null for one place */
  scatterIn: number | null;
  /** how the student's own readings of one place scatter; null where no place was read twice */
  repeatIn: number | null;
  /** the bias is more than chance makes of that scatter */
  isBiased: boolean;
}

/** One criterion of a coupon as it came out. */
export interface GradedCriterion {
  key: Criterion;
  /** places that the instructor read */
  read: number;
  within: number[];
  /** outside, by less than half the limit again */
  near: number[];
  off: number[];
  marks: number;
  points: number;
  measuring: Measuring | null;
  /** places that the student's own reading puts on the other side of the limit */
  misjudged: number[];
}

/** What a student is told; the words are made above. */
export type FeedbackSaid =
  | { code: 'not-read'; key: Criterion }
  | { code: 'all-within'; key: Criterion }
  | {
      code: 'off';
      key: Criterion;
      places: number[];
      side: 'over' | 'under' | 'both';
      meanIn: number;
    }
  | { code: 'biased'; key: Criterion; biasIn: number }
  | { code: 'scatters'; key: Criterion; scatterIn: number; limitIn: number }
  | { code: 'misjudged'; key: Criterion; places: number[] }
  | { code: 'measures-well'; key: Criterion };

export interface GradedCoupon {
  criteria: GradedCriterion[];
  /** the student's measuring, all criteria together */
  measuring: { pairs: number; within: number; marks: number; points: number };
  marks: number;
  points: number;
  feedback: FeedbackSaid[];
  work: WorkLine[];
}

const NEAR = 1.5;
/** a place that is nearly right counts half */
const NEAR_SHARE = 0.5;
/** fewer places than this tell nothing of a bias */
const BIAS_FROM = 3;
/** so many standard errors are more than chance */
const ERRORS = 2;
/** scatter over this share of the limit blurs what is within it */
const BLURS = 1 / 3;

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;
/** Sum of squares about the mean. */
const squares = (values: readonly number[]): number => {
  const middle = mean(values);
  return values.reduce((sum, value) => sum + (value - middle) ** 2, 0);
};

/** The student's readings against the instructor's; null where no place was read by both. */
function measuringOf({ places }: CriterionRead): Measuring | null {
  const pairs = places.flatMap(({ student, instructor }) =>
    instructor === null || student.length === 0 ? [] : [mean(student) - instructor]
  );
  if (pairs.length === 0) return null;
  const repeated = places.map(({ student }) => student).filter((all) => all.length > 1);
  const freedom = repeated.reduce((sum, all) => sum + all.length - 1, 0);
  const biasIn = mean(pairs);
  const scatterIn = pairs.length > 1 ? Math.sqrt(squares(pairs) / (pairs.length - 1)) : null;
  return {
    places: pairs.length,
    biasIn,
    scatterIn,
    repeatIn:
      freedom === 0
        ? null
        : Math.sqrt(repeated.reduce((sum, all) => sum + squares(all), 0) / freedom),
    isBiased:
      scatterIn !== null &&
      pairs.length >= BIAS_FROM &&
      Math.abs(biasIn) > (ERRORS * scatterIn) / Math.sqrt(pairs.length)
  };
}

function gradeCriterion(criterion: CriterionRead): GradedCriterion {
  const { key, expectedIn, limitIn, points, places } = criterion;
  const off = (valueIn: number) => Math.abs(valueIn - expectedIn);
  const read = places.flatMap(({ place, instructor }) =>
    instructor === null ? [] : [{ place, offIn: off(instructor) }]
  );
  const of = (test: (offIn: number) => boolean) =>
    read.filter(({ offIn }) => test(offIn)).map(({ place }) => place);
  const within = of((offIn) => atMost(offIn, limitIn));
  const near = of((offIn) => !atMost(offIn, limitIn) && atMost(offIn, NEAR * limitIn));
  return {
    key,
    read: read.length,
    within,
    near,
    off: of((offIn) => !atMost(offIn, NEAR * limitIn)),
    marks:
      read.length === 0 ? 0 : (points * (within.length + NEAR_SHARE * near.length)) / read.length,
    points,
    measuring: measuringOf(criterion),
    misjudged: places.flatMap(({ place, student, instructor }) =>
      instructor === null ||
      student.length === 0 ||
      atMost(off(mean(student)), limitIn) === atMost(off(instructor), limitIn)
        ? []
        : [place]
    )
  };
}

function feedbackOf(criterion: CriterionRead, graded: GradedCriterion): FeedbackSaid[] {
  const { key, expectedIn, limitIn, places } = criterion;
  if (graded.read === 0) return [{ code: 'not-read', key }];
  const said: FeedbackSaid[] = [];
  const outside = [...graded.near, ...graded.off].sort((a, b) => a - b);
  if (outside.length === 0) said.push({ code: 'all-within', key });
  else {
    const offIn = places.flatMap(({ place, instructor }) =>
      instructor !== null && outside.includes(place) ? [instructor - expectedIn] : []
    );
    const side = offIn.every((one) => one > 0)
      ? 'over'
      : offIn.every((one) => one < 0)
        ? 'under'
        : 'both';
    said.push({ code: 'off', key, places: outside, side, meanIn: mean(offIn) });
  }
  const { measuring, misjudged } = graded;
  if (misjudged.length > 0) said.push({ code: 'misjudged', key, places: misjudged });
  if (measuring === null) return said;
  const scatterIn = measuring.repeatIn ?? measuring.scatterIn;
  if (measuring.isBiased) said.push({ code: 'biased', key, biasIn: measuring.biasIn });
  if (scatterIn !== null && scatterIn > BLURS * limitIn)
    said.push({ code: 'scatters', key, scatterIn, limitIn });
  if (
    !measuring.isBiased &&
    misjudged.length === 0 &&
    said.every(({ code }) => code !== 'scatters')
  )
    said.push({ code: 'measures-well', key });
  return said;
}

/**
 * Grades a practice coupon: the work by the instructor's readings against what was expected, the student's measuring by how it
 * stands to the instructor's. A student who measures badly loses no marks of the work, and the other way round.
 *
 * @param coupon inches
 * @returns marks a criterion: full within the limit, half up to one and a half times as far, none beyond; over the places the
 * instructor read
 * @throws never
 * @source inspect: two readers of one place: bias is the mean difference, repeatability the pooled scatter of one reader's own readings
 */
export function gradeCoupon({ criteria, agreeWithinIn, measuringPoints }: Coupon): GradedCoupon {
  const graded = criteria.map(gradeCriterion);
  const differences = criteria.flatMap(({ places }) =>
    places.flatMap(({ student, instructor }) =>
      instructor === null ? [] : student.map((one) => Math.abs(one - instructor))
    )
  );
  const agreeing = differences.filter((one) => atMost(one, agreeWithinIn)).length;
  const measuring = {
    pairs: differences.length,
    within: agreeing,
    marks: differences.length === 0 ? 0 : (measuringPoints * agreeing) / differences.length,
    points: measuringPoints
  };
  const marks = graded.reduce((sum, one) => sum + one.marks, measuring.marks);
  const points = graded.reduce((sum, one) => sum + one.points, measuring.points);
  return {
    criteria: graded,
    measuring,
    marks,
    points,
    feedback: criteria.flatMap((criterion, at) => {
      const one = graded[at];
      return one ? feedbackOf(criterion, one) : [];
    }),
    work: [
      ...graded.flatMap((one, at) =>
        one.read === 0
          ? []
          : workLine(
              `${one.key}: ${one.within.length} within, ${one.near.length} near, of ${one.read} read`,
              by`${one.points} × (${one.within.length} + ½ × ${one.near.length}) / ${one.read}, within ${len(criteria[at]?.limitIn ?? 0)} of ${len(criteria[at]?.expectedIn ?? 0)}`,
              one.marks
            )
      ),
      ...(differences.length === 0
        ? []
        : [
            workLine(
              `measuring: ${agreeing} of ${differences.length} readings agree`,
              by`${measuringPoints} × ${agreeing} / ${differences.length}, within ${len(agreeWithinIn)} of the instructor’s`,
              measuring.marks
            )
          ]),
      workLine('marks', 'their sum', marks, `of ${points}`)
    ]
  };
}
