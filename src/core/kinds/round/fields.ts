import { z } from 'zod';
import { sizeIn } from '../../joint/common.ts';
import { readSheets } from '../../joint/sheets.ts';
import { schemasOf } from '../kind.ts';
import { carriesPicked } from '../shared/carries.ts';
import { insertReading } from '../shared/insert.ts';

export const { read, entered } = schemasOf(
  'round',
  { insert: z.boolean(), ...carriesPicked, rings: z.literal([1, 2, 3]) },
  { cutoutIn: sizeIn("the cutout's diameter"), ...insertReading },
  readSheets
);

export type Round = z.output<typeof read>;
export type EnteredRound = z.output<typeof entered>;
