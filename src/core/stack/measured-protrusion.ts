import { answer, notPossible, workLine, type Answer } from '../answer.ts';
import { by, len } from '../notation.ts';
import { rivetSize } from '../catalog/rivets.ts';
import type { Multipliers } from '../rules/multipliers.ts';
import type { Dash } from '../schema/fields.ts';
import { above, below } from '../units/tolerance.ts';
import type { HeldSheet } from './layers.ts';
import { protrusionInWindow } from './rivet-length.ts';

/** What would explain a grip that differs, as a code with its quantities; lengths in inches. */
export type CauseSaid =
  | { code: 'film'; sheets: number; upToIn: number }
  | { code: 'between' | 'sealant' | 'thinner' | 'head-off' }
  | { code: 'one-more'; like: string }
  | { code: 'not-here'; name: string }
  | { code: 'other-length'; byIn: number; shorter: boolean };

/** What a rivet put in and measured says about the stack; lengths in inches. */
export interface MeasuredProtrusion {
  gripIn: number;
  /** over (+) or under (−) the stack as typed */
  differenceIn: number;
  agrees: boolean;
  /** what would explain it, the likeliest first; empty when it agrees */
  causes: CauseSaid[];
  protrusionD: number;
  inWindow: boolean;
}

/** A depth gauge on a cut shank end repeats to about this. */
export const READS_WITHIN_IN = 0.004;
/** Film under a head, at most (stack-up). */
const FILM_IN = 0.002;
const LENGTH_STEP_IN = 1 / 32;

const near = (a: number, b: number): boolean => Math.abs(a - b) <= READS_WITHIN_IN;

function causesOf(differenceIn: number, sheets: readonly HeldSheet[]): CauseSaid[] {
  const causes: CauseSaid[] = [];
  const apartIn = Math.abs(differenceIn);
  const steps = Math.round(apartIn / LENGTH_STEP_IN);
  const films = sheets.filter((sheet) => sheet.film).length;
  const alike = sheets.find((sheet) => near(sheet.thicknessIn, apartIn));
  if (differenceIn > 0) {
    if (films > 0) causes.push({ code: 'film', sheets: films, upToIn: films * FILM_IN });
    causes.push({ code: 'between' });
    if (alike) causes.push({ code: 'one-more', like: alike.name });
    causes.push({ code: 'sealant' });
  } else {
    if (alike) causes.push({ code: 'not-here', name: alike.name });
    causes.push({ code: 'thinner' }, { code: 'head-off' });
  }
  if (steps > 0 && near(apartIn, steps * LENGTH_STEP_IN))
    causes.unshift({
      code: 'other-length',
      byIn: steps * LENGTH_STEP_IN,
      shorter: differenceIn > 0
    });
  return causes;
}

/**
 * "I put a rivet in and measured": the grip that is really there, and what explains a difference from the stack.
 *
 * @param measured the rivet's length and what stood past the far sheet, in; `fromDimple`: past the raised dimple, where a
 * flush head shows one head height less
 * @param stack grip as typed, in, and its sheets
 * @returns the real grip and the causes to look for; a warning wherever it is off by more than a depth gauge repeats
 * @throws never; `not-possible` when no rivet of that length can stand out so far
 * @source stack-up and inspect (metal lost in a gap)
 */
export function measuredProtrusion(
  measured: { dash: Dash; lengthIn: number; protrusionIn: number; fromDimple: boolean },
  stack: { gripIn: number; sheets: readonly HeldSheet[] },
  limits: Multipliers
): Answer<MeasuredProtrusion> {
  const { dash, lengthIn, fromDimple } = measured;
  const raisedIn = fromDimple ? rivetSize(dash).head.countersunk.heightIn : 0;
  const protrusionIn = measured.protrusionIn + raisedIn;
  if (measured.protrusionIn <= 0 || protrusionIn >= lengthIn)
    return notPossible('protrusionIn', {
      code: 'protrusion-outside',
      lengthIn,
      protrusionIn: measured.protrusionIn
    });
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
        fromDimple
          ? by`L − head − measured at the dimple = ${len(lengthIn)} − ${len(raisedIn)} − ${len(measured.protrusionIn)}`
          : by`L − measured = ${len(lengthIn)} − ${len(protrusionIn)}`,
        gripIn,
        'in'
      ),
      workLine(
        below(differenceIn, 0) ? 'less than the stack' : 'more than the stack',
        by`${len(gripIn)} − ${len(stack.gripIn)}`,
        differenceIn,
        'in'
      )
    ]
  );
}
