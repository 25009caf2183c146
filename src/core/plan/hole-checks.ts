import { rivetSize } from '../catalog/rivets.ts';
import { mostPitchIn, type LayLimits } from '../layout/pitch-limits.ts';
import type { Dash, Head } from '../schema/fields.ts';
import { above, below, LOOKS_SAME_IN } from '../units/tolerance.ts';
import { fromLayerEndIn, layerEnds } from '../stack/layer-ends.ts';
import type { Stacking } from '../stack/layers.ts';
import { alongOf } from '../layout/lines.ts';
import { forNeighbours } from './neighbours.ts';
import { distanceIn, type HoleRoom } from '../layout/hole-room.ts';
import { byNumber, type ByNumber } from './by-number.ts';
import type { LaidLine, PlannedHole } from './holes.ts';
import { depthInKeepOut, type ClearOf } from '../layout/keep-outs.ts';
import type { CheckRule, HoleCheck, KindLayout } from '../kinds/kind-layout.ts';

/** More failing holes than this are not listed one by one. */
const MOST_NAMED = 200;

/** One limit over all holes: the value nearest to its limit or furthest beyond it, and every hole that breaks it. */
class Limit {
  #spareIn = Infinity;
  #limitIn = 0;
  #valueIn = 0;
  #failing: { hole: number; spareIn: number }[] = [];
  readonly rule: CheckRule;
  readonly #kind: 'least' | 'most';
  constructor(rule: CheckRule, kind: 'least' | 'most') {
    this.rule = rule;
    this.#kind = kind;
  }

  /** @param slackIn how far the value may be off its own limit: what came from a file is rounded */
  hold(hole: number, limitIn: number, valueIn: number, slackIn = 0): void {
    const least = this.#kind === 'least';
    const spareIn = least ? valueIn - limitIn : limitIn - valueIn;
    if (spareIn < this.#spareIn) {
      this.#spareIn = spareIn;
      this.#limitIn = limitIn;
      this.#valueIn = valueIn;
    }
    if (least ? below(valueIn + slackIn, limitIn) : above(valueIn - slackIn, limitIn))
      this.#failing.push({ hole, spareIn });
  }

