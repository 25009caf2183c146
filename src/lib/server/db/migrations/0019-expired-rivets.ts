import type { QueryInterface } from 'sequelize';

/** A rivet that was driven after its batch had expired is to be replaced, whatever its head measures: lists know which are. */
export const expiredRivets = {
  name: '0019-expired-rivets',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.query(`
drop function rivets_in(uuid);
-- Rivets that are in the holes of an issue, each with the cold batch it is of and whether that had expired at one of its hits.
-- Levels: a hit goes on top of the one before, a tap taken back takes the top one off, below nothing there is nothing. What was
-- hit before its rivet was taken out is none.
create function rivets_in(issue uuid)
returns table (hole integer, batch uuid, expired boolean) language sql stable as $$
  with taps as (
    select e.hole, e.kind, e.batch, e.frozen->>'cold' = 'expired' as expired, e.at, e.seq, sum(case e.kind when 'driven' then 1 else -1 end) over so_far as hits
    from drive_events e
    where e.subject_id = issue and e.kind in ('driven', 'undriven')
      and not exists (select from hole_rework r where r.issue_id = issue and r.hole = e.hole and r.since_at > e.at)
    window so_far as (partition by e.hole order by e.at, e.seq rows unbounded preceding)
  ), deep as (
    select t.*, t.hits - least(0, min(t.hits) over (partition by t.hole order by t.at, t.seq rows unbounded preceding)) as depth
    from taps t
  ), now_in as (
    select distinct on (d.hole) d.hole, d.depth from deep d order by d.hole, d.at desc, d.seq desc
  ), on_top as (
    select distinct on (d.hole, d.depth) d.hole, d.depth, d.batch, d.expired from deep d
    where d.kind = 'driven' order by d.hole, d.depth, d.at desc, d.seq desc
  )
  select n.hole, (array_agg(o.batch order by o.depth))[1], coalesce(bool_or(o.expired), false)
  from now_in n join on_top o on o.hole = n.hole and o.depth <= n.depth where n.depth > 0 group by n.hole
$$;`);
  }
};
