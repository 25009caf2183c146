import type { Joint } from '../joint/kinds.ts';
import type { PlannedHole } from '../layout/holes.ts';
import type { KindLayout } from '../layout/kinds/kind-layout.ts';
import type { RuleProfile } from '../rules/profile.ts';
import type { Dash } from '../schema/fields.ts';
import { atLeast, atMost } from '../units/tolerance.ts';
import type { StackToPlan } from './plan-stack.ts';
import { rivetLength } from './rivet-length.ts';
import type { ZoneLayer } from './zones.ts';

/** The sheets that lie at a place along a member, each as thick as it is there. */
function sheetsAt(layers: readonly ZoneLayer[], xIn: number): StackToPlan['sheets'] {
  return layers.flatMap(({ name, fromIn, toIn, thicknessAtFromIn, thicknessAtToIn }) => {
    if (!atLeast(xIn, fromIn) || !atMost(xIn, toIn)) return [];
    const share = (xIn - fromIn) / (toIn - fromIn);
    return [
      { name, thicknessIn: thicknessAtFromIn + share * (thicknessAtToIn - thicknessAtFromIn) }
    ];
  });
}

/** Rising numbers as one writes them: 1, 2, 3, 7 → `1–3, 7`. */
export function asRanges(numbers: readonly number[]): string {
  const ranges: [number, number][] = [];
  for (const number of numbers) {
    const last = ranges.at(-1);
    if (last?.[1] === number - 1) last[1] = number;
    else ranges.push([number, number]);
  }
  return ranges.map(([from, to]) => (from === to ? `${from}` : `${from}–${to}`)).join(', ');
}

/** What tells one group of rivets from another: stack, size, and where layers change the length they take. */
function groupKey(hole: PlannedHole, kind: KindLayout, joint: Joint, profile: RuleProfile): string {
  if (!kind.layers) return `${hole.stack}:${hole.dash}`;
  const length = rivetLength(
    {
      sheetsIn: [hole.gripIn],
      dash: hole.dash,
      head: joint.head,
      alloy: joint.alloy,
      increments: profile.increments,
      lean: profile.lean,
      dimpled: false
    },
    profile.multipliers
  );
  const layersThere = sheetsAt(kind.layers, hole.xIn).length;
  return `${length.ok ? length.result.lengthDash : 'none'}:${hole.dash}:${layersThere}`;
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
  const groups = new Map<string, { at: number; holes: PlannedHole[] }>();
  for (const hole of holes) {
    const key = groupKey(hole, kind, joint, profile);
    const group = groups.get(key) ?? { at: groups.size, holes: [] };
    group.holes.push(hole);
    groups.set(key, group);
  }
  const stacks = [...groups.values()].map(({ at, holes: members }): StackToPlan => {
    const [first] = members;
    const middle = members[members.length >> 1] ?? first;
    const spec = kind.stacks[first?.stack ?? 0];
    for (const hole of members) hole.stack = at;
    const grips = members.map((hole) => hole.gripIn);
    const numbers = members.map((hole) => hole.number);
    const min = grips.reduce((a, b) => Math.min(a, b), Infinity);
    const max = grips.reduce((a, b) => Math.max(a, b), 0);
    return {
      name: kind.layers || !spec ? `holes ${asRanges(numbers)}` : spec.name,
      sheets:
        kind.layers && middle ? sheetsAt(kind.layers, middle.xIn) : (spec?.sheets ?? joint.sheets),
      dash: first?.dash ?? usual,
      rivets: members.filter((hole) => hole.state === 'rivet').length,
      gripsIn: { min, max }
    };
  });
  return stacks.length > 0
    ? stacks
    : [{ name: 'the stack', sheets: joint.sheets, dash: usual, rivets: 0, gripsIn: null }];
}
