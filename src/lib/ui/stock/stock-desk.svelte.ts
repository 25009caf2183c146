import { stockStream, type NewMove, type StockMove } from '$core/stock/stock.ts';
import { sendMoves } from '$lib/api/events.ts';
import { call } from '../../client/call';

/**
 * Sends movements of the stock. What was not acknowledged keeps its ids, so that sending it again stores it once.
 */
export class StockDesk {
  sending = $state(false);
  refusal = $state('');
  #pending: { key: string; moves: StockMove[] } | null = null;

  constructor(private readonly after: () => Promise<void>) {}

  /** @returns whether the server has stored it */
  async send(moves: readonly NewMove[]): Promise<boolean> {
    const key = JSON.stringify(moves);
    if (this.#pending?.key !== key)
      this.#pending = {
        key,
        moves: moves.map((move) => ({
          ...move,
          id: crypto.randomUUID(),
          at: new Date().toISOString()
        }))
      };
    this.sending = true;
    this.refusal = '';
    const reply = await call(sendMoves(stockStream), { subject: null }, this.#pending.moves);
    this.sending = false;
    if (!reply.reached) {
      this.refusal = 'The server cannot be reached. Nothing typed is lost: send it again.';
      return false;
    }
    if (!reply.ok) {
      this.#pending = null;
      this.refusal = reply.message;
      return false;
    }
    this.#pending = null;
    await this.after();
    return true;
  }
}
