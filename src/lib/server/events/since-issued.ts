import { reworkStream } from '../../../core/reworking/rework-events.ts';
import { NO_REWORK, type ReworkState } from '../../../core/reworking/rework-state.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/work.ts';
import { eventsOf } from './read.ts';
import { REWORK_EVENTS } from './tables.ts';

/** What has become of an issue since it was made, that later moves are held against. */
export interface SinceIssued {
  rework: ReworkState;
  signed: { by: string } | null;
}

/** Most issues have neither: one query says so. */
export async function sinceIssued(
  database: Database,
  issueId: string,
  frozen: Parameters<typeof reworkStream.project>[0]
): Promise<SinceIssued> {
  const [found] = await rowsOf<{ reworked: boolean; signed: string | null }>(
    database,
    `select exists (select from rework_events where subject_id = $1) as reworked,
       (select p.name from sign_events s join people p on p.id = s.person_id where s.subject_id = $1 limit 1) as signed`,
    [issueId]
  );
  const signed = found?.signed ?? null;
  return {
    rework: found?.reworked
      ? reworkStream.project(
          frozen,
          await eventsOf(database, { stream: reworkStream, table: REWORK_EVENTS }, issueId)
        )
      : NO_REWORK,
    signed: signed === null ? null : { by: signed }
  };
}
