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

  it('go ahead of one who drives in sequence', () => {
    const { start, moves } = drivingHolders(row(9), orderOf(9, 'sequence'), 4, 3);
    expect(start).toEqual([1, 9, 5]);
    // hole 1 is free once it is driven: 2 to 4 are three, too few to need it
    expect(moves.get(1)).toEqual({ out: 1, to: null });
  });
});
