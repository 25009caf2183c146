import type { LaidLine } from '$core/plan/holes.ts';
import { atLeast } from '$core/units/tolerance.ts';

/** Marks in the order they are read out: line by line, every hole once. */
export function readingOrder(
  lines: readonly Pick<LaidLine, 'key' | 'holes'>[]
): { line: string; hole: number }[] {
  const seen = new Set<number>();
  return lines.flatMap(({ key, holes }) =>
    holes.flatMap((hole) => {
      if (seen.has(hole)) return [];
      seen.add(hole);
      return [{ line: key, hole }];
    })
  );
}

const UNIT_WORDS: Record<string, string> = { in: 'inches', mm: 'millimeters', thou: 'thousandths' };

/** A written figure as a voice should say it: `1 3/32` → one and 3 over 32 inches. */
export const spoken = (figure: string, unit: string): string => {
  const fraction = /^(?:(\d+)[ -])?(\d+)\/(\d+)$/.exec(figure);
  const said = fraction
    ? `${fraction[1] ? `${fraction[1]} and ` : ''}${fraction[2]} over ${fraction[3]}`
    : figure.replace('.', ' point ');
  return `${said} ${UNIT_WORDS[unit] ?? unit}`;
};

/**
 * A mark as it is measured from the edge that is not its datum: the left or upper one where marks run from the right or
 * lower, else the right or lower one.
 *
 * @param markIn from the line's datum, in
 */
export function fromFarEdge(
  {
    path,
    datumIn
  }: Pick<LaidLine, 'datumIn'> & { path: Extract<LaidLine['path'], { path: 'straight' }> },
  markIn: number
): { edge: 'left' | 'right' | 'upper' | 'lower'; awayIn: number } {
  const down = Math.abs(path.dirY) > Math.abs(path.dirX);
  return atLeast(datumIn, path.lengthIn)
    ? { edge: down ? 'upper' : 'left', awayIn: datumIn + markIn }
    : { edge: down ? 'lower' : 'right', awayIn: path.lengthIn - datumIn - markIn };
}
