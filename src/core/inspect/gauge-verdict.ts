import { z } from 'zod';
import { answer, workLine, type Answer } from '../answer.ts';
import { by, len } from '../notation.ts';
import { HEAD_LIMITS } from '../catalog/head-limits.ts';
import { rivetSize } from '../catalog/rivets.ts';
import { saying } from '../refusal-said.ts';
import { Dash, lengthIn } from '../schema/fields.ts';
import { above, atMost, below } from '../units/tolerance.ts';

/** Beyond these a plate would pass bad heads, or condemn good ones. */
const HOLE_D = { least: HEAD_LIMITS.standard.diameterD.low, most: 1.5 };
const NOTCH_D = { least: HEAD_LIMITS.standard.heightD.low, most: 0.5 };
const measured = (what: string) => lengthIn(what, { above: 0, most: 2 }).optional();

export const GaugeVerdictInput = z
  .strictObject({
    dash: Dash,
    /** the plate's hole goes over the shop head */
    fitsOver: z.boolean('whether the plate goes over the head is true or false'),
    /** the notch's feet rest on the sheet: the head is lower than the notch */
    touchesSheet: z.boolean('whether the plate touches the sheet is true or false'),
    plate: z
      .strictObject({
        headHoleIn: measured('the plate’s hole'),
        notchIn: measured('the plate’s notch')
      })
      .default({})
  })
  .superRefine(({ dash, plate }, context) => {
    const D = rivetSize(dash).diameterIn;
    const hold = (
      key: 'headHoleIn' | 'notchIn',
      what: 'hole' | 'notch',
      { least, most }: { least: number; most: number }
    ) => {
      const valueIn = plate[key];
      if (valueIn === undefined || (!below(valueIn, least * D) && !above(valueIn, most * D)))
        return;
      context.addIssue({
        code: 'custom',
        path: ['plate', key],
        params: saying({
          code: 'no-gauge',
          what,
          valueIn,
          leastIn: least * D,
          mostIn: most * D
        })
      });
    };
    hold('headHoleIn', 'hole', HOLE_D);
    hold('notchIn', 'notch', NOTCH_D);
  });
export type GaugeVerdictInput = z.output<typeof GaugeVerdictInput>;

const Hidden = z.enum(['short-of-metal', 'over-driven', 'too-wide', 'too-high']);

export const GaugeVerdictResult = z.strictObject({
  verdict: z.enum(['accept', 'drive-more', 'measure', 'replace']),
  findings: z.array(z.enum(['under-driven', 'over-driven', 'short-of-metal'])),
  diameterLeastIn: z.number().nullable(),
  diameterMostIn: z.number().nullable(),
  heightLeastIn: z.number().nullable(),
  heightMostIn: z.number().nullable(),
  cannotTell: z.array(Hidden)
});
export type GaugeVerdictResult = z.infer<typeof GaugeVerdictResult>;

type Judged = Pick<GaugeVerdictResult, 'verdict' | 'findings' | 'cannotTell'>;

/** First that holds. */
function judge(fits: boolean, touches: boolean, exactHole: boolean, exactNotch: boolean): Judged {
  // A head that hides in a deep notch may still be good: never drill it out on this word.
  if (touches && !exactNotch)
    return {
      verdict: 'measure',
      findings: [],
      cannotTell: fits ? ['over-driven', 'short-of-metal'] : ['over-driven']
    };
  if (fits && touches)
    return exactHole
      ? { verdict: 'replace', findings: ['short-of-metal'], cannotTell: [] }
      : { verdict: 'replace', findings: [], cannotTell: ['short-of-metal', 'over-driven'] };
  if (fits)
    return { verdict: 'drive-more', findings: ['under-driven'], cannotTell: ['short-of-metal'] };
  if (touches) return { verdict: 'replace', findings: ['over-driven'], cannotTell: [] };
  return { verdict: 'accept', findings: [], cannotTell: ['too-wide', 'too-high'] };
}

/**
 * What a gauge plate says of a driven head: its hole goes over the head or does not, its notch touches the sheet or does
 * not. What it cannot tell is said.
 *
 * @param input `plate` in inches as measured; left out, 1.3 D and 0.38 D
 * @returns what the diameter and height are at least and at most, in; null where the plate cannot tell
 * @throws never
 * @source inspect; calculation `gauge-verdict`
 * @example gauge-verdict {"dash":5,"fitsOver":true,"touchesSheet":false} -> {"verdict":"drive-more","diameterMostIn":0.203125}
 */
export function gaugeVerdict(input: GaugeVerdictInput): Answer<GaugeVerdictResult> {
  const { dash, fitsOver, touchesSheet, plate } = input;
  const D = rivetSize(dash).diameterIn;
  const holeIn = plate.headHoleIn ?? HOLE_D.least * D;
  const notchIn = plate.notchIn ?? NOTCH_D.least * D;
  const judged = judge(
    fitsOver,
    touchesSheet,
    atMost(holeIn, HOLE_D.least * D),
    atMost(notchIn, NOTCH_D.least * D)
  );
  return answer(
    {
      ...judged,
      diameterLeastIn: fitsOver ? null : holeIn,
      diameterMostIn: fitsOver ? holeIn : null,
      heightLeastIn: touchesSheet ? null : notchIn,
      heightMostIn: touchesSheet ? notchIn : null
    },
    [
      workLine(
        'diameter',
        fitsOver
          ? by`the hole of ${len(holeIn)} goes over it: at most`
          : by`the hole of ${len(holeIn)} does not go over it: at least`,
        holeIn,
        'in'
      ),
      workLine(
        'height',
        touchesSheet
          ? by`under a notch of ${len(notchIn)} the plate touches the sheet: at most`
          : by`it keeps a notch of ${len(notchIn)} off the sheet: at least`,
        notchIn,
        'in'
      ),
      workLine('verdict', judged.findings.join(', ') || 'no finding', judged.verdict)
    ]
  );
}
