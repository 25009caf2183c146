import type { Part, Shape, Side } from '../../../core/layout/shapes.ts';

/** Where inches lie on the screen. */
export interface Place {
  x: (inches: number) => number;
  y: (inches: number) => number;
  pxPerIn: number;
}

const TOOTH_PX = 45;
const TOOTH_DEPTH_PX = 6;

/** A straight or broken side from one corner to the next, going on from the current point. */
function side(from: [number, number], to: [number, number], broken: boolean): string {
  if (!broken) return `L${to[0]} ${to[1]}`;
  const lengthPx = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const teeth = Math.max(2, 2 * Math.round(lengthPx / TOOTH_PX / 2));
  const across = [
    (-(to[1] - from[1]) / lengthPx) * TOOTH_DEPTH_PX,
    ((to[0] - from[0]) / lengthPx) * TOOTH_DEPTH_PX
  ];
  return Array.from({ length: teeth }, (_, tooth) => {
    const share = (tooth + 1) / teeth;
    const out = tooth % 2 === 0 ? 1 : 0;
    return `L${from[0] + share * (to[0] - from[0]) + out * (across[0] ?? 0)} ${from[1] + share * (to[1] - from[1]) + out * (across[1] ?? 0)}`;
  }).join('');
}

/** The outline of a shape as path commands; sides that go on are drawn broken off. */
export function shapePath(
  shape: Shape,
  { x, y, pxPerIn }: Place,
  goesOn: readonly Side[] = []
): string {
  if (shape.shape === 'circle') {
    const r = shape.radiusIn * pxPerIn;
    const [cx, cy] = [x(shape.xIn), y(shape.yIn)];
    return `M${cx - r} ${cy}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;
  }
  if (shape.shape === 'polygon')
    return `M${shape.pointsIn.map(([px, py]) => `${x(px)} ${y(py)}`).join('L')}Z`;
  const { xIn, yIn, wIn, hIn } = shape;
  const [left, right, top, bottom] = [x(xIn), x(xIn + wIn), y(yIn), y(yIn + hIn)];
  const r = Math.max(0, shape.radiusIn * pxPerIn);
  if (r > 0)
    return `M${left + r} ${top}H${right - r}A${r} ${r} 0 0 1 ${right} ${top + r}V${bottom - r}A${r} ${r} 0 0 1 ${right - r} ${bottom}H${left + r}A${r} ${r} 0 0 1 ${left} ${bottom - r}V${top + r}A${r} ${r} 0 0 1 ${left + r} ${top}Z`;
  return (
    `M${left} ${top}` +
    side([left, top], [right, top], goesOn.includes('top')) +
    side([right, top], [right, bottom], goesOn.includes('right')) +
    side([right, bottom], [left, bottom], goesOn.includes('bottom')) +
    side([left, bottom], [left, top], goesOn.includes('left')) +
    'Z'
  );
}

/** A part with its cut-outs, to be filled by the even-odd rule. */
export const partPath = (part: Part, place: Place): string =>
  shapePath(part.outline, place, part.goesOn) +
  part.openings.map((opening) => shapePath(opening, place)).join('');
