import { z } from 'zod';
import { CarriedFrom, MOVE_STAMP } from '../events/stream.ts';
import { DrivingAccess } from './access.ts';

/** A quick look at a head just driven: good, more of it, or somebody looks again. */
export const QuickLook = z.enum(['good', 'more', 'again']);
export type QuickLook = z.output<typeof QuickLook>;

const MOST_HOLES = 100_000;
/** A page confirms so many at once. */
export const MOST_TAPS = 1000;
const hole = z.int().min(1);

export const DriveMove = z.discriminatedUnion('kind', [
  z.strictObject({
    ...MOVE_STAMP,
    kind: z.literal('driven'),
    hole,
    quick: QuickLook.nullable().default(null),
    /** the cold batch that it came from */
    batch: z.uuid().nullable().default(null),
    /** who held the gun and who the bar, where two drove it */
    hands: z.strictObject({ gun: z.uuid(), bar: z.uuid() }).nullable().default(null),
    /** why it was driven although its batch had expired */
    late: z.string().trim().max(160).default(''),
    /** when it was driven, as whoever logs it later states it; `at` is when that was entered */
    stated: z.iso.datetime('a time that is stated is an instant').optional(),
    /** taken over from an earlier release */
    carried: CarriedFrom.optional()
  }),
  z.strictObject({ ...MOVE_STAMP, kind: z.literal('looked'), hole, quick: QuickLook }),
  /** a tap taken back: it was not driven */
  z.strictObject({ ...MOVE_STAMP, kind: z.literal('undriven'), hole }),
  z.strictObject({
    ...MOVE_STAMP,
    kind: z.literal('ordered'),
    school: z.enum(['flat', 'sequence']),
    /** an order of one's own; null: the school's */
    order: z.array(hole).max(MOST_HOLES).nullable()
  }),
  /** its diameter by a circle laid round it in a camera’s picture */
  z.strictObject({
    ...MOVE_STAMP,
    kind: z.literal('seen'),
    hole,
    diameterIn: z.number().positive().max(10),
    plusMinusIn: z.number().positive().max(10),
    camera: z.string().trim().max(60),
    /** of a camera that does not exist: practice */
    simulated: z.boolean()
  }),
  z.strictObject({ ...MOVE_STAMP, kind: z.literal('placed'), access: DrivingAccess }),
  /** rivets driven as received come from this lot from now on */
  z.strictObject({
    ...MOVE_STAMP,
    kind: z.literal('loaded'),
    part: z.string().min(1).max(60),
    lot: z.string().trim().min(1).max(60)
  }),
  /** whoever was named by another as holding gun or bar says that it was so: at which taps, by their ids */
  z.strictObject({
    ...MOVE_STAMP,
    kind: z.literal('confirmed'),
    taps: z.array(z.uuid()).min(1).max(MOST_TAPS)
  }),
  /** what was not met, and why it is driven all the same */
  z
    .strictObject({
      ...MOVE_STAMP,
      kind: z.literal('objected'),
      key: z
        .string()
        .max(120)
        .regex(/^(steps|(no-way|setting) .+)$/, 'what is not met is named by its key'),
      answer: z.enum(['done', 'not-needed', 'reason']),
      why: z.string().trim().max(200).default('')
    })
    .refine(({ answer, why }) => answer !== 'reason' || why !== '', 'a reason says why')
]);
/** What a page sends while a release is driven. */
export type DriveMove = z.output<typeof DriveMove>;

/** When a rivet was driven: as stated where it was logged later, else when it was logged. */
export const drivenAt = ({ at, stated }: { at: string; stated?: string | undefined }): string =>
  stated ?? at;

/** By how much a move changes how often the rivet of its hole was hit; lists in the database count by it too. */
export const HITS: Readonly<Record<DriveMove['kind'], -1 | 0 | 1>> = {
  driven: 1,
  undriven: -1,
  looked: 0,
  ordered: 0,
  seen: 0,
  placed: 0,
  loaded: 0,
  confirmed: 0,
  objected: 0
};
