import type { LaidLine, PlannedHole } from '../../../core/plan/holes.ts';
import type { JointLayout } from '../../../core/plan/plan-shape.ts';
import { dimTextPx } from '../dim-text';
import type { Place } from './part-path';
import type { Extent } from './plan-scene';

/** A dimension line on the screen. */
export interface PlacedDim {
  axis: 'x' | 'y';
  at: number;
  from: number;
  to: number;
  text: string;
  side: 'left' | 'right';
  strong: boolean;
  spill: 'before' | 'below';
}

const FIRST_PX = { top: 26, bottom: 22, left: 16, right: 16 };
const STEP_PX = { across: 24, down: 22 };

/** Between a dimension line and its text, and beyond it. */
const TEXT_GAP_PX = 10;

/**
 * What the dimensions at the left and the right of a drawing need beside it, px: nothing of them is cut off.
 *
 * @param write a length as the person reads it
 */
export function besideDrawingPx(
  dims: JointLayout['dims'],
  write: (inches: number) => string
): number {
  const levels = { left: 0, right: 0 };
  let most = 0;
  for (const { axis, side, fromIn, toIn, label } of dims) {
    if (axis !== 'y' || (side !== 'left' && side !== 'right')) continue;
    const textPx = dimTextPx(textOf({ fromIn, toIn, label }, write));
    most = Math.max(
      most,
      FIRST_PX[side] + levels[side]++ * STEP_PX.down + textPx + 2 * TEXT_GAP_PX
    );
  }
  return most;
}

const textOf = (
  { fromIn, toIn, label }: { fromIn: number; toIn: number; label?: string | undefined },
  write: (inches: number) => string
): string => `${write(toIn - fromIn)}${label === undefined ? '' : ` ${label}`}`;

/** Between the end rivets of the first line and how it divides, where nothing else stands at the foot. */
function betweenEnds(
  layout: JointLayout,
  holes: readonly PlannedHole[],
  extent: Extent,
  { x, y }: Place,
  write: (inches: number) => string
): PlacedDim[] {
  const [line] = layout.lines;
  if (line?.path.path !== 'straight' || line.pitchIn === null) return [];
  const acrossThePage = Math.abs(line.path.dirX) > 0.9;
  if (!acrossThePage || layout.dims.some((dim) => dim.side === 'bottom')) return [];
  const find = (number: number | undefined) => holes.find((hole) => hole.number === number);
  const [first, last] = [find(line.holes[0]), find(line.holes.at(-1))];
  if (!first || !last || first === last) return [];
  return [
    {
      axis: 'x',
      at: y(extent.yIn + extent.hIn) + FIRST_PX.bottom,
      from: x(first.xIn),
      to: x(last.xIn),
      text: `${write(last.xIn - first.xIn)} between end rivets = ${line.laidCount - 1} × ${write(line.pitchIn)}`,
      side: 'left',
      strong: false,
      spill: 'below'
    }
  ];
}

/**
 * Puts a layout's dimensions round its drawing: those of one side step outward from the metal.
 *
 * @param write a length as the person reads it
 */
export function placeDims(
  layout: JointLayout,
  holes: readonly PlannedHole[],
  extent: Extent,
  place: Place,
  write: (inches: number) => string
): PlacedDim[] {
  const { x, y } = place;
  const next = { top: 0, bottom: 0, left: 0, right: 0 };
  const first = {
    top: y(extent.yIn) - FIRST_PX.top,
    bottom: y(extent.yIn + extent.hIn) + FIRST_PX.bottom,
    left: x(Math.min(0, extent.xIn)) - FIRST_PX.left,
    right: x(Math.max(layout.widthIn, extent.xIn + extent.wIn)) + FIRST_PX.right
  };
  const placed = layout.dims.map(({ axis, fromIn, toIn, side, label, strong }): PlacedDim => {
    const level = next[side]++;
    const outward = side === 'top' || side === 'left' ? -1 : 1;
    const step = axis === 'x' ? STEP_PX.across : STEP_PX.down;
    const of = axis === 'x' ? x : y;
    return {
      axis,
      at: first[side] + outward * level * step,
      from: of(fromIn),
      to: of(toIn),
      text: textOf({ fromIn, toIn, label }, write),
      side: side === 'right' ? 'right' : 'left',
      strong: strong ?? false,
      spill: 'before'
    };
  });
  return [...placed, ...betweenEnds(layout, holes, extent, place, write)];
}

/** Across the drawing where a straight line's marks are measured from; null for a ring. */
export function datumLine(
  line: LaidLine | undefined,
  extent: Extent,
  { x, y }: Place
): { x1: number; y1: number; x2: number; y2: number } | null {
  if (line?.path.path !== 'straight') return null;
  const { xIn, yIn, dirX, dirY } = line.path;
  if (Math.abs(dirX) > Math.abs(dirY)) {
    const at = x(xIn + line.datumIn * dirX);
    return { x1: at, x2: at, y1: y(extent.yIn) - 6, y2: y(extent.yIn + extent.hIn) + 8 };
  }
  const at = y(yIn + line.datumIn * dirY);
  return { y1: at, y2: at, x1: x(extent.xIn) - 8, x2: x(extent.xIn + extent.wIn) + 8 };
}
