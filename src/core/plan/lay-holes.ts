import type { WorkLine } from '../answer.ts';
import { rivetSize } from '../catalog/rivets.ts';
import { adriftOf, type Adrift } from './adrift.ts';
import { editsByPlace } from './edits-by-place.ts';
import { byNumber, type ByNumber } from './by-number.ts';
import {
  fixedSpots,
  heldPlaces,
  heldRing,
  withFixed,
  type FixedSpot,
  type Place
} from './fixed-places.ts';
import { holeAt } from './hole-at.ts';
import { KnownSpots } from './known-spots.ts';
import type { RefusalSaid } from '../refusal-said.ts';
import type { Joint } from '../kinds/joint.ts';
import { mostPitchIn } from '../layout/pitch-limits.ts';
import type { Dash } from '../schema/fields.ts';
import { gripOf, heldAt, varies } from '../stack/layers.ts';
import { snapToRuler } from '../units/ruler.ts';
import { byId, datumHole } from '../joint/item-id.ts';
import { LOOKS_SAME_IN } from '../units/tolerance.ts';
import { fillAsAsked, fillLine } from '../layout/fill-line.ts';
import type { OnProgress } from '../layout/fill-near.ts';
import { pointOff, type LaidLine, type PlannedHole } from './holes.ts';
import { closedStretch, widen, type ClearOf } from '../layout/keep-outs.ts';
import type { KindLayout, LayContext } from '../kinds/kind-layout.ts';
import { alongOf, metalOf, type LineWish } from '../layout/lines.ts';
import { inside } from '../layout/row-places.ts';
import { boundsOf } from '../layout/shapes.ts';

/** Holes and lines after fixed holes, keep-outs, the datum and changes by hand. */
export interface LaidHoles {
  lines: LaidLine[];
  holes: PlannedHole[];
  /** laid and taken out again by hand: shown so that they can be put back */
  removed: { number: number; line: string; index: number; of: number; xIn: number; yIn: number }[];
  clear: ClearOf[];
  adrift: Adrift[];
  /** lines that could not be filled past what is in their way; they stand as evenly laid */
  stuck: { line: string; why: RefusalSaid }[];
}

type Wish = KindLayout['lines'][number];

/** How far obstacles are widened for rivets of one size: half the head and what the tools need. */
export const obstacleMarginIn = (
  { head, toolClearanceIn }: Pick<Joint, 'head' | 'toolClearanceIn'>,
  dash: Dash
): number => rivetSize(dash).head[head].diameterIn / 2 + toolClearanceIn;

/** What holes of each size stay clear of. */
export const clearBySize = (
  joint: Pick<Joint, 'head' | 'toolClearanceIn' | 'keepOuts'>,
  lines: readonly Pick<LineWish, 'dash'>[]
): Map<Dash, ClearOf[]> =>
  new Map(
    [...new Set(lines.map(({ dash }) => dash))].map((dash) => [
      dash,
      joint.keepOuts.map((keepOut) => widen(keepOut, obstacleMarginIn(joint, dash)))
    ])
  );

/** The places of one line, how they were found, and why not as wished. */
interface LinePlaces {
  places: Place[];
  work: WorkLine[] | null;
  stuck: RefusalSaid | null;
}

