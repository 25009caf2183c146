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
  sheets: 'sheets'
};

/** A document path in the words of the page: `definition.sheets.0.thicknessIn` → sheet 1, thickness. */
export function fieldName(path: string): string {
  const parts = path.split('.').filter((part) => part !== 'definition');
  return parts
    .map((part, index) =>
      /^\d+$/.test(part)
        ? null
        : part === 'sheets' && parts[index + 1] !== undefined
          ? `sheet ${Number(parts[index + 1]) + 1}`
          : (NAMES[part] ?? part)
    )
    .filter((part) => part !== null)
    .join(', ');
}
