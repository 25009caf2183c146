import { getContext, setContext } from 'svelte';
import { z } from 'zod';
import type { TimedWork } from '$core/ready/operations.ts';
import { ReadyMove, type ReadyEvent } from '$core/ready/progress.ts';
import type { ShopFigures } from '$core/ready/shop-figures.ts';
import type { ReadyStep } from '$core/ready/step-list.ts';
import { Kept } from './kept';
import { messageOf, send } from './send';

const RETRY_MS = 3000;

/** Ticks of one joint before driving: those stored, and those still on their way. */
export class ReadyDesk {
  stored = $state.raw<ReadyEvent[]>([]);
  figures = $state.raw<ShopFigures>() as ShopFigures;
  refusal = $state('');
  /** why the shop's figures were not kept */
  figuresRefusal = $state('');
  #waiting = $state.raw<ReadyMove[]>([]);
  #sending = false;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #kept: Kept<z.ZodArray<typeof ReadyMove>>;

  constructor(
    private readonly jointId: string,
    ready: { events: ReadyEvent[]; figures: ShopFigures; recorded: TimedWork[] },
    private readonly by: string
  ) {
    this.stored = ready.events;
    this.figures = ready.figures;
    this.#othersRecorded = ready.recorded;
    this.#kept = new Kept(`ready.${jointId}`, z.array(ReadyMove));
  }

  #othersRecorded: TimedWork[];

  /** every tick as it stands here, sent or not */
  readonly events = $derived.by((): ReadyEvent[] => [
    ...this.stored,
    ...this.#waiting.map((move) => ({ ...move, by: this.by }))
  ]);
  readonly recorded = $derived.by((): TimedWork[] => [
    ...this.#othersRecorded,
    ...this.#waiting.flatMap(({ timed, done }) => (done && timed ? [timed] : []))
  ]);

  get waitingToSend(): number {
    return this.#waiting.length;
  }

  tick(step: ReadyStep, hole: number | null, done: boolean, seconds: number | null = null): void {
    const timed =
      seconds !== null && hole === null && step.count > 0
        ? { op: step.op, count: step.count, seconds }
        : null;
    const move: ReadyMove = {
      id: crypto.randomUUID(),
      at: new Date().toISOString(),
      step: step.key,
      hole,
      of: step.count,
      done,
      timed
    };
    this.#waiting = [...this.#waiting, move];
    this.#store();
    void this.sendAll();
  }

  async sendAll(): Promise<void> {
    if (this.#sending || this.#waiting.length === 0) return;
    clearTimeout(this.#timer);
    this.#sending = true;
    const sent = this.#waiting;
    const reply = await send('POST', `/api/joints/${this.jointId}/ready`, sent);
    this.#sending = false;
    if (reply.reached && reply.ok) {
      this.refusal = '';
      this.stored = reply.body as ReadyEvent[];
      this.#othersRecorded = [
        ...this.#othersRecorded,
        ...sent.flatMap(({ timed, done }) => (done && timed ? [timed] : []))
      ];
      this.#waiting = this.#waiting.filter((move) => !sent.includes(move));
      this.#store();
      void this.sendAll();
      return;
    }
    this.refusal = reply.reached
      ? messageOf(reply)
      : 'The server cannot be reached: the ticks are kept here and sent again.';
    // Someone who says who they are sends them again; what the server will never take is not kept for ever.
    if (reply.reached && reply.status < 500 && reply.status !== 401) {
      this.#waiting = this.#waiting.filter((move) => !sent.includes(move));
      this.#store();
      return;
    }
    this.#timer = setTimeout(() => void this.sendAll(), RETRY_MS);
  }

  async setFigures(figures: ShopFigures): Promise<boolean> {
    const reply = await send('PUT', '/api/shop', figures);
    if (reply.reached && reply.ok) {
      this.figures = figures;
      this.figuresRefusal = '';
      return true;
    }
    this.figuresRefusal = reply.reached ? messageOf(reply) : 'The server cannot be reached.';
    return false;
  }

  /** Picks up what this browser still holds from an earlier visit. */
  async restore(): Promise<void> {
    for (const moves of await this.#kept.found()) {
      const known = new Set(this.#waiting.map(({ id }) => id));
      this.#waiting = [...moves.filter(({ id }) => !known.has(id)), ...this.#waiting];
    }
    this.#store();
    void this.sendAll();
  }

  stop(): void {
    clearTimeout(this.#timer);
  }

  #store(): void {
    if (this.#waiting.length === 0) this.#kept.forget();
    else this.#kept.write(this.#waiting);
  }
}

const KEY = Symbol('ready desk');
export const provideReadyDesk = (desk: ReadyDesk): ReadyDesk => setContext(KEY, desk);
export const useReadyDesk = (): ReadyDesk => getContext<ReadyDesk>(KEY);
