import { z } from 'zod';
import type { Unstamped } from '$core/events/stream.ts';
import { cageGuide } from '$core/ready/cage/guide.ts';
import { recheckStatus } from '$core/ready/cage/rechecks.ts';
import { cageStream, type CageMove } from '$core/ready/cage/setting.ts';
import type { SettingView } from '$lib/cage-view';
import { Desk } from '../../client/desk.svelte';
import { Kept } from '../../client/kept';

const Typed = z.record(z.string(), z.string());

/** One setting of a cage in this browser: its trials, sent or not, what is typed, and what to do next. */
export class CageDesk {
  readonly desk;
  #typed = $state.raw<Record<string, string>>({});
  #kept: Kept<typeof Typed>;

  constructor(
    readonly view: SettingView,
    by: string
  ) {
    this.#kept = new Kept(`cage-typed.${view.id}`, Typed);
    // What is found is frozen by the server alone.
    this.desk = new Desk(cageStream, view.setup, {
      subjectId: view.id,
      stored: view.events,
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
  readonly guide = $derived.by(() =>
    cageGuide(this.view.setup, this.state.counted, this.view.offered?.clicks ?? null)
  );
  readonly rechecks = $derived.by(() =>
    recheckStatus(this.view.setup, this.state, this.view.holesCut ?? 0)
  );

  /** What is typed in a field; undefined while nobody has typed there. */
  typed(field: string): string | undefined {
    return this.#typed[field];
  }

  type(field: string, text: string): void {
    this.#typed = { ...this.#typed, [field]: text };
    this.#kept.write(this.#typed);
  }

  /** What was typed is kept as an event now. */
  clear(...fields: string[]): void {
    this.#typed = Object.fromEntries(
      Object.entries(this.#typed).filter(([field]) => !fields.includes(field))
    );
    if (Object.keys(this.#typed).length === 0) this.#kept.forget();
    else this.#kept.write(this.#typed);
  }

  /** @returns false where it may not follow on what happened before: what was typed stays */
  add(loose: Unstamped<CageMove>): boolean {
    return this.desk.add(loose);
  }

  /** Picks up what this browser still holds from an earlier visit. */
  async restore(): Promise<void> {
    for (const typed of await this.#kept.found()) this.#typed = { ...typed, ...this.#typed };
    if (Object.keys(this.#typed).length > 0) this.#kept.write(this.#typed);
    await this.desk.restore();
  }

  stop(): void {
    this.desk.stop();
  }
}
