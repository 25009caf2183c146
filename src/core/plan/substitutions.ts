import type { WidthPlace } from '../carry/need.ts';
import { num, workLine, type Answer, type WorkLine } from '../answer.ts';
import { jointStrength } from '../carry/joint-strength.ts';
import { neededFor } from './needs.ts';
import { strengthBasis } from './strength-view.ts';
import { alloyFacts } from '../catalog/alloys.ts';
import { DASHES, rivetSize } from '../catalog/rivets.ts';
import type { Joint } from '../kinds/joint.ts';
import type { Plan, PlannedStack } from './plan-shape.ts';
import type { RuleProfile } from '../rules/profile.ts';
import { Alloy, type Dash, type Head } from '../schema/fields.ts';
import { atLeast } from '../units/tolerance.ts';
import type { WayOut } from '../joint/way-out.ts';
import { DENSITY_LB_PER_IN3, rivetVolumeIn3 } from '../stack/bill-of-rivets.ts';
import { rivetFor } from './plan-stack.ts';

/** One thing that another rivet changes. `ratio` is new over old. */
export interface SubstitutionLine {
  label: string;
  /** of which rivets, where it is not the whole joint's */
  where?: WidthPlace;
  now: string;
  then: string;
  ratio?: number;
  level: 'same' | 'note' | 'stop';
}

/** Another rivet in place of a stack's own. */
export interface Substitution {
  key: string;
  name: string;
  partNumber: string | null;
  lines: SubstitutionLine[];
  /** the arithmetic of the strengths: what is planned, then what stands in its place */
  work: WorkLine[];
  /** what makes the joint with it; null where it is not the joint's to choose or not calculated here */
  change: WayOut['change'] | null;
}

export const SUBSTITUTION_RULE =
  'A substitution changes approved data: whoever holds that data must agree before it is driven.';

interface Choice {
  dash: Dash;
  head: Head;
  alloy: Alloy;
}

interface Figures {
  shearLb: number;
  bearingLb: number;
  massLb: number;
  partNumber: string | null;
}

const lb = (value: number) => `${num(Math.round(value))} lb`;
const inches = (value: number) => `${num(Math.round(value * 10_000) / 10_000)} in`;
const grams = 453.592_37;
const LEAST_BEARING_EDGE_D = 1.5;

function figuresOf(
  { dash, head, alloy }: Choice,
  { joint, stack, profile }: Asked,
  edgeIn: number,
  pitchIn: number
): { figures: Figures; refusal: string | null; work: WorkLine[] } {
  const { sheet, thicknessIn } = strengthBasis(joint);
  const { diameterIn: D, nominalHoleIn } = rivetSize(dash);
  const strength = jointStrength({
    sheet,
    thicknessIn,
    alloy,
    dash,
    rows: 1,
    pitchIn: Math.max(pitchIn, 2 * nominalHoleIn),
    // Nearer than the strength check reads, bearing is taken at its least: the edge line says what is wrong.
    edgeIn: Math.max(edgeIn, LEAST_BEARING_EDGE_D * D)
  });
  const { length, flush } = rivetFor(stack.sheets, dash, { head, alloy }, profile);
  const none = flush?.ok && flush.result.method === 'none' ? 'no standard flush method' : null;
  return {
    figures: {
      shearLb: strength.ok ? strength.result.shearLb : 0,
      bearingLb: strength.ok ? strength.result.bearingLb : 0,
      massLb: length.ok
        ? rivetVolumeIn3(dash, head, length.result.lengthIn) * DENSITY_LB_PER_IN3
        : 0,
      partNumber: length.ok ? length.result.partNumber : null
    },
    refusal: none ?? (length.ok ? null : length.error.message),
    work: [
      workLine('sheet', `${sheet}, the one that tears first`, thicknessIn, 'in'),
      ...(strength.ok ? strength.work.filter(({ label }) => /^(shear|bearing)/.test(label)) : [])
    ]
  };
}

interface Asked {
  joint: Joint;
  plan: Plan;
  stack: PlannedStack;
  profile: RuleProfile;
}

/** The smallest value that a limit of the layout is held against, in. */
const smallest = ({ layout }: Plan, rule: string): number | null => {
  if (!layout.ok) return null;
  const values = layout.result.checks.flatMap((check) =>
    check.rule === rule ? [check.valueIn] : []
  );
  return values.length === 0 ? null : Math.min(...values);
};

const countIn = (required: Answer<{ required: number }>): string =>
  required.ok ? `${required.result.required}` : 'not given';

