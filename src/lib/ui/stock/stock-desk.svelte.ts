import { CONNECTION } from '$lib/words/connection.ts';
import { stockStream, type NewMove, type StockMove } from '$core/stock/stock.ts';
import { sendMoves } from '$lib/api/events.ts';
import { call } from '../../client/call';
import { Once } from '../../client/once';

/**
 * Sends movements of the stock. What was not acknowledged keeps its ids, so that sending it again stores it once.
 */
export class StockDesk {
  sending = $state(false);
  refusal = $state('');
  readonly #sent = new Once<StockMove[]>();

  constructor(private readonly after: () => Promise<void>) {}

  /** @returns whether the server has stored it */
  async send(moves: readonly NewMove[]): Promise<boolean> {
    const sent = this.#sent.of(moves, () =>
      moves.map((move) => ({ ...move, id: crypto.randomUUID(), at: new Date().toISOString() }))
    );
    this.sending = true;
    this.refusal = '';
    const reply = await call(sendMoves(stockStream), { subject: null }, sent);
    this.sending = false;
    this.#sent.answered(reply);
    if (!reply.reached) {
      this.refusal = CONNECTION.offlineKept;
      return false;
    }
    if (!reply.ok) {
      this.refusal = reply.message;
      return false;
    }
    await this.after();
    return true;
  }
}
