import type { WorkLine } from '../answer.ts';
import { drillIn } from '../catalog/drills.ts';
import { rivetSize } from '../catalog/rivets.ts';
import { byId } from '../joint/item-id.ts';
import type { Joint } from '../kinds/joint.ts';
import { oversize, type OversizeResult } from '../rework/oversize.ts';
import type { RuleProfile } from '../rules/profile.ts';
import type { Dash } from '../schema/fields.ts';
import { isUnder } from '../units/tolerance.ts';
import type { HoleHeadroom } from './headroom.ts';
import type { PlannedHole } from './holes.ts';

/** What an existing hole is for the rivet planned in it. */
export type ExistingStanding =
  'not-measured' | 'riveted' | 'too-small' | 'fits' | 'next-size' | 'refer';

/** An existing hole as it was found, held against the planned rivet; inches. */
export interface ExistingHole {
  hole: number;
  name: string;
  /** as measured; null while nobody has */
  holeIn: number | null;
  dash: Dash;
  standing: ExistingStanding;
  /** what it is reamed or drilled to where it is too small */
  drill: string;
  drillIn: number;
  /** the next size that would fill it; null where none would, or none is needed */
  next: { dash: Dash; partNumber: string | null } | null;
  /** what stands against the next size */
  fails: OversizeResult['fails'];
  work: WorkLine[];
}

/**
 * Every existing hole that gets a rivet, by what was measured of it: too small, good for the planned size, for the next one, or
 * for none. A hole with its rivet still in it is measured when that is out.
 *
 * @source rivets (nominal hole), layout (existing holes) and rework; calculation `oversize`
 */
export function existingHoles(
  joint: Pick<Joint, 'fixed' | 'head'>,
  plan: { holes: readonly PlannedHole[]; headroom: readonly HoleHeadroom[] },
  profile: RuleProfile
): ExistingHole[] {
  return plan.holes.flatMap((hole, at) => {
    const fixed = hole.fixed === null ? null : byId(joint.fixed, hole.fixed);
    const growth = plan.headroom[at];
    if (fixed?.kind !== 'existing' || hole.state !== 'rivet' || !growth) return [];
    const { nominalHoleIn, drill: drills } = rivetSize(hole.dash);
    const drill = drills[profile.drill];
    const { holeIn } = fixed;
    const found: ExistingHole = {
      hole: hole.number,
      name: fixed.name,
      holeIn,
      dash: hole.dash,
      standing: fixed.state === 'riveted' ? 'riveted' : 'not-measured',
      drill,
      drillIn: drillIn(drill),
      next: null,
      fails: [],
      work: []
    };
    if (holeIn === null || fixed.state === 'riveted') return [found];
    // written alike it is at it: a plug of 0.1285 reads 0.1285
    if (isUnder(holeIn, nominalHoleIn)) return [{ ...found, standing: 'too-small' }];
    const { edgeIn, pitchIn } = growth.room;
    const decided = oversize(
      {
        dash: hole.dash,
        head: joint.head,
        holeIn,
        edgeIn,
        pitchesIn: Number.isFinite(pitchIn) ? [pitchIn] : [],
        sheetsIn: [...growth.sheetsIn],
        increments: profile.increments,
        school: profile.drill
      },
      profile.multipliers
    );
    if (!decided.ok) return [{ ...found, standing: 'refer' }];
    const { decision, dash, partNumber, fails } = decided.result;
    return [
      {
        ...found,
        standing: decision === 'keep' ? 'fits' : decision,
        next: decision === 'next-size' ? { dash, partNumber } : null,
        fails,
        work: decided.work
      }
    ];
  });
}
