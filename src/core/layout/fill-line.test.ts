import { describe, expect, it } from 'vitest';
import { resultOf } from '../../../tests/support/cases';
import { fillExactly } from './fill-exactly';
import { fillLine, type LineToFill } from './fill-line';
import { evenly } from './lines';
import { arithmetic, refusal } from '../../../tests/support/words';
import { LINE } from '../../../tests/support/line-to-fill.ts';

/** Every way to set holes on a small grid, by trying all: the least sum of squares for each count. */
function byTryingAll(places: number[], min: number, max: number): Map<number, number> {
  const best = new Map<number, number>();
  const walk = (at: number, count: number, sum: number): void => {
    if (at === places.length - 1) {
      best.set(count, Math.min(best.get(count) ?? Infinity, sum));
      return;
    }
    for (let next = at + 1; next < places.length; next++) {
      const gap = (places[next] ?? 0) - (places[at] ?? 0);
      if (gap < min - 1e-9) continue;
      if (gap > max + 1e-9) break;
      walk(next, count + 1, sum + gap ** 2);
    }
  };
  walk(0, 0, 0);
  return best;
}

describe('exactly so many spaces', () => {
  it('agrees with trying every way on small rows', () => {
    let seed = 11;
    const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
    for (let round = 0; round < 120; round++) {
      const places = Array.from({ length: 13 }, (_, index) => index * 0.25).filter(
        (_, index) => index === 0 || index === 12 || random() > 0.3
      );
      const [minPitchIn, maxPitchIn] = [
        0.25 + 0.25 * Math.floor(random() * 2),
        0.75 + 0.25 * Math.floor(random() * 4)
      ];
      const truth = byTryingAll(places, minPitchIn, maxPitchIn);
      const wishIn = 0.6;
      const routes = fillExactly(
        { placesIn: Float64Array.from(places), minPitchIn, maxPitchIn },
        8,
        wishIn
      );
      for (let spaces = 1; spaces <= 8; spaces++) {
        const sum = truth.get(spaces);
        const cost = routes.costs[spaces] ?? Infinity;
        if (sum === undefined) {
          expect(cost, `${spaces} of ${places.join()}`).toBe(Infinity);
          continue;
        }
        // Σ(g − w)² = Σg² − 2w·3 + n·w²
        expect(cost).toBeCloseTo(sum - 2 * wishIn * 3 + spaces * wishIn ** 2, 9);
        const taken = routes.route(spaces).map((place) => places[place] ?? 0);
        expect(taken).toHaveLength(spaces + 1);
        expect(
          taken.slice(1).reduce((all, place, index) => all + (place - (taken[index] ?? 0)) ** 2, 0)
        ).toBeCloseTo(sum, 9);
      }
    }
  });
});

