import { num } from './answer.ts';
import { DASHES, rivetSize } from './catalog/rivets.ts';
import type { LapJoint } from './joint/lap.ts';
import { plan } from './plan.ts';
import type { Plan } from './plan-shape.ts';
import type { RuleProfile } from './rules/profile.ts';
import { upTo32nd } from './units/ruler.ts';

/** One change to the definition with which the joint becomes possible. */
export interface WayOut {
  text: string;
  /** figures in inches; the page writes them back into its fields */
  change: Partial<Pick<LapJoint, 'rows' | 'pattern' | 'dash' | 'edgeIn' | 'widthIn'>>;
}

const MOST_WAYS = 3;

/** Fails in the joint's own chain: carry, layout, length. A refused head prediction follows from these. */
const possible = (tried: Plan): boolean => tried.required.ok && tried.layout.ok && tried.length.ok;

function candidates(definition: LapJoint, { multipliers }: RuleProfile, failed: Plan): WayOut[] {
  const { pitchMinD } = multipliers;
  const D = failed.diameterIn;
  const leastWidthIn = (edgeIn: number) => upTo32nd(2 * edgeIn + pitchMinD * D);
  const edges = definition.edgeIn === null ? [] : [null];
  const widths = [definition.edgeIn ?? 0, 2.5 * D, 3 * D].map(leastWidthIn);
  const bySize = [...DASHES].sort((a, b) => Math.abs(a - failed.dash) - Math.abs(b - failed.dash));
  return [
    { text: 'let the rows be chosen', change: { rows: 'auto' as const } },
    { text: 'stagger the rows', change: { pattern: 'staggered' as const } },
    { text: 'put the rows in line', change: { pattern: 'in-line' as const } },
    ...edges.map((edgeIn) => ({ text: 'use the usual edge distance', change: { edgeIn } })),
    ...bySize
      .filter((dash) => dash !== failed.dash)
      .map((dash) => ({
        text: `use dash ${dash} (${num(rivetSize(dash).diameterIn)} in)`,
        change: { dash }
      })),
    ...widths
      .filter((widthIn) => widthIn > definition.widthIn)
      .map((widthIn) => ({ text: `widen to ${num(widthIn)} in`, change: { widthIn } }))
  ];
}

/**
 * The nearest changes that make an impossible joint possible, each tried through the plan itself.
 *
 * @returns up to three, nearest first; empty when the joint is possible or no single change helps
 */
export function waysOut(definition: LapJoint, profile: RuleProfile, failed: Plan): WayOut[] {
  if (possible(failed)) return [];
  const working: WayOut[] = [];
  for (const way of candidates(definition, profile, failed)) {
    if (working.length === MOST_WAYS) break;
    if (possible(plan({ ...definition, ...way.change }, profile))) working.push(way);
  }
  return working;
}