function compare(name: string, key: string, then: Choice, asked: Asked): Substitution {
  const { joint, plan, stack, profile } = asked;
  const limits = profile.multipliers;
  const now: Choice = { dash: stack.dash, head: joint.head, alloy: joint.alloy };
  const edgeIn = smallest(plan, 'edge-min') ?? limits.edgeMinD[now.head] * plan.diameterIn;
  const pitchIn = smallest(plan, 'pitch-min') ?? limits.pitchMinD * plan.diameterIn;
  const { figures: before, work: workBefore } = figuresOf(now, asked, edgeIn, pitchIn);
  const { figures: after, refusal, work: workAfter } = figuresOf(then, asked, edgeIn, pitchIn);
  const lines: SubstitutionLine[] = [];
  const add = (line: SubstitutionLine) => lines.push(line);
  const weaker = (figures: Figures) => Math.min(figures.shearLb, figures.bearingLb);
  const governs = (figures: Figures) =>
    figures.shearLb <= figures.bearingLb ? 'shear' : 'bearing';
  const ratio = weaker(after) / weaker(before);
  add({
    label: 'Strength a rivet',
    now: `${lb(weaker(before))}, ${governs(before)}`,
    then: `${lb(weaker(after))}, ${governs(after)}`,
    ratio,
    level: atLeast(ratio, 1) ? 'same' : 'stop'
  });
  const [need] = plan.needs;
  if (need && then.dash !== now.dash)
    add({
      label: 'Rivets needed',
      where: need.where,
      now: countIn(need.required),
      then: countIn(neededFor(joint, need.widthIn, plan.reckonedSheetIn, then.dash)),
      level: 'note'
    });
  const D = rivetSize(then.dash).diameterIn;
  const leastEdgeIn = limits.edgeMinD[then.head] * D;
  add({
    label: 'Edge distance',
    now: `${inches(edgeIn)} there`,
    then: `at least ${inches(leastEdgeIn)}`,
    level: atLeast(edgeIn, leastEdgeIn) ? 'same' : 'stop'
  });
  add({
    label: 'Pitch',
    now: `${inches(pitchIn)} there`,
    then: `at least ${inches(limits.pitchMinD * D)}`,
    level: atLeast(pitchIn, limits.pitchMinD * D) ? 'same' : 'stop'
  });
  const handling = (alloy: Alloy) =>
    alloyFacts(alloy).cold ? alloyFacts(alloy).use : 'as received';
  add({
    label: 'Handling',
    now: handling(now.alloy),
    then: handling(then.alloy),
    level: handling(now.alloy) === handling(then.alloy) ? 'same' : 'note'
  });
  if (then.alloy === 'A')
    add({ label: 'Use', now: alloyFacts(now.alloy).use, then: alloyFacts('A').use, level: 'stop' });
  if (now.head !== then.head)
    add({
      label: 'Head',
      now: `${now.head}, ${num(rivetSize(now.dash).head[now.head].heightIn)} in high`,
      then:
        then.head === 'universal'
          ? `universal, stands ${num(rivetSize(then.dash).head.universal.heightIn)} in proud`
          : `countersunk, ${num(rivetSize(then.dash).head.countersunk.heightIn)} in deep; flush heads carry less than the guidance says`,
      level: 'note'
    });
  if (before.massLb > 0 && after.massLb > 0)
    add({
      label: `Mass of ${stack.rivets}`,
      now: `${num(Math.round(stack.rivets * before.massLb * grams * 10) / 10)} g`,
      then: `${num(Math.round(stack.rivets * after.massLb * grams * 10) / 10)} g`,
      ratio: after.massLb / before.massLb,
      level: 'note'
    });
  if (refusal) add({ label: 'Stack', now: 'as planned', then: refusal, level: 'stop' });
  const ownSize = stack.dash === plan.dash;
  return {
    key,
    name,
    partNumber: after.partNumber,
    lines,
    work: [
      ...workBefore,
      ...workAfter.slice(1).map((line) => ({ ...line, label: `${line.label}, with it` }))
    ],
    change: !ownSize
      ? null
      : {
          ...(then.dash === now.dash ? {} : { dash: then.dash }),
          ...(then.head === now.head ? {} : { head: then.head }),
          ...(then.alloy === now.alloy ? {} : { alloy: then.alloy })
        }
  };
}

const BLIND: Substitution = {
  key: 'blind',
  name: 'A blind fastener',
  partNumber: null,
  change: null,
  work: [],
  lines: [
    {
      label: 'Strength',
      now: 'as above',
      then: 'by its own approved data; none is calculated here',
      level: 'stop'
    },
    {
      label: 'Grip and hole',
      now: 'solid rivet',
      then: 'its own grip range and its own drill',
      level: 'note'
    },
    { label: 'Mass and price', now: 'solid rivet', then: 'heavier and dearer', level: 'note' },
    {
      label: 'Where',
      now: 'both sides in reach',
      then: 'one side in reach, or a rivet that failed again and again',
      level: 'note'
    }
  ]
};

/**
 * Other rivets that people think of in place of a stack's own, and what each would change. None is approved here.
 *
 * @returns one size up and down, the other head, every other alloy, and a blind fastener
 * @source handbook 3.1, 4.1, 4.2 and 4.7
 */
export function substitutions(asked: Asked): Substitution[] {
  const { joint, stack } = asked;
  const now: Choice = { dash: stack.dash, head: joint.head, alloy: joint.alloy };
  const at = DASHES.indexOf(stack.dash);
  const up = DASHES[at + 1];
  const down = DASHES[at - 1];
  const other: Head = joint.head === 'countersunk' ? 'universal' : 'countersunk';
  return [
    ...(up ? [compare(`One size up: dash ${up}`, 'up', { ...now, dash: up }, asked)] : []),
    ...(down
      ? [compare(`One size down: dash ${down}`, 'down', { ...now, dash: down }, asked)]
      : []),
    compare(
      other === 'universal' ? 'Protruding for flush' : 'Flush for protruding',
      'head',
      { ...now, head: other },
      asked
    ),
    ...Alloy.options
      .filter((alloy) => alloy !== joint.alloy)
      .map((alloy) =>
        compare(
          `Alloy ${alloy}, ${alloyFacts(alloy).alloy}`,
          `alloy-${alloy}`,
          { ...now, alloy },
          asked
        )
      ),
    BLIND
  ];
}