describe('a line past what is in its way', () => {
  it('keeps the count and evens the gaps', () => {
    // one inch apart; 2.0 to 2.5 is closed, so the hole at 2.25 goes to one of its ends
    const { marksIn, count } = resultOf(fillLine({ ...LINE, closed: [{ fromIn: 2, toIn: 2.5 }] }));
    expect(count).toBe(6);
    for (const mark of marksIn) expect(mark <= 2 || mark >= 2.5, String(mark)).toBe(true);
    const gaps = marksIn.slice(1).map((mark, index) => mark - (marksIn[index] ?? 0));
    // 5 in over 5 gaps with a break 0.25 from the third mark: 7/8 7/8 1 1/16 … on 32nds
    expect(Math.max(...gaps) - Math.min(...gaps)).toBeLessThanOrEqual(0.25 + 1e-9);
  });

  it('takes a fixed hole in', () => {
    const { marksIn, count } = resultOf(fillLine({ ...LINE, fixedIn: [1.7] }));
    expect(marksIn).toContain(1.7);
    expect(count).toBe(6);
  });

  it('lets a fixed hole beyond the end be the end', () => {
    const { marksIn } = resultOf(fillLine({ ...LINE, fixedIn: [0.2] }));
    expect(marksIn[0]).toBe(0.2);
  });

  it('sets as many as needed where the largest pitch alone would ask for fewer', () => {
    // 9.5 in with a 1.4 in break: the largest pitch alone needs 8 holes, 16 are wanted
    const wide = { ...LINE, alongIn: evenly(0.25, 9.75, 16), closed: [{ fromIn: 4, toIn: 5.4 }] };
    expect(resultOf(fillLine(wide)).count).toBe(16);
  });

  it('sets holes on divisions counted from the datum, whichever end it is at', () => {
    const past = { ...LINE, alongIn: evenly(0.3, 5.3, 6), closed: [{ fromIn: 2, toIn: 2.5 }] };
    const from = (divisionsFromIn: number | null, endRoomIn = 0.25) =>
      resultOf(fillLine({ ...past, divisionsFromIn, endRoomIn })).marksIn;
    const off = (marks: readonly number[], datumIn: number) =>
      marks.filter((at) => Math.abs((at - datumIn) * 32 - Math.round((at - datumIn) * 32)) > 1e-9);
    // 0.3 goes in to 10/32, 5.3 to 169/32
    expect(from(0)).toHaveLength(6);
    expect([from(0)[0], from(0).at(-1)]).toEqual([0.3125, 5.28125]);
    expect(off(from(0), 0)).toEqual([]);
    // from the other end, 5.61 in along: 5.61 − 0.3 is 169.92/32, so the first goes in to 169
    expect(from(5.61)[0]).toBeCloseTo(5.61 - 169 / 32, 12);
    expect(off(from(5.61), 5.61)).toEqual([]);
    // ends that may not move stay, and only those are off
    expect(off(from(0, 0), 0)).toEqual([0.3, 5.3]);
    // counted from the first hole as before
    expect(off(from(null), 0.3)).toEqual([]);
  });

  it('leaves the ends where they are laid where a hole would be lost', () => {
    // three holes 0.382 apart fit from 0.27 to 1.04 with one at 21/32; not from 9/32 to 33/32
    const tight = {
      ...LINE,
      alongIn: [0.27, 0.655, 1.04],
      minPitchIn: 0.382,
      maxPitchIn: 0.5,
      closed: [{ fromIn: 0.2, toIn: 0.26 }],
      divisionsFromIn: 0
    };
    expect(resultOf(fillLine(tight)).marksIn).toEqual([0.27, 0.65625, 1.04]);
  });

  it('moves an end hole inward only as far as its room goes', () => {
    expect(resultOf(fillLine({ ...LINE, closed: [{ fromIn: 0.1, toIn: 0.45 }] })).marksIn[0]).toBe(
      0.46875
    );
    const stuck = fillLine({ ...LINE, closed: [{ fromIn: 0.1, toIn: 0.9 }] });
    expect(stuck.ok ? '' : refusal(stuck.error)).toMatch(/hole at 0.25 in lies in the keep-out/);
  });

  it('moves either end inward, past one closed stretch after the other', () => {
    const marks = (closed: LineToFill['closed'], endRoomIn = 0.5) => {
      const answer = fillLine({ ...LINE, closed, endRoomIn });
      return answer.ok ? answer.result.marksIn : null;
    };
    // the last hole, at 5.25: closed from 5.1 on; from 5.05 on, and again from 4.9 to 5.08
    expect(marks([{ fromIn: 5.1, toIn: 6 }])?.at(-1)).toBe(5.09375);
    expect(
      marks([
        { fromIn: 4.9, toIn: 5.06 },
        { fromIn: 5.05, toIn: 6 }
      ])?.at(-1)
    ).toBe(4.875);
    expect(
      marks([
        { fromIn: 5.05, toIn: 6 },
        { fromIn: 4.9, toIn: 5.04 }
      ])?.at(-1)
    ).toBe(4.875);
    // the first, at 0.25: where the division beyond one is in the next
    expect(
      marks([
        { fromIn: 0.311, toIn: 0.5 },
        { fromIn: 0, toIn: 0.31 }
      ])?.[0]
    ).toBe(0.5);
    // a stretch that ends where the hole is does not close it; one further along is none of its business
    expect(marks([{ fromIn: 0.1, toIn: 0.25 }])?.[0]).toBe(0.25);
    expect(marks([{ fromIn: 2, toIn: 2.5 }])?.[0]).toBe(0.25);
    // exactly as far as it may be moved is not too far
    expect(marks([{ fromIn: 0, toIn: 0.5 }], 0.25)?.[0]).toBe(0.5);
    expect(marks([{ fromIn: 0, toIn: 0.5 }], 0.249)).toBeNull();
  });

  it('minds a hole given twice, in any order, and none beyond its ends', () => {
    const { marksIn, count } = resultOf(
      fillLine({ ...LINE, fixedIn: [3.3, 1.7], givenIn: [1.7, 0.25, 5.25] })
    );
    expect(count).toBe(6);
    expect(marksIn.filter((at) => Math.abs(at - 1.7) < 1e-9)).toHaveLength(1);
    expect(marksIn).toContain(3.3);
    // one more than the largest pitch alone asks for: the holes between the given ones are shared anew
    const more = resultOf(
      fillLine({
        ...LINE,
        alongIn: evenly(0.25, 5.25, 9),
        fixedIn: [3.25, 1.75],
        givenIn: [1.75, 0.1, 5.4]
      })
    ).marksIn;
    expect(more).toHaveLength(9);
    expect(more.filter((at) => at === 1.75 || at === 3.25)).toEqual([1.75, 3.25]);
    expect([more[0], more.at(-1)]).toEqual([0.25, 5.25]);
    expect(Math.min(...more.slice(1).map((at, index) => at - (more[index] ?? 0)))).toBeGreaterThan(
      0.37
    );
    const wide = fillLine({ ...LINE, fixedIn: [0.2, 5.4] });
    expect(wide.ok && [wide.result.marksIn[0], wide.result.marksIn.at(-1)]).toEqual([0.2, 5.4]);
    const answer = fillLine({ ...LINE, fixedIn: [3.3, 1.7], closed: [{ fromIn: 2, toIn: 2.5 }] });
    expect(answer.ok && arithmetic(answer.work)[0]).toMatch(
      /^past fixed holes and keep-outs: 6 holes wanted on 1\/32; 2 given between the ends, 1 stretches closed; gaps [0-9.]+ to [0-9.]+ in = 6 holes$/
    );
  });

  it('takes the fewest where that is the count that is wanted', () => {
    // 5 in at most 1.5 in apart: four spaces
    const { marksIn } = resultOf(
      fillLine({ ...LINE, alongIn: evenly(0.25, 5.25, 5), closed: [{ fromIn: 1, toIn: 1.1 }] })
    );
    expect(marksIn).toEqual([0.25, 1.5, 2.75, 4, 5.25]);
  });

  it('sets the most that fit when there is no room for all', () => {
    const tight = { ...LINE, alongIn: evenly(0.25, 5.25, 14), closed: [{ fromIn: 1, toIn: 2.4 }] };
    const { count, minGapIn } = resultOf(fillLine(tight));
    expect(count).toBeLessThan(14);
    expect(minGapIn).toBeGreaterThanOrEqual(0.375 - 1e-9);
    // 1 − 0.25 = 0.75 holds 2 spaces; 5.25 − 2.40625 = 2.84375 holds 7; the break is one: 11 holes
    expect(count).toBe(11);
  });

  it('tells how far it is', () => {
    const said: number[] = [];
    fillLine({ ...LINE, closed: [{ fromIn: 2, toIn: 2.5 }] }, (done) => said.push(done));
    expect(said.at(-1)).toBe(1);
    expect([...said].sort((a, b) => a - b)).toEqual(said);
  });
});
