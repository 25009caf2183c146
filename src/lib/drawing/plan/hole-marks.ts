import type { HoleHeadroom } from '../../../core/plan/headroom.ts';
import type { HoleCheck } from '../../../core/kinds/kind-layout.ts';
import type { LaidLine, PlannedHole } from '../../../core/plan/holes.ts';
import { labelled } from '../label-levels.ts';
import type { NumberPlace } from '../marks/map-mark.ts';

/** How a hole is drawn: what it is, told by shape and word as well as colour. */
export type HoleKind = 'rivet' | 'existing' | 'pinned' | 'held-open' | 'reworked';

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
  headroom: readonly HoleHeadroom[] | null,
  reworked: ReadonlySet<number> = new Set()
): HoleMark[] {
  return holes.map((hole, index) => {
    const room = headroom?.[index];
    return {
      number: hole.number,
      xIn: hole.xIn,
      yIn: hole.yIn,
      kind: reworked.has(hole.number)
        ? 'reworked'
        : hole.state === 'held-open'
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

/** The holes that break a limit. */
export const failingHoles = (checks: readonly HoleCheck[]): ReadonlySet<number> =>
  new Set(
    checks.filter((check) => !check.ok && check.rule !== 'open-gap').flatMap((check) => check.holes)
  );

/** A hole as it is told when somebody points at it. */
export const sayHole = (
  hole: PlannedHole | undefined,
  exact: (inches: number) => string
): string =>
  hole
    ? `hole ${hole.number}${hole.state === 'held-open' ? `, left open: ${hole.reason}` : ''}: ${exact(hole.xIn)} right, ${exact(hole.yIn)} down`
    : '';

const CELL_PX = 22;
/** half the width of a written number */
const halfWidePx = (number: number): number => 4.3 * String(number).length + 2;
/** Of a name on a drawing. */
export const NAME_CHARACTER_PX = 7.4;
const NUMBER_HIGH_PX = 14;
const PICKED_LARGER = 1.3;

/** Where something lies on the screen, px. */
export interface Spot {
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

/** What a number takes along its line, halved, px: across the page its width, down the page its height. */
const halfAlongPx = ({ path }: Pick<LaidLine, 'path'>, number: number): number =>
  path.path === 'straight'
    ? Math.abs(path.dirX) * halfWidePx(number) + (Math.abs(path.dirY) * NUMBER_HIGH_PX) / 2
    : halfWidePx(number);

/** Which of a line's holes are to carry their number, ends first, by the room along the line. */
function wished(line: Pick<LaidLine, 'holes' | 'path'>, at: ReadonlyMap<number, Spot>): number[] {
  const own = line.holes.flatMap((number) => {
    const spot = at.get(number);
    return spot ? [{ number, spot }] : [];
  });
  let runPx = 0;
  const alongPx = own.map(({ spot }, index) => {
    const before = own[index - 1]?.spot ?? spot;
    return (runPx += Math.hypot(spot.x - before.x, spot.y - before.y));
  });
  const shown = labelled(alongPx, (index) => halfAlongPx(line, own[index]?.number ?? 0));
  const [first, ...between] = shown.map((index) => own[index]?.number ?? 0);
  const last = between.pop();
  return [first, last, ...between].filter((number) => number !== undefined);
}

/**
 * Which holes carry their number at this scale, and on which side: all of a line where there is room, else its ends and
 * every fifth, tenth …; none that would hide another hole or another number.
 *
 * @param at where holes lie, px
 * @param radiusPx of a hole
 * @param picked carries its number in any case, larger, and the others keep clear of it
 * @param taken where other names stand
 * @param withinPx from where to where across the page there is a page
 */
export function numbered(
  lines: readonly Pick<LaidLine, 'holes' | 'path'>[],
  at: ReadonlyMap<number, Spot>,
  radiusPx: number,
  picked = 0,
  taken: readonly Spot[] = [],
  withinPx: readonly [number, number] = [-Infinity, Infinity]
): Map<number, NumberPlace> {
  const holes = new Spots();
  for (const spot of at.values()) holes.add(spot);
  const written = new Spots();
  for (const spot of taken) written.add(spot);
  const numbers = new Spots();
  const shown = new Map<number, NumberPlace>();
  const place = (number: number): void => {
    const hole = at.get(number);
    if (!hole || shown.has(number)) return;
    const wide = halfWidePx(number) * (number === picked ? PICKED_LARGER : 1);
    for (const [side, dx, dy] of [
      ['above', 0, -radiusPx - 12],
      ['below', 0, radiusPx + 12],
      ['right', radiusPx + 6 + wide, 0],
      ['left', -radiusPx - 6 - wide, 0]
    ] as const) {
      const spot = { x: hole.x + dx, y: hole.y + dy };
      if (spot.x - wide < withinPx[0] || spot.x + wide > withinPx[1]) continue;
      if (holes.anyWithin(spot, wide + radiusPx, NUMBER_HIGH_PX / 2 + radiusPx)) continue;
      if (written.anyWithin(spot, wide + NAME_CHARACTER_PX / 2, NUMBER_HIGH_PX)) continue;
      if (numbers.anyWithin(spot, 2 * wide + 2, NUMBER_HIGH_PX)) continue;
      numbers.add(spot);
      shown.set(number, side);
      return;
    }
    if (number !== picked) return;
    numbers.add({ x: hole.x, y: hole.y - radiusPx - 12 });
    shown.set(number, 'above');
  };
  place(picked);
  const wishes = lines.map((line) => wished(line, at));
  for (const own of wishes) own.slice(0, 2).forEach(place);
  for (const own of wishes) own.slice(2).forEach(place);
  return shown;
}

/** Where a name about a middle lies, as spots for numbers to keep clear of. */
export const nameSpots = (text: string, middle: Spot): Spot[] =>
  Array.from({ length: text.length + 1 }, (_, index) => ({
    x: middle.x + (index - text.length / 2) * NAME_CHARACTER_PX,
    y: middle.y
  }));
