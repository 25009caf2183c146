import type { WorkLine } from '../answer.ts';
import { drillIn } from '../catalog/drills.ts';
import { rivetSize } from '../catalog/rivets.ts';
import { removal, type RemovalInput } from '../rework/removal.ts';
import type { Dash, Head } from '../schema/fields.ts';

export type RemovalSchool = RemovalInput['school'];

/** One step of taking a rivet out; lengths in inches. */
export type RemovalStep =
  | { code: 'center'; head: Head }
  | { code: 'drill-head'; drill: string; drillIn: number; headIn: number }
  | { code: 'lever' }
  | { code: 'support' }
  | { code: 'punch'; mostIn: number }
  | { code: 'collapse'; drill: string }
  | { code: 'hold-shop-head' }
  | { code: 'look' };

export interface RemovalWalk {
  steps: RemovalStep[];
  /** the other school's drill, and what its own risks */
  other: { school: RemovalSchool; drill: string; drillIn: number };
  /** a drill over this cuts the hole itself, in */
  neverOver: { drill: string; drillIn: number };
  work: readonly WorkLine[];
}

/** How the rivet comes out: as usual, with its shank swelled between the sheets, or spinning under the drill. */
export type HowOut = 'plain' | 'swelled' | 'spinning';

/**
 * A rivet taken out step by step, so that the hole stays as it is.
 *
 * @param holeDrill the drill that its hole was made with
 * @source rework
 */
export function removalWalk(
  dash: Dash,
  head: Head,
  school: RemovalSchool,
  how: HowOut,
  holeDrill: string
): RemovalWalk {
  const asked = removal({ dash, school });
  const otherSchool: RemovalSchool = school === 'under-shank' ? 'hole-drill' : 'under-shank';
  const other = removal({ dash, school: otherSchool });
  if (!asked.ok || !other.ok) throw new Error('every standard size has a removal drill');
  const { drill, drillIn: sizeIn, punchMaxIn } = asked.result;
  const out: RemovalStep[] =
    how === 'swelled'
      ? [{ code: 'collapse', drill }, { code: 'support' }, { code: 'punch', mostIn: punchMaxIn }]
      : [{ code: 'support' }, { code: 'punch', mostIn: punchMaxIn }];
  return {
    steps: [
      { code: 'center', head },
      ...(how === 'spinning' ? ([{ code: 'hold-shop-head' }] as const) : []),
      { code: 'drill-head', drill, drillIn: sizeIn, headIn: rivetSize(dash).head[head].heightIn },
      { code: 'lever' },
      ...out,
      { code: 'look' }
    ],
    other: { school: otherSchool, drill: other.result.drill, drillIn: other.result.drillIn },
    neverOver: { drill: holeDrill, drillIn: drillIn(holeDrill) },
    work: asked.work
  };
}
