import type { QueryInterface } from 'sequelize';

/**
 * Looks at one rivet add up, and the gravest governs: lists read every look, small, instead of the last one. The definitions
 * are those of core (`headStanding`, `holeStates`), and a test holds them against it over random histories.
 */
export const looksThatAddUp = {
  name: '0020-looks-that-add-up',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.query(`
-- What a look has told of, in bits: 1 the shop head by its size, 2 the manufactured head, 4 the sheet, 8 flushness; 16 a size was
-- tried, 32 flushness was tried, 64 the rivet was driven further since the look before.
create function look_told(kind text, payload jsonb, frozen jsonb) returns integer language sql immutable as $$
  select
    case when kind <> 'eyed' and not (frozen->>'verdict' = 'measure' and (
        coalesce(frozen->'cannotTell' ?| array['short-of-metal', 'over-driven', 'too-narrow', 'too-low', 'within-uncertainty'], false)
        or coalesce(frozen->'findings' ?| array['under-driven', 'too-long'], false))) then 1 else 0 end
    + case when coalesce(payload->'clean' ? 'manufactured', false) then 2 else 0 end
    + case when coalesce(payload->'clean' ? 'sheet', false) then 4 else 0 end
    + case when payload ? 'flush' and not coalesce(frozen->'cannotTell' ? 'not-flush-high', false) then 8 else 0 end
    + case when kind <> 'eyed' then 16 else 0 end
    + case when payload ? 'flush' and coalesce(frozen->'cannotTell' ? 'not-flush-high', false) then 32 else 0 end
    + case when payload ? 'drivenOn' then 64 else 0 end
$$;

drop table hole_looks;
create table hole_looks (
  issue_id uuid not null,
  hole integer not null,
  seq bigint not null,
  at timestamptz not null,
  verdict text not null,
  told integer not null,
  voided boolean not null default false,
  primary key (issue_id, hole, seq),
  foreign key (issue_id, hole) references holes (issue_id, number)
);
insert into hole_looks (issue_id, hole, seq, at, verdict, told)
select subject_id, hole, seq, at, frozen->>'verdict', look_told(kind, payload, frozen) from hole_events;

-- What makes the inspection of a hole complete, in the same bits: the shop head alone in releases that knew no more.
alter table holes add column asked integer not null default 1;

drop function rivets_in(uuid);
-- Rivets that are in the holes of an issue, each with the cold batch it is of, whether that had expired at one of its hits, and
-- its last hit. Levels: a hit goes on top of the one before, a tap taken back takes the top one off, below nothing there is
-- nothing. What was hit before its rivet was taken out is none.
create function rivets_in(issue uuid)
returns table (hole integer, batch uuid, expired boolean, hit_at timestamptz) language sql stable as $$
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
    select distinct on (d.hole, d.depth) d.hole, d.depth, d.batch, d.expired, d.at from deep d
    where d.kind = 'driven' order by d.hole, d.depth, d.at desc, d.seq desc
  )
  select n.hole, (array_agg(o.batch order by o.depth))[1], coalesce(bool_or(o.expired), false),
    max(o.at) filter (where o.depth = n.depth)
  from now_in n join on_top o on o.hole = n.hole and o.depth <= n.depth where n.depth > 0 group by n.hole
$$;

-- What the rivets in the holes of an issue come to: their verdict, and whether anybody has looked at them.
create function heads_in(issue uuid)
returns table (hole integer, verdict text, looked boolean) language sql stable as $$
  with rivet as (
    select i.* from rivets_in(issue) i
  ), look as (
    select l.hole, l.seq, l.at, l.verdict, l.told,
      coalesce(i.hit_at, max(l.at) filter (where l.told & 64 > 0) over (partition by l.hole), '-infinity') as head_at
    from hole_looks l
      left join rivet i on i.hole = l.hole
      left join hole_rework r on r.issue_id = l.issue_id and r.hole = l.hole
    where l.issue_id = issue and not l.voided and (r.since_at is null or l.at >= r.since_at)
  ), summed as (
    select l.hole,
      max(array_position(array['drive-more', 'replace', 'refer'], l.verdict)) filter (where l.at >= l.head_at) as worst,
      coalesce(bit_or(l.told) filter (where l.at >= l.head_at), 0) as told,
      count(*) filter (where l.at >= l.head_at) as counted,
      (array_agg(l.verdict order by l.at desc, l.seq desc))[1] as last,
      max(l.at) filter (where l.verdict in ('drive-more', 'replace', 'refer')) as bad_at
    from look l group by l.hole
  ), standing as (
    select coalesce(s.hole, i.hole) as hole, s.hole is not null as looked, coalesce(i.expired, false) as expired, s.bad_at,
      case
        when s.hole is null then null
        -- driven since: looked at again, unless no blow mends what was found
        when s.counted = 0 then case when s.last in ('replace', 'refer') then s.last else 'measure' end
        when s.worst is not null then (array['drive-more', 'replace', 'refer'])[s.worst]
        when (s.told & 17) = 16 or (s.told & 40) = 32 then 'measure'
        when h.asked & ~s.told > 0 then 'not-complete'
        else 'accept'
      end as verdict
    from summed s full join rivet i on i.hole = s.hole
      join holes h on h.issue_id = issue and h.number = coalesce(s.hole, i.hole)
  )
  select s.hole,
    case
      -- a head that stays on the data holder’s word is settled, until something else is found
      when r.stage = 'left' and (s.bad_at is null or s.bad_at <= r.left_at) and (s.verdict is not null or s.expired) then 'accept'
      when s.expired and s.verdict is distinct from 'refer' then
        case when exists (select from rework_events q
          where q.subject_id = issue and q.hole = s.hole and q.kind = 'referred' and q.payload ? 'instead'
            and not exists (select from rework_events a
              where a.subject_id = issue and a.kind = 'answered' and a.payload->>'referral' = q.id::text))
        then 'refer' else 'replace' end
      else s.verdict
    end,
    s.looked
  from standing s left join hole_rework r on r.issue_id = issue and r.hole = s.hole
  where r.stage is distinct from 'blind'
$$;`);
  }
};
