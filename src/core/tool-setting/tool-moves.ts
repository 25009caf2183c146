import { z } from 'zod';
import type { Verdict } from '../inspect/findings.ts';
import { MOVE_STAMP, type Recorded } from '../events/stream.ts';
import { lengthIn } from '../schema/fields.ts';
import { Why, type TrialState } from '../trial-setting/trial-stream.ts';
import { WOOD } from './gun-guide.ts';

const MOST_DIVISIONS = 2000;
const divisions = z
  .int('divisions are whole')
  .min(-MOST_DIVISIONS, `at least ${-MOST_DIVISIONS} divisions`)
  .max(MOST_DIVISIONS, `at most ${MOST_DIVISIONS} divisions`);
const MOST_PSI = 150;
const LONGEST_BURST_S = 20;
export const HeadHeight = lengthIn('the head’s height', { above: 0, most: 1 });
export const HeadWidth = lengthIn('the head’s diameter', { above: 0, most: 2 });
export const Seconds = z
  .number('a burst is a number of seconds')
  .positive('a burst takes some time')
  .max(LONGEST_BURST_S, `a burst is at most ${LONGEST_BURST_S} s`);
export const AirPsi = z
  .number('the air is a number of psi')
  .positive('the air is more than nothing')
  .max(MOST_PSI, `at most ${MOST_PSI} psi`);

/** What one trial was: of a squeezer, of a gun on wood or on a rivet, of dies. */
const Trial = z.discriminatedUnion('what', [
  z.strictObject({
    what: z.literal('squeeze'),
    divisions,
    read: z.discriminatedUnion('by', [
      z.strictObject({ by: z.literal('caliper'), heightIn: HeadHeight }),
      z.strictObject({ by: z.literal('plate'), fitsOver: z.boolean(), touchesSheet: z.boolean() })
    ]),
    /** a rivet that was not squeezed before */
    fresh: z.boolean()
  }),
  z.strictObject({ what: z.literal('wood'), airPsi: AirPsi, wood: z.enum(WOOD) }),
  z.strictObject({
    what: z.literal('burst'),
    seconds: Seconds,
    heightIn: HeadHeight,
    fresh: z.boolean()
  }),
  z.strictObject({
    what: z.literal('dimple'),
    divisions,
    cracks: z.boolean(),
    ring: z.boolean(),
    nests: z.boolean()
  })
]);
export type ToolTrial = z.output<typeof Trial>;

/** What came out at the setting: a head measured, or a dimple looked at. */
const Made = z.discriminatedUnion('what', [
  z.strictObject({
    what: z.literal('head'),
    diameterIn: HeadWidth,
    heightIn: HeadHeight,
    /** how long it took; null where it was squeezed */
    seconds: Seconds.nullable()
  }),
  z.strictObject({
    what: z.literal('dimple'),
    cracks: z.boolean(),
    ring: z.boolean(),
    nests: z.boolean()
  })
]);
export type Made = z.output<typeof Made>;

export const ToolMove = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('trial'), ...MOVE_STAMP, trial: Trial }),
  z.strictObject({ kind: z.literal('struck'), ...MOVE_STAMP, trial: z.uuid(), why: Why }),
  z.strictObject({ kind: z.literal('kept'), ...MOVE_STAMP }),
  /** one of the first, or a look later on */
  z.strictObject({
    kind: z.literal('made'),
    ...MOVE_STAMP,
    made: Made,
    /** of the stack it was made in; null: that of the setting */
    gripIn: lengthIn('the grip', { above: 0, most: 4 }).nullable().default(null),
    /** the lot that its rivet is of; empty where nobody said */
    lot: z.string().trim().max(60).default('')
  }),
  z.strictObject({ kind: z.literal('withdrawn'), ...MOVE_STAMP, why: Why })
]);
/** What a page sends while a tool is set and used. A repeat is stored once by its id. */
export type ToolMove = z.output<typeof ToolMove>;

/** What was found when the trials were done; frozen then. */
export const FoundTool = z.discriminatedUnion('tool', [
  z.strictObject({ tool: z.literal('squeezer'), divisions: z.int(), slopeIn: z.number() }),
  z.strictObject({ tool: z.literal('gun'), airPsi: z.number(), seconds: z.number() }),
  z.strictObject({ tool: z.literal('dies'), divisions: z.int() })
]);
export type FoundTool = z.output<typeof FoundTool>;
export type ToolEvent = Recorded<ToolMove, FoundTool | null>;

/** A head or dimple made at the setting, judged. */
export interface Judged {
  made: Made;
  verdict: Verdict;
  /** plainly: one that passes on a condition is no start of a row */
  good: boolean;
  gripIn: number | null;
  lot: string;
}

/** Where the setting of a tool stands; the first looks release it. */
export type ToolState = TrialState<ToolTrial, FoundTool, Judged>;
export type MadeOne = ToolState['looks'][number];

/** So many good ones in the beginning release a setting for the row. */
export const FIRST_TO_BE_GOOD = 3;
