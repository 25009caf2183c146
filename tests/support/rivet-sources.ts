import { HoleLook } from '../../src/core/inspect/hole-look';
import type { HoleEvent } from '../../src/core/inspect/hole-events';
import type { DriveEvent } from '../../src/core/driving/drive-events';
import { DriveMove } from '../../src/core/driving/drive-move';
import type { Release } from '../../src/core/release/release';
import { reworkStream } from '../../src/core/reworking/rework-events';
import type { ReworkEvent } from '../../src/core/reworking/rework-subject';
import { NO_REWORK } from '../../src/core/reworking/rework-state';
import { ReworkMove } from '../../src/core/reworking/rework-moves';
import { DEFAULT_PROFILE } from '../../src/core/rules/profile';
import { rivetRecords, type RivetSources } from '../../src/core/records/rivet-record';

export const BEGAN = Date.parse('2031-06-03T07:00:00Z');
export const at = (minutes: number) => new Date(BEGAN + minutes * 60_000).toISOString();
export const ILSE = '0d5bb3a2-3a4e-4c36-9f0e-0a5a3a3b1c01';
export const BENN = '0d5bb3a2-3a4e-4c36-9f0e-0a5a3a3b1c02';
export const TOMAS = '0d5bb3a2-3a4e-4c36-9f0e-0a5a3a3b1c03';
export const BATCH = '0d5bb3a2-3a4e-4c36-9f0e-0a5a3a3b1c0b';
export const PART = 'MS20470AD5-6';
export const room = { edgeIn: 0.42, pitchIn: 0.8, betweenRowsIn: null, sheetsIn: [0.06, 0.07] };
export const hole = (number: number) => ({
  number,
  row: 1,
  xIn: number * 0.8,
  yIn: 0.42,
  markIn: number * 0.8,
  stack: 0,
  dash: 5 as const,
  gripIn: 0.13,
  room
});
export const RELEASE = {
  facts: {
    practice: false,
    dash: 5,
    head: 'universal',
    partNumber: PART,
    gripIn: 0.13,
    lengthIn: 0.375,
    holeIn: 0.159,
    widthIn: 4,
    overlapIn: 0.84,
    limits: 'standard',
    limitsReference: null,
    keptClosed: null,
    blinds: [],
    throughPlastic: null,
    bound: null,
    predictedIn3: 0.0046,
    rules: DEFAULT_PROFILE,
    stacks: []
  },
  holes: [hole(1), hole(2)],
  heldOpen: []
} satisfies Pick<Release, 'facts' | 'holes' | 'heldOpen'>;

let made = 0;
export const stamp = (minutes: number, person: string) => ({
  id: `00000000-0000-4000-8000-${String((made += 1)).padStart(12, '0')}`,
  at: at(minutes),
  person
});
export const drive = (minutes: number, move: object, person = BENN): DriveEvent => ({
  ...DriveMove.parse({ ...stamp(minutes, person), ...move }),
  by: 'somebody',
  frozen: { partNumber: PART, cold: null }
});
export const look = (
  minutes: number,
  verdict: HoleEvent['frozen']['verdict'],
  more: object = {}
): HoleEvent => ({
  ...HoleLook.parse({
    ...stamp(minutes, TOMAS),
    kind: 'checked',
    hole: 1,
    diameterIn: 0.234,
    heightIn: 0.078,
    flags: [],
    clean: ['manufactured', 'shop', 'sheet'],
    ...more
  }),
  by: 'Tomas',
  frozen: { verdict, findings: [], diameterD: 1.5, heightD: 0.5, cannotTell: [], seat: null }
});
export const reworked = (...moves: [number, object][]) => {
  let state = NO_REWORK;
  for (const [minutes, move] of moves) {
    const parsed = ReworkMove.parse({ ...stamp(minutes, ILSE), ...move });
    const may = reworkStream.follow(RELEASE, state, parsed);
    if (!may.ok) throw new Error(may.error.said.code);
    const event = { ...parsed, by: 'Ilse', frozen: may.result } as ReworkEvent;
    state = reworkStream.project(RELEASE, [event], state);
  }
  return state;
};
export const records = (sources: Partial<RivetSources>, holes = [1, 2]) =>
  rivetRecords(
    {
      release: RELEASE,
      rework: NO_REWORK,
      driving: [],
      heads: [],
      batchLots: new Map(),
      settings: [],
      ...sources
    },
    holes
  );
