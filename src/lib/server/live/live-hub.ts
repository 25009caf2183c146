import { Client } from 'pg';
import { z } from 'zod';
import { LiveLine } from '../../api/live.ts';
import { readJson } from '../../api/read-json.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';
import { log } from '../log.ts';

/** The channel of the database that every process of the application listens on. */
const CHANNEL = 'live';
const RETRY_MS = 1000;

const Payload = z.object({ subject: z.uuid(), line: LiveLine });
type Listener = (line: string) => void;

/**
 * What is said about a release, from any process to the browsers of every process: the database carries it.
 *
 * One connection of its own listens while anybody is there; when it is lost it is made again, and the browsers hear of
 * what was logged meanwhile by reading their list once more (a stream that opens says so).
 */
export class LiveHub {
  #listeners = new Map<string, Set<Listener>>();
  #closers = new Set<() => void>();
  #client: Client | null = null;
  #connecting = false;
  #closing = false;

  constructor(private readonly url: () => string | undefined) {}

  /** @param close ends what listens, when the process is to end; @returns how to stop listening */
  listen(subject: string, listener: Listener, close: () => void): () => void {
    if (this.#closing) {
      queueMicrotask(close);
      return () => undefined;
    }
    const listeners = this.#listeners.get(subject) ?? new Set();
    this.#listeners.set(subject, listeners.add(listener));
    this.#closers.add(close);
    void this.#connect();
    return () => {
      listeners.delete(listener);
      this.#closers.delete(close);
      if (listeners.size === 0) this.#listeners.delete(subject);
      if (this.#listeners.size === 0) this.#leave();
    };
  }

  /** Ends every stream, so that a server that was told to stop need not wait for them. */
  closeAll(): void {
    this.#closing = true;
    for (const close of [...this.#closers]) close();
    this.#leave();
  }

  #leave(): void {
    const client = this.#client;
    this.#client = null;
    client?.removeAllListeners();
    // a connection that breaks while it ends is gone all the same
    client?.on('error', () => undefined);
    void client?.end().catch(() => undefined);
  }

  async #connect(): Promise<void> {
    const connectionString = this.url();
    if (this.#client || this.#connecting || this.#closing || connectionString === undefined) return;
    this.#connecting = true;
    const client = new Client({ connectionString, application_name: 'live' });
    const lost = (): void => {
      if (this.#client === client) this.#client = null;
      client.removeAllListeners();
      client.on('error', () => undefined);
      if (!this.#closing && this.#listeners.size > 0)
        setTimeout(() => void this.#connect(), RETRY_MS).unref();
    };
    try {
      client.on('error', lost);
      client.on('end', lost);
      client.on('notification', ({ payload }) => this.#hand(payload ?? ''));
      await client.connect();
      await client.query(`listen ${CHANNEL}`);
      this.#client = client;
    } catch (error) {
      log.warn({ err: error }, 'the live channel could not be opened');
      lost();
    } finally {
      this.#connecting = false;
    }
    // whoever came meanwhile is gone again, or the process ends
    if (this.#listeners.size === 0 || this.#closing) this.#leave();
  }

  #hand(payload: string): void {
    const read = Payload.safeParse(readJson(payload));
    // anybody who reaches the database can say anything on the channel
    if (!read.success) return log.warn('a line on the live channel was not understood');
    const { subject, line } = read.data;
    for (const listener of this.#listeners.get(subject) ?? []) listener(JSON.stringify(line));
  }
}

export const live = new LiveHub(() => process.env['DATABASE_URL']);

/** Says a line to every browser that listens to a release, in whatever process. */
export async function sayLive(database: Database, subject: string, line: LiveLine): Promise<void> {
  await rowsOf(database, 'select pg_notify($1, $2)', [CHANNEL, JSON.stringify({ subject, line })]);
}
