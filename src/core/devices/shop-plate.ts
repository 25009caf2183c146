import { z } from 'zod';
import { Dash } from '../schema/fields.ts';

const measured = z.number().positive().max(2);
const DAY_MS = 86_400_000;

export const ShopPlate = z.strictObject({
  id: z.string().min(1).max(60),
  name: z.string().trim().min(1, 'a plate has a name').max(60),
  /** when its holes and notches were measured last */
  measuredAt: z.iso.datetime({ offset: true }),
  /** when it is measured again */
  dueAfterDays: z.int().min(1).max(3650),
  sizes: z
    .array(
      z.strictObject({
        dash: Dash,
        headHoleIn: measured,
        notchIn: measured,
        upperHoleIn: measured.nullable(),
        upperNotchIn: measured.nullable()
      })
    )
    .min(1)
    .max(5)
});
/** A gauge plate of the shop, as measured; inches. */
export type ShopPlate = z.output<typeof ShopPlate>;

export const ShopPlates = z.array(ShopPlate).max(40);

/** Days until a plate is measured again, begun ones counted; below 0 it is due since then. */
export const plateDueInDays = (
  { measuredAt, dueAfterDays }: Pick<ShopPlate, 'measuredAt' | 'dueAfterDays'>,
  nowMs: number
): number => {
  const days = (Date.parse(measuredAt) - nowMs) / DAY_MS + dueAfterDays;
  return days < 0 ? Math.floor(days) : Math.ceil(days);
};

/** A plate's holes and notches for one size, under the plate's name; inches. */
export type PlateOfSize = Pick<ShopPlate, 'name'> & Omit<ShopPlate['sizes'][number], 'dash'>;

/**
 * The plate that a size is held against: the one chosen, else the first that has the size.
 *
 * @returns null where the shop has none
 */
export function plateUsed(
  plates: readonly ShopPlate[],
  chosen: string,
  dash: Dash
): PlateOfSize | null {
  const having = plates.filter(({ sizes }) => sizes.some((size) => size.dash === dash));
  const plate = having.find(({ id }) => id === chosen) ?? having[0];
  const size = plate?.sizes.find((one) => one.dash === dash);
  if (!plate || !size) return null;
  const { headHoleIn, notchIn, upperHoleIn, upperNotchIn } = size;
  return { name: plate.name, headHoleIn, notchIn, upperHoleIn, upperNotchIn };
}
