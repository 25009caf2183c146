import type { Dash } from '../schema/fields.ts';

/** A rivet line on the metal. `alongIn` runs from the datum end of a straight line, or round a circle from its first hole. */
export type LinePath =
  | {
      path: 'straight';
      xIn: number;
      yIn: number;
      /** unit direction in which the running marks rise */
      dirX: number;
      dirY: number;
      lengthIn: number;
    }
  | { path: 'circle'; xIn: number; yIn: number; radiusIn: number };

/** A rivet line as a kind of joint asks for it, before fixed holes and keep-outs. */
export interface LineWish {
  key: string;
  name: string;
  path: LinePath;
  /** places along the line as evenly laid */
  alongIn: readonly number[];
  /** holes that lie here in any case: two end holes, zone ends, divided spans */
  givenIn: readonly number[];
  dash: Dash;
  /** which of the joint's stacks its rivets hold */
  stack: number;
  /** the parts that its rivets go through, by their keys: off one of them a rivet would hold less than its grip counts */
  through: readonly string[];
  /** a keep-out over an end hole may push that hole inward */
  endsMayMove: boolean;
  /** nothing but sheet lies beyond its end holes, or one of them: they must not be too far from the edge */
  endsAtEdge: boolean | 'first' | 'last';
  /** where along the line its sheet lies, when that is not the whole of it */
  metalIn?: readonly [fromIn: number, toIn: number];
}

/** Where along a straight line its sheet lies, in. */
export const metalOf = ({
  path,
  metalIn
}: Pick<LineWish, 'path' | 'metalIn'>): readonly [number, number] =>
  metalIn ?? [0, path.path === 'straight' ? path.lengthIn : 0];

export const straight = (
  xIn: number,
  yIn: number,
  lengthIn: number,
  [dirX, dirY]: readonly [number, number] = [1, 0]
): LinePath => ({ path: 'straight', xIn, yIn, dirX, dirY, lengthIn });

/** The point `alongIn` from the line's beginning, in. */
export function pointAt(path: LinePath, alongIn: number): { xIn: number; yIn: number } {
  if (path.path === 'straight')
    return { xIn: path.xIn + alongIn * path.dirX, yIn: path.yIn + alongIn * path.dirY };
  const turn = alongIn / path.radiusIn - Math.PI / 2;
  return {
    xIn: path.xIn + path.radiusIn * Math.cos(turn),
    yIn: path.yIn + path.radiusIn * Math.sin(turn)
  };
}

/** A point's running distance along a straight line, in; for a circle the arc from its top. */
export function alongOf(path: LinePath, xIn: number, yIn: number): number {
  if (path.path === 'straight') return (xIn - path.xIn) * path.dirX + (yIn - path.yIn) * path.dirY;
  const turn = Math.atan2(yIn - path.yIn, xIn - path.xIn) + Math.PI / 2;
  return (turn < 0 ? turn + 2 * Math.PI : turn) * path.radiusIn;
}

/** How far a point lies off the line, in: positive to the right of the direction, outside a circle. */
export function offLineIn(path: LinePath, xIn: number, yIn: number): number {
  if (path.path === 'straight') return (yIn - path.yIn) * path.dirX - (xIn - path.xIn) * path.dirY;
  return Math.hypot(xIn - path.xIn, yIn - path.yIn) - path.radiusIn;
}

/** `count` places spread evenly from one to the other. */
export function evenly(fromIn: number, toIn: number, count: number): number[] {
  const places: number[] = [];
  for (let index = 0; index < count; index++)
    places.push(fromIn + (index * (toIn - fromIn)) / (count - 1));
  return places;
}

/** `count` places evenly round a circle; `shifted` starts half a space on. */
export const roundThe = (radiusIn: number, count: number, shifted: boolean): number[] =>
  Array.from(
    { length: count },
    (_, index) => ((index + (shifted ? 0.5 : 0)) * 2 * Math.PI * radiusIn) / count
  );
