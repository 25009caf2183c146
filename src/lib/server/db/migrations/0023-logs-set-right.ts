import type { QueryInterface } from 'sequelize';

/**
 * A log that is ahead is set right by an event: entries that were dated in what was still to come count that much earlier.
 * What was stored stays as it was stored; whatever reads an instant asks what it counts as.
 */
const COUNTED = (log: string, row: string): string =>
  `case when exists (select from logs_set_right) then counted_at('${log}', ${row}subject_id, ${row}seq, ${row}at) else ${row}at end`;
const SET_RIGHT = `
create table logs_set_right (
  seq bigserial primary key,
  id uuid not null unique,
  log text not null,
  subject_id uuid not null,
  -- entries up to this one, dated after this, count so much earlier
  up_to bigint not null,
  after timestamptz not null,
  ahead interval not null check (ahead > interval '0'),
  why text not null,
  person_id uuid not null references people,
  recorded_at timestamptz not null default now()
);
create index logs_set_right_by_subject on logs_set_right (log, subject_id);
create trigger logs_set_right_append_only before update or delete on logs_set_right
  for each row execute function refuse_change();
select audit_table('logs_set_right'::regclass);

create function counted_at(of text, subject uuid, entry bigint, at timestamptz) returns timestamptz stable language sql as $$
  select at - coalesce((select r.ahead from logs_set_right r
    where r.log = of and r.subject_id = subject and entry <= r.up_to and at > r.after order by r.seq desc limit 1), interval '0') $$;

create or replace function bin_count(bin uuid) returns integer stable language sql as $$
  with moved as (
    select kind, (payload->>'count')::integer as count, ${COUNTED('stock', '')} as at, seq
    from stock_events where subject_id = bin
  ), counted as (
    select count, at, seq from moved where kind = 'counted' order by at desc, seq desc limit 1
  ), running as (
    select coalesce((select count from counted), 0)
        + sum(case kind when 'received' then count else -count end) over (order by at, seq rows unbounded preceding) as held,
      at, seq
    from moved
    where kind <> 'counted' and not exists (select from counted c where (c.at, c.seq) > (moved.at, moved.seq))
  )
  select coalesce(
    (select r.held - least(0, (select min(held) from running)) from running r order by r.at desc, r.seq desc limit 1),
    (select count from counted), 0)::integer
$$;

create or replace function rivets_in(issue uuid)
 returns table (hole integer, batch uuid, expired boolean, hit_at timestamptz) stable language sql as $$
  with logged as (
    select e.hole, e.kind, e.batch, e.frozen->>'cold' = 'expired' as expired,
      ${COUNTED('drive', 'e.')} as at, e.seq
    from drive_events e where e.subject_id = issue and e.kind in ('driven', 'undriven')
  ), taps as (
    select e.*, sum(case e.kind when 'driven' then 1 else -1 end) over so_far as hits
    from logged e
    where not exists (select from hole_rework r where r.issue_id = issue and r.hole = e.hole and r.since_at > e.at)
    window so_far as (partition by e.hole order by e.at, e.seq rows unbounded preceding)
  ), deep as (
    select t.*, t.hits - least(0, min(t.hits) over (partition by t.hole order by t.at, t.seq rows unbounded preceding)) as depth
    from taps t
  ), now_in as (
    select distinct on (d.hole) d.hole, d.depth from deep d order by d.hole, d.at desc, d.seq desc
  ), on_top as (
    select distinct on (d.hole, d.depth) d.hole, d.depth, d.batch, d.expired, d.at from deep d
    where d.kind = 'driven' order by d.hole, d.depth, d.at desc, d.seq desc
  )
  select n.hole, (array_agg(o.batch order by o.depth))[1], coalesce(bool_or(o.expired), false),
    max(o.at) filter (where o.depth = n.depth)
  from now_in n join on_top o on o.hole = n.hole and o.depth <= n.depth where n.depth > 0 group by n.hole
$$;`;

export const logsSetRight = {
  name: '0023-logs-set-right',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.query(SET_RIGHT);
  }
};
