import type { QueryInterface } from 'sequelize';

/**
 * What each hole of a release comes to, by the marks that pages draw (core: `holeMarks`): empty and left as is are marks of
 * their own, so that lists and pages count the same.
 */
const HOLE_MARKS = `
drop function heads_in(uuid);
create function hole_marks(issue uuid)
returns table (hole integer, mark text, is_in boolean) language sql stable as $marks$
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
    select h.number as hole, i.hole is not null as is_in, coalesce(i.expired, false) as expired, s.bad_at,
      case
        when s.hole is null then null
        -- driven since: looked at again, unless no blow mends what was found
        when s.counted = 0 then case when s.last in ('replace', 'refer') then s.last else 'measure' end
        when s.worst is not null then (array['drive-more', 'replace', 'refer'])[s.worst]
        when (s.told & 17) = 16 or (s.told & 40) = 32 then 'measure'
        when h.asked & ~s.told > 0 then 'not-complete'
        else 'accept'
      end as verdict
    from holes h left join summed s on s.hole = h.number left join rivet i on i.hole = h.number
    where h.issue_id = issue and h.state = 'rivet'
  )
  select s.hole,
    case
      when r.stage in ('out', 'ask') then 'out'
      -- a head that stays on the data holder’s word is settled, until something else is found
      when r.stage = 'left' and (s.bad_at is null or s.bad_at <= r.left_at) and (s.verdict is not null or s.expired) then 'left'
      when s.expired and s.verdict is distinct from 'refer' then
        case when exists (select from rework_events q
          where q.subject_id = issue and q.hole = s.hole and q.kind = 'referred' and q.payload ? 'instead'
            and not exists (select from rework_events a
              where a.subject_id = issue and a.kind = 'answered' and a.payload->>'referral' = q.id::text))
        then 'refer' else 'replace' end
      else coalesce(s.verdict, 'to-do')
    end,
    s.is_in and r.stage is distinct from 'out' and r.stage is distinct from 'ask'
  from standing s left join hole_rework r on r.issue_id = issue and r.hole = s.hole
  where r.stage is distinct from 'blind'
$marks$;

drop function joints_stand(uuid[]);
create function joints_stand(joints uuid[])
  returns table (id uuid, joint_id uuid, revision integer, facts jsonb, document_version integer, stacks json, marks json,
    driven integer, reworked json, questions integer, signed_by text)
  language plpgsql stable set plan_cache_mode = force_generic_plan as $stand$
#variable_conflict use_column
begin
  return query
  with newest as (
    select distinct on (i.joint_id) i.id, i.joint_id, i.revision, i.facts, i.document_version
    from joint_issues i where i.joint_id = any(joints) order by i.joint_id, i.number desc
  ), by_stack as (
    select issue_id, stack, count(*)::integer as count from holes
    where state = 'rivet' and issue_id in (select n.id from newest n) group by issue_id, stack
  ), hole as (
    select n.id as issue_id, h.* from newest n cross join lateral hole_marks(n.id) h
  ), by_mark as (
    select issue_id, mark, count(*)::integer as count, (count(*) filter (where is_in))::integer as driven
    from hole group by issue_id, mark
  )
  select n.*,
    (select json_agg(json_build_object('stack', stack, 'count', count) order by stack)
     from by_stack where issue_id = n.id),
    (select json_object_agg(mark, count) from by_mark where issue_id = n.id),
    (select coalesce(sum(driven), 0)::integer from by_mark where issue_id = n.id),
    (select json_agg(json_build_object('stage', r.stage, 'stack', h.stack, 'part', r.part_number))
     from hole_rework r join holes h on h.issue_id = r.issue_id and h.number = r.hole
     where r.issue_id = n.id),
    (select coalesce(sum(k.change), 0)::integer
     from rework_events e join counted_kinds k on k.log = 'rework' and k.kind = e.kind
     where e.subject_id = n.id),
    (select p.name from sign_events s join people p on p.id = s.person_id
     where s.subject_id = n.id limit 1)
  from newest n;
end $stand$;`;

export const holeMarksInSql = {
  name: '0030-hole-marks',
  up: async ({ context }: { context: QueryInterface }): Promise<void> => {
    await context.sequelize.query(HOLE_MARKS);
  }
};
