import { MM_PER_IN } from '../../../core/units/factors.ts';
import type { DrawingRead, Found } from '../found.ts';
import { Unreadable } from './groups.ts';
import { nameKey, parseDxf, type Drawing, type Entity } from './parser.ts';
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
/** An arc that is open by less than this is a whole circle, degrees. */
const CLOSED_DEG = 0.1;
/** The flag of a polyline whose last corner goes on to its first. */
const CLOSED = 1;
/** Out of the drawing's plane by more than this, a circle is seen as an oval. */
const TILTED = 1e-6;

const WHY = {
  hidden: 'on layers that are frozen or off',
  paper: 'in paper space',
  title: 'in a title block',
  number: 'with a number that cannot be read',
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
  readonly #layers = new Map<string, string>();
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
      const layer = entity.layer === '0' && from.depth > 0 ? from.layer : this.#named(entity.layer);
      this.#take(entity, placing, layer, from.why ?? this.#whyNot(entity, layer), from.depth);
    }
  }

  #whyNot(entity: Entity, layer: string): Why | null {
    if (this.#drawing.hidden.has(nameKey(layer)) || entity.number(60, 0) !== 0) return 'hidden';
    if (entity.number(67, 0) !== 0) return 'paper';
    if (OF_THE_SHEET.test(layer)) return 'title';
    return null;
  }

  #leave(why: Why): void {
    this.leftOut.set(why, (this.leftOut.get(why) ?? 0) + 1);
  }

  /** Layers of one name in any case are one, called as it was written first. */
  #named(layer: string): string {
    const key = nameKey(layer);
    const known = this.#layers.get(key);
    if (known === undefined) this.#layers.set(key, layer);
    return known ?? layer;
  }

  #take(entity: Entity, placing: Placing, layer: string, why: Why | null, depth: number): void {
    const own = ownPlacing(entity);
    if (entity.type === 'INSERT')
      return this.#insert(
        entity,
        placing,
        layer,
        why ?? (own ? null : entity.broken ? 'number' : 'tilted'),
        depth
      );
    if (why !== null) return this.#leave(why);
    if (own === null) return this.#leave(entity.broken ? 'number' : 'tilted');
    const at = within(placing, own);
    switch (entity.type) {
      case 'CIRCLE':
        return this.#circle(asCircle(entity), at, layer, entity);
      case 'ARC': {
        const sweep = Math.abs(entity.number(51, 0) - entity.number(50, 0));
        if (entity.broken) return this.#leave('number');
        return Math.abs(sweep - 360) <= CLOSED_DEG
          ? this.#circle(asCircle(entity), at, layer, entity)
          : this.#leave('arc');
      }
      case 'POINT': {
        const [x, y] = [entity.number(10, NaN), entity.number(20, NaN)];
        // a point stands in the drawing's coordinates, however it is extruded
        if (entity.broken || Number.isNaN(x) || Number.isNaN(y)) return this.#leave('number');
        this.holes.push({ ...put(placing, x, y), diameter: null, layer });
        return;
      }
      case 'LWPOLYLINE':
      case 'POLYLINE': {
        const closed = (entity.number(70, 0) & CLOSED) !== 0;
        if (entity.broken) return this.#leave('number');
        const circle = roundOf(entity.corners, closed);
        return circle ? this.#circle(circle, at, layer, entity) : this.#edge(entity, at, layer);
      }
      case 'LINE':
        return this.#edge(entity, placing, layer);
      default:
        return this.#leave('other');
    }
  }

  #circle({ x, y, radius }: Circle, placing: Placing, layer: string, entity: Entity): void {
    const larger = growth(placing);
    if (entity.broken || Number.isNaN(x) || Number.isNaN(y)) this.#leave('number');
    else if (!(radius > 0)) this.#leave('radius');
    else if (larger === null) this.#leave('oval');
    else this.holes.push({ ...put(placing, x, y), diameter: 2 * radius * larger, layer });
  }

  #edge(entity: Entity, placing: Placing, layer: string): void {
    if (entity.broken || entity.corners.some(({ x, y }) => Number.isNaN(x) || Number.isNaN(y)))
      return this.#leave('number');
    const corners = this.corners.get(layer) ?? [];
    this.corners.set(layer, corners);
    for (const { x, y } of entity.corners) corners.push(put(placing, x, y));
  }

  #insert(entity: Entity, placing: Placing, layer: string, why: Why | null, depth: number): void {
    const name = entity.text(2);
    const block = this.#drawing.blocks.get(nameKey(name));
    const own = ownPlacing(entity) ?? AS_DRAWN;
    const [x, y] = [entity.number(10, 0), entity.number(20, 0)];
    const [xScale, yScale, rotation] = [
      entity.number(41, 1),
      entity.number(42, 1),
      entity.number(50, 0)
    ];
    const [columns, rows] = [entity.number(70, 1), entity.number(71, 1)];
    const [across, down] = [entity.number(44, 0), entity.number(45, 0)];
    if (!block) return this.#leave(why ?? 'other');
    if (entity.broken || block.broken) return this.#leave(why ?? 'number');
    if (depth >= DEEPEST) return this.#leave('deep');
    const inside = why ?? (OF_THE_SHEET.test(name) ? 'title' : null);
    if (Math.max(1, columns) * Math.max(1, rows) > MOST_ENTITIES) throw new TooMany();
    for (let row = 0; row < Math.max(1, rows); row++)
      for (let column = 0; column < Math.max(1, columns); column++) {
        const steps: Placing[] = [
          placing,
          own,
          moved(x, y),
          turned(rotation),
          moved(column * across, row * down),
          scaled(xScale, yScale),
          moved(-block.x, -block.y)
        ];
        const to = steps.reduce(within);
        this.walk(block.entities, to, { layer, why: inside, depth: depth + 1 });
      }
  }
}

