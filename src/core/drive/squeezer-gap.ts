import { z } from 'zod';
import { answer, num, workLine, type Answer } from '../answer.ts';
import { by, len } from '../notation.ts';
import { NOMINAL_HEIGHT_D } from '../catalog/head-limits.ts';
import { rivetSize } from '../catalog/rivets.ts';
import { Dash, Head, lengthIn } from '../schema/fields.ts';

export const SqueezerGapInput = z.strictObject({
  dash: Dash,
  head: Head,
  gripIn: lengthIn('the grip', { above: 0, most: 100 }),
  shopHeightD: z
    .number('the shop head height is a number of D')
    .positive('the shop head height is over 0 D')
    .max(5, 'the shop head height is at most 5 D')
    .default(NOMINAL_HEIGHT_D)
});
export type SqueezerGapInput = z.output<typeof SqueezerGapInput>;

export const SqueezerGapResult = z.strictObject({ gapIn: z.number() });
export type SqueezerGapResult = z.infer<typeof SqueezerGapResult>;

/**
 * The gap of a closed squeezer, set once for a whole row.
 *
 * @param input grip in inches, shop head height in D
 * @returns the gap, in: manufactured head (0 for flush) + grip + shop head
 * @throws never
 * @source drive; calculation `squeezer-gap`
 * @example squeezer-gap {"dash":4,"head":"universal","gripIn":0.08} -> {"gapIn":0.1965}
 */
export function squeezerGap(input: SqueezerGapInput): Answer<SqueezerGapResult> {
  const { dash, head, gripIn, shopHeightD } = input;
  const rivet = rivetSize(dash);
  const headIn = head === 'universal' ? rivet.head.universal.heightIn : 0;
  const shopIn = shopHeightD * rivet.diameterIn;
  const gapIn = headIn + gripIn + shopIn;
  return answer({ gapIn }, [
    workLine(
      'shop head',
      by`${num(shopHeightD)} D = ${num(shopHeightD)} × ${len(rivet.diameterIn)}`,
      shopIn,
      'in'
    ),
    workLine(
      'closed gap',
      by`head + grip + shop head = ${len(headIn)} + ${len(gripIn)} + ${len(shopIn)}`,
      gapIn,
      'in'
    )
  ]);
}
