import { z } from 'zod';
import { answer, num, workLine, type Answer } from '../answer.ts';
import { by, len } from '../notation.ts';
import { saying } from '../refusal-said.ts';
import { lengthIn } from '../schema/fields.ts';
import { fittedLine } from '../units/fitted-line.ts';
import { above, atLeast, atMost, below, floorTo } from '../units/tolerance.ts';

const height = (what: string) => lengthIn(what, { above: 0, most: 1 });
const MOST_DIVISIONS = 100_000;

export const SqueezerNextInput = z
  .strictObject({
    targetIn: height('the target height'),
    limits: z.strictObject({
      lowIn: height('the low limit'),
      highIn: height('the high limit')
    }),
    turnIn: lengthIn('one turn of the adjuster', { above: 0, most: 0.25 }),
    divisionsPerTurn: z
      .int('divisions are whole')
      .min(1, 'a turn has at least one division')
      .max(1000, 'a turn has at most 1000 divisions')
      .default(8),
    trials: z
      .array(
        z.strictObject({
          divisions: z.int('divisions are whole').min(-MOST_DIVISIONS).max(MOST_DIVISIONS),
          heightIn: height('the head height')
        })
      )
      .min(1, 'at least one trial is needed: drive one rivet in scrap and measure it')
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
export type SqueezerNextInput = z.output<typeof SqueezerNextInput>;

export const SqueezerNextResult = z.strictObject({
  nextDivisions: z.number().int().nullable(),
  changeDivisions: z.number().int(),
  done: z.boolean(),
  overDriven: z.boolean(),
  stuck: z.boolean(),
  heightPerDivisionIn: z.number(),
  confidence: z.enum(['assumed', 'measured'])
});
export type SqueezerNextResult = z.infer<typeof SqueezerNextResult>;

/** A tool that springs back closes less than it is turned, but never less than half. */
const LEAST_SHARE = 0.5;
/** Further off than this many divisions, only part of the way is gone at once. */
const NEAR_DIVISIONS = 4;
const FAR_SHARE = 0.75;

/** Height over divisions: as measured, or as the adjuster's thread says; negative, in a division. */
function slopeOf({ trials }: SqueezerNextInput, nominalIn: number) {
  const fitted =
    fittedLine(trials.map(({ divisions, heightIn }) => ({ at: divisions, valueIn: heightIn })))
      ?.slopeIn ?? null;
  return fitted === null
    ? { slopeIn: nominalIn, confidence: 'assumed' as const }
    : { slopeIn: Math.min(fitted, LEAST_SHARE * nominalIn), confidence: 'measured' as const };
}

/**
 * The next setting of a squeezer's adjuster, always coming from the open side: a head driven too low cannot be undone.
 *
 * @param input inches; divisions close the gap
 * @returns the absolute setting and the change; `done` inside the limits, `overDriven` where this setting or a more open
 * one went below them (never offered again: null), `stuck` where even one division could
 * @throws never
 * @source drive; calculation `squeezer-next`
 * @example squeezer-next {"targetIn":0.0625,"limits":{"lowIn":0.0475,"highIn":0.08125},"turnIn":0.05,"trials":[{"divisions":2,"heightIn":0.104}]} -> {"nextDivisions":6,"changeDivisions":4,"confidence":"assumed"}
 */
export function squeezerNext(input: SqueezerNextInput): Answer<SqueezerNextResult> {
  const { targetIn, limits, turnIn, divisionsPerTurn, trials } = input;
  const last = trials.at(-1) ?? { divisions: 0, heightIn: 0 };
  const nominalIn = -turnIn / divisionsPerTurn;
  const { slopeIn, confidence } = slopeOf(input, nominalIn);
  // The most that one division can do, whatever the trials say.
  const worstIn = Math.min(slopeIn, nominalIn);
  const low = trials.filter(({ heightIn }) => below(heightIn, limits.lowIn));
  const overDriven = low.some(({ divisions }) => divisions <= last.divisions);
  const done =
    !overDriven && atLeast(last.heightIn, limits.lowIn) && atMost(last.heightIn, limits.highIn);
  /** every setting from here on was too far closed already */
  const closedAt = low.reduce((least, { divisions }) => Math.min(least, divisions), Infinity);
  const roomDivisions = closedAt - 1 - last.divisions;
  const stuck =
    !overDriven && !done && (below(last.heightIn + worstIn, limits.lowIn) || roomDivisions < 1);
  const need = (last.heightIn - targetIn) / -slopeIn;
  const far = above(need, NEAR_DIVISIONS);
  const safe = floorTo((last.heightIn - limits.lowIn) / -worstIn);
  const changeDivisions =
    overDriven || done || stuck
      ? 0
      : Math.min(
          roomDivisions,
          Math.max(1, Math.min(floorTo(far ? FAR_SHARE * need : need), safe))
        );
  return answer(
    {
      nextDivisions: overDriven ? null : last.divisions + changeDivisions,
      changeDivisions,
      done,
      overDriven,
      stuck,
      heightPerDivisionIn: slopeIn,
      confidence
    },
    [
      workLine(
        'one division, by the thread',
        by`turn / divisions = ${len(turnIn)} / ${divisionsPerTurn}`,
        -nominalIn,
        'in'
      ),
      workLine(
        'a division lowers the head by',
        confidence === 'measured'
          ? `least squares of ${trials.length} trials, at least half of that`
          : 'as the thread says (assumed)',
        -slopeIn,
        'in'
      ),
      workLine(
        'divisions needed',
        by`(${len(last.heightIn)} − ${len(targetIn)}) / ${len(-slopeIn)}`,
        need,
        'divisions'
      ),
      workLine(
        'change',
        overDriven
          ? 'this setting or a more open one went below the low limit'
          : done
            ? 'inside the limits: leave it'
            : stuck
              ? 'one division more could go below the low limit: finish by hand'
              : `${far ? 'three quarters of the way, ' : ''}down to whole divisions, never past the low limit (at most ${num(safe)})`,
        changeDivisions,
        'divisions'
      )
    ]
  );
}
