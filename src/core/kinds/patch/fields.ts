import { z } from 'zod';
import { orNull, orUsual, written } from '../../joint/as-typed.ts';
import { sizeIn } from '../../joint/common.ts';
import { saying } from '../../refusal-said.ts';
import { lengthIn, WIDEST_IN } from '../../schema/fields.ts';
import { atMost } from '../../units/tolerance.ts';

import { readSheets } from '../../joint/sheets.ts';
import { schemasOf } from '../kind.ts';
import { carriesPicked } from '../shared/carries.ts';
import { insertReading } from '../shared/insert.ts';

/** Of the cut-out, where nothing else is typed. */
export const USUAL_CORNER_IN = 0.5;

/** At least, whatever the cut-out (layout). */
const LEAST_CORNER_IN = 0.25;
/** None at all is no small one: a square corner is answered by what a cut-out needs. */
const roundCorner = lengthIn('the corner radius', { most: WIDEST_IN }).superRefine(
  (radiusIn, context) => {
    if (atMost(radiusIn, 0))
      context.addIssue({
        code: 'custom',
        params: saying({
          code: 'square-corner',
          leastIn: LEAST_CORNER_IN,
          usualIn: USUAL_CORNER_IN
        })
      });
  }
);

export const { read, entered } = schemasOf(
  'patch',
  {
    style: z.enum(['flush', 'plate-over', 'plate-under']),
    ...carriesPicked,
    rows: z.literal([1, 2]),
    crackDrill: z.enum(['#40', '#30'])
  },
  {
    cutoutWIn: sizeIn("the cutout's width"),
    cutoutHIn: sizeIn("the cutout's height"),
    cornerRadiusIn: orUsual(roundCorner, USUAL_CORNER_IN),
    ...insertReading,
    /** null: the damage is cut out; else the crack stays, stop-drilled at both ends, under a plate */
    crackIn: orNull(sizeIn("the crack's length")),
    crackTurnDeg: orUsual(written("the crack's direction", { least: -180, most: 180 }), 0)
  },
  readSheets
);

export type Patch = z.output<typeof read>;
export type EnteredPatch = z.output<typeof entered>;
