import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';

/** Keeps that somebody called at a release, where there is one, from a session of their own: it confirms that they held the gun or the bar. */
export const keepCall = (
  database: Database,
  releaseId: string,
  { id, device }: { id: string; device: string | null }
): Promise<unknown> =>
  rowsOf(
    database,
    `insert into team_calls (issue_id, person_id, minute, device_id)
     select id, $2::uuid, date_trunc('minute', now()), $3::uuid from joint_issues where id = $1::uuid
     on conflict do nothing returning 1`,
    [releaseId, id, device]
  );

/** When whom was heard calling at a release, ms since 1970. */
export async function callsOf(
  database: Database,
  releaseId: string
): Promise<Map<string, readonly number[]>> {
  const rows = await rowsOf<{ person: string; minutes: Date[] }>(
    database,
    `select person_id as person, array_agg(minute order by minute) as minutes
     from team_calls where issue_id = $1 group by person_id`,
    [releaseId]
  );
  return new Map(rows.map(({ person, minutes }) => [person, minutes.map((one) => one.getTime())]));
}
