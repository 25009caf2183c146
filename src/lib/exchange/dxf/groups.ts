/** One group of a DXF file: a code on a line of its own, and what it says on the next. */
export interface Group {
  code: number;
  text: string;
  /** of its code, as the file counts, 1 the first */
  line: number;
}

/** What cannot be read, in words. */
export class Unreadable extends Error {}

const CODE = /^\s*-?\d{1,4}\s*$/;
const shown = (text: string): string => JSON.stringify(text.trim().slice(0, 40));

/**
 * The groups of a DXF file up to its end.
 *
 * @throws Unreadable where a line stands that belongs to no group, and where the file was cut off
 */
export function groupsOf(text: string): Group[] {
  const lines = text.split(/\r\n|\r|\n/);
  const groups: Group[] = [];
  for (let at = 0; at + 1 < lines.length; at += 2) {
    const [code = '', said = ''] = [lines[at], lines[at + 1]];
    if (!CODE.test(code))
      throw new Unreadable(
        `line ${at + 1}: the number of a group is expected; it reads ${shown(code)}`
      );
    const group = { code: Number(code), text: said, line: at + 1 };
    if (group.code === 0 && said.trim() === 'EOF') return groups;
    groups.push(group);
  }
  throw new Unreadable('it ends before its EOF: it was cut off');
}

const NUMBER = /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d{1,3})?$/i;

/** A number as strictly as in a table: digits and one point; null for anything else, and for one that is too large to be any. */
export function numberOf(text: string): number | null {
  const trimmed = text.trim();
  const value = NUMBER.test(trimmed) ? Number(trimmed) : NaN;
  return Number.isFinite(value) ? value : null;
}
