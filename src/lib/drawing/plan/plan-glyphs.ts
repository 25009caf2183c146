import { circle, diamond, path, square, type Glyph, type Stroke } from '../../ui/marks/glyph.ts';
import type { MapMark } from '../marks/map-mark.ts';
import type { HoleMark } from './hole-marks.ts';
import type { Place } from './part-path.ts';

const LEAST_PX = 2;
const LETTER_PX = 9;
const PICKED_PX = 11;

/** A hexagon round a hole of a radius: what rework left there is not what is planned. */
function hexagon(r: number): string {
  const [wide, high] = [r + 5, (r + 5) / 2];
  return path`M${-high} ${-wide}L${high} ${-wide}L${wide} 0L${high} ${wide}L${-high} ${wide}L${-wide} 0Z`;
}

/** A hole as the plan draws it: its kind by its shape, with what is wrong of it around. */
function planGlyph({ kind, failing, letter, room }: HoleMark, r: number, picked: boolean): Glyph {
  const body: Stroke =
    kind === 'held-open'
      ? { d: diamond(r + 4), fill: 'amber-soft', line: 'amber', width: 2 }
      : letter === null
        ? { d: circle(r), fill: 'paper', line: 'ink', width: 1.4 }
        : room === 0
          ? { d: circle(Math.max(r, LETTER_PX)), fill: 'amber-soft', line: 'amber', width: 1.4 }
          : {
              d: circle(Math.max(r, LETTER_PX)),
              fill: 'olive-soft',
              line: 'olive-deep',
              width: 1.4
            };
  const chosen: Stroke =
    letter === null
      ? { ...body, fill: 'dye', line: 'dye' }
      : { ...body, fill: 'dye-soft', line: 'dye', width: 2.5 };
  const strokes: (Stroke | null)[] = [
    letter === null ? { d: path`M0 ${-r - 4}V${r + 4}`, line: 'dye', width: 0.8 } : null,
    picked ? chosen : body,
    kind === 'reworked' ? { d: hexagon(r), line: 'amber', width: 2 } : null,
    kind === 'existing' ? { d: circle(r + 3.5), line: 'ink', width: 1.2 } : null,
    kind === 'pinned' ? { d: path`M-5 ${-r - 12}h10L0 ${-r - 2}Z`, fill: 'dye' } : null,
    failing ? { d: square(r + 6), line: 'brick', width: 2 } : null,
    picked ? { d: circle(Math.max(r, PICKED_PX)), line: 'dye', width: 1.5 } : null
  ];
  return strokes.filter((stroke) => stroke !== null);
}

/** Holes of a plan as marks on the screen; those of one kind share one glyph. */
export function planMarks(
  holes: readonly HoleMark[],
  place: Pick<Place, 'x' | 'y'>,
  radiusPx: number,
  picked: number
): MapMark[] {
  const r = Math.max(LEAST_PX, radiusPx);
  const glyphs = new Map<string, Glyph>();
  return holes.map((hole) => {
    const { number, kind, failing, letter, room } = hole;
    const key = `${kind}${failing}${letter !== null}${room === 0}${number === picked}`;
    let glyph = glyphs.get(key);
    if (!glyph) glyphs.set(key, (glyph = planGlyph(hole, r, number === picked)));
    return {
      number,
      x: place.x(hole.xIn),
      y: place.y(hole.yIn),
      glyph,
      letter,
      ...(kind === 'held-open' ? { word: 'open' } : {}),
      data: { 'data-kind': kind, 'data-room': room }
    };
  });
}
