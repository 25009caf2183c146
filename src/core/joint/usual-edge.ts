import { next32ndAbove, nextDivisionAbove } from '../units/ruler.ts';
import type { RulerScale } from '../units/ruler.ts';

interface Laid {
  edgeIn: number | null;
  scale: RulerScale;
  divisionsFrom: 'datum' | 'first-hole';
}

/**
 * The edge distance of a joint: as typed, else the next whole division over the least, so that it can be marked; in.
 *
 * @param leastIn the least that the rivets take
 * @returns `step` is the division, as in "next whole 1/64"; null where the edge was typed
 * @source size
 */
export function edgeOf(
  { edgeIn, scale, divisionsFrom }: Laid,
  leastIn: number
): { edgeIn: number; step: Exclude<RulerScale, 'exact'> | null } {
  if (edgeIn !== null) return { edgeIn, step: null };
  return divisionsFrom === 'datum'
    ? { edgeIn: nextDivisionAbove(leastIn, scale), step: scale === 'exact' ? '1/32' : scale }
    : { edgeIn: next32ndAbove(leastIn), step: '1/32' };
}
