import { notPossible } from '../answer.ts';
import { asHappened } from '../events/as-happened.ts';
import { defineStream } from '../events/stream.ts';
import {
  predictedHeadIn3,
  type Release,
  type ReleasedFacts,
  type ReleasedHole
} from '../release/release.ts';
import {
  asReworked,
  emptyAt,
  NO_REWORK,
  sinceOf,
  type ReworkState
} from '../reworking/rework-state.ts';
import type { InspectionPlace } from '../rules/inspection.ts';
import { askedInstead } from '../reworking/held-back.ts';
import { isBad, type HeadVerdict, type LookVerdict } from './findings.ts';
import { headStanding, placesAsked, type HeadStanding } from './head-standing.ts';
import { HeadJudged } from './head-judged.ts';
import { headVolumeIn3 } from './head-report.ts';
import { checksOwnWork } from '../rules/own-work.ts';
import { HoleLook, isMeasured, judgeLook, type HoleEvent } from './hole-look.ts';

export { isMeasured, type HoleEvent };

/** Measured heads with both figures in D, as charts show them. */
export interface HeadInD {
  id: string;
  hole: number;
  by: string;
  person: string | undefined;
  at: string;
  verdict: LookVerdict;
  diameterD: number;
  heightD: number;
}
export const headsInD = (events: readonly HoleEvent[]): HeadInD[] =>
  events.flatMap(({ id, hole, by, person, at, frozen: { verdict, diameterD, heightD } }) =>
    diameterD === null || heightD === null
      ? []
      : [{ id, hole, by, person, at, verdict, diameterD, heightD }]
  );

/** Where one hole stands now. */
export interface HoleState {
  hole: number;
  /** every look at it, as they were taken: rivets taken out since, and what was voided, among them */
  all: readonly HoleEvent[];
  /** those that nobody voided */
  valid: readonly HoleEvent[];
  /** of those, the ones at the rivet that is in it now */
  ofRivet: readonly HoleEvent[];
  /** the last of them */
  last: HoleEvent | null;
  /** those at the rivet that is in it now since it was driven last: they add up */
  counted: readonly HoleEvent[];
  /** what those come to together; null where there are none */
  standing: HeadStanding | null;
  /** a rivet that is out since was looked at */
  lookedBefore: boolean;
  /** how often it has been looked at, rivets taken out counted */
  looks: number;
  /** the rivet in it was driven after its batch had expired */
  expired: boolean;
  /** it was inspected before its only blow was logged */
  loggedAfter: boolean;
  /** somebody who may has decided to ask about it instead of replacing it, and nobody has answered */
  askedInstead: boolean;
}

/** What is known of the rivets that are in the holes now, beside the looks at them. */
export interface RivetsNow {
  /** from when on looks are of the rivet that is in now, for holes that one was taken out of; ms since 1970 */
  since: ReadonlyMap<number, number>;
  /** when each rivet was hit last, ms since 1970; none where driving is not logged */
  hitAt: ReadonlyMap<number, number>;
  /** holes whose rivet was driven after its batch had expired, as driving tells */
  expired: ReadonlySet<number>;
  /** holes whose rivet was logged once only */
  once: ReadonlySet<number>;
  /** looks that were false, by their ids */
  voided: ReadonlySet<string>;
  /** holes that are asked about instead of being replaced */
  askedInstead: ReadonlySet<number>;
  /** what makes the inspection of each hole complete; the shop head where nothing is said of it */
  asked: ReadonlyMap<number, readonly InspectionPlace[]>;
}

type Verdict = HeadVerdict;

/**
 * What a head comes to whose batch had or had not expired. An expired one was too hard to be driven well, whatever its head
 * measures: it is replaced, unless its look asks for more than that, or a lead has decided to ask about it.
 *
 * @source inspect, `cracked`: hard rivet, cold time passed
 */
