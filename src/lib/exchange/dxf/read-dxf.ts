import DxfParser, { type IEntity } from 'dxf-parser';
import { MM_PER_IN } from '../../core/units/factors.ts';
import type { DrawingRead, Found } from './found.ts';

/** No drawing of holes needs more; a file with more is refused before it is walked. */
const MOST_ENTITIES = 20_000;

/** What $INSUNITS says, as inches a unit; null where the file does not say. */
const IN_PER_UNIT: Record<number, number> = { 1: 1, 2: 12, 4: 1 / MM_PER_IN, 5: 10 / MM_PER_IN };

interface Point {
  x: number;
  y: number;
}
type Known = IEntity & {
  center?: Point;
  radius?: number;
  position?: Point;
  vertices?: Point[];
  startPoint?: Point;
  endPoint?: Point;
};

const finite = (point: Point | undefined): point is Point =>
  point !== undefined && Number.isFinite(point.x) && Number.isFinite(point.y);

/** Holes and outline points of one entity, in the file's own units, y up. */
function take(entity: Known, found: { holes: Found['holes']; points: Point[] }): void {
  const layer = entity.layer ?? '';
  if (entity.type === 'CIRCLE' && finite(entity.center) && Number.isFinite(entity.radius)) {
    const { center, radius = 0 } = entity;
    found.holes.push({ x: center.x, y: center.y, diameter: 2 * radius, layer });
  } else if (entity.type === 'POINT' && finite(entity.position))
    found.holes.push({ x: entity.position.x, y: entity.position.y, diameter: null, layer });
  else if (['LINE', 'LWPOLYLINE', 'POLYLINE'].includes(entity.type))
    for (const vertex of entity.vertices ?? []) if (finite(vertex)) found.points.push(vertex);
}

/**
 * Reads holes and the outline's size from a DXF file.
 *
 * @returns y turned to run down, as on the plan view; lengths in the file's units with what it says of them
 */
export function readDxf(text: string): DrawingRead {
  if (!text.includes('SECTION'))
    return {
      ok: false,
      message: 'this is no DXF file: it has no sections. Binary DXF is not read; save it as text'
    };
  let parsed;
  try {
    parsed = new DxfParser().parseSync(text);
  } catch (problem) {
    const why = problem instanceof Error ? problem.message.slice(0, 120) : 'it is not well formed';
    return { ok: false, message: `the DXF file cannot be read: ${why}` };
  }
  const entities = (parsed?.entities ?? []) as Known[];
  if (entities.length > MOST_ENTITIES)
    return {
      ok: false,
      message: `the drawing has ${entities.length} entities; up to ${MOST_ENTITIES} are read. Export only the outline and the holes`
    };
  const found = { holes: [] as Found['holes'], points: [] as Point[] };
  for (const entity of entities) take(entity, found);
  if (found.holes.length === 0 && found.points.length === 0)
    return {
      ok: false,
      message: 'the drawing has no circles, points or lines: nothing to pick up'
    };
  const unit = parsed?.header?.$INSUNITS as unknown;
  const inPerUnit = typeof unit === 'number' ? (IN_PER_UNIT[unit] ?? null) : null;
  const xs = found.points.map(({ x }) => x);
  const ys = found.points.map(({ y }) => -y);
  const least = (list: number[]) => list.reduce((a, b) => Math.min(a, b), Infinity);
  const most = (list: number[]) => list.reduce((a, b) => Math.max(a, b), -Infinity);
  return {
    ok: true,
    found: {
      holes: found.holes.map((hole) => ({ ...hole, y: -hole.y })),
      outline:
        xs.length === 0
          ? null
          : { x: least(xs), y: least(ys), w: most(xs) - least(xs), h: most(ys) - least(ys) },
      inPerUnit
    }
  };
}
