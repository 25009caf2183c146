import { numberAt, type HoleMark, type NumberPlace } from './hole-marks';
import type { Place } from './part-path';

/** The page's colours, as a canvas takes them. */
export interface Ink {
  ink: string;
  paper: string;
  dye: string;
  amber: string;
  brick: string;
  olive: string;
}

/** What is to be drawn, and where. */
export interface HolePicture {
  marks: readonly HoleMark[];
  numbers: ReadonlyMap<number, NumberPlace>;
  place: Place;
  radiusPx: number;
  widthPx: number;
  heightPx: number;
  picked: number;
}

/** Smaller than this a circle is a dot. */
const LEAST_CIRCLE_PX = 1.5;
const LEAST_LETTER_PX = 5;
const PICKED_LEAST_PX = 5;
const MOST_IN_A_PATH = 120;
const ALIGN = { start: 'left', middle: 'center', end: 'right' } as const;

function colourOf(mark: HoleMark, ink: Ink): string {
  if (mark.failing) return ink.brick;
  if (mark.kind === 'held-open' || mark.kind === 'reworked') return ink.amber;
  if (mark.letter === null) return ink.ink;
  return mark.room === 0 ? ink.amber : ink.olive;
}

/** A hexagon round a hole of a radius: what rework left there is not what is planned. */
export function hexagon(x: number, y: number, r: number): [number, number][] {
  const [wide, high] = [r + 5, (r + 5) / 2];
  return [
    [x - high, y - wide],
    [x + high, y - wide],
    [x + wide, y],
    [x + high, y + wide],
    [x - high, y + wide],
    [x - wide, y]
  ];
}

function outline(path: Path2D, { kind }: HoleMark, x: number, y: number, r: number): void {
  if (kind === 'held-open') {
    path.moveTo(x, y - r - 4);
    path.lineTo(x + r + 4, y);
    path.lineTo(x, y + r + 4);
    path.lineTo(x - r - 4, y);
    path.closePath();
    return;
  }
  if (kind === 'reworked') {
    const [first = [x, y], ...others] = hexagon(x, y, r);
    path.moveTo(...first);
    for (const corner of others) path.lineTo(...corner);
    path.closePath();
    return;
  }
  path.moveTo(x + r, y);
  path.arc(x, y, r, 0, 2 * Math.PI);
}

/**
 * Draws the holes in sight: dots where a circle would be too small to tell, else circles, numbers and letters.
 * Holes of one colour go in one path: a stroke a hole takes several times as long, and a path of thousands again.
 */
export function drawHoles(pen: CanvasRenderingContext2D, picture: HolePicture, ink: Ink): void {
  const { marks, numbers, place, radiusPx, widthPx, heightPx, picked } = picture;
  const dots = radiusPx < LEAST_CIRCLE_PX;
  const r = Math.max(1, radiusPx);
  const paths = new Map<string, { path: Path2D; shapes: number }>();
  const flush = (colour: string, path: Path2D): void => {
    pen.fillStyle = ink.paper;
    pen.strokeStyle = colour;
    pen.fill(path);
    pen.stroke(path);
  };
  const pathOf = (colour: string): Path2D => {
    const open = paths.get(colour);
    if (open && open.shapes < MOST_IN_A_PATH) {
      open.shapes += 1;
      return open.path;
    }
    if (open) flush(colour, open.path);
    const path = new Path2D();
    paths.set(colour, { path, shapes: 1 });
    return path;
  };
  let dotColour = '';
  pen.lineWidth = 1.2;
  const written: { text: string; x: number; y: number; align: CanvasTextAlign }[] = [];
  let chosen: { mark: HoleMark; x: number; y: number } | null = null;
  for (const mark of marks) {
    const x = place.x(mark.xIn);
    const y = place.y(mark.yIn);
    if (x < -20 || y < -20 || x > widthPx + 20 || y > heightPx + 20) continue;
    if (mark.number === picked) {
      chosen = { mark, x, y };
      continue;
    }
    const colour = colourOf(mark, ink);
    if (dots) {
      if (dotColour !== colour) pen.fillStyle = dotColour = colour;
      pen.fillRect(x - 1, y - 1, 2, 2);
      continue;
    }
    outline(pathOf(colour), mark, x, y, r);
    const side = numbers.get(mark.number);
    if (side) {
      const { dx, dy, anchor } = numberAt(side, r);
      written.push({ text: String(mark.number), x: x + dx, y: y + dy, align: ALIGN[anchor] });
    }
    if (mark.letter !== null && r > LEAST_LETTER_PX)
      written.push({ text: mark.letter, x, y: y + 4.5, align: 'center' });
  }
  for (const [colour, { path }] of paths) flush(colour, path);
  pen.font = '13px B612, sans-serif';
  pen.fillStyle = ink.ink;
  for (const { text, x, y, align } of written) {
    pen.textAlign = align;
    pen.fillText(text, x, y);
  }
  pen.textAlign = 'center';
  if (!chosen) return;
  const path = new Path2D();
  outline(path, chosen.mark, chosen.x, chosen.y, Math.max(r, PICKED_LEAST_PX));
  pen.fillStyle = ink.dye;
  pen.fill(path);
  pen.font = '700 16px B612, sans-serif';
  pen.fillText(String(chosen.mark.number), chosen.x, chosen.y - r - 9);
}
