import type { WidthPlace } from '../size/need.ts';
import { workLine, type Answer, type WorkLine } from '../answer.ts';
import type { RefusalSaid } from '../refusal-said.ts';
import { jointStrength } from '../size/joint-strength.ts';
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

interface Carries {
  lb: number;
  governs: 'shear' | 'bearing';
}

/** One thing that another rivet changes, as a code with its quantities; lengths in inches. */
export type SubstitutionSaid =
  | { of: 'strength'; now: Carries; then: Carries }
  /** null where the guidance gives no figure */
  | { of: 'needed'; where: WidthPlace; now: number | null; then: number | null }
  | { of: 'edge' | 'pitch'; thereIn: number; leastIn: number }
  | { of: 'handling' | 'use'; now: Alloy; then: Alloy }
  | { of: 'head'; now: { head: Head; heightIn: number }; then: { head: Head; heightIn: number } }
  | { of: 'mass'; rivets: number; nowG: number; thenG: number }
  | { of: 'stack'; why: RefusalSaid }
  | { of: 'blind'; what: 'strength' | 'grip' | 'mass' | 'reach' };

/** `ratio` is new over old. */
export interface SubstitutionLine {
  said: SubstitutionSaid;
  ratio?: number;
  level: 'same' | 'note' | 'stop';
}

/** Which rivet stands in its place. */
export type SubstituteSaid =
  | { code: 'size'; way: 'up' | 'down'; dash: Dash }
  | { code: 'head'; head: Head }
  | { code: 'alloy'; alloy: Alloy }
  | { code: 'blind' };

/** Another rivet in place of a stack's own. */
export interface Substitution {
  key: string;
  said: SubstituteSaid;
  partNumber: string | null;
  lines: SubstitutionLine[];
  /** the arithmetic of the strengths: what is planned, then what stands in its place */
  work: WorkLine[];
  /** what makes the joint with it; null where it is not the joint's to choose or not calculated here */
  change: WayOut['change'] | null;
}

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

const GRAMS_PER_LB = 453.592_37;
const LEAST_BEARING_EDGE_D = 1.5;