/** How an entity's own coordinates lie in the drawing; null where it is tilted out of the plane. */
function ownPlacing(entity: Entity): Placing | null {
  const [x, y, z] = [entity.number(210, 0), entity.number(220, 0), entity.number(230, 1)];
  // what cannot be read lies nowhere
  if (entity.broken || Math.abs(x) > TILTED || Math.abs(y) > TILTED) return null;
  return z < 0 ? MIRRORED : AS_DRAWN;
}

const asCircle = (entity: Entity): Circle => ({
  x: entity.number(10, NaN),
  y: entity.number(20, NaN),
  radius: entity.number(40, 0)
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
  try {
    const drawing = parseDxf(text);
    return foundIn(drawing);
  } catch (problem) {
    if (problem instanceof Unreadable)
      return { ok: false, message: `the DXF file cannot be read: ${problem.message}` };
    if (!(problem instanceof TooMany)) throw problem;
    return {
      ok: false,
      message: `the drawing has over ${MOST_ENTITIES} entities; up to ${MOST_ENTITIES} are read. Export only the outline and the holes`
    };
  }
}

function foundIn(drawing: Drawing): DrawingRead {
  const walk = new Walk(drawing);
  walk.walk(drawing.entities, AS_DRAWN, { layer: '', why: null, depth: 0 });
  const leftOut = [...walk.leftOut].map(([why, count]) => ({ what: WHY[why], count }));
  const outlines = [...walk.corners].flatMap(([layer, corners]) =>
    corners.length > 0 ? [{ layer, ...boxOf(corners) }] : []
  );
  if (walk.holes.length === 0 && outlines.length === 0)
    return {
      ok: false,
      message: `the drawing has no circles, points or lines: nothing to pick up${leftOut.map(({ what, count }) => `; ${count} ${what}`).join('')}`
    };
  return {
    ok: true,
    found: {
      holes: walk.holes.map((hole) => ({ ...hole, y: -hole.y })),
      outlines,
      inPerUnit: drawing.units === null ? null : (IN_PER_UNIT[drawing.units] ?? null),
      leftOut
    }
  };
}
