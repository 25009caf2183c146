import { rivetSize } from '../catalog/rivets.ts';
import type { Multipliers } from '../rules/multipliers.ts';
import type { Head } from '../schema/fields.ts';
import { above, below } from '../units/tolerance.ts';
import type { HoleRoom } from './hole-room.ts';
import type { LaidLine, PlannedHole } from './holes.ts';
import { depthInKeepOut, type ClearOf } from './keep-outs.ts';
import type { CheckRule, HoleCheck } from './kinds/kind-layout.ts';

/** More failing holes than this are not listed one by one. */
const MOST_NAMED = 200;

interface Judged {
  hole: number;
  limitIn: number;
  valueIn: number;
}

/** One limit over all holes: the value nearest to its limit or furthest beyond it, and every hole that breaks it. */
function gather(rule: CheckRule, kind: 'least' | 'most', judged: readonly Judged[]): HoleCheck[] {
  const spareOf = ({ limitIn, valueIn }: Judged) =>
    kind === 'least' ? valueIn - limitIn : limitIn - valueIn;
  let worst: Judged | null = null;
  const failing: Judged[] = [];
  for (const one of judged) {
    if (worst === null || spareOf(one) < spareOf(worst)) worst = one;
    const broken =
      kind === 'least' ? below(one.valueIn, one.limitIn) : above(one.valueIn, one.limitIn);
    if (broken) failing.push(one);
  }
  if (worst === null) return [];
  failing.sort((a, b) => spareOf(a) - spareOf(b));
  const holes = [...new Set(failing.map(({ hole }) => hole))].slice(0, MOST_NAMED);
  return [
    { rule, limitIn: worst.limitIn, valueIn: worst.valueIn, ok: failing.length === 0, holes }
  ];
}

interface Laid {
  holes: readonly PlannedHole[];
  lines: readonly LaidLine[];
  clear: readonly ClearOf[];
  head: Head;
  limits: Multipliers;
}

type PlaceOf = (hole: PlannedHole) => { xIn: number; yIn: number };
const exact: PlaceOf = (hole) => hole;
const marked: PlaceOf = ({ markXIn, markYIn }) => ({ xIn: markXIn, yIn: markYIn });

/** Gaps between neighbours along each line; those over a held-open hole count from rivet to rivet. */
function gaps(
  { lines }: Laid,
  byNumber: Map<number, PlannedHole>,
  place: PlaceOf,
  rivetsOnly: boolean
) {
  const found: { a: PlannedHole; b: PlannedHole; gapIn: number }[] = [];
  for (const line of lines) {
    const holes = line.holes
      .map((number) => byNumber.get(number))
      .filter((hole) => hole !== undefined)
      .filter((hole) => !rivetsOnly || hole.state === 'rivet');
    const closed = line.path.path === 'circle' && holes.length > 2;
    holes.forEach((b, index) => {
      const a = index > 0 ? holes[index - 1] : closed ? holes.at(-1) : undefined;
      if (!a) return;
      const [from, to] = [place(a), place(b)];
      found.push({ a, b, gapIn: Math.hypot(to.xIn - from.xIn, to.yIn - from.yIn) });
    });
  }
  return found;
}

const D = (hole: PlannedHole): number => rivetSize(hole.dash).diameterIn;

/** How far the outermost rivet of a line is from the end of the metal. */
function endsOf(
  { lines, limits }: Laid,
  byNumber: Map<number, PlannedHole>,
  atEdge: ReadonlySet<string>
): Judged[] {
  return lines.flatMap((line) => {
    const { path } = line;
    if (path.path === 'circle' || !atEdge.has(line.key)) return [];
    const driven = line.holes
      .map((number) => byNumber.get(number))
      .filter((hole) => hole?.state === 'rivet');
    const [first, last] = [driven[0], driven.at(-1)];
    if (!first || !last) return [];
    return [
      { hole: first.number, limitIn: limits.edgeMaxD * D(first), valueIn: first.alongIn },
      {
        hole: last.number,
        limitIn: limits.edgeMaxD * D(last),
        valueIn: path.lengthIn - last.alongIn
      }
    ];
  });
}

