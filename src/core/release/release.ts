import { z } from 'zod';
import type { PlannedHole } from '../plan/holes.ts';
import { OpenBlind } from '../plan/open-blind.ts';
import { BoundRule } from '../rules/bound-rules.ts';
import { INSPECTION_RELEASED } from '../rules/inspection.ts';
import { RuleProfile } from '../rules/profile.ts';
import { Dash, Head, HeadLimitsName } from '../schema/fields.ts';
import { predictHead } from '../stack/predict-head.ts';

/** What one stack of a release is riveted with; lengths in inches. */
const ReleasedStack = z.strictObject({
  name: z.string(),
  dash: Dash,
  partNumber: z.string(),
  lengthIn: z.number(),
  holeIn: z.number(),
  /** the far sheet is dimpled too; null in releases made while the shop's school decided it */
  dimpledThrough: z.boolean().nullable().default(null),
  /** in those, what the head was reckoned from beyond the grip */
  raisedIn: z.number().default(0),
  /** metal that goes into sheets that are drilled larger than the rivet's hole, in³ */
  wideIn3: z.number().default(0)
});

export const ReleasedFacts = z.strictObject({
  /** of a practice joint: it is signed by nobody, takes nothing from stock and qualifies no setting */
  practice: z.boolean().default(false),
  dash: Dash,
  head: Head,
  partNumber: z.string(),
  gripIn: z.number(),
  lengthIn: z.number(),
  holeIn: z.number(),
  widthIn: z.number(),
  overlapIn: z.number(),
  limits: HeadLimitsName,
  /** the data that they stand in, where they are the joint's own */
  limitsReference: z.string().nullable().default(null),
  /** by whose word the parts stay together with what drilling left between them; null where they come apart */
  keptClosed: z.string().nullable().default(null),
  /** by whose word solid rivets go through plastic; null where none do */
  throughPlastic: z.string().nullable().default(null),
  /** null when the plan could not predict a head */
  predictedIn3: z.number().nullable(),
  /** the rules it was planned under; null in releases made before they were frozen here too */
  rules: RuleProfile.extend(INSPECTION_RELEASED).nullable().default(null),
  /** what of those is not the shop’s own, as it was when this was released; null in releases made before that was told */
  bound: z.array(BoundRule).nullable().default(null),
  /** blind rivets planned for its open holes */
  blinds: z.array(OpenBlind.extend({ hole: z.int().min(1) })).default([]),
  /** empty in releases made when a joint had one stack: the figures above are then every hole's */
  stacks: z.array(ReleasedStack).default([])
});
/** What driving and checking need of a release, frozen with it; lengths in inches. */
export type ReleasedFacts = z.infer<typeof ReleasedFacts>;

export const ReleasedRoom = z.strictObject({
  edgeIn: z.number(),
  /** null where there is no neighbor */
  pitchIn: z.number().nullable(),
  betweenRowsIn: z.number().nullable(),
  sheetsIn: z.array(z.number())
});
/** What a larger rivet in a hole is held against: edges of every layer, neighbors, and the sheets there; inches. */
export type ReleasedRoom = z.output<typeof ReleasedRoom>;

/** One hole of a release. */
export interface ReleasedHole extends Pick<
  PlannedHole,
  'number' | 'row' | 'xIn' | 'yIn' | 'markIn' | 'stack'
> {
  dash: Dash;
  /** null in releases made when a joint had one grip */
  gripIn: number | null;
  /** null in releases made before it was frozen */
  room: ReleasedRoom | null;
}

/** A hole that gets no solid rivet, why, and the blind rivet that goes in it, if any. */
export interface HeldOpenHole extends ReleasedHole {
  reason: string;
  blind?: OpenBlind;
}

/** A frozen layout that driving and checking refer to. */
export interface Release {
  id: string;
  number: number;
  /** the joint's revision that was frozen */
  revision: number;
  issuedAt: string;
  issuedBy: string;
  facts: ReleasedFacts;
  /** the holes that get a rivet */
  holes: ReleasedHole[];
  /** drilled and never riveted, each with its reason */
  heldOpen: HeldOpenHole[];
}

/**
 * The head that volume predicts for one hole of a release, in³; null when none can be predicted.
 *
 * @source stack-up: grip and length are the hole's own
 */
export function predictedHeadIn3(facts: ReleasedFacts, hole: ReleasedHole): number | null {
  const stack = facts.stacks[hole.stack];
  if (!stack || hole.gripIn === null) return facts.predictedIn3;
  const head = predictHead(
    {
      dash: stack.dash,
      head: facts.head,
      gripIn: hole.gripIn + (stack.dimpledThrough === null ? stack.raisedIn : 0),
      lengthIn: stack.lengthIn,
      holeIn: stack.holeIn,
      limits: facts.limits,
      dimpled: stack.dimpledThrough ?? false
    },
    { volumeIn3: stack.wideIn3, work: [] }
  );
  return head.ok ? head.result.volumeIn3 : null;
}

/** The part numbers of a release, each once. */
export const releasedParts = (facts: ReleasedFacts): string[] =>
  facts.stacks.length === 0
    ? [facts.partNumber]
    : [...new Set(facts.stacks.map(({ partNumber }) => partNumber))];
