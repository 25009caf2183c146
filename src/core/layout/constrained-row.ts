import { z } from 'zod';
import { answer, notPossible, workLine, type Answer } from '../answer.ts';
import { by, len, unitLen } from '../notation.ts';
import { saying, type RefusalSaid } from '../refusal-said.ts';
import { lengthIn } from '../schema/fields.ts';
import { above, below, same, TOLERANCE } from '../units/tolerance.ts';
import { canFill, fillStretch, stuckBetween, type Stretch } from './fill-stretch.ts';
import { firstBeyond, inside, mergeClosed, placesBetween } from './row-places.ts';

const LONGEST_SPAN_IN = 1200;
const MOST_GRID_POINTS = 200_000;
const MOST_OBSTACLES = 10_000;
/** Positions are measured from the sheet's datum; nothing is further off. */
const FURTHEST_IN = 100_000;
const position = (what: string) => lengthIn(what, { least: -FURTHEST_IN, most: FURTHEST_IN });
const pitch = (what: string) => lengthIn(what, { above: 0, most: FURTHEST_IN });

export const ConstrainedRowInput = z
  .strictObject({
    startIn: position('the start'),
    endIn: position('the end'),
    fixedIn: z.array(position('a fixed hole')).max(MOST_OBSTACLES).default([]),
    keepOut: z
      .array(z.strictObject({ fromIn: position('a keep-out'), toIn: position('a keep-out') }))
      .max(MOST_OBSTACLES)
      .default([]),
    minPitchIn: pitch('the minimum pitch'),
    maxPitchIn: pitch('the maximum pitch'),
    gridIn: pitch('the grid')
  })
  .superRefine((input, context) => {
    const complain = (path: PropertyKey[], why: RefusalSaid) =>
      context.addIssue({ code: 'custom', path, params: saying(why) });
    const { startIn, endIn, minPitchIn, maxPitchIn, gridIn, keepOut } = input;
    const spanIn = endIn - startIn;
    if (spanIn <= TOLERANCE) complain(['endIn'], { code: 'end-before-start', endIn, startIn });
    else if (above(spanIn, LONGEST_SPAN_IN))
      complain(['endIn'], { code: 'span-too-long', spanIn, mostIn: LONGEST_SPAN_IN });
    else if (spanIn / gridIn > MOST_GRID_POINTS)
      complain(['gridIn'], { code: 'grid-too-fine', gridIn, spanIn, most: MOST_GRID_POINTS });
    if (above(minPitchIn, maxPitchIn))
      complain(['minPitchIn'], {
        code: 'pitches-crossed',
        leastIn: minPitchIn,
        mostIn: maxPitchIn
      });
    keepOut.forEach(({ fromIn, toIn }, index) => {
      if (above(fromIn, toIn))
        complain(['keepOut', index, 'toIn'], { code: 'keep-out-backwards', fromIn, toIn });
    });
  });
export type ConstrainedRowInput = z.output<typeof ConstrainedRowInput>;

export const ConstrainedRowResult = z.strictObject({
  marksIn: z.array(z.number()),
  count: z.number().int(),
  minGapIn: z.number(),
  maxGapIn: z.number(),
  sumSquaresIn2: z.number()
});
export type ConstrainedRowResult = z.infer<typeof ConstrainedRowResult>;

/** The least largest-pitch with which a stretch can be filled, or null when the least pitch is what stops it. */
function pitchNeeded(stretch: Stretch): number | null {
  const { placesIn, minPitchIn, maxPitchIn } = stretch;
  let low = maxPitchIn;
  let high = (placesIn.at(-1) ?? 0) - (placesIn[0] ?? 0);
  if (!canFill(stretch, minPitchIn, high)) return null;
  while (high - low > TOLERANCE) {
    const middle = (low + high) / 2;
    if (canFill(stretch, minPitchIn, middle)) high = middle;
    else low = middle;
  }
  return high;
}

