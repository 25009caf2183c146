import { hash } from 'ohash';
import type { Joint } from '../kinds/joint.ts';
import type { JointLayout } from '../plan/plan-shape.ts';
import type { MadeStep } from './step-parts.ts';

/** What a tick rests on, as short fingerprints: where one differs, what was ticked off is no longer there. */
export interface Rests {
  /** of the step as a whole */
  whole: string;
  /** of each hole that may be ticked alone, by its number */
  holes: ReadonlyMap<number, string>;
}

const FINGERPRINT_LENGTH = 16;
const PLACES = 4;

const fingerprint = (of: unknown): string => hash(of).slice(0, FINGERPRINT_LENGTH);

/** Steps before any rivet hole: a row that moves does not undo them. */
const BEFORE_HOLES: readonly MadeStep['said']['op'][] = [
  'relief',
  'cutOut',
  'cutPart',
  'fit',
  'stopDrill'
];

/**
 * Fingerprints of every step of a joint as it is now: its metal, the places and sizes of its holes, and what the step's
 * own setting rests on. Words are no part of them.
 */
export function restsOf(joint: Joint, layout: JointLayout): (step: MadeStep) => Rests {
  const metal = fingerprint(
    joint.sheets.map(({ id, material, thicknessIn, endThicknessIn, fromIn, toIn }) => [
      id,
      material,
      thicknessIn,
      endThicknessIn,
      fromIn,
      toIn
    ])
  );
  const places = new Map(
    layout.holes.map(({ number, xIn, yIn, dash }) => [
      number,
      `${xIn.toFixed(PLACES)},${yIn.toFixed(PLACES)}/${dash}`
    ])
  );
  const everyPlace = fingerprint([...places]);
  return ({ said: { op }, count, holes = [], rests = null }) => {
    const own = fingerprint([metal, rests]);
    return {
      whole: fingerprint([own, op, count, BEFORE_HOLES.includes(op) ? '' : everyPlace]),
      holes: new Map(holes.map((number) => [number, `${places.get(number) ?? ''}:${own}`]))
    };
  };
}
