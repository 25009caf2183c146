import { z } from 'zod';
import { answer, num, workLine, type Answer } from '../answer.ts';
import { by, len, lens, type Notation } from '../notation.ts';
import { rivetSize } from '../catalog/rivets.ts';
import { Dash, sheetsIn, takesThickness } from '../schema/fields.ts';
import { above, atLeast, atMost, below } from '../units/tolerance.ts';

export const FlushMethodInput = takesThickness({ sheetsIn, dash: Dash });
export type FlushMethodInput = z.output<typeof FlushMethodInput>;

export const FlushMethod = z.enum([
  'countersink',
  'dimple-together',
  'dimple-each',
  'dimple-top-countersink-under',
  'none'
]);
export type FlushMethod = z.infer<typeof FlushMethod>;

export const FlushMethodResult = z.strictObject({
  leastFlushIn: z.number().nullable(),
  method: FlushMethod,
  margin: z.enum(['preferred', 'marginal', 'knife-edge']).nullable()
});
export type FlushMethodResult = z.infer<typeof FlushMethodResult>;

/** A sheet of this thickness or more is countersunk rather than dimpled. */
export const COUNTERSINK_SHEET_IN = 0.04;
/** Up to this much proud is allowed where the head is deeper than the sheet. */
export const PROUD_IN = 0.002;
/** Stacks, or dimpled sheets, this thick have no standard dimpling method. */
export const DIMPLED_LIMIT_IN = 0.09;
const PREFERRED_SHARE = 2 / 3;
/** How much deeper a 100° cut must be under a dimpled sheet, per inch of that sheet. */
export const NEST_PER_IN = 1 / Math.sin((50 * Math.PI) / 180) - 1;

/**
 * How a countersunk head is let into a stack: countersink the top sheet, dimple, or both. A cut that
 * would go through its sheet leaves a knife edge and is no standard method.
 *
 * @param input sheets in inches, the first under the manufactured head
 * @returns the method; `margin` of the cut (null for dimples); `leastFlushIn` only for countersink: how
 * proud the head must stay so that the cut does not go through
 * @throws never
 * @source stack-up; calculation `flush-method`
 * @example flush-method {"sheetsIn":[0.063,0.04],"dash":4} -> {"method":"countersink","margin":"preferred"}
 */
export function flushMethod({ sheetsIn, dash }: FlushMethodInput): Answer<FlushMethodResult> {
  const headIn = rivetSize(dash).head.countersunk.heightIn;
  const topIn = sheetsIn[0] ?? 0;
  const totalIn = sheetsIn.reduce((sum, sheet) => sum + sheet, 0);
  const work = [workLine('head height', `100° head of dash ${dash}`, headIn, 'in')];
  const decide = (
    method: FlushMethod,
    margin: FlushMethodResult['margin'],
    why: Notation,
    leastFlushIn: number | null = null
  ): Answer<FlushMethodResult> =>
    answer({ leastFlushIn, method, margin }, [...work, workLine('method', why, method)]);

  if (atLeast(topIn, COUNTERSINK_SHEET_IN)) {
    work.push(
      workLine(
        'top sheet',
        by`${len(topIn)} ≥ ${len(COUNTERSINK_SHEET_IN)}: countersink it`,
        topIn,
        'in'
      )
    );
    if (above(headIn, topIn + PROUD_IN))
      return decide(
        'none',
        'knife-edge',
        by`head ${len(headIn)} > ${len(topIn)} + ${len(PROUD_IN)} high`
      );
    const preferred = atMost(headIn, PREFERRED_SHARE * topIn);
    return decide(
      'countersink',
      preferred ? 'preferred' : 'marginal',
      by`head ${len(headIn)} ${preferred ? '≤' : '>'} ⅔ × ${len(topIn)} = ${len(PREFERRED_SHARE * topIn)}`,
      Math.max(0, headIn - topIn)
    );
  }
  work.push(
    workLine('top sheet', by`${len(topIn)} < ${len(COUNTERSINK_SHEET_IN)}: dimple it`, topIn, 'in'),
    workLine('total', lens(sheetsIn, ' + '), totalIn, 'in')
  );
  if (atMost(totalIn, COUNTERSINK_SHEET_IN))
    return decide(
      'dimple-together',
      null,
      by`total ${len(totalIn)} ≤ ${len(COUNTERSINK_SHEET_IN)}`
    );

  // The top sheet, thinner than that, is never the one.
  const thickIndex = sheetsIn.findIndex((sheet) => above(sheet, COUNTERSINK_SHEET_IN));
  const thickIn = sheetsIn[thickIndex];
  if (thickIn !== undefined) {
    const dimpledIn = sheetsIn.slice(0, thickIndex).reduce((sum, sheet) => sum + sheet, 0);
    if (atLeast(dimpledIn, DIMPLED_LIMIT_IN))
      return decide('none', null, by`dimpled sheets ${len(dimpledIn)} ≥ ${len(DIMPLED_LIMIT_IN)}`);
    const cutIn = headIn + NEST_PER_IN * dimpledIn;
    work.push(
      workLine(
        `cut in sheet ${thickIndex + 1}`,
        by`head + (1/sin 50° − 1) × dimpled = ${len(headIn)} + ${num(NEST_PER_IN)} × ${len(dimpledIn)}`,
        cutIn,
        'in'
      )
    );
    if (above(cutIn, thickIn))
      return decide('none', 'knife-edge', by`cut ${len(cutIn)} > sheet ${len(thickIn)}`);
    const preferred = atMost(cutIn, PREFERRED_SHARE * thickIn);
    return decide(
      'dimple-top-countersink-under',
      preferred ? 'preferred' : 'marginal',
      by`cut ${len(cutIn)} ${preferred ? '≤' : '>'} ⅔ × ${len(thickIn)}`
    );
  }
  return below(totalIn, DIMPLED_LIMIT_IN)
    ? decide(
        'dimple-each',
        null,
        by`no thick sheet beneath, total ${len(totalIn)} < ${len(DIMPLED_LIMIT_IN)}`
      )
    : decide('none', null, by`only thin sheets, total ${len(totalIn)} ≥ ${len(DIMPLED_LIMIT_IN)}`);
}

/**
 * Whether the hole of a flush rivet can be cut for a larger one where it stands: a dimple cannot be made larger in place, and
 * a cut through its sheet is none.
 *
 * @param dash the larger size
 * @source calculation `oversize`; rework, dimpled joints
 */
export function takesLargerCut(sheetsIn: readonly number[], dash: Dash): boolean {
  const flush = flushMethod({ sheetsIn: [...sheetsIn], dash });
  return flush.ok && flush.result.method === 'countersink';
}
