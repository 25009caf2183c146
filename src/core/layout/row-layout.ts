import { z } from 'zod';
import { answer, notPossible, workLine, type Answer, type WorkLine } from '../answer.ts';
import { by, len } from '../notation.ts';
import { rivetSize } from '../catalog/rivets.ts';
import { DEFAULT_MULTIPLIERS, type Multipliers } from '../rules/multipliers.ts';
import { Dash, Head, lengthIn, MOST_HOLES, WIDEST_IN } from '../schema/fields.ts';
import { downTo32nd, next32ndAbove, RulerScale, snapToRuler, upTo32nd } from '../units/ruler.ts';
import { atLeast, atMost, below } from '../units/tolerance.ts';
import {
  leastPerRow,
  rivetsInRow,
  rivetsInRows,
  rivetsPerRow,
  type Pattern
} from './row-spacing.ts';

export const RowLayoutInput = z
  .strictObject({
    widthIn: lengthIn("the joint's width", { above: 0, most: WIDEST_IN }),
    dash: Dash,
    head: Head,
    required: z
      .int('a whole number of rivets is expected')
      .min(1, 'at least one rivet is needed')
      .max(MOST_HOLES, `at most ${MOST_HOLES} holes are laid out at once`),
    rows: z.literal([1, 2, 3, 'auto'], { error: 'rows is 1, 2, 3 or "auto"' }).default('auto'),
    pattern: z.enum(['in-line', 'staggered']).default('in-line'),
    edgeIn: lengthIn('the edge distance', { above: 0, most: WIDEST_IN }).optional(),
    prefer: z.enum(['fewest', 'near']).default('fewest'),
    nearPitchIn: lengthIn('the target pitch', { above: 0, most: WIDEST_IN }).optional(),
    scale: RulerScale.default('exact')
  })
  .refine((input) => input.prefer !== 'near' || input.nearPitchIn !== undefined, {
    path: ['nearPitchIn'],
    message: 'nearPitchIn is needed with prefer "near": the pitch to come close to'
  });
export type RowLayoutInput = z.output<typeof RowLayoutInput>;

export const LayoutCheck = z.strictObject({
  rule: z.enum([
    'edge-min',
    'edge-max',
    'pitch-min',
    'pitch-max',
    'snapped-edge-min',
    'snapped-pitch-min',
    'snapped-pitch-max',
    'transverse-min',
    'centre-min'
  ]),
  limitIn: z.number(),
  valueIn: z.number(),
  ok: z.boolean()
});
/** One limit of the layout, held against its value. */
export type LayoutCheck = z.infer<typeof LayoutCheck>;

export const LaidRow = z.strictObject({
  offsetIn: z.number(),
  marksIn: z.array(z.number()),
  snappedIn: z.array(z.number())
});
/** One rivet row: its distance from the sheet's end, running marks from the datum edge, exact and snapped. */
export type LaidRow = z.infer<typeof LaidRow>;

export const RowLayoutResult = z.strictObject({
  rows: z.array(LaidRow),
  perRow: z.number().int(),
  total: z.number().int(),
  pitchIn: z.number(),
  pitchD: z.number(),
  edgeIn: z.number(),
  transverseIn: z.number(),
  overlapIn: z.number(),
  steppedOffErrorIn: z.number(),
  checks: z.array(LayoutCheck)
});
export type RowLayoutResult = z.infer<typeof RowLayoutResult>;

/** Distance between rows for a pitch: 75 % of it, held to 2.5 D and 4 D, on whole 32nds; all inches. */
export function transversePitchIn(
  pitchIn: number,
  diameterIn: number,
  limits: Multipliers = DEFAULT_MULTIPLIERS
): number {
  const wishedIn = Math.max(limits.transverseMinD * diameterIn, limits.transverseOfPitch * pitchIn);
  return Math.min(upTo32nd(wishedIn), downTo32nd(limits.transverseMaxD * diameterIn));
}

function layRow(
  row: number,
  pattern: Pattern,
  perRow: number,
  first: { edgeIn: number; pitchIn: number; transverseIn: number },
  scale: RulerScale
): LaidRow {
  const startIn = first.edgeIn + (pattern === 'staggered' && row % 2 === 1 ? first.pitchIn / 2 : 0);
  const count = rivetsInRow(pattern, row, perRow);
  const marksIn: number[] = [];
  const snappedIn: number[] = [];
  for (let index = 0; index < count; index++) {
    const markIn = startIn + index * first.pitchIn;
    marksIn.push(markIn);
    snappedIn.push(snapToRuler(markIn, scale));
  }
  return { offsetIn: first.edgeIn + row * first.transverseIn, marksIn, snappedIn };
}

