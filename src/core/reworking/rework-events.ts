import { z } from 'zod';
import { answer, notPossible, type Answer } from '../answer.ts';
import { defineStream, type Recorded } from '../events/stream.ts';
import { checksOwnWork } from '../rules/own-work.ts';
import { blindFits, rivetFits } from './answer-fits.ts';
import { decideHole } from './decide-hole.ts';
import { ReplacedRivet } from './replaced-rivet.ts';
import { decidedTogether, foundTogether, counted, type HoleReading } from './hole-readings.ts';
import { ReworkMove, SeenInHole } from './rework-moves.ts';
import {
  asReworked,
  beforeRemoval,
  FRESH,
  NO_REWORK,
  type HoleRework,
  type Layout,
  type ReworkState
} from './rework-state.ts';
import { stepsAsked } from './rework-steps.ts';

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
    rivet: ReplacedRivet.nullable(),
    tooSmall: z.strictObject({ drill: z.string(), drillIn: z.number() }).optional()
  })
  .nullable();
/** What was decided of a hole when it was measured; null with every other move. */
export type ReworkFrozen = z.output<typeof ReworkFrozen>;
export type ReworkEvent = Recorded<ReworkMove, ReworkFrozen>;

/** What rework is held against: an issue, and whether it is signed. */
export interface ReworkSubject extends Layout {
  signed?: { by: string } | null;
  /** holes that have a rivet now; left out where the server says */
  rivetIn?: ReadonlySet<number>;
  /** who may say that another's reading was false, by their ids; left out where the server says */
  inspectors?: ReadonlySet<string>;
  /** who may decide that a rivet is asked about instead of being replaced, by their ids; left out where the server says */
  leads?: ReadonlySet<string>;
  /** the looks at its heads, by their ids; left out where the server says */
  looks?: ReadonlyMap<string, { hole: number; person: string | undefined; by: string }>;
}

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
  const issued = holes.find(({ number }) => number === move.hole);
  if (!issued) return notPossible('hole', { code: 'no-such-hole', hole: move.hole });
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
      const { facts, hole = issued } = beforeRemoval(subject, state, move.hole);
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

/** What the readings of a hole come to. */
function settled(
  subject: Layout,
  state: ReworkState,
  now: HoleRework,
  readings: readonly HoleReading[],
  atMs: number
): HoleRework {
  const { facts, hole } = beforeRemoval(subject, state, now.hole);
  const decision = decidedTogether(facts, hole, readings, now.outs);
  const live = counted(readings);
  const widestIn = live.length === 0 ? null : foundTogether(live).widestIn;
  const common = { ...now, readings, decision, widestIn };
  // a device that knew of no worse reading may have driven what the first one asked for
  const first = live.find(({ decided }) => decided?.rivet);
  const given = first?.decided?.rivet ?? null;
  const agree = decision?.rivet && (given === null || given.dash === decision.rivet.dash);
  const rivet = agree ? decision.rivet : given;
  // what was done for another size is none of this one's
  const same = rivet?.partNumber === now.rivet?.partNumber;
  return {
    ...common,
    toDo: hole ? stepsAsked(facts, hole, rivet, decision?.tooSmall !== undefined) : [],
    steps: same ? now.steps : [],
    stage: decision === null ? 'out' : agree ? 'ready' : 'ask',
    rivet,
    readyAt: rivet === null ? null : first ? Date.parse(first.at) : atMs,
    blind: null
  };
}

