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

/** From here to there; `Math.hypot` guards against sizes that no joint has, at ten times the cost. */
export const distanceIn = (acrossIn: number, downIn: number): number =>
  Math.sqrt(acrossIn * acrossIn + downIn * downIn);

/** No limit between rows reaches further: 4 D of the largest rivet. */
const SEARCH_IN = 1;
/** Cells across one row of the grid: more than the furthest joint has inches. */
const STRIDE = 8192;

const cellOf = (xIn: number, yIn: number): number =>
  Math.floor(xIn / SEARCH_IN) * STRIDE + Math.floor(yIn / SEARCH_IN);

/** A cell and those around it, its own first: the nearest is mostly there. */
const AROUND = [
  [0, 0],
  [-1, 0],
  [1, 0],
  [0, -1],
  [0, 1],
  [-1, -1],
  [-1, 1],
  [1, -1],
  [1, 1]
] as const;

/** How far a spot is from the cell before, from its own, or from the next, along one axis. */
const toCellIn = (atIn: number, step: -1 | 0 | 1): number => {
  if (step === 0) return 0;
  const intoIn = atIn - Math.floor(atIn / SEARCH_IN) * SEARCH_IN;
  return step < 0 ? intoIn : SEARCH_IN - intoIn;
};

/** Which lines each spot is on: two at most, a corner or a zone's end. */
interface OnLines {
  first: Int32Array;
  second: Int32Array;
}

const sharesLine = ({ first, second }: OnLines, a: number, b: number): boolean => {
  const [a1, b1, b2] = [first[a] as number, first[b] as number, second[b] as number];
  if (a1 === b1 || a1 === b2) return true;
  const a2 = second[a] as number;
  return a2 !== -1 && (a2 === b1 || a2 === b2);
};

/** For every spot the distance to the nearest one of other lines. Spots fall into cells of the search's size. */
function betweenRows(spots: readonly Spot[], on: OnLines): Float64Array {
  const cells = new Map<number, number[]>();
  const x = new Float64Array(spots.length);
  const y = new Float64Array(spots.length);
  spots.forEach(({ xIn, yIn }, index) => {
    x[index] = xIn;
    y[index] = yIn;
    const key = cellOf(xIn, yIn);
    const cell = cells.get(key);
    if (cell) cell.push(index);
    else cells.set(key, [index]);
  });
  const nearest = new Float64Array(spots.length).fill(SEARCH_IN ** 2);
  for (const [key, cell] of cells)
    for (const [dx, dy] of AROUND) {
      const others = cells.get(key + dx * STRIDE + dy);
      if (!others) continue;
      for (const index of cell) {
        const xIn = x[index] as number;
        const yIn = y[index] as number;
        let least = nearest[index] as number;
        // nothing in that cell is nearer than its border
        const acrossIn = toCellIn(xIn, dx);
        const downIn = toCellIn(yIn, dy);
        if (acrossIn * acrossIn + downIn * downIn >= least) continue;
        for (const other of others) {
          const across = (x[other] as number) - xIn;
          const down = (y[other] as number) - yIn;
          const squared = across * across + down * down;
          if (squared < least && other !== index && !sharesLine(on, index, other)) least = squared;
        }
        nearest[index] = least;
      }
    }
  return nearest.map((squared) => (squared < SEARCH_IN ** 2 ? Math.sqrt(squared) : Infinity));
}

/**
 * Edge, pitch and row distance of every hole.
 *
 * @param spots hole places, exact or as marked
 * @param lines hole numbers along each line
 * @param held the parts that each rivet holds, in the order of `spots`
 * @returns one entry a hole, in the order of `spots`; cost O(holes)
 */
export function holeRooms(
  spots: readonly Spot[],
  lines: readonly { holes: readonly number[]; closed: boolean }[],
  held: readonly (readonly Part[])[]
): HoleRoom[] {
  const indexOf: number[] = [];
  spots.forEach(({ number }, index) => {
    indexOf[number] = index;
  });
  const pitch = new Float64Array(spots.length).fill(Infinity);
  const on: OnLines = {
    first: new Int32Array(spots.length).fill(-1),
    second: new Int32Array(spots.length).fill(-1)
  };
  lines.forEach(({ holes, closed }, line) => {
    let before = closed && holes.length > 2 ? indexOf[holes.at(-1) ?? -1] : undefined;
    for (const number of holes) {
      const index = indexOf[number];
      if (index === undefined) continue;
      if (on.first[index] === -1) on.first[index] = line;
      else on.second[index] = line;
      if (before !== undefined) {
        const [a, b] = [spots[index] as Spot, spots[before] as Spot];
        const apartIn = distanceIn(a.xIn - b.xIn, a.yIn - b.yIn);
        if (apartIn < (pitch[index] as number)) pitch[index] = apartIn;
        if (apartIn < (pitch[before] as number)) pitch[before] = apartIn;
      }
      before = index;
    }
  });
  const rows = lines.length > 1 ? betweenRows(spots, on) : null;
  return spots.map((spot, index) => ({
    hole: spot.number,
    edgeIn: edgeDistanceIn(held[index] ?? [], spot.xIn, spot.yIn),
    pitchIn: pitch[index] as number,
    betweenRowsIn: rows ? (rows[index] as number) : Infinity
  }));
}
