/**
 * How many spaces each stretch gets so that all together make `total`, at the least cost. A stretch between two given holes
 * that takes one space only needs no search.
 *
 * @param costs of every stretch, by its number of spaces; ∞ where it cannot be filled with so many, and for none
 * @param slackIn2 costs that differ by less are equal on paper
 * @returns null when there is no way
 */
export function shareSpaces(
  costs: readonly Float64Array[],
  total: number,
  slackIn2 = 0
): number[] | null {
  const open = costs.flatMap((cost, at) => (cost.length > 2 ? [at] : []));
  const single = costs.length - open.length;
  if (costs.some((cost) => cost.length <= 2 && cost[1] === Infinity)) return null;
  const shared = shareOpen(
    open.map((at) => costs[at] as Float64Array),
    total - single,
    slackIn2
  );
  if (!shared) return null;
  const spaces = costs.map(() => 1);
  open.forEach((at, index) => {
    spaces[at] = shared[index] ?? 0;
  });
  return spaces;
}

function shareOpen(
  costs: readonly Float64Array[],
  total: number,
  slackIn2: number
): number[] | null {
  if (total < 0) return null;
  let best = new Float64Array(total + 1).fill(Infinity);
  best[0] = 0;
  const taken: Int32Array[] = [];
  for (const cost of costs) {
    const next = new Float64Array(total + 1).fill(Infinity);
    const took = new Int32Array(total + 1);
    for (let sum = 0; sum <= total; sum++)
      for (let spaces = 1; spaces < cost.length && spaces <= sum; spaces++) {
        const all = (cost[spaces] as number) + (best[sum - spaces] as number);
        if (all < (next[sum] as number) - slackIn2) {
          next[sum] = all;
          took[sum] = spaces;
        }
      }
    taken.push(took);
    best = next;
  }
  if (best[total] === Infinity) return null;
  let left = total;
  return taken
    .reverse()
    .map((took) => {
      const spaces = took[left] ?? 0;
      left -= spaces;
      return spaces;
    })
    .reverse();
}