function figuresOf(
  { dash, head, alloy }: Choice,
  { joint, stack, profile }: Asked,
  edgeIn: number,
  pitchIn: number
): { figures: Figures; refusal: RefusalSaid | null; work: WorkLine[] } {
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
  const none: RefusalSaid | null =
    flush?.ok && flush.result.method === 'none' ? { code: 'no-flush-method' } : null;
  return {
    figures: {
      shearLb: strength.ok ? strength.result.shearLb : 0,
      bearingLb: strength.ok ? strength.result.bearingLb : 0,
      massLb: length.ok
        ? rivetVolumeIn3(dash, head, length.result.lengthIn) * DENSITY_LB_PER_IN3
        : 0,
      partNumber: length.ok ? length.result.partNumber : null
    },
    refusal: none ?? (length.ok ? null : length.error.said),
    work: [
      workLine('sheet', `${sheet}, the one that tears first`, thicknessIn, 'in'),
      ...(strength.ok ? strength.work.filter(({ key }) => key !== undefined) : [])
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

const countIn = (required: Answer<{ required: number }>): number | null =>
  required.ok ? required.result.required : null;

const carries = ({ shearLb, bearingLb }: Figures): Carries => ({
  lb: Math.min(shearLb, bearingLb),
  governs: shearLb <= bearingLb ? 'shear' : 'bearing'
});

const handling = (alloy: Alloy): string =>
  alloyFacts(alloy).cold ? alloyFacts(alloy).use : 'as received';

const headOf = ({ dash, head }: Choice) => ({
  head,
  heightIn: rivetSize(dash).head[head].heightIn
});

function compare(said: SubstituteSaid, key: string, then: Choice, asked: Asked): Substitution {
  const { joint, plan, stack, profile } = asked;
  const limits = profile.multipliers;
  const now: Choice = { dash: stack.dash, head: joint.head, alloy: joint.alloy };
  const edgeIn = smallest(plan, 'edge-min') ?? limits.edgeMinD[now.head] * plan.diameterIn;
  const pitchIn = smallest(plan, 'pitch-min') ?? limits.pitchMinD * plan.diameterIn;
  const { figures: before, work: workBefore } = figuresOf(now, asked, edgeIn, pitchIn);
  const { figures: after, refusal, work: workAfter } = figuresOf(then, asked, edgeIn, pitchIn);
  const lines: SubstitutionLine[] = [];
  const add = (line: SubstitutionSaid, level: SubstitutionLine['level'], ratio?: number) =>
    lines.push({ said: line, level, ...(ratio === undefined ? {} : { ratio }) });
  const held = (good: boolean) => (good ? 'same' : 'stop');
  const ratio = carries(after).lb / carries(before).lb;
  add(
    { of: 'strength', now: carries(before), then: carries(after) },
    held(atLeast(ratio, 1)),
    ratio
  );
  const [need] = plan.needs;
  if (need && then.dash !== now.dash)
    add(
      {
        of: 'needed',
        where: need.where,
        now: countIn(need.required),
        then: countIn(neededFor(joint, need.widthIn, plan.reckonedSheetIn, then.dash))
      },
      'note'
    );
  const D = rivetSize(then.dash).diameterIn;
  const leastEdgeIn = limits.edgeMinD[then.head] * D;
  const leastPitchIn = limits.pitchMinD * D;
  add({ of: 'edge', thereIn: edgeIn, leastIn: leastEdgeIn }, held(atLeast(edgeIn, leastEdgeIn)));
  add(
    { of: 'pitch', thereIn: pitchIn, leastIn: leastPitchIn },
    held(atLeast(pitchIn, leastPitchIn))
  );
  add(
    { of: 'handling', now: now.alloy, then: then.alloy },
    handling(now.alloy) === handling(then.alloy) ? 'same' : 'note'
  );
  if (then.alloy === 'A') add({ of: 'use', now: now.alloy, then: 'A' }, 'stop');
  if (now.head !== then.head) add({ of: 'head', now: headOf(now), then: headOf(then) }, 'note');
  if (before.massLb > 0 && after.massLb > 0)
    add(
      {
        of: 'mass',
        rivets: stack.rivets,
        nowG: stack.rivets * before.massLb * GRAMS_PER_LB,
        thenG: stack.rivets * after.massLb * GRAMS_PER_LB
      },
      'note',
      after.massLb / before.massLb
    );
  if (refusal) add({ of: 'stack', why: refusal }, 'stop');
  const ownSize = stack.dash === plan.dash;
  return {
    key,
    said,
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
  said: { code: 'blind' },
  partNumber: null,
  change: null,
  work: [],
  lines: [
    { said: { of: 'blind', what: 'strength' }, level: 'stop' },
    { said: { of: 'blind', what: 'grip' }, level: 'note' },
    { said: { of: 'blind', what: 'mass' }, level: 'note' },
    { said: { of: 'blind', what: 'reach' }, level: 'note' }
  ]
};

/**
 * Other rivets that people think of in place of a stack's own, and what each would change. None is approved here.
 *
 * @returns one size up and down, the other head, every other alloy, and a blind fastener
 * @source rivets and size and layout and rework
 */
export function substitutions(asked: Asked): Substitution[] {
  const { joint, stack } = asked;
  const now: Choice = { dash: stack.dash, head: joint.head, alloy: joint.alloy };
  const at = DASHES.indexOf(stack.dash);
  const other: Head = joint.head === 'countersunk' ? 'universal' : 'countersunk';
  const sized = (way: 'up' | 'down', dash: Dash | undefined) =>
    dash === undefined ? [] : [compare({ code: 'size', way, dash }, way, { ...now, dash }, asked)];
  return [
    ...sized('up', DASHES[at + 1]),
    ...sized('down', DASHES[at - 1]),
    compare({ code: 'head', head: other }, 'head', { ...now, head: other }, asked),
    ...Alloy.options
      .filter((alloy) => alloy !== joint.alloy)
      .map((alloy) =>
        compare({ code: 'alloy', alloy }, `alloy-${alloy}`, { ...now, alloy }, asked)
      ),
    BLIND
  ];
}
