import { fitPlan } from '../plan/plan-scene';

/** A hole as a map places it; inches from the datum corner. */
export interface MapHole {
  number: number;
  row: number;
  xIn: number;
  yIn: number;
}

/** What a map is of: the holes of a release on its sheet. */
export interface MapOf {
  holes: readonly MapHole[];
  /** drilled and never riveted */
  heldOpen: readonly (MapHole & { reason: string })[];
  widthIn: number;
  overlapIn: number;
  onpick: (hole: number) => void;
}

interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** A part of the joint's length as one strip of the map. */
export interface MapStrip {
  fromIn: number;
  toIn: number;
  metal: Box;
}

/** Where the marks of a map stand, in pixels. */
export interface HoleMapScene {
  widthPx: number;
  highPx: number;
  pxPerIn: number;
  at: (hole: Pick<MapHole, 'row' | 'xIn' | 'yIn'>) => { x: number; y: number };
  /** across the strip that a distance from the datum lies in */
  x: (inches: number) => number;
  radius: number;
  pitchPx: number;
  /** rows are drawn further apart than they lie */
  spread: boolean;
  mirrored: boolean;
  /** one; more where a row does not fit side by side: it goes on in the next */
  strips: readonly MapStrip[];
  stripOf: (inches: number) => number;
}

/** marks closer than this could not be told apart: the row goes on in a further strip */
const LEAST_PITCH_PX = 25;
/** of so many holes in a row that they would fill pages of strips, the nearest is picked, and seven are enlarged */
const DENSE_PITCH_PX = 10;
const MOST_STRIPS = 6;
const MOST_ROWS = 6;
const ROWS_HIGH_PX = 190;
const TRUE_HIGH_PX = 340;
/** marks must stay readable, so rows that lie closer than this on the screen are drawn apart */
const LEAST_ROW_PX = 46;
const ROW_ROOM_PX = 46;
const STRIP_ROOM_PX = 92;
const MARGIN_X = 44;
const MARGIN_Y = 24;
const LINES_UNDER_PX = 36;

/** In how many strips a row of so many holes is drawn. */
function stripsFor(perRow: number, roomPx: number): number {
  const freePx = Math.max(60, roomPx - 90);
  const usual = Math.max(1, Math.ceil((perRow * LEAST_PITCH_PX) / freePx));
  return usual <= MOST_STRIPS
    ? usual
    : Math.max(MOST_STRIPS, Math.ceil((perRow * DENSE_PITCH_PX) / freePx));
}

/**
 * Lays out a map of holes with marks large enough to hit. It is as wide as there is room: no hole is out of sight.
 *
 * @param holes those that get a mark of their own; `others` are drawn beside them
 * @param sheet the joint's outline, in
 * @param roomPx as wide as there is room
 * @param mirrored seen from the driven side: the datum is at the right hand
 */
