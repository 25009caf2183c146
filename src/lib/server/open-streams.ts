import type { Database } from './db/connect.ts';
import { log } from './log.ts';
import { endedSessions } from './people/sessions.ts';

/** A stream of somebody who is not here any more is open no longer than this. */
const LOOK_MS = 5000;

/** Streams that browsers hold open, by the session that they were opened under: they end with it, in whatever process it ended. */
export class OpenStreams {
  #closers = new Map<string, Set<() => void>>();
  #timer: NodeJS.Timeout | null = null;

  constructor(private readonly database: () => Database) {}

  /** @returns what takes it off again */
  add(session: string, close: () => void): () => void {
    const closers = this.#closers.get(session) ?? new Set();
    this.#closers.set(session, closers.add(close));
    this.#timer ??= setInterval(() => void this.look(), LOOK_MS).unref();
    return () => {
      closers.delete(close);
      if (closers.size === 0) this.#closers.delete(session);
      if (this.#closers.size > 0 || this.#timer === null) return;
      clearInterval(this.#timer);
      this.#timer = null;
    };
  }

  /** Closes what is left of sessions that have ended. */
  async look(): Promise<void> {
    const sessions = [...this.#closers.keys()];
    if (sessions.length === 0) return;
    try {
      for (const session of await endedSessions(this.database(), sessions))
        for (const close of [...(this.#closers.get(session) ?? [])]) close();
    } catch (err) {
      // a database that is away says nothing of anybody: asked again
      log.warn({ err }, 'open streams could not be held against their sessions');
    }
  }
}
