import { num, workLine, type WorkLine } from '../answer.ts';
import { drillIn } from '../catalog/drills.ts';
import { PILOT_DRILL, rivetSize } from '../catalog/rivets.ts';
import type { Joint } from '../kinds/joint.ts';
import { byId } from '../joint/item-id.ts';
import type { Piece } from '../kinds/pieces.ts';
import { boundsOf, type Shape } from '../layout/shapes.ts';
import type { JointLayout, Plan } from '../plan/plan-shape.ts';
import { stopsOf } from '../plan/stops.ts';
import type { RuleProfile } from '../rules/profile.ts';
import { apartSteps, finishSteps, growthSteps, lastSteps } from './apart-steps.ts';
import { cuttingMethod } from './cutting-advice.ts';
import { flushSteps } from './flush-steps.ts';
import type { HolderPlan } from './holder-plan.ts';
import { OPERATIONS, type Operation, type OperationTime } from './operations.ts';
import { restsOf, type Rests } from './rests.ts';
import { numbersOf, stepDrillStop, type MadeStep } from './step-parts.ts';
import type { StepHazard, StepSaid } from './step-said.ts';

/** One step between marks on metal and the first rivet. */
export interface ReadyStep {
  /** stays the same while the joint does: what is ticked off is kept under it */
  key: string;
  said: StepSaid;
  count: number;
  unit: string;
  /** what hurts here; null where nothing does */
  hazard: StepHazard | null;
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

const sizeOf = (shape: Shape): Extract<MadeStep['said'], { op: 'cutPart' }>['sizeIn'] => {
  const { wIn, hIn } = boundsOf(shape);
  return shape.shape === 'circle' ? { across: 2 * shape.radiusIn } : { w: wIn, h: hIn };
};

/** Parts that the joint adds: cut to their outlines, an insert filed to fit. */
const partSteps = (pieces: readonly Piece[]): MadeStep[] =>
  pieces.flatMap(({ name, thicknessIn, cut, clearanceIn }, at): MadeStep[] =>
    cut === undefined
      ? []
      : [
          {
            key: `cutPart-${at + 1}`,
            said: {
              op: 'cutPart',
              part: name,
              method: cuttingMethod(thicknessIn),
              sizeIn: sizeOf(cut),
              cornerIn: cut.shape === 'rect' ? cut.radiusIn : 0
            },
            rests: [cut, thicknessIn],
            count: Math.ceil(roundIn(cut)),
            hazard: 'edges'
          },
          ...(clearanceIn === undefined
            ? []
            : [
                {
                  key: `fit-${at + 1}`,
                  said: { op: 'fit' as const, part: name, clearanceIn },
                  rests: [cut, clearanceIn],
                  count: 1,
                  hazard: 'edges' as const
                }
              ])
        ]
  );

/** Before any rivet hole: reliefs, the cut-out, the parts that are added, stop-drilled ends, holes that must match. */
function beforeHoles(joint: Joint, layout: JointLayout, known: Plan['existing']): MadeStep[] {
  const made: MadeStep[] = [];
  const { reliefs, cutOut, cutLayer, pieces, drilledOnly } = layout;
  const skin = pieces.find(({ layer }) => layer === cutLayer);
  if (reliefs.length > 0)
    made.push({
      said: {
        op: 'relief',
        centres: reliefs.map(({ xIn, yIn }) => ({ xIn, yIn })),
        pilotDrill: PILOT_DRILL,
        diameterIn: reliefs[0]?.diameterIn ?? 0
      },
      rests: reliefs.map(({ xIn, yIn, diameterIn }) => [xIn, yIn, diameterIn]),
      count: reliefs.length,
      hazard: 'drill'
    });
  if (cutOut)
    made.push({
      said: {
        op: 'cutOut',
        method: cuttingMethod(skin?.thicknessIn ?? 0),
        roundIn: cutOut.shape === 'circle' ? 2 * cutOut.radiusIn : null
      },
      rests: cutOut,
      count: Math.ceil(roundIn(cutOut)),
      hazard: 'edges'
    });
  made.push(...partSteps(pieces));
  if (drilledOnly.length > 0)
    made.push({
      said: { op: 'stopDrill', drill: drilledOnly[0]?.drill ?? PILOT_DRILL },
      rests: drilledOnly.map(({ xIn, yIn, diameterIn }) => [xIn, yIn, diameterIn]),
      count: drilledOnly.length,
      hazard: 'drill'
    });
  const existing = layout.holes.filter(
    ({ fixed }) => fixed !== null && byId(joint.fixed, fixed)?.kind === 'existing'
  );
  if (existing.length > 0)
    made.push({
      said: {
        op: 'match',
        holes: existing.map(({ number, fixed }) => ({
          number,
          name: byId(joint.fixed, fixed ?? '')?.name ?? '',
          standing: known.find(({ hole }) => hole === number)?.standing ?? null
        }))
      },
      // a hole that measured otherwise since is another step
      rests: known.some(({ standing }) => standing !== 'not-measured')
        ? known.map(({ hole, standing }) => [hole, standing])
        : null,
      count: existing.length,
      holes: numbersOf(existing),
      hazard: 'drill'
    });
  return made;
}

/** Through all parts, held together: pilots, and what holds meanwhile. */
function pilotSteps(joint: Joint, layout: JointLayout, holders: HolderPlan | null): MadeStep[] {
  const fresh = layout.holes.filter(
    ({ fixed }) => fixed === null || byId(joint.fixed, fixed)?.kind !== 'existing'
  );
  const made: MadeStep[] = [
    { said: { op: 'clamp', closed: joint.closed }, count: layout.pieces.length, hazard: 'edges' },
    { said: { op: 'punch' }, count: fresh.length, holes: numbersOf(fresh) },
    {
      said: { op: 'pilot', drill: PILOT_DRILL, diameterIn: drillIn(PILOT_DRILL) },
      count: fresh.length,
      holes: numbersOf(fresh),
      hazard: 'drill'
    }
  ];
  if (holders) {
    const { every, pilotHolders, finalHolders } = holders;
    made.push({
      said: { op: 'holder', every, pilotDrill: PILOT_DRILL, pilotHolders, finalHolders },
      count: pilotHolders + finalHolders,
      holes: holders.rounds[0]?.holders ?? []
    });
  }
  return made;
}

/** To their own sizes: rivets' holes, and those held open. */
function sizeSteps(
  layout: JointLayout,
  school: RuleProfile['drill'],
  sized: ReadonlySet<number>
): MadeStep[] {
  const made: MadeStep[] = [];
  const riveted = layout.holes.filter(
    ({ state, number }) => state === 'rivet' && !sized.has(number)
  );
  const sizes = [...new Set(riveted.map(({ dash }) => dash))].sort((a, b) => a - b);
  for (const dash of sizes) {
    const drill = rivetSize(dash).drill[school];
    if (drill === PILOT_DRILL) continue;
    const own = riveted.filter((hole) => hole.dash === dash);
    const { stopIn, work } = stepDrillStop(own);
    made.push({
      key: `upDrill-${dash}`,
      said: { op: 'upDrill', dash, drill, diameterIn: drillIn(drill), stopIn },
      rests: drill,
      settingWork: work,
      count: own.length,
      holes: numbersOf(own),
      hazard: 'drill'
    });
  }
  const open = layout.holes.filter(({ state }) => state === 'held-open');
  for (const drill of new Set(open.map(({ openDrill }) => openDrill?.name ?? null))) {
    const own = open.filter(({ openDrill }) => (openDrill?.name ?? null) === drill);
    const diameterIn = own[0]?.openDrill?.diameterIn ?? drillIn(PILOT_DRILL);
    made.push({
      key: `openDrill-${drill ?? 'pilot'}`,
      said: {
        op: 'openDrill',
        drill,
        diameterIn,
        holes: own.map(({ number, reason }) => ({ number, reason }))
      },
      rests: diameterIn,
      count: own.length,
      holes: numbersOf(own),
      hazard: 'drill'
    });
  }
  return made;
}

const SECONDS_PER_MINUTE = 60;

/**
 * What must be done before the first rivet, in order, with counts and times.
 *
 * @param holders null where none are planned
 * @param timeOf seconds for one of an operation, and whose figure it is
 * @returns empty while the joint cannot be laid out, or is stopped
 * @source layout (reliefs), stack-up (flush) and prepare
 */
export function stepList(
  joint: Joint,
  plan: Plan,
  profile: RuleProfile,
  holders: HolderPlan | null,
  timeOf: (op: Operation) => OperationTime
): ReadyStep[] {
  if (!plan.layout.ok || stopsOf(plan).length > 0) return [];
  const layout = plan.layout.result;
  // existing holes that measured right: the new parts are matched to them, nothing is drilled there again
  const sized = new Set(
    plan.existing.flatMap(({ hole, standing }) => (standing === 'fits' ? [hole] : []))
  );
  const toSize = sizeSteps(layout, profile.drill, sized);
  const flush = flushSteps(joint, plan, profile);
  const clamped = flush.filter(({ said }) => said.op === 'countersink' && said.clamped);
  const cutClamped = clamped.reduce((sum, { count }) => sum + count, 0);
  const made = [
    ...beforeHoles(joint, layout, plan.existing),
    ...(layout.growth
      ? [{ said: { op: 'film' as const, plastic: layout.growth.part }, count: 1 }]
      : []),
    ...pilotSteps(joint, layout, holders),
    // Metal is drilled to size together; a clear panel between it is taken out first.
    ...(layout.growth
      ? [...apartSteps(joint, layout), ...growthSteps(layout), ...toSize]
      : [...toSize, ...clamped, ...apartSteps(joint, layout)]),
    ...finishSteps(joint, plan, layout, cutClamped),
    ...flush.filter((step) => !clamped.includes(step)),
    ...lastSteps(joint, plan, layout)
  ];
  const rests = restsOf(joint, layout);
  return made.map((step) => {
    const {
      key,
      said,
      count,
      hazard = null,
      holes = [],
      formula,
      settingWork = [],
      cageRests = null
    } = step;
    const { op } = said;
    const { secondsEach, from, records } = timeOf(op);
    const minutes = (count * secondsEach) / SECONDS_PER_MINUTE;
    const whose = {
      recorded: `median of ${records} recorded`,
      shop: 'shop time',
      starting: 'a starting estimate'
    }[from];
    return {
      key: key ?? op,
      said,
      count,
      unit: count === 1 ? OPERATIONS[op].per : OPERATIONS[op].many,
      hazard,
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
