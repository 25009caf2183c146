import { z } from 'zod';
import {
  answer,
  invalidInput,
  notPossible,
  workLine,
  type Answer,
  type Refusal
} from '../answer.ts';
import { by, len, lens } from '../notation.ts';
import { LONGEST_LENGTH_DASH, rivetSize, SHORTEST_LENGTH_DASH } from '../catalog/rivets.ts';
import { DEFAULT_MULTIPLIERS, type Multipliers } from '../rules/multipliers.ts';
import { Alloy, Dash, Head, Increments, Lean, sheetsIn, takesThickness } from '../schema/fields.ts';
import { above, atLeast, below, ceilTo, floorTo, roundHalfAway } from '../units/tolerance.ts';
import { DIMPLED_LIMIT_IN } from './flush-method.ts';
import { writeLengthDash, writePartNumber } from './part-number.ts';

export const RivetLengthInput = takesThickness({
  sheetsIn,
  dash: Dash,
  head: Head,
  alloy: Alloy.default('AD'),
  increments: Increments.default('half'),
  lean: Lean.default('nearest'),
  dimpled: z.boolean().default(false)
});
export type RivetLengthInput = z.output<typeof RivetLengthInput>;

export const RivetLengthResult = z.strictObject({
  gripIn: z.number(),
  idealIn: z.number(),
  lengthIn: z.number(),
  lengthDash: z.string(),
  protrusionIn: z.number(),
  protrusionD: z.number(),
  atDimpleIn: z.number().nullable(),
  inWindow: z.boolean(),
  partNumber: z.string()
});
export type RivetLengthResult = z.infer<typeof RivetLengthResult>;

export const IDEAL_PROTRUSION_D = 1.5;
const STEPS_PER_IN = { sixteenth: 16, half: 32 };
const ROUND = { nearest: roundHalfAway, long: ceilTo, short: floorTo };

/** The stocked length nearest the ideal, as a school rounds it: inches, and sixteenths of one. */
export function stockedLength(
  gripIn: number,
  { dash, increments, lean }: Pick<RivetLengthInput, 'dash' | 'increments' | 'lean'>,
  beyondIn = 0
):
  | { ok: true; idealIn: number; lengthIn: number; sixteenths: number }
  | { ok: false; error: Refusal } {
  const idealIn = gripIn + beyondIn + IDEAL_PROTRUSION_D * rivetSize(dash).diameterIn;
  const stepsPerIn = STEPS_PER_IN[increments];
  const lengthIn = ROUND[lean](idealIn * stepsPerIn) / stepsPerIn;
  const sixteenths = lengthIn * 16;
  return sixteenths < SHORTEST_LENGTH_DASH || sixteenths > LONGEST_LENGTH_DASH
    ? notPossible('sheetsIn', {
        code: 'no-such-length',
        gripIn,
        sixteenths,
        shortest: SHORTEST_LENGTH_DASH,
        longest: LONGEST_LENGTH_DASH
      })
    : { ok: true, idealIn, lengthIn, sixteenths };
}

const ROUNDING = { nearest: 'nearest', long: 'round up', short: 'round down' } as const;

/** @returns whether a protrusion in D is inside the window, its limits excluded */
export const protrusionInWindow = (
  protrusionD: number,
  { protrusionMinD, protrusionMaxD }: Multipliers = DEFAULT_MULTIPLIERS
): boolean => above(protrusionD, protrusionMinD) && below(protrusionD, protrusionMaxD);

/**
 * The rivet length for a stack: grip plus 1.5 D, rounded to a stocked length. The schools differ in
 * the rounding (nearest, lean long, lean short) and in whether half sizes are stocked.
 *
 * @param input sheets in inches; `dimpled` only for countersunk heads
 * @param limits the rule profile's multiples of D
 * @param beyondIn where the shop's school names the protrusion from: 0 for the flat stack, the head height for a raised dimple
 * @returns lengths in inches; `lengthIn` is under the head for universal, overall for countersunk;
 * `atDimpleIn` is the protrusion reckoned from the raised dimple
 * @throws never; `not-possible` when the length is not between -2 and -32, a countersunk head is deeper than the flat stack,
 * or a stack said to be dimpled through is too thick for that
 * @source stack-up; calculation `rivet-length`
 * @example rivet-length {"sheetsIn":[0.0625,0.0625],"dash":4,"head":"universal"} -> {"lengthDash":"5","partNumber":"MS20470AD4-5"}
 */
export function rivetLength(
  input: RivetLengthInput,
  limits: Multipliers = DEFAULT_MULTIPLIERS,
  beyondIn = 0
): Answer<RivetLengthResult> {
  const { sheetsIn, dash, head, alloy, increments, lean, dimpled } = input;
  if (dimpled && head === 'universal') return invalidInput('dimpled', { code: 'not-dimpled-head' });

  const rivet = rivetSize(dash);
  const D = rivet.diameterIn;
  const gripIn = sheetsIn.reduce((sum, sheet) => sum + sheet, 0);
  const headHeightIn = rivet.head.countersunk.heightIn;
  if (dimpled && atLeast(gripIn, DIMPLED_LIMIT_IN))
    return notPossible('sheetsIn', {
      code: 'too-thick-to-dimple',
      thickIn: gripIn,
      limitIn: DIMPLED_LIMIT_IN
    });
  if (head === 'countersunk' && !dimpled && above(headHeightIn, gripIn))
    return notPossible('sheetsIn', { code: 'head-over-grip', headIn: headHeightIn, gripIn });
  const stocked = stockedLength(gripIn, input, beyondIn);
  if (!stocked.ok) return stocked;
  const { idealIn, lengthIn, sixteenths } = stocked;
  const protrusionIn = lengthIn - gripIn;
  const protrusionD = protrusionIn / D;
  const atDimpleIn = dimpled ? protrusionIn - headHeightIn : null;
  const lengthDash = writeLengthDash(sixteenths);
  const work = [
    workLine('grip', lens(sheetsIn, ' + '), gripIn, 'in', 'grip'),
    workLine(
      'ideal length',
      beyondIn === 0
        ? by`G + 1.5 D = ${len(gripIn)} + 1.5 × ${len(D)}`
        : by`G + head + 1.5 D, measured from the dimple = ${len(gripIn)} + ${len(beyondIn)} + 1.5 × ${len(D)}`,
      idealIn,
      'in'
    ),
    workLine(
      `length, ${ROUNDING[lean]}`,
      `to a whole 1/${STEPS_PER_IN[increments]} = -${lengthDash} (16ths)`,
      lengthIn,
      'in'
    ),
    workLine(
      'protrusion',
      by`L − G = ${len(lengthIn)} − ${len(gripIn)}`,
      protrusionIn,
      'in',
      'protrusion'
    ),
    workLine(
      'protrusion in D',
      by`${len(protrusionIn)} / ${len(D)}`,
      protrusionD,
      'D',
      'protrusion'
    )
  ];
  if (atDimpleIn !== null)
    work.push(
      workLine(
        'protrusion at the dimple',
        by`${len(protrusionIn)} − head height ${len(headHeightIn)}`,
        atDimpleIn,
        'in',
        'protrusion'
      )
    );
  return answer(
    {
      gripIn,
      idealIn,
      lengthIn,
      lengthDash,
      protrusionIn,
      protrusionD,
      atDimpleIn,
      inWindow: protrusionInWindow((protrusionIn - beyondIn) / D, limits),
      partNumber: writePartNumber('MS', head, alloy, dash, sixteenths)
    },
    work
  );
}
