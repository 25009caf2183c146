import { above, below } from '../units/tolerance.ts';

/** A stretch of a row closed to hole centres; open at both ends. */
export interface Closed {
  fromIn: number;
  toIn: number;
}

/** Overlapping and touching-inside intervals joined, rising, so that one pass along the row meets each once. */
export function mergeClosed(keepOut: readonly Closed[]): Closed[] {
  const merged: Closed[] = [];
  for (const next of [...keepOut].sort((a, b) => a.fromIn - b.fromIn)) {
    const last = merged.at(-1);
    // Two that only touch leave their common boundary free: intervals are open.
    if (last && below(next.fromIn, last.toIn)) last.toIn = Math.max(last.toIn, next.toIn);
    else merged.push({ ...next });
  }
  return merged;
}

export const inside = (placeIn: number, { fromIn, toIn }: Closed): boolean =>
  above(placeIn, fromIn) && below(placeIn, toIn);

/** Index of the first of some joined, rising intervals that ends beyond a place; their number where none does. */
export function firstBeyond(placeIn: number, merged: readonly Closed[]): number {
  let low = 0;
  let high = merged.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (above((merged[middle] as Closed).toIn, placeIn)) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** Every place for a hole from one given hole to the next, both included; intervals joined and rising. */
export function placesBetween(
  fromIn: number,
  toIn: number,
  { startIn, gridIn }: { startIn: number; gridIn: number },
  keepOut: readonly Closed[]
): Float64Array {
  const places = [fromIn];
  let obstacle = firstBeyond(fromIn, keepOut);
  for (let k = Math.max(0, Math.floor((fromIn - startIn) / gridIn) - 1); ; k++) {
    const placeIn = startIn + k * gridIn;
    if (!below(placeIn, toIn)) break;
    if (!above(placeIn, fromIn)) continue;
    while (keepOut[obstacle] && !below(placeIn, keepOut[obstacle]?.toIn ?? 0)) obstacle += 1;
    const blocking = keepOut[obstacle];
    if (!blocking || !inside(placeIn, blocking)) places.push(placeIn);
  }
  places.push(toIn);
  return Float64Array.from(places);
}
