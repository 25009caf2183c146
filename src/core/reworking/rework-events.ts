import { z } from 'zod';
import { answer, notPossible, type Answer } from '../answer.ts';
import { defineStream, type Recorded } from '../events/stream.ts';
import type { Issue, IssuedHole } from '../issue/issue.ts';
import { blindFits, rivetFits } from './answer-fits.ts';
import { decideHole, type HoleDecision } from './decide-hole.ts';
import { ReplacedRivet } from './replaced-rivet.ts';
import { ReworkMove, SeenInHole, type Blind } from './rework-moves.ts';

export const ReworkFrozen = z
  .strictObject({
    decision: z.enum(['keep', 'next-size', 'refer']),
    because: z.union([z.literal('third-time'), SeenInHole]).nullable(),
    against: z.array(
      z.enum([
        'hole',
        'edge',
        'pitch',
        'between-rows',
        'flush',
        'cut-too-deep',
        'length',
        'no-larger-size'
      ])
    ),
    rivet: ReplacedRivet.nullable()
  })
  .nullable();
/** What was decided of a hole when it was measured; null with every other move. */
export type ReworkFrozen = z.output<typeof ReworkFrozen>;
export type ReworkEvent = Recorded<ReworkMove, ReworkFrozen>;

/** Where the rework of one hole stands. */
export interface HoleRework {
  hole: number;
  /** how often a rivet was taken out */
  outs: number;
  /** `out`: not measured yet; `ask`: to be referred, or not answered; `ready`: to be driven; `blind`, `left`: settled by an answer */
  stage: 'out' | 'ask' | 'ready' | 'blind' | 'left';
  /** of the last removal, ms since 1970; null where none ever was */
  outAt: number | null;
  /** since when what is in `rivet` goes in, ms since 1970 */
  readyAt: number | null;
  decision: HoleDecision | null;
  /** the hole as it was measured, in; null until then */
  widestIn: number | null;
  rivet: ReplacedRivet | null;
  blind: Blind | null;
  /** when it was answered that its head stays, ms since 1970: what is found later is another matter */
  leftAt: number | null;
  /** how it stood before the last removal */
  before: HoleRework | null;
}

/** A question with its answer. */
export interface Referral {
  id: string;
  hole: number | null;
  question: string;
  by: string;
  at: string;
  answered: (Extract<ReworkMove, { kind: 'answered' }> & { by: string }) | null;
}

export interface ReworkState {
  holes: ReadonlyMap<number, HoleRework>;
  referrals: ReadonlyMap<string, Referral>;
}
export const NO_REWORK: ReworkState = { holes: new Map(), referrals: new Map() };

/**
 * Since when taps and looks are of the rivet that is in a hole now, ms since 1970, for holes that one was taken out of; never
 * (Infinity) while the hole is empty or waits for a decision.
 */
export const sinceOf = ({ holes }: ReworkState): Map<number, number> =>
  new Map(
    [...holes].flatMap(([hole, { outAt, readyAt }]) =>
      outAt === null ? [] : [[hole, readyAt ?? Infinity] as const]
    )
  );

/** What was in a hole, or was to go in, at an instant; null while it was as issued. */
function versionAt(now: HoleRework, atMs: number): HoleRework | null {
  const { readyAt, rivet, blind, before } = now;
  if (readyAt !== null && readyAt <= atMs) return rivet !== null || blind !== null ? now : null;
  return before && versionAt(before, atMs);
}

type Layout = Pick<Issue, 'facts' | 'holes' | 'heldOpen'>;

/**
 * An issue with what rework has made of it: another size, length or hole where a rivet was replaced, and no rivet where a
 * blind fastener went in. Everything that reads an issue (order, batches, verdicts, bills) reads this.
 *
 * @param atMs as it was at an instant; the present where left out
 */
export function asReworked<I extends Layout>(
  issue: I,
  { holes: reworked }: ReworkState,
  atMs = Infinity
): I {
  const changed = [...reworked.values()].flatMap((now) => versionAt(now, atMs) ?? []);
  if (changed.length === 0) return issue;
  const stacks = [...stacksOf(issue)];
  const heldOpen = [...issue.heldOpen];
  const byHole = new Map(changed.map((one) => [one.hole, one]));
  const holes = issue.holes.flatMap((hole): IssuedHole[] => {
    const now = byHole.get(hole.number);
    if (!now) return [hole];
    if (now.blind) {
      heldOpen.push({ ...hole, reason: now.blind.fastener });
      return [];
    }
    const { rivet } = now;
    const was = stacks[hole.stack];
    if (!rivet || !was) return [hole];
    stacks.push({ ...was, ...rivet });
    return [{ ...hole, dash: rivet.dash, stack: stacks.length - 1 }];
  });
  return { ...issue, facts: { ...issue.facts, stacks }, holes, heldOpen };
}

