import { defineStream } from '../events/stream.ts';
import { decidedTogether, foundTogether, counted, type HoleReading } from './hole-readings.ts';
import { mayFollow } from './rework-guard.ts';
import { ReworkMove } from './rework-moves.ts';
import {
  beforeRemoval,
  FRESH,
  NO_REWORK,
  type HoleRework,
  type Layout,
  type ReworkState
} from './rework-state.ts';
import { stepsAsked } from './rework-steps.ts';
import { ReworkFrozen, type ReworkEvent, type ReworkSubject } from './rework-subject.ts';

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
