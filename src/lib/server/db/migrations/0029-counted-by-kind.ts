import type { QueryInterface } from 'sequelize';

/** When something counts as having happened, as in 0023. */
const COUNTED = (log: string, row: string): string =>
  `case when exists (select from logs_set_right) then counted_at('${log}', ${row}subject_id, ${row}seq, ${row}at) else ${row}at end`;

/**
 * What lists count of a log follows from a table of its kinds, which is written from core at every start
 * (`counted-kinds.ts`): another kind of event changes no statement.
 */
const BY_KIND = `
create table counted_kinds (
  log text not null,
  kind text not null,
  -- by how much an event of the kind changes the count; null: it says what there is
  change smallint,
  primary key (log, kind)
);
insert into counted_kinds values
  ('drive', 'driven', 1), ('drive', 'undriven', -1),
  ('rework', 'referred', 1), ('rework', 'answered', -1),
  ('stock', 'received', 1), ('stock', 'issued', -1), ('stock', 'counted', null);

create or replace function bin_count(bin uuid) returns integer stable language sql as $$
  with moved as (
    select k.change, (e.payload->>'count')::integer as count, ${COUNTED('stock', 'e.')} as at, e.seq
    from stock_events e join counted_kinds k on k.log = 'stock' and k.kind = e.kind where e.subject_id = bin
  ), counted as (
    select count, at, seq from moved where change is null order by at desc, seq desc limit 1
  ), running as (
    select coalesce((select count from counted), 0) + sum(change * count) over (order by at, seq rows unbounded preceding) as held,
      at, seq
    from moved
    where change is not null and not exists (select from counted c where (c.at, c.seq) > (moved.at, moved.seq))
  )
  select coalesce(
    (select r.held - least(0, (select min(held) from running)) from running r order by r.at desc, r.seq desc limit 1),
    (select count from counted), 0)::integer
$$;

create or replace function rivets_in(issue uuid)
 returns table (hole integer, batch uuid, expired boolean, hit_at timestamptz) stable language sql as $$
  with logged as (
    select e.hole, k.change, e.batch, e.frozen->>'cold' = 'expired' as expired,
      ${COUNTED('drive', 'e.')} as at, e.seq
    from drive_events e join counted_kinds k on k.log = 'drive' and k.kind = e.kind
    where e.subject_id = issue and k.change <> 0
  ), taps as (
    select e.*, sum(e.change) over so_far as hits
    from logged e
    where not exists (select from hole_rework r where r.issue_id = issue and r.hole = e.hole and r.since_at > e.at)
    window so_far as (partition by e.hole order by e.at, e.seq rows unbounded preceding)
  ), deep as (
    select t.*, t.hits - least(0, min(t.hits) over (partition by t.hole order by t.at, t.seq rows unbounded preceding)) as depth
    from taps t
  ), going_on as (
    select d.*, first_value(d.depth) over (partition by d.hole order by d.at desc, d.seq desc) as now_deep from deep d
  ), on_top as (
    select distinct on (g.hole, g.depth) g.* from going_on g
    where g.change > 0 and g.depth <= g.now_deep order by g.hole, g.depth, g.at desc, g.seq desc
  )
  select o.hole, (array_agg(o.batch order by o.depth))[1], coalesce(bool_or(o.expired), false),
    max(o.at) filter (where o.depth = o.now_deep)
  from on_top o group by o.hole
$$;

create or replace function joints_stand(joints uuid[])
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
    (select coalesce(sum(k.change), 0)::integer
     from rework_events e join counted_kinds k on k.log = 'rework' and k.kind = e.kind
     where e.subject_id = n.id),
    (select p.name from sign_events s join people p on p.id = s.person_id
     where s.subject_id = n.id limit 1)
  from newest n;
end $stand$;

-- planning them anew for each page takes longer than they do
alter function joints_stand(uuid[]) set plan_cache_mode = force_generic_plan;
alter function batches_counted(uuid, integer) set plan_cache_mode = force_generic_plan;`;

/** What every request asks first: who holds a session that has not ended. */
const PRESENT = `
create function present_by(token text)
  returns table (id uuid, name text, role text, device uuid, stale boolean)
  language plpgsql stable set plan_cache_mode = force_generic_plan as $present$
begin
  return query
  select p.id, p.name, p.role, s.device_id, s.seen_at < now() - interval '1 minute'
  from sessions s join people p on p.id = s.person_id
  where s.token_hash = token and s.ended_at is null and s.until > now() and p.active;
end $present$;`;

/** By table: the log it is. */
const LOGS: Readonly<Record<string, string>> = {
  hole_events: 'hole',
  step_events: 'step',
  stock_events: 'stock',
  cage_events: 'cage',
  rework_events: 'rework',
  old_work_events: 'old-work',
  sign_events: 'sign',
  drive_events: 'drive',
  tool_setting_events: 'tool',
  cold_events: 'cold'
};

/** Events of some subjects in the order recorded, each with when it counts as having happened. */
const readSql = ([table, log]: [table: string, log: string]): string => `
create function read_${table}(subjects uuid[])
  returns table (id uuid, subject_id uuid, kind text, payload jsonb, frozen jsonb, person_id uuid, at timestamptz, by text, sent_by text)
  language plpgsql stable set plan_cache_mode = force_generic_plan as $read$
begin
  return query
  select e.id, e.subject_id, e.kind, e.payload, e.frozen, e.person_id, ${COUNTED(log, 'e.')}, p.name, s.name
  from ${table} e join people p on p.id = e.person_id left join people s on s.id = e.sender_id and s.id <> e.person_id
  where e.subject_id = any(subjects) order by e.seq;
end $read$;`;

export const countedByKind = {
  name: '0029-counted-by-kind',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.query(
      [BY_KIND, PRESENT, ...Object.entries(LOGS).map(readSql)].join('\n')
    );
  }
};
