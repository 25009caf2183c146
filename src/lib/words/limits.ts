import type { CheckRule } from '../../core/kinds/kind-layout.ts';
import type { PlanWarningSaid } from '../../core/plan/warning-said.ts';
import type { WriteLength } from './writing.ts';

/** What is wrong where a limit is not kept. */
export const CHECK_NAMES: Record<CheckRule, string> = {
  'edge-min': 'Edge distance is under its least',
  'layer-end-min': 'A hole is too near the end of a layer',
  'edge-max': 'Edge distance is over its largest: a loose flap beyond the rivets',
  'pitch-min': 'Pitch is under its least',
  'pitch-max': 'Pitch is over its largest',
  'snapped-edge-min': 'On this ruler a mark comes too close to an edge',
  'snapped-pitch-min': 'On this ruler two marks come closer than the least pitch',
  'snapped-pitch-max': 'On this ruler two marks are further apart than the largest pitch',
  'transverse-min': 'Rows are too close',
  'centre-min': 'Rivets of neighboring rows are too close',
  'open-gap': 'Over an open hole the rivets stand far apart',
  'keep-out': 'A hole lies in a keep-out',
  'bend-clear': 'The heads or the tools come into the bend',
  'insert-corner': 'A mark comes near an insert’s rounded corner',
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
    return `${valueIn < 0 ? `The hole cuts into an end of ${layer ?? 'a layer'}, ${length(-valueIn)} beside its middle` : `An end of ${layer ?? 'a layer'} is ${length(valueIn)} from the hole’s middle`}; the least edge distance is ${length(limitIn)}.${where}`;
  if (rule === 'no-metal')
    return `Its grip counts a sheet that is not there. Move it, or delete it.${where}`;
  return `${length(valueIn)} against a limit of ${length(limitIn)}.${where}`;
}
