const NAMES: Record<string, string> = {
  title: 'name of the joint',
  widthIn: 'joint width',
  edgeIn: 'edge distance',
  nearPitchIn: 'wished pitch',
  family: 'sheet family',
  reckonOn: 'sheet reckoned on',
  location: 'where it sits',
  head: 'head',
  alloy: 'rivet alloy',
  dash: 'rivet size',
  rows: 'rows',
  pattern: 'pattern',
  prefer: 'pitch school',
  scale: 'ruler',
  thicknessIn: 'thickness',
  name: 'name',
  sheets: 'sheets',
  gapIn: 'gap',
  farSheetIn: 'far skin',
  cutoutWIn: 'cut-out width',
  cutoutHIn: 'cut-out height',
  cutoutIn: 'cut-out diameter',
  cornerRadiusIn: 'corner radius',
  insertClearanceIn: 'clearance round the insert',
  insertSheetIn: 'insert thickness',
  crackIn: 'length of the crack',
  crackTurnDeg: 'direction of the crack',
  lengthIn: 'length',
  flangeIn: 'flange width',
  flangeEndIn: 'flange width at the far end',
  bendRadiusIn: 'bend radius',
  offsetIn: 'line from the flange edge',
  heightIn: 'height',
  frameIn: 'frame strip',
  bracketIn: 'corner bracket',
  deltaTC: 'temperature difference',
  topCount: 'rivets, top',
  bottomCount: 'rivets, bottom',
  leftCount: 'rivets, left',
  rightCount: 'rivets, right',
  endThicknessIn: 'thickness at the far end',
  perInch: 'rivets an inch',
  perInchReason: 'whose rivets an inch',
  toolClearanceIn: 'tool clearance',
  keepOuts: 'keep-outs',
  fixed: 'fixed holes',
  edits: 'holes set by hand',
  divides: 'divided spans',
  zones: 'size zones',
  datum: 'datum',
  strengthSheet: 'sheet of the strength check',
  style: 'what covers it',
  carries: 'whether it carries load',
  crackDrill: 'stop-drill',
  rings: 'rings',
  insert: 'insert',
  lines: 'rivet lines',
  material: 'panel material',
  shear: 'shear counted',
  atIn: 'running distance',
  offIn: 'off the line',
  xIn: 'right of the datum',
  yIn: 'down from the edge',
  wIn: 'width',
  hIn: 'height',
  fromIn: 'from',
  toIn: 'to',
  count: 'number of holes',
  reason: 'reason',
  nudgeIn: 'moved by'
};

/** What one of a list is called. */
const ONE_OF: Record<string, string> = {
  sheets: 'sheet',
  keepOuts: 'keep-out',
  fixed: 'fixed hole',
  edits: 'hole set by hand',
  divides: 'divided span',
  zones: 'size zone'
};

/** A document path in the words of the page: `definition.sheets.0.thicknessIn` → sheet 1, thickness. */
export function fieldName(path: string): string {
  const parts = path.split('.').filter((part) => part !== 'definition');
  return parts
    .map((part, index) =>
      /^\d+$/.test(part)
        ? null
        : ONE_OF[part] !== undefined && parts[index + 1] !== undefined
          ? `${ONE_OF[part]} ${Number(parts[index + 1]) + 1}`
          : (NAMES[part] ?? part)
    )
    .filter((part) => part !== null)
    .join(', ');
}
