import type { QueryInterface } from 'sequelize';
import { eventTableSql, type EventTable } from './event-table.ts';

/** The tables as this migration makes them: what the program calls them later is its own affair. */
const TABLES: (EventTable & { was: string; copy: string })[] = [
  {
    name: 'hole_events',
    was: 'hole_events',
    subject: 'joint_issues',
    links: [
      {
        column: 'hole',
        type: 'integer',
        field: 'hole',
        references: 'foreign key (subject_id, hole) references holes (issue_id, number)'
      }
    ],
    copy: `select seq, id, issue_id, kind, reading - 'id' - 'at' - 'kind', judged, person_id, at, recorded_at
      from older_hole_events`
  },
  {
    name: 'step_events',
    was: 'ready_events',
    subject: 'joints',
    links: [],
    copy: `select seq, id, joint_id, 'ticked', jsonb_build_object('step', step, 'hole', hole, 'of', "of",
        'done', done, 'timed', timed), null, person_id, at, recorded_at
      from older_ready_events`
  },
  {
    name: 'stock_events',
    was: 'stock_events',
    subject: 'stock_bins',
    links: [{ column: 'job_id', type: 'uuid', field: 'jobId', references: 'jobs' }],
    copy: `select e.seq, e.id, e.bin_id, e.kind,
        jsonb_build_object('note', e.note, 'count', e.count) || case e.kind
          when 'received' then jsonb_build_object('partNumber', b.part_number, 'lot', b.lot,
            'place', b.place, 'cold', b.cold)
          when 'issued' then jsonb_build_object('binId', e.bin_id, 'jobId', e.job_id)
          else jsonb_build_object('binId', e.bin_id) end,
        null, e.person_id, e.at, e.recorded_at
      from older_stock_events e join stock_bins b on b.id = e.bin_id`
  },
  {
    name: 'cage_events',
    was: 'cage_events',
    subject: 'cage_settings (id)',
    links: [],
    copy: `select seq, id, setting_id, move->>'kind', move - 'id' - 'at' - 'kind', found, person_id,
        (move->>'at')::timestamptz, recorded_at
      from older_cage_events`
  }
];

const move = (table: (typeof TABLES)[number]): string => `
alter table ${table.was} rename to older_${table.was};
${eventTableSql(table)}
insert into ${table.name} (seq, id, subject_id, kind, payload, frozen, person_id, at, recorded_at)
${table.copy} order by seq;
select setval(pg_get_serial_sequence('${table.name}', 'seq'), coalesce(max(seq), 1), max(seq) is not null)
from ${table.name};
drop table older_${table.was};`;

const KEPT = `
create table hole_looks (
  issue_id uuid not null,
  hole integer not null,
  seq bigint not null,
  verdict text not null,
  primary key (issue_id, hole),
  foreign key (issue_id, hole) references holes (issue_id, number)
);
insert into hole_looks (issue_id, hole, seq, verdict)
select distinct on (subject_id, hole) subject_id, hole, seq, frozen->>'verdict'
from hole_events order by subject_id, hole, seq desc;

alter table stock_bins add column count integer not null default 0 check (count >= 0);
update stock_bins b set count = greatest(0, (
  select coalesce(sum(case e.kind when 'issued' then -(e.payload->>'count')::integer
    else (e.payload->>'count')::integer end), 0)
  from stock_events e
  where e.subject_id = b.id and e.seq >= coalesce((
    select max(c.seq) from stock_events c where c.subject_id = b.id and c.kind = 'counted'), 0)
));

create index stock_events_by_job on stock_events (job_id) where job_id is not null;
create index step_events_timed on step_events (seq)
  where jsonb_typeof(payload->'timed') = 'object' and (payload->>'done')::boolean;

create table joint_summaries (
  joint_id uuid primary key references joints,
  version integer not null,
  summary jsonb not null
);

alter table joints add column document_version integer not null default 1;
alter table joint_revisions add column document_version integer not null default 1;
alter table joint_issues add column document_version integer not null default 1;
alter table rule_profiles add column document_version integer not null default 1;
`;

/** All events in tables of one shape, and beside them what the lists read: last looks, counts, summaries. */
export const oneEventStream = {
  name: '0006-one-event-stream',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.transaction(async (transaction) => {
      for (const table of TABLES) await context.sequelize.query(move(table), { transaction });
      await context.sequelize.query(KEPT, { transaction });
    });
  }
};
