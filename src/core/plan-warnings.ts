import { num } from './answer.ts';
import { HEAD_LIMITS } from './catalog/head-limits.ts';
import { rivetSize } from './catalog/rivets.ts';
import type { LapJoint } from './joint/lap.ts';
import type { HeadroomLimit } from './layout/headroom.ts';
import type { LayoutCheck } from './layout/row-layout.ts';
import type { Plan, PlanWarning } from './plan-shape.ts';
import type { RuleProfile } from './rules/profile.ts';

/** A layout with more than this share over the needed rivets is called poor work, not safety. */
const MORE_THAN_NEEDED = 1.25;

const CHECK_NAMES: Record<LayoutCheck['rule'], string> = {
  'edge-min': 'Edge distance is under its least',
  'edge-max': 'Edge distance is over its largest: a loose flap beyond the rivets',
  'pitch-min': 'Pitch is under its least',
  'pitch-max': 'Pitch is over its largest',
  'snapped-edge-min': 'On this ruler an end mark comes too close to the edge',
  'snapped-pitch-min': 'On this ruler two marks come closer than the least pitch',
  'snapped-pitch-max': 'On this ruler two marks are further apart than the largest pitch',
  'transverse-min': 'Rows are too close',
  'centre-min': 'Rivets of neighbouring rows are too close'
};

/** What stops the next size, as a sentence goes on. */
const HEADROOM_WORDS: Record<HeadroomLimit, string> = {
  edge: 'the edge distance is too short for it',
  pitch: 'the pitch is too short for it',
  'between-rows': 'the rows are too close for it',
  flush: 'its flush head would go through the sheet',
  length: 'no such rivet is long enough',
  'no-larger-size': 'there is no larger size'
};

type Derived = Omit<Plan, 'warnings'>;

function carryWarnings(definition: LapJoint, derived: Derived): PlanWarning[] {
  const found: PlanWarning[] = [];
  const say = (title: string, text: string) =>
    found.push({ station: 'carry', level: 'attention', title, text });
  const rule = derived.diameter.byRule;
  if (rule.ok && rule.result.warnings.includes('larger-than-standard'))
    say(
      'Larger than any standard rivet',
      `3 t is ${num(rule.result.ruleDiameterIn)} in; dash 8 is the largest.`
    );
  if (rule.ok && rule.result.warnings.includes('smaller-than-standard'))
    say(
      'Smaller than any standard rivet',
      `3 t is ${num(rule.result.ruleDiameterIn)} in; dash 3 is the smallest.`
    );
  if (derived.required.ok && definition.head === 'countersunk')
    say(
      'Flush heads carry less',
      'The rivets-per-inch guidance is for protruding heads. Use the aircraft’s own data for flush rivets.'
    );
  if (derived.required.ok && definition.alloy === 'A')
    say(
      'Alloy A is for non-structural work',
      'The rivets-per-inch guidance is for AD rivets; A shears at a third of that.'
    );
  else if (derived.required.ok && definition.alloy === 'B')
    say(
      'Alloy B shears at less than AD',
      'The rivets-per-inch guidance is for AD rivets (28 against 30 ksi).'
    );
  if (
    derived.required.ok &&
    derived.required.result.requiredExact > derived.required.result.required
  )
    say(
      'The unrounded figure asks for more',
      `${num(derived.required.result.perInchExact)} an inch gives ${derived.required.result.requiredExact}; the tables’ one decimal gives ${derived.required.result.required}.`
    );
  return found;
}

function layoutWarnings(derived: Derived): PlanWarning[] {
  if (!derived.layout.ok) return [];
  const { checks, total } = derived.layout.result;
  const found: PlanWarning[] = checks
    .filter((check) => !check.ok)
    .map((check) => ({
      station: 'lay-out',
      level: 'stop',
      title: CHECK_NAMES[check.rule],
      text: `${num(check.valueIn)} in against a limit of ${num(check.limitIn)} in.`
    }));
  const needed = derived.required.ok ? derived.required.result.required : total;
  if (total > MORE_THAN_NEEDED * needed)
    found.push({
      station: 'lay-out',
      level: 'attention',
      title: 'You have more than needed',
      text: `${total} rivets where ${needed} carry the load: each extra hole weakens the sheet.`
    });
  return found;
}

function flushWarnings(derived: Derived): PlanWarning[] {
  if (!derived.flush?.ok) return [];
  const { method, margin } = derived.flush.result;
  const headIn = num(rivetSize(derived.dash).head.countersunk.heightIn);
  if (method === 'none')
    return [
      {
        station: 'stack',
        level: 'stop',
        title: margin === 'knife-edge' ? 'Knife edge' : 'No standard flush method',
        text: `A dash ${derived.dash} flush head is ${headIn} in high. Use a smaller rivet or a thicker top sheet, or refer to engineering.`
      }
    ];
  return margin === 'marginal'
    ? [
        {
          station: 'stack',
          level: 'attention',
          title: 'Countersink is marginal',
          text: 'The cut takes more than ⅔ of its sheet: permitted, not preferred.'
        }
      ]
    : [];
}

function stackWarnings(derived: Derived, profile: RuleProfile): PlanWarning[] {
  const found = flushWarnings(derived);
  if (derived.length.ok && !derived.length.result.inWindow)
    found.push({
      station: 'stack',
      level: 'stop',
      title: 'Protrusion outside its window',
      text: `${num(derived.length.result.protrusionD)} D; it must be over ${profile.multipliers.protrusionMinD} D and under ${profile.multipliers.protrusionMaxD} D.`
    });
  if (derived.head.ok && derived.head.result.heightBandD === null) {
    const { diameterD, heightD } = HEAD_LIMITS[profile.headLimits];
    found.push({
      station: 'stack',
      // Attention, not stop: the equivalent cylinder overstates a barrel-shaped head.
      level: 'attention',
      title: 'By its volume this length makes no good head',
      text: `At no height is it both ${diameterD.low}–${diameterD.high} D wide and ${heightD.low}–${heightD.high} D high.`
    });
  }
  return found;
}

/** Said once: where a hole that grows could not be saved by the next size. */
function headroomWarnings(derived: Derived): PlanWarning[] {
  const none = derived.headroom.filter((hole) => hole.largestDash === derived.dash);
  const [first] = none;
  if (!first) return [];
  const holes =
    none.length === derived.headroom.length ? 'No hole has' : `${none.length} holes have no`;
  return [
    {
      station: 'lay-out',
      level: 'attention',
      title: `${holes} room for a larger rivet`,
      text: `If a hole grows in rework it cannot go up a size: ${HEADROOM_WORDS[first.limitedBy]}.`
    }
  ];
}

/** Every warning of a plan, in the order of the work. */
export const planWarnings = (
  definition: LapJoint,
  profile: RuleProfile,
  derived: Derived
): PlanWarning[] => [
  ...carryWarnings(definition, derived),
  ...layoutWarnings(derived),
  ...headroomWarnings(derived),
  ...stackWarnings(derived, profile)
];
