import type { z } from 'zod';
import { CLOCK_HEADER, CLOCK_RIGHT_HEADER } from '$lib/api/endpoint.ts';
import type { Called } from './call';
import { isForGood } from './for-good';
import { dropMoves, keepMove, keptMoves, setAside } from './store';

const RETRY_MS = 3000;
/** Whoever made it is still there to be told why it is refused; what has waited longer is set aside for them. */
const STILL_THERE_MS = 30_000;
/** Sent at once; the rest follows when these are acknowledged. */
const MOST_AT_ONCE = 500;

/** As much of an outbox as its notice needs. */
export interface Clocked {
  /** what is not stored yet */
  readonly waiting: readonly unknown[];
  away: boolean;
  refusal: string;
  clock: { message: string; offMs: number } | null;
  settleClock(by: 'device' | 'server'): void;
}

interface Ways<M, E> {
  post: (moves: M[], headers: Record<string, string>) => Promise<Called<E[]>>;
  /** the server has them */
  taken: (moves: M[], events: E[]) => void;
  /** the server will never take it: for whoever wants it back */
  refused?: (move: M, message: string) => void;
  /** puts what an earlier version of the program left unsent where this one keeps it */
  older?: () => Promise<void>;
}

/**
 * Moves on their way to the server, in order: kept in this browser until it has acknowledged them, sent again while it
 * is away. What it refuses for good is dropped with its reason, or set aside where it has waited: nobody may be there to read it.
 */
export class Outbox<M extends { id: string; at: string }, E> implements Clocked {
  waiting = $state.raw<M[]>([]);
  /** what the server said to the last that it did not take */
  refusal = $state('');
  /** the server cannot be reached */
  away = $state(false);
  sending = $state(false);
  /** this device's clock is far from the server's: a person says which is right */
  clock = $state.raw<Clocked['clock']>(null);
  #clockRight = false;
  /** after a refusal they go one by one, so that a bad one takes no good one with it */
  #singly = false;
  #timer: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private readonly box: string,
    private readonly schema: z.ZodType<M>,
    private readonly ways: Ways<M, E>
  ) {}

  add(move: M): void {
    this.waiting = [...this.waiting, move];
    void keepMove(this.box, move);
    void this.sendAll();
  }

  async sendAll(): Promise<void> {
    if (this.sending || this.waiting.length === 0 || this.clock !== null) return;
    clearTimeout(this.#timer);
    this.sending = true;
    const sent = this.waiting.slice(0, this.#singly ? 1 : MOST_AT_ONCE);
    const reply = await this.ways.post(sent, {
      [CLOCK_HEADER]: new Date().toISOString(),
      ...(this.#clockRight ? { [CLOCK_RIGHT_HEADER]: 'yes' } : {})
    });
    this.sending = false;
    if (reply.reached && !reply.ok && reply.clockOffMs !== undefined) {
      this.away = false;
      this.clock = { message: reply.message, offMs: reply.clockOffMs };
      return;
    }
    if (reply.reached && reply.ok) {
      this.away = false;
      this.refusal = this.#singly ? this.refusal : '';
      this.#drop(sent);
      this.ways.taken(sent, reply.value);
      if (this.waiting.length === 0) this.#singly = false;
      void this.sendAll();
      return;
    }
    // Someone who says who they are, or who may, sends them again; what the server will never take is not kept for ever.
    if (reply.reached && isForGood(reply.status)) {
      this.away = false;
      const [only] = sent;
      if (sent.length === 1 && only) {
        this.refusal = reply.message;
        // of several that are refused together one reads the last answer only
        if (this.#singly || Date.now() - Date.parse(only.at) > STILL_THERE_MS) {
          this.#forget(sent);
          void setAside([only.id], reply.message);
        } else this.#drop(sent);
        this.ways.refused?.(only, reply.message);
      } else this.#singly = true;
      void this.sendAll();
      return;
    }
    this.away = !reply.reached || reply.status >= 500;
    this.refusal = reply.reached && !this.away ? reply.message : '';
    this.#timer = setTimeout(() => void this.sendAll(), RETRY_MS);
  }

  /** Picks up what this browser still holds from an earlier visit, or from another tab. */
  async restore(): Promise<void> {
    const known = new Set(this.waiting.map(({ id }) => id));
    await this.ways.older?.();
    const found = (await keptMoves(this.box)).flatMap((kept) => {
      const read = this.schema.safeParse(kept);
      return read.success && !known.has(read.data.id) ? [read.data] : [];
    });
    this.waiting = [...found, ...this.waiting];
    void this.sendAll();
  }

  /** Sends what waits: as it was stamped, or with the server's time in its place. */
  settleClock(by: 'device' | 'server'): void {
    const offMs = this.clock?.offMs ?? 0;
    if (by === 'server') {
      this.waiting = this.waiting.map((move) => ({
        ...move,
        at: new Date(Date.parse(move.at) - offMs).toISOString()
      }));
      for (const move of this.waiting) void keepMove(this.box, move);
    }
    // either way someone has said so: the clock itself is as it was
    this.#clockRight = true;
    this.clock = null;
    void this.sendAll();
  }

  stop(): void {
    clearTimeout(this.#timer);
  }

  #forget(sent: readonly M[]): void {
    this.waiting = this.waiting.filter((move) => !sent.includes(move));
  }

  #drop(sent: readonly M[]): void {
    this.#forget(sent);
    void dropMoves(sent.map(({ id }) => id));
  }
}
