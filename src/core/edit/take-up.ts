import type { EnteredJoint } from '../kinds/joint.ts';
import { newIds } from '../joint/item-id.ts';
import { LOOKS_SAME_IN } from '../units/tolerance.ts';
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
  lines: readonly Pick<LaidLine, 'key' | 'name' | 'path' | 'fromIn' | 'toIn'>[],
  name: string
): TakenUp {
  const fixed: TakenUp['fixed'] = [];
  const left: TakenUp['left'] = [];
  const ids = newIds(before, 'found');
  for (const hole of found) {
    let nearest: {
      key: string;
      name: string;
      offIn: number;
      alongIn: number;
      outIn: number;
    } | null = null;
    for (const { key, name: lineName, path, fromIn, toIn } of lines) {
      const alongIn = alongOf(path, hole.xIn, hole.yIn);
      if (path.path === 'straight' && (alongIn < 0 || alongIn > path.lengthIn)) continue;
      const offIn = offLineIn(path, hole.xIn, hole.yIn);
      // Zones of a member lie on one line: a hole is that zone's whose holes lie about it.
      const outIn = path.path === 'circle' ? 0 : Math.max(0, fromIn - alongIn, alongIn - toIn);
      const nearer = nearest === null ? -1 : Math.abs(offIn) - Math.abs(nearest.offIn);
      if (
        nearest === null ||
        nearer < -LOOKS_SAME_IN ||
        (nearer < LOOKS_SAME_IN && outIn < nearest.outIn)
      )
        nearest = { key, name: lineName, offIn, alongIn, outIn };
    }
    if (nearest === null || Math.abs(nearest.offIn) > FURTHEST_OFF_IN) {
      left.push({ hole, offIn: nearest?.offIn ?? Infinity, line: nearest?.name ?? null });
      continue;
    }
    const { key, alongIn, offIn } = nearest;
    fixed.push({
      id: ids(),
      kind: 'existing',
      line: key,
      name,
      atIn: written(alongIn),
      offIn: Math.abs(offIn) < 5e-7 ? '' : written(offIn),
      // a drawn diameter is no measurement
      state: '',
      holeIn: ''
    });
  }
  return { fixed, left };
}
