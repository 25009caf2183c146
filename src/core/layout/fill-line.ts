import { workLine, type Answer } from '../answer.ts';
import { by, len, unitLen } from '../notation.ts';
import { divisionsPerIn, type RulerScale } from '../units/ruler.ts';
import {
  above,
  atMost,
  below,
  ceilTo,
  floorTo,
  same,
  squaresSlackIn2
} from '../units/tolerance.ts';
import { constrainedRow, type ConstrainedRowResult } from './constrained-row.ts';
import { fillExactly } from './fill-exactly.ts';
import { fillNear, type CountedStretch, type OnProgress } from './fill-near.ts';
import { fillStretch } from './fill-stretch.ts';
import { fewestSpaces } from './spaces.ts';
import { mergeClosed, placesBetween, type Closed } from './row-places.ts';
import { shareSpaces } from './share-spaces.ts';

/** A straight rivet line with something in its way. */
export interface LineToFill {
  /** as evenly laid: the count to reach and the two end holes */
  alongIn: readonly number[];
  /** holes that the kind of joint wants in any case */
  givenIn: readonly number[];
  /** existing and pinned holes, running distances */
  fixedIn: readonly number[];
  /** closed to hole centres */
  closed: readonly Closed[];
  minPitchIn: number;
  maxPitchIn: number;
  /** as far as an end hole may be moved inward */
  endRoomIn: number;
  scale: RulerScale;
  /** where divisions are counted from; null: from the first hole */
  divisionsFromIn: number | null;
}

/** Without a ruler, holes past obstacles lie on hundredths of an inch. */
const GRID_WITHOUT_RULER_PER_IN = 100;

/** Divisions an inch on which holes past obstacles lie. */
export const gridPerIn = (scale: RulerScale): number =>
  divisionsPerIn(scale) ?? GRID_WITHOUT_RULER_PER_IN;

/** The grid that holes of a line lie on: a place of it at or before the first hole, and its step. */
function gridOf({ scale, divisionsFromIn }: LineToFill, firstIn: number) {
  const perIn = gridPerIn(scale);
  const startIn =
    divisionsFromIn === null
      ? firstIn
      : divisionsFromIn + floorTo((firstIn - divisionsFromIn) * perIn) / perIn;
  return { startIn, gridIn: 1 / perIn };
}

interface Ends {
  firstIn: number;
  lastIn: number;
}

/** An end hole that lies in a closed stretch moves inward beyond it, and to a division if that is wanted. */
function movedEnd(wishedIn: number, inward: 1 | -1, line: LineToFill, onDivision: boolean): number {
  const perIn = gridPerIn(line.scale);
  const fromIn = line.divisionsFromIn ?? wishedIn;
  const divisionBeyond = (atIn: number) =>
    fromIn + (inward * ceilTo(inward * (atIn - fromIn) * perIn)) / perIn;
  let atIn = onDivision && line.endRoomIn > 0 ? divisionBeyond(wishedIn) : wishedIn;
  const closed = mergeClosed(line.closed);
  for (const { fromIn: begins, toIn: ends } of inward === 1 ? closed : closed.reverse())
    if (above(atIn, begins) && below(atIn, ends))
      atIn = divisionBeyond(inward === 1 ? ends : begins);
  return atMost(Math.abs(atIn - wishedIn), line.endRoomIn) ? atIn : wishedIn;
}

const endsOf = (line: LineToFill, onDivisions: boolean): Ends => ({
  firstIn: movedEnd(line.alongIn[0] ?? 0, 1, line, onDivisions),
  lastIn: movedEnd(line.alongIn.at(-1) ?? 0, -1, line, onDivisions)
});

/** Beyond so many steps only counts that can be the best are tried, each by itself. */
const STEPS_ALL_COUNTS = 2_000_000;

/** Exactly `least` holes, or the nearest count above and then below that the obstacles allow. */
function fillWith(
  line: LineToFill,
  { firstIn, lastIn }: Ends,
  given: readonly number[],
  onProgress: OnProgress,
  allUpTo: number
): number[] | null {
  const least = line.alongIn.length;
  const grid = gridOf(line, firstIn);
  const closed = mergeClosed(line.closed);
  const holes = [firstIn, ...given, lastIn];
  const wishIn = (lastIn - firstIn) / (least - 1);
  const stretches = holes.slice(1).map((toIn, index): CountedStretch => {
    const fromIn = holes[index] ?? 0;
    const { minPitchIn, maxPitchIn } = line;
    return {
      placesIn: placesBetween(fromIn, toIn, grid, closed),
      minPitchIn,
      maxPitchIn,
      fewest: fewestSpaces(toIn - fromIn, maxPitchIn),
      most: Math.max(1, floorTo((toIn - fromIn) / minPitchIn))
    };
  });
  const spare = least + stretches.length - stretches.reduce((sum, { fewest }) => sum + fewest, 0);
  const mostOf = ({ fewest, most }: { fewest: number; most: number }) =>
    Math.max(fewest, Math.min(most, fewest + spare));
  const steps = stretches.reduce((sum, one) => sum + mostOf(one) * one.placesIn.length, 0);
  const near = steps > allUpTo ? fillNear(stretches, least - 1, wishIn, onProgress) : null;
  if (near) return near;
  const levels = stretches.reduce((sum, stretch) => sum + mostOf(stretch), 0);
  let done = 0;
  const routes = stretches.map((stretch) =>
    fillExactly(stretch, mostOf(stretch), wishIn, () => onProgress((done += 1) / levels))
  );
  const costs = routes.map((route) => route.costs);
  const totals = [
    ...Array.from({ length: stretches.length + 1 }, (_, more) => least - 1 + more),
    ...Array.from({ length: least - 1 }, (_, less) => least - 2 - less)
  ];
  for (const total of totals) {
    const spaces = shareSpaces(costs, total, squaresSlackIn2(line.maxPitchIn));
    if (!spaces) continue;
    return routes.flatMap(({ route }, index) =>
      route(spaces[index] ?? 0)
        .slice(index === 0 ? 0 : 1)
        .map((place) => stretches[index]?.placesIn[place] ?? 0)
    );
  }
  return null;
}

