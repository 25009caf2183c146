import { z } from 'zod';
import { Dash, Head } from '../schema/fields.ts';
import { parseLength } from '../units/parse-length.ts';
import { typedNumber } from '../units/typed-number.ts';

export const CRITERIA = ['edge', 'pitch', 'diameter', 'height', 'flushness'] as const;
const Criterion = z.enum(CRITERIA);
/** What a coupon is graded by. */
export type Criterion = z.output<typeof Criterion>;

/** The widest limit that an instructor may set for flushness, in. */
export const FLUSHNESS_MOST_IN = 0.005;
export const MOST_PLACES = 40;
/** So often a place is read at the most. */
const MOST_REPEATS = 10;
const typed = (most: number) => z.string().max(most).default('');

const EnteredReadings = z.strictObject({
  /** one or more, parted by semicolons */
  student: typed(120),
  instructor: typed(40)
});
const EnteredCriterion = z.strictObject({
  key: Criterion,
  expected: typed(40),
  /** how far off it may be either way */
  limit: typed(40),
  points: typed(10),
  readings: z.array(EnteredReadings).max(MOST_PLACES)
});
export const EnteredCoupon = z.strictObject({
  name: z.string().trim().min(1, 'a coupon has a name').max(80),
  student: z.string().trim().min(1, 'the student').max(80),
  head: Head,
  dash: Dash,
  places: z.int().min(1).max(MOST_PLACES),
  criteria: z
    .array(EnteredCriterion)
    .max(CRITERIA.length)
    .refine((all) => new Set(all.map(({ key }) => key)).size === all.length, 'each once'),
  /** how near the student's reading has to come to the instructor's */
  agreeWithin: typed(40),
  measuringPoints: typed(10)
});
/** A practice coupon with what was read of it, as typed. */
export type EnteredCoupon = z.output<typeof EnteredCoupon>;

/** What was read at one place, in. */
export interface Place {
  place: number;
  student: number[];
  instructor: number | null;
}
export interface CriterionRead {
  key: Criterion;
  expectedIn: number;
  limitIn: number;
  points: number;
  places: Place[];
}
export interface Coupon {
  criteria: CriterionRead[];
  agreeWithinIn: number;
  measuringPoints: number;
}
export type CouponProblem =
  'no-length' | 'no-number' | 'limit-nought' | 'flushness-limit' | 'too-many-readings';

const MOST_POINTS = 1000;

/**
 * Reads a coupon as typed.
 *
 * @returns the coupon in inches, or what cannot be read by its path (`edge.limit`, `height.3.student`)
 */
export function readCoupon(
  entered: EnteredCoupon
): { ok: true; coupon: Coupon } | { ok: false; problems: Map<string, CouponProblem> } {
  const problems = new Map<string, CouponProblem>();
  const length = (path: string, text: string): number => {
    const read = parseLength(text);
    if (read.ok) return read.valueIn;
    problems.set(path, 'no-length');
    return NaN;
  };
  const number = (path: string, text: string): number => {
    const value = typedNumber(text);
    if (value >= 0 && value <= MOST_POINTS) return value;
    problems.set(path, 'no-number');
    return NaN;
  };
  const limit = (path: string, text: string, most = Infinity): number => {
    const value = length(path, text);
    if (value <= 0) problems.set(path, 'limit-nought');
    if (value > most) problems.set(path, 'flushness-limit');
    return value;
  };
  const criteria = entered.criteria.map((criterion): CriterionRead => {
    const { key } = criterion;
    const places = Array.from({ length: entered.places }, (_, at): Place => {
      const { student, instructor } = criterion.readings[at] ?? { student: '', instructor: '' };
      const texts = student.split(';').filter((text) => text.trim() !== '');
      if (texts.length > MOST_REPEATS)
        problems.set(`${key}.${at + 1}.student`, 'too-many-readings');
      return {
        place: at + 1,
        student: texts.map((text) => length(`${key}.${at + 1}.student`, text)),
        instructor:
          instructor.trim() === '' ? null : length(`${key}.${at + 1}.instructor`, instructor)
      };
    });
    return {
      key,
      expectedIn: length(`${key}.expected`, criterion.expected),
      limitIn: limit(
        `${key}.limit`,
        criterion.limit,
        key === 'flushness' ? FLUSHNESS_MOST_IN : undefined
      ),
      points: number(`${key}.points`, criterion.points),
      places
    };
  });
  const coupon: Coupon = {
    criteria,
    agreeWithinIn: limit('agreeWithin', entered.agreeWithin),
    measuringPoints: number('measuringPoints', entered.measuringPoints)
  };
  return problems.size === 0 ? { ok: true, coupon } : { ok: false, problems };
}
