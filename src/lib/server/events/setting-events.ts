import type { ModelStatic } from 'sequelize';
import type { z } from 'zod';
import type { Stamped, Stream } from '../../../core/events/stream.ts';
import { cageStream } from '../../../core/prepare/cage/setting.ts';
import { CageSetup } from '../../../core/prepare/cage/setup.ts';
import { ToolSetup } from '../../../core/tool-setting/tool-setup.ts';
import { toolStream } from '../../../core/tool-setting/tool-stream.ts';
import type { Database } from '../db/connect.ts';
import type { CageSettingRow, ToolSettingRow } from '../db/setting-models.ts';
import { keptStream, type KeptStream } from './kept-stream.ts';
import { eventsOf } from './read.ts';
import { CAGE_EVENTS, TOOL_EVENTS } from './tables.ts';
import type { EventTable } from './table.ts';

/** How settings of one sort of tool are kept: what their setup is, and the log of what happened to them. */
export interface SettingLog<Setup, Move extends Stamped, Found, State> extends KeptStream<
  Setup,
  Move,
  Found | null,
  State
> {
  Setup: z.ZodType<Setup>;
}

/** The log of settings; a setting is held until the end: two hands must not both keep one. */
const settingLog = <Setup, Move extends Stamped, Found, State>(
  stream: Stream<Setup, Move, Found | null, State>,
  table: EventTable,
  Setup: z.ZodType<Setup>,
  rows: (models: Database['models']) => ModelStatic<CageSettingRow> | ModelStatic<ToolSettingRow>
): SettingLog<Setup, Move, Found, State> => ({
  Setup,
  ...keptStream({
    stream,
    table,
    missing: 'there is no such setting',
    order: 'locked',
    async open(database, id) {
      const model = rows(database.models) as ModelStatic<CageSettingRow>;
      const row = await model.findOne({
        where: { id },
        attributes: ['setup', 'begunAt'],
        lock: true
      });
      if (!row) return null;
      const subject = Setup.parse(row.setup);
      return {
        subject,
        state: stream.project(subject, await eventsOf(database, { stream, table }, id)),
        sinceMs: row.begunAt.getTime()
      };
    }
  })
});

/** What happens to one setting of a cage. */
export const cageEvents = settingLog(
  cageStream,
  CAGE_EVENTS,
  CageSetup,
  (models) => models.CageSettingRow
);
/** What happens to one setting of a squeezer, a gun or dies. */
export const toolEvents = settingLog(
  toolStream,
  TOOL_EVENTS,
  ToolSetup,
  (models) => models.ToolSettingRow
);
