import type { RefusalSaid } from '$core/refusal-said.ts';
import type { Recorded, Stamped, Stream, Unstamped } from '$core/events/stream.ts';
import { readEvents, sendMoves, type SentBack } from '$lib/api/events.ts';
import { call, type Called } from './call';
import { whoIsHere } from './who';
import { takeOlderMoves } from './older-outbox';
import { Outbox } from './outbox.svelte';
import { reach } from './reach.svelte';

/** The page before this one was this one: what it sent at last may have come to the server after this was read there. */
const wasReloaded = (): boolean =>
  performance
    .getEntriesByType('navigation')
    .some((entry) => (entry as PerformanceNavigationTiming).type === 'reload');

/** What a desk is opened with. */
interface Opened<Move, Frozen> {
  subjectId: string;
  /** events that the server has */
  stored: Recorded<Move, Frozen>[];
  /** who is at the bench */
  by: string;
  /** what stands frozen with a move that the server has not stored yet; without it such a move counts for nothing yet */
  unsent?: Frozen;
  refused?: (move: Move, message: string) => void;
}

/** One subject of a stream in this browser: its events, sent or not, and what they come to. */
export class EventStore<Subject, Move extends Stamped, Frozen, State> {
  stored = $state.raw<Recorded<Move, Frozen>[]>([]);
  /** why the last thing done was not taken */
  refusal = $state.raw<RefusalSaid | null>(null);
  readonly outbox: Outbox<Move, SentBack<Move, Frozen>>;
  /** the last event of what was read from the server; what was sent from here stands in no order with others' */
  #readTo: string | undefined;

  constructor(
    private readonly stream: Stream<Subject, Move, Frozen, State>,
    /** what moves are held against, as it is now */
    private readonly subject: () => Subject,
    private readonly opened: Opened<Move, Frozen>
  ) {
    this.stored = opened.stored;
    this.#readTo = opened.stored.at(-1)?.id;
    const { subjectId, refused } = opened;
    const box = `${stream.name}/${subjectId}`;
    this.outbox = new Outbox(box, stream.Move, {
      post: (moves, headers): Promise<Called<SentBack<Move, Frozen>[]>> =>
        call(sendMoves(stream), { subject: subjectId }, moves as never, false, headers) as never,
      taken: (_, events) => {
        const ids = new Set(events.map(({ id }) => id));
        this.stored = [...this.stored.filter(({ id }) => !ids.has(id)), ...events];
      },
      older: () => takeOlderMoves(stream.name, subjectId, box),
      ...(refused ? { refused } : {})
    });
  }

  /** Every event as it stands here. */
  readonly events = $derived.by((): Recorded<Move, Frozen>[] => {
    const { unsent, by } = this.opened;
    return unsent === undefined
      ? this.stored
      : [...this.stored, ...this.outbox.waiting.map((move) => ({ ...move, by, frozen: unsent }))];
  });
  readonly state = $derived.by((): State => this.stream.project(this.subject(), this.events));

  /** @returns false where it may not follow on what happened before: why stands in `refusal` */
  add(loose: Unstamped<Move>): boolean {
    const person = whoIsHere();
    const stamp = {
      id: crypto.randomUUID(),
      at: new Date().toISOString(),
      ...(person === null ? {} : { person })
    };
    const move = { ...loose, ...stamp } as unknown as Move;
    const may = this.stream.follow(this.subject(), this.state, move);
    this.refusal = may.ok ? null : may.error.said;
    if (may.ok) this.outbox.add(move);
    return may.ok;
  }

  async restore(): Promise<void> {
    await this.outbox.restore();
    if (reach.sent > 0 || this.outbox.storedLately || wasReloaded()) await this.read();
  }

  /** Reads what others have stored since it was read last. Events only grow: what is here already stays. */
  async read(): Promise<void> {
    const reply = await call(
      readEvents(this.stream),
      { subject: this.opened.subjectId, after: this.#readTo },
      undefined
    );
    if (!reply.reached || !reply.ok) return;
    const found = reply.value as unknown as Recorded<Move, Frozen>[];
    const ids = new Set(found.map(({ id }) => id));
    this.stored = [...this.stored.filter(({ id }) => !ids.has(id)), ...found];
    this.#readTo = found.at(-1)?.id ?? this.#readTo;
  }

  stop(): void {
    this.outbox.stop();
  }
}
