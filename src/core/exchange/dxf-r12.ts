import { PATTERN_LAYERS, type Pattern, type PatternLayer, type Stroke } from './pattern.ts';

/** Colour numbers by layer: white, red, yellow, cyan, blue, white, red. */
const COLOURS: Record<PatternLayer, number> = {
  EDGES: 7,
  HOLES: 1,
  HELD_OPEN: 2,
  CUT_OUT: 4,
  LINES: 5,
  TEXT: 7,
  WARNINGS: 1
};

type Group = readonly [code: number, value: string | number];

const real = (value: number): string => {
  const text = value.toFixed(8).replace(/0+$/, '0');
  return text === '-0.0' ? '0.0' : text;
};
const degrees = (rad: number): number => ((((rad * 180) / Math.PI) % 360) + 360) % 360;

/** y runs up in the file, so what ran clockwise runs the other way: an arc's ends change places. */
function entity(stroke: Stroke): Group[] {
  const at = (x: number, y: number): Group[] => [
    [10, real(x)],
    [20, real(-y)],
    [30, '0.0']
  ];
  switch (stroke.stroke) {
    case 'line':
      return [
        [0, 'LINE'],
        [8, stroke.layer],
        ...at(stroke.x1In, stroke.y1In),
        [11, real(stroke.x2In)],
        [21, real(-stroke.y2In)],
        [31, '0.0']
      ];
    case 'circle':
      return [
        [0, 'CIRCLE'],
        [8, stroke.layer],
        ...at(stroke.xIn, stroke.yIn),
        [40, real(stroke.radiusIn)]
      ];
    case 'arc':
      return [
        [0, 'ARC'],
        [8, stroke.layer],
        ...at(stroke.xIn, stroke.yIn),
        [40, real(stroke.radiusIn)],
        [50, real(degrees(-stroke.toRad))],
        [51, real(degrees(-stroke.fromRad))]
      ];
    case 'text':
      return [
        [0, 'TEXT'],
        [8, stroke.layer],
        ...at(stroke.xIn, stroke.yIn),
        [40, real(stroke.heightIn)],
        // R12 knows no Unicode; what it cannot hold is written as a question mark.
        [1, stroke.text.replace(/[^\x20-\x7e]/g, '?')]
      ];
  }
}

/**
 * A pattern as a DXF file of release 12: header, layer table, entities; inches, y up.
 *
 * @source the public DXF reference, AC1009
 */
export function dxfR12({ strokes, xIn, yIn, wIn, hIn }: Pattern): string {
  const groups: Group[] = [
    [0, 'SECTION'],
    [2, 'HEADER'],
    [9, '$ACADVER'],
    [1, 'AC1009'],
    // Not of release 12, but read by what came after; older readers pass over what they do not know.
    [9, '$INSUNITS'],
    [70, 1],
    [9, '$EXTMIN'],
    [10, real(xIn)],
    [20, real(-(yIn + hIn))],
    [30, '0.0'],
    [9, '$EXTMAX'],
    [10, real(xIn + wIn)],
    [20, real(-yIn)],
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
    [70, PATTERN_LAYERS.length],
    ...PATTERN_LAYERS.flatMap((layer): Group[] => [
      [0, 'LAYER'],
      [2, layer],
      [70, 0],
      [62, COLOURS[layer]],
      [6, 'CONTINUOUS']
    ]),
    [0, 'ENDTAB'],
    [0, 'ENDSEC'],
    [0, 'SECTION'],
    [2, 'ENTITIES'],
    ...strokes.flatMap(entity),
    [0, 'ENDSEC'],
    [0, 'EOF']
  ];
  return groups.map(([code, value]) => `${String(code).padStart(3)}\r\n${value}\r\n`).join('');
}
