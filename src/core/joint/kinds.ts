import { z } from 'zod';
import { Dash, lengthIn, thicknessIn } from '../schema/fields.ts';
import { orNull, orUsual, typed, written, writtenCount } from './as-typed.ts';
import { commonPicked, commonReading, enteredLists, placeIn, readLists, sizeIn } from './common.ts';
import { enteredSheets, readLayers, readSheets } from './sheets.ts';

const rows = z.literal([1, 2, 3, 'auto']);
const pattern = z.enum(['in-line', 'staggered']);
/** sized by the guidance, or only holding parts together with the fewest rivets */
const carries = z.enum(['guidance', 'attach']);

type Reading = Readonly<Record<string, z.ZodType>>;

/** One kind of joint, as read and as typed, from its picked and its measured fields. */
function kind<K extends string, P extends Reading, R extends Reading>(
  name: K,
  picked: P,
  reading: R,
  sheets: typeof readSheets = readLayers
) {
  const literal = z.literal(name);
  return {
    read: z.strictObject({
      kind: literal,
      sheets,
      ...picked,
      ...reading,
      ...commonPicked,
      ...commonReading,
      ...readLists
    }),
    entered: z.strictObject({
      kind: literal,
      sheets: enteredSheets,
      ...picked,
      ...typed(reading),
      ...commonPicked,
      ...typed(commonReading),
      ...enteredLists
    })
  };
}

const lap = kind('lap', { rows, pattern }, { widthIn: sizeIn("the joint's width") });

const splice = kind(
  'splice',
  { rows, pattern },
  {
    widthIn: sizeIn("the joint's width"),
    /** between the two skins' ends */
    gapIn: orUsual(lengthIn('the gap between the skins', { least: 0, most: 12 }), 0),
    /** null: the far skin is as thick as the near one */
    farSheetIn: orNull(thicknessIn)
  }
);

const sandwich = kind(
  'sandwich',
  { rows, pattern, shear: z.enum(['single', 'double']) },
  {
    widthIn: sizeIn("the member's width"),
    gapIn: orUsual(lengthIn('the gap at the break', { least: 0, most: 12 }), 0)
  }
);

const patch = kind(
  'patch',
  {
    style: z.enum(['flush', 'plate-over', 'plate-under']),
    carries,
    rows: z.literal([1, 2]),
    crackDrill: z.enum(['#40', '#30'])
  },
  {
    cutoutWIn: sizeIn("the cut-out's width"),
    cutoutHIn: sizeIn("the cut-out's height"),
    cornerRadiusIn: orUsual(sizeIn('the corner radius'), 0.5),
    insertClearanceIn: orUsual(
      lengthIn('the clearance round the insert', { least: 0, most: 6 }),
      1 / 32
    ),
    /** null: as thick as the skin */
    insertSheetIn: orNull(thicknessIn),
    /** null: the damage is cut out; else the crack stays, stop-drilled at both ends, under a plate */
    crackIn: orNull(sizeIn("the crack's length")),
    crackTurnDeg: orUsual(written("the crack's direction", { least: -180, most: 180 }), 0)
  },
  readSheets
);

const round = kind(
  'round',
  { insert: z.boolean(), carries, rings: z.literal([1, 2, 3]) },
  {
    cutoutIn: sizeIn("the cut-out's diameter"),
    insertClearanceIn: orUsual(
      lengthIn('the clearance round the insert', { least: 0, most: 6 }),
      1 / 32
    ),
    insertSheetIn: orNull(thicknessIn)
  },
  readSheets
);

const divideReading = {
  fromIn: placeIn('the first hole'),
  toIn: placeIn('the second hole'),
  count: writtenCount('the number of new holes', { least: 1, most: 1000 })
};
const lineReading = {
  lengthIn: sizeIn("the line's length"),
  flangeIn: sizeIn("the flange's width"),
  bendRadiusIn: lengthIn('the bend radius', { least: 0, most: 6 }),
  /** null: the edge distance */
  offsetIn: orNull(sizeIn("the line's distance from the flange edge"))
};
const lineBase = kind('line', { carries }, lineReading);
const MOST_DIVIDED = 50;
const line = {
  read: lineBase.read.extend({ divides: z.array(z.strictObject(divideReading)).max(MOST_DIVIDED) }),
  entered: lineBase.entered.extend({
    divides: z
      .array(z.strictObject(typed(divideReading)))
      .max(MOST_DIVIDED)
      .default([])
  })
};

const zoneReading = { toIn: sizeIn("the size zone's end") };
const taperedReading = {
  lengthIn: sizeIn("the member's length"),
  flangeIn: sizeIn("the flange's width at the datum end"),
  flangeEndIn: orNull(sizeIn("the flange's width at the far end"))
};
const taperedBase = kind('tapered', { carries, lines: z.literal([1, 2]) }, taperedReading);
const MOST_ZONES = 20;
const tapered = {
  read: taperedBase.read.extend({
    zones: z.array(z.strictObject({ dash: Dash, ...zoneReading })).max(MOST_ZONES)
  }),
  entered: taperedBase.entered.extend({
    zones: z
      .array(z.strictObject({ dash: Dash, ...typed(zoneReading) }))
      .max(MOST_ZONES)
      .default([])
  })
};

const sideCount = orNull(writtenCount('the rivets on a side', { least: 2, most: 2000 }));
const panel = kind(
  'panel',
  { material: z.enum(['polycarbonate', 'acrylic']) },
  {
    widthIn: sizeIn("the panel's width"),
    heightIn: sizeIn("the panel's height"),
    frameIn: sizeIn("the frame strip's width"),
    /** along each side from the corner; no rivet of the side lies on it */
    bracketIn: orUsual(lengthIn("the corner bracket's leg", { least: 0, most: 60 }), 0),
    deltaTC: orUsual(written('the temperature difference in °C', { least: 0, most: 150 }), 60),
    topCount: sideCount,
    bottomCount: sideCount,
    leftCount: sideCount,
    rightCount: sideCount
  },
  readSheets
);

/** The definition of a joint, every length read into inches. Sheets: the first under the manufactured head. */
export const Joint = z.discriminatedUnion('kind', [
  lap.read,
  splice.read,
  patch.read,
  round.read,
  line.read,
  tapered.read,
  panel.read,
  sandwich.read
]);
export type Joint = z.output<typeof Joint>;

/**
 * A joint as its fields stand on the page, lengths as typed: this is what is stored, so that a half-typed
 * or slipped figure is still there after a restart.
 */
export const EnteredJoint = z.discriminatedUnion('kind', [
  lap.entered,
  splice.entered,
  patch.entered,
  round.entered,
  line.entered,
  tapered.entered,
  panel.entered,
  sandwich.entered
]);
export type EnteredJoint = z.output<typeof EnteredJoint>;

export type JointKind = Joint['kind'];
export type JointOf<K extends JointKind> = Extract<Joint, { kind: K }>;
export type EnteredOf<K extends JointKind> = Extract<EnteredJoint, { kind: K }>;
