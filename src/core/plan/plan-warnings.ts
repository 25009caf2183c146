import type { WayOut } from '../joint/way-out.ts';
import type { PlanWarningSaid } from './warning-said.ts';
import { GUIDED_AS } from '../catalog/strengths.ts';
import type { Joint } from '../kinds/joint.ts';
import type { JointLayout, Plan, PlanWarning } from './plan-shape.ts';
import type { RuleProfile } from '../rules/profile.ts';
import { stackWarnings } from './stack-warnings.ts';
import { above } from '../units/tolerance.ts';
import type { ExistingHole } from './existing-holes.ts';
import { plannedBlinds } from './planned-blinds.ts';
import { byNumber, type ByNumber } from './by-number.ts';
import type { LaidLine } from './holes.ts';

/** A layout with more than this share over the needed rivets is called poor work, not safety. */
const MORE_THAN_NEEDED = 1.25;

type Derived = Omit<Plan, 'warnings'>;

function carryWarnings(definition: Joint, derived: Derived): PlanWarning[] {
  const found: PlanWarning[] = [];
  const say = (
    said: PlanWarningSaid,
    ways: WayOut[] = [],
    level: PlanWarning['level'] = 'attention'
  ) =>
    found.push({
      station: 'size',
      level,
      said,
      ...(ways.length > 0 ? { ways } : {})
    });
  const rule = derived.diameter.byRule;
  if (rule.ok && rule.result.warnings.includes('larger-than-standard'))
    say({ code: 'rule-larger', ruleDiameterIn: rule.result.ruleDiameterIn });
  if (rule.ok && rule.result.warnings.includes('smaller-than-standard'))
    say({ code: 'rule-smaller', ruleDiameterIn: rule.result.ruleDiameterIn });
  const guided = derived.required?.ok && derived.required.result.basis !== 'own-data';
  const told = definition.sheets.flatMap(({ name, material }) =>
    material === '' ? [] : [{ name, material, family: GUIDED_AS[material] }]
  );
  const other = told.find(({ family }) => family !== definition.family);
  if (guided && other)
    say(
      { code: 'other-material', ...other, readFor: definition.family },
      other.family === null
        ? []
        : [
            {
              said: { code: 'read-for', family: other.family },
              change: { family: other.family }
            }
          ]
    );
  if (guided && definition.head === 'countersunk') say({ code: 'flush-carries-less' });
  if (guided && definition.alloy === 'A') say({ code: 'alloy-a' });
  else if (guided && definition.alloy === 'B') say({ code: 'alloy-b' });
  for (const { required, where } of derived.needs) {
    if (!required.ok || required.result.requiredExact <= required.result.required) continue;
    say({
      code: 'unrounded-more',
      perInch: required.result.perInchExact,
      exact: required.result.requiredExact,
      required: required.result.required,
      where
    });
  }
  if (derived.required?.ok && derived.required.result.basis === 'own-data')
    say({
      code: 'own-figure',
      perInch: derived.required.result.perInch,
      reason: definition.perInchReason
    });
  if (derived.required?.ok && derived.required.result.basis === 'double-shear')
    say({ code: 'double-shear' });
  const asGaugeIn = derived.required?.ok ? derived.required.result.asGaugeIn : null;
  if (asGaugeIn !== null)
    say({ code: 'as-gauge', thicknessIn: derived.reckonedSheetIn, gaugeIn: asGaugeIn }, [], 'note');
  if (derived.needs.length === 0) say({ code: 'holds-only' }, [], 'note');
  return found;
}

/** Rivets on some lines; a corner hole of two of them is one, and one that counts on another line is none here. */
function drivenOn(
  lines: readonly LaidLine[],
  elsewhere: readonly LaidLine[],
  numbered: ByNumber
): number {
  const seen: boolean[] = [];
  for (const { holes } of elsewhere) for (const number of holes) seen[number] = true;
  let driven = 0;
  for (const { holes } of lines)
    for (const number of holes) {
      if (seen[number] || numbered[number]?.state !== 'rivet') continue;
      seen[number] = true;
      driven += 1;
    }
  return driven;
}

/** Where holding open and taking out left fewer rivets than the load asks for, and where there are many more. */
function countWarnings(derived: Derived, layout: JointLayout): PlanWarning[] {
  const found: PlanWarning[] = [];
  const numbered = byNumber(layout.holes);
  let most = 0;
  let mostOf = { has: 0, needs: 0, lines: '' };
  for (const { need, words, lines, countedIn = [], times } of layout.carrying) {
    const required = derived.needs.find(({ key }) => key === need)?.required;
    if (!required?.ok) continue;
    const has = drivenOn(
      layout.lines.filter(({ key }) => lines.includes(key)),
      layout.lines.filter(({ key }) => countedIn.includes(key)),
      numbered
    );
    const needs = times * required.result.required;
    if (has < needs)
      found.push({
        station: 'layout',
        level: 'stop',
        said: { code: 'too-few', lines: words, has, needs }
      });
    if (has / needs > most) {
      most = has / needs;
      mostOf = { has, needs, lines: words };
    }
  }
  if (most > MORE_THAN_NEEDED)
    found.push({
      station: 'layout',
      level: 'attention',
      said: { code: 'more-than-needed', ...mostOf }
    });
  return found;
}

/** Half a 64th: nobody reads a rule closer between two holes. */
const SPAN_AGREES_IN = 1 / 128;

