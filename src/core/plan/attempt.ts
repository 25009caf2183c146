import type { Joint } from '../kinds/joint.ts';
import type { WayToTry } from '../kinds/kind.ts';
import type { WayOut, WaySaid } from '../joint/way-out.ts';
import type { RuleProfile } from '../rules/profile.ts';
import { plan, planAsWished } from './plan.ts';
import type { Plan } from './plan-shape.ts';
import { workingWays } from './ways-out.ts';

/** What can be drawn of a joint that is not possible as it stands. */
export interface Attempt {
  joint: Joint;
  /** laid as wished, its holes held against the limits; null where there is no room for that either */
  wished: Plan | null;
  /** of those laid as wished the ones that cannot be: all of them where no single one is to blame */
  cannot: number[];
  /** the nearest change that would do with the same sheets, width and cut-out */
  ghost: { way: WayOut; joint: Joint; plan: Plan } | null;
}

/** Ways out that ask for no other sheet, width or cut-out: a ghost over the same drawing shows them. */
const KEEPS_METAL: ReadonlySet<WaySaid['code']> = new Set<WaySaid['code']>([
  'insert-edge',
  'usual-edge',
  'size',
  'rows-chosen',
  'rows-staggered',
  'rows-in-line',
  'lines-along',
  'two-lines',
  'rings',
  'no-insert',
  'attachment-only',
  'universal-heads'
]);

function holesThatCannotBe({ layout, holes }: Plan): number[] {
  if (!layout.ok) return [];
  const broken = layout.result.checks.filter(({ ok }) => !ok).flatMap((check) => check.holes);
  return broken.length > 0 ? [...new Set(broken)] : holes.map(({ number }) => number);
}

/**
 * What a refused joint looks like, for the eye: which holes cannot be, and what would be instead.
 *
 * @param failed its plan
 * @returns null where its layout is possible
 * @throws never
 */
export function attempt(joint: Joint, profile: RuleProfile, failed: Plan): Attempt | null {
  if (failed.layout.ok) return null;
  const wished = failed.needs.every(({ required }) => required.ok)
    ? planAsWished(joint, profile)
    : null;
  let kept: WayToTry | null = null;
  for (const way of workingWays(joint, profile, failed)) {
    if (!KEEPS_METAL.has(way.said.code)) continue;
    kept = way;
    break;
  }
  const changed = kept && ({ ...joint, ...kept.read } as Joint);
  return {
    joint,
    wished: wished?.layout.ok ? wished : null,
    cannot: wished ? holesThatCannotBe(wished) : [],
    ghost:
      kept && changed
        ? {
            way: { said: kept.said, change: kept.change },
            joint: changed,
            plan: plan(changed, profile)
          }
        : null
  };
}
