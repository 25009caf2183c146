import type { Joint } from '../kinds/joint.ts';
import type { PlannedHole } from './holes.ts';
import type { KindLayout } from '../kinds/kind-layout.ts';
import type { RuleProfile } from '../rules/profile.ts';
import type { Dash } from '../schema/fields.ts';
import { asRanges } from '../units/ranges.ts';
import { heldAt, layersOf, varies, type HeldSheet } from '../stack/layers.ts';
import { rivetFor, type StackToPlan } from './plan-stack.ts';

/** What tells one group of rivets from another where layers change: the sheets there, the length and the flush method. */
function placeKey(
  hole: PlannedHole,
  held: readonly HeldSheet[],
  joint: Joint,
  profile: RuleProfile
) {
  const { length, flush } = rivetFor(held, hole.dash, joint, profile);
  return [
    length.ok ? length.result.lengthDash : 'none',
    flush?.ok ? flush.result.method : '',
    ...held.map(({ name, sheet }) => sheet ?? name)
  ].join(':');
}

/** Holes that take one rivet. */
interface Group {
  spec: number;
  holes: PlannedHole[];
}

/**
 * Groups holes into stacks that take one rivet each, and tells every hole its group.
 *
 * @returns the groups in the order in which the holes meet them; at least one
 */
export function groupStacks(
  holes: PlannedHole[],
  kind: KindLayout,
  joint: Joint,
  profile: RuleProfile,
  usual: Dash
): StackToPlan[] {
  const changing = kind.stackings.map(({ layers }) => varies(layers, kind.widthIn));
  const layersUnder = (hole: PlannedHole | undefined) =>
    kind.stackings[hole?.stack ?? 0]?.layers ?? [];
  const groups = new Map<string, Group>();
  let before = null as (Group & { dash: Dash; place: string }) | null;
  for (const hole of holes) {
    const { stack: spec, dash } = hole;
    const place = changing[spec]
      ? placeKey(hole, heldAt(layersUnder(hole), hole.xIn), joint, profile)
      : '';
    // mostly it is of the group of the one before: a key for each of thousands costs more than the rest
    if (before?.spec !== spec || before.dash !== dash || before.place !== place) {
      const key = `${spec}:${dash}:${place}`;
      let group = groups.get(key);
      if (!group) groups.set(key, (group = { spec, holes: [] }));
      before = { ...group, dash, place };
    }
    before.holes.push(hole);
  }
  const stacks = [...groups.values()].map(({ spec, holes: members }, at): StackToPlan => {
    const [first] = members;
    const middle = members[members.length >> 1] ?? first;
    const sheets = heldAt(layersUnder(middle), middle?.xIn ?? 0);
    const name = kind.stackings[spec]?.name ?? 'the stack';
    const numbered = () => `holes ${asRanges(members.map((hole) => hole.number))}`;
    for (const hole of members) hole.stack = at;
    let min = Infinity;
    let max = 0;
    for (const { gripIn } of members) {
      min = Math.min(min, gripIn);
      max = Math.max(max, gripIn);
    }
    return {
      name: !changing[spec]
        ? name
        : kind.stackings.length > 1
          ? `${name}, ${numbered()}`
          : numbered(),
      sheets,
      dash: first?.dash ?? usual,
      rivets: members.filter((hole) => hole.state === 'rivet').length,
      gripsIn: { min, max }
    };
  });
  return stacks.length > 0 ? stacks : [bareStack(joint, usual)];
}

/** All sheets over each other: the stack of a joint that cannot be laid out. */
export const bareStack = (joint: Joint, dash: Dash): StackToPlan => ({
  name: 'the stack',
  sheets: heldAt(layersOf(joint.sheets, null), 0),
  dash,
  rivets: 0,
  gripsIn: null
});
