import { describe, expect, it } from 'vitest';
import { resultOf } from '../../../tests/support/cases';
import { definition, layoutOf } from '../../../tests/support/joints';
import { holderPlan } from './holder-plan';

const row = (from: number, count: number) => ({
  holes: Array.from({ length: count }, (_, at) => from + at)
});
const PLENTY = { pilot: 1000, final: 1000 };

describe('sheet holders', () => {
  it('stand wider apart where the final-size ones are too few', () => {
    // every fourth: 1, 5, 9, 13, 17, 20 move over to 2, 6, 10, 14, 18; every fifth: 1, 6, 11, 16, 20 to 2, 7, 12, 17
    const plan = resultOf(holderPlan([row(1, 20)], 4, { pilot: 99, final: 4 }));
    expect([plan.every, plan.pilotHolders, plan.finalHolders]).toEqual([5, 5, 4]);
    expect(plan.stretched).toBe(true);
  });

  it('stay where they are where the pilot is the final size', () => {
    const { pilotHolders, finalHolders, rounds } = resultOf(
      holderPlan([row(1, 10)], 4, { pilot: 9, final: 0 }, true)
    );
    expect([pilotHolders, finalHolders]).toEqual([4, 0]);
    expect(rounds).toEqual([{ holders: [1, 5, 9, 10], drill: [] }]);
  });

  it('stand at the ends and in every n-th hole, then move over one', () => {
    const plan = resultOf(holderPlan([row(1, 10)], 4, PLENTY));
    expect(plan.rounds).toEqual([
      { holders: [1, 5, 9, 10], drill: [2, 3, 4, 6, 7, 8] },
      { holders: [2, 6], drill: [1, 5, 9, 10] }
    ]);
    expect(plan).toMatchObject({ every: 4, pilotHolders: 4, finalHolders: 2, stretched: false });
  });

  it('drill every hole once and none that carries a holder, in lines of every length and joints of every shape', () => {
    const patch = layoutOf(
      definition('patch', ['0.032', '0.040'], {
        cutoutWIn: '3',
        cutoutHIn: '2 1/2',
        dash: 4,
        carries: 'attach'
      })
    );
    const layouts = [
      patch.lines,
      ...[1, 2, 3, 5, 8, 13, 40].map((count) => [row(1, count), row(100, count)])
    ];
    for (const lines of layouts)
      for (const every of [2, 3, 4, 6]) {
        const { rounds } = resultOf(holderPlan(lines, every, PLENTY));
        const all = [...new Set(lines.flatMap(({ holes }) => holes))].sort((a, b) => a - b);
        expect(rounds.flatMap(({ drill }) => drill).sort((a, b) => a - b)).toEqual(all);
        for (const { holders, drill } of rounds)
          expect(holders.filter((hole) => drill.includes(hole))).toEqual([]);
        // a line of two holes and more is held in every round
        for (const { holders } of rounds)
          for (const { holes } of lines.filter((line) => line.holes.length > 1))
            expect(holes.some((hole) => holders.includes(hole))).toBe(true);
      }
  });

  it('stand wider apart where the shop has few, and say so', () => {
    const plan = resultOf(holderPlan([row(1, 20)], 3, { pilot: 4, final: 4 }));
    expect(plan.stretched).toBe(true);
    expect(plan.pilotHolders).toBeLessThanOrEqual(4);
    // three to six apart would take five or more
    expect(plan.every).toBe(7);
    expect(plan.rounds[0]?.holders).toEqual([1, 8, 15, 20]);
  });

  it('are refused where not even the ends can be held', () => {
    expect(holderPlan([row(1, 20), row(30, 20)], 4, { pilot: 3, final: 9 })).toMatchObject({
      ok: false,
      error: { code: 'not-possible', path: 'holders' }
    });
  });
});
