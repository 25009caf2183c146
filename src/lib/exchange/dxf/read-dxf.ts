import { MM_PER_IN } from '../../../core/units/factors.ts';
import type { DrawingRead, Found } from '../found.ts';
import { parseDxf, type Drawing, type Entity } from './parser.ts';
import {
  AS_DRAWN,
  growth,
  MIRRORED,
  moved,
  put,
  scaled,
  turned,
  within,
  type Placing
} from './placing.ts';
import { roundOf, type Circle } from './round.ts';

/** No drawing of holes needs more; a file with more is refused before it is walked. */
const MOST_ENTITIES = 20_000;
/** Blocks within blocks: a drawing that goes deeper refers to itself. */
const DEEPEST = 8;

/** What $INSUNITS says, as inches a unit; null where the file does not say. */
const IN_PER_UNIT: Record<number, number> = {
  1: 1,
  2: 12,
  4: 1 / MM_PER_IN,
  5: 10 / MM_PER_IN,
  6: 1000 / MM_PER_IN,
  9: 0.001
};

/** Layers and blocks of the sheet that the drawing is on. */
const OF_THE_SHEET = /title|border|legend|sheet[ _-]?frame/i;
/** An arc that is open by less than this is a whole circle, radians. */
const CLOSED_RAD = 0.002;
/** Out of the drawing's plane by more than this, a circle is seen as an oval. */
const TILTED = 1e-6;

const WHY = {
  hidden: 'on layers that are frozen or off',
  paper: 'in paper space',
  title: 'in a title block',
  radius: 'without a radius',
  arc: 'of arcs that are no whole circle',
  oval: 'in blocks stretched one way',
  tilted: 'out of the drawing’s plane',
  other: 'of other kinds (text, dimensions, hatching, curves)',
  deep: 'in blocks that hold themselves'
} as const;
type Why = keyof typeof WHY;

class TooMany extends Error {}

/** Walks a drawing with the blocks in it; y up. */
class Walk {
  readonly holes: Found['holes'] = [];
  readonly corners = new Map<string, { x: number; y: number }[]>();
  readonly leftOut = new Map<Why, number>();
  #seen = 0;
  readonly #drawing: Drawing;

  constructor(drawing: Drawing) {
    this.#drawing = drawing;
  }

  walk(
    entities: readonly Entity[],
    placing: Placing,
    from: { layer: string; why: Why | null; depth: number }
  ) {
    for (const entity of entities) {
      if (++this.#seen > MOST_ENTITIES) throw new TooMany();
      // what lies on layer 0 of a block lies on the layer of its insertion
      const layer = entity.layer === '0' && from.depth > 0 ? from.layer : (entity.layer ?? '');
      this.#take(entity, placing, layer, from.why ?? this.#whyNot(entity, layer), from.depth);
    }
  }

  #whyNot(entity: Entity, layer: string): Why | null {
    const { frozen = false, visible = true } = this.#drawing.tables?.layer?.layers[layer] ?? {};
    if (frozen || !visible || (entity.visible as boolean | undefined) === false) return 'hidden';
    if (entity.inPaperSpace) return 'paper';
    if (OF_THE_SHEET.test(layer)) return 'title';
    return null;
  }

