import { z } from 'zod';
import {
  Alloy,
  Dash,
  DiameterSchool,
  Family,
  Head,
  lengthIn,
  Location,
  thicknessIn,
  WIDEST_IN
} from '../schema/fields.ts';
import { RulerScale } from '../units/ruler.ts';

const SheetName = z.string().max(40, 'a sheet name is at most 40 characters');
const LEAST_SHEETS = 2;
const MOST_SHEETS = 8;

/** Everything in a lap joint's definition that is picked rather than measured. */
const picked = {
  kind: z.literal('lap'),
  family: Family,
  /** the sheet the rivets-per-inch guidance is read for when the sheets differ */
  reckonOn: DiameterSchool,
  location: Location,
  head: Head,
  alloy: Alloy,
  /** a size, or what the profile's diameter rule gives */
  dash: z.union([z.literal('rule'), Dash]),
  rows: z.literal([1, 2, 3, 'auto']),
  pattern: z.enum(['in-line', 'staggered']),
  /** the profile's pitch school, or this joint's own choice */
  prefer: z.enum(['profile', 'fewest', 'near']),
  scale: RulerScale
};

const listOf = <S extends z.ZodType>(sheet: S) =>
  z
    .array(sheet)
    .min(LEAST_SHEETS, 'a lap joint holds at least two sheets')
    .max(MOST_SHEETS, `at most ${MOST_SHEETS} sheets are held`);

export const LapJoint = z.strictObject({
  ...picked,
  sheets: listOf(z.strictObject({ name: SheetName, thicknessIn })),
  widthIn: lengthIn("the joint's width", { above: 0, most: WIDEST_IN }),
  /** null: the next whole 1/32 over the least */
  edgeIn: lengthIn('the edge distance', { above: 0, most: WIDEST_IN }).nullable(),
  /** null: the profile's house pitch */
  nearPitchIn: lengthIn('the wished pitch', { above: 0, most: WIDEST_IN }).nullable()
});
/** The definition of a lap joint, every length read into inches. Sheets: the first under the manufactured head. */
export type LapJoint = z.output<typeof LapJoint>;

const AsTyped = z.string().max(200, 'at most 200 characters are kept here');

export const EnteredLap = z.strictObject({
  ...picked,
  sheets: listOf(z.strictObject({ name: SheetName, thicknessIn: AsTyped })),
  widthIn: AsTyped,
  edgeIn: AsTyped,
  nearPitchIn: AsTyped
});
/**
 * A lap joint as its fields stand on the page, lengths as typed: this is what is stored, so that a
 * half-typed or slipped figure is still there after a restart.
 */
export type EnteredLap = z.infer<typeof EnteredLap>;

/** A new lap joint: two equal sheets, the rule's rivet, everything else the plainest choice. */
export const NEW_LAP: EnteredLap = {
  kind: 'lap',
  family: 'clad-2024',
  reckonOn: 'thickest',
  location: 'general',
  head: 'universal',
  alloy: 'AD',
  dash: 'rule',
  rows: 'auto',
  pattern: 'in-line',
  prefer: 'profile',
  scale: '1/32',
  sheets: [
    { name: 'upper sheet', thicknessIn: '' },
    { name: 'lower sheet', thicknessIn: '' }
  ],
  widthIn: '',
  edgeIn: '',
  nearPitchIn: ''
};
