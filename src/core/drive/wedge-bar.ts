import { z } from 'zod';
import { answer, notPossible, workLine, type Answer } from '../answer.ts';
import { by, len } from '../notation.ts';
import { NOMINAL_HEIGHT_D } from '../catalog/head-limits.ts';
import { rivetSize } from '../catalog/rivets.ts';
import { saying } from '../refusal-said.ts';
import { Dash, lengthIn } from '../schema/fields.ts';
import { above, atLeast, atMost, below } from '../units/tolerance.ts';

/** A steeper wedge slips. */
const STEEPEST_RISE = 0.5;
const LEAST_HEAD_D = 0.38;
const MOST_HEAD_D = 0.65;
const member = (what: string) => lengthIn(what, { above: 0, most: 100 });

export const WedgeBarInput = z
  .strictObject({
    insideIn: member('the clear height inside'),
    barIn: member('the bar at rest'),
    shimIn: lengthIn('the shim', { least: 0, most: 100 }).default(0),
    risePerIn: z
      .number('the rise for each inch pulled is a plain number')
      .positive('the wedge rises')
      .max(STEEPEST_RISE, `a wedge that rises over ${STEEPEST_RISE} for 1 slips`),
    travelIn: member('the longest pull'),
    dash: Dash,
    protrusionIn: member('the protrusion'),
    shopHeightD: z
      .number('the shop head height is a number of D')
      .min(LEAST_HEAD_D, `a good head is at least ${LEAST_HEAD_D} D high`)
      .max(MOST_HEAD_D, `a good head is at most ${MOST_HEAD_D} D high`)
      .default(NOMINAL_HEIGHT_D)
  })
  .superRefine(({ dash, protrusionIn }, context) => {
    const D = rivetSize(dash).diameterIn;
    if (below(protrusionIn, D) || above(protrusionIn, 2 * D))
      context.addIssue({
        code: 'custom',
        path: ['protrusionIn'],
        params: saying({ code: 'protrusion-not-1-to-2-d', protrusionIn, diameterIn: D })
      });
  });
export type WedgeBarInput = z.output<typeof WedgeBarInput>;

export const WedgeBarResult = z.strictObject({
  freeIn: z.number(),
  touchPullIn: z.number().nullable(),
  finalPullIn: z.number().nullable(),
  fits: z.boolean(),
  shimLeastIn: z.number().nullable(),
  shimMostIn: z.number().nullable()
});
export type WedgeBarResult = z.infer<typeof WedgeBarResult>;

/**
 * A remote bar of two wedges inside a closed member: how far it is pulled until it touches the rivet and until the head is
 * made, and which shims let it.
 *
 * @param input inches; `risePerIn` is the rise for each inch pulled
 * @returns lengths in inches; pulls are null where the shim leaves no room for the rivet, shims where none fits
 * @throws never; `not-possible` when the bar does not go in under the rivet even without a shim
 * @source drive; calculation `wedge-bar`
 * @example wedge-bar {"insideIn":1.2,"barIn":0.9,"risePerIn":0.1,"travelIn":2.5,"dash":4,"protrusionIn":0.19} -> {"freeIn":0.11,"fits":true}
 */
export function wedgeBar(input: WedgeBarInput): Answer<WedgeBarResult> {
  const { insideIn, barIn, shimIn, risePerIn, travelIn, dash, protrusionIn, shopHeightD } = input;
  const headIn = shopHeightD * rivetSize(dash).diameterIn;
  const bareIn = insideIn - barIn - protrusionIn;
  if (below(bareIn, 0))
    return notPossible('barIn', { code: 'bar-does-not-go-in', insideIn, barIn, protrusionIn });
  const freeIn = bareIn - shimIn;
  const room = atLeast(freeIn, 0);
  const finalIn = (insideIn - barIn - shimIn - headIn) / risePerIn;
  const shimLeastIn = Math.max(0, insideIn - barIn - headIn - travelIn * risePerIn);
  const shims = atMost(shimLeastIn, bareIn);
  return answer(
    {
      freeIn,
      touchPullIn: room ? freeIn / risePerIn : null,
      finalPullIn: room ? finalIn : null,
      fits: room && atMost(finalIn, travelIn),
      shimLeastIn: shims ? shimLeastIn : null,
      shimMostIn: shims ? bareIn : null
    },
    [
      workLine(
        'room over the rivet',
        by`inside − bar − shim − protrusion = ${len(insideIn)} − ${len(barIn)} − ${len(shimIn)} − ${len(protrusionIn)}`,
        freeIn,
        'in'
      ),
      workLine(
        'pulled until the head is made',
        by`(inside − bar − shim − head) / rise = (${len(insideIn)} − ${len(barIn)} − ${len(shimIn)} − ${len(headIn)}) / ${risePerIn}`,
        room ? finalIn : 'no room',
        room ? 'in' : ''
      ),
      workLine(
        'shim, at least',
        by`inside − bar − head − travel × rise = ${len(insideIn)} − ${len(barIn)} − ${len(headIn)} − ${len(travelIn)} × ${risePerIn}, not below 0`,
        shims ? shimLeastIn : 'none fits',
        shims ? 'in' : ''
      ),
      workLine(
        'shim, at most',
        by`inside − bar − protrusion = ${len(insideIn)} − ${len(barIn)} − ${len(protrusionIn)}`,
        shims ? bareIn : 'none fits',
        shims ? 'in' : ''
      )
    ]
  );
}
