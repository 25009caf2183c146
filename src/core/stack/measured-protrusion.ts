import { answer, notPossible, num, workLine, type Answer } from '../answer.ts';
import { rivetSize } from '../catalog/rivets.ts';
import type { Multipliers } from '../rules/multipliers.ts';
import type { Dash } from '../schema/fields.ts';
import { above, below } from '../units/tolerance.ts';
import type { HeldSheet } from './layers.ts';
import { protrusionInWindow } from './rivet-length.ts';

/** What a rivet put in and measured says about the stack; lengths in inches. */
export interface MeasuredProtrusion {
  gripIn: number;
  /** over (+) or under (−) the stack as typed */
  differenceIn: number;
  agrees: boolean;
  /** what would explain it, the likeliest first; empty when it agrees */
  causes: string[];
  protrusionD: number;
  inWindow: boolean;
}

/** A depth gauge on a cut shank end repeats to about this. */
export const READS_WITHIN_IN = 0.004;
/** Film under a head, at most (handbook 4.3). */
const FILM_IN = 0.002;
const LENGTH_STEP_IN = 1 / 32;

const near = (a: number, b: number): boolean => Math.abs(a - b) <= READS_WITHIN_IN;

function causesOf(differenceIn: number, sheets: readonly HeldSheet[]): string[] {
  const causes: string[] = [];
  const apartIn = Math.abs(differenceIn);
  const steps = Math.round(apartIn / LENGTH_STEP_IN);
  const films = sheets.filter((sheet) => sheet.film).length;
  const alike = sheets.find((sheet) => near(sheet.thicknessIn, apartIn));
  if (differenceIn > 0) {
    if (films > 0)
      causes.push(
        `film is still on ${films === 1 ? 'one sheet' : `${films} sheets`}, up to ${num(films * FILM_IN)} in: peel it and measure again`
      );
    causes.push('chips, a burr or a gap between the sheets: take apart, clean, pull together');
    if (alike) causes.push(`one more layer, as thick as ${alike.name}`);
    causes.push('sealant or primer that is not typed');
  } else {
    if (alike) causes.push(`${alike.name} does not lie here`);
    causes.push('a sheet is thinner than typed: measure each');
    causes.push('the head does not sit on the sheet: that reads as a thinner stack');
  }
  if (steps > 0 && near(apartIn, steps * LENGTH_STEP_IN))
    causes.unshift(
      `the rivet measured is ${num(steps * LENGTH_STEP_IN)} in ${differenceIn > 0 ? 'shorter' : 'longer'} than its number says: look at the bin`
    );
  return causes;
}

/**
 * "I put a rivet in and measured": the grip that is really there, and what explains a difference from the stack.
 *
 * @param measured the rivet's length and what stood past the far sheet, in
 * @param stack grip as typed, in, and its sheets
 * @returns the real grip and the causes to look for; a warning wherever it is off by more than a depth gauge repeats
 * @throws never; `not-possible` when no rivet of that length can stand out so far
 * @source handbook 4.3 and 4.6 (metal lost in a gap)
 */
export function measuredProtrusion(
  measured: { dash: Dash; lengthIn: number; protrusionIn: number },
  stack: { gripIn: number; sheets: readonly HeldSheet[] },
  limits: Multipliers
): Answer<MeasuredProtrusion> {
  const { dash, lengthIn, protrusionIn } = measured;
  if (protrusionIn <= 0 || protrusionIn >= lengthIn)
    return notPossible(
      'protrusionIn',
      `a rivet ${num(lengthIn)} in long stands out more than 0 and less than that; ${num(protrusionIn)} in was given`
    );
  const gripIn = lengthIn - protrusionIn;
  const differenceIn = gripIn - stack.gripIn;
  const agrees = !above(Math.abs(differenceIn), READS_WITHIN_IN);
  const protrusionD = protrusionIn / rivetSize(dash).diameterIn;
  return answer(
    {
      gripIn,
      differenceIn,
      agrees,
      causes: agrees ? [] : causesOf(differenceIn, stack.sheets),
      protrusionD,
      inWindow: protrusionInWindow(protrusionD, limits)
    },
    [
      workLine(
        'grip present',
        `L − measured = ${num(lengthIn)} − ${num(protrusionIn)}`,
        gripIn,
        'in'
      ),
      workLine(
        below(differenceIn, 0) ? 'less than the stack' : 'more than the stack',
        `${num(gripIn)} − ${num(stack.gripIn)}`,
        differenceIn,
        'in'
      )
    ]
  );
}
