import { z } from 'zod';
import { MOVE_STAMP } from '../events/stream.ts';
import { Dash } from '../schema/fields.ts';
import { ReplacedRivet } from './replaced-rivet.ts';

const hole = z.int().min(1);
const said = (most: number) => z.string().trim().max(most);

export const SeenInHole = z.enum(['cracked', 'dented', 'elongated']);
/** What a look into an empty hole may find that no size of rivet settles. */
export type SeenInHole = z.output<typeof SeenInHole>;

export const ReworkStep = z.enum(['drilled', 'deburred', 'cut', 'dimpled', 'cleaned']);
/** What is done at a hole before its new rivet goes in. */
export type ReworkStep = z.output<typeof ReworkStep>;

export const BlindFinding = z.enum(['head-gap', 'stem-high', 'stem-loose', 'ring', 'sheets-apart']);
/** What is wrong with a blind rivet that is in. */
export type BlindFinding = z.output<typeof BlindFinding>;

export const Blind = z.strictObject({
  fastener: said(80).min(1, 'which fastener it is'),
  drillIn: z.number().positive().max(2),
  gripIn: z.number().positive().max(4)
});
/** A blind fastener in a hole, on the word of the data holder alone; inches. */
export type Blind = z.output<typeof Blind>;

export const ReworkMove = z.discriminatedUnion('kind', [
  z.strictObject({
    ...MOVE_STAMP,
    kind: z.literal('out'),
    hole,
    school: z.enum(['under-shank', 'hole-drill']),
    /** how it came out */
    how: z.enum(['plain', 'swelled', 'spinning']),
    note: said(200).default('')
  }),
  /** it was logged by mistake: the rivet is still in */
  z.strictObject({ ...MOVE_STAMP, kind: z.literal('still-in'), hole }),
  z.strictObject({
    ...MOVE_STAMP,
    kind: z.literal('measured'),
    hole,
    widestIn: z.number().positive().max(2),
    tooDeepIn: z.number().positive().max(0.1).nullable().default(null),
    seen: z.array(SeenInHole).max(3)
  }),
  /** a reading was false: it counts no more, and stays on record */
  z.strictObject({
    ...MOVE_STAMP,
    kind: z.literal('voided'),
    hole,
    /** the id of what was measured */
    reading: z.uuid(),
    why: said(200).min(1, 'reason for voiding')
  }),
  /** a look at a head was false: it counts no more, and stays on record */
  z.strictObject({
    ...MOVE_STAMP,
    kind: z.literal('voided-look'),
    hole,
    look: z.uuid(),
    why: said(200).min(1, 'reason for voiding')
  }),
  /** something done at a hole before its new rivet goes in; taken back where it was ticked by mistake */
  z.strictObject({
    ...MOVE_STAMP,
    kind: z.literal('step'),
    hole,
    step: ReworkStep,
    done: z.boolean()
  }),
  /** the blind rivet planned or approved for a hole went in */
  z.strictObject({
    ...MOVE_STAMP,
    kind: z.literal('blind-in'),
    hole,
    /** as its package says; empty where nobody could tell */
    lot: said(60).default('')
  }),
  /** it is out again, or never was in */
  z.strictObject({
    ...MOVE_STAMP,
    kind: z.literal('blind-out'),
    hole,
    why: said(200).min(1, 'reason for removal')
  }),
  /** a look at it; nothing found: it is good */
  z.strictObject({
    ...MOVE_STAMP,
    kind: z.literal('blind-looked'),
    hole,
    found: z.array(BlindFinding).max(BlindFinding.options.length),
    note: said(200).default('')
  }),
  z.strictObject({
    ...MOVE_STAMP,
    kind: z.literal('referred'),
    /** null: it is about the joint */
    hole: hole.nullable(),
    question: said(600).min(1, 'what is asked'),
    /** a lead's decision: it is asked about instead of being replaced */
    instead: z.literal(true).optional()
  }),
  z.strictObject({
    ...MOVE_STAMP,
    kind: z.literal('answered'),
    /** the id of what was referred */
    referral: z.uuid(),
    answer: said(600).min(1, 'what was answered'),
    answeredBy: said(80).min(1, 'who answered'),
    /** the data, letter or drawing it rests on */
    authority: said(120).min(1, 'on what authority'),
    /** what becomes of the hole */
    then: z.discriminatedUnion('what', [
      z.strictObject({ what: z.literal('nothing') }),
      /** the head stays as it is */
      z.strictObject({ what: z.literal('leave') }),
      z.strictObject({ what: z.literal('rivet'), dash: Dash, rivet: ReplacedRivet }),
      z.strictObject({ what: z.literal('blind'), blind: Blind })
    ])
  })
]);
/** What a page sends while a rivet is replaced, or a question is put. */
export type ReworkMove = z.output<typeof ReworkMove>;

/** By how much a move changes how many questions are open; lists in the database count by it. */
export const OPEN_QUESTIONS: Readonly<Record<ReworkMove['kind'], -1 | 0 | 1>> = {
  referred: 1,
  answered: -1,
  out: 0,
  'still-in': 0,
  measured: 0,
  voided: 0,
  'voided-look': 0,
  step: 0,
  'blind-in': 0,
  'blind-out': 0,
  'blind-looked': 0
};
