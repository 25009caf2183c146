import { z } from 'zod';
import { Kept } from './kept';
import { messageOf, type Reply } from './send';

const RETRY_MS = 3000;

interface Ways<M> {
  post: (moves: M[]) => Promise<Reply>;
  /** the server has them */
  taken: (moves: M[], body: unknown) => void;
  /** said while the server cannot be reached */
  away: string;
}

/**
 * Moves on their way to the server, in order: kept in this browser until it has acknowledged them, sent again while it
 * is away. What it refuses for good is dropped, with its reason.
 */
export class Outbox<M extends { id: string }> {
  waiting = $state.raw<M[]>([]);
  refusal = $state('');
  #sending = false;
  /** after a refusal they go one by one, so that a bad one takes no good one with it */
  #singly = false;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #kept: Kept<z.ZodArray<z.ZodType<M>>>;

  constructor(
    name: string,
    schema: z.ZodType<M>,
    private readonly ways: Ways<M>
  ) {
    this.#kept = new Kept(name, z.array(schema));
  }

  add(move: M): void {
    this.waiting = [...this.waiting, move];
    this.#store();
    void this.sendAll();
  }

  async sendAll(): Promise<void> {
    if (this.#sending || this.waiting.length === 0) return;
    clearTimeout(this.#timer);
    this.#sending = true;
    const sent = this.#singly ? this.waiting.slice(0, 1) : this.waiting;
    const reply = await this.ways.post(sent);
    this.#sending = false;
    if (reply.reached && reply.ok) {
      this.refusal = this.#singly ? this.refusal : '';
      this.#drop(sent);
      this.ways.taken(sent, reply.body);
      if (this.waiting.length === 0) this.#singly = false;
      void this.sendAll();
      return;
    }
    // Someone who says who they are sends them again; what the server will never take is not kept for ever.
    if (reply.reached && reply.status < 500 && reply.status !== 401) {
      this.refusal = messageOf(reply);
      if (sent.length === 1) this.#drop(sent);
      else this.#singly = true;
      void this.sendAll();
      return;
    }
    this.refusal = reply.reached ? messageOf(reply) : this.ways.away;
    this.#timer = setTimeout(() => void this.sendAll(), RETRY_MS);
  }

  /** Picks up what this browser still holds from an earlier visit. */
  async restore(): Promise<void> {
    for (const moves of await this.#kept.found()) {
      const known = new Set(this.waiting.map(({ id }) => id));
      this.waiting = [...moves.filter(({ id }) => !known.has(id)), ...this.waiting];
    }
    this.#store();
    void this.sendAll();
  }

  stop(): void {
    clearTimeout(this.#timer);
  }

  #drop(sent: readonly M[]): void {
    this.waiting = this.waiting.filter((move) => !sent.includes(move));
    this.#store();
  }

  #store(): void {
    if (this.waiting.length === 0) this.#kept.forget();
    else this.#kept.write(this.waiting);
  }
}