/** The stacks of an issue; of one made when a joint had one, that one. */
function stacksOf({ facts }: Layout): Issue['facts']['stacks'] {
  if (facts.stacks.length > 0) return facts.stacks;
  const { dash, partNumber, lengthIn, holeIn } = facts;
  return [
    { name: '', dash, partNumber, lengthIn, holeIn, dimpledThrough: null, raisedIn: 0, wideIn3: 0 }
  ];
}

/** Heads that stay as they are on the data holder’s word, as far as the last look at them is what was answered. */
export const leftAsIs = (
  { holes }: ReworkState,
  lastLookAt: (hole: number) => string | null
): Set<number> =>
  new Set(
    [...holes.values()].flatMap(({ hole, stage, leftAt }) => {
      const at = lastLookAt(hole);
      const answered = at === null || Date.parse(at) <= (leftAt ?? -Infinity);
      return stage === 'left' && answered ? [hole] : [];
    })
  );

/** Holes whose rivet is out, measured or not, with none decided yet. */
export const emptyHoles = ({ holes }: ReworkState): Set<number> =>
  new Set(
    [...holes.values()].flatMap(({ hole, stage }) =>
      stage === 'out' || stage === 'ask' ? [hole] : []
    )
  );

/** Whether a hole stood empty, and not yet ready for a rivet, at an instant. */
export function emptyAt({ holes }: ReworkState, hole: number, atMs: number): boolean {
  const now = holes.get(hole);
  if (!now || now.outAt === null || now.outAt >= atMs) return false;
  return now.readyAt === null || now.readyAt > atMs;
}

/** What rework is held against: an issue, and whether it is signed. */
export interface ReworkSubject extends Layout {
  signed?: { by: string } | null;
}

const OUT_OF_ORDER = (hole: number) => notPossible('hole', { code: 'rework-order', hole });

/** Whether a move is dated before the last thing that was done at its hole. */
const isBefore = ({ at }: ReworkMove, now: HoleRework | undefined): boolean =>
  now !== undefined && Date.parse(at) < Math.max(now.outAt ?? -Infinity, now.readyAt ?? -Infinity);

function mayFollow(
  subject: ReworkSubject,
  state: ReworkState,
  move: ReworkMove
): Answer<ReworkFrozen> {
  const nothing = answer<ReworkFrozen>(null, []);
  if (subject.signed) return notPossible('hole', { code: 'signed', by: subject.signed.by });
  if (move.kind === 'answered') {
    const asked = state.referrals.get(move.referral);
    if (!asked) return notPossible('referral', { code: 'no-such-referral' });
    if (Date.parse(move.at) < Date.parse(asked.at)) return OUT_OF_ORDER(asked.hole ?? 0);
    if (asked.answered)
      return notPossible('referral', { code: 'answered-already', by: asked.answered.answeredBy });
    // only an empty hole takes a rivet or a fastener
    const { what } = move.then;
    const now = asked.hole === null ? undefined : state.holes.get(asked.hole);
    const stage = now?.stage;
    if ((what === 'rivet' || what === 'blind') && stage !== 'ask' && stage !== 'out')
      return OUT_OF_ORDER(asked.hole ?? 0);
    // what goes in is chosen for the hole as it is in the metal
    if ((what === 'rivet' || what === 'blind') && now?.widestIn === null)
      return notPossible('hole', { code: 'hole-not-ready', hole: asked.hole ?? 0 });
    if (what === 'leave' && (asked.hole === null || stage === 'ask' || stage === 'out'))
      return OUT_OF_ORDER(asked.hole ?? 0);
    if (asked.hole === null || !now) return nothing;
    if (isBefore(move, now)) return OUT_OF_ORDER(asked.hole);
    const { then } = move;
    return then.what === 'rivet'
      ? rivetFits(subject, asked.hole, then, now.widestIn)
      : then.what === 'blind'
        ? blindFits(subject, asked.hole, then.blind, now.widestIn)
        : nothing;
  }
  if (move.hole === null) return nothing;
  const { holes, heldOpen } = subject;
  const open = heldOpen.find(({ number }) => number === move.hole);
  if (open) return notPossible('hole', { code: 'held-open', hole: move.hole, reason: open.reason });
  const issued = holes.find(({ number }) => number === move.hole);
  if (!issued) return notPossible('hole', { code: 'no-such-hole', hole: move.hole });
  const now = state.holes.get(move.hole);
  const empty = now?.stage === 'out' || now?.stage === 'ask';
  // dated before what it follows on, it would make a look at the old rivet one at the new
  if (move.kind !== 'referred' && isBefore(move, now)) return OUT_OF_ORDER(move.hole);
  switch (move.kind) {
    case 'referred':
      return nothing;
    case 'out':
      return empty || now?.stage === 'blind' ? OUT_OF_ORDER(move.hole) : nothing;
    case 'still-in':
      return now?.stage === 'out' ? nothing : OUT_OF_ORDER(move.hole);
    case 'measured': {
      if (!empty || !now) return OUT_OF_ORDER(move.hole);
      const { facts, holes: present } = asReworked(subject, state);
      const hole = present.find(({ number }) => number === move.hole) ?? issued;
      const { widestIn, tooDeepIn, seen } = move;
      const decided = decideHole(facts, hole, { widestIn, tooDeepIn, seen, outs: now.outs });
      return decided.ok ? { ...decided, result: ReworkFrozen.parse(decided.result) } : decided;
    }
  }
}

