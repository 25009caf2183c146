import DxfParser, { type IDxf, type IEntity } from 'dxf-parser';
import type { Corner } from './round.ts';

interface Point {
  x: number;
  y: number;
}

/** What is read of any entity. */
export interface Entity extends IEntity {
  center?: Point;
  radius?: number;
  position?: Point;
  vertices?: Corner[];
  /** of polylines: closed */
  shape?: boolean;
  startAngle?: number;
  endAngle?: number;
  name?: string;
  xScale?: number;
  yScale?: number;
  rotation?: number;
  columnCount?: number;
  rowCount?: number;
  columnSpacing?: number;
  rowSpacing?: number;
  extrusionDirection?: { x?: number; y?: number; z?: number };
  extrusionDirectionX?: number;
  extrusionDirectionY?: number;
  extrusionDirectionZ?: number;
}

type Handler = Parameters<DxfParser['registerEntityHandler']>[0];
type Scanner = Parameters<InstanceType<Handler>['parseEntity']>[0];
type Group = Parameters<InstanceType<Handler>['parseEntity']>[1];

/** Reads an entity's groups up to the next entity. */
function groupsOf(scanner: Scanner, take: (group: Group) => void): void {
  let group = scanner.next();
  while (!scanner.isEOF() && group.code !== 0) {
    take(group);
    group = scanner.next();
  }
}

/** What the reader knows nothing of, or passes over something of: a circle's extrusion turns its place round. */
const handlerOf = (name: string): Handler =>
  class {
    ForEntityName = name;
    parseEntity(scanner: Scanner): Entity {
      const numbers = new Map<number, number>();
      const entity = { type: name, layer: '' } as unknown as Entity;
      groupsOf(scanner, ({ code, value }) => {
        if (code === 8) entity.layer = String(value);
        else if (code === 67) entity.inPaperSpace = value !== 0;
        else if (code === 60) entity.visible = value === 0;
        else if (typeof value === 'number' && !numbers.has(code)) numbers.set(code, value);
      });
      const at = (code: number) => numbers.get(code) ?? NaN;
      entity.center = { x: at(10), y: at(20) };
      entity.radius = at(40);
      entity.extrusionDirection = {
        x: numbers.get(210) ?? 0,
        y: numbers.get(220) ?? 0,
        z: numbers.get(230) ?? 1
      };
      return entity;
    }
  } as unknown as Handler;

/**
 * Reads a polyline on one plane: the parser's own goes round for ever on a corner without its y, and believes any count
 * of corners.
 */
const PLANE_POLYLINE = class {
  ForEntityName = 'LWPOLYLINE';
  parseEntity(scanner: Scanner): Entity {
    const corners: Corner[] = [];
    const entity = { type: 'LWPOLYLINE', layer: '', vertices: corners } as unknown as Entity;
    groupsOf(scanner, ({ code, value }) => {
      const last = corners.at(-1);
      if (code === 8) entity.layer = String(value);
      else if (code === 67) entity.inPaperSpace = value !== 0;
      else if (code === 60) entity.visible = value === 0;
      else if (code === 70) entity.shape = (Number(value) & 1) === 1;
      else if (code === 210) entity.extrusionDirectionX = Number(value);
      else if (code === 220) entity.extrusionDirectionY = Number(value);
      else if (code === 230) entity.extrusionDirectionZ = Number(value);
      else if (code === 10) corners.push({ x: Number(value), y: NaN });
      else if (code === 20 && last) last.y = Number(value);
      else if (code === 42 && last) last.bulge = Number(value);
    });
    return entity;
  }
} as unknown as Handler;

/** Kinds that can neither be a hole nor an edge here; read so that they are counted. */
const PASSED_OVER = [
  'HATCH',
  'LEADER',
  'MULTILEADER',
  'MLINE',
  'REGION',
  'BODY',
  '3DSOLID',
  'TRACE',
  'SHAPE',
  'RAY',
  'XLINE',
  'IMAGE',
  'WIPEOUT',
  'TOLERANCE',
  'ACAD_TABLE'
];

export type Drawing = Omit<IDxf, 'entities'> & { entities?: Entity[] };

/** Reads the text of a DXF file. */
export function parseDxf(text: string): Drawing | null {
  const parser = new DxfParser();
  for (const name of ['CIRCLE', ...PASSED_OVER]) parser.registerEntityHandler(handlerOf(name));
  parser.registerEntityHandler(PLANE_POLYLINE);
  return parser.parseSync(text) as Drawing | null;
}