  /** Empty when nothing was held against it. */
  get check(): HoleCheck[] {
    if (this.#spareIn === Infinity) return [];
    const failing = this.#failing.sort((a, b) => a.spareIn - b.spareIn);
    const holes = [...new Set(failing.map(({ hole }) => hole))].slice(0, MOST_NAMED);
    const [limitIn, valueIn] = [this.#limitIn, this.#valueIn];
    return [{ rule: this.rule, limitIn, valueIn, ok: failing.length === 0, holes }];
  }
}

interface Laid {
  holes: readonly PlannedHole[];
  lines: readonly LaidLine[];
  /** by the size of the rivet that goes into a hole */
  clear: ReadonlyMap<Dash, readonly ClearOf[]>;
  bend: KindLayout['bend'];
  /** layers by the holes' stack, and how far the joint runs, in */
  stackings: readonly Stacking[];
  alongIn: number;
  head: Head;
  limits: LayLimits;
}

/** A hole that was picked up has the rounding of the file it came from, both ways. */
const slackOf = ({ fixed }: PlannedHole): number => (fixed === null ? 0 : LOOKS_SAME_IN);

const D = (hole: PlannedHole): number => rivetSize(hole.dash).diameterIn;

const exactGapIn = (a: PlannedHole, b: PlannedHole): number =>
  distanceIn(a.xIn - b.xIn, a.yIn - b.yIn);
const markedGapIn = (a: PlannedHole, b: PlannedHole): number =>
  distanceIn(a.markXIn - b.markXIn, a.markYIn - b.markYIn);

/** Between rivets of two sizes the larger asks for the least pitch and the smaller for the largest. */
function pitchChecks(
  { lines, limits }: Laid,
  numbered: ByNumber,
  gapIn: typeof exactGapIn,
  rules: [least: CheckRule, most: CheckRule]
): HoleCheck[] {
  const [least, most] = [new Limit(rules[0], 'least'), new Limit(rules[1], 'most')];
  forNeighbours(lines, numbered, false, (a, b) => {
    const between = gapIn(a, b);
    const d1 = D(a);
    const d2 = D(b);
    const slackIn = Math.max(slackOf(a), slackOf(b));
    least.hold(b.number, limits.pitchMinD * Math.max(d1, d2), between, slackIn);
    most.hold(b.number, mostPitchIn(limits, Math.min(d1, d2)), between, slackIn);
  });
  return [...least.check, ...most.check];
}

/** How far the rivets stand apart over an open hole. */
function openGapCheck({ holes, lines, limits }: Laid, numbered: ByNumber): HoleCheck[] {
  if (holes.every((hole) => hole.state === 'rivet')) return [];
  const most = new Limit('open-gap', 'most');
  forNeighbours(lines, numbered, true, (a, b) =>
    most.hold(
      b.number,
      mostPitchIn(limits, Math.min(D(a), D(b))),
      markedGapIn(a, b),
      Math.max(slackOf(a), slackOf(b))
    )
  );
  return most.check.filter(({ ok }) => !ok);
}

/** Where the sheet begins and ends along a line, by its key, in; null where more than sheet lies beyond that end. */
export type AtEdge = ReadonlyMap<string, { fromIn: number | null; toIn: number | null }>;

/** How far the outermost rivet of a line is from the end of the metal. */
function endCheck({ lines, limits }: Laid, numbered: ByNumber, atEdge: AtEdge): HoleCheck[] {
  const most = new Limit('edge-max', 'most');
  for (const { path, key, holes } of lines) {
    const metal = atEdge.get(key);
    if (path.path === 'circle' || !metal) continue;
    const driven = (number: number) => numbered[number]?.state === 'rivet';
    const first = numbered[holes.find(driven) ?? -1];
    const last = numbered[holes.findLast(driven) ?? -1];
    if (!first || !last) continue;
    // a corner's hole runs along another line too: its place along this one is what counts
    const along = ({ xIn, yIn }: PlannedHole) => alongOf(path, xIn, yIn);
    const { fromIn, toIn } = metal;
    if (fromIn !== null)
      most.hold(first.number, limits.edgeMaxD * D(first), along(first) - fromIn, slackOf(first));
    if (toIn !== null)
      most.hold(last.number, limits.edgeMaxD * D(last), toIn - along(last), slackOf(last));
  }
  return most.check.filter(({ ok }) => !ok);
}

function edgeCheck(
  { holes, head, limits }: Laid,
  edgeOf: (index: number) => number | undefined,
  rule: CheckRule
): HoleCheck[] {
  const least = new Limit(rule, 'least');
  holes.forEach((hole, index) => {
    const edgeIn = edgeOf(index) ?? -Infinity;
    if (edgeIn !== -Infinity)
      least.hold(hole.number, limits.edgeMinD[head] * D(hole), edgeIn, slackOf(hole));
  });
  return least.check;
}

/** Every layer's own ends, beside the metal's outer edges: one check a layer, where it is computed and where it is marked. */
function layerEndChecks({ holes, head, limits, stackings, alongIn }: Laid): HoleCheck[] {
  /** by its sheet, or its name where it is none: two sheets may have one name */
  const byLayer = new Map<string, { name: string; limit: Limit }>();
  stackings.forEach(({ layers }, stack) => {
    const ends = layerEnds(layers, alongIn);
    if (ends.length === 0) return;
    for (const hole of holes) {
      if (hole.stack !== stack) continue;
      for (const end of ends) {
        const layer = layers[end.at];
        const radiusIn = D(hole) / 2;
        const fromEndIn = layer
          ? [hole.xIn, hole.markXIn].flatMap(
              (xIn) => fromLayerEndIn(end, layer, xIn, radiusIn) ?? []
            )
          : [];
        if (fromEndIn.length === 0) continue;
        const key = end.sheet ?? end.layer;
        let own = byLayer.get(key);
        if (!own)
          byLayer.set(key, (own = { name: end.layer, limit: new Limit('layer-end-min', 'least') }));
        own.limit.hold(
          hole.number,
          limits.edgeMinD[head] * D(hole),
          Math.min(...fromEndIn),
          slackOf(hole)
        );
      }
    }
  });
  return [...byLayer.values()].flatMap(({ name, limit }) =>
    limit.check.map((check) => ({ ...check, layer: name }))
  );
}

function placeChecks({ holes, clear, limits }: Laid, rooms: readonly HoleRoom[]): HoleCheck[] {
  const centres = new Limit('centre-min', 'least');
  const keepOut = new Limit('keep-out', 'most');
  holes.forEach((hole, index) => {
    const apartIn = rooms[index]?.betweenRowsIn ?? Infinity;
    if (apartIn !== Infinity)
      centres.hold(hole.number, limits.transverseMinD * D(hole), apartIn, 2 * slackOf(hole));
    for (const one of clear.get(hole.dash) ?? [])
      keepOut.hold(hole.number, 0, depthInKeepOut(one, hole.markXIn, hole.markYIn));
  });
  return [...centres.check, ...keepOut.check];
}

/** Every hole against the bend beside its line, as computed and as marked: also one that was moved off the line. */
function bendCheck({ holes, bend }: Laid): HoleCheck[] {
  if (!bend) return [];
  const least = new Limit('bend-clear', 'least');
  for (const hole of holes) {
    const lowestIn = Math.max(hole.yIn, hole.markYIn);
    least.hold(hole.number, bend.clearIn, bend.yIn - lowestIn, slackOf(hole));
  }
  return least.check;
}

/**
 * An insert's rounded corners against the marks of the rivets there: nearer than their edge distance they are told, under one
 * D they tear out.
 *
 * @source calculation `patch-layout`
 */
function cornerChecks(
  { holes, head, limits }: Laid,
  marked: readonly HoleRoom[],
  corners: readonly number[] | null
): HoleCheck[] {
  const [told, least] = [
    new Limit('insert-corner', 'least'),
    new Limit('insert-corner-least', 'least')
  ];
  holes.forEach((hole, index) => {
    const edgeIn = corners?.[index];
    // elsewhere the straight edge is nearer, and held against its own limit
    if (edgeIn === undefined || edgeIn === -Infinity) return;
    if (!below(edgeIn, marked[index]?.edgeIn ?? -Infinity)) return;
    told.hold(hole.number, limits.edgeMinD[head] * D(hole), edgeIn);
    least.hold(hole.number, D(hole), edgeIn);
  });
  return [...told.check, ...least.check].filter(({ ok }) => !ok);
}

/** Holes that lie off a sheet that their grip counts, as computed or as marked. */
function offMetal(
  { holes }: Laid,
  edgesIn: readonly number[],
  marked: readonly HoleRoom[]
): HoleCheck[] {
  const off = new Limit('no-metal', 'least');
  holes.forEach((hole, index) => {
    if (edgesIn[index] === -Infinity || marked[index]?.edgeIn === -Infinity)
      off.hold(hole.number, 0, -1);
  });
  return off.check;
}

/**
 * Every limit of the layout held against every hole where it is computed and where it is marked.
 *
 * @param rooms edge distances as computed and rooms as marked, in the order of the holes; in
 * @param whole limits of the joint as a whole, from its kind
 * @param atEdge the lines whose end rivets may not be far from the sheet's ends
 * @returns one entry a limit in the order of the work, each with the holes that break it
 */
export function holeChecks(
  laid: Laid,
  {
    edgesIn,
    marked,
    corners
  }: {
    edgesIn: readonly number[];
    marked: readonly HoleRoom[];
    corners: readonly number[] | null;
  },
  whole: readonly HoleCheck[],
  atEdge: AtEdge
): HoleCheck[] {
  const numbered = byNumber(laid.holes);
  const wholeOf = (rule: CheckRule) => whole.filter((check) => check.rule === rule);
  const ends = endCheck(laid, numbered, atEdge);
  return [
    ...edgeCheck(laid, (index) => edgesIn[index], 'edge-min'),
    ...layerEndChecks(laid),
    ...(ends.length > 0 ? ends : wholeOf('edge-max')),
    ...pitchChecks(laid, numbered, exactGapIn, ['pitch-min', 'pitch-max']),
    ...wholeOf('pitch-max'),
    ...edgeCheck(laid, (index) => marked[index]?.edgeIn, 'snapped-edge-min'),
    ...pitchChecks(laid, numbered, markedGapIn, ['snapped-pitch-min', 'snapped-pitch-max']),
    ...wholeOf('transverse-min'),
    ...placeChecks(laid, marked),
    ...openGapCheck(laid, numbered),
    ...bendCheck(laid),
    ...cornerChecks(laid, marked, corners),
    ...offMetal(laid, edgesIn, marked)
  ];
}
