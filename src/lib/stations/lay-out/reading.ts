import type { LaidLine } from '$core/plan/holes.ts';

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

const UNIT_WORDS: Record<string, string> = { in: 'inches', mm: 'millimetres', thou: 'thousandths' };

/** A written figure as a voice should say it: `1 3/32` → one and 3 over 32 inches. */
export const spoken = (figure: string, unit: string): string => {
  const fraction = /^(?:(\d+)[ -])?(\d+)\/(\d+)$/.exec(figure);
  const said = fraction
    ? `${fraction[1] ? `${fraction[1]} and ` : ''}${fraction[2]} over ${fraction[3]}`
    : figure.replace('.', ' point ');
  return `${said} ${UNIT_WORDS[unit] ?? unit}`;
};
