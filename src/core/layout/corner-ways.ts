import { writeDecimal } from '../units/format-length.ts';
import { downTo32nd, upTo32nd } from '../units/ruler.ts';
import { atLeast } from '../units/tolerance.ts';
import type { WayOut } from '../joint/way-out.ts';

const LEAST_RADIUS_IN = 0.25;

/**
 * How an insert's corner rivets get their edge distance to the rounded corner: a smaller radius, or a larger edge
 * distance of their own line.
 *
 * `r − √2·(r − e) ≥ least` solved for the insert's radius r and for the edge distance e.
 */
export function cornerWays(
  cornerRadiusIn: number,
  clearanceIn: number,
  edgeIn: number,
  leastIn: number,
  mostEdgeIn: number
): WayOut[] {
  const ways: WayOut[] = [];
  const insertRadiusIn = cornerRadiusIn - clearanceIn;
  const radiusIn = downTo32nd((Math.SQRT2 * edgeIn - leastIn) / (Math.SQRT2 - 1) + clearanceIn);
  if (atLeast(radiusIn, LEAST_RADIUS_IN) && radiusIn < cornerRadiusIn)
    ways.push({
      said: { code: 'round-corners', radiusIn },
      change: { cornerRadiusIn: writeDecimal(radiusIn, 0, 6) }
    });
  const widerIn = upTo32nd((leastIn + (Math.SQRT2 - 1) * insertRadiusIn) / Math.SQRT2);
  if (atLeast(mostEdgeIn, widerIn) && widerIn > edgeIn)
    ways.push({
      said: { code: 'insert-edge', edgeIn: widerIn },
      change: { insertEdgeIn: writeDecimal(widerIn, 0, 6) }
    });
  return ways;
}
