import { headLimits, NOMINAL_HEIGHT_D, WIDEST_LONG_HEAD_D } from '../catalog/head-limits.ts';
import { rivetSize } from '../catalog/rivets.ts';
import type { Dash, HeadLimitsName } from '../schema/fields.ts';
import { above, below } from '../units/tolerance.ts';
import { drivenHead, type DrivenHeadResult } from './driven-head.ts';
import type { Verdict } from './findings.ts';

/** Two readings with how far off each may be either way; inches. */
export interface UncertainHead {
  dash: Dash;
  limits: HeadLimitsName;
  diameterIn: number;
  heightIn: number;
  plusMinus: { diameterIn: number; heightIn: number };
}

/** The ends of what a reading may be, and every limit between them: between two of these no verdict changes. */
function corners(valueIn: number, offIn: number, limitsIn: readonly number[]): number[] {
  const [leastIn, mostIn] = [Math.max(valueIn - offIn, Number.EPSILON), valueIn + offIn];
  return [
    leastIn,
    mostIn,
    ...limitsIn.filter((limitIn) => above(limitIn, leastIn) && below(limitIn, mostIn))
  ];
}

/**
 * Every verdict that the true head may have. More than one: the reading straddles a limit and is taken again, whatever its
 * middle says.
 */
export function possibleVerdicts(head: UncertainHead): Set<Verdict> {
  const { dash, limits, plusMinus } = head;
  const D = rivetSize(dash).diameterIn;
  const { diameterD, heightD } = headLimits(limits);
  const wide = [diameterD.low, diameterD.high, WIDEST_LONG_HEAD_D].map((limit) => limit * D);
  const high = [heightD.low, NOMINAL_HEIGHT_D, heightD.high].map((limit) => limit * D);
  const found = new Set<Verdict>();
  for (const diameterIn of corners(head.diameterIn, plusMinus.diameterIn, wide))
    for (const heightIn of corners(head.heightIn, plusMinus.heightIn, high)) {
      const judged = drivenHead({ dash, limits, diameterIn, heightIn, flags: [] });
      if (judged.ok) found.add((judged.result satisfies DrivenHeadResult).verdict);
    }
  return found;
}