/** Smallest and largest gap between neighbours within the rows, in. */
function snappedGaps(rows: LaidRow[]): { least: number; most: number } {
  let least = Infinity;
  let most = -Infinity;
  for (const { snappedIn } of rows)
    for (let index = 1; index < snappedIn.length; index++) {
      const gapIn = (snappedIn[index] ?? 0) - (snappedIn[index - 1] ?? 0);
      least = Math.min(least, gapIn);
      most = Math.max(most, gapIn);
    }
  return { least, most };
}

/** Smallest distance of an end mark from the sheet's sides, in. */
const snappedEdgeIn = (rows: LaidRow[], widthIn: number): number =>
  Math.min(
    ...rows.flatMap(({ snappedIn }) => [snappedIn[0] ?? 0, widthIn - (snappedIn.at(-1) ?? 0)])
  );

const minimum = (rule: LayoutCheck['rule'], limitIn: number, valueIn: number): LayoutCheck => ({
  rule,
  limitIn,
  valueIn,
  ok: atLeast(valueIn, limitIn)
});
const maximum = (rule: LayoutCheck['rule'], limitIn: number, valueIn: number): LayoutCheck => ({
  rule,
  limitIn,
  valueIn,
  ok: atMost(valueIn, limitIn)
});

/**
 * Lays a joint's rivets out in straight rows: how many a row, the pitch, the running marks from one
 * datum edge exact and on the ruler, and every limit held against both.
 *
 * @param input inches; `required` rivets over all rows; without `edgeIn` the next whole 1/32 over the least
 * edge distance is taken
 * @param limits the rule profile's multiples of D
 * @returns lengths in inches; `perRow` is the first row's count; `steppedOffErrorIn` is how far the last
 * mark would be off had the snapped pitch been stepped off
 * @throws never; `not-possible` when the edge distance is under its minimum, the sheet is too narrow, or
 * the pitch would be under 3 D
 * @source layout; calculation `row-layout`
 * @example row-layout {"widthIn":6,"dash":4,"head":"universal","required":9,"rows":1} -> {"perRow":9,"total":9,"pitchD":5.4375,"edgeIn":0.28125}
 */
export function rowLayout(
  input: RowLayoutInput,
  limits: Multipliers = DEFAULT_MULTIPLIERS
): Answer<RowLayoutResult> {
  const { widthIn, dash, head, required, pattern, prefer, nearPitchIn, scale } = input;
  const D = rivetSize(dash).diameterIn;
  const edgeMinIn = limits.edgeMinD[head] * D;
  const edgeIn = input.edgeIn ?? next32ndAbove(edgeMinIn);
  if (below(edgeIn, edgeMinIn))
    return notPossible('edgeIn', {
      code: 'edge-under-least',
      edgeIn,
      edgeMinD: limits.edgeMinD[head],
      edgeMinIn,
      head,
      dash
    });
  const spanIn = widthIn - 2 * edgeIn;
  if (atMost(spanIn, 0))
    return notPossible('widthIn', { code: 'no-room-between-edges', widthIn, edgeIn });

  const tried = input.rows === 'auto' ? [1, 2, 3] : [input.rows];
  const wish = { spanIn, diameterIn: D, required, pattern };
  const near = prefer === 'near' ? (nearPitchIn ?? null) : null;
  let chosen: { rows: number; perRow: number } | null = null;
  for (const rows of tried) {
    const perRow = rivetsPerRow({ ...wish, rows, nearPitchIn: near }, limits);
    if (perRow === null) continue;
    chosen = { rows, perRow };
    break;
  }
  if (chosen === null) {
    const rows = tried.at(-1) ?? 1;
    const least = leastPerRow(pattern, rows, required);
    return notPossible('required', {
      code: 'too-many-for-rows',
      required,
      rows,
      inRow: least,
      pitchIn: spanIn / (least - 1),
      pitchMinD: limits.pitchMinD,
      pitchMinIn: limits.pitchMinD * D
    });
  }

  const { rows: rowCount, perRow } = chosen;
  const pitchIn = spanIn / (perRow - 1);
  const transverseIn = transversePitchIn(pitchIn, D, limits);
  const rows = Array.from({ length: rowCount }, (_, row) =>
    layRow(row, pattern, perRow, { edgeIn, pitchIn, transverseIn }, scale)
  );
  const overlapIn = 2 * edgeIn + (rowCount - 1) * transverseIn;
  const snappedPitchIn = snapToRuler(pitchIn, scale);
  const steppedOffErrorIn = (perRow - 1) * snappedPitchIn - spanIn;
  const gaps = snappedGaps(rows);
  const minPitchIn = limits.pitchMinD * D;
  const maxPitchIn = limits.pitchMaxD * D;
  const checks = [
    minimum('edge-min', edgeMinIn, edgeIn),
    maximum('edge-max', limits.edgeMaxD * D, edgeIn),
    minimum('pitch-min', minPitchIn, pitchIn),
    maximum('pitch-max', maxPitchIn, pitchIn),
    minimum('snapped-edge-min', edgeMinIn, snappedEdgeIn(rows, widthIn)),
    minimum('snapped-pitch-min', minPitchIn, gaps.least),
    maximum('snapped-pitch-max', maxPitchIn, gaps.most)
  ];
  if (rowCount > 1) {
    const centresIn =
      pattern === 'staggered' ? Math.hypot(pitchIn / 2, transverseIn) : transverseIn;
    checks.push(
      minimum('transverse-min', limits.transverseMinD * D, transverseIn),
      minimum('centre-min', limits.transverseMinD * D, centresIn)
    );
  }
  const total = rivetsInRows(pattern, rowCount, perRow);
  return answer(
    {
      rows,
      perRow,
      total,
      pitchIn,
      pitchD: pitchIn / D,
      edgeIn,
      transverseIn,
      overlapIn,
      steppedOffErrorIn,
      checks
    },
    explain(limits, input, {
      edgeMinIn,
      edgeIn,
      spanIn,
      rowCount,
      perRow,
      pitchIn,
      transverseIn,
      overlapIn,
      total,
      snappedPitchIn,
      steppedOffErrorIn
    })
  );
}

