import { num } from '../answer.ts';
import { FAMILY_CONSTANTS } from '../catalog/families.ts';
import { GUIDED_AS } from '../catalog/strengths.ts';
import type { Joint } from '../kinds/joint.ts';
import type { HeadroomLimit } from './headroom.ts';
import type { CheckRule, HoleCheck } from '../kinds/kind-layout.ts';
import type { JointLayout, Plan, PlanWarning } from './plan-shape.ts';
import type { RuleProfile } from '../rules/profile.ts';
import { stackWarnings } from './stack-warnings.ts';

/** A layout with more than this share over the needed rivets is called poor work, not safety. */
const MORE_THAN_NEEDED = 1.25;

const CHECK_NAMES: Record<CheckRule, string> = {
  'edge-min': 'Edge distance is under its least',
  'edge-max': 'Edge distance is over its largest: a loose flap beyond the rivets',
  'pitch-min': 'Pitch is under its least',
  'pitch-max': 'Pitch is over its largest',
  'snapped-edge-min': 'On this ruler a mark comes too close to an edge',
  'snapped-pitch-min': 'On this ruler two marks come closer than the least pitch',
  'snapped-pitch-max': 'On this ruler two marks are further apart than the largest pitch',
  'transverse-min': 'Rows are too close',
  'centre-min': 'Rivets of neighbouring rows are too close',
  'open-gap': 'Over an open hole the rivets stand far apart',
  'keep-out': 'A hole lies in a keep-out',
  'bend-clear': 'The heads come into the bend',
  'no-metal': 'A hole lies where there is no metal'
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

function carryWarnings(definition: Joint, derived: Derived): PlanWarning[] {
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
  const guided = derived.required?.ok && derived.required.result.basis !== 'own-data';
  const told = definition.sheets.flatMap(({ name, material }) =>
    material === '' ? [] : [{ name, material, family: GUIDED_AS[material] }]
  );
  const other = told.find(({ family }) => family !== definition.family);
  if (guided && other)
    found.push({
      station: 'carry',
      level: 'attention',
      title: `${other.name} is ${other.material}`,
      text:
        other.family === null
          ? 'The rivets-per-inch guidance gives no figure for it: use the aircraft’s own data.'
          : `The guidance is read for ${FAMILY_CONSTANTS[definition.family].sheets}.`,
      ways:
        other.family === null
          ? []
          : [
              {
                text: `read it for ${FAMILY_CONSTANTS[other.family].sheets}`,
                change: { family: other.family }
              }
            ]
    });
  if (guided && definition.head === 'countersunk')
    say(
      'Flush heads carry less',
      'The rivets-per-inch guidance is for protruding heads. Use the aircraft’s own data for flush rivets.'
    );
  if (guided && definition.alloy === 'A')
    say(
      'Alloy A is for non-structural work',
      'The rivets-per-inch guidance is for AD rivets; A shears at a third of that.'
    );
  else if (guided && definition.alloy === 'B')
    say(
      'Alloy B shears at less than AD',
      'The rivets-per-inch guidance is for AD rivets (28 against 30 ksi).'
    );
  for (const { required, where } of derived.needs) {
    if (!required.ok || required.result.requiredExact <= required.result.required) continue;
    say(
      'The unrounded figure asks for more',
      `${num(required.result.perInchExact)} an inch gives ${required.result.requiredExact} ${where}; the tables’ one decimal gives ${required.result.required}.`
    );
  }
  if (derived.required?.ok && derived.required.result.basis === 'own-data')
    say(
      'The rivets an inch are this job’s own',
      `${num(derived.required.result.perInch)} an inch: ${definition.perInchReason}`
    );
  if (derived.required?.ok && derived.required.result.basis === 'double-shear')
    say(
      'Counted in double shear',
      'The printed guidance is for single shear. Cutting each rivet in two places halves its shear limit; the data must allow it.'
    );
  if (derived.needs.length === 0)
    say(
      'This joint only holds parts together',
      'No load is counted: the fewest rivets within the largest pitch are laid out.'
    );
  return found;
}

/** With a capital letter. */
const sentence = (text: string): string => `${text[0]?.toUpperCase() ?? ''}${text.slice(1)}`;

const checkText = ({ rule, limitIn, valueIn, holes }: HoleCheck): string => {
  const where =
    holes.length === 0
      ? ''
      : ` Hole${holes.length > 1 ? 's' : ''} ${holes.slice(0, 6).join(', ')}${holes.length > 6 ? ` and ${holes.length - 6} more` : ''}.`;
  if (rule === 'keep-out')
    return `${num(valueIn)} in inside, head and tool clearance counted.${where}`;
  if (rule === 'no-metal') return `Move it, or take it out.${where}`;
  return `${num(valueIn)} in against a limit of ${num(limitIn)} in.${where}`;
};

/** Where holding open and taking out left fewer rivets than the load asks for, and where there are many more. */
function countWarnings(derived: Derived, layout: JointLayout): PlanWarning[] {
  const found: PlanWarning[] = [];
  const driven = new Set(
    layout.holes.filter((hole) => hole.state === 'rivet').map((hole) => hole.number)
  );
  let most = 0;
  let mostOf = { has: 0, needs: 0, words: '' };
  for (const { need, words, lines, times } of layout.carrying) {
    const required = derived.needs.find(({ key }) => key === need)?.required;
    if (!required?.ok) continue;
    const numbers = new Set(
      layout.lines.filter(({ key }) => lines.includes(key)).flatMap(({ holes }) => holes)
    );
    const has = [...numbers].filter((number) => driven.has(number)).length;
    const needs = times * required.result.required;
    if (has < needs)
      found.push({
        station: 'lay-out',
        level: 'stop',
        title: `Too few rivets on ${words}`,
        text: `${has} are driven where ${needs} are needed.`
      });
    if (has / needs > most) {
      most = has / needs;
      mostOf = { has, needs, words };
    }
  }
  if (most > MORE_THAN_NEEDED)
    found.push({
      station: 'lay-out',
      level: 'attention',
      title: 'You have more than needed',
      text: `${mostOf.has} rivets on ${mostOf.words} where ${mostOf.needs} carry the load: each extra hole weakens the sheet.`
    });
  return found;
}

function layoutWarnings(derived: Derived): PlanWarning[] {
  if (!derived.layout.ok) return [];
  const layout = derived.layout.result;
  const found: PlanWarning[] = layout.checks
    .filter((check) => !check.ok)
    .map((check) => ({
      station: 'lay-out',
      // an open hole is filled later by what it is held open for
      level: check.rule === 'open-gap' ? 'attention' : 'stop',
      title: CHECK_NAMES[check.rule],
      text: checkText(check),
      holes: check.holes
    }));
  for (const { line, text } of layout.stuck)
    found.push({
      station: 'lay-out',
      level: 'stop',
      title: `${sentence(line)} cannot be filled`,
      text: `${text}.`
    });
  for (const { text } of layout.adrift)
    found.push({
      station: 'lay-out',
      level: 'stop',
      title: 'Something set by hand no longer fits',
      text: `${sentence(text)}. Set it anew or let it go.`
    });
  const open = layout.holes.filter((hole) => hole.state === 'held-open');
  if (open.length > 0)
    found.push({
      station: 'lay-out',
      level: 'attention',
      title:
        open.length === 1
          ? `Hole ${open[0]?.number} is held open`
          : `${open.length} holes are held open`,
      text: `${[...new Set(open.map((hole) => hole.reason))].join('; ')}: drilled, never riveted.`,
      holes: open.map((hole) => hole.number)
    });
  return [
    ...found,
    ...countWarnings(derived, layout),
    ...layout.warnings.map((warning) => ({ ...warning, station: 'lay-out' as const }))
  ];
}

/** Said once: where a hole that grows could not be saved by the next size. */
function headroomWarnings(derived: Derived): PlanWarning[] {
  const sizes = new Map(derived.holes.map((hole) => [hole.number, hole.dash]));
  const none = derived.headroom.filter((hole) => hole.largestDash === sizes.get(hole.hole));
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
  definition: Joint,
  profile: RuleProfile,
  derived: Derived
): PlanWarning[] => [
  ...carryWarnings(definition, derived),
  ...layoutWarnings(derived),
  ...headroomWarnings(derived),
  ...stackWarnings(definition, derived, profile)
];
