import type { DrilledHoles } from '../../core/exchange/pattern.ts';
import type { PatternLayer } from '../../core/exchange/strokes.ts';
import type { WriteLength } from './writing.ts';

const WHAT: Partial<Record<PatternLayer, string>> = {
  HOLES: 'rivet holes',
  EXISTING: 'existing holes',
  HELD_OPEN: 'held open',
  PILOTS: 'pilots first',
  RELIEFS: 'corner reliefs, before the cutout',
  STOP_DRILL: 'stop-drills at the ends of cracks, no rivet'
};

/** More holes than these are counted, not named. */
const MOST_NAMED = 12;

/** Hole numbers, neighbors drawn together: 1–4, 7. */
export function inRuns(numbers: readonly number[]): string {
  const runs: [number, number][] = [];
  for (const number of [...numbers].sort((a, b) => a - b)) {
    const last = runs.at(-1);
    if (last && number <= last[1] + 1) last[1] = number;
    else runs.push([number, number]);
  }
  return runs.map(([from, to]) => (from === to ? `${from}` : `${from}–${to}`)).join(', ');
}

/** A line of the drill table in words: what is drilled, how many, with what. */
export function drilledInWords(
  { layer, part, drill, diameterIn, fitted, holes, named: letters }: DrilledHoles,
  partName: string,
  length: WriteLength
): string {
  const count = holes.length + letters.length;
  const which = letters.length > 0 ? letters.join(', ') : inRuns(holes);
  const named = which.split(', ').length <= MOST_NAMED ? ` (${which})` : '';
  const where = part === null ? '' : ` in the ${partName} alone, after taking apart`;
  const size = length(diameterIn, 'fine');
  if (layer === 'EXISTING')
    return `${count} existing holes${named}: there already. Measure them; ${drill ?? 'the drill'}, ${size}, is the size planned${where}`;
  if (drill === null && fitted === null)
    return `${count} ${WHAT[layer] ?? 'holes'}${named}: ${size} in diameter`;
  if (drill === null)
    return `${count} reworked${named}, drill nothing there: ${fitted ?? 'another fastener'} is in the metal, its hole drawn ${size}`;
  return `${count} ${WHAT[layer] ?? 'holes'}${named}: drill ${drill}, ${size}${where}`;
}

/** From which side every drawing of the metal is seen. */
export const SEEN_FROM =
  'Viewed from the manufactured head side, each part as in the joint; the other face is mirrored. 0,0 is the datum corner; UP as marked.';
