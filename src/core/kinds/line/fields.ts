import { z } from 'zod';
import { orNull, typed, writtenCount } from '../../joint/as-typed.ts';
import { placeIn, sizeIn } from '../../joint/common.ts';
import { eachOnce, ItemId } from '../../joint/item-id.ts';
import { lengthIn } from '../../schema/fields.ts';
import { schemasOf } from '../kind.ts';
import { carriesPicked } from '../shared/carries.ts';

const MOST_DIVIDED = 50;
const dividePicked = { id: ItemId };
const divideReading = {
  fromIn: placeIn('the first hole'),
  toIn: placeIn('the second hole'),
  count: writtenCount('the number of new holes', { least: 1, most: 1000 })
};
const schemas = schemasOf('line', carriesPicked, {
  lengthIn: sizeIn("the line's length"),
  flangeIn: sizeIn("the flange's width"),
  bendRadiusIn: lengthIn('the bend radius', { least: 0, most: 6 }),
  /** null: the edge distance */
  offsetIn: orNull(sizeIn("the line's distance from the flange edge"))
});
export const read = schemas.read.extend({
  divides: eachOnce(
    z.array(z.strictObject({ ...dividePicked, ...divideReading })).max(MOST_DIVIDED)
  )
});
export const entered = schemas.entered.extend({
  divides: eachOnce(
    z.array(z.strictObject({ ...dividePicked, ...typed(divideReading) })).max(MOST_DIVIDED)
  ).default([])
});

export type Line = z.output<typeof read>;
export type EnteredLine = z.output<typeof entered>;