function placesOn(
  wish: Wish,
  joint: Joint,
  context: LayContext,
  clear: readonly ClearOf[],
  spots: readonly FixedSpot[],
  datumIn: number,
  onProgress: OnProgress
): LinePlaces {
  const { path } = wish;
  const even = wish.alongIn.map((alongIn): Place => ({ alongIn, offIn: 0, fixed: null }));
  if (path.path === 'circle') {
    const own = spots.filter(({ line }) => line === wish.key);
    return { places: heldRing(even, own, 2 * Math.PI * path.radiusIn), work: null, stuck: null };
  }
  const closed = [
    ...clear.map((one) => closedStretch(path, one)).filter((stretch) => stretch !== null),
    ...(wish.closedIn ?? [])
  ];
  // Holes laid evenly that are clear already stay as they are.
  const touches = closed.some((stretch) =>
    wish.alongIn.some((alongIn) => inside(alongIn, stretch))
  );
  const { limits } = context;
  const D = rivetSize(wish.dash).diameterIn;
  const { fixed, ...held } = heldPlaces(wish, spots, (limits.pitchMinD * D) / 2);
  if (fixed.length === 0 && wish.givenIn.length === 0 && !touches)
    return { places: even, work: null, stuck: null };
  // Holes that were picked up have the rounding of the file they came from.
  const slackIn = fixed.length > 0 ? LOOKS_SAME_IN : 0;
  const line = {
    ...held,
    fixedIn: fixed.map(({ alongIn }) => alongIn),
    closed,
    minPitchIn: limits.pitchMinD * D - slackIn,
    maxPitchIn: mostPitchIn(limits, D) + slackIn,
    endRoomIn: wish.endsMayMove
      ? Math.max(0, limits.edgeMaxD * D - ((wish.alongIn[0] ?? 0) - metalOf(wish)[0]))
      : 0,
    scale: joint.scale,
    divisionsFromIn: joint.divisionsFrom === 'datum' ? datumIn : null
  };
  const filled = fillLine(line, onProgress);
  if (!filled.ok) {
    // Laid as asked, and judged: only what has no geometry at all is refused.
    const asked = wish.givenIn.length + fixed.length > 0;
    return {
      places: asked ? withFixed(fillAsAsked(line), fixed) : even,
      work: null,
      stuck: filled.error.said
    };
  }
  return { places: withFixed(filled.result.marksIn, fixed), work: filled.work, stuck: null };
}

/** Where running marks of a line begin. */
function datumAlong(wish: LineWish, joint: Joint, kind: KindLayout): number | null {
  const { path } = wish;
  if (path.path === 'circle' || joint.datum === 'start') return 0;
  if (joint.datum === 'end') return path.lengthIn;
  if (joint.datum === 'cut-out') {
    if (!kind.cutOut) return null;
    const { xIn, yIn } = boundsOf(kind.cutOut);
    return alongOf(path, xIn, yIn);
  }
  const hole = byId(joint.fixed, datumHole(joint.datum) ?? '');
  const on = hole && kind.lines.find((line) => line.key === hole.line);
  if (!hole || !on) return null;
  const at = pointOff(on.path, hole.atIn, hole.offIn);
  return alongOf(path, at.xIn, at.yIn);
}

/** The pitch of a line laid evenly, or null. */
function evenPitch(wish: LineWish, relaid: boolean): number | null {
  const [first, second] = wish.alongIn;
  return relaid || first === undefined || second === undefined ? null : second - first;
}

/**
 * Puts the holes of a joint on its lines: past fixed holes and keep-outs, with what was changed by hand, each
 * with its running mark from the one datum.
 *
 * @param onProgress told how much of solving the lines is done, 0 to 1
 */
