import { z } from 'zod';
import { answer, num, workLine, type Answer } from '../answer.ts';
import { by, len } from '../notation.ts';
import { RIVET_SIZES } from '../catalog/rivets.ts';
import { Dash, DiameterSchool, sheetsIn, takesThickness } from '../schema/fields.ts';
import { above, below, same } from '../units/tolerance.ts';

export const RivetDiameterInput = takesThickness({
  sheetsIn,
  school: DiameterSchool.default('thickest')
});
export type RivetDiameterInput = z.output<typeof RivetDiameterInput>;

export const RivetDiameterResult = z.strictObject({
  ruleDiameterIn: z.number(),
  dash: Dash,
  diameterIn: z.number(),
  warnings: z.array(z.enum(['larger-than-standard', 'smaller-than-standard']))
});
export type RivetDiameterResult = z.infer<typeof RivetDiameterResult>;

const RULE_MULTIPLE = 3;
const ONE_SIZE_IN = 1 / 32;

/**
 * The rivet diameter that suits a stack: three times the sheet thickness, nearest standard size, a
 * tie going up. The schools differ in which sheet is meant: the thickest held (production) or the
 * thinnest (light repairs).
 *
 * @param input sheets in inches (0.010 to 0.25) and the school
 * @returns the rule's 3 t, the standard size, and a warning when 3 t is more than one size off the range
 * @throws never
 * @source size; calculation `rivet-diameter`
 * @example rivet-diameter {"sheetsIn":[0.04,0.032]} -> {"dash":4,"diameterIn":0.125}
 */
export function rivetDiameter({
  sheetsIn,
  school
}: RivetDiameterInput): Answer<RivetDiameterResult> {
  const sheetIn = school === 'thickest' ? Math.max(...sheetsIn) : Math.min(...sheetsIn);
  const ruleDiameterIn = RULE_MULTIPLE * sheetIn;
  const off = (diameterIn: number) => Math.abs(diameterIn - ruleDiameterIn);
  const nearest = RIVET_SIZES.reduce((best, next) =>
    same(off(next.diameterIn), off(best.diameterIn)) || off(next.diameterIn) < off(best.diameterIn)
      ? next
      : best
  );
  const smallest = RIVET_SIZES[0] ?? nearest;
  const largest = RIVET_SIZES.at(-1) ?? nearest;
  const warnings: RivetDiameterResult['warnings'] = [];
  if (above(ruleDiameterIn, largest.diameterIn + ONE_SIZE_IN))
    warnings.push('larger-than-standard');
  if (below(ruleDiameterIn, smallest.diameterIn - ONE_SIZE_IN))
    warnings.push('smaller-than-standard');

  return answer({ ruleDiameterIn, dash: nearest.dash, diameterIn: nearest.diameterIn, warnings }, [
    workLine(`${school} sheet`, sheetsIn.map(num).join(', '), sheetIn, 'in'),
    workLine('rule diameter', by`3 × t = 3 × ${len(sheetIn)}`, ruleDiameterIn, 'in'),
    workLine(
      'nearest standard size',
      `of ${RIVET_SIZES.map((rivet) => num(rivet.diameterIn)).join(', ')}`,
      nearest.diameterIn,
      'in'
    )
  ]);
}
