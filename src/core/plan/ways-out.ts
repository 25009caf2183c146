import { DASHES, rivetSize } from '../catalog/rivets.ts';
import { kindOf, type Joint } from '../kinds/joint.ts';
import type { WayToTry } from '../kinds/kind.ts';
import { plainWay } from '../kinds/shared/rows-kind.ts';
import { plan } from './plan.ts';
import type { Plan } from './plan-shape.ts';
import type { RuleProfile } from '../rules/profile.ts';
import type { WayOut } from '../joint/way-out.ts';

const MOST_WAYS = 3;

/** Fails in the joint's own chain: carry, layout, length. A refused head prediction follows from these. */
const possible = (tried: Plan): boolean =>
  tried.needs.every(({ required }) => required.ok) &&
  tried.layout.ok &&
  tried.stacks.every(({ length }) => length.ok);

/** Another edge distance or another size, whatever the kind: between other rows, another shape and a wider joint. */
function commonWays(joint: Joint, failed: Plan): WayToTry[] {
  const bySize = DASHES.filter((dash) => dash !== failed.dash).sort(
    (a, b) => Math.abs(a - failed.dash) - Math.abs(b - failed.dash)
  );
  return [
    ...(joint.edgeIn === null
      ? []
      : [
          {
            said: { code: 'usual-edge' as const },
            change: { edgeIn: '' },
            read: { edgeIn: null },
            rank: 1 as const
          }
        ]),
    ...bySize.map((dash) =>
      plainWay({ code: 'size', dash, diameterIn: rivetSize(dash).diameterIn }, { dash }, 2)
    ),
    // the last to be offered: only data may say that a joint carries nothing
    ...('carries' in joint && joint.carries === 'guidance'
      ? [plainWay({ code: 'attachment-only' }, { carries: 'attach' }, 3)]
      : [])
  ];
}

function waysToTry(joint: Joint, { multipliers }: RuleProfile, failed: Plan): WayToTry[] {
  const { diameterIn } = failed;
  const own = kindOf(joint).waysOut(joint, { diameterIn, pitchMinD: multipliers.pitchMinD });
  return [...own, ...commonWays(joint, failed)].sort((a, b) => a.rank - b.rank);
}

/** Every way to try that works, nearest first, found one by one as they are asked for. */
export function* workingWays(
  joint: Joint,
  profile: RuleProfile,
  failed: Plan
): Generator<WayToTry> {
  if (possible(failed)) return;
  for (const way of waysToTry(joint, profile, failed))
    if (possible(plan({ ...joint, ...way.read } as Joint, profile))) yield way;
}

/**
 * The nearest changes that make an impossible joint possible, each tried through the plan itself.
 *
 * @returns up to three, nearest first; empty when the joint is possible or no single change helps
 */
export function waysOut(joint: Joint, profile: RuleProfile, failed: Plan): WayOut[] {
  const found: WayOut[] = [];
  for (const { said, change } of workingWays(joint, profile, failed)) {
    found.push({ said, change });
    if (found.length === MOST_WAYS) break;
  }
  return found;
}
