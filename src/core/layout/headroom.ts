import { DASHES, rivetSize } from '../catalog/rivets.ts';
import { DEFAULT_MULTIPLIERS, type Multipliers } from '../rules/multipliers.ts';
import type { Dash, Head } from '../schema/fields.ts';
import { flushMethod } from '../stack/flush-method.ts';
import { rivetLength } from '../stack/rivet-length.ts';
import { below } from '../units/tolerance.ts';

/** What stops a hole from taking the next larger rivet. */
export type HeadroomLimit =
  'edge' | 'pitch' | 'between-rows' | 'flush' | 'length' | 'no-larger-size';

export interface HoleHeadroom {
  hole: number;
  /** the largest rivet that could legally go there: the present one when nothing larger fits */
  largestDash: Dash;
  /** what stops the size above that */
  limitedBy: HeadroomLimit;
}

/** A laid-out joint as headroom needs it; lengths in inches. */
export interface HeadroomInput {
  /** in order along each row; y from the sheet's end */
  holes: readonly { number: number; row: number; xIn: number; yIn: number }[];
  widthIn: number;
  overlapIn: number;
  dash: Dash;
  head: Head;
  sheetsIn: number[];
}

type Hole = HeadroomInput['holes'][number];

function byRow(holes: HeadroomInput['holes']): Map<number, Hole[]> {
  const rows = new Map<number, Hole[]>();
  for (const hole of holes) {
    const row = rows.get(hole.row);
    if (row) row.push(hole);
    else rows.set(hole.row, [hole]);
  }
  return rows;
}

/** The row's hole nearest to x is one of the two around it: found by halving. */
function nearestInRow(row: readonly Hole[], from: Hole): number {
  let low = 0;
  let high = row.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((row[middle]?.xIn ?? Infinity) < from.xIn) low = middle + 1;
    else high = middle;
  }
  return [row[low - 1], row[low]].reduce(
    (least, hole) =>
      hole ? Math.min(least, Math.hypot(hole.xIn - from.xIn, hole.yIn - from.yIn)) : least,
    Infinity
  );
}

/** Distances that a larger rivet would have to respect. */
interface Room {
  edgeIn: number;
  pitchIn: number;
  betweenRowsIn: number;
}

/** What about the sheets themselves stops a size, whatever the hole. */
function stoppedBySheets(dash: Dash, { head, sheetsIn }: HeadroomInput): HeadroomLimit | null {
  if (head === 'countersunk') {
    const flush = flushMethod({ sheetsIn, dash });
    if (flush.ok && flush.result.method === 'none') return 'flush';
  }
  const length = rivetLength({
    sheetsIn,
    dash,
    head,
    alloy: 'AD',
    increments: 'half',
    lean: 'nearest',
    dimpled: false
  });
  return length.ok ? null : 'length';
}

function stoppedByRoom(
  dash: Dash,
  room: Room,
  head: Head,
  limits: Multipliers
): HeadroomLimit | null {
  const D = rivetSize(dash).diameterIn;
  if (below(room.edgeIn, limits.edgeMinD[head] * D)) return 'edge';
  if (below(room.pitchIn, limits.pitchMinD * D)) return 'pitch';
  return below(room.betweenRowsIn, limits.transverseMinD * D) ? 'between-rows' : null;
}

/**
 * Rework headroom: for every hole the largest rivet that could legally replace the present one, given
 * edge distances, neighbours and, for flush heads, the sheets. Its neighbours keep their own size.
 *
 * @param input holes where they lie on the metal (on the ruler's marks, when they are marked), in
 * @param limits the rule profile's multiples of D
 * @returns one entry a hole, in the order given; cost O(holes × log holes)
 * @source handbook 4.2 and 4.7
 */
export function headroom(
  input: HeadroomInput,
  limits: Multipliers = DEFAULT_MULTIPLIERS
): HoleHeadroom[] {
  const rows = byRow(input.holes);
  const larger = DASHES.filter((dash) => dash > input.dash).map((dash) => ({
    dash,
    bySheets: stoppedBySheets(dash, input)
  }));
  return [...rows.values()].flatMap((row) =>
    row.map((hole, index) => {
      const neighbours = [rows.get(hole.row - 1), rows.get(hole.row + 1)];
      const room: Room = {
        edgeIn: Math.min(hole.xIn, input.widthIn - hole.xIn, hole.yIn, input.overlapIn - hole.yIn),
        pitchIn: Math.min(
          hole.xIn - (row[index - 1]?.xIn ?? -Infinity),
          (row[index + 1]?.xIn ?? Infinity) - hole.xIn
        ),
        betweenRowsIn: Math.min(
          ...neighbours.map((other) => (other ? nearestInRow(other, hole) : Infinity))
        )
      };
      let largestDash = input.dash;
      for (const { dash, bySheets } of larger) {
        const limitedBy = stoppedByRoom(dash, room, input.head, limits) ?? bySheets;
        if (limitedBy) return { hole: hole.number, largestDash, limitedBy };
        largestDash = dash;
      }
      return { hole: hole.number, largestDash, limitedBy: 'no-larger-size' as const };
    })
  );
}
