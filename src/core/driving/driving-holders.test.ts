import { describe, expect, it } from 'vitest';
import { drivingHolders, standingHolders } from './driving-holders.ts';
import { drivingOrder, type OrderedHole } from './driving-order.ts';

const row = (count: number): OrderedHole[] =>
  Array.from({ length: count }, (_, at) => ({ number: at + 1, row: 1, xIn: at, yIn: 0 }));
const orderOf = (count: number, school: 'flat' | 'sequence' = 'flat'): number[] => {
  const found = drivingOrder(row(count), school);
  return found.ok ? found.result.order : [];
};

describe('sheet holders while driving', () => {
  it('stand at the ends and, in every stretch, where it is driven last', () => {
    // order 5 7 3 6 8 4 2 9 1; of 2 to 5 the last is 2, of 6 to 8 (three only) none is needed
    const { start, tooFew } = drivingHolders(row(9), orderOf(9), 4, 60);
    expect([...start].sort((a, b) => a - b)).toEqual([1, 2, 9]);
    expect(tooFew).toBe(false);
  });

  it('never stand in a hole when it is driven, and each comes out once before', () => {
    for (const count of [2, 5, 13, 40])
      for (const inShop of [3, 5, 60]) {
        const order = orderOf(count);
        const { start, moves } = drivingHolders(row(count), order, 4, inShop);
        const standing = new Set(start);
        const driven = new Set<number>();
        for (const number of order) {
          const move = moves.get(number);
          expect(standing.has(number)).toBe(move !== undefined);
          if (move) {
            standing.delete(move.out);
            if (move.to !== null) {
              expect(driven.has(move.to)).toBe(false);
              standing.add(move.to);
            }
          }
          driven.add(number);
          expect(standingHolders({ start, moves }, order, (hole) => driven.has(hole))).toEqual(
            standing
          );
          expect(standing.size).toBeLessThanOrEqual(Math.max(inShop, 0));
        }
        expect(standing.size).toBe(0);
      }
  });

  it('stand wider apart where the shop has fewer, and says when not even the ends can be held', () => {
    const few = drivingHolders(row(40), orderOf(40), 4, 5);
    expect(few.start).toHaveLength(5);
    // 38 between the ends: three stretches of at most 12
    expect(few.every).toBe(10);
    expect(drivingHolders(row(40), orderOf(40), 4, 1).tooFew).toBe(true);
  });

  it('go to the longest stretch that nothing keeps, to the hole there that is driven last', () => {
    // from the far end back; of 2 to 5 the last is 2
    const back = (count: number) => Array.from({ length: count }, (_, at) => count - at);
    const nine = drivingHolders(row(9), back(9), 4, 60);
    expect(nine.start).toEqual([1, 9, 2]);
    // 3 to 8 are kept by nothing once 9 is free: 3 is driven last of them
    expect([...nine.moves]).toEqual([
      [9, { out: 9, to: 3 }],
      [3, { out: 3, to: null }],
      [2, { out: 2, to: null }],
      [1, { out: 1, to: null }]
    ]);
    expect([...standingHolders(nine, back(9), (hole) => hole === 9)]).toEqual([1, 2, 3]);
    expect([...standingHolders(nine, back(9), () => false)]).toEqual([1, 9, 2]);
    // 7 to 11 are longer than 3 to 5
    expect(drivingHolders(row(12), back(12), 4, 60).moves.get(12)).toEqual({ out: 12, to: 7 });
    // 7 to 10 are just four
    expect(drivingHolders(row(11), back(11), 4, 60).moves.get(11)).toEqual({ out: 11, to: 7 });
    // three are too few
    expect(drivingHolders(row(10), back(10), 4, 60).moves.get(10)).toEqual({ out: 10, to: null });
  });

  it('stand once in a row of one, and are too few only where a row’s end goes without', () => {
    expect(drivingHolders(row(1), [1], 4, 1)).toMatchObject({ start: [1], tooFew: false });
    expect(drivingHolders(row(2), [1, 2], 4, 2)).toMatchObject({ start: [1, 2], tooFew: false });
    const one = drivingHolders(row(2), [1, 2], 4, 1);
    expect([one.start, one.tooFew, [...one.moves.keys()]]).toEqual([[1], true, [1]]);
    // a row takes only its own holders: two of six, from the far end back
    const two = [
      ...row(6),
      ...row(6).map((hole) => ({ ...hole, number: hole.number + 6, row: 2 }))
    ];
    const order = two.map(({ number }) => number).toReversed();
    const held = drivingHolders(two, order, 4, 60);
    expect(held.start).toEqual([1, 6, 2, 7, 12, 8]);
    expect(held.every).toBe(4);
  });

  it('go ahead of one who drives in sequence', () => {
    const { start, moves } = drivingHolders(row(9), orderOf(9, 'sequence'), 4, 3);
    expect(start).toEqual([1, 9, 5]);
    // hole 1 is free once it is driven: 2 to 4 are three, too few to need it
    expect(moves.get(1)).toEqual({ out: 1, to: null });
  });
});
