import { z } from 'zod';
import { answer, workLine, type Answer } from '../answer.ts';
import { by, len } from '../notation.ts';
import { saying } from '../refusal-said.ts';
import { lengthIn } from '../schema/fields.ts';
import { CLICK_IN } from '../stack/dimple-nest.ts';
import { above, atLeast, atMost, below, floorTo } from '../units/tolerance.ts';

/** No countersink is further off than this. */
const FURTHEST_IN = 1;
const flushness = (what: string) => lengthIn(what, { least: -FURTHEST_IN, most: FURTHEST_IN });

export const CountersinkNextInput = z
  .strictObject({
    targetIn: flushness('the target flushness'),
    limits: z.strictObject({
      lowIn: flushness('the low limit'),
      highIn: flushness('the high limit')
    }),
    filmIn: lengthIn('the film', { least: 0, most: 0.1 }).default(0),
    trials: z
      .array(
        z.strictObject({
          clicks: z.int('clicks are whole').min(-100_000).max(100_000),
          flushnessIn: flushness('the flushness')
        })
      )
      .min(1, 'at least one trial is needed: cut one hole and measure it')
      .max(1000, 'at most 1000 trials')
  })
  .superRefine(({ targetIn, limits }, context) => {
    if (limits.lowIn > limits.highIn)
      context.addIssue({
        code: 'custom',
        path: ['limits'],
        params: saying({ code: 'limits-crossed', ...limits })
      });
    else if (below(targetIn, limits.lowIn) || above(targetIn, limits.highIn))
      context.addIssue({
        code: 'custom',
        path: ['targetIn'],
        params: saying({ code: 'target-outside-limits', targetIn, ...limits })
      });
  });
export type CountersinkNextInput = z.output<typeof CountersinkNextInput>;

export const CountersinkNextResult = z.strictObject({
  nextClicks: z.number().int(),
  changeClicks: z.number().int(),
  done: z.boolean(),
  tooDeep: z.boolean(),
  stuck: z.boolean(),
  slopePerClickIn: z.number(),
  confidence: z.enum(['assumed', 'measured'])
});
export type CountersinkNextResult = z.infer<typeof CountersinkNextResult>;

/** One click lowers a head by a thou, until the trials show a steeper slope. */
const ASSUMED_SLOPE_IN = -CLICK_IN;
/** Further off than this many clicks, only part of the way is gone at once. */
const NEAR_CLICKS = 4;
const FAR_SHARE = 0.75;

/** One trial without its film. */
export interface TrialPoint {
  clicks: number;
  flushIn: number;
}

/** A straight line of flushness over clicks: where it passes, and its slope in inches a click. */
export interface TrialLine {
  clicks: number;
  flushIn: number;
  slopePerClickIn: number;
}

/** The least-squares line of some trials, or null with fewer than two different settings. */
export function fittedLine(points: readonly TrialPoint[]): TrialLine | null {
  const mean = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
  const clicksMean = mean(points.map((point) => point.clicks));
  const flushMean = mean(points.map((point) => point.flushIn));
  let across = 0;
  let spread = 0;
  for (const { clicks, flushIn } of points) {
    across += (clicks - clicksMean) * (flushIn - flushMean);
    spread += (clicks - clicksMean) ** 2;
  }
  return spread === 0
    ? null
    : { clicks: clicksMean, flushIn: flushMean, slopePerClickIn: across / spread };
}

/**
 * The next cage setting of a countersink, always coming from the shallow side: what is cut too deep
 * cannot be undone.
 *
 * @param input inches; flushness is head height above (+) or below (−) the skin, as read; clicks deepen
 * @returns the absolute setting and the change; `done` inside the limits, `tooDeep` below them, `stuck` when
 * even one click is predicted to go below them (finish by hand)
 * @throws never
 * @source handbook 4.4; contract `countersink-next`
 * @example countersink-next {"targetIn":0.002,"limits":{"lowIn":0,"highIn":0.003},"trials":[{"clicks":4,"flushnessIn":0.0061}]} -> {"nextClicks":7,"changeClicks":3,"confidence":"assumed"}
 */
export function countersinkNext(input: CountersinkNextInput): Answer<CountersinkNextResult> {
  const { targetIn, limits, filmIn, trials } = input;
  const points = trials.map(({ clicks, flushnessIn }) => ({
    clicks,
    flushIn: flushnessIn - filmIn
  }));
  const last = points.at(-1) ?? { clicks: 0, flushIn: 0 };
  const fitted = fittedLine(points)?.slopePerClickIn ?? null;
  const measured = fitted !== null && below(fitted, ASSUMED_SLOPE_IN);
  const slopePerClickIn = measured ? fitted : ASSUMED_SLOPE_IN;
  const needClicks = (last.flushIn - targetIn) / -slopePerClickIn;
  const done = atLeast(last.flushIn, limits.lowIn) && atMost(last.flushIn, limits.highIn);
  const tooDeep = below(last.flushIn, limits.lowIn);
  const stuck = !done && !tooDeep && below(last.flushIn + slopePerClickIn, limits.lowIn);
  const far = above(needClicks, NEAR_CLICKS);
  const changeClicks =
    done || tooDeep || stuck ? 0 : Math.max(1, floorTo(far ? FAR_SHARE * needClicks : needClicks));
  return answer(
    {
      nextClicks: last.clicks + changeClicks,
      changeClicks,
      done,
      tooDeep,
      stuck,
      slopePerClickIn,
      confidence: measured ? 'measured' : 'assumed'
    },
    [
      workLine(
        'flushness without film',
        by`last reading − film = ${len(last.flushIn + filmIn)} − ${len(filmIn)}`,
        last.flushIn,
        'in'
      ),
      workLine(
        'slope',
        measured ? `least squares of ${points.length} trials` : 'one click, one thou (assumed)',
        slopePerClickIn,
        'in/click'
      ),
      workLine(
        'clicks needed',
        by`(${len(last.flushIn)} − ${len(targetIn)}) / ${len(-slopePerClickIn)}`,
        needClicks,
        'clicks'
      ),
      workLine(
        'change',
        done
          ? 'inside the limits: leave it'
          : tooDeep
            ? 'below the low limit: too deep already'
            : stuck
              ? 'one click more would go below the low limit: finish by hand'
              : far
                ? 'three quarters of the way, down to whole clicks'
                : 'down to whole clicks, at least one',
        changeClicks,
        'clicks'
      )
    ]
  );
}
