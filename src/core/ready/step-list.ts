import { num, workLine, type WorkLine } from '../answer.ts';
import { drillIn } from '../catalog/drills.ts';
import { PILOT_DRILL, rivetSize } from '../catalog/rivets.ts';
import type { Joint } from '../kinds/joint.ts';
import { byId } from '../joint/item-id.ts';
import type { Shape } from '../layout/shapes.ts';
import type { JointLayout, Plan } from '../plan/plan-shape.ts';
import type { RuleProfile } from '../rules/profile.ts';
import { cuttingMethod, EDGE_CLEAN_UP, RELIEF_ADVICE } from './cutting-advice.ts';
import { flushSteps } from './flush-steps.ts';
import type { HolderPlan } from './holder-plan.ts';
import { OPERATIONS, type Operation, type OperationTime } from './operations.ts';
import { restsOf, type Rests } from './rests.ts';
import { CAUTIONS, numbersOf, stepDrillStop, type MadeStep } from './step-parts.ts';

/** One step between marks on metal and the first rivet. */
export interface ReadyStep {
  /** stays the same while the joint does: what is ticked off is kept under it */
  key: string;
  op: Operation;
  title: string;
  say: string;
  tool: string;
  setting: string;
  count: number;
  unit: string;
  caution: string;
  minutes: number;
  /** holes that may be ticked one by one; empty where the step is done as a whole */
  holes: number[];
  rests: Rests;
  /** what a cage's setting for it rests on; null where no cage cuts it */
  cageRests: string | null;
  work: WorkLine[];
}

/** How far a cut runs round an outline, in. */
function roundIn(shape: Shape): number {
  if (shape.shape === 'circle') return 2 * Math.PI * shape.radiusIn;
  if (shape.shape === 'rect')
    return 2 * (shape.wIn + shape.hIn) - (8 - 2 * Math.PI) * shape.radiusIn;
  return shape.pointsIn.reduce((sum, [x, y], at) => {
    const [nextX, nextY] = shape.pointsIn[(at + 1) % shape.pointsIn.length] ?? [x, y];
    return sum + Math.hypot(nextX - x, nextY - y);
  }, 0);
}

/** Before any rivet hole: reliefs, the cut-out, stop-drilled ends, holes that must match. */
function beforeHoles(joint: Joint, layout: JointLayout): MadeStep[] {
  const made: MadeStep[] = [];
  const [skin] = joint.sheets;
  const { reliefs, cutOut, drilledOnly } = layout;
  if (reliefs.length > 0)
    made.push({
      op: 'relief',
      rests: reliefs.map(({ xIn, yIn, diameterIn }) => [xIn, yIn, diameterIn]),
      title: 'Drill the corner reliefs',
      say: `${RELIEF_ADVICE} Centres: ${reliefs.map(({ xIn, yIn }) => `${num(Math.round(xIn * 1e4) / 1e4)} right, ${num(Math.round(yIn * 1e4) / 1e4)} down`).join('; ')}.`,
      tool: `${PILOT_DRILL}, then opened up`,
      setting: `${num(reliefs[0]?.diameterIn ?? 0)} in`,
      count: reliefs.length,
      caution: CAUTIONS.drill
    });
  if (cutOut)
    made.push({
      op: 'cutOut',
      rests: cutOut,
      title: 'Cut the damage out',
      say: `From relief to relief along the line. ${EDGE_CLEAN_UP}`,
      tool: cuttingMethod(skin?.thicknessIn ?? 0),
      count: Math.ceil(roundIn(cutOut)),
      caution: CAUTIONS.edges
    });
  if (drilledOnly.length > 0)
    made.push({
      op: 'stopDrill',
      rests: drilledOnly.map(({ xIn, yIn, diameterIn }) => [xIn, yIn, diameterIn]),
      title: 'Stop-drill the ends of the crack',
      say: 'At the very end of the crack, found with a lens; never riveted.',
      tool: drilledOnly[0]?.drill ?? PILOT_DRILL,
      count: drilledOnly.length,
      caution: CAUTIONS.drill
    });
  const existing = layout.holes.filter(
    ({ fixed }) => fixed !== null && byId(joint.fixed, fixed)?.kind === 'existing'
  );
  if (existing.length > 0)
    made.push({
      op: 'match',
      title: 'Pick up the holes that must match',
      say: `Through the old hole, or with a hole finder, onto the new part: ${existing
        .map(
          ({ number, fixed }) => `hole ${number} (${byId(joint.fixed, fixed ?? '')?.name ?? ''})`
        )
        .join(', ')}. Nothing else is drilled before these fit.`,
      tool: 'hole finder, or drill through the old hole',
      count: existing.length,
      holes: numbersOf(existing),
      caution: CAUTIONS.drill
    });
  return made;
}

