import { headLimits, NOMINAL_HEIGHT_D, WIDEST_LONG_HEAD_D } from '../catalog/head-limits.ts';
import { rivetSize } from '../catalog/rivets.ts';
import type { Dash, HeadLimitsName } from '../schema/fields.ts';
import { atMost, WRITTEN_ALIKE_IN } from '../units/tolerance.ts';

/** A reading that is written as its limit is written is at it: 0.0356 and 0.035625 are one figure on a page and a caliper. */
const atItsLimit = (readIn: number, D: number, limitsD: readonly number[]): number =>
  limitsD
    .map((limit) => limit * D)
    .find((limitIn) => atMost(Math.abs(readIn - limitIn), WRITTEN_ALIKE_IN)) ?? readIn;

/**
 * A head's measurements as its limits are held against them.
 *
 * @returns inches; every reading that is not written like a limit stays as it is
 * @source inspect, limits included
 */
export function heldAgainst<
  R extends { dash: Dash; diameterIn: number; heightIn: number; limits: HeadLimitsName }
>(reading: R): R {
  const D = rivetSize(reading.dash).diameterIn;
  const { diameterD, heightD } = headLimits(reading.limits);
  return {
    ...reading,
    diameterIn: atItsLimit(reading.diameterIn, D, [
      diameterD.low,
      diameterD.high,
      WIDEST_LONG_HEAD_D
    ]),
    heightIn: atItsLimit(reading.heightIn, D, [heightD.low, NOMINAL_HEIGHT_D, heightD.high])
  };
}
