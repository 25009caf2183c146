import { z } from 'zod';
import { cageGuide } from '$core/ready/cage/guide.ts';
import { recheckStatus } from '$core/ready/cage/rechecks.ts';
import { CageMove, follow, settingState, type CageEvent } from '$core/ready/cage/setting.ts';
import type { SettingView } from '$lib/cage-view';
import { Kept } from './kept';
import { Outbox } from './outbox.svelte';
import { send } from './send';

const Typed = z.record(z.string(), z.string());
type Loose<T> = T extends unknown ? Omit<T, 'id' | 'at'> : never;

/** One setting of a cage in this browser: its trials, sent or not, what is typed, and what to do next. */
export class CageDesk {
  stored = $state.raw<CageEvent[]>([]);
  readonly outbox: Outbox<CageMove>;
  /** why the last thing typed was not taken */
  refusal = $state('');
  #typed = $state.raw<Record<string, string>>({});
  #kept: Kept<typeof Typed>;

  constructor(
    readonly view: SettingView,
    private readonly by: string
  ) {
    this.stored = view.events;
    this.#kept = new Kept(`cage-typed.${view.id}`, Typed);
    this.outbox = new Outbox(`cage.${view.id}`, CageMove, {
      post: (moves) => send('POST', `/api/settings/${view.id}/events`, moves),
      taken: (_, body) => (this.stored = body as CageEvent[]),
      away: 'The server cannot be reached: the trials are kept here and sent again.'
    });
  }

  /** What is frozen with an event comes from the server alone. */
  readonly events = $derived.by((): CageEvent[] => [
    ...this.stored,
    ...this.outbox.waiting.map((move) => ({ ...move, by: this.by, found: null }))
  ]);
  readonly state = $derived.by(() => settingState(this.view.setup, this.events));
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

  /** @returns false where it may not follow on what happened before: why stands in `refusal`, what was typed stays */
  add(loose: Loose<CageMove>): boolean {
    const move = { ...loose, id: crypto.randomUUID(), at: new Date().toISOString() };
    const may = follow(this.view.setup, this.events, move);
    this.refusal = may.ok ? '' : may.error.message;
    if (may.ok) this.outbox.add(move);
    return may.ok;
  }

  /** Picks up what this browser still holds from an earlier visit. */
  async restore(): Promise<void> {
    for (const typed of await this.#kept.found()) this.#typed = { ...typed, ...this.#typed };
    if (Object.keys(this.#typed).length > 0) this.#kept.write(this.#typed);
    await this.outbox.restore();
  }

  stop(): void {
    this.outbox.stop();
  }
}
