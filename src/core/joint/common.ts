import { z } from 'zod';
import { readDrill } from '../catalog/drills.ts';
import { SHEET_KEYS } from '../catalog/strengths.ts';
import {
  Alloy,
  Dash,
  DiameterSchool,
  Family,
  Head,
  lengthIn,
  Location,
  WIDEST_IN
} from '../schema/fields.ts';
import { RulerScale } from '../units/ruler.ts';
import { AsTyped, orNull, orUsual, typed, written } from './as-typed.ts';
import { eachOnce, ItemId } from './item-id.ts';

/** What tools need beside a head, where nothing else is typed. */
export const TOOL_CLEARANCE_IN = 1 / 8;

const MOST_OBSTACLES = 200;
/** As many as a drawing of existing holes is read for. */
const MOST_FIXED = 20_000;
const MOST_EDITS = 2000;
const Name = z.string().max(40, 'a name is at most 40 characters');
const LineKey = z.string().max(30);

/** Positions are measured from the datum; nothing is further off. */
export const placeIn = (what: string) => lengthIn(what, { least: -WIDEST_IN, most: WIDEST_IN });
export const sizeIn = (what: string) => lengthIn(what, { above: 0, most: WIDEST_IN });

const keepOutPicked = { id: ItemId, name: Name, shape: z.enum(['rect', 'round']) };
const keepOutReading = {
  xIn: placeIn("the obstacle's middle"),
  yIn: placeIn("the obstacle's middle"),
  wIn: sizeIn("the obstacle's width"),
  hIn: orNull(sizeIn("the obstacle's height"))
};

const fixedPicked = {
  id: ItemId,
  kind: z.enum(['existing', 'pinned']),
  line: LineKey,
  name: Name,
  /** of an existing hole: as it was found; empty while nobody has said it */
  state: z.enum(['', 'open', 'riveted', 'enlarged']).default('')
};
const fixedReading = {
  atIn: placeIn('the running distance'),
  offIn: orUsual(placeIn('the distance off the line'), 0),
  /** of an existing hole: at its widest */
  holeIn: orNull(lengthIn('the hole as measured', { above: 0, most: 2 })).default(null)
};

/** A hole of a line by its place in the line as laid; `of` says of how many, so that it is never taken for another. */
const editPicked = {
  id: ItemId,
  line: LineKey,
  index: z.int().min(0),
  of: z.int().min(1),
  state: z.enum(['as-laid', 'held-open', 'removed']),
  /** held open, and still dimpled or countersunk with the rivet's own tools */
  asRivets: z.boolean().default(false)
};
const editReading = {
  nudgeIn: orUsual(placeIn('how far the hole is moved'), 0),
  reason: z.string().max(80, 'a reason is at most 80 characters'),
  /** of a hole held open: its own drill; empty: it stays at the pilot */
  drill: z
    .string()
    .max(20, 'a drill is named in at most 20 characters')
    .refine((text) => text.trim() === '' || readDrill(text) !== null, {
      message: 'a drill is named by its number or letter, as #19 or F, or by its diameter'
    })
    .default(''),
  /** of a hole held open: the blind rivet that goes in it; empty: none is planned */
  blind: z.string().max(80, 'a fastener is named in at most 80 characters').default(''),
  /** its grip, where its part number does not say it */
  blindLeastIn: orNull(lengthIn('the minimum grip', { least: 0, most: 4 })).default(null),
  blindMostIn: orNull(lengthIn('the maximum grip', { above: 0, most: 4 })).default(null)
};

/** What every kind of joint picks rather than measures. */
/** No driven head is outside these, in D. */
const WIDE_D = { least: 1, most: 2.5 };
const HIGH_D = { least: 0.2, most: 1.2 };

export const commonPicked = {
  /** thick parts that are meant: the path of a thickness, and the text that was confirmed there; another text asks again */
  thickMeant: z.record(z.string().max(100), z.string().max(200)).default({}),
  family: Family,
  /** the sheet the rivets-per-inch guidance is read for when the sheets differ */
  reckonOn: DiameterSchool,
  location: Location,
  head: Head,
  alloy: Alloy,
  /** a size, or what the profile's diameter rule gives */
  dash: z.union([z.literal('rule'), Dash]),
  /** the profile's pitch school, or this joint's own choice */
  prefer: z.enum(['profile', 'fewest', 'near']),
  scale: RulerScale,
  /**
   * Where the scale's divisions are counted from that holes past obstacles lie on. Joints begun before there was a choice
   * count from their first hole, and take the next whole 1/32 for the edge distance on every scale.
   */
  divisionsFrom: z.enum(['datum', 'first-hole']).default('datum'),
  /** closed structure: once drilled, the parts cannot be taken apart */
  closed: z.boolean().default(false),
  /** heads are held against limits of the joint's own data instead of the shop's */
  ownHeads: z.boolean().default(false),
  /** where running marks are measured from: an end, the cut-out's edge, or one of the fixed holes */
  datum: z
    .string()
    .regex(/^(start|end|cut-out|fixed:.{1,40})$/)
    .default('start'),
  /** the sheet of the strength check, or the weakest of the family */
  strengthSheet: z.enum(['family', ...SHEET_KEYS]).default('family')
};

