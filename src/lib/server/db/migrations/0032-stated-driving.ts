import type { QueryInterface } from 'sequelize';

/** When something counts as having happened, as in 0023. */
const COUNTED = (log: string, row: string): string =>
  `case when exists (select from logs_set_right) then counted_at('${log}', ${row}subject_id, ${row}seq, ${row}at) else ${row}at end`;

/** A rivet that was logged later counts as hit when it is stated to have been driven; taps keep the order they were entered in. */
const STATED = `
create or replace function rivets_in(issue uuid)
 returns table (hole integer, batch uuid, expired boolean, hit_at timestamptz) stable language sql as $$
  with logged as (
    select e.hole, k.change, e.batch, e.frozen->>'cold' = 'expired' as expired,
      ${COUNTED('drive', 'e.')} as at, (e.payload->>'stated')::timestamptz as stated, e.seq
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
    max(coalesce(o.stated, o.at)) filter (where o.depth = o.now_deep)
  from on_top o group by o.hole
$$;`;

export const statedDriving = {
  name: '0032-stated-driving',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.query(STATED);
  }
};