  #leave(why: Why): void {
    this.leftOut.set(why, (this.leftOut.get(why) ?? 0) + 1);
  }

  #take(entity: Entity, placing: Placing, layer: string, why: Why | null, depth: number): void {
    const own = ownPlacing(entity);
    if (entity.type === 'INSERT')
      return this.#insert(entity, placing, layer, why ?? (own ? null : 'tilted'), depth);
    if (why !== null) return this.#leave(why);
    if (own === null) return this.#leave('tilted');
    const at = within(placing, own);
    switch (entity.type) {
      case 'CIRCLE':
        return this.#circle(asCircle(entity), at, layer);
      case 'ARC': {
        const sweep = Math.abs((entity.endAngle ?? 0) - (entity.startAngle ?? 0));
        return Math.abs(sweep - 2 * Math.PI) <= CLOSED_RAD
          ? this.#circle(asCircle(entity), at, layer)
          : this.#leave('arc');
      }
      case 'POINT': {
        const { x = NaN, y = NaN } = entity.position ?? {};
        // a point stands in the drawing's coordinates, however it is extruded
        if (Number.isFinite(x) && Number.isFinite(y))
          this.holes.push({ ...put(placing, x, y), diameter: null, layer });
        return;
      }
      case 'LWPOLYLINE':
      case 'POLYLINE': {
        const circle = roundOf(entity.vertices ?? [], entity.shape === true);
        return circle ? this.#circle(circle, at, layer) : this.#edge(entity, at, layer);
      }
      case 'LINE':
        return this.#edge(entity, placing, layer);
      default:
        return this.#leave('other');
    }
  }

  #circle({ x, y, radius }: Circle, placing: Placing, layer: string): void {
    const larger = growth(placing);
    if (!Number.isFinite(x) || !Number.isFinite(y) || !(radius > 0)) this.#leave('radius');
    else if (larger === null) this.#leave('oval');
    else this.holes.push({ ...put(placing, x, y), diameter: 2 * radius * larger, layer });
  }

  #edge({ vertices = [] }: Entity, placing: Placing, layer: string): void {
    const corners = this.corners.get(layer) ?? [];
    this.corners.set(layer, corners);
    for (const { x, y } of vertices)
      if (Number.isFinite(x) && Number.isFinite(y)) corners.push(put(placing, x, y));
  }

  #insert(entity: Entity, placing: Placing, layer: string, why: Why | null, depth: number): void {
    const block = this.#drawing.blocks?.[entity.name ?? ''];
    const own = ownPlacing(entity) ?? AS_DRAWN;
    if (!block) return this.#leave(why ?? 'other');
    if (depth >= DEEPEST) return this.#leave('deep');
    const { position = { x: 0, y: 0 }, xScale = 1, yScale = 1, rotation = 0 } = entity;
    const inside = why ?? (OF_THE_SHEET.test(entity.name ?? '') ? 'title' : null);
    const base = block.position as { x: number; y: number } | undefined;
    const [columns, rows] = [
      Math.max(1, entity.columnCount ?? 1),
      Math.max(1, entity.rowCount ?? 1)
    ];
    if (columns * rows > MOST_ENTITIES) throw new TooMany();
    for (let row = 0; row < rows; row++)
      for (let column = 0; column < columns; column++) {
        const steps: Placing[] = [
          placing,
          own,
          moved(position.x, position.y),
          turned(rotation),
          moved(column * (entity.columnSpacing ?? 0), row * (entity.rowSpacing ?? 0)),
          scaled(xScale, yScale),
          moved(-(base?.x ?? 0), -(base?.y ?? 0))
        ];
        const to = steps.reduce(within);
        this.walk((block.entities as Entity[] | undefined) ?? [], to, {
          layer,
          why: inside,
          depth: depth + 1
        });
      }
  }
}

/** How an entity's own coordinates lie in the drawing; null where it is tilted out of the plane. */
function ownPlacing(entity: Entity): Placing | null {
  const {
    x = 0,
    y = 0,
    z = 1
  } = entity.extrusionDirection ?? {
    x: entity.extrusionDirectionX,
    y: entity.extrusionDirectionY,
    z: entity.extrusionDirectionZ
  };
  if (Math.abs(x) > TILTED || Math.abs(y) > TILTED) return null;
  return z < 0 ? MIRRORED : AS_DRAWN;
}

const asCircle = ({ center, radius }: Entity): Circle => ({
  x: center?.x ?? NaN,
  y: center?.y ?? NaN,
  radius: radius ?? 0
});

function boxOf(corners: readonly { x: number; y: number }[]) {
  let [left, low, right, high] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { x, y } of corners) {
    left = Math.min(left, x);
    low = Math.min(low, y);
    right = Math.max(right, x);
    high = Math.max(high, y);
  }
  return { x: left, y: -high, w: right - left, h: high - low };
}

/**
 * Reads holes and the outline's size from a DXF file: circles, whole arcs, round polylines and points, those in
 * blocks too.
 *
 * @returns y turned to run down, as on the plan view; lengths in the file's units with what it says of them, and
 * what was left out
 */
export function readDxf(text: string): DrawingRead {
  if (!text.includes('SECTION'))
    return {
      ok: false,
      message: 'this is no DXF file: it has no sections. Binary DXF is not read; save it as text'
    };
  let parsed;
  try {
    parsed = parseDxf(text);
  } catch (problem) {
    const why = problem instanceof Error ? problem.message.slice(0, 120) : 'it is not well formed';
    return { ok: false, message: `the DXF file cannot be read: ${why}` };
  }
  const walk = new Walk(parsed ?? ({} as Drawing));
  try {
    walk.walk(parsed?.entities ?? [], AS_DRAWN, { layer: '', why: null, depth: 0 });
  } catch (problem) {
    if (!(problem instanceof TooMany)) throw problem;
    return {
      ok: false,
      message: `the drawing has over ${MOST_ENTITIES} entities; up to ${MOST_ENTITIES} are read. Export only the outline and the holes`
    };
  }
  const leftOut = [...walk.leftOut].map(([why, count]) => ({ what: WHY[why], count }));
  const outlines = [...walk.corners].flatMap(([layer, corners]) =>
    corners.length > 0 ? [{ layer, ...boxOf(corners) }] : []
  );
  if (walk.holes.length === 0 && outlines.length === 0)
    return {
      ok: false,
      message: `the drawing has no circles, points or lines: nothing to pick up${leftOut.map(({ what, count }) => `; ${count} ${what}`).join('')}`
    };
  const unit = parsed?.header?.['$INSUNITS'] as unknown;
  return {
    ok: true,
    found: {
      holes: walk.holes.map((hole) => ({ ...hole, y: -hole.y })),
      outlines,
      inPerUnit: typeof unit === 'number' ? (IN_PER_UNIT[unit] ?? null) : null,
      leftOut
    }
  };
}
