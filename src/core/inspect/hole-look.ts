import { z } from 'zod';
import { notPossible, type Answer, type WorkLine } from '../answer.ts';
import { CarriedFrom, MOVE_STAMP, type Recorded } from '../events/stream.ts';
import type { ReleasedFacts, ReleasedHole } from '../release/release.ts';
import { readInput } from '../schema/read.ts';
import { heldAgainst } from './at-its-limit.ts';
import { drivenHead } from './driven-head.ts';
import {
  flagVerdict,
  graver,
  Look,
  looksAsked,
  Place,
  SeenFlag,
  type LookVerdict
} from './findings.ts';
import { flushAt } from '../release/flush-at.ts';
import { FlushLook, flushFound } from './flush-look.ts';
import type { HeadJudged } from './head-judged.ts';
import { HeadReading } from './head-report.ts';
import { PlateLook, plateSays } from './plate-look.ts';
import { possibleVerdicts } from './uncertain-head.ts';

/** Further off than this a reading tells nothing. */
const MOST_UNCERTAIN_IN = 0.1;
/** How far off a reading may be either way, in. */
export const MayBeOff = z.number().min(0).max(MOST_UNCERTAIN_IN);

/** What any look at a head may bring beside its way of measuring. */
const SEEN = {
  ...MOVE_STAMP,
  hole: z.int().min(1),
  flags: HeadReading.shape.flags,
  /** places that were looked at and are clean */
  clean: z.array(Place).max(3).optional(),
  flush: FlushLook.optional(),
  /** it was driven further since the look before, where nobody logs driving */
  drivenOn: z.literal(true).optional(),
  /** taken over from an earlier release */
  carried: CarriedFrom.optional()
};

/** What a client sends when a head was measured. The id is made by the client, so a repeat is stored once. */
export const CheckedHead = z.strictObject({
  ...SEEN,
  kind: z.literal('checked'),
  diameterIn: HeadReading.shape.diameterIn,
  heightIn: HeadReading.shape.heightIn,
  /** what was looked at where the head passes on a condition */
  looked: z.array(Look).max(2).optional(),
  /** how it was read, where not by calipers, and how far off either may be */
  how: z.enum(['print', 'mirror', 'camera']).optional(),
  plusMinus: z.strictObject({ diameterIn: MayBeOff, heightIn: MayBeOff }).optional(),
  /** by a device that does not exist: practice */
  simulated: z.boolean().optional()
});
export type CheckedHead = z.output<typeof CheckedHead>;

/** A head held against a gauge plate. */
export const GaugedHead = z.strictObject({
  ...SEEN,
  kind: z.literal('gauged'),
  ...PlateLook.shape
});
/** A head that is not measured: what the eye saw condemns it, or places were looked at and are clean. */
export const EyedHead = z.strictObject({ ...SEEN, kind: z.literal('eyed') });

export const HoleLook = z.discriminatedUnion('kind', [CheckedHead, GaugedHead, EyedHead]);
/** One look at a driven head, by whichever way. */
export type HoleLook = z.output<typeof HoleLook>;

/** A stored look: as sent and, frozen with it, the verdict that the server gave. */
export type HoleEvent = Recorded<HoleLook, HeadJudged>;
/** A look that measured the head. */
export type MeasuredHead = Extract<HoleEvent, { kind: 'checked' }>;
export const isMeasured = (event: HoleEvent): event is MeasuredHead => event.kind === 'checked';

/** What one look by itself says of a head; null where the eye found places clean, which alone is no verdict of it. */
export const verdictOfLook = (
  { kind, flush }: Pick<HoleLook, 'kind' | 'flush'>,
  { verdict, findings }: HeadJudged
): LookVerdict | null =>
  kind === 'eyed' && findings.length === 0 && flush === undefined ? null : verdict;

type Measured = Omit<HeadJudged, 'seat'>;

