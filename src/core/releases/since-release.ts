import { z } from 'zod';
import type { HoleState } from '../inspect/hole-events.ts';
import type { DriveEvent, DriveState } from '../driving/drive-events.ts';
import type { Release } from '../release/release.ts';
import { ReplacedRivet } from '../reworking/replaced-rivet.ts';
import type { HoleRework, ReworkState } from '../reworking/rework-state.ts';

export const AgainWhy = z.enum([
  'new-hole',
  'another-rivet',
  'another-hole',
  'another-grip',
  'other-sheets',
  'less-room',
  'old-rivet',
  'other-limits',
  'empty',
  'not-driven',
  'not-looked-at'
]);
/** Why a head of a new release has to be driven or looked at, though there was an earlier one. */
export type AgainWhy = z.output<typeof AgainWhy>;

/** Whether what is planned is no longer what is in the hole: that one comes out first. */
export const isAnotherRivet = (why: AgainWhy): boolean =>
  why !== 'other-limits' && why !== 'not-looked-at' && why !== 'not-driven';

const hole = z.int().min(1);
export const SinceRelease = z.strictObject({
  issue: z.string(),
  release: z.int().min(1),
  /** heads taken over as they were logged there: driven, and where `looked` looked at */
  carried: z.array(z.strictObject({ hole, was: hole, looked: z.boolean() })),
  /** heads to be driven or looked at, with the hole there; `inIt`: a rivet of the earlier release is in it */
  again: z.array(z.strictObject({ hole, was: hole.nullable(), why: AgainWhy, inIt: z.boolean() })),
  /** holes of earlier releases with a rivet in them, where this one has none: by their release and place, until a hole is there again */
  gone: z.array(
    z.strictObject({ release: z.int().min(1), hole, xIn: z.number(), yIn: z.number() })
  ),
  /** rivets replaced there by another size or length, which the new release takes over */
  replaced: z.array(
    z.strictObject({
      hole,
      rivet: ReplacedRivet,
      /** what the plan has for it: what the next release is compared with */
      planned: z.strictObject({ partNumber: z.string(), holeIn: z.number() })
    })
  ),
  /** holes with an approved blind fastener in them, which the new release takes over */
  blind: z.array(z.strictObject({ hole, fastener: z.string() })),
  /** fields of the joint that differ, as typed */
  changes: z.array(z.strictObject({ path: z.string(), was: z.string(), now: z.string() }))
});
/** What a release changed against the one before it, frozen with it. */
export type SinceRelease = z.output<typeof SinceRelease>;

/** A release with everything that was logged of it. */
export interface EarlierRelease {
  release: Pick<Release, 'id' | 'number' | 'facts' | 'holes' | 'heldOpen'>;
  driving: readonly DriveEvent[];
  drive: DriveState;
  states: ReadonlyMap<number, HoleState>;
  rework: ReworkState;
  /** what it took over itself; null for a first release */
  since: SinceRelease | null;
}

/** The rivet that a hole’s own was replaced by; null where it is as planned. */
export const replacedBy = (rework: HoleRework | undefined) =>
  rework?.stage === 'ready' || rework?.stage === 'left' ? rework.rivet : null;