function holesSteps(
  joint: Joint,
  layout: JointLayout,
  holders: HolderPlan | null,
  school: RuleProfile['drill']
): MadeStep[] {
  const fresh = layout.holes.filter(
    ({ fixed }) => fixed === null || byId(joint.fixed, fixed)?.kind !== 'existing'
  );
  const made: MadeStep[] = [
    {
      op: 'punch',
      title: 'Centre punch',
      say: 'Lightly on each mark: enough to hold the drill, not to dent the sheet.',
      tool: 'centre punch',
      count: fresh.length,
      holes: numbersOf(fresh)
    },
    {
      op: 'pilot',
      title: 'Drill the pilots',
      say: 'Square to the surface. The end holes first, a holder in each as it is drilled.',
      tool: PILOT_DRILL,
      setting: `${num(drillIn(PILOT_DRILL))} in`,
      count: fresh.length,
      holes: numbersOf(fresh),
      caution: CAUTIONS.drill
    }
  ];
  if (holders)
    made.push({
      op: 'holder',
      title: 'Set the sheet holders',
      say: `The ends of every line, then every ${holders.every}th hole. Final-size holders take over beside them once those holes are drilled.`,
      tool: `${holders.pilotHolders} holders for ${PILOT_DRILL}, ${holders.finalHolders} of the final size`,
      count: holders.pilotHolders + holders.finalHolders,
      holes: holders.rounds[0]?.holders ?? []
    });
  const sizes = [...new Set(layout.holes.map(({ dash }) => dash))].sort((a, b) => a - b);
  for (const dash of sizes) {
    const drill = rivetSize(dash).drill[school];
    if (drill === PILOT_DRILL) continue;
    const own = layout.holes.filter((hole) => hole.dash === dash);
    const { stopIn, work } = stepDrillStop(own);
    made.push({
      key: `upDrill-${dash}`,
      op: 'upDrill',
      rests: drill,
      title: `Drill to final size, dash ${dash}`,
      say: 'Those without a holder first; then move the holders over and drill the rest.',
      tool: drill,
      setting: `${num(drillIn(drill))} in; a step drill’s stop ${num(Math.round(stopIn * 1e4) / 1e4)} in behind where its full size begins`,
      settingWork: work,
      count: own.length,
      holes: numbersOf(own),
      caution: CAUTIONS.drill
    });
  }
  if (layout.growth)
    made.push({
      op: 'growth',
      rests: layout.growth.diameterIn,
      title: 'Open the clear panel’s holes',
      say: `Larger than the rivet so that the panel can grow: in ${layout.growth.part} alone, with a drill ground for plastic, slowly.`,
      tool: layout.growth.drill,
      setting: `${num(layout.growth.diameterIn)} in`,
      count: layout.holes.length,
      holes: numbersOf(layout.holes),
      caution: CAUTIONS.drill
    });
  return made;
}

