import { reworkOf } from './rework-state';
import { holeStates, type HoleEvent } from '../../src/core/inspect/hole-events';
import type { NextHead } from '../../src/core/inspect/next-head';
import { NOT_DRIVEN, type DriveState, type HoleDriven } from '../../src/core/driving/drive-events';
import type { ReleasedFacts, ReleasedHole } from '../../src/core/release/release';
import { NO_REWORK, type HoleRework } from '../../src/core/reworking/rework-state';
import type { SignedMatter } from '../../src/core/signing/signed-matter';

export const NOTHING_DUE: NextHead = {
  next: null,
  reason: null,
  near: null,
  missing: [],
  due: [],
  required: 3,
  looked: 3,
  open: [],
  order: [1, 2, 3],
  work: []
};
export const driven = (changes: Partial<HoleDriven> = {}): HoleDriven => ({
  driven: true,
  at: '2031-05-02T08:00:00Z',
  hitAt: '2031-05-02T08:00:00Z',
  by: 'Benn',
  quick: null,
  batch: null,
  expired: false,
  late: '',
  people: [],
  stated: false,
  times: 1,
  before: null,
  ...changes
});
export const look = (hole: number, changes: Partial<HoleEvent> = {}): HoleEvent =>
  ({
    id: `00000000-0000-4000-8000-00000000000${hole}`,
    kind: 'checked',
    hole,
    at: '2031-05-02T09:00:00Z',
    diameterIn: 0.19,
    heightIn: 0.062,
    flags: [],
    by: 'Ilse',
    frozen: {
      verdict: 'accept',
      findings: [],
      diameterD: 1.52,
      heightD: 0.5,
      cannotTell: [],
      seat: null
    },
    ...changes
  }) as HoleEvent;
export const rework = (hole: number, stage: HoleRework['stage']): HoleRework =>
  reworkOf(hole, { stage, outAt: 1 });
export const HOLES = [1, 2, 3].map((number) => ({ number }) as ReleasedHole);
export const seen = (...events: HoleEvent[]) => holeStates([1, 2, 3], events);
/** Driving as it stands with rivets logged in some holes. */
export const drove = (...holes: number[]): DriveState => ({
  ...NOT_DRIVEN,
  holes: new Map(holes.map((hole) => [hole, driven()])),
  blows: new Map(holes.map((hole) => [hole, 1]))
});
export const matter = (changes: Partial<SignedMatter> = {}): SignedMatter => ({
  asReleased: { facts: {} as unknown as ReleasedFacts, holes: HOLES },
  release: {
    facts: {
      keptClosed: null,
      throughPlastic: null,
      bound: null,
      stacks: [],
      predictedIn3: null
    } as unknown as ReleasedFacts,
    holes: HOLES,
    heldOpen: []
  },
  drive: drove(1, 2, 3),
  states: seen(look(1), look(2), look(3)),
  rework: NO_REWORK,
  due: NOTHING_DUE,
  left: new Set(),
  earlier: [],
  since: null,
  sent: [],
  named: [],
  withoutLot: [],
  settings: [],
  steps: { done: 9, of: 9 },
  changedTo: null,
  oldWork: { findings: 0, open: 0 },
  ...changes
});
