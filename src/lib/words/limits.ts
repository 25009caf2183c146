import type { CheckRule } from '../../core/kinds/kind-layout.ts';
import type { PlanWarningSaid } from '../../core/plan/warning-said.ts';
import type { WriteLength } from './writing.ts';

/** What is wrong where a limit is not kept. */
export const CHECK_NAMES: Record<CheckRule, string> = {
  'edge-min': 'Edge distance below minimum',
  'layer-end-min': 'A hole is too near the end of a layer',
  'edge-max': 'Edge distance above maximum: loose edge beyond the rivets',
  'pitch-min': 'Pitch below minimum',
  'pitch-max': 'Pitch above maximum',
  'snapped-edge-min': 'Rounded to this scale, a mark is too close to an edge',
  'snapped-pitch-min': 'Rounded to this scale, two marks are closer than the minimum pitch',
  'snapped-pitch-max': 'Rounded to this scale, two marks exceed the maximum pitch',
  'transverse-min': 'Transverse pitch below minimum',
  'centre-min': 'Rivets of neighboring rows are too close',
  'open-gap': 'Large rivet spacing at an open hole',
  'keep-out': 'Hole inside a keep-out',
  'bend-clear': 'Heads or tools interfere with the bend',
  'insert-corner': 'A mark is close to a rounded insert corner',
  'insert-corner-least': 'A mark is less than one D from an insert’s rounded corner',
  'no-metal': 'Hole outside one of its sheets'
};

const MOST_NAMED = 6;

/** Ends a sentence about some holes. */
function holesNamed(holes: readonly number[]): string {
  if (holes.length === 0) return '';
  const more = holes.length > MOST_NAMED ? ` and ${holes.length - MOST_NAMED} more` : '';
  return ` Hole${holes.length > 1 ? 's' : ''} ${holes.slice(0, MOST_NAMED).join(', ')}${more}.`;
}

/** How far it is from its limit, and at which holes. */
export function limitText(
  { rule, valueIn, limitIn, layer }: Extract<PlanWarningSaid, { code: 'limit' }>,
  holes: readonly number[],
  length: WriteLength
): string {
  const where = holesNamed(holes);
  if (rule === 'keep-out')
    return `${length(valueIn)} inside, head and tool clearance counted.${where}`;
  if (rule === 'layer-end-min')
    return `${valueIn < 0 ? `The hole cuts into an end of ${layer ?? 'a layer'}, ${length(-valueIn)} beside its middle` : `An end of ${layer ?? 'a layer'} is ${length(valueIn)} from the hole’s middle`}; minimum edge distance ${length(limitIn)}.${where}`;
  if (rule === 'no-metal')
    return `Its grip counts a sheet that is not there. Move it, or delete it.${where}`;
  return `${length(valueIn)} against a limit of ${length(limitIn)}.${where}`;
}