/**
 * Every limit of the layout held against every hole where it is computed and where it is marked. Between rivets
 * of two sizes the larger asks for the least pitch and the smaller for the largest.
 *
 * @param rooms exact and as marked, in the order of the holes
 * @param whole limits of the joint as a whole, from its kind
 * @param atEdge keys of the lines whose end rivets may not be far from the sheet's end
 * @returns one entry a limit in the order of the work, each with the holes that break it
 */
export function holeChecks(
  laid: Laid,
  rooms: { exact: readonly HoleRoom[]; marked: readonly HoleRoom[] },
  whole: readonly HoleCheck[],
  atEdge: ReadonlySet<string>
): HoleCheck[] {
  const { holes, clear, head, limits } = laid;
  const byNumber = new Map(holes.map((hole) => [hole.number, hole]));
  const edges = (of: readonly HoleRoom[]): Judged[] =>
    holes.map((hole, index) => ({
      hole: hole.number,
      limitIn: limits.edgeMinD[head] * D(hole),
      valueIn: of[index]?.edgeIn ?? 0
    }));
  const least = (place: PlaceOf): Judged[] =>
    gaps(laid, byNumber, place, false).map(({ a, b, gapIn }) => ({
      hole: b.number,
      limitIn: limits.pitchMinD * Math.max(D(a), D(b)),
      valueIn: gapIn
    }));
  const most = (place: PlaceOf, rivetsOnly = false): Judged[] =>
    gaps(laid, byNumber, place, rivetsOnly).map(({ a, b, gapIn }) => ({
      hole: b.number,
      limitIn: limits.pitchMaxD * Math.min(D(a), D(b)),
      valueIn: gapIn
    }));
  const off = edges(rooms.exact).filter(({ valueIn }) => valueIn === -Infinity);
  const onMetal = (judged: Judged[]) => judged.filter(({ valueIn }) => valueIn !== -Infinity);
  const wholeOf = (rule: CheckRule) => whole.filter((check) => check.rule === rule);
  const ends = gather('edge-max', 'most', endsOf(laid, byNumber, atEdge)).filter(({ ok }) => !ok);
  return [
    ...gather('edge-min', 'least', onMetal(edges(rooms.exact))),
    ...(ends.length > 0 ? ends : wholeOf('edge-max')),
    ...gather('pitch-min', 'least', least(exact)),
    ...gather('pitch-max', 'most', most(exact)),
    ...gather('snapped-edge-min', 'least', onMetal(edges(rooms.marked))),
    ...gather('snapped-pitch-min', 'least', least(marked)),
    ...gather('snapped-pitch-max', 'most', most(marked)),
    ...wholeOf('transverse-min'),
    ...gather(
      'centre-min',
      'least',
      holes.flatMap((hole, index) => {
        const valueIn = rooms.marked[index]?.betweenRowsIn ?? Infinity;
        return valueIn === Infinity
          ? []
          : [{ hole: hole.number, limitIn: limits.transverseMinD * D(hole), valueIn }];
      })
    ),
    ...gather(
      'keep-out',
      'most',
      clear.length === 0
        ? []
        : holes.map((hole) => ({
            hole: hole.number,
            limitIn: 0,
            valueIn: Math.max(
              ...clear.map((one) => depthInKeepOut(one, hole.markXIn, hole.markYIn))
            )
          }))
    ),
    ...(holes.some((hole) => hole.state === 'held-open')
      ? gather('open-gap', 'most', most(marked, true)).filter(({ ok }) => !ok)
      : []),
    ...wholeOf('bend-clear'),
    ...gather(
      'no-metal',
      'least',
      off.map(({ hole }) => ({ hole, limitIn: 0, valueIn: -1 }))
    )
  ];
}