/** A largest pitch of the job's own: by whose data, and whether the shop's would be nearer. */
function ownPitchWarnings(
  { holdPitchIn, holdPitchReason }: Joint,
  { multipliers }: RuleProfile,
  { needs, diameterIn }: Derived
): PlanWarning[] {
  if (needs.length > 0 || holdPitchIn === null) return [];
  const pitchIn = holdPitchIn;
  const reference = holdPitchReason.trim();
  const say = (level: PlanWarning['level'], said: PlanWarningSaid): PlanWarning[] => [
    { station: 'layout', level, said }
  ];
  if (reference === '') return say('stop', { code: 'own-pitch-unsaid', pitchIn });
  const shopIn = multipliers.pitchMaxD * diameterIn;
  return say(above(pitchIn, shopIn) ? 'attention' : 'note', {
    code: 'own-pitch',
    pitchIn,
    reference,
    shopIn
  });
}

/** End holes that stand otherwise on the metal than in the plan. */
const spanWarnings = ({ spans }: Derived): PlanWarning[] =>
  spans.flatMap(({ name, found }): PlanWarning[] => {
    if (!found?.ok || Math.abs(found.result.differenceIn) < SPAN_AGREES_IN) return [];
    const { differenceIn, spaces, pitchIn, breaks, first, last } = found.result;
    return [
      {
        station: 'layout',
        level: breaks ? 'stop' : 'attention',
        said: {
          code: 'span-off',
          line: name,
          differenceIn,
          spaces,
          pitchIn,
          limitIn: breaks?.limitIn ?? null
        },
        holes: [first, last]
      }
    ];
  });

/** Existing holes that are not known, hold a rivet, or do not fit the planned one. */
function existingWarnings(existing: readonly ExistingHole[]): PlanWarning[] {
  const of = (standing: ExistingHole['standing']) =>
    existing.filter((one) => one.standing === standing);
  const warn = (
    level: PlanWarning['level'],
    said: Extract<PlanWarningSaid, { holes: number[]; code: `existing-${string}` }>
  ): PlanWarning => ({ station: 'layout', level, said, holes: said.holes });
  const numbers = (some: readonly ExistingHole[]) => some.map(({ hole }) => hole);
  const found: PlanWarning[] = [];
  for (const [standing, code] of [
    ['not-measured', 'existing-not-measured'],
    ['riveted', 'existing-riveted']
  ] as const) {
    const own = of(standing);
    if (own.length > 0) found.push(warn('attention', { code, holes: numbers(own) }));
  }
  const small = of('too-small');
  for (const dash of new Set(small.map((one) => one.dash))) {
    const own = small.filter((one) => one.dash === dash);
    const [{ drill, drillIn } = { drill: '', drillIn: 0 }] = own;
    found.push(
      warn('attention', { code: 'existing-small', holes: numbers(own), dash, drill, drillIn })
    );
  }
  // the planned rivet does not fill it: nothing is released so
  for (const { hole, holeIn, dash, next } of [...of('next-size'), ...of('refer')])
    found.push(
      warn('stop', { code: 'existing-large', holes: [hole], holeIn: holeIn ?? 0, dash, next })
    );
  return found;
}

function layoutWarnings(definition: Joint, profile: RuleProfile, derived: Derived): PlanWarning[] {
  if (!derived.layout.ok) return [];
  const layout = derived.layout.result;
  const found: PlanWarning[] = layout.checks
    .filter((check) => !check.ok)
    // as computed it is told with its ways out
    .filter(
      ({ rule }) =>
        rule !== 'insert-corner' || !layout.warnings.some(({ said }) => said.code === rule)
    )
    .map((check) => ({
      station: 'layout',
      // an open hole is filled later by what it is held open for
      level: check.rule === 'open-gap' || check.rule === 'insert-corner' ? 'attention' : 'stop',
      said: {
        code: 'limit',
        rule: check.rule,
        valueIn: check.valueIn,
        limitIn: check.limitIn,
        ...(check.layer === undefined ? {} : { layer: check.layer })
      },
      holes: check.holes
    }));
  for (const { line, why } of layout.stuck)
    found.push({
      station: 'layout',
      level: 'stop',
      said: { code: 'stuck', line, why }
    });
  for (const { said } of layout.adrift)
    found.push({
      station: 'layout',
      level: 'stop',
      said: { code: 'adrift', what: said }
    });
  const open = layout.holes.filter((hole) => hole.state === 'held-open');
  if (open.length > 0)
    found.push({
      station: 'layout',
      level: 'attention',
      said: {
        code: 'held-open',
        holes: open.map((hole) => hole.number),
        reasons: [...new Set(open.map((hole) => hole.reason))]
      },
      holes: open.map((hole) => hole.number)
    });
  found.push(...existingWarnings(derived.existing));
  for (const { blind, sheetsIn, holes, against } of plannedBlinds(derived.holes))
    for (const why of against)
      found.push({
        station: 'layout',
        // what cannot hold is not released; what nobody has said yet is asked
        level: why === 'short' || why === 'long' ? 'stop' : 'attention',
        said: {
          code: 'open-blind',
          holes,
          fastener: blind.fastener,
          sheetsIn,
          grip: blind.grip,
          why
        },
        holes
      });
  return [
    ...found,
    ...ownPitchWarnings(definition, profile, derived),
    ...spanWarnings(derived),
    ...countWarnings(derived, layout),
    ...layout.warnings.map((warning) => ({ ...warning, station: 'layout' as const }))
  ];
}

/** Every warning of a plan, in the order of the work. */
export const planWarnings = (
  definition: Joint,
  profile: RuleProfile,
  derived: Derived
): PlanWarning[] => [
  ...carryWarnings(definition, derived),
  ...layoutWarnings(definition, profile, derived),
  ...stackWarnings(definition, derived, profile)
];
