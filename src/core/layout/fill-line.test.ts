import { describe, expect, it } from 'vitest';
import { resultOf } from '../../../tests/support/cases';
import { fillExactly } from './fill-exactly';
import { fillLine, type LineToFill } from './fill-line';
import { evenly } from './lines';
import { refusal } from '../../../tests/support/words';

const LINE: LineToFill = {
  alongIn: evenly(0.25, 5.25, 6),
  givenIn: [],
  fixedIn: [],
  closed: [],
  minPitchIn: 0.375,
  maxPitchIn: 1.5,
  endRoomIn: 0.25,
  scale: '1/32'
};

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

  it('moves an end hole inward only as far as its room goes', () => {
    expect(resultOf(fillLine({ ...LINE, closed: [{ fromIn: 0.1, toIn: 0.45 }] })).marksIn[0]).toBe(
      0.46875
    );
    const stuck = fillLine({ ...LINE, closed: [{ fromIn: 0.1, toIn: 0.9 }] });
    expect(stuck.ok ? '' : refusal(stuck.error)).toMatch(/hole at 0.25 in lies in the keep-out/);
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
