import { z } from 'zod';
import { answer, workLine, type Answer } from '../answer.ts';
import { by, len } from '../notation.ts';
import { saying } from '../refusal-said.ts';
import { lengthIn } from '../schema/fields.ts';
import { CLICK_IN } from '../stack/dimple-nest.ts';
import { fittedLine, type Reading } from '../units/fitted-line.ts';
import { above, atMost, below, floorTo } from '../units/tolerance.ts';

/** No countersink is further off than this: beyond it a decimal point slipped. */
const FURTHEST_IN = 0.1;
/** Nor is protective film thicker. */
export const THICKEST_FILM_IN = 0.005;
const flushness = (what: string) => lengthIn(what, { least: -FURTHEST_IN, most: FURTHEST_IN });

interface Film {
  filmIn: number;
  filmCut?: boolean | undefined;
  filmRead?: boolean | undefined;
  filmWork?: boolean | undefined;
}

/** What is still to be said of a film, or cannot be. */
function filmUnsaid(film: Film): { at: string; message: string } | null {
  for (const at of ['filmCut', 'filmRead', 'filmWork'] as const)
    if (film[at] === undefined)
      return { at, message: `${at} is missing: with film, say whether it was on` };
  return film.filmRead && !film.filmCut
    ? {
        at: 'filmRead',
        message: 'a head cannot be read with its film on where the scrap was cut without it'
      }
    : null;
}

/**
 * How much prouder a head will stand on the bare work than it was read on the scrap, in.
 *
 * @source stack-up: a cage that rests on film cuts that much less into the metal
 */
export const filmRaisesIn = ({ filmIn, filmCut, filmRead, filmWork }: Film): number =>
  filmIn * (Number(filmRead ?? false) - Number(filmCut ?? false) + Number(filmWork ?? false));

/** What is asked where there is film; without film it is not used. */
const said = (what: string) => z.boolean(`${what}: true or false`).optional();

export const CountersinkNextInput = z
  .strictObject({
    targetIn: flushness('the target flushness'),
    limits: z.strictObject({
      lowIn: flushness('the low limit'),
      highIn: flushness('the high limit')
    }),
    filmIn: lengthIn('the film', { least: 0, most: THICKEST_FILM_IN }).default(0),
    filmCut: said('the scrap was cut with its film on'),
    filmRead: said('the head was read with the film on'),
    filmWork: said('the work will be cut with its film on, then peeled'),
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
  .superRefine(({ targetIn, limits, ...film }, context) => {
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
    const wrong = film.filmIn > 0 ? filmUnsaid(film) : null;
    if (wrong) context.addIssue({ code: 'custom', path: [wrong.at], message: wrong.message });
  });
export type CountersinkNextInput = z.output<typeof CountersinkNextInput>;

export const CountersinkNextResult = z.strictObject({
  nextClicks: z.number().int().nullable(),
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

const SHARE_WORDS: Record<number, string> = {
  0.5: 'half of the way, as a click may be coarser: ',
  0.75: 'three quarters of the way, '
};
/** Readings over fewer clicks than this scatter too much to say how deep a click cuts. */
const MEASURED_SPAN_CLICKS = 3;
/** Of the way to the target while a click may be coarser than it is taken for. */
const ASSUMED_SHARE = 0.5;

/** Flushness over clicks: as measured, where the trials say so, or as a click is taken to be. */
function slopeOf(readings: readonly Reading[]) {
  const fitted = fittedLine(readings)?.slopeIn ?? null;
  const clicks = readings.map(({ at }) => at);
  const span = Math.max(...clicks) - Math.min(...clicks);
  return fitted !== null && below(fitted, ASSUMED_SLOPE_IN) && span >= MEASURED_SPAN_CLICKS
    ? { slopePerClickIn: fitted, confidence: 'measured' as const }
    : { slopePerClickIn: ASSUMED_SLOPE_IN, confidence: 'assumed' as const };
}

/**
 * The next cage setting of a countersink, always coming from the shallow side: what is cut too deep
 * cannot be undone.
 *
 * @param input inches; flushness is head height above (+) or below (−) the skin, as read; clicks deepen
 * @returns the absolute setting (null once too deep) and the change; `done` inside the limits, `tooDeep` where this setting
 * or a shallower one went below them, `stuck` when even one click is predicted to go below them (finish by hand)
 * @throws never
 * @source prepare; calculation `countersink-next`
 * @example countersink-next {"targetIn":0.002,"limits":{"lowIn":0,"highIn":0.003},"trials":[{"clicks":4,"flushnessIn":0.0061}]} -> {"nextClicks":6,"changeClicks":2,"confidence":"assumed"}
 */
export function countersinkNext(input: CountersinkNextInput): Answer<CountersinkNextResult> {
  const { targetIn, limits, trials } = input;
  const raisedIn = filmRaisesIn(input);
  const readings = trials.map(({ clicks, flushnessIn }) => ({
    at: clicks,
    valueIn: flushnessIn + raisedIn
  }));
  const last = readings.at(-1) ?? { at: 0, valueIn: 0 };
  const { slopePerClickIn, confidence } = slopeOf(readings);
  const needClicks = (last.valueIn - targetIn) / -slopePerClickIn;
  const tooDeepAt = readings.filter(({ valueIn }) => below(valueIn, limits.lowIn));
  const tooDeep = tooDeepAt.some(({ at }) => at <= last.at);
  const done = !tooDeep && atMost(last.valueIn, limits.highIn);
  /** every setting from the shallowest that was too deep on is never offered again */
  const roomClicks =
    tooDeepAt.reduce((least, { at }) => Math.min(least, at), Infinity) - 1 - last.at;
  const stuck =
    !tooDeep && !done && (below(last.valueIn + slopePerClickIn, limits.lowIn) || roomClicks < 1);
  const share =
    confidence === 'assumed' ? ASSUMED_SHARE : above(needClicks, NEAR_CLICKS) ? FAR_SHARE : 1;
  const changeClicks =
    done || tooDeep || stuck ? 0 : Math.min(roomClicks, Math.max(1, floorTo(share * needClicks)));
  return answer(
    {
      nextClicks: tooDeep ? null : last.at + changeClicks,
      changeClicks,
      done,
      tooDeep,
      stuck,
      slopePerClickIn,
      confidence
    },
    [
      workLine(
        'flushness on the bare work',
        raisedIn === 0
          ? 'as read'
          : by`last reading + film × (read on − cut on + work on) = ${len(last.valueIn - raisedIn)} + ${len(raisedIn)}`,
        last.valueIn,
        'in'
      ),
      workLine(
        'slope',
        confidence === 'measured'
          ? `least squares of ${readings.length} trials`
          : 'one click, one thou (assumed until trials span three clicks)',
        slopePerClickIn,
        'in/click'
      ),
      workLine(
        'clicks needed',
        by`(${len(last.valueIn)} − ${len(targetIn)}) / ${len(-slopePerClickIn)}`,
        needClicks,
        'clicks'
      ),
      workLine(
        'change',
        done
          ? 'inside the limits: leave it'
          : tooDeep
            ? 'this setting or a shallower one went below the low limit: too deep already'
            : stuck
              ? 'one click more would go below the low limit: finish by hand'
              : `${SHARE_WORDS[share] ?? ''}down to whole clicks, at least one`,
        changeClicks,
        'clicks'
      )
    ]
  );
}
