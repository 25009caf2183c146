import type { QueryInterface } from 'sequelize';

/**
 * What lists read of logs, in the order in which things happened, however late they came in. Both follow the definitions of
 * core (`driveStream`, `balanceOf`), and a test holds them against it over random histories.
 */
export const asItHappened = {
  name: '0018-as-it-happened',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.query(`
-- Rivets that are in the holes of an issue, each with the cold batch it is of. A hit goes on top of the one before, a tap
-- taken back takes the top one off; below nothing there is nothing. What was hit before its rivet was taken out is none.
create function rivets_in(issue uuid)
returns table (hole integer, batch uuid) language sql stable as $$
  with taps as (
    select e.hole, e.kind, e.batch, e.at, e.seq, sum(case e.kind when 'driven' then 1 else -1 end) over so_far as hits
    from drive_events e
    where e.subject_id = issue and e.kind in ('driven', 'undriven')
      and not exists (select from hole_rework r where r.issue_id = issue and r.hole = e.hole and r.since_at > e.at)
    window so_far as (partition by e.hole order by e.at, e.seq rows unbounded preceding)
  ), deep as (
    select t.*, t.hits - least(0, min(t.hits) over (partition by t.hole order by t.at, t.seq rows unbounded preceding)) as depth
    from taps t
  ), now_in as (
    select distinct on (d.hole) d.hole, d.depth from deep d order by d.hole, d.at desc, d.seq desc
  ), put_in as (
    select distinct on (d.hole) d.hole, d.batch from deep d
    where d.kind = 'driven' and d.depth = 1 order by d.hole, d.at desc, d.seq desc
  )
  select n.hole, p.batch from now_in n join put_in p on p.hole = n.hole where n.depth > 0
$$;

-- What is in a bin: what was counted last, and what came in and went out since; a bin never holds less than nothing.
create function bin_count(bin uuid) returns integer language sql stable as $$
  with moved as (
    select kind, (payload->>'count')::integer as count, at, seq from stock_events where subject_id = bin
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
update stock_bins set count = bin_count(id) where count <> bin_count(id);`);
  }
};
