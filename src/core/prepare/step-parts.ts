import { workLine, type WorkLine } from '../answer.ts';
import { by, len } from '../notation.ts';
import type { PlannedHole } from '../plan/holes.ts';
import type { StepHazard, StepSaid } from './step-said.ts';

/** A step as its part of the list makes it: its time is reckoned once all are there. */
export interface MadeStep {
  key?: string;
  said: StepSaid;
  count: number;
  hazard?: StepHazard;
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
        by`thickest grip of these holes + 1/32 past it = ${len(gripIn)} + ${len(PAST_IN)}`,
        stopIn,
        'in'
      )
    ]
  };
}