export const comesTo = <Looked extends Verdict | null>(
  verdict: Looked,
  expired: boolean,
  askedInstead = false
): Looked | 'replace' | 'refer' =>
  !expired || verdict === 'refer' ? verdict : askedInstead ? 'refer' : 'replace';

/** What the looks at the rivet in a hole come to; driven since, it is looked at again, unless no blow mends what was found. */
function lookedVerdict({ standing, last }: Pick<HoleState, 'standing' | 'last'>): Verdict | null {
  if (standing) return standing.verdict;
  if (last === null) return null;
  const { verdict } = last.frozen;
  return verdict === 'replace' || verdict === 'refer' ? verdict : 'measure';
}

/** What comes of the rivet that is in a hole now; null where nothing is known yet. */
export const verdictNow = (
  state: Pick<HoleState, 'standing' | 'last' | 'expired' | 'askedInstead'>
): Verdict | null => comesTo(lookedVerdict(state), state.expired, state.askedInstead);

/** It was looked at, and driven further since. */
export const isDrivenSince = ({ last, standing }: Pick<HoleState, 'last' | 'standing'>): boolean =>
  last !== null && standing === null;

/** When the last look was taken that found something wrong with the rivet in a hole; null where none did. */
export const lastBadAt = (state: HoleState | undefined): string | null =>
  state?.ofRivet.findLast(({ frozen }) => isBad(frozen.verdict))?.at ?? null;

const ONLY_SHOP: readonly InspectionPlace[] = ['shop'];

/** From when on looks are at the head as it is now: its last blow, or where none is logged the look that says it was driven on. */
function headSince(looks: readonly HoleEvent[], hitMs: number | undefined): number {
  if (hitMs !== undefined) return hitMs;
  const begun = looks.findLast(({ drivenOn }) => drivenOn === true);
  return begun ? Date.parse(begun.at) : -Infinity;
}

/** What is known of the rivet in one hole, beside the looks at it. */
export interface RivetNow {
  /** from when on looks are of it, ms since 1970 */
  sinceMs?: number | undefined;
  /** when it was hit last, ms since 1970; none where driving is not logged */
  hitMs?: number | undefined;
  /** that blow is the only one logged */
  once?: boolean;
  expired: boolean;
  askedInstead: boolean;
  /** what makes its inspection complete */
  asked: readonly InspectionPlace[];
}

/**
 * Where one hole stands.
 *
 * @param all every look at it, each once, as they were taken
 * @param voided looks that were false, by their ids
 */
export function holeStateOf(
  hole: number,
  all: readonly HoleEvent[],
  { sinceMs = -Infinity, hitMs, once = false, expired, askedInstead, asked }: RivetNow,
  voided?: { has(id: string): boolean }
): HoleState {
  const valid = voided ? all.filter(({ id }) => !voided.has(id)) : all;
  const from = (looks: readonly HoleEvent[], ms: number) =>
    ms === -Infinity ? looks : looks.filter(({ at }) => Date.parse(at) >= ms);
  const ofRivet = from(valid, sinceMs);
  const counted = from(ofRivet, headSince(ofRivet, hitMs));
  const last = ofRivet.at(-1) ?? null;
  const standing = headStanding(counted, asked);
  return {
    hole,
    all,
    valid,
    ofRivet,
    last,
    counted,
    standing,
    loggedAfter: once && last !== null && standing === null,
    lookedBefore: valid.length > ofRivet.length,
    looks: all.length,
    expired,
    askedInstead
  };
}

/**
 * Projects the events of a release onto its holes. A reading may be sent hours after it was taken, when another hand has looked
 * since: the order in which they were taken counts. A look at a rivet that has been taken out since says nothing of the one
 * that is in now; one before its last blow nothing of its head.
 */
