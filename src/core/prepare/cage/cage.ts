import { z } from 'zod';
import { lengthIn } from '../../schema/fields.ts';

const named = (what: string, most: number) =>
  z.string().trim().min(1, `${what} is missing`).max(most, `${what} is at most ${most} characters`);

export const CutterDeg = z.literal([100, 110, 120], {
  error: 'the angle of the cutter is 100, 110 or 120 degrees'
});

/** A cage with the cutter and the pilot that are in it; another cutter makes another setting. */
export const Cage = z.strictObject({
  name: named('the name of the stop countersink', 40),
  cutter: named('the cutter’s name', 40),
  cutterDeg: CutterDeg,
  cutterIn: lengthIn('the cutter’s width', { least: 0.1, most: 1.5 }),
  pilotIn: lengthIn('the pilot’s diameter', { least: 0.05, most: 0.5 }),
  /** how far the pilot stands out before the cutter */
  pilotLengthIn: lengthIn('the pilot’s length', { least: 0.03, most: 2 })
});
export type Cage = z.output<typeof Cage>;
/** The same as typed. */
export type EnteredCage = z.input<typeof Cage>;
