import { z } from 'zod';
import { MM_PER_IN } from './factors.ts';
import { floorTo, roundHalfAway } from './tolerance.ts';

export const RulerScale = z.enum(['1/32', '1/64', '0.1', '0.01', '1mm', '0.5mm', 'exact']);
/** A ruler by its finest division; `exact` leaves marks as computed. */
export type RulerScale = z.infer<typeof RulerScale>;

/** Divisions in one inch; kept as a count because 1/32 in is exact this way and 0.1 in is not. */
const DIVISIONS_PER_IN: Record<Exclude<RulerScale, 'exact'>, number> = {
  '1/32': 32,
  '1/64': 64,
  '0.1': 10,
  '0.01': 100,
  '1mm': MM_PER_IN,
  '0.5mm': MM_PER_IN * 2
};

/** @returns divisions of the ruler in one inch, null for `exact` */
export const divisionsPerIn = (scale: RulerScale): number | null =>
  scale === 'exact' ? null : DIVISIONS_PER_IN[scale];

/**
 * The nearest division of a ruler, half away from zero.
 *
 * @param lengthIn in
 * @param scale which ruler
 * @returns in
 * @source layout (rounding to the scale)
 */
export function snapToRuler(lengthIn: number, scale: RulerScale): number {
  const divisions = divisionsPerIn(scale);
  return divisions === null ? lengthIn : roundHalfAway(lengthIn * divisions) / divisions;
}

/** Up to the next whole 1/32; a whole 1/32 stays. */
export const upTo32nd = (lengthIn: number): number => Math.ceil(lengthIn * 32 - 32e-9) / 32;

/** Down to the next whole 1/32; a whole 1/32 stays. */
export const downTo32nd = (lengthIn: number): number => Math.floor(lengthIn * 32 + 32e-9) / 32;

/** The next whole 1/32 strictly above. */
export const next32ndAbove = (lengthIn: number): number => downTo32nd(lengthIn) + 1 / 32;

/** The next whole division strictly above; without a ruler the next whole 1/32. */
export function nextDivisionAbove(lengthIn: number, scale: RulerScale): number {
  const perIn = divisionsPerIn(scale) ?? 32;
  return (floorTo(lengthIn * perIn) + 1) / perIn;
}
