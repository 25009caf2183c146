import { reworkStream } from '../../../core/reworking/rework-events.ts';
import { NO_REWORK, type ReworkState } from '../../../core/reworking/rework-state.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';
import { eventsOf } from './read.ts';
import type { LogClock } from './kept-stream.ts';
import { REWORK_EVENTS } from './tables.ts';

/** What has become of a release since it was made, that later moves are held against. */
export interface SinceReleased {
  rework: ReworkState;
  signed: { by: string } | null;
  clock: LogClock;
}

/**
 * One query says it all of most releases, which have neither rework nor signature.
 *
 * @param log whose clock is asked for
 */
export async function sinceReleased(
  database: Database,
  releaseId: string,
  frozen: Parameters<typeof reworkStream.project>[0],
  log: 'hole' | 'drive' | 'rework'
): Promise<SinceReleased> {
  const [found] = await rowsOf<{
    reworked: boolean;
    signed: string | null;
    now: Date;
    last: Date | null;
  }>(database, `select * from opened_${log}_events($1)`, [releaseId]);
  const signed = found?.signed ?? null;
  return {
    rework: found?.reworked
      ? reworkStream.project(
          frozen,
          await eventsOf(database, { stream: reworkStream, table: REWORK_EVENTS }, releaseId)
        )
      : NO_REWORK,
    signed: signed === null ? null : { by: signed },
    clock: {
      nowMs: found?.now.getTime() ?? Date.now(),
      lastMs: found?.last?.getTime() ?? -Infinity
    }
  };
}
