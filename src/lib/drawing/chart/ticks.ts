/** Width of a figure of an axis, px a letter: 14 px figures. */
const LETTER_PX = 8.3;
const BETWEEN_PX = 8;

/**
 * Of the numbers of a horizontal axis those that have room beside each other: every one, else every second, third …
 * counted from the last, so that the newest keeps its number.
 *
 * @param at where a number stands, px
 * @param say how it is written
 */
export function ticksApart(
  ticks: readonly number[],
  at: (tick: number) => number,
  say: (tick: number) => string
): number[] {
  const wide = ticks.map((tick) => say(tick).length * LETTER_PX + BETWEEN_PX);
  const fits = (every: number): boolean =>
    ticks.every((tick, index) => {
      const before = ticks[index - every];
      if (before === undefined || (ticks.length - 1 - index) % every !== 0) return true;
      return at(tick) - at(before) >= ((wide[index] ?? 0) + (wide[index - every] ?? 0)) / 2;
    });
  let every = 1;
  while (every < ticks.length && !fits(every)) every += 1;
  return ticks.filter((_, index) => (ticks.length - 1 - index) % every === 0);
}
