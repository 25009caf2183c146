import { describe, expect, it } from 'vitest';
import { OPEN } from '../../../tests/support/open-access.ts';
import { smallRelease } from '../../../tests/support/small-release.ts';
import { STARTING_TOOLS } from '../drive/driving-tools.ts';
import type { ReleasedHole } from '../release/release.ts';
import { drivingWays } from './driving-ways.ts';
import { holeWays } from './hole-ways.ts';
import { reachedRuns } from './reached-runs.ts';
import { rivetRuns } from './rivet-runs.ts';

const OUTLINE = { widthIn: 9, heightIn: 4 };
const [like] = smallRelease().holes;
const row = [0.2, 1.5, 3, 4.5, 8.9].map((xIn, at): ReleasedHole => {
  if (!like) throw new Error('no hole');
  return { ...like, number: at + 1, xIn, yIn: 2 };
});
const release = { ...smallRelease(), holes: row };
const [run] = rivetRuns(release);
if (!run) throw new Error('no run');
/** a wall on the left, on the side of the shop heads, and no edge that a yoke comes over */
const walled = {
  ...OPEN,
  upstands: [{ id: 'w', side: 'left' as const, insetIn: 0, heightIn: 2, on: 'shop' as const }]
};
const parts = (access = walled, tools = STARTING_TOOLS) =>
  reachedRuns(run, release, OUTLINE, access, tools).map((part) => ({
    holes: part.holes.map(({ number }) => number),
    key: part.key,
    chosen: drivingWays(part, OUTLINE, access, tools).chosen
  }));

describe('what reaches each hole', () => {
  it('tells hole by hole what the parts of the run tell', () => {
    const ways = (access = walled) => [
      ...holeWays(release, OUTLINE, access, STARTING_TOOLS).values()
    ];
    expect(ways()).toEqual([null, 'buck', 'buck', 'buck', 'buck']);
    expect(ways({ ...walled, closedMember: true })).toEqual(Array(5).fill('remote-bar'));
    // a yoke over the left edge with a low wall: the first by it, others as deep as the throat lets it
    const left = {
      ...walled,
      edges: { ...walled.edges, left: 0 },
      upstands: walled.upstands.map((one) => ({ ...one, heightIn: 0.2 }))
    };
    expect(ways(left).slice(0, 1)).toEqual(['squeeze']);
    expect(ways(left).at(-1)).toBe('buck');
  });
});

describe('a run that is partly blocked', () => {
  it('is two: those that a bar reaches, and the others with no way', () => {
    expect(drivingWays(run, OUTLINE, walled, STARTING_TOOLS).chosen).toBeNull();
    expect(parts()).toEqual([
      { holes: [2, 3, 4, 5], key: run.key, chosen: 'buck' },
      { holes: [1], key: run.key, chosen: null }
    ]);
  });

  it('gives the others a way of their own where there is one', () => {
    // a yoke comes over the left edge, on whose other face nothing stands: its wall is lower than the gap lets by
    const access = {
      ...walled,
      edges: { ...walled.edges, left: 0 },
      upstands: walled.upstands.map((one) => ({ ...one, heightIn: 0.2 }))
    };
    const found = parts(access);
    expect(found[0]).toMatchObject({ holes: [2, 3, 4, 5], chosen: 'buck' });
    expect(found[1]).toMatchObject({ holes: [1], chosen: 'squeeze' });
  });

  it('stays whole where one way fits all, and where none is reached', () => {
    expect(reachedRuns(run, release, OUTLINE, OPEN, STARTING_TOOLS)).toEqual([run]);
    const noBar = { ...STARTING_TOOLS, bars: [] };
    expect(reachedRuns(run, release, OUTLINE, walled, noBar)).toEqual([run]);
    const low = { ...walled, shopRoomIn: 0.1 };
    expect(reachedRuns(run, release, OUTLINE, low, STARTING_TOOLS)).toEqual([run]);
  });
});
