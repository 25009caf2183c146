import { cageStream } from '../../../core/ready/cage/setting.ts';
import { CageSetup } from '../../../core/ready/cage/setup.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/work.ts';
import { keptStream } from './kept-stream.ts';
import { eventsOf } from './read.ts';
import { CAGE_EVENTS } from './tables.ts';

const stream = { stream: cageStream, table: CAGE_EVENTS };

/** Every event of a setting, in the order recorded. */
export const settingEvents = (database: Database, settingId: string) =>
  eventsOf(database, stream, settingId);

/** What happens to one setting of a cage; held until the end: two hands must not both finish one. */
export const cageEvents = keptStream({
  ...stream,
  missing: 'there is no such setting',
  order: 'locked',
  async open(database, settingId) {
    const [row] = await rowsOf<{ setup: unknown; since: Date }>(
      database,
      'select setup, begun_at as since from cage_settings where id = $1 for update',
      [settingId]
    );
    if (!row) return null;
    const subject = CageSetup.parse(row.setup);
    return {
      subject,
      state: cageStream.project(subject, await settingEvents(database, settingId)),
      sinceMs: row.since.getTime()
    };
  }
});
