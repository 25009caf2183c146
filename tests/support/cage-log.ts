import { setupOf } from './cages';
import type { Unstamped } from '../../src/core/events/stream';
import {
  CageMove,
  cageStream,
  type CageEvent,
  type ReadingFrom
} from '../../src/core/prepare/cage/setting';
import type { CageSetup } from '../../src/core/prepare/cage/setup';
import { refusal } from './words';

export const SETUP = setupOf();
export const AT = '2026-11-23T10:00:00.000Z';
export const idOf = (number: number): string =>
  `00000000-0000-4000-8000-${String(number).padStart(12, '0')}`;

export type Loose = Unstamped<CageMove>;
export const follow = (setup: CageSetup, events: readonly CageEvent[], move: CageMove) =>
  cageStream.follow(setup, cageStream.project(setup, events), move);
export const moveOf = (number: number, move: Loose): CageMove => ({
  ...move,
  id: idOf(number),
  at: AT
});
export const reading = (
  clicks: number,
  flushnessIn: number,
  from: ReadingFrom = 'typed'
): Loose => ({
  kind: 'reading',
  clicks,
  flushnessIn,
  from,
  cameUp: false,
  ring: false
});

/** Moves one after another, each as the server would store it; throws where one is refused. */
export function storing(setup: CageSetup, ...moves: Loose[]): CageEvent[] {
  const events: CageEvent[] = [];
  for (const [index, loose] of moves.entries()) {
    const move = moveOf(index + 1, loose);
    const may = follow(setup, events, move);
    if (!may.ok) throw new Error(refusal(may.error));
    events.push({ ...move, by: 'Odile Marn', frozen: may.result });
  }
  return events;
}
export const SET = [
  reading(9, 0.0015),
  reading(9, 0.0011),
  reading(9, 0.0013),
  { kind: 'finished', afterHoles: 0 }
] as const;
export const recheck = (afterHoles: number, flushnessIn: number): Loose => ({
  kind: 'recheck',
  afterHoles,
  flushnessIn,
  from: 'typed'
});
