import type { Called } from './call';

/**
 * What is sent for one act, ids and instants with it: the same until an answer has come. An answer that was cut off on its way
 * does not say whether it was stored; sent again as it was, it is stored once.
 */
export class Once<Sent> {
  #pending: { key: string; sent: Sent } | null = null;

  /** @param asked what a person asked for; asked for something else, it is another act */
  of(asked: unknown, make: () => Sent): Sent {
    const key = JSON.stringify(asked);
    if (this.#pending?.key !== key) this.#pending = { key, sent: make() };
    return this.#pending.sent;
  }

  /** Once it was taken, or refused in words, the next is another act; a server that failed may have stored it. */
  answered(reply: Called<unknown>): void {
    if (reply.reached && (reply.ok || reply.status < 500)) this.#pending = null;
  }
}
