import type { QueryInterface } from 'sequelize';

/** What an append keeps beside the looks at heads, for the lists. */
const LOOKED = `, looked as (
  insert into hole_looks (issue_id, hole, seq, at, verdict, told)
  select subject_id, (payload->>'hole')::integer, seq, at, frozen->>'verdict', look_told(kind, payload, frozen) from added
)`;

/**
 * Puts events: those that are new are added, in the order given; those that are there already are compared. Where one is
 * there under the same id and differs, nothing is added. One row an event is answered.
 */
const appendSql = (table: string, alongside = ''): string => `
create function put_${table}(sent_events jsonb, sent_by uuid, sent_from uuid)
  returns table (id uuid, same boolean, frozen jsonb, by text, added boolean) language plpgsql as $append$
#variable_conflict use_column
begin
  return query
  with sent as (
    select * from jsonb_to_recordset(sent_events)
      as s (n integer, id uuid, subject_id uuid, kind text, payload jsonb, frozen jsonb, person uuid, at timestamptz)
  ), known as (
    select e.id, e.frozen, p.name as by,
      (e.subject_id, e.kind, e.payload, e.at) = (s.subject_id, s.kind, s.payload, s.at) as same
    from sent s
      -- one by one through the index: how many are sent is not known before, and a guess would read the whole table
      cross join lateral (select * from ${table} where id = s.id limit 1) e
      join people p on p.id = e.person_id
  ), added as (
    insert into ${table} as t (id, subject_id, kind, payload, frozen, person_id, at, sender_id, device_id)
    select id, subject_id, kind, payload, frozen, coalesce(person, sent_by), at,
      -- what a release takes over was sent in the one before
      case when payload ? 'carried' then null else sent_by end, sent_from from sent
    where not exists (select from known where not same)
    order by n
    on conflict (id) do nothing
    returning t.seq, t.id, t.subject_id, t.kind, t.payload, t.frozen, t.person_id, t.at
  )${alongside}
  select s.id, k.same, k.frozen, coalesce(k.by, p.name), a.id is not null
  from sent s left join known k on k.id = s.id left join added a on a.id = s.id
    left join people p on p.id = a.person_id
  order by s.n;
end $append$;`;

/**
 * What has become of a release since it was made, and how the clocks of one of its logs stand: whether anything was reworked,
 * who signed it, what time it is, and when the entry counts that was stored last.
 */
const openedSql = (log: string): string => `
create function opened_${log}_events(release uuid)
  returns table (reworked boolean, signed text, now timestamptz, last timestamptz)
  language plpgsql stable as $opened$
begin
  return query
  select exists (select from rework_events where subject_id = release),
    (select p.name from sign_events s join people p on p.id = s.person_id where s.subject_id = release limit 1),
    now(),
    (select case when exists (select from logs_set_right) then counted_at('${log}', e.subject_id, e.seq, e.at) else e.at end
     from ${log}_events e where e.subject_id = release order by e.seq desc limit 1);
end $opened$;`;

const TABLES = [
  'step_events',
  'stock_events',
  'cage_events',
  'rework_events',
  'old_work_events',
  'sign_events',
  'drive_events',
  'tool_setting_events',
  'cold_events'
];

/** The newest release of each joint, with its holes counted by stack and by what their heads come to. */
const JOINTS_STAND = `
create function joints_stand(joints uuid[])
  returns table (id uuid, joint_id uuid, revision integer, facts jsonb, document_version integer, stacks json, verdicts json,
    looked integer, driven integer, reworked json, questions integer, signed_by text)
  language plpgsql stable as $stand$
#variable_conflict use_column
begin
  return query
  with newest as (
    select distinct on (i.joint_id) i.id, i.joint_id, i.revision, i.facts, i.document_version
    from joint_issues i where i.joint_id = any(joints) order by i.joint_id, i.number desc
  ), by_stack as (
    select issue_id, stack, count(*)::integer as count from holes
    where state = 'rivet' and issue_id in (select n.id from newest n) group by issue_id, stack
  ), in_now as (
    select n.id as issue_id, i.hole from newest n cross join lateral rivets_in(n.id) i
  ), head as (
    select n.id as issue_id, h.* from newest n cross join lateral heads_in(n.id) h
  ), by_verdict as (
    select issue_id, verdict, count(*)::integer as count from head where verdict is not null group by issue_id, verdict
  )
  select n.*,
    (select json_agg(json_build_object('stack', stack, 'count', count) order by stack)
     from by_stack where issue_id = n.id),
    (select json_object_agg(verdict, count) from by_verdict where issue_id = n.id),
    (select count(*) filter (where h.looked)::integer from head h where h.issue_id = n.id),
    (select count(*)::integer from in_now where issue_id = n.id),
    (select json_agg(json_build_object('stage', r.stage, 'stack', h.stack, 'part', r.part_number,
      'in', exists (select from in_now i where i.issue_id = n.id and i.hole = r.hole)))
     from hole_rework r join holes h on h.issue_id = r.issue_id and h.number = r.hole
     where r.issue_id = n.id),
    (select count(*) filter (where kind = 'referred') - count(*) filter (where kind = 'answered')
     from rework_events where subject_id = n.id)::integer,
    (select p.name from sign_events s join people p on p.id = s.person_id
     where s.subject_id = n.id limit 1)
  from newest n;
end $stand$;`;

/** Batches out of the cold with what became of them: one, or those taken out within so many hours. A rivet is of the batch that it was put in from, as long as it is in. */
const BATCHES_COUNTED = `
create function batches_counted(one uuid, hours integer)
  returns table (id uuid, part_number text, lot text, count integer, removed_at timestamptz, times jsonb, by text,
    driven integer, away integer)
  language plpgsql stable as $counted$
#variable_conflict use_column
begin
  return query
  select b.id, b.part_number, b.lot, b.count, b.removed_at, b.times, p.name,
    (select count(*)::integer
     from (select distinct subject_id from drive_events where batch = b.id) tapped
       cross join lateral rivets_in(tapped.subject_id) now_in
     where now_in.batch = b.id),
    (select coalesce(sum((payload->>'count')::integer), 0)::integer from cold_events c
     where c.subject_id = b.id)
  from cold_batches b join people p on p.id = b.person_id
  where b.id = one or (one is null and b.removed_at > now() - make_interval(hours => hours))
  order by b.removed_at, b.seq;
end $counted$;`;

/**
 * Statements whose plan costs more than a tenth of them: in a function the database keeps it with the connection
 * (docs/dependencies.md has the figures).
 */
export const statementsWithAPlan = {
  name: '0028-statements-with-a-plan',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.query(
      [
        appendSql('hole_events', LOOKED),
        ...TABLES.map((table) => appendSql(table)),
        ...['hole', 'drive', 'rework'].map(openedSql),
        JOINTS_STAND,
        BATCHES_COUNTED
      ].join('\n')
    );
  }
};
