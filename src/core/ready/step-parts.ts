import { num, workLine, type WorkLine } from '../answer.ts';
import type { PlannedHole } from '../plan/holes.ts';
import type { Operation } from './operations.ts';

export const CAUTIONS = {
  drill:
    'Eye protection; clamp small parts; no gloves near a turning drill; a backing block behind, never a hand.',
  edges: 'Chips and edges cut: gloves for handling, none near the drill.',
  air: 'Disconnect the air before touching the cutter.',
  dimple: 'Fingers out of the yoke: it closes with thousands of pounds.',
  primer: 'Gloves, ventilation, and the product’s data sheet.'
} as const;

/** A step as its part of the list makes it: its time is reckoned once all are there. */
export interface MadeStep {
  key?: string;
  op: Operation;
  title: string;
  say?: string;
  tool?: string;
  setting?: string;
  count: number;
  caution?: string;
  holes?: number[];
  formula?: string;
  /** fingerprint of what a cage's setting for it rests on; countersinking only */
  cageRests?: string;
  /** figures of its setting: where they change, it is to be done again */
  rests?: unknown;
  /** how its setting comes about */
  settingWork?: WorkLine[];
}

export const numbersOf = (holes: readonly PlannedHole[]): number[] =>
  holes.map(({ number }) => number);

/** How far past the sheets the full size of a step drill goes before its stop touches. */
const PAST_IN = 1 / 32;

/**
 * Where the stop of a step drill is set, from the shoulder of its full size.
 *
 * @param holes those it drills; @returns inches, and the arithmetic
 */
export function stepDrillStop(holes: readonly PlannedHole[]): { stopIn: number; work: WorkLine[] } {
  const gripIn = holes.reduce((most, hole) => Math.max(most, hole.gripIn), 0);
  const stopIn = gripIn + PAST_IN;
  return {
    stopIn,
    work: [
      workLine(
        'step-drill stop',
        `thickest grip of these holes + 1/32 past it = ${num(gripIn)} + ${num(PAST_IN)}`,
        stopIn,
        'in'
      )
    ]
  };
}
