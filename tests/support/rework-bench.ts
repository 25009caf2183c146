import { expect } from 'vitest';
import type { Release } from '../../src/core/release/release.ts';
import type { ReworkEvent, ReworkSubject } from '../../src/core/reworking/rework-subject.ts';
import { reworkStream } from '../../src/core/reworking/rework-events.ts';
import { ReworkMove } from '../../src/core/reworking/rework-moves.ts';
import { NO_REWORK, type ReworkState } from '../../src/core/reworking/rework-state.ts';
import { DEFAULT_PROFILE } from '../../src/core/rules/profile.ts';

export const MINUTE = 60_000;
export const BEGAN = Date.parse('2031-05-02T08:00:00Z');
export const room = { edgeIn: 0.4, pitchIn: 0.9, betweenRowsIn: null, sheetsIn: [0.05, 0.06] };
export const hole = (number: number) => ({
  number,
  row: 1,
  xIn: number,
  yIn: 0.4,
  markIn: number,
  stack: 0,
  dash: 4 as const,
  gripIn: 0.11,
  room
});
export const RELEASE = {
  facts: {
    practice: false,
    dash: 4,
    head: 'universal',
    partNumber: 'MS20470AD4-5',
    gripIn: 0.11,
    lengthIn: 0.3125,
    holeIn: 0.1285,
    widthIn: 9,
    overlapIn: 1,
    limits: 'standard',
    limitsReference: null,
    keptClosed: null,
    blinds: [],
    throughPlastic: null,
    bound: null,
    predictedIn3: 0.0022,
    rules: DEFAULT_PROFILE,
    stacks: []
  },
  holes: [hole(1), hole(2), hole(3)],
  heldOpen: [{ ...hole(4), reason: 'latch' }]
} satisfies Pick<Release, 'facts' | 'holes' | 'heldOpen'>;

let made = 0;
export const stamped = (minutes: number, move: object) =>
  ReworkMove.parse({
    id: `00000000-0000-4000-8000-${String((made += 1)).padStart(12, '0')}`,
    at: new Date(BEGAN + minutes * MINUTE).toISOString(),
    ...move
  });
export const OUT = { kind: 'out', school: 'under-shank', how: 'plain' };

/** Follows moves to their end; a move that may not follow is an error. */
export class Bench {
  state: ReworkState = NO_REWORK;
  constructor(readonly subject: ReworkSubject = RELEASE) {}
  try(minutes: number, move: object) {
    const made = stamped(minutes, move);
    const may = reworkStream.follow(this.subject, this.state, made);
    if (may.ok) {
      const event = { ...made, by: 'Ilse', frozen: may.result } as ReworkEvent;
      this.state = reworkStream.project(this.subject, [event], this.state);
    }
    return { ...may, id: made.id };
  }
  do(minutes: number, move: object): string {
    const { ok, id } = this.try(minutes, move);
    expect(ok).toBe(true);
    return id;
  }
  stage(number: number) {
    return this.state.holes.get(number)?.stage ?? null;
  }
}
