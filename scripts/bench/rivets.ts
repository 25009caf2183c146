import { HoleLook } from '../../src/core/inspect/hole-look.ts';
import type { HoleEvent } from '../../src/core/inspect/hole-events.ts';
import type { DriveEvent } from '../../src/core/driving/drive-events.ts';
import { DriveMove } from '../../src/core/driving/drive-move.ts';
import { recorded } from '../../src/core/events/stream.ts';
import { rivetRecords, type RivetSources } from '../../src/core/records/rivet-record.ts';
import { NO_REWORK } from '../../src/core/reworking/rework-state.ts';
import { smallRelease } from '../../tests/support/small-release.ts';
import { plainTap } from '../plain-tap.ts';

const BEGAN = Date.parse('2031-05-02T08:00:00Z');

/** A release of so many rivets, each hit twice and measured twice. */
function sourcesOf(rivets: number): RivetSources {
  const release = smallRelease();
  const [like] = release.holes;
  if (!like) throw new Error('the small release has no hole');
  let made = 0;
  const stamp = (hole: number, afterS: number) => ({
    id: `6b1f6e0e-93ad-4d5a-9c3c-${String((made += 1)).padStart(12, '0')}`,
    at: new Date(BEGAN + hole * 20_000 + afterS * 1000).toISOString(),
    person: '6b1f6e0e-93ad-4d5a-9c3c-000000000001'
  });
  const numbers = Array.from({ length: rivets }, (_, at) => at + 1);
  const hit = (hole: number, afterS: number): DriveEvent =>
    recorded(DriveMove.parse({ ...stamp(hole, afterS), ...plainTap(hole) }), {
      by: 'Hand 01',
      frozen: { partNumber: 'MS20470AD5-6', cold: null }
    });
  const look = (hole: number, afterS: number): HoleEvent =>
    recorded(
      HoleLook.parse({
        ...stamp(hole, afterS),
        kind: 'eyed',
        hole,
        flags: [],
        clean: ['manufactured', 'sheet']
      }),
      {
        by: 'Hand 02',
        frozen: {
          verdict: 'accept',
          findings: [],
          diameterD: 1.5,
          heightD: 0.5,
          cannotTell: [],
          seat: null
        }
      }
    );
  return {
    release: { ...release, holes: numbers.map((number) => ({ ...like, number })) },
    rework: NO_REWORK,
    driving: numbers.flatMap((hole) => [hit(hole, 0), hit(hole, 4)]),
    heads: numbers.flatMap((hole) => [look(hole, 60_000), look(hole, 90_000)]),
    batchLots: new Map(),
    settings: []
  };
}

/** Records of a whole release, by its size: four times the rivets are to take no more than four and a half times as long. */
export function rivetRows(secondsPerCall: (call: () => void) => number): string[] {
  const measured = [500, 2000].map((rivets) => {
    const sources = sourcesOf(rivets);
    const holes = sources.release.holes.map(({ number }) => number);
    return { rivets, seconds: secondsPerCall(() => rivetRecords(sources, holes)) };
  });
  const first = measured[0]?.seconds ?? NaN;
  return measured.map(
    ({ rivets, seconds }) =>
      `| ${rivets.toLocaleString('en')} | ${(seconds * 1000).toFixed(1)} ms | ${(seconds / first).toFixed(1)} × |`
  );
}
