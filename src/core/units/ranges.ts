/** Rising numbers as one writes them: 1, 2, 3, 7 → `1–3, 7`. */
export function asRanges(numbers: readonly number[]): string {
  const ranges: [number, number][] = [];
  for (const number of numbers) {
    const last = ranges.at(-1);
    if (last?.[1] === number - 1) last[1] = number;
    else ranges.push([number, number]);
  }
  return ranges.map(([from, to]) => (from === to ? `${from}` : `${from}–${to}`)).join(', ');
}
