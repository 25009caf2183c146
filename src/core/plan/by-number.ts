import type { PlannedHole } from './holes.ts';

/** Holes by their number; a number whose hole was taken out is empty. */
export type ByNumber = readonly (PlannedHole | undefined)[];

/** Looked up some ten times a hole at every keystroke: an array costs a tenth of a map. */
export function byNumber(holes: readonly PlannedHole[]): ByNumber {
  const found: (PlannedHole | undefined)[] = [];
  for (const hole of holes) found[hole.number] = hole;
  return found;
}
