import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import {
  drivingOrder,
  isClosed,
  pathOf,
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

  it('is of the holes, in whatever order they are given', () => {
    const holes = [1, 2, 3].flatMap((row) => straight(row, 9, 9 * (row - 1) + 1, row * 0.5));
    // columns of three, each the other way: 5, then 7 and 3, then the even ones, then the ends
    const worked = [
      ...[5, 14, 23, 7, 16, 25, 3, 12, 21, 6, 15, 24, 26, 17, 8, 4, 13, 22, 20, 11, 2],
      ...[9, 18, 27, 1, 10, 19]
    ];
    expect(ordered(holes, 'flat').order).toEqual(worked);
    expect(ordered(holes.toReversed(), 'flat').order).toEqual(worked);
    const mixed = holes.toSorted((a, b) => ((a.number * 7) % 27) - ((b.number * 7) % 27));
    expect(ordered(mixed, 'flat').order).toEqual(worked);
    expect(ordered(mixed, 'sequence').order.slice(0, 10)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 18]);
  });

  it('of a row that stands upright goes to one side of its middle hole, then to the other', () => {
    const upright = (count: number) =>
      straight(1, count).map((hole) => ({ ...hole, xIn: 1, yIn: hole.xIn }));
    expect(ordered(upright(9), 'flat').order).toEqual([5, 7, 3, 6, 8, 4, 2, 9, 1]);
    // of ten the fifth is the middle; lying down the side right of the middle comes first
    expect(ordered(upright(10), 'flat').order).toEqual([5, 9, 7, 3, 6, 8, 4, 2, 10, 1]);
    expect(ordered(straight(1, 10), 'flat').order).toEqual([9, 5, 7, 3, 6, 8, 4, 2, 10, 1]);
  });

  it('drives rows together only while they climb or fall less than 0.35 in an inch', () => {
    const two = (slope: number) =>
      [1, 2].flatMap((row) =>
        straight(row, 5, 5 * (row - 1) + 1, 0, 1).map((hole) => ({
          ...hole,
          yIn: row + slope * hole.xIn
        }))
      );
    const together = [3, 8, 4, 9, 2, 7, 5, 10, 1, 6];
    const apart = [3, 8, 4, 2, 9, 7, 5, 1, 10, 6];
    expect([0.35, -0.35].map((slope) => ordered(two(slope), 'flat').order)).toEqual([
      together,
      together
    ]);
    expect([0.36, -0.36].map((slope) => ordered(two(slope), 'flat').order)).toEqual([apart, apart]);
  });

  it('of a ring goes by halves, then by quarters; the last of an uneven one waits', () => {
    expect(ordered(ring(8), 'flat').order).toEqual([1, 5, 3, 7, 2, 6, 4, 8]);
    expect(ordered(ring(7), 'flat').order).toEqual([1, 5, 3, 2, 6, 4, 7]);
    const { order, passOf, passes } = ordered(ring(12), 'flat');
    expect(order).toEqual([1, 9, 5, 3, 11, 7, 2, 10, 6, 4, 12, 8]);
    expect([1, 3, 2, 12].map((hole) => passOf.get(hole))).toEqual([1, 2, 3, 3]);
    expect(passes).toBe(3);
    // 12 lies beside 1
    expect(neighborsTooSoon(ring(12), [1, 12, ...order.filter((n) => n > 1 && n < 12)])).toEqual([
      { at: 1, first: 1, second: 12 }
    ]);
  });

  it('takes a row for a ring from six holes on, where its ends lie as near as one and a half spacings', () => {
    const placed = (...at: [number, number][]): OrderedHole[] =>
      at.map(([xIn, yIn], index) => ({ number: index + 1, row: 1, xIn, yIn }));
    const open = (upIn: number) => placed([0, 0], [1, 0], [1, 0.5], [1, 1], [1, upIn], [0, upIn]);
    expect(isClosed(open(1.5))).toBe(true);
    expect(isClosed(open(1.51))).toBe(false);
    expect(isClosed(placed([0, 0], [1, 0], [1, 1], [0.5, 1], [0, 1]))).toBe(false);
    expect(isClosed([])).toBe(false);
  });

  it('has the length of its way, holes that are not there left out', () => {
    expect(pathOf(straight(1, 3), [1, 3, 2])).toEqual({ longestJumpIn: 1.5, totalPathIn: 2.25 });
    expect(pathOf(straight(1, 3), [1, 99, 2])).toEqual({ longestJumpIn: 0, totalPathIn: 0 });
    expect(pathOf([], [])).toEqual({ longestJumpIn: 0, totalPathIn: 0 });
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
