import { TOLERANCE } from '../units/tolerance.ts';
import type { LinePath } from './lines.ts';

/** Something in the way of rivets, as it stands on the metal; inches, the place is its middle. */
export interface KeepOut {
  name: string;
  shape: 'rect' | 'round';
  xIn: number;
  yIn: number;
  wIn: number;
  /** null: right across the joint */
  hIn: number | null;
}

/** A keep-out for hole centres: the obstacle widened by head and tool clearance. */
export interface ClearOf {
  name: string;
  shape: 'rect' | 'round';
  xIn: number;
  yIn: number;
  halfWIn: number;
  halfHIn: number;
}

/** Widens an obstacle by what a hole's centre must stay away from it. */
export function widen(keepOut: KeepOut, byIn: number): ClearOf {
  const { name, shape, xIn, yIn, wIn, hIn } = keepOut;
  const halfWIn = wIn / 2 + byIn;
  return {
    name,
    shape,
    xIn,
    yIn,
    halfWIn,
    halfHIn: shape === 'round' ? halfWIn : hIn === null ? Infinity : hIn / 2 + byIn
  };
}

/** How deep a hole's centre lies in a widened keep-out, in; at most 0 when it is clear. */
export function depthInKeepOut(clear: ClearOf, xIn: number, yIn: number): number {
  const dx = Math.abs(xIn - clear.xIn);
  const dy = Math.abs(yIn - clear.yIn);
  return clear.shape === 'round'
    ? clear.halfWIn - Math.hypot(dx, dy)
    : Math.min(clear.halfWIn - dx, clear.halfHIn - dy);
}

/** Where one coordinate of a moving point is inside ± half of a middle: the interval of the way gone. */
function slab(startIn: number, dir: number, middleIn: number, halfIn: number): [number, number] {
  const from = middleIn - halfIn - startIn;
  const to = middleIn + halfIn - startIn;
  if (Math.abs(dir) < TOLERANCE) return from < 0 && to > 0 ? [-Infinity, Infinity] : [1, 0];
  return dir > 0 ? [from / dir, to / dir] : [to / dir, from / dir];
}

/**
 * The stretch of a straight line that a widened keep-out closes.
 *
 * @returns running distances, in, or null when the line passes clear
 */
export function closedStretch(
  path: Extract<LinePath, { path: 'straight' }>,
  clear: ClearOf
): { fromIn: number; toIn: number } | null {
  if (clear.shape === 'round') {
    const along = (clear.xIn - path.xIn) * path.dirX + (clear.yIn - path.yIn) * path.dirY;
    const off = (clear.yIn - path.yIn) * path.dirX - (clear.xIn - path.xIn) * path.dirY;
    if (Math.abs(off) >= clear.halfWIn - TOLERANCE) return null;
    const half = Math.sqrt(clear.halfWIn ** 2 - off ** 2);
    return { fromIn: along - half, toIn: along + half };
  }
  const [fromX, toX] = slab(path.xIn, path.dirX, clear.xIn, clear.halfWIn);
  const [fromY, toY] = slab(path.yIn, path.dirY, clear.yIn, clear.halfHIn);
  const fromIn = Math.max(fromX, fromY);
  const toIn = Math.min(toX, toY);
  return toIn - fromIn > TOLERANCE ? { fromIn, toIn } : null;
}
