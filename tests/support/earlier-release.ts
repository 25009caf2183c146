import { HoleLook } from '../../src/core/inspect/hole-look';
import { holeStream, type HoleEvent } from '../../src/core/inspect/hole-events';
import { drivenNow, driveStream, type DriveEvent } from '../../src/core/driving/drive-events';
import { headsOf } from '../../src/core/releases/release-now';
import { DriveMove } from '../../src/core/driving/drive-move';
import type { Release, ReleasedHole } from '../../src/core/release/release';
import { reworkStream } from '../../src/core/reworking/rework-events';
import type { ReworkEvent } from '../../src/core/reworking/rework-subject';
import { NO_REWORK } from '../../src/core/reworking/rework-state';
import { ReworkMove } from '../../src/core/reworking/rework-moves';
import { DEFAULT_PROFILE } from '../../src/core/rules/profile';
import type { EarlierRelease, SinceRelease } from '../../src/core/releases/since-release';

export const PERSON = '0d5bb3a2-3a4e-4c36-9f0e-0a5a3a3b1c01';
export const BEGAN = Date.parse('2031-08-12T07:00:00Z');
export const room = { edgeIn: 0.45, pitchIn: 0.9, betweenRowsIn: null, sheetsIn: [0.051, 0.064] };
export const stackOf = (partNumber: string, holeIn = 0.1285) => ({
  name: '',
  dash: 4 as const,
  partNumber,
  lengthIn: 0.3125,
  holeIn,
  dimpledThrough: false,
  raisedIn: 0,
  wideIn3: 0
});
export const PART = 'MS20470AD4-5';
export const hole = (number: number, changes: Partial<ReleasedHole> = {}): ReleasedHole => ({
  number,
  row: 1,
  xIn: number * 0.9,
  yIn: 0.45,
  markIn: number * 0.9,
  stack: 0,
  dash: 4,
  gripIn: 0.115,
  room,
  ...changes
});
export const FACTS: Release['facts'] = {
  practice: false,
  dash: 4,
  head: 'universal',
  partNumber: PART,
  gripIn: 0.115,
  lengthIn: 0.3125,
  holeIn: 0.1285,
  widthIn: 6,
  overlapIn: 0.9,
  limits: 'standard',
  limitsReference: null,
  keptClosed: null,
  blinds: [],
  throughPlastic: null,
  bound: null,
  predictedIn3: 0.0022,
  rules: DEFAULT_PROFILE,
  stacks: [stackOf(PART)]
};
export const RELEASE = {
  id: '0d5bb3a2-3a4e-4c36-9f0e-0a5a3a3b1c11',
  number: 1,
  facts: FACTS,
  holes: [1, 2, 3, 4].map((number) => hole(number)),
  heldOpen: []
};

let made = 0;
export const stamp = (minutes: number) => ({
  id: `00000000-0000-4000-8000-${String((made += 1)).padStart(12, '0')}`,
  at: new Date(BEGAN + minutes * 60_000).toISOString(),
  person: PERSON
});

/** A release as it was driven, inspected and reworked; moves by their minute, a tap also by the minute that is stated for it. */
export function earlier(
  moves: {
    taps?: ([number, number] | [number, number, number])[];
    looks?: [number, number][];
    rework?: [number, object][];
  },
  release: EarlierRelease['release'] = RELEASE,
  since: SinceRelease | null = null
): EarlierRelease {
  let rework = NO_REWORK;
  for (const [minutes, move] of moves.rework ?? []) {
    const parsed = ReworkMove.parse({ ...stamp(minutes), ...move });
    const may = reworkStream.follow(release, rework, parsed);
    if (!may.ok) throw new Error(may.error.said.code);
    const event = { ...parsed, by: 'Ilse', frozen: may.result } as ReworkEvent;
    rework = reworkStream.project(release, [event], rework);
  }
  const driving = (moves.taps ?? []).map(([minutes, at, stated]): DriveEvent => ({
    ...DriveMove.parse({
      ...stamp(minutes),
      kind: 'driven',
      hole: at,
      batch: null,
      ...(stated === undefined ? {} : { stated: stamp(stated).at })
    }),
    by: 'Ilse',
    frozen: { partNumber: PART, cold: null }
  }));
  const heads = (moves.looks ?? []).map(([minutes, at]): HoleEvent => ({
    ...HoleLook.parse({
      ...stamp(minutes),
      kind: 'checked',
      hole: at,
      diameterIn: 0.19,
      heightIn: 0.062,
      flags: []
    }),
    by: 'Ilse',
    frozen: {
      verdict: 'accept',
      findings: [],
      diameterD: 1.52,
      heightD: 0.496,
      cannotTell: [],
      seat: null
    }
  }));
  const drive = driveStream.project({ ...release, batches: [], rework }, driving);
  return {
    release,
    driving,
    rework,
    since,
    drive,
    states: holeStream.project(headsOf(release, rework, drivenNow(drive)), heads)
  };
}
export const DRIVEN: [number, number][] = [
  [1, 1],
  [2, 2],
  [3, 3],
  [4, 4]
];

export const NO_SINCE: SinceRelease = {
  issue: 'before',
  release: 0,
  carried: [],
  again: [],
  gone: [],
  replaced: [],
  blind: [],
  changes: []
};

/** The rivet of hole 2 removed, and the hole measured: it takes the next size. */
export const REPLACED: [number, object][] = [
  [10, { kind: 'out', hole: 2, school: 'under-shank', how: 'plain' }],
  [11, { kind: 'measured', hole: 2, widestIn: 0.137, seen: [] }]
];