export function layHoles(
  joint: Joint,
  kind: KindLayout,
  context: LayContext,
  onProgress: OnProgress = () => undefined
): LaidHoles {
  const clearOf = clearBySize(joint, kind.lines);
  // drawn round the largest
  const clear = clearOf.get(Math.max(0, ...clearOf.keys()) as Dash) ?? [];
  const stuck: LaidHoles['stuck'] = [];
  const lines: LaidLine[] = [];
  const holes: PlannedHole[] = [];
  const removed: LaidHoles['removed'] = [];
  const spots = fixedSpots(joint.fixed, kind.lines);
  // holes that were picked up are rounded: what is one hole of two lines need not be so to the last figure
  const known = new KnownSpots(spots.length > 0);
  let number = 0;

  const placed = kind.lines.map((wish, at) =>
    placesOn(
      wish,
      joint,
      context,
      clearOf.get(wish.dash) ?? [],
      spots,
      datumAlong(wish, joint, kind) ?? 0,
      (done) => onProgress((at + done) / kind.lines.length)
    )
  );
  const editAt = editsByPlace(joint, kind.lines, placed, spots.length > 0);
  for (const [at, wish] of kind.lines.entries()) {
    const { places, work, stuck: why } = placed[at] as LinePlaces;
    if (why !== null) stuck.push({ line: wish.name, why });
    const datumIn = datumAlong(wish, joint, kind) ?? 0;
    const line: LaidLine = {
      key: wish.key,
      name: wish.name,
      path: wish.path,
      datumIn,
      holes: [],
      fromIn: places[0]?.alongIn ?? 0,
      toIn: places.at(-1)?.alongIn ?? 0,
      laidCount: places.length,
      dash: wish.dash,
      work,
      pitchIn: evenPitch(wish, work !== null || why !== null),
      steppedOffErrorIn: null
    };
    if (line.pitchIn !== null && wish.path.path === 'straight') {
      const spaces = wish.alongIn.length - 1;
      line.steppedOffErrorIn =
        spaces * snapToRuler(line.pitchIn, joint.scale) - spaces * line.pitchIn;
    }
    for (let index = 0; index < places.length; index++) {
      const place = places[index] as Place;
      const spot = pointOff(wish.path, place.alongIn, place.offIn);
      const there = known.at(spot.xIn, spot.yIn);
      if (there !== undefined) {
        // A corner or a zone's end: one hole in two lines, of the larger size.
        if (typeof there !== 'number') {
          line.holes.push(there.number);
          if (wish.dash > there.dash) there.dash = wish.dash;
        }
        continue;
      }
      number += 1;
      const edit = editAt?.of(spot.xIn, spot.yIn);
      if (edit?.state === 'removed') {
        // as it was taken out: by the line that names it
        const { line: named, index: there, of } = edit;
        removed.push({ number, line: named, index: there, of, ...spot });
        known.put(spot.xIn, spot.yIn, number);
        continue;
      }
      const hole = holeAt(wish, joint, datumIn, place, spot, edit, {
        number,
        row: at + 1,
        index,
        of: places.length
      });
      known.put(spot.xIn, spot.yIn, hole);
      holes.push(hole);
      line.holes.push(number);
    }
    lines.push(line);
  }
  const numbered = byNumber(holes);
  for (const line of lines) inOrder(line, numbered);
  const [anyLine] = kind.lines;
  const datumGone = anyLine?.path.path === 'straight' && datumAlong(anyLine, joint, kind) === null;
  return {
    lines,
    holes: withGrips(holes, kind),
    removed,
    clear,
    adrift: adriftOf(joint, lines, datumGone, editAt?.crossing),
    stuck
  };
}

/** A hole moved past its neighbour takes its new place in the order along the line. */
function inOrder({ path, holes }: LaidLine, numbered: ByNumber): void {
  const along = (number: number): number => {
    const hole = numbered[number];
    return hole ? alongOf(path, hole.xIn, hole.yIn) : 0;
  };
  const falls = holes.filter(
    (number, index) => index > 0 && along(number) < along(holes[index - 1] ?? number)
  ).length;
  // once round a ring it falls back to its beginning
  const allowed = path.path === 'circle' ? 1 : 0;
  if (falls > allowed || (falls === 1 && along(holes[0] ?? 0) < along(holes.at(-1) ?? 0)))
    holes.sort((a, b) => along(a) - along(b));
}

/** The total held at each hole. */
function withGrips(holes: PlannedHole[], kind: KindLayout): PlannedHole[] {
  const stackings = kind.stackings.map(({ layers }) => ({
    layers,
    evenIn: varies(layers, kind.widthIn) ? null : gripOf(heldAt(layers, 0))
  }));
  for (const hole of holes) {
    const through = stackings[hole.stack];
    if (through) hole.gripIn = through.evenIn ?? gripOf(heldAt(through.layers, hole.xIn));
  }
  return holes;
}
