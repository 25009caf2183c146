import { MM_PER_IN } from '../units/factors.ts';
import type { Pattern } from './pattern.ts';
import { layerName, type PatternLayer, type Stroke } from './strokes.ts';

/** Colour numbers by layer: white, red, yellow, green, cyan, blue, magenta. */
const COLOURS: Record<PatternLayer, number> = {
  EDGES: 7,
  CUT_OUT: 4,
  RELIEFS: 4,
  STOP_DRILL: 6,
  HOLES: 1,
  EXISTING: 3,
  REPLACED: 30,
  HELD_OPEN: 2,
  PILOTS: 8,
  LAYER_ENDS: 6,
  LINES: 5,
  MARKS: 7,
  TEXT: 7,
  WARNINGS: 1
};

export type DrawingUnit = 'in' | 'mm';
/** What a unit is called in the header, and how many stand for an inch. */
const UNITS: Record<DrawingUnit, { insUnits: number; metric: 0 | 1; perIn: number }> = {
  in: { insUnits: 1, metric: 0, perIn: 1 },
  mm: { insUnits: 4, metric: 1, perIn: MM_PER_IN }
};

type Group = readonly [code: number, value: string | number];

const real = (value: number): string => {
  const text = value.toFixed(8).replace(/0+$/, '0');
  return text === '-0.0' ? '0.0' : text;
};

/** Signs that our words use and plain ASCII lacks. */
const ASCII: Readonly<Record<string, string>> = {
  '’': "'",
  '′': "'",
  '″': '"',
  '‘': "'",
  '“': '"',
  '”': '"',
  '–': '-',
  '—': '-',
  '−': '-',
  '×': 'x',
  '·': '.',
  '±': '+/-',
  '°': ' deg',
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  ø: 'o',
  Ø: 'O',
  æ: 'ae',
  Æ: 'AE',
  ß: 'ss',
  ł: 'l',
  Ł: 'L',
  đ: 'd',
  Đ: 'D'
};

/** A text in plain ASCII, which every cutter reads: letters without their accents, and what no letter stands for as a question mark. */
export const plainAscii = (text: string): string =>
  text
    // eslint-disable-next-line no-control-regex -- a line break in a text would end its group
    .replace(/[\x00-\x1f\x7f]/g, ' ')
    .replace(/[^\x20-\x7e]/gu, (letter) => ASCII[letter] ?? letter)
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .replace(/[^\x20-\x7e]/gu, '?');

/** y runs up in the file, so what ran clockwise runs the other way. */
function entity(stroke: Stroke, perIn: number): Group[] {
  const layer = layerName(stroke);
  const place = (x: number, y: number, codes: readonly [number, number, number]): Group[] => [
    [codes[0], real(x * perIn)],
    [codes[1], real(-y * perIn)],
    [codes[2], '0.0']
  ];
  const at = (x: number, y: number) => place(x, y, [10, 20, 30]);
  switch (stroke.stroke) {
    case 'line':
      return [
        [0, 'LINE'],
        [8, layer],
        ...at(stroke.x1In, stroke.y1In),
        ...place(stroke.x2In, stroke.y2In, [11, 21, 31])
      ];
    case 'circle':
      return [
        [0, 'CIRCLE'],
        [8, layer],
        ...at(stroke.xIn, stroke.yIn),
        [40, real(stroke.radiusIn * perIn)]
      ];
    case 'path':
      return [
        [0, 'POLYLINE'],
        [8, layer],
        [66, 1],
        ...at(0, 0),
        [70, stroke.closed ? 1 : 0],
        ...stroke.corners.flatMap(({ xIn, yIn, turnRad }): Group[] => [
          [0, 'VERTEX'],
          [8, layer],
          ...at(xIn, yIn),
          ...(turnRad === 0 ? [] : [[42, real(-Math.tan(turnRad / 4))] as const])
        ]),
        [0, 'SEQEND'],
        [8, layer]
      ];
    case 'text':
      return [
        [0, 'TEXT'],
        [8, layer],
        ...at(stroke.xIn, stroke.yIn),
        [40, real(stroke.heightIn * perIn)],
        [1, plainAscii(stroke.text)]
      ];
  }
}

/**
 * A pattern as a DXF file of release 12: header, layer table, entities; y up.
 *
 * @param title job, joint, revision and part, as a comment at the file's head
 * @source dxf
 */
export function dxfR12(
  { strokes, xIn, yIn, wIn, hIn }: Pattern,
  title: string,
  unit: DrawingUnit = 'in'
): string {
  const { insUnits, metric, perIn } = UNITS[unit];
  const layers = new Map(strokes.map((stroke) => [layerName(stroke), COLOURS[stroke.layer]]));
  const groups: Group[] = [
    [999, plainAscii(title)],
    [0, 'SECTION'],
    [2, 'HEADER'],
    [9, '$ACADVER'],
    [1, 'AC1009'],
    // Not of release 12, but read by what came after; older readers pass over what they do not know.
    [9, '$INSUNITS'],
    [70, insUnits],
    [9, '$MEASUREMENT'],
    [70, metric],
    [9, '$EXTMIN'],
    [10, real(xIn * perIn)],
    [20, real(-(yIn + hIn) * perIn)],
    [30, '0.0'],
    [9, '$EXTMAX'],
    [10, real((xIn + wIn) * perIn)],
    [20, real(-yIn * perIn)],
    [30, '0.0'],
    [0, 'ENDSEC'],
    [0, 'SECTION'],
    [2, 'TABLES'],
    [0, 'TABLE'],
    [2, 'LTYPE'],
    [70, 1],
    [0, 'LTYPE'],
    [2, 'CONTINUOUS'],
    [70, 0],
    [3, 'Solid line'],
    [72, 65],
    [73, 0],
    [40, '0.0'],
    [0, 'ENDTAB'],
    [0, 'TABLE'],
    [2, 'LAYER'],
    [70, layers.size],
    ...[...layers].flatMap(([name, colour]): Group[] => [
      [0, 'LAYER'],
      [2, name],
      [70, 0],
      [62, colour],
      [6, 'CONTINUOUS']
    ]),
    [0, 'ENDTAB'],
    [0, 'ENDSEC'],
    [0, 'SECTION'],
    [2, 'ENTITIES'],
    ...strokes.flatMap((stroke) => entity(stroke, perIn)),
    [0, 'ENDSEC'],
    [0, 'EOF']
  ];
  return groups.map(([code, value]) => `${String(code).padStart(3)}\r\n${value}\r\n`).join('');
}
