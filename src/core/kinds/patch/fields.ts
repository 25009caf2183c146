import { z } from 'zod';
import { orNull, orUsual, written } from '../../joint/as-typed.ts';
import { sizeIn } from '../../joint/common.ts';
import { readSheets } from '../../joint/sheets.ts';
import { schemasOf } from '../kind.ts';
import { carriesPicked } from '../shared/carries.ts';
import { insertReading } from '../shared/insert.ts';

/** Of the cut-out, where nothing else is typed. */
export const USUAL_CORNER_IN = 0.5;

export const { read, entered } = schemasOf(
  'patch',
  {
    style: z.enum(['flush', 'plate-over', 'plate-under']),
    ...carriesPicked,
    rows: z.literal([1, 2]),
    crackDrill: z.enum(['#40', '#30'])
  },
  {
    cutoutWIn: sizeIn("the cut-out's width"),
    cutoutHIn: sizeIn("the cut-out's height"),
    cornerRadiusIn: orUsual(sizeIn('the corner radius'), USUAL_CORNER_IN),
    ...insertReading,
    /** null: the damage is cut out; else the crack stays, stop-drilled at both ends, under a plate */
    crackIn: orNull(sizeIn("the crack's length")),
    crackTurnDeg: orUsual(written("the crack's direction", { least: -180, most: 180 }), 0)
  },
  readSheets
);

export type Patch = z.output<typeof read>;
export type EnteredPatch = z.output<typeof entered>;
