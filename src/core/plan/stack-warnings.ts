import { headLimits, NOMINAL_HEIGHT_D } from '../catalog/head-limits.ts';
import { rivetSize } from '../catalog/rivets.ts';
import type { Joint } from '../kinds/joint.ts';
import type { Plan, PlannedStack, PlannedTry, PlanWarning } from './plan-shape.ts';
import { headLimitsOf, isWiderThanShop } from './head-limits-of.ts';
import type { RuleProfile } from '../rules/profile.ts';
import type { FlushMethod } from '../stack/flush-method.ts';
import { flushTools } from '../stack/flush-tools.ts';
import { protrusionInWindow } from '../stack/rivet-length.ts';

type Derived = Omit<Plan, 'warnings'>;
type Found = Omit<PlanWarning, 'station'>;
/** Names a stack where there are several. */
type Of = string | null;

function flushWarnings(
  { flush, dash, sheets }: PlannedStack,
  of: Of,
  { family }: Joint,
  profile: RuleProfile
): Found[] {
  if (!flush?.ok) return [];
  const { method, margin } = flush.result;
  if (method === 'none')
    return [
      {
        level: 'stop',
        said: {
          code: margin === 'knife-edge' ? 'knife-edge' : 'no-flush-method',
          stack: of,
          dash,
          headIn: rivetSize(dash).head.countersunk.heightIn
        }
      }
    ];
  const found: Found[] = [];
  if (margin === 'marginal')
    found.push({
      level: 'attention',
      said: { code: 'marginal-countersink', stack: of }
    });
  for (const tool of flushTools(sheets, dash, method, profile, family)) {
    if (tool.op !== 'countersink') continue;
    if (tool.aim === null)
      found.push({
        level: 'stop',
        said: { code: 'no-flush-target', stack: of, sheet: tool.name }
      });
    else if (tool.aim.heldBySheet)
      found.push({
        level: 'attention',
        said: {
          code: 'stays-proud',
          stack: of,
          leastIn: tool.aim.lowIn,
          highIn: tool.aim.highIn,
          marginal: tool.aim.marginal
        }
      });
  }
  return found;
}

/** Sheets of harder temper that get a dimple: of the stacks' own, each named once. */
function hotWarnings({ family, head }: Joint, stacks: readonly PlannedStack[]): Found[] {
  if (head !== 'countersunk') return [];
  const dimpled = stacks.flatMap(({ flush, sheets }) =>
    flush?.ok && flush.result.method.startsWith('dimple') ? sheets : []
  );
  const hard = dimpled.filter(({ material }) => material.startsWith('7075'));
  const untold = family === 'high-strength' && dimpled.some(({ material }) => material === '');
  if (hard.length > 0)
    return [
      {
        level: 'attention',
        said: { code: 'dimple-hot', sheets: [...new Set(hard.map(({ name }) => name))] }
      }
    ];
  return untold
    ? [
        {
          level: 'attention',
          said: { code: 'dimple-hot-if' }
        }
      ]
    : [];
}

function lengthWarnings(stack: PlannedStack, of: Of, profile: RuleProfile): Found[] {
  const { length, gripMinIn, gripMaxIn, dash } = stack;
  if (!length.ok)
    return [{ level: 'stop', said: { code: 'no-rivet', stack: of, why: length.error.said } }];
  const { protrusionMinD, protrusionMaxD } = profile.multipliers;
  const D = rivetSize(dash).diameterIn;
  const { lengthIn, protrusionIn } = length.result;
  const namedD = (standsIn: number) => (standsIn - stack.namedFromIn) / D;
  const atEnds = [gripMinIn, gripMaxIn].map((gripIn) => namedD(lengthIn - gripIn));
  const outside = [namedD(protrusionIn), ...atEnds].filter(
    (value) => !protrusionInWindow(value, profile.multipliers)
  );
  const window = { overD: protrusionMinD, underD: protrusionMaxD };
  return outside.length === 0
    ? []
    : [
        {
          level: 'stop',
          said: {
            code: 'protrusion',
            stack: of,
            protrusionD: outside[0] ?? 0,
            atDimple: stack.namedFromIn > 0,
            ...window
          }
        }
      ];
}