function explain(
  limits: Multipliers,
  { widthIn, dash, head, required, pattern, scale, edgeIn: given }: RowLayoutInput,
  at: {
    edgeMinIn: number;
    edgeIn: number;
    spanIn: number;
    rowCount: number;
    perRow: number;
    pitchIn: number;
    transverseIn: number;
    overlapIn: number;
    total: number;
    snappedPitchIn: number;
    steppedOffErrorIn: number;
  }
): WorkLine[] {
  const D = rivetSize(dash).diameterIn;
  const spaces = at.perRow - 1;
  const least = leastPerRow(pattern, at.rowCount, required);
  return [
    workLine(
      'edge distance',
      given === undefined
        ? by`next whole 1/32 over ${limits.edgeMinD[head]} D = ${len(at.edgeMinIn)}`
        : by`as given; the least is ${limits.edgeMinD[head]} D = ${len(at.edgeMinIn)}`,
      at.edgeIn,
      'in'
    ),
    workLine(
      'between end rivets',
      by`width − 2 × edge = ${len(widthIn)} − 2 × ${len(at.edgeIn)}`,
      at.spanIn,
      'in',
      'pitch'
    ),
    workLine(
      'rivets in the first row',
      `${required} over ${at.rowCount} ${pattern === 'staggered' ? 'staggered ' : ''}row${at.rowCount > 1 ? 's' : ''} = ${least}${at.perRow > least ? `, grown to ${at.perRow} for the pitch` : ''}`,
      at.perRow,
      'rivets',
      'pitch'
    ),
    workLine('pitch', by`span / spaces = ${len(at.spanIn)} / ${spaces}`, at.pitchIn, 'in', 'pitch'),
    workLine('pitch in D', by`${len(at.pitchIn)} / ${len(D)}`, at.pitchIn / D, 'D'),
    workLine(
      'between rows',
      by`larger of ${limits.transverseMinD} D and ${limits.transverseOfPitch} × pitch, up to a 1/32, not over ${limits.transverseMaxD} D = larger of ${len(limits.transverseMinD * D)} and ${len(limits.transverseOfPitch * at.pitchIn)}`,
      at.transverseIn,
      'in',
      'transverse'
    ),
    workLine(
      'overlap',
      by`2 × edge + (rows − 1) × between rows = 2 × ${len(at.edgeIn)} + ${at.rowCount - 1} × ${len(at.transverseIn)}`,
      at.overlapIn,
      'in',
      'overlap'
    ),
    workLine(
      'rivets in all',
      `over ${at.rowCount} row${at.rowCount > 1 ? 's' : ''}`,
      at.total,
      'rivets'
    ),
    workLine(
      'accumulated error if stepped off',
      by`${spaces} × ${len(at.snappedPitchIn)} (pitch on the ${scale} scale) − ${len(at.spanIn)}`,
      at.steppedOffErrorIn,
      'in'
    )
  ];
}
