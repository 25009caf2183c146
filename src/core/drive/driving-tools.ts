import { z } from 'zod';
import { GUN_SIZES } from '../catalog/driving-figures.ts';
import { Dash } from '../schema/fields.ts';

const MOST_TOOLS = 60;
const length = (what: string, mostIn: number) =>
  z
    .number(`${what} is a length`)
    .positive(`${what} is more than nothing`)
    .max(mostIn, `${what} is at most ${mostIn}`);
const named = {
  id: z.string().min(1).max(60),
  name: z.string().trim().min(1, 'a tool has a name').max(60)
};

export const Gun = z.strictObject({
  ...named,
  size: z.enum(GUN_SIZES),
  /** with a set in it, along its axis */
  lengthIn: length('the gun with its set', 30)
});
export const RivetSet = z.strictObject({
  ...named,
  /** `cup` for universal heads, `flush` for countersunk ones, `back` for back riveting */
  kind: z.enum(['cup', 'flush', 'back']),
  /** the size written on it; null where it fits every size */
  dash: Dash.nullable(),
  /** of its cup, or of its flat face */
  acrossIn: length('the cup or face', 4),
  /** of its body where it stands beside things */
  radiusIn: length('the body', 4),
  rim: z.enum(['plain', 'swivel', 'rubber'])
});
export const Bar = z.strictObject({
  ...named,
  weightLb: z.number().positive('a bar weighs something').max(30),
  /** from the rivet to its furthest face on the side that stands beside things */
  radiusIn: length('the bar', 12),
  /** behind the shop head, along the rivet */
  heightIn: length('the bar', 24)
});
export const Squeezer = z.strictObject({
  ...named,
  powered: z.boolean(),
  forceLb: z.number().positive('it presses with something').max(30_000),
  /** what one turn of its adjuster closes */
  turnIn: length('one turn', 0.25),
  divisionsPerTurn: z.int().min(1).max(64)
});
export const Yoke = z.strictObject({
  ...named,
  /** from the middle of its dies to the back of its throat */
  throatIn: length('the throat', 40),
  /** between its arms in the throat */
  gapIn: length('the gap', 12)
});
export const WedgeBar = z.strictObject({
  ...named,
  /** both wedges at rest with their shoe */
  barIn: length('the bar', 12),
  risePerIn: z.number().positive('it rises').max(0.5, 'a steeper wedge slips'),
  travelIn: length('the travel', 60),
  /** shims that there are, each its thickness */
  shimsIn: z.array(length('a shim', 4)).max(20)
});

export const DrivingTools = z.strictObject({
  guns: z.array(Gun).max(MOST_TOOLS),
  sets: z.array(RivetSet).max(MOST_TOOLS),
  bars: z.array(Bar).max(MOST_TOOLS),
  squeezers: z.array(Squeezer).max(MOST_TOOLS),
  yokes: z.array(Yoke).max(MOST_TOOLS),
  wedgeBars: z.array(WedgeBar).max(MOST_TOOLS),
  /** a flat steel plate to lie on, face down */
  plate: z.boolean()
});
/** What a shop drives rivets with; lengths in inches. */
export type DrivingTools = z.output<typeof DrivingTools>;
export type RivetSet = z.output<typeof RivetSet>;
export type Yoke = z.output<typeof Yoke>;

const cup = (dash: Dash, acrossIn: number, radiusIn: number) => ({
  id: `cup-${dash}`,
  name: `cup set, dash ${dash}`,
  kind: 'cup' as const,
  dash,
  acrossIn,
  radiusIn,
  rim: 'plain' as const
});

/** What a small shop has; measure one's own and put them in. */
export const STARTING_TOOLS: DrivingTools = {
  guns: [
    { id: 'gun-2x', name: 'gun 2X', size: '2X', lengthIn: 8.5 },
    { id: 'gun-3x', name: 'gun 3X', size: '3X', lengthIn: 9.5 },
    { id: 'gun-4x', name: 'gun 4X', size: '4X', lengthIn: 10.5 }
  ],
  sets: [
    cup(3, 0.195, 0.22),
    cup(4, 0.26, 0.25),
    cup(5, 0.325, 0.28),
    cup(6, 0.39, 0.31),
    cup(8, 0.52, 0.38),
    {
      id: 'flush-small',
      name: 'flush set',
      kind: 'flush',
      dash: null,
      acrossIn: 0.75,
      radiusIn: 0.375,
      rim: 'plain'
    },
    {
      id: 'flush-swivel',
      name: 'swivel flush set',
      kind: 'flush',
      dash: null,
      acrossIn: 1.125,
      radiusIn: 0.62,
      rim: 'rubber'
    },
    {
      id: 'back',
      name: 'back-riveting set, sleeved',
      kind: 'back',
      dash: null,
      acrossIn: 0.5,
      radiusIn: 0.42,
      rim: 'plain'
    }
  ],
  bars: [
    { id: 'bar-small', name: 'bar, toe', weightLb: 2.4, radiusIn: 0.4, heightIn: 1.1 },
    { id: 'bar-middle', name: 'bar, block', weightLb: 3.3, radiusIn: 0.6, heightIn: 1.6 },
    { id: 'bar-heavy', name: 'bar, long', weightLb: 4.4, radiusIn: 0.7, heightIn: 2.1 },
    { id: 'bar-large', name: 'bar, large block', weightLb: 5.6, radiusIn: 0.85, heightIn: 2.4 }
  ],
  squeezers: [
    {
      id: 'squeezer-hand',
      name: 'hand squeezer',
      powered: false,
      forceLb: 2500,
      turnIn: 0.05,
      divisionsPerTurn: 8
    },
    {
      id: 'squeezer-air',
      name: 'air squeezer',
      powered: true,
      forceLb: 6000,
      turnIn: 0.0625,
      divisionsPerTurn: 8
    }
  ],
  yokes: [
    { id: 'yoke-short', name: 'yoke 1 5/8', throatIn: 1.625, gapIn: 1.4 },
    { id: 'yoke-long', name: 'yoke 4 1/4', throatIn: 4.25, gapIn: 2.1 }
  ],
  wedgeBars: [
    {
      id: 'wedge',
      name: 'wedge bar on a rod',
      barIn: 0.86,
      risePerIn: 0.09,
      travelIn: 5,
      shimsIn: [0.1, 0.2, 0.4]
    }
  ],
  plate: true
};
