import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import {
  drivingOrder,
  neighborsTooSoon,
  type OrderedHole,
  type OrderSchool
} from './driving-order.ts';

const straight = (row: number, count: number, from = 1, yIn = 0, pitchIn = 0.75): OrderedHole[] =>
  Array.from({ length: count }, (_, at) => ({
    number: from + at,
    row,
    xIn: at * pitchIn,
    yIn
  }));
const ring = (count: number): OrderedHole[] =>
  Array.from({ length: count }, (_, at) => ({
    number: at + 1,
    row: 1,
    xIn: 3 * Math.cos((2 * Math.PI * at) / count),
    yIn: 3 * Math.sin((2 * Math.PI * at) / count)
  }));
const ordered = (holes: OrderedHole[], school: OrderSchool) => {
  const found = drivingOrder(holes, school);
  if (!found.ok) throw new Error('no order');
  return found.result;
};

describe('the order of driving', () => {
  it('goes from the middle outwards, skipping, ends last', () => {
    // nine holes, the middle is 5: 5 and 1, 9 are ends; every fourth from 5, then 3 and 7, then the even ones
    expect(ordered(straight(1, 9), 'flat').order).toEqual([5, 7, 3, 6, 8, 4, 2, 9, 1]);
  });

  it('drives rows side by side together', () => {
    const holes = [...straight(1, 5), ...straight(2, 5, 6, 0.5)];
    expect(ordered(holes, 'flat').order).toEqual([3, 8, 4, 9, 2, 7, 5, 10, 1, 6]);
  });

  it('goes along the rows and back in sequence', () => {
    const holes = [...straight(1, 3), ...straight(2, 3, 4, 0.5)];
    const { order, longestJumpIn, totalPathIn } = ordered(holes, 'sequence');
    expect(order).toEqual([1, 2, 3, 6, 5, 4]);
    // four steps of 0.75 and one of 0.5 across
    expect(longestJumpIn).toBeCloseTo(0.75, 12);
    expect(totalPathIn).toBeCloseTo(3.5, 12);
  });

  it('draws a ring down from side to side', () => {
    const { order } = ordered(ring(8), 'flat');
    // across first, then across at a right angle; the odd places after
    expect(order.slice(0, 4)).toEqual([1, 5, 3, 7]);
    expect([...order.slice(4)].sort()).toEqual([2, 4, 6, 8]);
  });

  it('drives every hole once, and no neighbors until a row is held', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 41 }), { minLength: 1, maxLength: 4 }),
        (counts) => {
          let from = 1;
          const holes = counts.flatMap((count, at) => {
            const row = straight(at + 1, count, from, at * 0.5);
            from += count;
            return row;
          });
          const { order, passOf } = ordered(holes, 'flat');
          expect([...order].sort((a, b) => a - b)).toEqual(holes.map(({ number }) => number));
          const skipping = order.filter((number) => (passOf.get(number) ?? 0) <= 2);
          // what the skipping passes drive: never a hole beside another, in the whole row
          for (const number of skipping) {
            const { row } = holes.find((hole) => hole.number === number) ?? { row: 0 };
            const beside = skipping.some(
              (other) =>
                other === number + 1 && holes.find((hole) => hole.number === other)?.row === row
            );
            expect(beside).toBe(false);
          }
          expect(neighborsTooSoon(holes, order)).toEqual([]);
        }
      )
    );
    for (const count of [6, 7, 12, 13])
      expect(neighborsTooSoon(ring(count), ordered(ring(count), 'flat').order)).toEqual([]);
  });

  it('says where an order of one’s own drives neighbors too soon', () => {
    const holes = straight(1, 9);
    expect(neighborsTooSoon(holes, [5, 6, 7, 3, 8, 4, 2, 9, 1])).toEqual([
      { at: 1, first: 5, second: 6 },
      { at: 2, first: 6, second: 7 }
    ]);
    expect(neighborsTooSoon(holes, [5, 7, 3, 6, 8, 4, 2, 9, 1])).toEqual([]);
  });
});
