import { notPossible } from '../answer.ts';
import { defineStream, type Recorded } from '../events/stream.ts';
import { predictedHeadIn3, type Issue, type IssuedFacts, type IssuedHole } from '../issue/issue.ts';
import {
  asReworked,
  emptyAt,
  NO_REWORK,
  sinceOf,
  type ReworkState
} from '../reworking/rework-state.ts';
import { HeadJudged } from './head-judged.ts';
import { headVolumeIn3 } from './head-report.ts';
import { HoleLook, judgeLook } from './hole-look.ts';

/** A stored look: as sent and, frozen with it, the verdict that the server gave. */
export type HoleEvent = Recorded<HoleLook, HeadJudged>;
/** A look that measured the head. */
export type MeasuredHead = Extract<HoleEvent, { kind: 'checked' }>;
export const isMeasured = (event: HoleEvent): event is MeasuredHead => event.kind === 'checked';

/** Measured heads with both figures in D, as charts show them. */
export interface HeadInD {
  id: string;
  hole: number;
  by: string;
  person: string | undefined;
  at: string;
  verdict: HoleEvent['frozen']['verdict'];
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
  /** the last look at the rivet that is in it now */
  last: HoleEvent | null;
  /** how often it has been looked at, rivets taken out counted */
  looks: number;
  /** the rivet in it was driven after its batch had expired */
  expired: boolean;
}

type Verdict = HoleEvent['frozen']['verdict'];

/**
 * What a look comes to at a rivet whose batch had or had not expired. An expired one was too hard to be driven well, whatever
 * its head measures: it is replaced, unless its look asks for more than that.
 *
 * @source handbook 4.6, `cracked`: hard rivet, cold time passed
 */
export const comesTo = <Looked extends Verdict | null>(
  verdict: Looked,
  expired: boolean
): Looked | 'replace' => (expired && verdict !== 'refer' ? 'replace' : verdict);

/** What comes of the rivet that is in a hole now; null where nothing is known yet. */
export const verdictNow = ({
  last,
  expired
}: Pick<HoleState, 'last' | 'expired'>): Verdict | null =>
  comesTo(last?.frozen.verdict ?? null, expired);

const AS_ISSUED = new Map<number, number>();
const NONE: ReadonlySet<number> = new Set();

/**
 * Projects the events of an issue onto its holes. The look that was taken last counts: a reading may be sent hours after
 * it was taken, when another hand has looked since; of one instant the one recorded later. A look at a rivet that has been
 * taken out since says nothing of the one that is in now.
 *
 * @param since from when on looks are of the rivet that is in now, for holes that one was taken out of; ms since 1970
 * @param expired holes whose rivet was driven after its batch had expired, as driving tells
 */
export function holeStates(
  holes: readonly number[],
  events: readonly HoleEvent[],
  from: ReadonlyMap<number, HoleState> = new Map(),
  since: ReadonlyMap<number, number> = AS_ISSUED,
  expired: ReadonlySet<number> = NONE
): Map<number, HoleState> {
  const states = new Map(
    holes.map((hole): [number, HoleState] => [
      hole,
      { ...(from.get(hole) ?? { hole, last: null, looks: 0 }), expired: expired.has(hole) }
    ])
  );
  for (const event of events) {
    const state = states.get(event.hole);
    if (!state) continue;
    const at = Date.parse(event.at);
    const ofThisRivet = at >= (since.get(event.hole) ?? -Infinity);
    const later = state.last === null || at >= Date.parse(state.last.at);
    states.set(event.hole, {
      ...state,
      last: ofThisRivet && later ? event : state.last,
      looks: state.looks + 1
    });
  }
  return states;
}

/** Measured over predicted volume of the latest readings on some holes; those without a prediction are left out. */
export const lastShares = (
  states: ReadonlyMap<number, HoleState>,
  holes: readonly IssuedHole[],
  facts: IssuedFacts
): number[] =>
  holes.flatMap((hole) => {
    const last = states.get(hole.number)?.last;
    if (!last || !isMeasured(last)) return [];
    const predictedIn3 = predictedHeadIn3(facts, hole);
    return predictedIn3 === null
      ? []
      : [headVolumeIn3(last.diameterIn, last.heightIn) / predictedIn3];
  });

/** Whether the shop's rule keeps somebody from judging a head: they drove it. */
export const checksOwnWork = (
  rules: IssuedFacts['rules'],
  drove: readonly string[] | undefined,
  person: string | undefined
): boolean =>
  rules?.checking === 'another' && person !== undefined && (drove?.includes(person) ?? false);

/** What looks are held against: an issue, what was taken out of it, and whether it is signed. */
export interface HoleSubject extends Pick<Issue, 'facts' | 'holes' | 'heldOpen'> {
  rework?: ReworkState;
  /** who drove the rivet in each hole, by their ids, where the shop's rule asks */
  people?: ReadonlyMap<number, readonly string[]>;
  /** holes whose rivet was driven after its batch had expired */
  expired?: ReadonlySet<number>;
  /** who signed it; null while nobody has */
  signed?: { by: string } | null;
}

/** The looks at the heads of an issue. A verdict rests on the issue's own frozen facts, never on heads before it. */
export const holeStream = defineStream<HoleSubject, HoleLook, HeadJudged, Map<number, HoleState>>({
  name: 'hole',
  Move: HoleLook,
  Frozen: HeadJudged,
  follow({ rework = NO_REWORK, signed = null, people, ...issue }, _, move) {
    if (signed) return notPossible('hole', { code: 'signed', by: signed.by });
    if (move.carried) return notPossible('carried', { code: 'carried-by-release' });
    // the rivet that was in it when it was looked at
    const atMs = Date.parse(move.at);
    const { facts, holes, heldOpen } = asReworked(issue, rework, atMs);
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
  project: ({ holes, rework = NO_REWORK, expired }, events, from) =>
    holeStates(
      holes.map(({ number }) => number),
      events,
      from,
      sinceOf(rework),
      expired
    )
});
