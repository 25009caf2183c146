import { z } from 'zod';
import { answer, num, workLine, type Answer } from '../answer.ts';
import { drillIn } from '../catalog/drills.ts';
import { PILOT_DRILL, rivetSize } from '../catalog/rivets.ts';
import { Dash, DrillSchool, MOST_HOLES } from '../schema/fields.ts';

export const HolePlanInput = z.strictObject({
  holes: z
    .int('a whole number of holes is expected')
    .min(1, 'at least one hole')
    .max(MOST_HOLES, `at most ${MOST_HOLES} holes`),
  layers: z.int('a whole number of layers is expected').min(1, 'at least one layer').max(100),
  dash: Dash,
  school: DrillSchool.default('close')
});
export type HolePlanInput = z.output<typeof HolePlanInput>;

export const HolePlanResult = z.strictObject({
  pilot: z.string(),
  final: z.string(),
  finalIn: z.number(),
  drillings: z.number().int(),
  deburrs: z.number().int()
});
export type HolePlanResult = z.infer<typeof HolePlanResult>;

/**
 * Drills and counts for a joint's holes. Every hole starts as a #40 pilot; both sides of every sheet
 * are deburred.
 *
 * @param input holes, layers held, the rivet and the drill school
 * @returns drill names, the final diameter in inches, drillings through the whole stack, deburr operations
 * @throws never
 * @source rivets and prepare; calculation `hole-plan`
 * @example hole-plan {"holes":50,"layers":2,"dash":4} -> {"pilot":"#40","final":"#30","drillings":100,"deburrs":200}
 */
export function holePlan({ holes, layers, dash, school }: HolePlanInput): Answer<HolePlanResult> {
  const final = rivetSize(dash).drill[school];
  // A dash 3 hole is final with its pilot.
  const passes = final === PILOT_DRILL ? 1 : 2;
  const drillings = holes * passes;
  const deburrs = holes * layers * 2;
  return answer({ pilot: PILOT_DRILL, final, finalIn: drillIn(final), drillings, deburrs }, [
    workLine('final drill', `dash ${dash}, ${school} practice: ${final}`, drillIn(final), 'in'),
    workLine(
      'drillings',
      `${num(holes)} holes × ${passes === 1 ? '1, the pilot is final' : '2, pilot and final'}`,
      drillings,
      'drillings'
    ),
    workLine('deburrs', `${num(holes)} holes × ${layers} sheets × 2 sides`, deburrs, 'deburrs')
  ]);
}
