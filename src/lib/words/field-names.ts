import { valueAt } from '../../core/joint/paths.ts';
import { KINDS } from '../../core/kinds/joint.ts';

const NAMES: Record<string, string> = {
  title: 'name of the joint',
  edgeIn: 'edge distance',
  nearPitchIn: 'target pitch',
  holdPitchIn: 'maximum pitch',
  holdPitchReason: 'source of the maximum pitch',
  family: 'sheet family',
  reckonOn: 'sheet the count is based on',
  location: 'where it sits',
  head: 'head',
  alloy: 'rivet alloy',
  dash: 'rivet size',
  prefer: 'spacing practice',
  scale: 'ruler',
  divisionsFrom: 'divisions from',
  thicknessIn: 'thickness',
  name: 'name',
  sheets: 'sheets',
  endThicknessIn: 'thickness at the far end',
  perInch: 'rivets per inch',
  perInchReason: 'source of rivets per inch',
  closed: 'disassembly after drilling',
  closedReason: 'accepted by',
  ownHeads: 'limits of heads',
  headWideLowD: 'minimum head diameter',
  headWideHighD: 'maximum head diameter',
  headHighLowD: 'minimum head height',
  headHighHighD: 'maximum head height',
  headsReason: 'data of the head limits',
  toolClearanceIn: 'tool clearance',
  keepOuts: 'keep-outs',
  fixed: 'fixed holes',
  edits: 'holes set by hand',
  tries: 'measured rivets',
  spans: 'measured spans',
  thickMeant: 'confirmed thick sheets',
  datum: 'datum',
  strengthSheet: 'sheet of the strength check',
  atIn: 'running distance',
  offIn: 'off the line',
  holeIn: 'maximum hole diameter',
  blind: 'blind rivet',
  blindLeastIn: 'minimum grip of the blind rivet',
  blindMostIn: 'maximum grip of the blind rivet',
  xIn: 'right of the datum',
  yIn: 'down from the edge',
  wIn: 'width',
  hIn: 'height',
  fromIn: 'from',
  toIn: 'to',
  reason: 'reason',
  nudgeIn: 'moved by'
};

/** What one of a list is called. */
const ONE_OF: Record<string, string> = {
  sheets: 'sheet',
  keepOuts: 'keep-out',
  fixed: 'fixed hole',
  edits: 'hole set by hand'
};

/** Fields of every kind by the names that the kinds give them. */
const ALL_NAMES: Record<string, string> = Object.assign(
  {},
  ...KINDS.map(({ names }) => names),
  NAMES
);

/**
 * A path of a joint in the words of the page: `sheets.strap.thicknessIn` → sheet 2, thickness.
 *
 * @param document the joint whose items the path names by their ids
 */
export function fieldName(path: string, document: unknown): string {
  const parts = path.split('.').filter((part) => part !== 'definition');
  const said: string[] = [];
  for (let at = 0; at < parts.length; at++) {
    const part = parts[at] ?? '';
    const item = parts[at + 1];
    const one = ONE_OF[part];
    if (one === undefined || item === undefined) said.push(ALL_NAMES[part] ?? part);
    else {
      said.push(
        item === 'order'
          ? `order of the ${NAMES[part] ?? part}`
          : `${one} ${placeOf(document, part, item)}`
      );
      at += 1;
    }
  }
  return said.join(', ');
}

/** Which of its list an item is, counted from 1; the id itself where it is gone. */
function placeOf(document: unknown, list: string, id: string): number | string {
  const items = valueAt(document, list);
  const at = Array.isArray(items)
    ? items.findIndex((item) => (item as { id?: string }).id === id)
    : -1;
  return at === -1 ? id : at + 1;
}
