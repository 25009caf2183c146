import type { Joint } from '../kinds/joint.ts';
import type { JointLayout, Plan } from '../plan/plan-shape.ts';
import { dimpledDriving } from './flush-work.ts';
import { numbersOf, type MadeStep } from './step-parts.ts';

/** Sheets through which each hole goes, in all. */
const layersHeld = ({ holes, stacks }: Pick<Plan, 'holes' | 'stacks'>): number =>
  holes.reduce((sum, hole) => sum + (stacks[hole.stack]?.sheets.length ?? 0), 0);

/** Taking apart, and the chips between. */
export const apartSteps = ({ closed }: Joint, { pieces }: JointLayout): MadeStep[] => [
  ...(closed ? [] : [{ said: { op: 'part' as const }, count: pieces.length }]),
  { said: { op: 'chips', closed }, count: pieces.length, hazard: 'edges' }
];

/** The clear panel's holes, in the panel alone: opened while it lies between metal, its edges crack. */
export const growthSteps = ({ growth, holes }: JointLayout): MadeStep[] =>
  growth === null
    ? []
    : [
        {
          said: { op: 'growth', ...growth },
          rests: growth.diameterIn,
          count: holes.length,
          holes: numbersOf(holes),
          hazard: 'drill'
        }
      ];

/**
 * Parts that never come apart are deburred on their two outer faces only, and no hole where it is countersunk already.
 *
 * @param countersunk holes that were cut while the parts were together
 */
export function finishSteps(
  { closed }: Joint,
  plan: Plan,
  { pieces }: JointLayout,
  countersunk: number
): MadeStep[] {
  const through = closed ? plan.holes.length : layersHeld(plan);
  const less = countersunk === 0 ? '' : ` − ${countersunk} countersunk`;
  return [
    {
      said: { op: 'deburr', closed, countersunk },
      count: 2 * through - countersunk,
      formula: closed
        ? `holes × 2 outer faces = ${through} × 2${less}`
        : `sheets at every hole, added up, × 2 sides = ${through} × 2${less}`
    },
    { said: { op: 'edges' }, count: pieces.length, hazard: 'edges' }
  ];
}

/** A clear panel gets neither primer nor solvent. */
export function lastSteps(
  { closed }: Joint,
  plan: Plan,
  { growth, pieces }: JointLayout
): MadeStep[] {
  const plastic = growth?.part ?? null;
  const parts = pieces.length;
  const metal = plastic === null ? parts : parts - 1;
  const together: MadeStep = {
    said: { op: 'reassemble', dimpledDriving: dimpledDriving(plan).length },
    count: parts
  };
  return [
    { said: { op: 'clean', plastic, closed }, count: parts, hazard: 'primer' },
    { said: { op: 'prime', plastic, closed }, count: metal, hazard: 'primer' },
    ...(closed ? [] : [together])
  ];
}
