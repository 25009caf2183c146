import { hash } from 'ohash';
import type { Joint } from '../kinds/joint.ts';
import type { JointLayout } from '../plan/plan-shape.ts';
import { PART } from './rests-changed.ts';
import type { MadeStep } from './step-parts.ts';

/** What a tick rests on, as short fingerprints of its metal, its places and its setting: where one differs, what was ticked off
 * is no longer there. */
export interface Rests {
  /** of the step as a whole */
  whole: string;
  /** of each hole that may be ticked alone, by its number */
  holes: ReadonlyMap<number, string>;
}

const FINGERPRINT_LENGTH = 12;
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
    joint.sheets.map(({ id, material, film, thicknessIn, endThicknessIn, fromIn, toIn }) => [
      id,
      material,
      film,
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
  return ({ said: { op }, holes = [], rests = null }) => {
    const own = fingerprint([op, rests]);
    return {
      whole: [metal, BEFORE_HOLES.includes(op) ? '-' : everyPlace, own].join(PART),
      holes: new Map(
        holes.map((number) => [number, [metal, places.get(number) ?? '', own].join(PART)])
      )
    };
  };
}
