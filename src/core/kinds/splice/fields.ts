import type { z } from 'zod';
import { orNull, orUsual } from '../../joint/as-typed.ts';
import { sizeIn } from '../../joint/common.ts';
import { lengthIn, thicknessIfMeantIn } from '../../schema/fields.ts';
import { schemasOf } from '../kind.ts';
import { rowsPicked } from '../shared/rows-kind.ts';

export const { read, entered } = schemasOf('splice', rowsPicked, {
  widthIn: sizeIn("the joint's width"),
  /** between the two skins' ends */
  gapIn: orUsual(lengthIn('the gap between the skins', { least: 0, most: 12 }), 0),
  /** null: the far skin is as thick as the near one */
  farSheetIn: orNull(thicknessIfMeantIn)
});

export type Splice = z.output<typeof read>;
export type EnteredSplice = z.output<typeof entered>;
