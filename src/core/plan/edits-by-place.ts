import type { Joint } from '../kinds/joint.ts';
import type { LineWish } from '../layout/lines.ts';
import type { Place } from './fixed-places.ts';
import { pointOff } from './holes.ts';
import { KnownSpots } from './known-spots.ts';

type Edit = Joint['edits'][number];

/** Changes made by hand, by where their hole lies: a corner's hole is the same whichever of its lines names it. */
export interface EditsByPlace {
  of(xIn: number, yIn: number): Edit | undefined;
  /** changes of a hole that another of its lines has one of, by their ids: which is meant nobody knows */
  crossing: ReadonlySet<string>;
}

/**
 * Finds the place of every change that still fits its line.
 *
 * @param near places may differ by the rounding of the file they came from
 * @returns undefined where nothing was changed by hand
 */
export function editsByPlace(
  { edits }: Pick<Joint, 'edits'>,
  lines: readonly Pick<LineWish, 'key' | 'path'>[],
  placed: readonly { places: readonly Place[] }[],
  near: boolean
): EditsByPlace | undefined {
  if (edits.length === 0) return undefined;
  const known = new KnownSpots(near);
  const crossing = new Set<string>();
  const lineOf = new Map(lines.map(({ key, path }, at) => [key, { path, at }]));
  // along which line a hole was moved is part of what was done: it is laid by the first of its lines
  const inOrder = edits
    .map((edit, index) => ({ edit, index, line: lineOf.get(edit.line) }))
    .sort((a, b) => (a.line?.at ?? 0) - (b.line?.at ?? 0));
  for (const { edit, index, line } of inOrder) {
    const places = line ? (placed[line.at]?.places ?? []) : [];
    const place = places[edit.index];
    if (!line || !place || edit.of !== places.length) continue;
    const { xIn, yIn } = pointOff(line.path, place.alongIn, place.offIn);
    if (known.at(xIn, yIn) !== undefined || (edit.nudgeIn !== 0 && isLaidBefore(line.at, xIn, yIn)))
      crossing.add(edit.id);
    else known.put(xIn, yIn, index);
  }
  /** a line before it lays this hole: it is moved along that one */
  function isLaidBefore(at: number, xIn: number, yIn: number): boolean {
    return lines.slice(0, at).some(({ path }, before) => {
      const spots = new KnownSpots(near);
      for (const { alongIn, offIn } of placed[before]?.places ?? []) {
        const spot = pointOff(path, alongIn, offIn);
        spots.put(spot.xIn, spot.yIn, 0);
      }
      return spots.at(xIn, yIn) !== undefined;
    });
  }
  return {
    of(xIn, yIn) {
      const index = known.at(xIn, yIn);
      return typeof index === 'number' ? edits[index] : undefined;
    },
    crossing
  };
}
