import { z } from 'zod';
import { orNull, typed } from '../../joint/as-typed.ts';
import { sizeIn } from '../../joint/common.ts';
import { eachOnce, ItemId } from '../../joint/item-id.ts';
import { Dash } from '../../schema/fields.ts';
import { schemasOf } from '../kind.ts';
import { carriesPicked } from '../shared/carries.ts';

const MOST_ZONES = 20;
const zonePicked = { id: ItemId, dash: Dash };
const zoneReading = { toIn: sizeIn("the size zone's end") };
const schemas = schemasOf(
  'tapered',
  { ...carriesPicked, lines: z.literal([1, 2]) },
  {
    lengthIn: sizeIn("the member's length"),
    flangeIn: sizeIn("the flange's width at the datum end"),
    flangeEndIn: orNull(sizeIn("the flange's width at the far end"))
  }
);
export const read = schemas.read.extend({
  zones: eachOnce(z.array(z.strictObject({ ...zonePicked, ...zoneReading })).max(MOST_ZONES))
});
export const entered = schemas.entered.extend({
  zones: eachOnce(
    z.array(z.strictObject({ ...zonePicked, ...typed(zoneReading) })).max(MOST_ZONES)
  ).default([])
});

export type Tapered = z.output<typeof read>;
export type EnteredTapered = z.output<typeof entered>;
