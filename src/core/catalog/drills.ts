import { parseLength } from '../units/parse-length.ts';

/** Number and letter drills, in (drills). */
const NUMBERS = [
  0.228, 0.221, 0.213, 0.209, 0.2055, 0.204, 0.201, 0.199, 0.196, 0.1935, 0.191, 0.189, 0.185,
  0.182, 0.18, 0.177, 0.173, 0.1695, 0.166, 0.161, 0.159, 0.157, 0.154, 0.152, 0.1495, 0.147, 0.144,
  0.1405, 0.136, 0.1285, 0.12, 0.116, 0.113, 0.111, 0.11, 0.1065, 0.104, 0.1015, 0.0995, 0.098,
  0.096, 0.0935, 0.089, 0.086, 0.082, 0.081, 0.0785, 0.076, 0.073, 0.07, 0.067, 0.0635, 0.0595,
  0.055, 0.052, 0.0465, 0.043, 0.042, 0.041, 0.04
];
const LETTERS: [string, number][] = [
  ['A', 0.234],
  ['B', 0.238],
  ['C', 0.242],
  ['D', 0.246],
  ['E', 0.25],
  ['F', 0.257],
  ['G', 0.261],
  ['H', 0.266]
];

export interface Drill {
  name: string;
  diameterIn: number;
}

/** Every drill, smallest first. */
export const DRILLS: readonly Drill[] = [
  ...NUMBERS.map((diameterIn, index) => ({ name: `#${index + 1}`, diameterIn })),
  ...LETTERS.map(([name, diameterIn]) => ({ name, diameterIn }))
].sort((a, b) => a.diameterIn - b.diameterIn);

/** The largest hole that stays open for something else. */
const LARGEST_OPEN_IN = 2;

/**
 * A drill as one names it: by number, by letter, or by its diameter.
 *
 * @returns null where it is neither
 */
export function readDrill(text: string): Drill | null {
  const written = text
    .trim()
    .toUpperCase()
    .replace(/^NO\.?\s*/, '#');
  const named = DRILLS.find(({ name }) => name === written);
  if (named) return named;
  const read = parseLength(text);
  return read.ok && read.valueIn > 0 && read.valueIn <= LARGEST_OPEN_IN
    ? { name: text.trim(), diameterIn: read.valueIn }
    : null;
}

/** @returns the diameter of a drill named as in the shop: `#30`, `F` */
export function drillIn(name: string): number {
  const found = DRILLS.find((drill) => drill.name === name);
  if (!found) throw new RangeError(`no drill named ${name}; expected #1 to #60 or A to H`);
  return found.diameterIn;
}
