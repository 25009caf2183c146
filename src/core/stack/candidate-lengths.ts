import { num, workLine, type Answer, type WorkLine } from '../answer.ts';
import { HEAD_LIMITS } from '../catalog/head-limits.ts';
import { LONGEST_LENGTH_DASH, rivetSize, SHORTEST_LENGTH_DASH } from '../catalog/rivets.ts';
import type { RuleProfile } from '../rules/profile.ts';
import type { Alloy, Dash, Head } from '../schema/fields.ts';
import { floorTo, same } from '../units/tolerance.ts';
import { writeLengthDash, writePartNumber } from './part-number.ts';
import { predictHead, type PredictHeadResult } from './predict-head.ts';
import { IDEAL_PROTRUSION_D, protrusionInWindow } from './rivet-length.ts';

/** A length beside the chosen one. `stop`: outside the protrusion window; `attention`: its volume makes no good head. */
export interface CandidateLength {
  partNumber: string;
  lengthDash: string;
  lengthIn: number;
  protrusionIn: number;
  protrusionD: number;
  head: Answer<PredictHeadResult>;
  verdict: 'good' | 'attention' | 'stop';
  /** why, and what this length risks against the ideal */
  why: string;
  /** the one that the profile's school takes */
  picked: boolean;
  work: WorkLine[];
}

/** What lengths are weighed for; inches. `pickedIn` is null where no rivet is long enough. */
export interface LengthsToWeigh {
  dash: Dash;
  head: Head;
  alloy: Alloy;
  gripIn: number;
  /** the grip that the head is reckoned from: further out at a raised dimple */
  headGripIn: number;
  holeIn: number;
  pickedIn: number | null;
}

/** Neighbours shown on each side of the ideal. */
const EACH_SIDE = 3;

function risk(protrusionD: number, good: boolean): string {
  if (protrusionD < IDEAL_PROTRUSION_D)
    return good
      ? 'a little short: stop early, the head is the smaller'
      : 'short: little metal, the head comes out small or low';
  if (protrusionD > IDEAL_PROTRUSION_D)
    return good
      ? 'a little long: easier to drive full, folds more easily'
      : 'long: folds over, or spreads too wide before it is low enough';
  return 'one and a half diameters: the nominal head';
}

/**
 * Lengths round the ideal with what each would do: protrusion, the head to expect, a verdict with its reason.
 *
 * @param profile its stocked lengths, window and head limits
 * @returns shortest first, in steps of a sixteenth, or of a thirty-second where half sizes are stocked
 * @source handbook 4.3
 */
export function candidateLengths(
  { dash, head, alloy, gripIn, headGripIn, holeIn, pickedIn }: LengthsToWeigh,
  profile: RuleProfile
): CandidateLength[] {
  const D = rivetSize(dash).diameterIn;
  const stepsPerIn = profile.increments === 'half' ? 32 : 16;
  const { protrusionMinD, protrusionMaxD } = profile.multipliers;
  const { diameterD, heightD } = HEAD_LIMITS[profile.headLimits];
  const below = floorTo((gripIn + IDEAL_PROTRUSION_D * D) * stepsPerIn);
  const steps = Array.from({ length: 2 * EACH_SIDE }, (_, at) => below - EACH_SIDE + 1 + at);
  return steps.flatMap((step): CandidateLength[] => {
    const lengthIn = step / stepsPerIn;
    const sixteenths = lengthIn * 16;
    if (sixteenths < SHORTEST_LENGTH_DASH || sixteenths > LONGEST_LENGTH_DASH) return [];
    const protrusionIn = lengthIn - gripIn;
    if (protrusionIn <= 0) return [];
    const protrusionD = protrusionIn / D;
    const predicted = predictHead({
      dash,
      head,
      gripIn: headGripIn,
      lengthIn,
      holeIn,
      limits: profile.headLimits
    });
    const inWindow = protrusionInWindow(protrusionD, profile.multipliers);
    const band = predicted.ok && predicted.result.heightBandD !== null;
    const verdict = !inWindow ? 'stop' : band ? 'good' : 'attention';
    const outside = `${num(Math.round(protrusionD * 100) / 100)} D, must be over ${protrusionMinD} and under ${protrusionMaxD} D`;
    const noBand = `at no height both ${diameterD.low}–${diameterD.high} D wide and ${heightD.low}–${heightD.high} D high`;
    return [
      {
        partNumber: writePartNumber('MS', head, alloy, dash, sixteenths),
        lengthDash: writeLengthDash(sixteenths),
        lengthIn,
        protrusionIn,
        protrusionD,
        head: predicted,
        verdict,
        why: `${!inWindow ? `${outside}; ` : band ? '' : `${noBand}; `}${risk(protrusionD, verdict === 'good')}`,
        picked: pickedIn !== null && same(lengthIn, pickedIn),
        work: [
          workLine('protrusion', `L − G = ${num(lengthIn)} − ${num(gripIn)}`, protrusionIn, 'in'),
          workLine('protrusion in D', `${num(protrusionIn)} / ${num(D)}`, protrusionD, 'D'),
          ...(predicted.ok ? predicted.work : [])
        ]
      }
    ];
  });
}
