import { DASHES, rivetSize } from '../catalog/rivets.ts';
import { DEFAULT_MULTIPLIERS, type Multipliers } from '../rules/multipliers.ts';
import type { Dash, Head } from '../schema/fields.ts';
import { takesLargerCut } from '../stack/flush-method.ts';
import { stockedLength } from '../stack/rivet-length.ts';
import { below } from '../units/tolerance.ts';
import type { HoleRoom } from '../layout/hole-room.ts';

/** What stops a hole from taking the next larger rivet. */
export type HeadroomLimit =
  'edge' | 'pitch' | 'between-rows' | 'flush' | 'length' | 'no-larger-size';

export interface HoleHeadroom {
  hole: number;
  /** what it was held against: the room where it is marked, and the sheets there */
  room: HoleRoom;
  sheetsIn: readonly number[];
  /** the largest rivet that could legally go there: the present one when nothing larger fits */
  largestDash: Dash;
  /** what stops the size above that */
  limitedBy: HeadroomLimit;
  /** how much more edge distance that size asks for, in; null where something else stops it too */
  edgeShortIn: number | null;
}

/** One hole as headroom needs it: its room, its present size and the sheets it goes through, in. */
export interface HoleToGrow {
  room: HoleRoom;
  dash: Dash;
  sheetsIn: readonly number[];
}

/** What about the sheets themselves stops a size, whatever the hole. */
function stoppedBySheets(dash: Dash, head: Head, sheetsIn: number[]): HeadroomLimit | null {
  if (head === 'countersunk' && !takesLargerCut(sheetsIn, dash)) return 'flush';
  const gripIn = sheetsIn.reduce((sum, sheet) => sum + sheet, 0);
  const stocked = stockedLength(gripIn, { dash, increments: 'half', lean: 'nearest' });
  return stocked.ok ? null : 'length';
}

function stoppedByRoom(
  dash: Dash,
  room: HoleRoom,
  head: Head,
  limits: Multipliers,
  edgeIn = room.edgeIn
): HeadroomLimit | null {
  const D = rivetSize(dash).diameterIn;
  if (below(edgeIn, limits.edgeMinD[head] * D)) return 'edge';
  if (below(room.pitchIn, limits.pitchMinD * D)) return 'pitch';
  return below(room.betweenRowsIn, limits.transverseMinD * D) ? 'between-rows' : null;
}

/**
 * Rework headroom: for every hole the largest rivet that could legally replace the present one, given
 * edge distances, neighbours and, for flush heads, the sheets. Its neighbours keep their own size.
 *
 * @param holes with their room where they lie on the metal: at the ruler's marks, when they are marked
 * @param limits the rule profile's multiples of D
 * @returns one entry a hole, in the order given
 * @source layout and rework
 */
export function headroom(
  holes: readonly HoleToGrow[],
  head: Head,
  limits: Multipliers = DEFAULT_MULTIPLIERS
): HoleHeadroom[] {
  const bySheets = new Map<string, (HeadroomLimit | null)[]>();
  let last: { sheetsIn: readonly number[]; known: (HeadroomLimit | null)[] } | null = null;
  const sheetsStop = (dash: Dash, sheetsIn: readonly number[]): HeadroomLimit | null => {
    // mostly the hole before had the very same sheets
    if (last?.sheetsIn !== sheetsIn) {
      const key = sheetsIn.join();
      const known = bySheets.get(key) ?? [];
      bySheets.set(key, known);
      last = { sheetsIn, known };
    }
    let stop = last.known[dash];
    if (stop === undefined) {
      stop = stoppedBySheets(dash, head, [...sheetsIn]);
      last.known[dash] = stop;
    }
    return stop;
  };
  return holes.map(({ room, dash, sheetsIn }) => {
    let largestDash = dash;
    for (const larger of DASHES) {
      if (larger <= dash) continue;
      const limitedBy = stoppedByRoom(larger, room, head, limits) ?? sheetsStop(larger, sheetsIn);
      if (limitedBy) {
        const edgeAlone =
          stoppedByRoom(larger, room, head, limits, Infinity) === null &&
          sheetsStop(larger, sheetsIn) === null;
        const asksIn = limits.edgeMinD[head] * rivetSize(larger).diameterIn;
        const edgeShortIn = edgeAlone ? asksIn - room.edgeIn : null;
        return { hole: room.hole, room, sheetsIn, largestDash, limitedBy, edgeShortIn };
      }
      largestDash = larger;
    }
    return {
      hole: room.hole,
      room,
      sheetsIn,
      largestDash,
      limitedBy: 'no-larger-size' as const,
      edgeShortIn: null
    };
  });
}