const FRESH: Omit<HoleRework, 'hole'> = {
  outs: 0,
  stage: 'out',
  outAt: null,
  readyAt: null,
  decision: null,
  widestIn: null,
  rivet: null,
  blind: null,
  leftAt: null,
  before: null
};

function after(state: ReworkState, event: ReworkEvent): ReworkState {
  const holes = new Map(state.holes);
  const referrals = new Map(state.referrals);
  const at = Date.parse(event.at);
  const change = (hole: number, changes: Partial<HoleRework>) =>
    holes.set(hole, { ...FRESH, hole, ...holes.get(hole), ...changes });
  switch (event.kind) {
    case 'out': {
      const before = holes.get(event.hole) ?? null;
      holes.set(event.hole, {
        ...FRESH,
        hole: event.hole,
        outs: (before?.outs ?? 0) + 1,
        outAt: at,
        before
      });
      break;
    }
    case 'still-in': {
      const before = holes.get(event.hole)?.before ?? null;
      if (before) holes.set(event.hole, before);
      else holes.delete(event.hole);
      break;
    }
    case 'measured': {
      const decision = event.frozen;
      const ready = decision !== null && decision.rivet !== null;
      change(event.hole, {
        decision,
        widestIn: event.widestIn,
        stage: ready ? 'ready' : 'ask',
        ...(ready ? { rivet: decision.rivet, readyAt: at, blind: null } : {})
      });
      break;
    }
    case 'referred': {
      const { id, hole, question, by, at: when } = event;
      referrals.set(id, { id, hole, question, by, at: when, answered: null });
      break;
    }
    case 'answered': {
      const asked = referrals.get(event.referral);
      if (!asked) break;
      referrals.set(asked.id, { ...asked, answered: event });
      if (asked.hole === null) break;
      const { then } = event;
      if (then.what === 'leave') change(asked.hole, { stage: 'left', leftAt: at });
      if (then.what === 'rivet')
        change(asked.hole, { stage: 'ready', rivet: then.rivet, readyAt: at });
      if (then.what === 'blind')
        change(asked.hole, { stage: 'blind', blind: then.blind, rivet: null, readyAt: at });
      break;
    }
  }
  return { holes, referrals };
}

/** Rivets taken out and what came of their holes, and questions put to those who own the data. */
export const reworkStream = defineStream<ReworkSubject, ReworkMove, ReworkFrozen, ReworkState>({
  name: 'rework',
  Move: ReworkMove,
  Frozen: ReworkFrozen,
  follow: mayFollow,
  project: (_, events, from = NO_REWORK) => inTurn(events, from).reduce(after, from)
});

/** An answer of a device whose clock was behind comes after its question all the same. */
function inTurn(events: readonly ReworkEvent[], { referrals }: ReworkState): ReworkEvent[] {
  const asked = new Set(referrals.keys());
  const early: Extract<ReworkEvent, { kind: 'answered' }>[] = [];
  return events.flatMap((event): ReworkEvent[] => {
    if (event.kind === 'answered' && !asked.has(event.referral)) {
      early.push(event);
      return [];
    }
    if (event.kind !== 'referred') return [event];
    asked.add(event.id);
    return [event, ...early.filter(({ referral }) => referral === event.id)];
  });
}
