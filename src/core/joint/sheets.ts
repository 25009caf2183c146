import { z } from 'zod';
import { SHEET_KEYS } from '../catalog/strengths.ts';
import { lengthIn, thicknessIfMeantIn, WIDEST_IN } from '../schema/fields.ts';
import { orNull, orUsual, typed } from './as-typed.ts';
import { eachOnce, ItemId } from './item-id.ts';

const LEAST_SHEETS = 2;
const MOST_SHEETS = 8;
/** Sealant or primer thicker than this is a filler, and a layer of its own. */
const THICKEST_COAT_IN = 0.06;

export const SheetName = z.string().max(40, 'a name is at most 40 characters');

const picked = {
  id: ItemId,
  name: SheetName,
  /** empty: of the joint's family, not told closer */
  material: z.enum(['', ...SHEET_KEYS]).default(''),
  /** protective film is still on it */
  film: z.boolean().default(false)
};
const place = (what: string) => lengthIn(what, { least: -WIDEST_IN, most: WIDEST_IN });
const reading = {
  thicknessIn: thicknessIfMeantIn,
  /** null: as thick as at its beginning */
  endThicknessIn: orNull(thicknessIfMeantIn),
  /** along the joint; null: from its beginning, to its end */
  fromIn: orNull(place('where the layer begins')),
  toIn: orNull(place('where the layer ends')),
  /** sealant and primer that stay on it when it is riveted */
  coatIn: orUsual(lengthIn('the sealant or primer', { least: 0, most: THICKEST_COAT_IN }), 0)
};

const readSheet = z.strictObject({ ...picked, ...reading });
/** One layer of the stack, read into inches. */
export type Sheet = z.output<typeof readSheet>;

const listOf = <S extends z.ZodType<{ id: string }>>(sheet: S) =>
  eachOnce(
    z
      .array(sheet)
      .min(LEAST_SHEETS, 'a joint holds at least two sheets')
      .max(MOST_SHEETS, `at most ${MOST_SHEETS} sheets are held`)
  );

/** Sheets that may begin, end or taper along the joint. */
export const readLayers = listOf(
  readSheet.refine(({ fromIn, toIn }) => fromIn === null || toIn === null || toIn > fromIn, {
    path: ['toIn'],
    message: 'a layer ends beyond where it begins'
  })
);
/** Sheets that lie under every hole of their line: a patch's rings run round it. */
export const readSheets = listOf(
  readSheet.refine(
    ({ endThicknessIn, fromIn, toIn }) =>
      endThicknessIn === null && fromIn === null && toIn === null,
    { path: ['fromIn'], message: 'in this kind of joint a layer does not begin, end or taper' }
  )
);
const enteredSheet = z.strictObject({ ...picked, ...typed(reading) });
export type EnteredSheet = z.output<typeof enteredSheet>;
export const enteredSheets = listOf(enteredSheet);

/** A layer with only its name and perhaps its thickness told; its id is made by whoever adds it. */
export const newSheet = (name: string, thickness = '', id = name): EnteredSheet => ({
  id,
  name,
  material: '',
  film: false,
  thicknessIn: thickness,
  endThicknessIn: '',
  fromIn: '',
  toIn: '',
  coatIn: ''
});
