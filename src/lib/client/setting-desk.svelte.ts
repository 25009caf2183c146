import type { Stamped, Stream, Unstamped } from '$core/events/stream.ts';
import { EventStore } from './event-store.svelte';
import { KeptFields } from './kept-fields.svelte';

/** One setting of a tool in this browser: its events, sent or not, and what is typed in its fields. */
export class SettingDesk<Subject, Move extends Stamped, Found, State> {
  readonly desk: EventStore<Subject, Move, Found | null, State>;
  readonly #fields: KeptFields;

  constructor(
    stream: Stream<Subject, Move, Found | null, State>,
    {
      id,
      setup,
      events
    }: { id: string; setup: Subject; events: (Move & { by: string; frozen: Found | null })[] },
    by: string
  ) {
    this.#fields = new KeptFields(`${stream.name}-typed.${id}`);
    // What is found is frozen by the server alone.
    this.desk = new EventStore(stream, () => setup, {
      subjectId: id,
      stored: events,
      by,
      unsent: null
    });
  }

  get events() {
    return this.desk.events;
  }
  get state() {
    return this.desk.state;
  }
  get outbox() {
    return this.desk.outbox;
  }
  get refusal() {
    return this.desk.refusal;
  }

  /** What is typed in a field; undefined while nobody has typed there. */
  typed(field: string): string | undefined {
    return this.#fields.of(field);
  }

  type(field: string, text: string): void {
    this.#fields.type(field, text);
  }

  /** What was typed is kept as an event now. */
  clear(...fields: string[]): void {
    this.#fields.clear(...fields);
  }

  /** @returns false where it may not follow on what happened before: what was typed stays */
  add(loose: Unstamped<Move>): boolean {
    return this.desk.add(loose);
  }

  /** Picks up what this browser still holds from an earlier visit. */
  async restore(): Promise<void> {
    await this.#fields.restore();
    await this.desk.restore();
  }

  stop(): void {
    this.desk.stop();
  }
}
