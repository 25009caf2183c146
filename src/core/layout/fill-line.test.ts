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

/** Every count of holes with its least sum of squared gaps, place by place; holes that are given are never passed over. */
function byEveryCount(line: LineToFill): Map<number, number> {
  const near = 1e-9;
  const [startIn, endIn] = [line.alongIn[0] ?? 0, line.alongIn.at(-1) ?? 0];
  const given = [...line.givenIn, ...line.fixedIn];
  const places = [startIn, endIn, ...given];
  for (let k = 1; startIn + k / 32 < endIn - near; k++) {
    const at = startIn + k / 32;
    if (line.closed.some(({ fromIn, toIn }) => at > fromIn + near && at < toIn - near)) continue;
    if (!given.some((hole) => Math.abs(hole - at) < near)) places.push(at);
  }
  places.sort((a, b) => a - b);
  const isGiven = places.map((at) => given.some((hole) => Math.abs(hole - at) < near));
  // least[holes] by the place of the last one
  let reached = new Map<number, number>([[0, 0]]);
  const all = new Map<number, number>();
  for (let holes = 2; reached.size > 0; holes++) {
    const next = new Map<number, number>();
    for (const [from, sum] of reached)
      for (let to = from + 1; to < places.length; to++) {
        const gap = (places[to] ?? 0) - (places[from] ?? 0);
        if (gap > line.maxPitchIn + near) break;
        if (gap >= line.minPitchIn - near)
          next.set(to, Math.min(next.get(to) ?? Infinity, sum + gap ** 2));
        if (isGiven[to]) break;
      }
    const end = next.get(places.length - 1);
    if (end !== undefined) all.set(holes, end);
    reached = next;
  }
  return all;
}

describe('a line with a count to reach', () => {
  let seed = 7;
  const random = (below: number) =>
    Math.floor(((seed = (seed * 16807) % 2147483647) / 2147483647) * below);
  const someLine = (): LineToFill => {
    const endIn = 0.25 + (96 + random(96)) / 32;
    return {
      ...LINE,
      alongIn: evenly(0.25, endIn, 3 + random(9)),
      fixedIn: random(2) === 0 ? [] : [0.25 + (24 + random(40)) / 32 + (random(2) ? 0.007 : 0)],
      givenIn: random(3) === 0 ? [0.25 + (66 + random(20)) / 32] : [],
      closed: Array.from({ length: random(3) }, () => {
        const fromIn = 0.6 + random(80) / 32;
        return { fromIn, toIn: fromIn + (6 + random(20)) / 32 };
      }),
      minPitchIn: 0.28 + random(4) / 32,
      maxPitchIn: 1 + random(16) / 32
    };
  };

  it('has it where the holes allow, else the nearest, and is as even as can be', () => {
    let filled = 0;
    for (let round = 0; round < 150; round++) {
      const line = someLine();
      // a given hole or an end in a closed stretch is another matter
      if (
        [...line.fixedIn, ...line.givenIn, line.alongIn.at(-1) ?? 0].some((at) =>
          line.closed.some(({ fromIn, toIn }) => at > fromIn && at < toIn)
        )
      )
        continue;
      const truth = byEveryCount(line);
      const answer = fillLine(line);
      const said = JSON.stringify(line);
      expect(answer.ok, said).toBe(truth.size > 0);
      if (!answer.ok) continue;
      filled += 1;
      const least = line.alongIn.length;
      const enough = [...truth.keys()].filter((count) => count >= least);
      const wanted = enough.length > 0 ? Math.min(...enough) : Math.max(...truth.keys());
      const { count, sumSquaresIn2, marksIn, minGapIn, maxGapIn } = answer.result;
      expect(count, said).toBe(wanted);
      expect(sumSquaresIn2, said).toBeCloseTo(truth.get(wanted) ?? NaN, 9);
      expect(marksIn[0]).toBe(line.alongIn[0]);
      expect(marksIn.at(-1)).toBe(line.alongIn.at(-1));
      for (const at of [...line.fixedIn, ...line.givenIn])
        expect(
          marksIn.some((mark) => Math.abs(mark - at) < 1e-9),
          said
        ).toBe(true);
      const gaps = marksIn.slice(1).map((mark, index) => mark - (marksIn[index] ?? 0));
      expect([minGapIn, maxGapIn]).toEqual([Math.min(...gaps), Math.max(...gaps)]);
      // tried by the counts that can be the best alone, it comes out as even
      const near = fillLine(line, () => undefined, 0);
      expect(near.ok && near.result.count, said).toBe(count);
      expect(near.ok && near.result.sumSquaresIn2, said).toBeCloseTo(sumSquaresIn2, 9);
    }
    expect(filled).toBeGreaterThan(80);
  });

  it('is told to, from nothing to done, without going back', () => {
    const line = { ...LINE, alongIn: evenly(0.25, 5.25, 9), fixedIn: [2.3] };
    for (const allUpTo of [Infinity, 0]) {
      const told: number[] = [];
      fillLine(line, (done) => told.push(done), allUpTo);
      expect(told.at(-1)).toBeCloseTo(1, 12);
      expect(told.every((done, at) => done > 0 && done >= (told[at - 1] ?? 0))).toBe(true);
    }
  });
});
