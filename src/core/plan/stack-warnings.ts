import { num } from '../answer.ts';
import { HEAD_LIMITS, NOMINAL_HEIGHT_D } from '../catalog/head-limits.ts';
import { rivetSize } from '../catalog/rivets.ts';
import type { Joint } from '../kinds/joint.ts';
import type { Plan, PlannedStack, PlannedTry, PlanWarning } from './plan-shape.ts';
import type { RuleProfile } from '../rules/profile.ts';
import { asRanges } from '../units/ranges.ts';
import { protrusionInWindow } from '../stack/rivet-length.ts';

type Derived = Omit<Plan, 'warnings'>;
type Said = Omit<PlanWarning, 'station'>;

const hundredths = (value: number): string => num(Math.round(value * 100) / 100);

function flushWarnings({ flush, dash }: PlannedStack, of: string): Said[] {
  if (!flush?.ok) return [];
  const { method, margin, leastFlushIn } = flush.result;
  const headIn = num(rivetSize(dash).head.countersunk.heightIn);
  if (method === 'none')
    return [
      {
        level: 'stop',
        title: `${margin === 'knife-edge' ? 'Knife edge' : 'No standard flush method'}${of}`,
        text: `A dash ${dash} flush head is ${headIn} in high. Use a smaller rivet or a thicker top sheet, or refer to engineering.`
      }
    ];
  const found: Said[] = [];
  if (margin === 'marginal')
    found.push({
      level: 'attention',
      title: `Countersink is marginal${of}`,
      text: 'The cut takes more than ⅔ of its sheet: permitted, not preferred.'
    });
  if (leastFlushIn !== null && leastFlushIn > 0)
    found.push({
      level: 'attention',
      title: `The head must stay proud${of}`,
      text: `At least ${num(leastFlushIn)} in above the skin, or the cut goes through the sheet.`
    });
  return found;
}

/** Sheets of harder temper that get a dimple: of the stacks' own, each named once. */
function hotWarnings({ family, head }: Joint, stacks: readonly PlannedStack[]): Said[] {
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
        title: 'Dimple hot',
        text: `${[...new Set(hard.map(({ name }) => name))].join(', ')}: 7075-T6 cracks when dimpled cold.`
      }
    ];
  return untold
    ? [
        {
          level: 'attention',
          title: 'Dimple hot if it is 7075-T6',
          text: 'Harder tempers crack when dimpled cold. Tell each sheet’s material to be sure.'
        }
      ]
    : [];
}

function lengthWarnings(stack: PlannedStack, of: string, profile: RuleProfile): Said[] {
  const { length, gripMinIn, gripMaxIn, dash } = stack;
  if (!length.ok)
    return [
      { level: 'stop', title: `No rivet for this stack${of}`, text: `${length.error.message}.` }
    ];
  const { protrusionMinD, protrusionMaxD } = profile.multipliers;
  const D = rivetSize(dash).diameterIn;
  const { lengthIn, atDimpleIn, protrusionD } = length.result;
  const atEnds = [gripMinIn, gripMaxIn].map((gripIn) => (lengthIn - gripIn) / D);
  const outside = [protrusionD, ...atEnds].filter(
    (value) => !protrusionInWindow(value, profile.multipliers)
  );
  const window = `it must be over ${protrusionMinD} D and under ${protrusionMaxD} D`;
  const found: Said[] = [];
  if (outside.length > 0)
    found.push({
      level: 'stop',
      title: `Protrusion outside its window${of}`,
      text: `${hundredths(outside[0] ?? 0)} D; ${window}.`
    });
  else if (
    profile.dimpled === 'at-dimple' &&
    atDimpleIn !== null &&
    !protrusionInWindow(atDimpleIn / D, profile.multipliers)
  )
    found.push({
      level: 'attention',
      title: `At the dimple the protrusion is outside its window${of}`,
      text: `${hundredths(atDimpleIn / D)} D reckoned from the raised dimple, as this shop does; ${window}.`
    });
  return found;
}

function headWarnings({ head, dash }: PlannedStack, of: string, profile: RuleProfile): Said[] {
  if (!head.ok || head.result.heightBandD !== null) return [];
  const { diameterD, heightD } = HEAD_LIMITS[profile.headLimits];
  const wideD = head.result.diameterAtHalfDIn / rivetSize(dash).diameterIn;
  return [
    {
      // Attention, not stop: the equivalent cylinder overstates a barrel-shaped head.
      level: 'attention',
      title: `By its volume this length makes no good head${of}`,
      text: `At ${NOMINAL_HEIGHT_D} D high it would be ${hundredths(wideD)} D wide: too ${wideD > diameterD.high ? 'much' : 'little'} metal. At no height is it both ${diameterD.low}–${diameterD.high} D wide and ${heightD.low}–${heightD.high} D high.`
    }
  ];
}

/** Layers that lie under no hole, and holes that hold nothing together. */
function layerWarnings(joint: Joint, { holes, layout, stacks }: Derived): Said[] {
  if (!layout.ok) return [];
  const found: Said[] = [];
  const lonely = holes
    .filter((hole) => (stacks[hole.stack]?.sheets.length ?? 0) < 2)
    .map((hole) => hole.number);
  if (lonely.length > 0)
    found.push({
      level: 'stop',
      title: 'Holes that hold nothing together',
      text: `Fewer than two layers lie at holes ${asRanges(lonely)}.`,
      holes: lonely
    });
  const used = new Set(stacks.flatMap(({ sheets }) => sheets.map(({ name }) => name)));
  for (const { name } of joint.sheets)
    if (!used.has(name))
      found.push({
        level: 'attention',
        title: `${name} lies under no hole`,
        text: 'Look at where it begins and ends.'
      });
  return found;
}

function filmWarnings({ sheets }: Joint): Said[] {
  const named = sheets.filter((sheet) => sheet.film).map(({ name }) => name);
  return named.length === 0
    ? []
    : [
        {
          level: 'attention',
          title: `Film is still on ${named.join(' and ')}`,
          text: 'Peel it before measuring and before riveting: it raises a head by 0.001 to 0.002 in. It is not counted in the grip.'
        }
      ];
}

const tryWarnings = (tries: readonly PlannedTry[]): Said[] =>
  tries.flatMap(({ hole, found }): Said[] => {
    if (!found?.ok || found.result.agrees) return [];
    const { differenceIn, causes } = found.result;
    return [
      {
        level: 'attention',
        title: `Hole ${hole}: ${num(Math.round(Math.abs(differenceIn) * 10_000) / 10_000)} in ${differenceIn > 0 ? 'more' : 'less'} in the grip than the stack says`,
        text: `Look for: ${causes.join('; ')}.`,
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
      const of = stacks.length > 1 ? `: ${stack.name}` : '';
      return [
        ...flushWarnings(stack, of),
        ...lengthWarnings(stack, of, profile),
        ...headWarnings(stack, of, profile)
      ];
    }),
    ...hotWarnings(joint, stacks),
    ...filmWarnings(joint)
  ];
  return said.map((warning) => ({ station: 'stack', ...warning }));
}