export function holeStates(
  holes: readonly number[],
  events: readonly HoleEvent[],
  now: Partial<RivetsNow> & { from?: ReadonlyMap<number, HoleState> } = {}
): Map<number, HoleState> {
  const looks = new Map(holes.map((hole) => [hole, [...(now.from?.get(hole)?.all ?? [])]]));
  for (const event of events) looks.get(event.hole)?.push(event);
  const { since, hitAt, once, expired, askedInstead, asked, voided } = now;
  return new Map(
    [...looks].map(([hole, all]) => [
      hole,
      holeStateOf(
        hole,
        asHappened(all),
        {
          sinceMs: since?.get(hole),
          hitMs: hitAt?.get(hole),
          once: once?.has(hole) ?? false,
          expired: expired?.has(hole) ?? false,
          askedInstead: askedInstead?.has(hole) ?? false,
          asked: asked?.get(hole) ?? ONLY_SHOP
        },
        voided
      )
    ])
  );
}

/** Measured over predicted volume of the latest readings on some holes; those without a prediction are left out. */
export const lastShares = (
  states: ReadonlyMap<number, HoleState>,
  holes: readonly ReleasedHole[],
  facts: ReleasedFacts
): number[] =>
  holes.flatMap((hole) => {
    const last = states.get(hole.number)?.ofRivet.findLast(isMeasured);
    if (!last) return [];
    const predictedIn3 = predictedHeadIn3(facts, hole);
    return predictedIn3 === null
      ? []
      : [headVolumeIn3(last.diameterIn, last.heightIn) / predictedIn3];
  });

/** What looks are held against: a release, what was taken out of it, and whether it is signed. */
export interface HoleSubject extends Pick<Release, 'facts' | 'holes' | 'heldOpen'> {
  rework?: ReworkState;
  /** who drove the rivet in each hole, by their ids, where the shop's rule asks */
  people?: ReadonlyMap<number, readonly string[]>;
  /** when each rivet was hit last, ms since 1970 */
  hitAt?: ReadonlyMap<number, number>;
  /** holes whose rivet was driven after its batch had expired */
  expired?: ReadonlySet<number>;
  /** holes whose rivet was logged once only */
  once?: ReadonlySet<number>;
  /** who signed it; null while nobody has */
  signed?: { by: string } | null;
}

/** The looks at the heads of a release. A verdict rests on the release's own frozen facts, never on heads before it. */
export const holeStream = defineStream<HoleSubject, HoleLook, HeadJudged, Map<number, HoleState>>({
  name: 'hole',
  Move: HoleLook,
  Frozen: HeadJudged,
  follow({ rework = NO_REWORK, signed = null, people, ...release }, _, move) {
    if (signed) return notPossible('hole', { code: 'signed', by: signed.by });
    if (move.carried) return notPossible('carried', { code: 'carried-by-release' });
    // the rivet that was in it when it was looked at
    const atMs = Date.parse(move.at);
    const { facts, holes, heldOpen } = asReworked(release, rework, atMs);
    const open = heldOpen.find(({ number }) => number === move.hole);
    if (open)
      return notPossible('hole', { code: 'held-open', hole: move.hole, reason: open.reason });
    const hole = holes.find(({ number }) => number === move.hole);
    if (emptyAt(rework, move.hole, atMs))
      return notPossible('hole', { code: 'hole-not-ready', hole: move.hole });
    if (hole && checksOwnWork(facts.rules, people?.get(move.hole), move.person))
      return notPossible('person', { code: 'checks-own-work', hole: move.hole });
    return hole
      ? judgeLook(move, facts, hole)
      : notPossible('hole', { code: 'no-such-hole', hole: move.hole });
  },
  project: ({ facts, holes, rework = NO_REWORK, hitAt, once, expired }, events, from) =>
    holeStates(
      holes.map(({ number }) => number),
      events,
      {
        ...(from ? { from } : {}),
        since: sinceOf(rework),
        voided: new Set(rework.voidedLooks.keys()),
        askedInstead: askedInstead(rework),
        asked: new Map(holes.map((hole) => [hole.number, placesAsked(facts, hole)])),
        ...(hitAt ? { hitAt } : {}),
        ...(once ? { once } : {}),
        ...(expired ? { expired } : {})
      }
    )
});
