import { fitPlan } from '../plan/plan-scene';

/** A hole as a map places it; inches from the datum corner. */
export interface MapHole {
  number: number;
  row: number;
  xIn: number;
  yIn: number;
}

/** What a map is of: the holes of an issue on its sheet. */
export interface MapOf {
  holes: readonly MapHole[];
  /** drilled and never riveted */
  heldOpen: readonly (MapHole & { reason: string })[];
  widthIn: number;
  overlapIn: number;
  onpick: (hole: number) => void;
}

/** Where the marks of a map stand, in pixels. */
export interface HoleMapScene {
  widthPx: number;
  highPx: number;
  pxPerIn: number;
  x: (inches: number) => number;
  y: (hole: Pick<MapHole, 'row' | 'yIn'>) => number;
  radius: number;
  pitchPx: number;
  /** rows are drawn further apart than they lie */
  spread: boolean;
  metal: { x: number; y: number; width: number; height: number };
}

/** marks closer than this could not be told apart or hit: the map scrolls instead */
const LEAST_PITCH_PX = 25;
const MOST_ROWS = 6;
const ROWS_HIGH_PX = 190;
const TRUE_HIGH_PX = 340;
/** marks must stay readable, so rows that lie closer than this on the screen are drawn apart */
const LEAST_ROW_PX = 46;
const ROW_ROOM_PX = 46;
const MARGIN_X = 44;
const MARGIN_Y = 24;

/**
 * Lays out a map of holes with marks large enough to hit.
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
  const widthPx = Math.max(roomPx, perRow * LEAST_PITCH_PX + 90);
  const scene = fitPlan(
    { xIn: 0, yIn: 0, wIn: widthIn, hIn: heightIn },
    { widthPx, heightPx: leastHighPx, marginX: MARGIN_X, marginY: MARGIN_Y }
  );
  const { pxPerIn } = scene;
  const rowGapPx = strip
    ? LEAST_ROW_PX
    : Math.max(LEAST_ROW_PX, ((rowsIn[1] ?? 0) - (rowsIn[0] ?? 0)) * pxPerIn);
  // over the first row and under the last there is room for the number of the hole that comes next
  const highPx = inRows
    ? Math.max(leastHighPx, (rowsIn.length - 1) * rowGapPx + 2 * ROW_ROOM_PX)
    : leastHighPx;
  const spread = inRows && (rowsIn.length > 1 || heightIn * pxPerIn < 60);
  const x = (inches: number): number =>
    mirrored ? widthPx - scene.originX - inches * pxPerIn : scene.originX + inches * pxPerIn;
  const topY = (highPx - (rowsIn.length - 1) * rowGapPx) / 2;
  const y = (hole: Pick<MapHole, 'row' | 'yIn'>): number =>
    inRows
      ? topY + Math.max(0, rowsIn.indexOf(rowOf(hole))) * rowGapPx
      : scene.originY + hole.yIn * pxPerIn;
  const [first, second] = holes;
  const pitchPx =
    first && second
      ? Math.hypot(second.xIn - first.xIn, inRows ? 0 : second.yIn - first.yIn) * pxPerIn
      : 40;
  const radius = Math.max(4, Math.min(12, Math.abs(pitchPx) * 0.36));
  const [left, right] = [Math.min(x(0), x(widthIn)), Math.max(x(0), x(widthIn))];
  // marks are larger than their holes: the metal is drawn so much longer that those at its ends stand inside
  const sidePx = Math.max(
    0,
    ...holes.flatMap(({ xIn }) => [radius + 8 - (x(xIn) - left), radius + 8 - (right - x(xIn))])
  );
  return {
    widthPx,
    highPx,
    pxPerIn,
    x,
    y,
    radius,
    pitchPx,
    spread,
    metal: {
      x: left - sidePx,
      y: inRows ? topY - 46 : scene.originY,
      width: right - left + 2 * sidePx,
      height: inRows ? (rowsIn.length - 1) * rowGapPx + 84 : heightIn * pxPerIn
    }
  };
}
