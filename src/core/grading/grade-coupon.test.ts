import { describe, expect, it } from 'vitest';
import { EnteredCoupon, readCoupon, type Coupon } from './coupon';
import { gradeCoupon } from './grade-coupon';
import { whyNot } from '../../../tests/support/why-not.ts';

const entered = (changes: Partial<EnteredCoupon> = {}): EnteredCoupon =>
  EnteredCoupon.parse({
    name: 'Coupon 3',
    student: 'Maro Lind',
    head: 'countersunk',
    dash: 4,
    places: 4,
    agreeWithin: '0.002',
    measuringPoints: '10',
    criteria: [
      {
        key: 'height',
        expected: '0.0625',
        limit: '0.010',
        points: '20',
        // mean differences +0.003, +0.004, +0.003, +0.004
        readings: [
          { student: '0.065; 0.067', instructor: '0.063' },
          { student: '0.074', instructor: '0.070' },
          { student: '0.078', instructor: '0.075' },
          { student: '0.086', instructor: '0.082' }
        ]
      }
    ],
    ...changes
  });
const coupon = (changes: Partial<EnteredCoupon> = {}): Coupon => {
  const read = readCoupon(entered(changes));
  if (!read.ok) throw new Error(JSON.stringify([...read.problems]));
  return read.coupon;
};

describe('a graded coupon', () => {
  it('marks the work by the instructor’s readings alone', () => {
    const { criteria, marks, points } = gradeCoupon(coupon());
    // off by 0.0005, 0.0075, 0.0125 and 0.0195 where 0.010 is allowed: two within, one near, one off
    expect(criteria[0]).toMatchObject({ within: [1, 2], near: [3], off: [4], read: 4 });
    expect(criteria[0]?.marks).toBeCloseTo((20 * 2.5) / 4, 9);
    expect(points).toBe(30);
    // none of the five readings comes within 0.002 but one at exactly 0.002
    expect(marks).toBeCloseTo(12.5 + (10 * 1) / 5, 9);
  });

  it('tells bias and repeatability of the student’s measuring apart', () => {
    const [height] = gradeCoupon(coupon()).criteria;
    // by hand: differences 0.003, 0.004, 0.003, 0.004: mean 0.0035, s = sqrt(4 × 0.0005² / 3)
    expect(height?.measuring?.biasIn).toBeCloseTo(0.0035, 9);
    expect(height?.measuring?.scatterIn).toBeCloseTo(0.00057735, 7);
    // one place read twice, 0.002 apart: s = 0.002 / √2
    expect(height?.measuring?.repeatIn).toBeCloseTo(0.00141421, 7);
    expect(height?.measuring?.isBiased).toBe(true);
  });

  it('says where the student’s own reading lands on the other side of the limit', () => {
    const { criteria, feedback } = gradeCoupon(coupon());
    // place 2: 0.070 is within by 0.0025, read as 0.074, which is not
    expect(criteria[0]?.misjudged).toEqual([2]);
    expect(feedback.map(({ code }) => code)).toEqual(['off', 'misjudged', 'biased']);
    expect(feedback[0]).toMatchObject({ places: [3, 4], side: 'over' });
  });

  it('takes no marks of the work from one who measures badly, nor gives any', () => {
    const wild = entered();
    const [height] = wild.criteria;
    if (height) height.readings = height.readings.map((one) => ({ ...one, student: '0.2' }));
    const read = readCoupon(wild);
    if (!read.ok) throw new Error('not read');
    const { criteria, measuring } = gradeCoupon(read.coupon);
    expect(criteria[0]?.marks).toBeCloseTo(12.5, 9);
    expect(measuring.marks).toBe(0);
  });

  it('grades only what the instructor read', () => {
    const none = entered();
    const [height] = none.criteria;
    if (height) height.readings = [{ student: '0.06', instructor: '' }];
    const read = readCoupon(none);
    if (!read.ok) throw new Error('not read');
    const { criteria, feedback, marks } = gradeCoupon(read.coupon);
    expect(criteria[0]).toMatchObject({ read: 0, marks: 0, measuring: null });
    expect(feedback).toEqual([{ code: 'not-read', key: 'height' }]);
    expect(marks).toBe(0);
  });

  it('calls one steady offset of two places no bias yet', () => {
    const { criteria } = gradeCoupon(coupon({ places: 2 }));
    expect(criteria[0]?.measuring?.isBiased).toBe(false);
  });
});

describe('a coupon as typed', () => {
  const problem = (criterion: object, changes: Partial<EnteredCoupon> = {}) => {
    const read = readCoupon(
      EnteredCoupon.parse({
        ...entered(changes),
        criteria: [
          {
            key: 'flushness',
            expected: '0',
            limit: '0.004',
            points: '5',
            readings: [],
            ...criterion
          }
        ]
      })
    );
    return read.ok ? [] : [...read.problems];
  };

  it('holds flushness to 0.005 in at the most', () => {
    expect(problem({ limit: '0.005' })).toEqual([]);
    expect(problem({ limit: '0.0051' })).toEqual([['flushness.limit', 'flushness-limit']]);
    expect(problem({ limit: '0.12mm' })).toEqual([]);
    expect(problem({ limit: '0.13mm' })).toEqual([['flushness.limit', 'flushness-limit']]);
  });

  it('says what cannot be read, by its place', () => {
    expect(problem({ limit: '0' })).toEqual([['flushness.limit', 'limit-nought']]);
    expect(problem({ points: 'many' })).toEqual([['flushness.points', 'no-number']]);
    expect(problem({ readings: [{ student: '0.001; x', instructor: '' }] })).toEqual([
      ['flushness.1.student', 'no-length']
    ]);
    expect(problem({}, { agreeWithin: '' })).toEqual([['agreeWithin', 'no-length']]);
  });

  it('is graded by each criterion once', () => {
    const one = { key: 'edge', expected: '', limit: '', points: '', readings: [] };
    expect(whyNot(EnteredCoupon.safeParse({ ...entered(), criteria: [one, one] }))).toBe(
      'field criteria'
    );
  });

  it('takes readings under and over the skin', () => {
    const read = readCoupon(
      EnteredCoupon.parse({
        ...entered(),
        criteria: [
          {
            key: 'flushness',
            expected: '0',
            limit: '0.004',
            points: '5',
            readings: [{ student: '-0.002; +0.001', instructor: '-0.001' }]
          }
        ]
      })
    );
    expect(read.ok && read.coupon.criteria[0]?.places[0]).toEqual({
      place: 1,
      student: [-0.002, 0.001],
      instructor: -0.001
    });
  });
});
