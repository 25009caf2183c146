import { edgeDistanceIn, type Part } from './shapes.ts';

/** Where one hole stands among edges and neighbours; inches. */
export interface HoleRoom {
  hole: number;
  edgeIn: number;
  /** to the nearest neighbour on its own lines */
  pitchIn: number;
  /** to the nearest hole of other lines; Infinity where none is within the search */
  betweenRowsIn: number;
}

interface Spot {
  number: number;
  xIn: number;
  yIn: number;
}

/** No limit between rows reaches further: 4 D of the largest rivet. */
const SEARCH_IN = 1;

const cellOf = (xIn: number, yIn: number): string =>
  `${Math.floor(xIn / SEARCH_IN)},${Math.floor(yIn / SEARCH_IN)}`;

/**
 * Edge, pitch and row distance of every hole.
 *
 * @param spots hole places, exact or as marked
 * @param lines hole numbers along each line
 * @param closed whether each line's last hole neighbours its first
 * @returns one entry a hole, in the order of `spots`; cost O(holes)
 */
export function holeRooms(
  spots: readonly Spot[],
  lines: readonly { holes: readonly number[]; closed: boolean }[],
  parts: readonly Part[]
): HoleRoom[] {
  const byNumber = new Map(spots.map((spot) => [spot.number, spot]));
  const pitch = new Map<number, number>();
  const onLines = new Map<number, Set<number>>();
  const nearer = (number: number, distanceIn: number) =>
    pitch.set(number, Math.min(pitch.get(number) ?? Infinity, distanceIn));
  lines.forEach(({ holes, closed }, at) => {
    holes.forEach((number, index) => {
      const of = onLines.get(number) ?? new Set<number>();
      onLines.set(number, of.add(at));
      const before =
        index > 0 ? holes[index - 1] : closed && holes.length > 2 ? holes.at(-1) : undefined;
      const [a, b] = [
        byNumber.get(number),
        before === undefined ? undefined : byNumber.get(before)
      ];
      if (!a || !b) return;
      const distanceIn = Math.hypot(a.xIn - b.xIn, a.yIn - b.yIn);
      nearer(a.number, distanceIn);
      nearer(b.number, distanceIn);
    });
  });

  const cells = new Map<string, Spot[]>();
  for (const spot of spots) {
    const key = cellOf(spot.xIn, spot.yIn);
    const cell = cells.get(key);
    if (cell) cell.push(spot);
    else cells.set(key, [spot]);
  }
  const shareLine = (a: number, b: number) => {
    const of = onLines.get(b);
    for (const line of onLines.get(a) ?? []) if (of?.has(line)) return true;
    return false;
  };
  const betweenRows = (spot: Spot): number => {
    let least = Infinity;
    for (let dx = -1; dx <= 1; dx++)
      for (let dy = -1; dy <= 1; dy++) {
        const key = cellOf(spot.xIn + dx * SEARCH_IN, spot.yIn + dy * SEARCH_IN);
        for (const other of cells.get(key) ?? []) {
          const distanceIn = Math.hypot(other.xIn - spot.xIn, other.yIn - spot.yIn);
          if (
            distanceIn < least &&
            other.number !== spot.number &&
            !shareLine(spot.number, other.number)
          )
            least = distanceIn;
        }
      }
    return least <= SEARCH_IN ? least : Infinity;
  };
  return spots.map((spot) => ({
    hole: spot.number,
    edgeIn: edgeDistanceIn(parts, spot.xIn, spot.yIn),
    pitchIn: pitch.get(spot.number) ?? Infinity,
    betweenRowsIn: lines.length > 1 ? betweenRows(spot) : Infinity
  }));
}