function after(subject: Layout, state: ReworkState, event: ReworkEvent): ReworkState {
  const holes = new Map(state.holes);
  const referrals = new Map(state.referrals);
  const voidedLooks = new Map(state.voidedLooks);
  const blinds = new Map(state.blinds);
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
      const { id, at: when, by, person, widestIn, tooDeepIn, seen, frozen } = event;
      const now = holes.get(event.hole) ?? { ...FRESH, hole: event.hole };
      const reading: HoleReading = {
        ...{ id, at: when, by, person, widestIn, tooDeepIn, seen },
        decided: frozen,
        voided: null
      };
      const readings = [...now.readings, reading].sort(
        (a, b) => Date.parse(a.at) - Date.parse(b.at)
      );
      holes.set(event.hole, settled(subject, state, now, readings, at));
      break;
    }
    case 'voided': {
      const now = holes.get(event.hole);
      if (!now) break;
      const { why, by, at: when } = event;
      const readings = now.readings.map((one) =>
        one.id === event.reading ? { ...one, voided: { why, by, at: when } } : one
      );
      holes.set(event.hole, settled(subject, state, now, readings, at));
      break;
    }
    case 'voided-look': {
      const { look, hole, why, by, at: when } = event;
      voidedLooks.set(look, { hole, why, by, at: when });
      break;
    }
    case 'blind-in': {
      const { hole, lot, by, person, at: when } = event;
      // two devices may say so of one rivet
      if (!blinds.has(hole)) blinds.set(hole, { hole, lot, by, person, at: when, looks: [] });
      break;
    }
    case 'blind-out':
      blinds.delete(event.hole);
      break;
    case 'blind-looked': {
      const now = blinds.get(event.hole);
      const { by, person, at: when, found, note } = event;
      if (now)
        blinds.set(event.hole, {
          ...now,
          looks: [...now.looks, { by, person, at: when, found, note }]
        });
      break;
    }
    case 'step': {
      const now = holes.get(event.hole);
      if (!now) break;
      const others = now.steps.filter((step) => step !== event.step);
      change(event.hole, { steps: event.done ? [...others, event.step] : others });
      break;
    }
    case 'referred': {
      const { id, hole, question, instead = false, by, at: when } = event;
      referrals.set(id, { id, hole, question, instead, by, at: when, answered: null });
      break;
    }
    case 'answered': {
      const asked = referrals.get(event.referral);
      if (!asked) break;
      referrals.set(asked.id, { ...asked, answered: event });
      if (asked.hole === null) break;
      const { then } = event;
      if (then.what === 'leave') change(asked.hole, { stage: 'left', leftAt: at });
      if (then.what === 'rivet') {
        const { rivet } = then;
        const { facts, hole } = beforeRemoval(subject, state, asked.hole);
        const toDo = hole ? stepsAsked(facts, hole, rivet) : [];
        change(asked.hole, { stage: 'ready', rivet, readyAt: at, toDo, steps: [] });
      }
      if (then.what === 'blind')
        change(asked.hole, { stage: 'blind', blind: then.blind, rivet: null, readyAt: at });
      break;
    }
  }
  return { holes, referrals, voidedLooks, blinds };
}

/** Rivets taken out and what came of their holes, and questions put to those who own the data. */
export const reworkStream = defineStream<ReworkSubject, ReworkMove, ReworkFrozen, ReworkState>({
  name: 'rework',
  Move: ReworkMove,
  Frozen: ReworkFrozen,
  follow: mayFollow,
  project: (subject, events, from = NO_REWORK) =>
    inTurn(events, from).reduce((state, event) => after(subject, state, event), from)
});

/** An answer, or what voids a reading, comes after what it is about, though the clock of its device was behind. */
function inTurn(events: readonly ReworkEvent[], from: ReworkState): ReworkEvent[] {
  const known = new Set([
    ...from.referrals.keys(),
    ...[...from.holes.values()].flatMap(({ readings }) => readings.map(({ id }) => id))
  ]);
  const early: { about: string; event: ReworkEvent }[] = [];
  return events.flatMap((event): ReworkEvent[] => {
    const about =
      event.kind === 'answered' ? event.referral : event.kind === 'voided' ? event.reading : null;
    if (about !== null && !known.has(about)) {
      early.push({ about, event });
      return [];
    }
    if (event.kind !== 'referred' && event.kind !== 'measured') return [event];
    known.add(event.id);
    return [event, ...early.filter((one) => one.about === event.id).map((one) => one.event)];
  });
}