function headWarnings(stack: PlannedStack, of: Of, joint: Joint, profile: RuleProfile): Found[] {
  const { head, length, dash } = stack;
  if (!head.ok)
    return length.ok
      ? [{ level: 'stop', said: { code: 'no-head', stack: of, why: head.error.said } }]
      : [];
  if (head.result.heightBandD !== null) return [];
  const { diameterD, heightD } = headLimits(headLimitsOf(joint, profile).limits);
  const wideD = head.result.diameterAtHalfDIn / rivetSize(dash).diameterIn;
  return [
    {
      // Attention, not stop: the equivalent cylinder overstates a barrel-shaped head.
      level: 'attention',
      said: {
        code: 'no-good-head',
        stack: of,
        wideD,
        diameterD,
        heightD,
        nominalHeightD: NOMINAL_HEIGHT_D
      }
    }
  ];
}

/** Layers that lie under no hole, and holes that hold nothing together. */
function layerWarnings(joint: Joint, { holes, layout, stacks }: Derived): Found[] {
  if (!layout.ok) return [];
  const found: Found[] = [];
  const lonely = holes
    .filter((hole) => (stacks[hole.stack]?.sheets.length ?? 0) < 2)
    .map((hole) => hole.number);
  if (lonely.length > 0)
    found.push({
      level: 'stop',
      said: { code: 'hold-nothing', holes: lonely },
      holes: lonely
    });
  const used = new Set(stacks.flatMap(({ sheets }) => sheets.map(({ sheet }) => sheet)));
  for (const { id, name } of joint.sheets)
    if (!used.has(id))
      found.push({
        level: 'attention',
        said: { code: 'under-no-hole', name }
      });
  return found;
}

/** Flush methods whose sheets are dimpled one by one. */
const CANNOT_STAY: readonly FlushMethod[] = ['dimple-each', 'dimple-top-countersink-under'];

/** What must come apart to be made, or to be dimpled, cannot stay together. */
function closedWarnings(joint: Joint, { layout, stacks }: Derived): Found[] {
  if (!joint.closed) return [];
  const reason = joint.closedReason.trim();
  return [
    reason === ''
      ? { level: 'stop', said: { code: 'closed-unsaid' } }
      : { level: 'attention', said: { code: 'closed', reason } },
    ...(layout.ok && layout.result.growth !== null
      ? [{ level: 'stop' as const, said: { code: 'closed-panel' as const } }]
      : []),
    ...stacks.flatMap((stack): Found[] =>
      stack.flush?.ok && CANNOT_STAY.includes(stack.flush.result.method)
        ? [
            {
              level: 'stop',
              said: { code: 'closed-flush', stack: stacks.length > 1 ? stack.name : null }
            }
          ]
        : []
    )
  ];
}

/** Limits of the joint's own data: whole, and said where they let through more than the shop's. */
function ownHeadWarnings(joint: Joint, profile: RuleProfile): Found[] {
  const { limits, missing } = headLimitsOf(joint, profile);
  if (missing !== null) return [{ level: 'stop', said: { code: 'own-heads-unfinished', missing } }];
  if (!joint.ownHeads) return [];
  const reference = joint.headsReason.trim();
  const wider = isWiderThanShop(limits, profile.headLimits);
  return [{ level: wider ? 'attention' : 'note', said: { code: 'own-heads', reference, wider } }];
}

function filmWarnings({ sheets }: Joint): Found[] {
  const named = sheets.filter((sheet) => sheet.film).map(({ name }) => name);
  return named.length === 0
    ? []
    : [
        {
          level: 'attention',
          said: { code: 'film-on', sheets: named }
        }
      ];
}

const tryWarnings = (tries: readonly PlannedTry[]): Found[] =>
  tries.flatMap(({ hole, found }): Found[] => {
    if (!found?.ok || found.result.agrees) return [];
    const { differenceIn, causes } = found.result;
    return [
      {
        level: 'attention',
        said: { code: 'measured-off', hole, differenceIn, causes },
        holes: [hole]
      }
    ];
  });

/** What one must know of the stacks before relying on them. */
export function stackWarnings(joint: Joint, derived: Derived, profile: RuleProfile): PlanWarning[] {
  const { stacks } = derived;
  const said = [
    ...layerWarnings(joint, derived),
    ...tryWarnings(derived.tries),
    ...stacks.flatMap((stack) => {
      const of = stacks.length > 1 ? stack.name : null;
      return [
        ...flushWarnings(stack, of, joint, profile),
        ...lengthWarnings(stack, of, profile),
        ...headWarnings(stack, of, joint, profile)
      ];
    }),
    ...hotWarnings(joint, stacks),
    ...filmWarnings(joint),
    ...closedWarnings(joint, derived),
    ...ownHeadWarnings(joint, profile)
  ];
  return said.map((warning) => ({ station: 'stack-up', ...warning }));
}
