import { z } from 'zod';
import { saying } from '$core/refusal-said.ts';
import { JOINT_DOCUMENT } from '$core/documents/documents.ts';
import type { EnteredJoint } from '$core/kinds/joint.ts';
import { saveJointAt, type Stale } from '$lib/api/joints.ts';
import { call } from './call';
import { Kept } from './kept';

/** What is saved of a joint. */
export interface JointDocument {
  title: string;
  definition: EnteredJoint;
}

export type { Stale };

export type SaveState =
  | { kind: 'saved'; at: string }
  | { kind: 'typing' }
  | { kind: 'saving' }
  | { kind: 'waiting' }
  | { kind: 'refused'; message: string }
  | { kind: 'stale'; theirs: Stale; base: JointDocument | null };

/** Typing may lie in a browser for longer than the program stays the same: it is read as any old document. */
const KeptTyping = z
  .object({
    baseRevision: z.int(),
    title: z.string(),
    documentVersion: z.int().min(1).default(1),
    definition: z.unknown(),
    /** what it was typed upon; typing kept by an earlier version has none */
    base: z.object({ title: z.string(), definition: z.unknown() }).nullable().default(null)
  })
  .transform(({ documentVersion, definition, base, ...kept }, context) => {
    const read = JOINT_DOCUMENT.read(documentVersion, definition);
    const from = base && JOINT_DOCUMENT.read(documentVersion, base.definition);
    const upon = base && from?.ok ? { title: base.title, definition: from.value } : null;
    if (read.ok) return { ...kept, documentVersion, definition: read.value, base: upon };
    context.addIssue({ code: 'custom', path: ['definition'], params: saying(read.problem) });
    return z.NEVER;
  });

const PAUSE_MS = 350;
const RETRY_MS = 2500;
/**
 * Saves a joint a moment after typing stops. Until the server has acknowledged it the document also
 * lies in this browser's storage, so a closed lid or a dead server loses nothing.
 */
export class Autosave {
  state = $state.raw<SaveState>({ kind: 'typing' });
  revision = $state(0);
  /** typing that lies here and that this version cannot read: it stays, and can be taken out as it is */
  unreadable = $state.raw<readonly string[]>([]);

  #id: string;
  #current: () => JointDocument;
  /** the document as the server has it, as far as this page knows; null where typing was found whose own is not known */
  #base: JointDocument | null;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #inFlight: Promise<void> | null = null;
  #dirty = false;
  #kept: Kept<typeof KeptTyping>;

  constructor(id: string, revision: number, savedAt: string, current: () => JointDocument) {
    this.#id = id;
    this.#kept = new Kept(`unsaved.${id}`, KeptTyping);
    this.revision = revision;
    this.#current = current;
    this.#base = current();
    this.state = { kind: 'saved', at: savedAt };
  }

  /** Typing that this browser still holds because the server never acknowledged it. */
  async keptTyping(): Promise<z.output<typeof KeptTyping> | null> {
    const [kept] = await this.#kept.found(1);
    this.unreadable = this.#kept.unreadable;
    return kept ?? null;
  }

  /** What was found is what the server has. */
  dropKept(): void {
    this.#kept.forget();
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

  /**
   * Shows that typing found in this browser stands upon an older revision than the server's.
   *
   * @param base what it was typed upon; null where that is not known
   */
  markStale(theirs: Stale, base: JointDocument | null): void {
    this.#base = base;
    this.#dirty = true;
    this.#keep();
    this.state = { kind: 'stale', theirs, base };
  }

  /** Goes on from the server's revision; `keepMine` sends this page's document on top of it. */
  resolve(theirs: Stale, keepMine: boolean): void {
    this.revision = theirs.revision;
    this.#base = { title: theirs.title, definition: theirs.definition };
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
    const reply = await call(
      saveJointAt,
      { joint: this.#id },
      { baseRevision: this.revision, ...document },
      keepalive
    );
    if (reply.reached && reply.ok && reply.value.saved) {
      this.revision = reply.value.revision;
      this.#base = document;
      if (this.#dirty) {
        this.#keep();
        this.state = { kind: 'typing' };
      } else {
        this.#kept.forget();
        this.state = { kind: 'saved', at: reply.value.savedAt };
      }
      return;
    }
    this.#dirty = true;
    if (reply.reached && reply.ok && !reply.value.saved)
      this.state = { kind: 'stale', theirs: reply.value, base: this.#base };
    else if (reply.reached && !reply.ok && reply.status < 500)
      this.state = { kind: 'refused', message: reply.message };
    else {
      this.state = { kind: 'waiting' };
      this.#later(RETRY_MS);
    }
  }

  #keep(): void {
    this.#kept.write({
      baseRevision: this.revision,
      documentVersion: JOINT_DOCUMENT.version,
      ...this.#current(),
      base: this.#base
    });
  }
}
