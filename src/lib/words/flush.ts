import type { FlushLead, FlushQuestion } from '../../core/stack/flush-path.ts';
import type { FlushTool } from '../../core/stack/flush-tools.ts';
import type { FlushTarget } from '../../core/stack/flush-target.ts';
import { same } from '../../core/units/tolerance.ts';
import { signed, type WriteLength } from './writing.ts';

/** What the flush rule asks. */
export function questionInWords(said: FlushQuestion, length: WriteLength): string {
  switch (said.ask) {
    case 'top-thick':
      return `Is the top sheet ${length(said.limitIn)} or more?`;
    case 'head-within':
      return `Does the head stay within the sheet, up to ${length(said.proudIn, 'fine')} high allowed?`;
    case 'stack-thin':
      return `Is the whole stack ${length(said.limitIn)} or less?`;
    case 'thick-beneath':
      return `Is a sheet beneath over ${length(said.limitIn)}?`;
    case 'stack-under':
      return `Is the whole stack under ${length(said.limitIn)}?`;
    case 'dimpled-under':
      return `Are the dimpled sheets under ${length(said.limitIn)} together?`;
    case 'cut-within':
      return `Does the deeper cut stay within sheet ${said.sheet}?`;
  }
}

/** Where an answer leads. */
export const LEADS: Record<FlushLead, string> = {
  countersink: 'countersink the top sheet',
  'dimple-together': 'dimple the sheets together, the rivet as punch',
  'dimple-each': 'dimple each sheet separately',
  'dimple-top-countersink-under': 'dimple the top, countersink beneath',
  none: 'no standard method: use a smaller rivet or thicker sheet, or refer to engineering',
  'may-countersink': 'it may be countersunk',
  'is-dimpled': 'dimpled',
  'not-together': 'not together',
  'may-receive': 'it may be countersunk to receive the dimple',
  'all-dimpled': 'every sheet is dimpled',
  nest: 'they nest'
};

/** An angle beyond what the school of angles tells is nobody’s to assume. */
export const angle = (degrees: number | null): string =>
  degrees === null ? 'angle not specified' : `${degrees}°`;

/** Between which limits a head may stand: one figure where they meet. */
export const flushRange = (
  { lowIn, highIn }: Pick<FlushTarget, 'lowIn' | 'highIn'>,
  length: WriteLength
): string =>
  same(lowIn, highIn)
    ? `${signed(highIn, length)} only`
    : `${same(lowIn, 0) ? 0 : signed(lowIn, length)} to ${signed(highIn, length)}`;

/** How flush a head is to stand in its cut, and how deep that cut may be. */
export const flushAim = (aim: FlushTarget, length: WriteLength): string =>
  same(aim.lowIn, aim.highIn)
    ? `flushness ${flushRange(aim, length)}, never deeper`
    : `flushness ${signed(aim.targetIn, length)} (${flushRange(aim, length)}), never deeper than ${length(aim.deepestIn, 'fine')}`;

/** What is done to one sheet, and with which tools. */
export function toolInWords(tool: FlushTool, length: WriteLength): string {
  if (tool.op === 'plain') return 'plain hole';
  if (tool.op === 'dimple') {
    const hot = { hot: ' · hot', ask: ' · hot if 7075-T6', cold: '' }[tool.hot];
    return tool.together
      ? `dimple with the others, the rivet’s head as punch, die ${angle(tool.dieDeg)}${hot}`
      : `dimple: punch ${angle(tool.punchDeg)}, die ${angle(tool.dieDeg)}${hot}`;
  }
  const nest = tool.nest
    ? `, ${length(tool.nest.extraIn, 'fine')} = ${tool.nest.clicks} clicks deeper than flush`
    : '';
  const start = tool.byTrial ? ' to start with' : '';
  const aim = tool.aim === null || tool.byTrial ? '' : `: ${flushAim(tool.aim, length)}`;
  return `countersink ${tool.cutDeg}°, ${length(tool.depthIn, 'fine')} deep${start}, ${length(tool.diameterIn)} wide${nest}${aim}`;
}
