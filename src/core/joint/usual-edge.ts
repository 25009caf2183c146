import { next32ndAbove, nextDivisionAbove } from '../units/ruler.ts';
import type { RulerScale } from '../units/ruler.ts';

interface Laid {
  edgeIn: number | null;
  scale: RulerScale;
  divisionsFrom: 'datum' | 'first-hole';
}

/** Divisions of a scale as one says them. */
const SAID: Record<RulerScale, string> = {
  '1/32': '1/32',
  '1/64': '1/64',
  '0.1': '0.1 in',
  '0.01': '0.01 in',
  '1mm': '1 mm',
  '0.5mm': '0.5 mm',
  exact: '1/32'
};

/**
 * The edge distance of a joint: as typed, else the next whole division over the least, so that it can be marked; in.
 *
 * @param leastIn the least that the rivets take
 * @returns `step` names the division, as in "next whole 1/64"; null where the edge was typed
 * @source handbook 4.1
 */
export function edgeOf(
  { edgeIn, scale, divisionsFrom }: Laid,
  leastIn: number
): { edgeIn: number; step: string | null } {
  if (edgeIn !== null) return { edgeIn, step: null };
  return divisionsFrom === 'datum'
    ? { edgeIn: nextDivisionAbove(leastIn, scale), step: SAID[scale] }
    : { edgeIn: next32ndAbove(leastIn), step: '1/32' };
}
