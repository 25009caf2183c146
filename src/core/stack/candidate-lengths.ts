import { workLine, type Answer, type WorkLine } from '../answer.ts';
import { by, len } from '../notation.ts';
import { headLimits } from '../catalog/head-limits.ts';
import { LONGEST_LENGTH_DASH, rivetSize, SHORTEST_LENGTH_DASH } from '../catalog/rivets.ts';
import type { RuleProfile } from '../rules/profile.ts';
import type { Alloy, Dash, Head, HeadLimitsName } from '../schema/fields.ts';
import { floorTo, same } from '../units/tolerance.ts';
import { writeLengthDash, writePartNumber } from './part-number.ts';
import { predictHead, type PredictHeadResult } from './predict-head.ts';
import type { WideHoles } from './wide-holes.ts';
import { IDEAL_PROTRUSION_D, protrusionInWindow } from './rivet-length.ts';

/** Why a length is not simply good; multiples of D. */
export type LengthAgainst =
  | { code: 'outside'; protrusionD: number; overD: number; underD: number }
  | {
      code: 'no-height';
      diameterD: { low: number; high: number };
      heightD: { low: number; high: number };
    };

/** A length beside the chosen one. `stop`: outside the protrusion window; `attention`: its volume makes no good head. */
export interface CandidateLength {
  partNumber: string;
  lengthDash: string;
  lengthIn: number;
  protrusionIn: number;
  protrusionD: number;
  head: Answer<PredictHeadResult>;
  verdict: 'good' | 'attention' | 'stop';
  /** what keeps it from being good; null where nothing does */
  against: LengthAgainst | null;
  /** what it risks against the ideal */
  risk: 'short' | 'long' | 'none';
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
  /** the metal of the head is what stands beyond the dimple */
  dimpledThrough: boolean;
  /** from where the shop's school names the protrusion: this much beyond the flat stack */
  namedFromIn: number;
  holeIn: number;
  /** what the shank loses into sheets that are drilled larger */
  wide: WideHoles;
  pickedIn: number | null;
  /** what its head is held against, where not by the shop's limits */
  limits?: HeadLimitsName;
}

/** Neighbours shown on each side of the ideal. */
const EACH_SIDE = 3;

const riskOf = (protrusionD: number): CandidateLength['risk'] =>
  protrusionD < IDEAL_PROTRUSION_D ? 'short' : protrusionD > IDEAL_PROTRUSION_D ? 'long' : 'none';

/**
 * Lengths round the ideal with what each would do: protrusion, the head to expect, a verdict with its reason.
 *
 * @param profile its stocked lengths, window and head limits
 * @returns shortest first, in steps of a sixteenth, or of a thirty-second where half sizes are stocked
 * @source stack-up
 */
export function candidateLengths(
  {
    dash,
    head,
    alloy,
    gripIn,
    dimpledThrough,
    namedFromIn,
    holeIn,
    wide,
    pickedIn,
    limits: own
  }: LengthsToWeigh,
  profile: RuleProfile
): CandidateLength[] {
  const limits = own ?? profile.headLimits;
  const D = rivetSize(dash).diameterIn;
  const stepsPerIn = profile.increments === 'half' ? 32 : 16;
  const { protrusionMinD, protrusionMaxD } = profile.multipliers;
  const { diameterD, heightD } = headLimits(limits);
  const below = floorTo((gripIn + namedFromIn + IDEAL_PROTRUSION_D * D) * stepsPerIn);
  const steps = Array.from({ length: 2 * EACH_SIDE }, (_, at) => below - EACH_SIDE + 1 + at);
  return steps.flatMap((step): CandidateLength[] => {
    const lengthIn = step / stepsPerIn;
    const sixteenths = lengthIn * 16;
    if (sixteenths < SHORTEST_LENGTH_DASH || sixteenths > LONGEST_LENGTH_DASH) return [];
    const protrusionIn = lengthIn - gripIn - namedFromIn;
    if (protrusionIn <= 0) return [];
    const protrusionD = protrusionIn / D;
    const predicted = predictHead(
      {
        dash,
        head,
        gripIn,
        lengthIn,
        holeIn,
        limits,
        dimpled: dimpledThrough
      },
      wide
    );
    const inWindow = protrusionInWindow(protrusionD, profile.multipliers);
    const band = predicted.ok && predicted.result.heightBandD !== null;
    const verdict = !inWindow ? 'stop' : band ? 'good' : 'attention';
    const against: LengthAgainst | null = !inWindow
      ? { code: 'outside', protrusionD, overD: protrusionMinD, underD: protrusionMaxD }
      : band
        ? null
        : { code: 'no-height', diameterD, heightD };
    return [
      {
        partNumber: writePartNumber('MS', head, alloy, dash, sixteenths),
        lengthDash: writeLengthDash(sixteenths),
        lengthIn,
        protrusionIn,
        protrusionD,
        head: predicted,
        verdict,
        against,
        risk: riskOf(protrusionD),
        picked: pickedIn !== null && same(lengthIn, pickedIn),
        work: [
          workLine(
            'protrusion',
            namedFromIn === 0
              ? by`L − G = ${len(lengthIn)} − ${len(gripIn)}`
              : by`L − G − head, from the dimple = ${len(lengthIn)} − ${len(gripIn)} − ${len(namedFromIn)}`,
            protrusionIn,
            'in'
          ),
          workLine('protrusion in D', by`${len(protrusionIn)} / ${len(D)}`, protrusionD, 'D'),
          ...(predicted.ok ? predicted.work : [])
        ]
      }
    ];
  });
}
