import { ToolSetup } from '../../../core/tool-setting/tool-setup.ts';
import { toolStream } from '../../../core/tool-setting/tool-stream.ts';
import { rowsOf } from '../db/work.ts';
import { keptStream } from './kept-stream.ts';
import { eventsOf } from './read.ts';
import { TOOL_EVENTS } from './tables.ts';

const stream = { stream: toolStream, table: TOOL_EVENTS };

/** What happens to one setting of a tool; held until the end: two hands must not both keep one. */
export const toolEvents = keptStream({
  ...stream,
  missing: 'there is no such setting',
  order: 'locked',
  async open(database, settingId) {
    const [row] = await rowsOf<{ setup: unknown; since: Date }>(
      database,
      'select setup, begun_at as since from tool_settings where id = $1 for update',
      [settingId]
    );
    if (!row) return null;
    const subject = ToolSetup.parse(row.setup);
    return {
      subject,
      state: toolStream.project(subject, await eventsOf(database, stream, settingId)),
      sinceMs: row.since.getTime()
    };
  }
});
