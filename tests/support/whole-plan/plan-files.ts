import DxfParser from 'dxf-parser';
import { dxfR12 } from '../../../src/core/exchange/dxf-r12.ts';
import { markRows, type MarkRow } from '../../../src/core/exchange/mark-rows.ts';
import { patternOf } from '../../../src/core/exchange/pattern.ts';
import type { EnteredJoint } from '../../../src/core/kinds/joint.ts';
import { readEntered } from '../../../src/core/kinds/read-entered.ts';
import { plan } from '../../../src/core/plan/plan.ts';
import { stopsOf } from '../../../src/core/plan/stops.ts';
import { DEFAULT_PROFILE } from '../../../src/core/rules/profile.ts';
import { flattened, round, type Point } from './plane.ts';

/** A part as its pattern draws it: where its metal is. */
export interface DrawnPart {
  key: string;
  /** null: it goes on beyond what is drawn, on all sides */
  outline: Point[] | null;
  openings: Point[][];
}

export interface DrawnCircle {
  layer: string;
  at: Point;
  diameter: number;
}

/** A joint as its files tell it: the table of marks, and the pattern read by a reader that did not write it; inches, y down. */
export interface PlanFiles {
  marks: MarkRow[];
  parts: DrawnPart[];
  circles: DrawnCircle[];
}

interface Entity {
  type: string;
  layer: string;
  center?: { x: number; y: number };
  radius?: number;
  shape?: boolean;
  vertices?: { x: number; y: number; bulge?: number }[];
}

/** An outline that is open goes on straight from both its ends, further than any joint is long. */
const FAR_IN = 1e5;
function beyond(points: Point[]): Point[] {
  const away = (end: Point, from: Point): Point => {
    const length = Math.hypot(end[0] - from[0], end[1] - from[1]);
    return [
      end[0] + ((end[0] - from[0]) / length) * FAR_IN,
      end[1] + ((end[1] - from[1]) / length) * FAR_IN
    ];
  };
  const [first, second] = points as [Point, Point];
  const [before, last] = points.slice(-2) as [Point, Point];
  return [away(first, second), ...points, away(last, before)];
}

function ringOf({ type, center, radius, vertices = [], shape }: Entity): Point[] {
  if (type === 'CIRCLE' && center) return round([center.x, -center.y], radius ?? 0);
  const corners = vertices.map(({ x, y, bulge }) => ({
    at: [x, -y] as Point,
    bulge: -(bulge ?? 0)
  }));
  const points = corners.flatMap(({ at, bulge }, index): Point[] => {
    const next = corners[(index + 1) % corners.length];
    return next && (shape || index < corners.length - 1) ? flattened(at, next.at, bulge) : [at];
  });
  return shape ? points : beyond(points);
}

function drawn(text: string): Pick<PlanFiles, 'parts' | 'circles'> {
  const { entities } = new DxfParser().parseSync(text) as unknown as { entities: Entity[] };
  const parts = new Map<string, DrawnPart>();
  const circles: DrawnCircle[] = [];
  const partOf = (layer: string): [key: string, what: string] => {
    const [, key = '', what = layer] = /^(.*)-([A-Z_]+)$/.exec(layer) ?? [];
    return [key, what];
  };
  for (const entity of entities) {
    const [key, what] = partOf(entity.layer);
    if (what === 'EDGES' || what === 'CUT_OUT') {
      const part = parts.get(key) ?? { key, outline: null, openings: [] };
      if (what === 'EDGES') part.outline = ringOf(entity);
      else part.openings.push(ringOf(entity));
      parts.set(key, part);
    } else if (entity.type === 'CIRCLE' && entity.center)
      circles.push({
        layer: what,
        at: [entity.center.x, -entity.center.y],
        diameter: 2 * (entity.radius ?? 0)
      });
  }
  return { parts: [...parts.values()], circles };
}

/**
 * The files of a joint that could be released as it stands.
 *
 * @returns null where something stops it, or nothing can be laid out: then nothing leaves the house
 */
export function filesOf(entered: EnteredJoint): PlanFiles | null {
  const read = readEntered(entered);
  if (!read.ok) return null;
  const planned = plan(read.definition, DEFAULT_PROFILE);
  if (!planned.layout.ok || stopsOf(planned).length > 0) return null;
  const layout = planned.layout.result;
  const { fixed } = read.definition;
  const pattern = patternOf({ layout, profile: DEFAULT_PROFILE, fixed, part: null });
  return {
    marks: markRows({
      layout,
      stacks: planned.stacks,
      profile: DEFAULT_PROFILE,
      unit: 'in',
      fixed,
      warningOf: () => ''
    }),
    ...drawn(dxfR12(pattern, 'a joint', 'in'))
  };
}
