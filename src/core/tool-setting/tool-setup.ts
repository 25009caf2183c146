import { z } from 'zod';
import { Alloy, Dash, Head, HeadLimitsName, lengthIn } from '../schema/fields.ts';

const named = (what: string, most: number) =>
  z.string().trim().min(1, `${what} is missing`).max(most, `${what} is at most ${most} characters`);
const note = (most: number) => z.string().trim().max(most).default('');

/** The rivet that heads are made of, as it is in the work; lengths in inches. */
const rivet = {
  dash: Dash,
  head: Head,
  alloy: Alloy,
  lengthIn: lengthIn('the rivet’s length', { above: 0, most: 4 }),
  gripIn: lengthIn('the grip', { above: 0, most: 4 }),
  holeIn: lengthIn('the hole', { above: 0, most: 1 }),
  dimpled: z.boolean('dimpled is true or false').default(false),
  limits: HeadLimitsName.default('standard'),
  /** metal that goes into sheets that are drilled larger, in³ */
  wideIn3: z.number().min(0).default(0),
  /** the lot of rivets it is tried with; empty where nobody said */
  lot: note(60)
};
/** An adjuster that closes a gap by turns. */
const adjuster = {
  turnIn: lengthIn('one turn of the adjuster', { above: 0, most: 0.25 }),
  divisionsPerTurn: z
    .int('divisions are whole')
    .min(1, 'a turn has at least one division')
    .max(64, 'a turn has at most 64 divisions')
};

export const SqueezerSetup = z.strictObject({
  tool: z.literal('squeezer'),
  name: named('the squeezer’s name', 60),
  ...adjuster,
  ...rivet
});
export const GunSetup = z.strictObject({
  tool: z.literal('gun'),
  name: named('the gun’s name', 60),
  /** the set in it, and the bar behind */
  set: note(60),
  bar: note(60),
  ...rivet
});
export const DiesSetup = z.strictObject({
  tool: z.literal('dies'),
  name: named('the squeezer’s name', 60),
  ...adjuster,
  dash: Dash,
  /** of each sheet to be dimpled */
  sheetIn: lengthIn('the sheet', { least: 0.01, most: 0.125 }),
  material: named('the material', 40),
  lot: note(60)
});

/** A tool with all that its setting rests on. */
export const ToolSetup = z.discriminatedUnion('tool', [SqueezerSetup, GunSetup, DiesSetup]);
export type ToolSetup = z.output<typeof ToolSetup>;
export type SqueezerSetup = z.output<typeof SqueezerSetup>;
export type GunSetup = z.output<typeof GunSetup>;
export type DiesSetup = z.output<typeof DiesSetup>;
/** One that makes shop heads. */
export type HeadSetup = SqueezerSetup | GunSetup;
export type SetTool = ToolSetup['tool'];
