import type { EnteredJoint } from '../kinds/joint.ts';
import { nextId } from '../joint/item-id.ts';
import { writeDecimal } from '../units/format-length.ts';
import { alongOf, offLineIn } from '../layout/lines.ts';
import type { LaidLine } from '../plan/holes.ts';

/** A hole that is there already, in the joint's own coordinates, in. */
export interface FoundHole {
  xIn: number;
  yIn: number;
  diameterIn: number | null;
}

export interface TakenUp {
  fixed: EnteredJoint['fixed'];
  /** those that lie on no line, with how far the nearest is */
  left: { hole: FoundHole; offIn: number; line: string | null }[];
}

/** A drawing's holes in its own units; x right, y down. */
interface DrawnHoles {
  holes: readonly { x: number; y: number; diameter: number | null }[];
  outline: { x: number; y: number; w: number; h: number } | null;
}

/**
 * A drawing's holes in the joint's coordinates.
 *
 * @param inPerUnit how many inches one of the drawing's units is
 * @param origin where the joint's corner lies: the drawing's own origin, or its outline's corner
 */
export function inJoint(
  { holes, outline }: DrawnHoles,
  inPerUnit: number,
  origin: 'drawing' | 'corner'
): FoundHole[] {
  const corner = origin === 'corner' ? outline : null;
  return holes.map((hole) => ({
    xIn: (hole.x - (corner?.x ?? 0)) * inPerUnit,
    yIn: (hole.y - (corner?.y ?? 0)) * inPerUnit,
    diameterIn: hole.diameter === null ? null : hole.diameter * inPerUnit
  }));
}

/** An existing hole further off every line than this is not one of the joint's. */
export const FURTHEST_OFF_IN = 0.25;

const written = (valueIn: number): string => writeDecimal(valueIn, 0, 6);

/** Gives every found hole to the line it lies nearest to. */
export function takeUp(
  found: readonly FoundHole[],
  before: EnteredJoint['fixed'],
  lines: readonly Pick<LaidLine, 'key' | 'name' | 'path'>[],
  name: string
): TakenUp {
  const fixed: TakenUp['fixed'] = [];
  const left: TakenUp['left'] = [];
  for (const hole of found) {
    let nearest: { key: string; name: string; offIn: number; alongIn: number } | null = null;
    for (const { key, name: lineName, path } of lines) {
      const alongIn = alongOf(path, hole.xIn, hole.yIn);
      if (path.path === 'straight' && (alongIn < 0 || alongIn > path.lengthIn)) continue;
      const offIn = offLineIn(path, hole.xIn, hole.yIn);
      if (nearest === null || Math.abs(offIn) < Math.abs(nearest.offIn))
        nearest = { key, name: lineName, offIn, alongIn };
    }
    if (nearest === null || Math.abs(nearest.offIn) > FURTHEST_OFF_IN) {
      left.push({ hole, offIn: nearest?.offIn ?? Infinity, line: nearest?.name ?? null });
      continue;
    }
    const { key, alongIn, offIn } = nearest;
    fixed.push({
      id: nextId([...before, ...fixed], 'found'),
      kind: 'existing',
      line: key,
      name,
      atIn: written(alongIn),
      offIn: Math.abs(offIn) < 5e-7 ? '' : written(offIn)
    });
  }
  return { fixed, left };
}