function explainStuck(stretch: Stretch): ReturnType<typeof notPossible> {
  const { placesIn, minPitchIn, maxPitchIn } = stretch;
  const firstIn = placesIn[0] ?? 0;
  const lastIn = placesIn.at(-1) ?? 0;
  if (below(lastIn - firstIn, minPitchIn))
    return notPossible('fixedIn', {
      code: 'holes-too-close',
      firstIn,
      lastIn,
      pitchMinIn: minPitchIn
    });
  const { fromIn, toIn } = stuckBetween(stretch);
  const needed = pitchNeeded(stretch);
  return needed === null
    ? notPossible('minPitchIn', { code: 'no-holes-fit', firstIn, lastIn, pitchMinIn: minPitchIn })
    : notPossible('maxPitchIn', {
        code: 'pitch-too-small',
        neededIn: needed,
        pitchMaxIn: maxPitchIn,
        fromIn,
        toIn
      });
}

/**
 * A row of holes past fixed holes and keep-outs: the fewest holes, then the most even gaps (least sum
 * of squares), then the smallest marks first; proven, not searched for. The given holes cut the row into
 * stretches that do not depend on one another; each costs O(places × log places) time and O(places) memory.
 *
 * @param gridStartIn a place of the grid at or before the start, where the start is none
 * @param input inches; holes other than the start, the end and the fixed ones lie on `startIn + k·gridIn`;
 * keep-outs are open intervals for hole centres, already widened by head and tool clearance
 * @returns marks from the datum, in; gaps, in; the sum of squared gaps, in²
 * @throws never; `not-possible` says which stretch cannot be filled and what would make it possible
 * @source layout; calculation `constrained-row`
 * @example constrained-row {"startIn":0,"endIn":4,"keepOut":[{"fromIn":0.9,"toIn":1.2}],"minPitchIn":0.375,"maxPitchIn":1.5,"gridIn":0.25} -> {"count":4,"marksIn":[0,1.25,2.5,4]}
 */
export function constrainedRow(
  input: ConstrainedRowInput,
  gridStartIn = input.startIn
): Answer<ConstrainedRowResult> {
  const { startIn, endIn, minPitchIn, maxPitchIn } = input;
  const keepOut = mergeClosed(input.keepOut);
  const grid = { startIn: gridStartIn, gridIn: input.gridIn };
  const given: number[] = [];
  for (const holeIn of [startIn, ...input.fixedIn, endIn].sort((a, b) => a - b)) {
    if (below(holeIn, startIn) || above(holeIn, endIn))
      return notPossible('fixedIn', { code: 'fixed-beyond-row', holeIn, startIn, endIn });
    const blocking = keepOut[firstBeyond(holeIn, keepOut)];
    if (blocking && inside(holeIn, blocking))
      return notPossible('keepOut', {
        code: 'hole-in-keep-out',
        holeIn,
        fromIn: blocking.fromIn,
        toIn: blocking.toIn
      });
    const last = given.at(-1);
    if (last === undefined || !same(holeIn, last)) given.push(holeIn);
  }

  const marksIn: number[] = [startIn];
  for (let index = 1; index < given.length; index++) {
    const placesIn = placesBetween(given[index - 1] ?? 0, given[index] ?? 0, grid, keepOut);
    const stretch = { placesIn, minPitchIn, maxPitchIn };
    const taken = fillStretch(stretch);
    if (taken === null) return explainStuck(stretch);
    for (const place of taken.slice(1)) marksIn.push(placesIn[place] ?? 0);
  }
  const gapsIn = marksIn.slice(1).map((mark, index) => mark - (marksIn[index] ?? 0));
  const minGapIn = gapsIn.reduce((least, gap) => Math.min(least, gap), Infinity);
  const maxGapIn = gapsIn.reduce((most, gap) => Math.max(most, gap), 0);
  const sumSquaresIn2 = gapsIn.reduce((sum, gap) => sum + gap ** 2, 0);
  return answer({ marksIn, count: marksIn.length, minGapIn, maxGapIn, sumSquaresIn2 }, [
    workLine('holes given', `start, end and fixed: ${given.length}`, given.length, 'holes'),
    workLine(
      'fewest holes',
      by`every gap ${len(minPitchIn)} to ${unitLen(maxPitchIn)}, clear of ${keepOut.length} keep-outs`,
      marksIn.length,
      'holes'
    ),
    workLine(
      'gaps',
      by`mean ${unitLen((endIn - startIn) / gapsIn.length)}`,
      by`${len(minGapIn)} to ${len(maxGapIn)}`,
      'in'
    ),
    workLine(
      'sum of squared gaps',
      'the least there is: no layout of as few holes is more even',
      sumSquaresIn2,
      'in²'
    )
  ]);
}
