import { notPossible, workLine, type Answer, type WorkLine } from '../../answer.ts';
import { by, len } from '../../notation.ts';
import { rivetSize } from '../../catalog/rivets.ts';
import type { Dash } from '../../schema/fields.ts';
import { rivetsPerRow } from '../../layout/row-spacing.ts';
import { limitsFor } from '../../layout/pitch-limits.ts';
import type { LayContext } from '../kind-layout.ts';

/** How many rivets from one end hole to the other, and their pitch. */
export interface AlongSpan {
  count: number;
  pitchIn: number;
  work: WorkLine[];
}

/**
 * So many rivets as were asked for, evenly from one end hole to the other, or one in the middle: never another count. The
 * limits are held against it afterwards.
 */
export function alongAsTyped(spanIn: number, count: number): Answer<AlongSpan> {
  if (spanIn <= 0) return notPossible('lengthIn', { code: 'line-too-short', spanIn });
  // one by itself: as far as it is to where the end holes would be
  const pitchIn = count === 1 ? spanIn / 2 : spanIn / (count - 1);
  return {
    ok: true,
    result: {
      count,
      pitchIn,
      work: [
        workLine('rivets in the row', 'as typed', count, 'rivets'),
        count === 1
          ? workLine('place', by`in the middle of ${len(spanIn)}`, spanIn / 2, 'in')
          : workLine('pitch', by`span / spaces = ${len(spanIn)} / ${count - 1}`, pitchIn, 'in')
      ]
    },
    work: []
  };
}

/**
 * Spaces one row evenly over a span: the needed count, grown to the largest pitch, or on towards a wished one.
 *
 * @param least rivets over the span, both end holes counted
 */
export function alongSpan(
  spanIn: number,
  least: number,
  dash: Dash,
  { limits: shop, nearPitchIn }: LayContext
): Answer<AlongSpan> {
  const { diameterIn } = rivetSize(dash);
  const limits = limitsFor(shop, dash);
  if (spanIn <= 0) return notPossible('lengthIn', { code: 'line-too-short', spanIn });
  const required = Math.max(2, least);
  const count = rivetsPerRow(
    { spanIn, diameterIn, rows: 1, required, pattern: 'in-line', nearPitchIn },
    limits
  );
  if (count === null)
    return notPossible('required', {
      code: 'too-many-for-span',
      required,
      spanIn,
      pitchIn: spanIn / (required - 1),
      pitchMinD: limits.pitchMinD,
      pitchMinIn: limits.pitchMinD * diameterIn
    });
  const pitchIn = spanIn / (count - 1);
  return {
    ok: true,
    result: {
      count,
      pitchIn,
      work: [
        workLine(
          'rivets in the row',
          `${least > 2 ? `${least} needed` : 'the fewest'}${count > required ? `, grown to ${count} for the pitch` : ''}`,
          count,
          'rivets'
        ),
        workLine('pitch', by`span / spaces = ${len(spanIn)} / ${count - 1}`, pitchIn, 'in')
      ]
    },
    work: []
  };
}
