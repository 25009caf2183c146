import { z } from 'zod';
import { answer, workLine, type Answer } from '../answer.ts';
import { by, len } from '../notation.ts';
import { DRILLS, drillIn } from '../catalog/drills.ts';
import { rivetSize } from '../catalog/rivets.ts';
import { Dash } from '../schema/fields.ts';
import { below } from '../units/tolerance.ts';

export const RemovalInput = z.strictObject({
  dash: Dash,
  school: z.enum(['under-shank', 'hole-drill']).default('under-shank')
});
export type RemovalInput = z.output<typeof RemovalInput>;

export const RemovalResult = z.strictObject({
  drill: z.string(),
  drillIn: z.number(),
  punchMaxIn: z.number()
});
export type RemovalResult = z.infer<typeof RemovalResult>;

const PUNCH_UNDER_IN = 1 / 64;

/**
 * The drill that takes a rivet's head off, and the largest punch that drives the shank out. Schools:
 * a size under the shank, so that the hole cannot grow, or the rivet's own hole drill (hole at risk).
 *
 * @param input the rivet and the school
 * @returns drill name, its diameter and the largest punch, in
 * @throws never
 * @source rework; calculation `removal`
 * @example removal {"dash":4} -> {"drill":"#31","drillIn":0.12,"punchMaxIn":0.109375}
 */
export function removal({ dash, school }: RemovalInput): Answer<RemovalResult> {
  const rivet = rivetSize(dash);
  const D = rivet.diameterIn;
  const under = DRILLS.filter(({ diameterIn }) => below(diameterIn, D)).at(-1);
  const drill =
    school === 'under-shank' && under
      ? under
      : { name: rivet.drill.close, diameterIn: drillIn(rivet.drill.close) };
  const punchMaxIn = D - PUNCH_UNDER_IN;
  return answer({ drill: drill.name, drillIn: drill.diameterIn, punchMaxIn }, [
    workLine(
      'drill through the head only',
      school === 'under-shank'
        ? by`largest drill under D = ${len(D)}: ${drill.name}`
        : `the rivet’s own hole drill: ${drill.name}`,
      drill.diameterIn,
      'in'
    ),
    workLine('punch, at most', by`D − 1/64 = ${len(D)} − ${len(PUNCH_UNDER_IN)}`, punchMaxIn, 'in')
  ]);
}
