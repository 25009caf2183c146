import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { pageWithServer } from '../../../tests/support/fake-server.ts';
import { happened, idOf, instant } from '../../../tests/support/histories.ts';
import { smallRelease } from '../../../tests/support/small-release.ts';
import { holeStream } from '$core/inspect/hole-events.ts';
import { driveStream } from '$core/driving/drive-events.ts';
import { STARTING_FIGURES } from '$core/prepare/shop-figures.ts';
import { releaseNow } from '$core/releases/release-now.ts';
import { reworkStream } from '$core/reworking/rework-events.ts';
import { setWhoIsHere } from '../client/who';
import { ReleaseDesks } from './release-desks.svelte';

const RELEASE = smallRelease();
const at = (n: number) => ({ id: idOf(900 + n), at: instant(n) });
const drove = (hole: number, n: number) => ({ kind: 'driven', hole, batch: null, ...at(n) });
/** Dash 5: 1.5 D by 0.5 D is good, 0.3 D is too low. */
const looked = (hole: number, heightIn: number, n: number) => ({
  kind: 'checked',
  hole,
  diameterIn: 0.234,
  heightIn,
  flags: [],
  looked: ['straight', 'flat'],
  clean: ['manufactured', 'sheet'],
  ...at(n)
});

/** Rivet 2 is driven, too low, taken out and driven anew; 3 is taken out and its hole is too wide for its size; 5 to 12 are not driven. */
const driving = happened(driveStream, { ...RELEASE, batches: [] }, [
  drove(1, 1),
  drove(2, 2),
  drove(3, 3),
  drove(4, 4),
  drove(2, 60)
]);
const rework = happened(reworkStream, RELEASE, [
  { kind: 'out', hole: 2, school: 'under-shank', how: 'plain', ...at(30) },
  { kind: 'measured', hole: 2, widestIn: 0.16, seen: [], ...at(31) },
  { kind: 'out', hole: 3, school: 'under-shank', how: 'plain', ...at(32) },
  { kind: 'measured', hole: 3, widestIn: 0.19, seen: [], ...at(33) }
]);
const heads = happened(holeStream, RELEASE, [
  looked(1, 0.078, 10),
  looked(2, 0.045, 11),
  looked(2, 0.078, 70),
  looked(3, 0.045, 12)
]);

let desks: ReleaseDesks;
let end: () => void;
beforeEach(() => {
  vi.useFakeTimers({ now: Date.parse(instant(200)) });
  pageWithServer();
  setWhoIsHere('6b1f6e0e-93ad-4d5a-9c3c-000000000001');
  desks = new ReleaseDesks(RELEASE, { rework, driving, heads }, 'Ilse', () => STARTING_FIGURES);
  end = desks.hold();
});
afterEach(() => {
  end();
  setWhoIsHere(null);
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('the desks of one release', () => {
  it('come to what the server reads of the same logs', () => {
    expect([driving.length, rework.length, heads.length]).toEqual([5, 4, 4]);
    const server = releaseNow({ release: RELEASE, batches: [], driving, heads, reworks: rework });
    expect(desks.rework.state).toEqual(server.rework);
    expect(desks.drive.state).toEqual(server.drive);
    expect(desks.drive.order).toEqual(server.order);
    expect(desks.heads.states).toEqual(server.states);
    expect(desks.heads.due).toEqual(server.due);
    expect([...desks.heads.left]).toEqual([...server.left]);
    expect(desks.rework.now).toEqual(server.release);
    expect(desks.heads.release).toEqual(server.release);
  });

  it('hold a head against the rivet that is in: the one drilled out lends nothing', () => {
    expect(desks.heads.verdictOf(1)).toBe('accept');
    // the new rivet was looked at by itself
    expect(desks.heads.states.get(2)?.counted).toHaveLength(1);
    expect(desks.heads.verdictOf(2)).toBe('accept');
    expect([...desks.heads.driven.hitAt.keys()].sort()).toEqual([1, 2, 4]);
  });

  it('let a tap that is not stored count for what is due', () => {
    const before = desks.heads.driven.hitAt.size;
    expect(desks.drive.tap('good')).toBe(true);
    expect(desks.heads.driven.hitAt.size).toBe(before + 1);
  });
});