function measuredBy(
  move: HoleLook,
  { limits }: Pick<ReleasedFacts, 'limits'>,
  { dash, number }: Pick<ReleasedHole, 'dash' | 'number'>
): Answer<Measured> {
  if (move.kind === 'eyed')
    return move.flags.length === 0 && move.flush === undefined && (move.clean ?? []).length === 0
      ? notPossible('flags', { code: 'nothing-seen', hole: number })
      : {
          ok: true,
          result: {
            verdict: 'accept',
            findings: [],
            diameterD: null,
            heightD: null,
            cannotTell: []
          },
          work: []
        };
  if (move.kind === 'gauged') {
    const { plate, fitsOver, touchesSheet, upperFits, upperTouches } = move;
    const said = plateSays(dash, limits, {
      plate,
      fitsOver,
      touchesSheet,
      upperFits,
      upperTouches
    });
    return said.ok
      ? { ok: true, result: { ...said.result, diameterD: null, heightD: null }, work: said.work }
      : said;
  }
  const { diameterIn, heightIn, plusMinus } = move;
  const reading = readInput(HeadReading, { dash, limits, diameterIn, heightIn, flags: [] });
  if (!reading.ok) return reading;
  const judged = drivenHead(heldAgainst(reading.value));
  if (!judged.ok) return judged;
  const straddles =
    plusMinus !== undefined &&
    possibleVerdicts({ dash, limits, diameterIn, heightIn, plusMinus }).size > 1;
  return {
    ok: true,
    result: straddles
      ? { ...judged.result, verdict: 'measure', cannotTell: ['within-uncertainty'] }
      : { ...judged.result, cannotTell: [] },
    work: judged.work
  };
}

/**
 * Judges a look by whichever way it was taken: what was measured, what the eye saw, and how flush it stands; the gravest counts.
 *
 * @param facts the release's own limits
 * @returns `not-possible` for a head that passes on a condition nobody has looked at yet, for a plate that contradicts
 * itself, for flushness where the release has no limits for it, and where only the eye looked and saw nothing
 * @source inspect; calculation `driven-head`, `gauge-verdict`
 */
export function judgeLook(
  move: HoleLook,
  facts: Pick<ReleasedFacts, 'limits' | 'head' | 'rules'>,
  hole: Pick<ReleasedHole, 'dash' | 'number' | 'room'>
): Answer<HeadJudged> {
  const measured = measuredBy(move, facts, hole);
  if (!measured.ok) return measured;
  const work: WorkLine[] = [...measured.work];
  const flags: SeenFlag[] = [...new Set(move.flags)];
  const cannotTell = [...measured.result.cannotTell];
  const flush = flushAt(facts, hole);
  if (move.flush !== undefined) {
    if (!flush) return notPossible('flush', { code: 'no-flush-limits', hole: hole.number });
    const found = flushFound(move.flush, flush.limits);
    if (found.flag && !flags.includes(found.flag)) flags.push(found.flag);
    cannotTell.push(...found.cannotTell);
  }
  let verdict: LookVerdict = flags
    .map((flag): LookVerdict => flagVerdict(flag))
    .reduce(graver, measured.result.verdict);
  // too high is touched up or comes out: a slip that cannot tell it leaves the head to be measured
  if (cannotTell.includes('not-flush-high')) verdict = graver(verdict, 'measure');
  // the eye alone finds what is wrong; it never says that a head is good
  if (move.kind === 'eyed') verdict = graver(verdict, 'measure');
  const result: HeadJudged = {
    ...measured.result,
    verdict,
    findings: [...measured.result.findings, ...flags],
    cannotTell,
    seat: flush?.seat ?? null
  };
  const asked = looksAsked(result);
  const looked = move.kind === 'checked' ? (move.looked ?? []) : [];
  return asked.every((look) => looked.includes(look))
    ? { ok: true, result, work }
    : notPossible('looked', { code: 'look-first', hole: hole.number });
}
