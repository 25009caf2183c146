import { answer, notPossible, type Answer } from '../answer.ts';
import { checksOwnWork } from '../rules/own-work.ts';
import { blindFits, rivetFits } from './answer-fits.ts';
import { decideHole } from './decide-hole.ts';
import type { ReworkMove } from './rework-moves.ts';
import { asReworked, beforeRemoval, type HoleRework, type ReworkState } from './rework-state.ts';
import { ReworkFrozen, type ReworkSubject } from './rework-subject.ts';

/** A reading had asked for a rivet before a worse one did: a device that did not know may have driven it. */
const drivenUnknowing = (now: HoleRework | undefined): boolean =>
  now?.stage === 'ask' && now.rivet !== null;

/** Whether a hole is as its rivet left it: its decision rests on readings alone, and nothing was drilled since. */
const isAsLeft = (now: HoleRework | undefined): now is HoleRework =>
  now?.stage === 'out' ||
  now?.stage === 'ask' ||
  (now?.stage === 'ready' &&
    (now.decision?.rivet ?? null) !== null &&
    !now.steps.includes('drilled'));

const OUT_OF_ORDER = (hole: number) => notPossible('hole', { code: 'rework-order', hole });

/** Whether a move is dated before the last thing that was done at its hole; of a reading, before its rivet came out. */
function isBefore({ at, kind }: ReworkMove, now: HoleRework | undefined): boolean {
  if (now === undefined) return false;
  const { outAt, readyAt } = now;
  const last = kind === 'measured' ? outAt : Math.max(outAt ?? -Infinity, readyAt ?? -Infinity);
  return Date.parse(at) < (last ?? -Infinity);
}

/** A reading is voided by whoever took it, or by whoever may say so of another's. */
const mayVoid = (
  inspectors: ReadonlySet<string> | undefined,
  taken: { person: string | undefined; by: string },
  { person }: ReworkMove
): Answer<ReworkFrozen> =>
  inspectors === undefined || taken.person === person || inspectors.has(person ?? '')
    ? answer<ReworkFrozen>(null, [])
    : notPossible('person', { code: 'reading-of-another', by: taken.by });

type BlindMove = Extract<ReworkMove, { kind: 'blind-in' | 'blind-out' | 'blind-looked' }>;
const isOfBlind = (move: ReworkMove): move is BlindMove => move.kind.startsWith('blind-');

/** A blind rivet goes in where one is planned or approved, and is looked at while it is in. */
function mayFollowBlind(
  subject: ReworkSubject,
  state: ReworkState,
  move: BlindMove
): Answer<ReworkFrozen> {
  const { hole } = move;
  const open = asReworked(subject, state, Date.parse(move.at)).heldOpen;
  const blind = open.find(({ number }) => number === hole)?.blind;
  if (!blind) return notPossible('hole', { code: 'no-blind', hole });
  const now = state.blinds.get(hole);
  const isBefore = now !== undefined && Date.parse(move.at) < Date.parse(now.at);
  if (isBefore || (now !== undefined) === (move.kind === 'blind-in')) return OUT_OF_ORDER(hole);
  const putBy = now?.person === undefined ? [] : [now.person];
  // finding something wrong with one's own is always taken
  return move.kind === 'blind-looked' &&
    move.found.length === 0 &&
    checksOwnWork(subject.facts.rules, putBy, move.person)
    ? notPossible('person', { code: 'checks-own-work', hole })
    : answer<ReworkFrozen>(null, []);
}

/** Whether a move may follow on what was done, and what is decided with it. */
export function mayFollow(
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
    if (
      what === 'leave' &&
      (asked.hole === null || stage === 'out' || (stage === 'ask' && !drivenUnknowing(now)))
    )
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
  if (isOfBlind(move)) return mayFollowBlind(subject, state, move);
  const { holes, heldOpen } = subject;
  const open = heldOpen.find(({ number }) => number === move.hole);
  if (open) return notPossible('hole', { code: 'held-open', hole: move.hole, reason: open.reason });
  const asReleased = holes.find(({ number }) => number === move.hole);
  if (!asReleased) return notPossible('hole', { code: 'no-such-hole', hole: move.hole });
  const now = state.holes.get(move.hole);
  const empty = now?.stage === 'out' || now?.stage === 'ask';
  // dated before what it follows on, it would make a look at the old rivet one at the new
  if (move.kind !== 'referred' && move.kind !== 'voided-look' && isBefore(move, now))
    return OUT_OF_ORDER(move.hole);
  switch (move.kind) {
    case 'referred':
      return move.instead && subject.leads && !subject.leads.has(move.person ?? '')
        ? notPossible('person', { code: 'lead-decides' })
        : nothing;
    case 'out':
      return (empty && !drivenUnknowing(now)) || now?.stage === 'blind'
        ? OUT_OF_ORDER(move.hole)
        : nothing;
    case 'still-in':
      return now?.stage === 'out' ? nothing : OUT_OF_ORDER(move.hole);
    case 'measured': {
      if (!isAsLeft(now)) return OUT_OF_ORDER(move.hole);
      const { facts, hole = asReleased } = beforeRemoval(subject, state, move.hole);
      const { widestIn, tooDeepIn, seen } = move;
      const decided = decideHole(facts, hole, { widestIn, tooDeepIn, seen, outs: now.outs });
      return decided.ok ? { ...decided, result: ReworkFrozen.parse(decided.result) } : decided;
    }
    case 'voided': {
      const reading = now?.readings.find(({ id }) => id === move.reading);
      if (!isAsLeft(now) || !reading || reading.voided) return OUT_OF_ORDER(move.hole);
      const { inspectors, rivetIn } = subject;
      // another size would be asked for than is in the metal
      if (rivetIn?.has(move.hole))
        return notPossible('hole', { code: 'rivet-is-in', hole: move.hole });
      return mayVoid(inspectors, reading, move);
    }
    case 'voided-look': {
      const { looks, inspectors } = subject;
      if (looks === undefined) return nothing;
      const look = looks.get(move.look);
      return look?.hole !== move.hole || state.voidedLooks.has(move.look)
        ? OUT_OF_ORDER(move.hole)
        : mayVoid(inspectors, look, move);
    }
    case 'step':
      return now?.stage === 'ready' && now.toDo.includes(move.step)
        ? nothing
        : OUT_OF_ORDER(move.hole);
  }
}
