import type { Tone } from '../../ui/marks/glyph.ts';
import { numberAt, type MapMark, type NumberPlace } from './map-mark.ts';

/** What is to be drawn, and where. */
export interface MarkPicture {
  marks: readonly MapMark[];
  numbers: ReadonlyMap<number, NumberPlace>;
  radiusPx: number;
  widthPx: number;
  heightPx: number;
  picked: number | null;
}

/** Smaller than this a mark is a dot. */
const LEAST_MARK_PX = 1.5;
const LEAST_LETTER_PX = 5;
const MOST_IN_A_PATH = 120;
const BESIDE_PX = 20;
const ALIGN = { start: 'left', middle: 'center', end: 'right' } as const;

/**
 * Draws the marks in sight: dots where one would be too small to tell, else whole, with numbers and letters.
 * Strokes of one style go in one path: one a mark takes several times as long, and a path of thousands again.
 *
 * @param ink the page's colours, as a canvas takes them
 */
export function drawMarks(
  pen: CanvasRenderingContext2D,
  { marks, numbers, radiusPx, widthPx, heightPx, picked }: MarkPicture,
  ink: (tone: Tone) => string
): void {
  const inSight = marks.filter(
    ({ x, y }) =>
      x >= -BESIDE_PX && y >= -BESIDE_PX && x <= widthPx + BESIDE_PX && y <= heightPx + BESIDE_PX
  );
  if (radiusPx < LEAST_MARK_PX) {
    for (const { x, y, glyph, number } of inSight) {
      pen.fillStyle = ink(number === picked ? 'dye' : (glyph[0]?.line ?? 'ink'));
      pen.fillRect(x - 1, y - 1, 2, 2);
    }
    return;
  }
  drawGlyphs(pen, inSight, ink);
  for (const { number, x, y, letter, word } of inSight) {
    if (word) write(word, x, y + radiusPx + 17);
    if (letter && radiusPx > LEAST_LETTER_PX) write(letter, x, y + 4.5);
    const side = numbers.get(number) ?? (number === picked ? 'above' : null);
    if (side === null) continue;
    const { dx, dy, anchor } = numberAt(side, radiusPx);
    write(String(number), x + dx, y + dy, number === picked, ALIGN[anchor]);
  }

  function write(
    text: string,
    x: number,
    y: number,
    chosen = false,
    align: CanvasTextAlign = 'center'
  ): void {
    pen.font = chosen ? '700 16px B612, sans-serif' : '13px B612, sans-serif';
    pen.fillStyle = ink(chosen ? 'dye' : 'ink');
    pen.textAlign = align;
    pen.fillText(text, x, y);
  }
}

/** Stroke by stroke from the ground up, so that no mark's body lies on another's sign. */
function drawGlyphs(
  pen: CanvasRenderingContext2D,
  marks: readonly MapMark[],
  ink: (tone: Tone) => string
): void {
  const shapes = new Map<string, Path2D>();
  const shapeOf = (d: string): Path2D => {
    let shape = shapes.get(d);
    if (!shape) shapes.set(d, (shape = new Path2D(d)));
    return shape;
  };
  pen.lineCap = pen.lineJoin = 'round';
  const most = Math.max(0, ...new Set(marks.map(({ glyph }) => glyph.length)));
  for (let layer = 0; layer < most; layer++) {
    const open = new Map<string, { path: Path2D; count: number; flush: () => void }>();
    for (const { glyph, x, y } of marks) {
      const stroke = glyph[layer];
      if (!stroke) continue;
      const { d, fill, line, width = 1, dash = '' } = stroke;
      const style = `${fill ?? ''}|${line ?? ''}|${width}|${dash}`;
      let run = open.get(style);
      if (run && run.count >= MOST_IN_A_PATH) run.flush();
      if (!run || run.count >= MOST_IN_A_PATH) {
        const path = new Path2D();
        run = {
          path,
          count: 0,
          flush() {
            pen.setLineDash(dash === '' ? [] : dash.split(' ').map(Number));
            if (fill) pen.fillStyle = ink(fill);
            if (fill) pen.fill(path);
            pen.lineWidth = width;
            if (line) pen.strokeStyle = ink(line);
            if (line) pen.stroke(path);
          }
        };
        open.set(style, run);
      }
      run.path.addPath(shapeOf(d), { e: x, f: y });
      run.count += 1;
    }
    for (const { flush } of open.values()) flush();
  }
  pen.setLineDash([]);
}
