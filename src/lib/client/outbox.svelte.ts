import { z } from 'zod';
import { recalled, remember } from './remembered';
import { sendOnce, type Post } from './sender';
import { dropMoves, keepMove, keptMoves, setAside } from './store';

const RETRY_MS = 3000;
const LATELY_MS = 10_000;
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
  post: Post<M, E>;
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
    const moves = this.waiting.slice(0, this.#singly ? 1 : MOST_AT_ONCE);
    const sent = await sendOnce(this.ways.post, moves, this.#clockRight);
    this.sending = false;
    this.away = sent.what === 'later' && sent.away;
    switch (sent.what) {
      case 'clock':
        this.clock = sent.clock;
        return;
      case 'later':
        this.refusal = sent.message;
        this.#timer = setTimeout(() => void this.sendAll(), RETRY_MS);
        return;
      case 'taken':
        this.refusal = this.#singly ? this.refusal : '';
        this.#drop(moves);
        remember(`stored.${this.box}`, Date.now());
        this.ways.taken(moves, sent.events);
        if (this.waiting.length === 0) this.#singly = false;
        break;
      case 'refused':
        this.#refuse(moves, sent.message);
    }
    void this.sendAll();
  }

  /** Someone who says who they are, or who may, sends them again; what the server will never take is not kept for ever. */
  #refuse(moves: M[], message: string): void {
    const [only] = moves;
    if (moves.length > 1 || !only) {
      this.#singly = true;
      return;
    }
    this.refusal = message;
    // of several that are refused together one reads the last answer only
    if (this.#singly || Date.now() - Date.parse(only.at) > STILL_THERE_MS) {
      this.#forget(moves);
      void setAside([only.id], message);
    } else this.#drop(moves);
    this.ways.refused?.(only, message);
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

  /**
   * Something from this browser was stored so lately that a page loaded meanwhile may have been read before it: it is in
   * neither, where nobody asks once more.
   */
  get storedLately(): boolean {
    const at = recalled(`stored.${this.box}`, z.number());
    return at !== null && Math.abs(Date.now() - at) < LATELY_MS;
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
