import type { HoleHeadroom } from '../../../core/plan/headroom.ts';
import type { LaidLine, PlannedHole } from '../../../core/plan/holes.ts';

/** How a hole is drawn: what it is, told by shape and word as well as colour. */
export type HoleKind = 'rivet' | 'existing' | 'pinned' | 'held-open';

export interface HoleMark {
  number: number;
  xIn: number;
  yIn: number;
  kind: HoleKind;
  failing: boolean;
  /** written in it: the largest size that fits, in the headroom view */
  letter: string | null;
  /** how many sizes larger could still go there */
  room: number;
}

const SIZES = [3, 4, 5, 6, 8];

/** Holes as they are to be drawn. */
export function holeMarks(
  holes: readonly PlannedHole[],
  fixedKinds: ReadonlyMap<string, 'existing' | 'pinned'>,
  failing: ReadonlySet<number>,
  headroom: readonly HoleHeadroom[] | null
): HoleMark[] {
  return holes.map((hole, index) => {
    const room = headroom?.[index];
    return {
      number: hole.number,
      xIn: hole.xIn,
      yIn: hole.yIn,
      kind:
        hole.state === 'held-open'
          ? 'held-open'
          : hole.fixed === null
            ? 'rivet'
            : (fixedKinds.get(hole.fixed) ?? 'existing'),
      failing: failing.has(hole.number),
      letter: room ? String(room.largestDash) : null,
      room: room ? SIZES.indexOf(room.largestDash) - SIZES.indexOf(hole.dash) : 0
    };
  });
}

/** Where a hole's number is written. */
export type NumberPlace = 'above' | 'below';

const CELL_PX = 22;
/** half the width of a written number */
const halfWidePx = (number: number): number => 4.3 * String(number).length + 2;
const NUMBER_HIGH_PX = 14;

interface Spot {
  x: number;
  y: number;
}

/** Things on the screen by where they are, so that asking what is near one place looks at a few only. */
class Spots {
  readonly #cells = new Map<string, Spot[]>();
  add(spot: Spot): void {
    const key = `${Math.floor(spot.x / CELL_PX)},${Math.floor(spot.y / CELL_PX)}`;
    const cell = this.#cells.get(key);
    if (cell) cell.push(spot);
    else this.#cells.set(key, [spot]);
  }
  anyWithin({ x, y }: Spot, dx: number, dy: number): boolean {
    for (
      let column = Math.floor((x - dx) / CELL_PX);
      column <= Math.floor((x + dx) / CELL_PX);
      column++
    )
      for (let row = Math.floor((y - dy) / CELL_PX); row <= Math.floor((y + dy) / CELL_PX); row++)
        for (const spot of this.#cells.get(`${column},${row}`) ?? [])
          if (Math.abs(spot.x - x) < dx && Math.abs(spot.y - y) < dy) return true;
    return false;
  }
}

/**
 * Which holes carry their number at this scale, and on which side: each line's ends first, then every hole whose
 * number hides no other hole and no other number.
 *
 * @param radiusPx of a hole
 */
export function numbered(
  lines: readonly Pick<LaidLine, 'holes'>[],
  marks: readonly HoleMark[],
  pxPerIn: number,
  radiusPx: number
): Map<number, NumberPlace> {
  const at = new Map(
    marks.map((mark) => [mark.number, { x: mark.xIn * pxPerIn, y: mark.yIn * pxPerIn }])
  );
  const holes = new Spots();
  for (const spot of at.values()) holes.add(spot);
  const numbers = new Spots();
  const shown = new Map<number, NumberPlace>();
  const place = (number: number): void => {
    const hole = at.get(number);
    if (!hole || shown.has(number)) return;
    for (const [side, dy] of [
      ['above', -radiusPx - 12],
      ['below', radiusPx + 12]
    ] as const) {
      const spot = { x: hole.x, y: hole.y + dy };
      if (holes.anyWithin(spot, halfWidePx(number) + radiusPx, NUMBER_HIGH_PX / 2 + radiusPx))
        continue;
      if (numbers.anyWithin(spot, 2 * halfWidePx(number) + 2, NUMBER_HIGH_PX)) continue;
      numbers.add(spot);
      shown.set(number, side);
      return;
    }
  };
  for (const line of lines)
    for (const end of [line.holes[0], line.holes.at(-1)]) if (end !== undefined) place(end);
  // Thousands on a short line would all be tried in vain: so many steps as could be written at all.
  for (const { holes: own } of lines) {
    const first = at.get(own[0] ?? -1);
    const last = at.get(own.at(-1) ?? -1);
    const longPx = first && last ? Math.hypot(last.x - first.x, last.y - first.y) : Infinity;
    const step = Math.max(1, Math.floor(own.length / Math.max(1, longPx / NUMBER_HIGH_PX)));
    for (let index = 0; index < own.length; index += step) place(own[index] ?? -1);
  }
  return shown;
}
