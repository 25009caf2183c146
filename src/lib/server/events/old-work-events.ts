import { oldWorkStream } from '../../../core/old-work/old-work-stream.ts';
import { rowsOf } from '../db/transaction.ts';
import { keptStream } from './kept-stream.ts';
import { eventsOf } from './read.ts';
import { OLD_WORK_EVENTS } from './tables.ts';

/** Findings of service on a joint; what is said of one follows on it, so one at a time. */
export const oldWorkEvents = keptStream({
  stream: oldWorkStream,
  table: OLD_WORK_EVENTS,
  missing: 'there is no such joint',
  order: 'locked',
  async open(database, jointId) {
    const [held] = await rowsOf(database, 'select id from joints where id = $1 for update', [
      jointId
    ]);
    if (!held) return null;
    const events = await eventsOf(
      database,
      { stream: oldWorkStream, table: OLD_WORK_EVENTS },
      jointId
    );
    return { subject: null, state: oldWorkStream.project(null, events) };
  }
});
