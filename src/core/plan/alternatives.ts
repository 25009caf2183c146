import { looksSame } from '../units/tolerance.ts';
import { rivetSize } from '../catalog/rivets.ts';
import { kindOf, type EnteredJoint, type Joint } from '../kinds/joint.ts';
import type { OtherWay } from '../kinds/kind.ts';
import { readEntered } from '../kinds/read-entered.ts';
import type { Plan } from './plan-shape.ts';
import { plan } from './plan.ts';
import type { RuleProfile } from '../rules/profile.ts';
import { DASHES } from '../catalog/rivets.ts';
import type { Dash } from '../schema/fields.ts';
import { stopsOf } from './stops.ts';
import type { WayOut } from '../joint/way-out.ts';

/** One other way to lay the same joint out, with what tells it from the rest. */
export interface Alternative {
  name: string;
  change: WayOut['change'];
  rivets: number;
  /** rivet lines */
  lines: number;
  dash: Dash;
  pitchIn: number;
  pitchD: number;
  /** lap, strap or doubler across the rows */
  acrossIn: number;
  massLb: number;
  /** holes that could take a larger rivet in rework */
  withRoom: number;
  /** limits broken, so that it cannot be released as it stands */
  stops: number;
  /** it is what the joint has now */
  current: boolean;
}

/** One size up and down; a tapered member's sizes are its zones'. */
function sizeWays(joint: Joint, dash: Dash): OtherWay[] {
  if (
    new Set(
      kindOf(joint)
        .widths(joint, dash)
        .map((width) => width.dash)
    ).size > 1
  )
    return [];
  const at = DASHES.indexOf(dash);
  return [DASHES[at + 1], DASHES[at - 1]]
    .filter((size) => size !== undefined)
    .map((size) => ({
      name: `One size ${size > dash ? 'up' : 'down'}: dash ${size}`,
      change: { dash: size }
    }));
}

function measure({ name, change }: OtherWay, planned: Plan): Alternative | null {
  if (!planned.layout.ok || planned.stacks.some(({ length }) => !length.ok)) return null;
  const { rivets, lines, pitchIn, widthIn, heightIn, parts, figures } = planned.layout.result;
  const strapIn = figures.find(({ key }) => key === 'strap')?.valueIn;
  const sizes = new Map(planned.holes.map((hole) => [hole.number, hole.dash]));
  return {
    name,
    change,
    rivets,
    lines: lines.length,
    dash: planned.dash,
    pitchIn,
    pitchD: pitchIn / rivetSize(planned.dash).diameterIn,
    acrossIn:
      strapIn ?? (parts.some(({ outline }) => outline.shape === 'circle') ? widthIn : heightIn),
    massLb: (planned.mass?.rivetsLb ?? 0) + (planned.mass?.metalLb ?? 0),
    withRoom: planned.headroom.filter((hole) => hole.largestDash > (sizes.get(hole.hole) ?? 8))
      .length,
    stops: stopsOf(planned).length,
    current: false
  };
}

const sameAs = (a: Alternative, b: Alternative): boolean =>
  a.rivets === b.rivets &&
  a.lines === b.lines &&
  a.dash === b.dash &&
  looksSame(a.pitchIn, b.pitchIn) &&
  looksSame(a.acrossIn, b.acrossIn);

/**
 * Other layouts of the same joint side by side, each planned whole: fewest rivets, the house pitch, rows in line
 * and staggered, one size up and down.
 *
 * @returns the present layout first; those that cannot be laid out, and repeats, are left out
 * @source layout, the schools of pitch and rows
 */
export function alternatives(
  entered: EnteredJoint,
  joint: Joint,
  profile: RuleProfile,
  now: Plan
): Alternative[] {
  const present = measure({ name: 'Current', change: {} }, now);
  const found: Alternative[] = present ? [{ ...present, current: true }] : [];
  for (const candidate of [...kindOf(joint).otherWays(joint), ...sizeWays(joint, now.dash)]) {
    const changed = readEntered({ ...entered, ...candidate.change } as EnteredJoint);
    if (!changed.ok) continue;
    const measured = measure(candidate, plan(changed.definition, profile));
    if (!measured) continue;
    const twin = found.find((other) => sameAs(other, measured));
    // The present layout keeps its place and takes the name of the school it follows.
    if (twin?.current && twin.name === 'Current') twin.name = measured.name;
    else if (!twin) found.push(measured);
  }
  return found;
}