/** Sheets through which each hole goes, in all. */
const layersHeld = ({ holes, stacks }: Pick<Plan, 'holes' | 'stacks'>): number =>
  holes.reduce((sum, hole) => sum + (stacks[hole.stack]?.sheets.length ?? 0), 0);

function partSteps(joint: Joint, plan: Plan): MadeStep[] {
  const sheets = joint.sheets.length;
  const sides = 2 * layersHeld(plan);
  return [
    {
      op: 'part',
      title: 'Take apart',
      say: 'Mark every part first: number, outer face, datum end.',
      count: sheets
    },
    {
      op: 'chips',
      title: 'Clear out the chips',
      say: 'From between the sheets too.',
      count: sheets,
      caution: CAUTIONS.edges
    },
    {
      op: 'deburr',
      title: 'Deburr every hole, both sides, every sheet',
      say: 'About two light turns: the burr only. It must not become a countersink.',
      tool: 'deburring tool, turned by hand',
      count: sides,
      formula: `sheets at every hole, added up, × 2 sides = ${sides / 2} × 2`
    },
    {
      op: 'edges',
      title: 'Edges and corners',
      say: EDGE_CLEAN_UP,
      tool: 'file',
      count: sheets,
      caution: CAUTIONS.edges
    }
  ];
}

const lastSteps = (sheets: number): MadeStep[] => [
  {
    op: 'clean',
    title: 'Clean',
    say: 'Until a white cloth stays white.',
    count: sheets,
    caution: CAUTIONS.primer
  },
  {
    op: 'prime',
    title: 'Prime',
    say: 'Faying faces and cut edges; let it dry as its data sheet says.',
    count: sheets,
    caution: CAUTIONS.primer
  },
  {
    op: 'reassemble',
    title: 'Put together the marked way round',
    say: 'Strokes meet strokes; a holder every few holes, the end ones first.',
    tool: 'sheet holders of the final size',
    count: sheets
  }
];

const SECONDS_PER_MINUTE = 60;

/**
 * What must be done before the first rivet, in order, with counts and times.
 *
 * @param holders null where none are planned
 * @param timeOf seconds for one of an operation, and whose figure it is
 * @returns empty while the joint cannot be laid out
 * @source handbook 4.2 (reliefs), 4.3 (flush) and 4.4
 */
export function stepList(
  joint: Joint,
  plan: Plan,
  profile: RuleProfile,
  holders: HolderPlan | null,
  timeOf: (op: Operation) => OperationTime
): ReadyStep[] {
  if (!plan.layout.ok) return [];
  const layout = plan.layout.result;
  const made = [
    ...beforeHoles(joint, layout),
    ...holesSteps(joint, layout, holders, profile.drill),
    ...partSteps(joint, plan),
    ...flushSteps(joint, plan, profile),
    ...lastSteps(joint.sheets.length)
  ];
  const rests = restsOf(joint, layout);
  return made.map((step) => {
    const {
      key,
      op,
      title,
      say = '',
      tool = '',
      setting = '',
      count,
      caution = '',
      holes = [],
      formula,
      settingWork = [],
      cageRests = null
    } = step;
    const { secondsEach, from, records } = timeOf(op);
    const minutes = (count * secondsEach) / SECONDS_PER_MINUTE;
    const whose = {
      recorded: `median of ${records} recorded`,
      shop: 'the shop’s figure',
      starting: 'a starting estimate'
    }[from];
    return {
      key: key ?? op,
      op,
      title,
      say,
      tool,
      setting,
      count,
      unit: count === 1 ? OPERATIONS[op].per : OPERATIONS[op].many,
      caution,
      minutes,
      holes,
      rests: rests(step),
      cageRests,
      work: [
        ...settingWork,
        workLine('count', formula ?? OPERATIONS[op].words, count, OPERATIONS[op].many),
        workLine(
          'time',
          `${count} × ${num(Math.round(secondsEach * 10) / 10)} s (${whose})`,
          minutes,
          'min'
        )
      ]
    };
  });
}
