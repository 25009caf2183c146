import { getContext, setContext } from 'svelte';
import type { Release } from '$core/release/release.ts';
import type { ReworkEvent, ReworkFrozen, ReworkSubject } from '$core/reworking/rework-subject.ts';
import { reworkStream } from '$core/reworking/rework-events.ts';
import { type ReworkState } from '$core/reworking/rework-state.ts';
import { decideHole, type FoundHole, type HoleDecision } from '$core/reworking/decide-hole.ts';
import { counted, foundTogether } from '$core/reworking/hole-readings.ts';
import { asReworked, beforeRemoval } from '$core/reworking/rework-state.ts';
import type { ReworkMove } from '$core/reworking/rework-moves.ts';
import type { Answer } from '$core/answer.ts';
import { told, type RefusalSaid } from '$core/refusal-said.ts';
import { EventStore } from '../../client/event-store.svelte';
import { KeptFields } from '../../client/kept-fields.svelte';
import type { Unstamped } from '$core/events/stream.ts';

/** What is typed in the fields of one form. */
export interface TypedFields {
  of(field: string): string;
  type(field: string, text: string): void;
  clear(...fields: string[]): void;
}

/** Rivets taken out of one release, their holes, and questions put. */
export class ReworkDesk {
  readonly asReleased: Release;
  readonly desk: EventStore<ReworkSubject, ReworkMove, ReworkFrozen, ReworkState>;
  /** why the last thing done was not taken */
  refused = $state.raw<RefusalSaid | null>(null);

  /** what is typed at each hole and of each question, kept in this browser until it is logged */
  readonly #typed: KeptFields;

  constructor(release: Release, events: ReworkEvent[], by: string) {
    this.asReleased = release;
    this.#typed = new KeptFields(`rework-typed.${release.id}`);
    // A decision counts once the server has made it.
    this.desk = new EventStore(reworkStream, () => release, {
      subjectId: release.id,
      stored: events,
      by,
      refused: (_, message) => (this.refused = told(message))
    });
  }
  get state(): ReworkState {
    return this.desk.state;
  }
  get outbox() {
    return this.desk.outbox;
  }
  /** as released, with what was replaced since */
  readonly now = $derived.by((): Release => asReworked(this.asReleased, this.state));
  readonly openQuestions = $derived.by(() =>
    [...this.state.referrals.values()].filter(({ answered }) => answered === null)
  );

  /** @returns whether it was taken */
  add(move: Unstamped<ReworkMove>): boolean {
    const taken = this.desk.add(move);
    this.refused = taken ? null : this.desk.refusal;
    return taken;
  }

  /** What a hole as found comes to, before it is logged: what was read before and is not voided counts with it. */
  decided(number: number, found: Omit<FoundHole, 'outs'>): Answer<HoleDecision> | null {
    const { facts, hole } = beforeRemoval(this.asReleased, this.state, number);
    const now = this.state.holes.get(number);
    const together = foundTogether([...counted(now?.readings ?? []), found]);
    return hole ? decideHole(facts, hole, { ...together, outs: now?.outs ?? 0 }) : null;
  }

  /** The fields of one hole or one question, by its number or id. */
  fieldsOf(owner: number | string): TypedFields {
    const name = (field: string) => `${owner} ${field}`;
    return {
      of: (field) => this.#typed.of(name(field)) ?? '',
      type: (field, text) => this.#typed.type(name(field), text),
      clear: (...fields) => this.#typed.clear(...fields.map(name))
    };
  }

  async restore(): Promise<void> {
    await Promise.all([this.desk.restore(), this.#typed.restore()]);
  }
  stop(): void {
    this.desk.stop();
  }
}

const KEY = Symbol('rework desk');
export interface OpenRework {
  readonly desk: ReworkDesk | null;
}
export const provideReworkDesk = (open: OpenRework): OpenRework => setContext(KEY, open);
export const useReworkDesk = (): OpenRework => getContext<OpenRework>(KEY);
