import { z } from 'zod';
import { notPossible, type Answer, type WorkLine } from '../answer.ts';
import { headLimits, longMayPass } from '../catalog/head-limits.ts';
import { rivetSize } from '../catalog/rivets.ts';
import type { Dash, HeadLimitsName } from '../schema/fields.ts';
import { readInput } from '../schema/read.ts';
import { above, atLeast, atMost } from '../units/tolerance.ts';
import type { Finding, LookVerdict } from './findings.ts';
import { GaugeVerdictInput, gaugeVerdict } from './gauge-verdict.ts';
import type { CannotTell } from './head-judged.ts';

/** A plate is made so closely: a head within it of the limit takes one more blow without harm. */
const MADE_TO_IN = 0.002;
const measured = z.number().positive().max(2);

export const PlateUsed = z.strictObject({
  name: z.string().trim().min(1).max(60),
  headHoleIn: measured,
  notchIn: measured,
  /** an upper hole that every good head enters, and an upper notch that every good head stands under */
  upperHoleIn: measured.nullable().default(null),
  upperNotchIn: measured.nullable().default(null)
});
/** A gauge plate's holes and notches for one size, as measured on it; inches. */
export type PlateUsed = z.output<typeof PlateUsed>;

export const PlateLook = z.strictObject({
  plate: PlateUsed,
  /** the lower hole goes over the head */
  fitsOver: z.boolean(),
  /** under the lower notch its feet touch the sheet */
  touchesSheet: z.boolean(),
  /** the same of the upper ones; null where they were not tried */
  upperFits: z.boolean().nullable().default(null),
  upperTouches: z.boolean().nullable().default(null)
});
export type PlateLook = z.output<typeof PlateLook>;

export interface PlateSays {
  verdict: LookVerdict;
  findings: Finding[];
  cannotTell: CannotTell[];
}

/**
 * What a plate says under a release's own limits. Its lower hole and notch are judged as `gauge-verdict` does; what that
 * leaves open under narrower limits, and what the upper ones tell, comes after.
 *
 * @source inspect; calculation `gauge-verdict` and the windows of `driven-head`
 */
export function plateSays(dash: Dash, limits: HeadLimitsName, look: PlateLook): Answer<PlateSays> {
  const { plate, fitsOver, touchesSheet, upperFits, upperTouches } = look;
  const lower = readInput(GaugeVerdictInput, {
    dash,
    fitsOver,
    touchesSheet,
    plate: { headHoleIn: plate.headHoleIn, notchIn: plate.notchIn }
  });
  if (!lower.ok) return lower;
  const judged = gaugeVerdict(lower.value);
  if (!judged.ok) return judged;
  // a head that enters the lower hole enters the upper one, one that is lower than the notch stands under the upper
  if ((fitsOver && upperFits === false) || (touchesSheet && upperTouches === false))
    return notPossible('plate', {
      code: 'plate-contradicts',
      what: fitsOver && upperFits === false ? 'hole' : 'notch'
    });

  const D = rivetSize(dash).diameterIn;
  const { diameterD, heightD } = headLimits(limits);
  const say = (
    verdict: LookVerdict,
    findings: Finding[],
    cannotTell: CannotTell[]
  ): Answer<PlateSays> => ({
    ok: true,
    result: { verdict, findings, cannotTell },
    work: [...judged.work, ...upperWork(look)]
  });
  const { verdict, findings, cannotTell } = judged.result;
  // a hole wider than the least good head also goes over good ones
  if (fitsOver && above(plate.headHoleIn, diameterD.low * D + MADE_TO_IN))
    return say('measure', [], ['too-narrow', ...cannotTell]);
  if (verdict !== 'accept') return say(verdict, findings, cannotTell);

  const open: CannotTell[] = [];
  if (!atLeast(plate.headHoleIn, diameterD.low * D)) open.push('too-narrow');
  if (!atLeast(plate.notchIn, heightD.low * D)) open.push('too-low');
  const { upperHoleIn, upperNotchIn } = plate;
  const notWide =
    upperFits === true && upperHoleIn !== null && atMost(upperHoleIn, diameterD.high * D);
  const wide =
    upperFits === false && upperHoleIn !== null && atLeast(upperHoleIn, diameterD.high * D);
  const notHigh =
    upperTouches === true && upperNotchIn !== null && atMost(upperNotchIn, heightD.high * D);
  const high =
    upperTouches === false && upperNotchIn !== null && atLeast(upperNotchIn, heightD.high * D);
  if (wide && (!longMayPass(limits) || high)) return say('replace', ['too-long'], []);
  if (wide) return say('measure', ['too-long'], notHigh ? ['too-long'] : ['too-long', 'too-high']);
  if (high && notWide && open.length === 0) return say('drive-more', ['under-driven'], []);
  if (high)
    return say('measure', ['under-driven'], [...open, ...(notWide ? [] : (['too-wide'] as const))]);
  const rest: CannotTell[] = [
    ...(notWide ? [] : (['too-wide'] as const)),
    ...(notHigh ? [] : (['too-high'] as const))
  ];
  return open.length > 0 ? say('measure', [], [...open, ...rest]) : say('accept', [], rest);
}

function upperWork({ plate, upperFits, upperTouches }: PlateLook): WorkLine[] {
  const lines: WorkLine[] = [];
  if (upperFits !== null && plate.upperHoleIn !== null)
    lines.push({
      label: 'upper hole',
      formula: upperFits
        ? 'it goes over the head: not wider'
        : 'it does not go over the head: wider',
      value: plate.upperHoleIn,
      unit: 'in'
    });
  if (upperTouches !== null && plate.upperNotchIn !== null)
    lines.push({
      label: 'upper notch',
      formula: upperTouches
        ? 'its feet touch the sheet: not higher'
        : 'it stands off the sheet: higher',
      value: plate.upperNotchIn,
      unit: 'in'
    });
  return lines;
}
