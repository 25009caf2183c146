import { z } from 'zod';
import { orNull, orUsual, written, writtenCount } from '../../joint/as-typed.ts';
import { sizeIn } from '../../joint/common.ts';
import { readSheets } from '../../joint/sheets.ts';
import { lengthIn } from '../../schema/fields.ts';
import { schemasOf } from '../kind.ts';

const sideCount = orNull(writtenCount('the rivets on a side', { least: 1, most: 2000 }));

export const { read, entered } = schemasOf(
  'panel',
  { material: z.enum(['polycarbonate', 'acrylic']) },
  {
    widthIn: sizeIn("the panel's width"),
    heightIn: sizeIn("the panel's height"),
    frameIn: sizeIn("the frame strip's width"),
    /** along each side from the corner; no rivet of the side lies on it */
    bracketIn: orUsual(lengthIn("the corner bracket's leg", { least: 0, most: 60 }), 0),
    /** by whose word solid rivets go through the plastic, and how: sleeves, washers */
    plasticReason: z.string().max(120, 'a reason is at most 120 characters'),
    deltaTC: orUsual(written('the temperature difference in °C', { least: 0, most: 150 }), 60),
    topCount: sideCount,
    bottomCount: sideCount,
    leftCount: sideCount,
    rightCount: sideCount
  },
  readSheets
);

export type Panel = z.output<typeof read>;
export type EnteredPanel = z.output<typeof entered>;
