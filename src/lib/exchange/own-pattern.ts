import { PATTERN_LAYERS, type PatternLayer } from '../../core/exchange/strokes.ts';
import type { Found } from './found.ts';

/** Layers of our own pattern whose circles are holes of the joint, each once. */
const RIVETS: ReadonlySet<string> = new Set<PatternLayer>([
  'HOLES',
  'EXISTING',
  'REPLACED',
  'HELD_OPEN'
]);
const METAL: ReadonlySet<string> = new Set<PatternLayer>(['EDGES']);
const OWN: ReadonlySet<string> = new Set(PATTERN_LAYERS);

/** Circles whose middles are this near are about one. */
const SAME_MIDDLE_IN = 0.001;

/** A layer without the part that it may begin with, as our files name it. */
const baseOf = (layer: string): string => layer.trim().toUpperCase().replace(/^.*-/, '');

/** A pattern of ours has these three, whatever the joint. */
const isOurs = ({ holes, outlines }: Found): boolean => {
  const layers = new Set([...holes, ...outlines].map(({ layer }) => layer.trim().toUpperCase()));
  return ['HOLES', 'LINES', 'MARKS'].every((layer) => layers.has(layer));
};

const count = (leftOut: Found['leftOut'], what: string, more: number): Found['leftOut'] =>
  more === 0 ? leftOut : [...leftOut, { what, count: more }];

/** Of circles that lie round one another the smallest is the hole; the others are what is cut or drawn round it. */
function withoutRings(holes: Found['holes'], same: number): Found['holes'] {
  const kept: Found['holes'] = [];
  const cells = new Map<string, Found['holes']>();
  const cellOf = (x: number, y: number) => `${Math.round(x / same)} ${Math.round(y / same)}`;
  for (const hole of [...holes].sort((a, b) => (a.diameter ?? 0) - (b.diameter ?? 0))) {
    const near = [-1, 0, 1].flatMap((dx) =>
      [-1, 0, 1].flatMap((dy) => cells.get(cellOf(hole.x + dx * same, hole.y + dy * same)) ?? [])
    );
    if (near.some(({ x, y }) => Math.hypot(x - hole.x, y - hole.y) <= same)) continue;
    kept.push(hole);
    const key = cellOf(hole.x, hole.y);
    cells.set(key, [...(cells.get(key) ?? []), hole]);
  }
  return holes.filter((hole) => kept.includes(hole));
}

/**
 * What of a drawing are holes of a joint, each once: of our own pattern the layers of its rivets choose themselves, and of circles
 * about one middle one is meant.
 */
export function holesMeant(found: Found): Found {
  const ours = isOurs(found);
  const rivets = ours
    ? found.holes.filter(({ layer }) => RIVETS.has(layer.trim().toUpperCase()))
    : found.holes;
  const holes = withoutRings(rivets, SAME_MIDDLE_IN / (found.inPerUnit ?? 1));
  return {
    ...found,
    holes,
    outlines: ours
      ? found.outlines.filter(({ layer }) => !OWN.has(baseOf(layer)) || METAL.has(baseOf(layer)))
      : found.outlines,
    leftOut: count(
      count(
        found.leftOut,
        'pilots, rings, reliefs and marks of our own pattern',
        found.holes.length - rivets.length
      ),
      'round a smaller circle about the same middle',
      rivets.length - holes.length
    )
  };
}
