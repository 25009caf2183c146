import { describe, expect, it } from 'vitest';
import { simulatedPicture } from '../devices/simulated-camera.ts';
import { ReleasedFacts, type ReleasedHole } from '../release/release.ts';
import { beforeCamera, rodIndexIn } from './before-camera.ts';

const facts = ReleasedFacts.parse({
  dash: 5,
  head: 'universal',
  partNumber: 'MS20470AD5-6',
  gripIn: 0.1715,
  lengthIn: 0.375,
  holeIn: 0.159,
  widthIn: 40,
  overlapIn: 1.6,
  limits: 'standard',
  predictedIn3: 0.0037852
});
const hole = (number: number, row: number, xIn: number): ReleasedHole => ({
  number,
  row,
  xIn,
  yIn: row === 1 ? 0.4 : 1.2,
  markIn: xIn,
  stack: 0,
  dash: 5,
  gripIn: 0.1715,
  room: null
});
const release = {
  id: 'one',
  facts,
  holes: [hole(1, 1, 10), hole(2, 1, 10.75), hole(3, 2, 10.375), hole(4, 1, 13)]
};
const member = {
  nearIn: 2,
  farIn: 2,
  wallsIn: 0.2,
  wallsFarIn: null,
  from: 'right' as const,
  offsetIn: 3.5
};
const all = () => true;

describe('what lies before a camera on the rod', () => {
  it('is where the rod says, from the end that it goes in by', () => {
    expect(rodIndexIn(facts, release.holes[0] ?? { xIn: 0 }, member)).toBe(33.5);
    expect(rodIndexIn(facts, { xIn: 10 }, { from: 'left', offsetIn: 3.5 })).toBe(13.5);
    expect(rodIndexIn(facts, { xIn: 10 }, null)).toBe(10);
  });

  it('is the row looked at in the middle, and its neighbors beside it', () => {
    const before = beforeCamera(release, member, { indexIn: 33.5, row: 1 }, all, new Map());
    expect(before.map(({ number, alongIn, acrossIn }) => [number, alongIn, acrossIn])).toEqual([
      [1, 0, 0],
      // further along the row is nearer to the end that the rod goes in by
      [2, -0.75, 0],
      [3, expect.closeTo(-0.375, 9), expect.closeTo(0.8, 9)]
    ]);
  });

  it('is as wide as recorded, else as metal makes it within a spread of its own, a shank where nothing is driven', () => {
    const widths = (isDriven: (hole: number) => boolean, measured = new Map<number, number>()) =>
      beforeCamera(release, null, { indexIn: 10, row: 1 }, isDriven, measured).map(
        ({ diameterIn }) => diameterIn
      );
    expect(widths(all, new Map([[1, 0.241]]))[0]).toBe(0.241);
    expect(widths(() => false)[0]).toBe(0.15625);
    // √(4·V / (π·½D)) = 0.24837
    for (const width of widths(all))
      expect(Math.abs(width / 0.24837 - 1)).toBeLessThanOrEqual(0.051);
    expect(widths(all)).toEqual(widths(all));
    expect(new Set(widths(all)).size).toBe(3);
  });

  it('is drawn to one scale, a little larger where it stands nearer to the lens', () => {
    const [head] = beforeCamera(release, null, { indexIn: 10, row: 1 }, all, new Map([[1, 0.24]]));
    if (!head) throw new Error('nothing before the lens');
    const { svg, scaleIn } = simulatedPicture(7, [head]);
    const radii = [...svg.matchAll(/rx="([\d.]+)" ry="([\d.]+)" fill="url\(#head\)"/g)][0];
    const scalePx = Number(/<rect x="[\d.]+" y="[\d.]+" width="([\d.]+)"/.exec(svg)?.[1]);
    const across = Number(radii?.[1]) + Number(radii?.[2]);
    expect((across / scalePx) * scaleIn).toBeCloseTo(0.24 * (2.5 / 2.46), 3);
    expect(simulatedPicture(7, [head]).svg).toBe(svg);
    expect(simulatedPicture(8, [head]).svg).not.toBe(svg);
  });
});
