import { describe, expect, it } from 'vitest';
import { fillExactly } from './fill-exactly';
import { fillNear, type CountedStretch } from './fill-near';
import { shareSpaces } from './share-spaces';
import { fewestSpaces } from './spaces';

const [minPitchIn, maxPitchIn] = [0.5, 2];

/** Stretches of these lengths one after the other, on quarters of an inch, some places taken out. */
function stretchesOf(
  spansIn: readonly number[],
  keep: (atIn: number) => boolean = () => true
): CountedStretch[] {
  let fromIn = 0.25;
  return spansIn.map((spanIn) => {
    const startIn = fromIn;
    fromIn += spanIn;
    const count = Math.round(spanIn * 4);
    const places = Array.from({ length: count + 1 }, (_, at) => startIn + at / 4);
    return {
      placesIn: Float64Array.from(
        places.filter((place, at) => at === 0 || at === count || keep(place))
      ),
      minPitchIn,
      maxPitchIn,
      fewest: fewestSpaces(spanIn, maxPitchIn),
      most: Math.max(1, Math.floor(spanIn / minPitchIn + 1e-9))
    };
  });
}
const none = () => undefined;
const gapsOf = (marks: readonly number[]) =>
  marks.slice(1).map((at, index) => at - (marks[index] ?? 0));
const uneven = (marks: readonly number[], wishIn: number) =>
  gapsOf(marks).reduce((sum, gap) => sum + (gap - wishIn) ** 2, 0);

describe('a count reached by trying only what can be the best', () => {
  it.each([
    // 3 and 6 in at one inch
    [[3, 6], 9, 1, [1, 1, 1, 1, 1, 1, 1, 1, 1]],
    // one less: from 6 in (5 × 0.2² = 0.2) sooner than from 3 in (2 × 0.5² = 0.5)
    [[3, 6], 8, 1, null],
    // ½ in takes one space only: all the rest go to the other
    [[0.5, 4], 9, 0.5, [0.5, 0.5, 0.5, 0.5, 0.5, 0.5, 0.5, 0.5, 0.5]],
    [[4], 4, 1, [1, 1, 1, 1]]
  ])('%j in %s spaces', (spansIn, total, wishIn, gaps) => {
    const marks = fillNear(stretchesOf(spansIn), total, wishIn, none);
    expect(marks).not.toBeNull();
    expect(marks).toHaveLength(total + 1);
    expect(marks?.[0]).toBe(0.25);
    expect(marks?.at(-1)).toBeCloseTo(0.25 + spansIn.reduce((sum, one) => sum + one, 0), 12);
    if (gaps) expect(gapsOf(marks ?? [])).toEqual(gaps);
    else {
      // the hole between the stretches is kept
      expect(marks).toContain(3.25);
      const inFirst = marks?.filter((at) => at <= 3.25).length;
      expect(inFirst).toBe(4);
    }
  });

  it('is as even as the search over every count, with holes between that stay', () => {
    let seed = 41;
    const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
    let filled = 0;
    for (let round = 0; round < 120; round++) {
      const spansIn = Array.from(
        { length: 1 + Math.floor(random() * 4) },
        () => 0.5 + Math.floor(random() * 18) / 4
      );
      const gone = new Set(Array.from({ length: 6 }, () => Math.floor(random() * 60) / 4));
      const stretches = stretchesOf(spansIn, (atIn) => !gone.has(atIn));
      const length = spansIn.reduce((sum, one) => sum + one, 0);
      const total = Math.max(spansIn.length, Math.round(length * (0.5 + random())));
      const wishIn = length / total;
      const routes = stretches.map((one) => fillExactly(one, one.most, wishIn));
      const spaces = shareSpaces(
        routes.map(({ costs }) => costs),
        total
      );
      const marks = fillNear(stretches, total, wishIn, none);
      // it may give up where every count must be tried, and never finds what is not there
      if (!spaces || !marks) {
        if (!spaces) expect(marks).toBeNull();
        continue;
      }
      filled += 1;
      const least = spaces.reduce((sum, count, at) => sum + (routes[at]?.costs[count] ?? 0), 0);
      const said = `${spansIn.join()} in ${total}`;
      expect(marks, said).toHaveLength(total + 1);
      expect(uneven(marks, wishIn), said).toBeCloseTo(least, 9);
      let between = 0.25;
      for (const spanIn of spansIn) expect(marks, said).toContain((between += spanIn));
      for (const gap of gapsOf(marks)) {
        expect(gap).toBeGreaterThan(minPitchIn - 1e-9);
        expect(gap).toBeLessThan(maxPitchIn + 1e-9);
      }
    }
    expect(filled).toBeGreaterThan(70);
  });

  it('keeps to what a short stretch can hold, whatever its length would ask', () => {
    // 0.75 in holds one space only: at a wish of ¼ its length asks for three
    const marks = fillNear(stretchesOf([0.75, 3]), 7, 0.5, none);
    expect(marks?.filter((at) => at > 0.25 && at < 1)).toEqual([]);
    expect(marks).toHaveLength(8);
    // and 4 in take two at least, though the wish is 3
    expect(fillNear(stretchesOf([4, 1]), 3, 3, none)).toEqual([0.25, 2.25, 4.25, 5.25]);
    // a stretch longer than its share: one space of 1 in between three of 2 in
    expect(fillNear(stretchesOf([2, 1, 4]), 4, 1.75, none)).toEqual([0.25, 2.25, 3.25, 5.25, 7.25]);
  });

  it('gives up where no sharing by length makes the total', () => {
    // 3 and 6 in hold at most 6 and 12 spaces, at least 2 and 3
    expect(fillNear(stretchesOf([3, 6]), 18, 0.5, none)).toHaveLength(19);
    expect(fillNear(stretchesOf([3, 6]), 19, 0.5, none)).toBeNull();
    expect(fillNear(stretchesOf([3, 6]), 5, 2, none)).toHaveLength(6);
    expect(fillNear(stretchesOf([3, 6]), 4, 2, none)).toBeNull();
    // a place at 3.0 is too near the end at 3.25
    expect(
      fillNear(
        stretchesOf([3], (atIn) => atIn > 2.9),
        3,
        1,
        none
      )
    ).toBeNull();
  });

  it('tells how far it is, stretch by stretch', () => {
    const told: number[] = [];
    fillNear(stretchesOf([3, 6, 2, 4]), 15, 1, (done) => told.push(done));
    expect(told).toEqual([0.25, 0.5, 0.75, 1]);
  });
});