export function holeMapScene(
  holes: readonly MapHole[],
  others: readonly MapHole[],
  sheet: { widthIn: number; heightIn: number },
  roomPx: number,
  mirrored: boolean
): HoleMapScene {
  const { widthIn, heightIn } = sheet;
  // a long strip's lines may slant: they are told apart by their number, not by how far down they lie
  const strip = widthIn > 8 * heightIn;
  const rowOf = ({ row, yIn }: Pick<MapHole, 'row' | 'yIn'>) =>
    strip ? row : Number(yIn.toFixed(6));
  const rowsIn = [...new Set([...holes, ...others].map(rowOf))].sort((a, b) => a - b);
  // straight rows are drawn apart; rings and slants as they lie
  const inRows = rowsIn.length <= MOST_ROWS;
  const leastHighPx = inRows ? ROWS_HIGH_PX : TRUE_HIGH_PX;
  const perRow = inRows
    ? Math.max(0, ...rowsIn.map((rowIn) => holes.filter((hole) => rowOf(hole) === rowIn).length))
    : 0;
  const count = stripsFor(perRow, roomPx);
  const stripIn = widthIn / count;
  const scene = fitPlan(
    { xIn: 0, yIn: 0, wIn: stripIn, hIn: heightIn },
    { widthPx: roomPx, heightPx: leastHighPx, marginX: MARGIN_X, marginY: MARGIN_Y }
  );
  const { pxPerIn } = scene;
  const rowGapPx = strip
    ? LEAST_ROW_PX
    : Math.max(LEAST_ROW_PX, ((rowsIn[1] ?? 0) - (rowsIn[0] ?? 0)) * pxPerIn);
  const rowsHighPx = (rowsIn.length - 1) * rowGapPx;
  const stripHighPx = rowsHighPx + STRIP_ROOM_PX;
  // over the first row and under the last there is room for the number of the hole that comes next
  const highPx =
    count > 1
      ? count * stripHighPx + LINES_UNDER_PX
      : inRows
        ? Math.max(leastHighPx, rowsHighPx + 2 * ROW_ROOM_PX + LINES_UNDER_PX)
        : leastHighPx;
  const spread = inRows && (rowsIn.length > 1 || heightIn * pxPerIn < 60);
  const stripOf = (inches: number): number =>
    Math.min(count - 1, Math.max(0, Math.floor(inches / stripIn + 1e-9)));
  const across = (inches: number): number =>
    mirrored ? roomPx - scene.originX - inches * pxPerIn : scene.originX + inches * pxPerIn;
  const x = (inches: number): number => across(inches - stripOf(inches) * stripIn);
  const topY = count > 1 ? ROW_ROOM_PX : (highPx - LINES_UNDER_PX - rowsHighPx) / 2;
  const y = (hole: Pick<MapHole, 'row' | 'xIn' | 'yIn'>): number =>
    inRows
      ? topY + Math.max(0, rowsIn.indexOf(rowOf(hole))) * rowGapPx + stripOf(hole.xIn) * stripHighPx
      : scene.originY + hole.yIn * pxPerIn;
  const [first, second] = holes;
  const pitchPx =
    first && second
      ? Math.hypot(second.xIn - first.xIn, inRows ? 0 : second.yIn - first.yIn) * pxPerIn
      : 40;
  const radius = Math.max(4, Math.min(12, Math.abs(pitchPx) * 0.36));
  const [left, right] = [
    Math.min(across(0), across(stripIn)),
    Math.max(across(0), across(stripIn))
  ];
  // marks are larger than their holes: the metal is drawn so much longer that those at its ends stand inside
  const sidePx = Math.max(
    0,
    ...holes.flatMap(({ xIn }) => [radius + 8 - (x(xIn) - left), radius + 8 - (right - x(xIn))])
  );
  const metalOf = (index: number): Box => ({
    x: left - sidePx,
    y: !inRows ? scene.originY : count > 1 ? topY - 38 + index * stripHighPx : topY - ROW_ROOM_PX,
    width: right - left + 2 * sidePx,
    height: !inRows ? heightIn * pxPerIn : rowsHighPx + (count > 1 ? 64 : 84)
  });
  return {
    widthPx: roomPx,
    highPx,
    pxPerIn,
    at: (hole) => ({ x: x(hole.xIn), y: y(hole) }),
    x,
    radius,
    pitchPx,
    spread,
    mirrored,
    strips: Array.from({ length: count }, (_, index) => ({
      fromIn: index * stripIn,
      toIn: (index + 1) * stripIn,
      metal: metalOf(index)
    })),
    stripOf
  };
}

/** The first and the last hole of each row in each strip: their numbers are written. */
export function endsOfRows(holes: readonly MapHole[], scene: HoleMapScene): number[] {
  const ends = new Map<string, [number, number]>();
  for (const { number, row, xIn } of holes) {
    const key = `${row} ${scene.stripOf(xIn)}`;
    ends.set(key, [ends.get(key)?.[0] ?? number, number]);
  }
  return [...ends.values()].flat();
}
