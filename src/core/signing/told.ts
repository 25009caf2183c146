import { z } from 'zod';
import { BoundRule } from '../rules/bound-rules.ts';
import { InspectionPlace } from '../rules/inspection.ts';

const holes = z.array(z.number().int());

export const Must = z.discriminatedUnion('code', [
  z.strictObject({ code: z.literal('not-driven'), holes }),
  z.strictObject({ code: z.literal('holes-empty'), holes }),
  z.strictObject({ code: z.literal('heads-due'), holes }),
  z.strictObject({ code: z.literal('heads-bad'), holes }),
  z.strictObject({ code: z.literal('heads-simulated'), holes }),
  z.strictObject({ code: z.literal('heads-by-driver'), holes }),
  z.strictObject({ code: z.literal('blinds-bad'), holes }),
  z.strictObject({ code: z.literal('blinds-not-inspected'), holes }),
  z.strictObject({ code: z.literal('blinds-not-in'), holes }),
  z.strictObject({ code: z.literal('referrals-open'), holes, count: z.number().int() })
]);
/** What keeps a release from being signed. */
export type Must = z.output<typeof Must>;

export const Told = z.discriminatedUnion('code', [
  z.strictObject({
    code: z.literal('held-open'),
    hole: z.number().int(),
    reason: z.string(),
    /** the blind rivet of that hole, which is in no count of the plan */
    blind: z.strictObject({ fastener: z.string(), isIn: z.boolean() }).optional()
  }),
  z.strictObject({ code: z.literal('left-as-is'), holes }),
  z.strictObject({
    code: z.literal('old-work'),
    findings: z.number().int(),
    open: z.number().int()
  }),
  z.strictObject({ code: z.literal('earlier-rework'), release: z.number().int(), holes }),
  z.strictObject({ code: z.literal('taken-over'), release: z.number().int(), holes }),
  z.strictObject({ code: z.literal('old-rivets'), release: z.number().int(), holes }),
  z.strictObject({ code: z.literal('gone-since'), release: z.number().int(), holes }),
  /** of the whole release; with holes: of those, which were inspected all the same */
  z.strictObject({ code: z.literal('driving-not-logged'), holes: holes.optional() }),
  z.strictObject({ code: z.literal('driving-stated'), holes }),
  z.strictObject({ code: z.literal('lots-not-told'), parts: z.array(z.string()) }),
  z.strictObject({ code: z.literal('expired'), holes, reasons: z.array(z.string()) }),
  z.strictObject({
    code: z.literal('driven-against'),
    answers: z.array(
      z.strictObject({
        key: z.string(),
        answer: z.enum(['done', 'not-needed', 'reason']),
        why: z.string(),
        by: z.string()
      })
    )
  }),
  z.strictObject({ code: z.literal('driven-in-question'), holes }),
  z.strictObject({ code: z.literal('more-metal'), holes }),
  z.strictObject({ code: z.literal('readings-voided'), holes }),
  z.strictObject({ code: z.literal('rework-steps-open'), holes }),
  z.strictObject({
    code: z.literal('setting-open'),
    part: z.string(),
    tool: z.string().nullable()
  }),
  z.strictObject({ code: z.literal('bound-rule'), ...BoundRule.shape }),
  z.strictObject({ code: z.literal('kept-closed'), by: z.string() }),
  z.strictObject({ code: z.literal('through-plastic'), by: z.string() }),
  z.strictObject({ code: z.literal('steps-open'), done: z.number().int(), of: z.number().int() }),
  z.strictObject({ code: z.literal('steps-unknown') }),
  z.strictObject({ code: z.literal('changed-since'), revision: z.number().int() }),
  z.strictObject({ code: z.literal('looks-voided'), holes }),
  z.strictObject({ code: z.literal('named-only'), by: z.string(), named: z.string(), holes }),
  z.strictObject({ code: z.literal('sent-by-another'), by: z.string(), sentBy: z.string(), holes }),
  z.strictObject({ code: z.literal('replaced'), was: z.string(), now: z.string(), holes }),
  z.strictObject({ code: z.literal('not-complete'), place: InspectionPlace, holes }),
  z.strictObject({ code: z.literal('not-measured'), holes }),
  z.strictObject({ code: z.literal('not-looked-at'), holes })
]);
/** What whoever signs has to know, and says so: it keeps nothing from being signed. */
export type Told = z.output<typeof Told>;

const FNV_BASIS = 0xcbf29ce484222325n;
const FNV_PRIME = 0x100000001b3n;
const BITS = 64;

/** The same text whatever the order of the fields. */
const written = (told: Told): string =>
  JSON.stringify(told, (_, value: unknown) =>
    typeof value === 'object' && value !== null && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
      : value
  );

/** By which a signature names what was told: its code, and a check sum of all that it said. What changes after is not accepted. */
export function toldKey(told: Told): string {
  let sum = FNV_BASIS;
  for (const letter of written(told))
    sum = BigInt.asUintN(BITS, (sum ^ BigInt(letter.codePointAt(0) ?? 0)) * FNV_PRIME);
  return `${told.code} ${sum.toString(16)}`;
}
