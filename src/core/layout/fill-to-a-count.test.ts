import { describe, expect, it } from 'vitest';
import { fillAsAsked, fillLine, gridPerIn, type LineToFill } from './fill-line';
import { evenly } from './lines';
import { LINE } from '../../../tests/support/line-to-fill.ts';

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

describe('a line laid as asked though its limits cannot all be held', () => {
  it.each([
    // 1.5 in at most: 5 in are filled in four, the least even first
    ['free', {}, [0.25, 1.5, 2.75, 4, 5.25]],
    // 0.2 in from the next: it stands, and so does all else
    [
      'with a hole too near another',
      { fixedIn: [2.9, 2.7], givenIn: [2.9] },
      [0.25, 1.46875, 2.7, 2.9, 4.0625, 5.25]
    ],
    // nothing fits into 2 in that are closed: the stretch is left as it is
    [
      'with a stretch that cannot be filled',
      { closed: [{ fromIn: 1, toIn: 3 }], givenIn: [4] },
      [0.25, 4, 5.25]
    ],
    ['with a hole beyond its end', { fixedIn: [5.5], alongIn: [0.25, 4.75] }, null]
  ])('%s', (_, change, marksIn) => {
    const marks = fillAsAsked({ ...LINE, ...change });
    if (marksIn) expect(marks).toEqual(marksIn);
    else {
      expect(marks.at(-1)).toBe(5.5);
      expect(marks).toContain(4.75);
    }
    expect([...marks].sort((a, b) => a - b)).toEqual(marks);
  });

  it('lays on the ruler, or on hundredths without one', () => {
    expect([gridPerIn('1/32'), gridPerIn('1/64'), gridPerIn('exact')]).toEqual([32, 64, 100]);
    const marks = fillAsAsked({ ...LINE, alongIn: [0.25, 4.5], scale: 'exact', fixedIn: [0.333] });
    for (const at of marks.slice(2, -1)) {
      const hundredths = (at - 0.25) * 100;
      expect(Math.abs(hundredths - Math.round(hundredths))).toBeLessThan(1e-9);
    }
    expect(marks.length).toBeGreaterThan(4);
  });
});
