import type { z } from 'zod';
import { sizeIn } from '../../joint/common.ts';
import { schemasOf } from '../kind.ts';
import { rowsPicked } from '../shared/rows-kind.ts';

export const { read, entered } = schemasOf('lap', rowsPicked, {
  widthIn: sizeIn("the joint's width")
});

export type Lap = z.output<typeof read>;
export type EnteredLap = z.output<typeof entered>;
