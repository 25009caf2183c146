import { z } from 'zod';
import type { Difference } from '$core/joint/differences.ts';
import { EnteredJoint } from '$core/joint/kinds.ts';
import { Kept } from './kept';
import { messageOf, send } from './send';

/** What is saved of a joint. */
export interface JointDocument {
  title: string;
  definition: EnteredJoint;
}

const Theirs = z.object({
  revision: z.int(),
  title: z.string(),
  definition: EnteredJoint,
  savedBy: z.string().nullable(),
  changes: z.array(z.object({ path: z.string(), was: z.string(), now: z.string() }))
});

/** Somebody else saved meanwhile: their document and what they changed. */
export interface Stale extends JointDocument {
  revision: number;
  savedBy: string | null;
  changes: Difference[];
}

export type SaveState =
  | { kind: 'saved'; at: string }
  | { kind: 'typing' }
  | { kind: 'saving' }
  | { kind: 'waiting' }
  | { kind: 'refused'; message: string }
  | { kind: 'stale'; theirs: Stale };

const Acknowledged = z.object({ revision: z.int(), savedAt: z.string() });
const KeptTyping = z.object({ baseRevision: z.int(), title: z.string(), definition: EnteredJoint });

const PAUSE_MS = 350;
const RETRY_MS = 2500;
/**
 * Saves a joint a moment after typing stops. Until the server has acknowledged it the document also
 * lies in this browser's storage, so a closed lid or a dead server loses nothing.
 */
export class Autosave {
  state = $state.raw<SaveState>({ kind: 'typing' });
  revision = $state(0);

  #id: string;
  #current: () => JointDocument;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #inFlight: Promise<void> | null = null;
  #dirty = false;
  #kept: Kept<typeof KeptTyping>;

  constructor(id: string, revision: number, savedAt: string, current: () => JointDocument) {
    this.#id = id;
    this.#kept = new Kept(`unsaved.${id}`, KeptTyping);
    this.revision = revision;
    this.#current = current;
    this.state = { kind: 'saved', at: savedAt };
  }

  /** Typing that this browser still holds because the server never acknowledged it. */
  async keptTyping(): Promise<z.output<typeof KeptTyping> | null> {
    return (await this.#kept.found(1))[0] ?? null;
  }

  /** Call after every change of the document. */
  touch(): void {
    this.#dirty = true;
    this.#keep();
    if (this.state.kind === 'stale') return;
    this.state = { kind: 'typing' };
    this.#later(PAUSE_MS);
  }

  /** Saves now, and resolves when the server has it or has refused it. */
  async flush(keepalive = false): Promise<void> {
    clearTimeout(this.#timer);
    // Whoever waited with us may have begun the next save: wait for that one too.
    while (this.#inFlight) await this.#inFlight;
    if (!this.#dirty || this.state.kind === 'stale') return;
    this.#inFlight = this.#save(keepalive).finally(() => (this.#inFlight = null));
    await this.#inFlight;
    if (this.#dirty && this.state.kind === 'typing') this.#later(PAUSE_MS);
  }

  /** Shows that typing found in this browser stands upon an older revision than the server's. */
  markStale(theirs: Stale): void {
    this.#dirty = true;
    this.#keep();
    this.state = { kind: 'stale', theirs };
  }

  /** Goes on from the server's revision; `keepMine` sends this page's document on top of it. */
  resolve(theirs: Stale, keepMine: boolean): void {
    this.revision = theirs.revision;
    this.#dirty = keepMine;
    if (keepMine) {
      this.state = { kind: 'typing' };
      this.#keep();
      this.#later(0);
    } else {
      this.#kept.forget();
      this.state = { kind: 'saved', at: new Date().toISOString() };
    }
  }

  stop(): void {
    clearTimeout(this.#timer);
  }

  #later(delayMs: number): void {
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.flush(), delayMs);
  }

  async #save(keepalive: boolean): Promise<void> {
    this.#dirty = false;
    this.state = { kind: 'saving' };
    const document = this.#current();
    const reply = await send(
      'PUT',
      `/api/joints/${this.#id}`,
      { baseRevision: this.revision, ...document },
      keepalive
    );
    const acknowledged = reply.reached && reply.ok ? Acknowledged.safeParse(reply.body) : null;
    if (acknowledged?.success) {
      this.revision = acknowledged.data.revision;
      if (this.#dirty) {
        this.#keep();
        this.state = { kind: 'typing' };
      } else {
        this.#kept.forget();
        this.state = { kind: 'saved', at: acknowledged.data.savedAt };
      }
      return;
    }
    this.#dirty = true;
    const theirs = reply.reached && reply.status === 409 ? Theirs.safeParse(reply.body) : null;
    if (theirs?.success) {
      this.state = { kind: 'stale', theirs: theirs.data };
    } else if (reply.reached && reply.status < 500) {
      this.state = { kind: 'refused', message: messageOf(reply) };
    } else {
      this.state = { kind: 'waiting' };
      this.#later(RETRY_MS);
    }
  }

  #keep(): void {
    this.#kept.write({ baseRevision: this.revision, ...this.#current() });
  }
}