/**
 * A line as it was asked for, where its limits cannot all be held: ends, given and fixed holes stand where they are wanted,
 * and every stretch between two of them that can be filled within the limits is. The plan's own checks name what fails.
 *
 * @returns running distances, in
 */
export function fillAsAsked(line: LineToFill): number[] {
  const ends = [line.alongIn[0] ?? 0, line.alongIn.at(-1) ?? 0];
  const holes = [...ends, ...line.fixedIn, ...line.givenIn]
    .sort((a, b) => a - b)
    .filter((at, index, all) => index === 0 || !same(at, all[index - 1] ?? 0));
  const closed = mergeClosed(line.closed);
  const grid = gridOf(line, holes[0] ?? 0);
  const marksIn = holes.slice(0, 1);
  for (let index = 1; index < holes.length; index++) {
    const fromIn = holes[index - 1] ?? 0;
    const toIn = holes[index] ?? 0;
    const { minPitchIn, maxPitchIn } = line;
    const placesIn = placesBetween(fromIn, toIn, grid, closed);
    const taken = fillStretch({ placesIn, minPitchIn, maxPitchIn });
    for (const place of taken?.slice(1, -1) ?? []) marksIn.push(placesIn[place] ?? 0);
    marksIn.push(toIn);
  }
  return marksIn;
}

/** A line filled between its ends, as evenly as can be. */
function fillBetween(
  line: LineToFill,
  ends: Ends,
  onProgress: OnProgress,
  allUpTo: number
): Answer<ConstrainedRowResult> {
  const least = line.alongIn.length;
  // An existing hole beyond an end hole is the end.
  const firstIn = Math.min(ends.firstIn, ...line.fixedIn);
  const lastIn = Math.max(ends.lastIn, ...line.fixedIn);
  const given = [...line.fixedIn, ...line.givenIn]
    .filter((at) => above(at, firstIn) && below(at, lastIn))
    .sort((a, b) => a - b)
    .filter((at, index, all) => index === 0 || !same(at, all[index - 1] ?? 0));
  const fewest = constrainedRow(
    {
      startIn: firstIn,
      endIn: lastIn,
      fixedIn: given,
      keepOut: [...line.closed],
      minPitchIn: line.minPitchIn,
      maxPitchIn: line.maxPitchIn,
      gridIn: 1 / gridPerIn(line.scale)
    },
    gridOf(line, firstIn).startIn
  );
  if (!fewest.ok) return fewest;
  const marksIn =
    fewest.result.count >= least
      ? fewest.result.marksIn
      : (fillWith(line, { firstIn, lastIn }, given, onProgress, allUpTo) ?? fewest.result.marksIn);
  const gapsIn = marksIn.slice(1).map((mark, index) => mark - (marksIn[index] ?? 0));
  const minGapIn = gapsIn.reduce((a, b) => Math.min(a, b), Infinity);
  const maxGapIn = gapsIn.reduce((a, b) => Math.max(a, b), 0);
  return {
    ok: true,
    result: {
      marksIn,
      count: marksIn.length,
      minGapIn,
      maxGapIn,
      sumSquaresIn2: gapsIn.reduce((sum, gap) => sum + gap ** 2, 0)
    },
    work: [
      workLine(
        'past fixed holes and keep-outs',
        by`${least} holes wanted on 1/${gridPerIn(line.scale)}; ${given.length} given between the ends, ${line.closed.length} stretches closed; gaps ${len(minGapIn)} to ${unitLen(maxGapIn)}`,
        marksIn.length,
        'holes'
      )
    ]
  };
}

/**
 * Fills a line past fixed holes and keep-outs with the needed count of holes, as evenly as can be: the fewest
 * holes within the largest pitch when those are enough, else exactly the needed count with the least sum of
 * squared gaps.
 *
 * @param allUpTo beyond so many steps only counts that can be the best are tried; the answer is as even
 * @returns running distances, in; `not-possible` says which stretch cannot be filled. Where the obstacles
 * leave no room for the count the most that fit are given, and the plan's own check says so.
 */
export function fillLine(
  line: LineToFill,
  onProgress: OnProgress = () => undefined,
  allUpTo = STEPS_ALL_COUNTS
): Answer<ConstrainedRowResult> {
  const between = (ends: Ends) => fillBetween(line, ends, onProgress, allUpTo);
  const onDivisions = between(endsOf(line, true));
  if (onDivisions.ok && onDivisions.result.count >= line.alongIn.length) return onDivisions;
  // ends on divisions take a little of the line: where that is too much, they stay as evenly laid
  const asLaid = between(endsOf(line, false));
  return !onDivisions.ok || (asLaid.ok && asLaid.result.count > onDivisions.result.count)
    ? asLaid
    : onDivisions;
}