export const commonReading = {
  /** null: the scale's next whole division over the least */
  edgeIn: orNull(sizeIn('the edge distance')),
  /** null: the profile's house pitch */
  nearPitchIn: orNull(sizeIn('the target pitch')),
  /** where the joint only holds, the largest pitch is the job's own; null: the shop's multiple of D */
  holdPitchIn: orNull(sizeIn('the maximum pitch')),
  /** the data that name it */
  holdPitchReason: z.string().max(120, 'a reference is at most 120 characters'),
  /** null: the guidance's own figure */
  perInch: orNull(written('the rivets per inch', { least: 0.1, most: 100 })),
  perInchReason: z.string().max(120, 'a reason is at most 120 characters'),
  /** by whose word parts stay together with what drilling left between them */
  closedReason: z.string().max(120, 'a reason is at most 120 characters'),
  /** the joint's own limits of heads, in D; null: not given */
  headWideLowD: orNull(written('the minimum diameter', WIDE_D)),
  headWideHighD: orNull(written('the maximum diameter', WIDE_D)),
  headHighLowD: orNull(written('the minimum height', HIGH_D)),
  headHighHighD: orNull(written('the maximum height', HIGH_D)),
  /** the data they stand in */
  headsReason: z.string().max(120, 'a reference is at most 120 characters'),
  /** kept free between an obstacle and the rivet's head */
  toolClearanceIn: orUsual(lengthIn('the tool clearance', { least: 0, most: 6 }), TOOL_CLEARANCE_IN)
};

/** A rivet put in: how far it stood past the far sheet, as typed. What cannot be read says so by itself: the joint does not depend on it. */
const tryFields = {
  id: ItemId,
  hole: z.int().min(1),
  partNumber: z.string().max(60),
  protrusionIn: AsTyped,
  /** from the flat far sheet, or from the raised dimple round the shank */
  from: z.enum(['sheet', 'dimple']).default('sheet')
};
const MOST_TRIES = 50;

/** The distance between a line's end holes as measured on the metal, as typed: the plan says how far off it is. */
const spanFields = { id: ItemId, line: LineKey, spanIn: AsTyped };
const MOST_SPANS = 50;
const spans = eachOnce(z.array(z.strictObject(spanFields)).max(MOST_SPANS)).default([]);

export const readLists = {
  tries: eachOnce(z.array(z.strictObject(tryFields)).max(MOST_TRIES)),
  spans,
  keepOuts: eachOnce(
    z.array(z.strictObject({ ...keepOutPicked, ...keepOutReading })).max(MOST_OBSTACLES)
  ),
  fixed: eachOnce(z.array(z.strictObject({ ...fixedPicked, ...fixedReading })).max(MOST_FIXED)),
  edits: eachOnce(
    z
      .array(
        z
          .strictObject({ ...editPicked, ...editReading })
          .refine((edit) => edit.state !== 'held-open' || edit.reason.trim() !== '', {
            path: ['reason'],
            message: 'enter why the hole is left open: a latch, a nut plate, a blind fastener later'
          })
      )
      .max(MOST_EDITS)
  )
};

export const enteredLists = {
  tries: eachOnce(z.array(z.strictObject(tryFields)).max(MOST_TRIES)).default([]),
  spans,
  keepOuts: eachOnce(
    z.array(z.strictObject({ ...keepOutPicked, ...typed(keepOutReading) })).max(MOST_OBSTACLES)
  ).default([]),
  fixed: eachOnce(
    z.array(z.strictObject({ ...fixedPicked, ...typed(fixedReading) })).max(MOST_FIXED)
  ).default([]),
  edits: eachOnce(
    z.array(z.strictObject({ ...editPicked, ...typed(editReading) })).max(MOST_EDITS)
  ).default([])
};
