import { recorded, type Recorded, type Stamped, type Stream } from '../../../core/events/stream.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';
import type { EventTable } from './table.ts';

/** As much of a kept stream as reading needs. */
interface Readable<Move extends Stamped, Frozen> {
  stream: Pick<Stream<never, Move, Frozen, never>, 'name' | 'Move' | 'Frozen'>;
  table: EventTable;
}

interface EventRow {
  id: string;
  subject_id: string;
  kind: string;
  payload: Record<string, unknown>;
  frozen: unknown;
  person_id: string;
  at: Date;
  by: string;
  sent_by: string | null;
}

/** What an entry's instant counts as: its log may have been ahead, and set right since. Where none ever was that is asked once. */
const countedAt = ({ stream }: { stream: { name: string } }): string =>
  `case when exists (select from logs_set_right)
     then counted_at('${stream.name}', e.subject_id, e.seq, e.at) else e.at end`;

const toEvent = <Move extends Stamped, Frozen>(
  { stream }: Readable<Move, Frozen>,
  { id, kind, payload, at, frozen, person_id, by, sent_by }: EventRow
): Recorded<Move, Frozen> =>
  recorded(stream.Move.parse({ ...payload, id, kind, person: person_id, at: at.toISOString() }), {
    frozen: stream.Frozen.parse(frozen),
    by,
    ...(sent_by === null ? {} : { sentBy: sent_by })
  });

/** Events of some subjects, each subject's in the order recorded; one query. */
export async function eventsOfMany<Move extends Stamped, Frozen>(
  database: Database,
  kept: Readable<Move, Frozen>,
  subjectIds: readonly string[]
): Promise<Map<string, Recorded<Move, Frozen>[]>> {
  const events = new Map(subjectIds.map((id): [string, Recorded<Move, Frozen>[]] => [id, []]));
  if (subjectIds.length === 0) return events;
  const rows = await rowsOf<EventRow>(
    database,
    `select * from read_${kept.table.name}($1::uuid[])`,
    [[...subjectIds]]
  );
  for (const row of rows) events.get(row.subject_id)?.push(toEvent(kept, row));
  return events;
}

/** Events of one subject at some of its holes, and those that name no hole; in the order recorded. */
export async function eventsAtHoles<Move extends Stamped, Frozen>(
  database: Database,
  kept: Readable<Move, Frozen>,
  subjectId: string,
  holes: readonly number[]
): Promise<Recorded<Move, Frozen>[]> {
  const rows = await rowsOf<EventRow>(
    database,
    `select e.id, e.subject_id, e.kind, e.payload, e.frozen, e.person_id, ${countedAt(kept)} as at, p.name as by, s.name as sent_by
     from ${kept.table.name} e join people p on p.id = e.person_id left join people s on s.id = e.sender_id and s.id <> e.person_id
     where e.subject_id = $1 and (e.hole = any($2::integer[]) or e.hole is null) order by e.seq`,
    [subjectId, [...holes]]
  );
  return rows.map((row) => toEvent(kept, row));
}

/** No act takes longer from its beginning to where others see it. */
const LONGEST_ACT = '1 minute';

/**
 * What one subject's log may hold that a reader who read it up to an event has not seen: acts that began before that
 * one may be seen after it, so the last of what is known comes again.
 *
 * @param after the last event that was read; of one that the log has not, the whole log is meant
 */
export async function eventsAfter<Move extends Stamped, Frozen>(
  database: Database,
  kept: Readable<Move, Frozen>,
  subjectId: string,
  after: string
): Promise<Recorded<Move, Frozen>[]> {
  const { name } = kept.table;
  const rows = await rowsOf<EventRow>(
    database,
    `select e.id, e.subject_id, e.kind, e.payload, e.frozen, e.person_id, ${countedAt(kept)} as at, p.name as by, s.name as sent_by
     from ${name} e join people p on p.id = e.person_id left join people s on s.id = e.sender_id and s.id <> e.person_id
     where e.subject_id = $1 and e.recorded_at >= coalesce((select recorded_at - interval '${LONGEST_ACT}'
       from ${name} where id = $2 and subject_id = $1), '-infinity') order by e.seq`,
    [subjectId, after]
  );
  return rows.map((row) => toEvent(kept, row));
}

/** Every event of one subject, in the order recorded. */
export const eventsOf = async <Move extends Stamped, Frozen>(
  database: Database,
  kept: Readable<Move, Frozen>,
  subjectId: string
): Promise<Recorded<Move, Frozen>[]> =>
  (await eventsOfMany(database, kept, [subjectId])).get(subjectId) ?? [];
