import { z } from 'zod';
import { orUsual } from '../../joint/as-typed.ts';
import { sizeIn } from '../../joint/common.ts';
import { lengthIn } from '../../schema/fields.ts';
import { schemasOf } from '../kind.ts';
import { rowsPicked } from '../shared/rows-kind.ts';

export const { read, entered } = schemasOf(
  'double-strap',
  {
    ...rowsPicked,
    shear: z.enum(['single', 'double']),
    /** which way the rivets run; `fits`: across while three rows hold them, else along */
    run: z.enum(['fits', 'across', 'along'])
  },
  {
    widthIn: sizeIn("the member's width"),
    gapIn: orUsual(lengthIn('the gap at the break', { least: 0, most: 12 }), 0)
  }
);

export type DoubleStrap = z.output<typeof read>;
export type EnteredDoubleStrap = z.output<typeof entered>;
