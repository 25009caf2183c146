import { coldStream } from '../../../core/driving/cold-events.ts';
import { rowsOf } from '../db/transaction.ts';
import { countsOfBatch } from './batches.ts';
import { keptStream } from './kept-stream.ts';
import { COLD_EVENTS } from './tables.ts';

/** What is put away of a batch; the batch is held until the end. */
export const coldEvents = keptStream({
  stream: coldStream,
  table: COLD_EVENTS,
  missing: 'there is no such batch',
  order: 'locked',
  async open(database, batchId) {
    await rowsOf(database, 'select id from cold_batches where id = $1 for update', [batchId]);
    const counts = await countsOfBatch(database, batchId);
    return counts && { subject: counts, state: counts.away };
  }
});
