/** Every one, else every fifth, tenth … is labeled: what a person counts in. */
const STEPS = [1, 5, 10, 25, 50, 100, 250, 500, 1000];
const GAP_PX = 3;

/**
 * Which of the things along a line carry their label: all where there is room, else the first, the last and every fifth,
 * tenth or more between, none over another.
 *
 * @param atPx where they lie along the line, px, rising or falling
 * @param halfPx half of what the label of each takes along the line, px
 * @param levels in so many heights the labels stand in turn
 * @returns places in the list, rising
 */
export function labelled(
  atPx: readonly number[],
  halfPx: (index: number) => number,
  levels = 1
): number[] {
  const last = atPx.length - 1;
  if (last < 0) return [];
  // asked for once each: a label may have to be written to know its width
  const half: number[] = [];
  const clear = (a: number, b: number): boolean =>
    Math.abs((atPx[a] ?? 0) - (atPx[b] ?? 0)) >=
    (half[a] ??= halfPx(a)) + (half[b] ??= halfPx(b)) + GAP_PX;
  const roomy = (shown: readonly number[]): boolean =>
    shown.every((index, at) => at < levels || clear(index, shown[at - levels] ?? index));
  for (const step of STEPS) {
    const between: number[] = [];
    for (let index = step - 1; index < last; index += step) if (index > 0) between.push(index);
    if (!roomy(between)) continue;
    // the ends are read first: what would stand over them gives way
    const own = between.filter((index) => step === 1 || (clear(index, 0) && clear(index, last)));
    const shown = [...new Set([0, ...own, last])];
    if (roomy(shown)) return shown;
  }
  return last > 0 && clear(0, last) ? [0, last] : [0];
}
