import { num } from './answer.ts';
import { DASHES, rivetSize } from './catalog/rivets.ts';
import type { Joint } from './joint/kinds.ts';
import { plan } from './plan.ts';
import type { Plan } from './plan-shape.ts';
import type { RuleProfile } from './rules/profile.ts';
import type { WayOut } from './way-out.ts';
import { writeDecimal } from './units/format-length.ts';
import { upTo32nd } from './units/ruler.ts';

const MOST_WAYS = 3;

/** Fails in the joint's own chain: carry, layout, length. A refused head prediction follows from these. */
const possible = (tried: Plan): boolean =>
  tried.needs.every(({ required }) => required.ok) &&
  tried.layout.ok &&
  tried.stacks.every(({ length }) => length.ok);

interface Candidate extends WayOut {
  /** the same change read into inches */
  joint: Joint;
}

function candidates(joint: Joint, { multipliers }: RuleProfile, failed: Plan): Candidate[] {
  const found: Candidate[] = [];
  const D = failed.diameterIn;
  const add = (text: string, read: Record<string, unknown>, change: WayOut['change']) =>
    found.push({ text, change, joint: { ...joint, ...read } as Joint });
  const written = (valueIn: number) => writeDecimal(valueIn, 0, 6);
  if ('pattern' in joint) {
    add('let the rows be chosen', { rows: 'auto' }, { rows: 'auto' });
    add('stagger the rows', { pattern: 'staggered' }, { pattern: 'staggered' });
    add('put the rows in line', { pattern: 'in-line' }, { pattern: 'in-line' });
  }
  if (joint.kind === 'patch' && joint.rows === 1)
    add('set two lines round the cut-out', { rows: 2 }, { rows: 2 });
  if (joint.kind === 'round' && joint.rings < 3)
    add(`set ${joint.rings + 1} rings`, { rings: joint.rings + 1 }, { rings: joint.rings + 1 });
  if (joint.kind === 'tapered' && joint.lines === 1)
    add('set two lines', { lines: 2 }, { lines: 2 });
  if (joint.edgeIn !== null) add('use the usual edge distance', { edgeIn: null }, { edgeIn: '' });
  if (joint.kind === 'patch') {
    const halfIn = Math.min(joint.cutoutWIn, joint.cutoutHIn) / 2;
    for (const radiusIn of [0.375, 0.25])
      if (joint.cornerRadiusIn > radiusIn && halfIn >= radiusIn)
        add(
          `round the corners to ${num(radiusIn)} in`,
          { cornerRadiusIn: radiusIn },
          { cornerRadiusIn: written(radiusIn) }
        );
    if (joint.style === 'flush')
      add('use a plate without an insert', { style: 'plate-over' }, { style: 'plate-over' });
  }
  if (joint.kind === 'round' && joint.insert)
    add('go without an insert', { insert: false }, { insert: false });
  const bySize = [...DASHES].sort((a, b) => Math.abs(a - failed.dash) - Math.abs(b - failed.dash));
  for (const dash of bySize)
    if (dash !== failed.dash)
      add(`use dash ${dash} (${num(rivetSize(dash).diameterIn)} in)`, { dash }, { dash });
  if (joint.kind === 'lap' || joint.kind === 'splice' || joint.kind === 'sandwich')
    for (const edgeIn of [joint.edgeIn ?? 0, 2.5 * D, 3 * D]) {
      const widthIn = upTo32nd(2 * edgeIn + multipliers.pitchMinD * D);
      if (widthIn > joint.widthIn)
        add(`widen to ${num(widthIn)} in`, { widthIn }, { widthIn: written(widthIn) });
    }
  return found;
}

/**
 * The nearest changes that make an impossible joint possible, each tried through the plan itself.
 *
 * @returns up to three, nearest first; empty when the joint is possible or no single change helps
 */
export function waysOut(joint: Joint, profile: RuleProfile, failed: Plan): WayOut[] {
  if (possible(failed)) return [];
  const working: WayOut[] = [];
  for (const { text, change, joint: changed } of candidates(joint, profile, failed)) {
    if (working.length === MOST_WAYS) break;
    if (possible(plan(changed, profile))) working.push({ text, change });
  }
  return working;
}
