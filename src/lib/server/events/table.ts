/** Where the events of one stream are kept. */
export interface EventTable {
  name: string;
  /**
   * What is kept beside the events for quick reading, in the same statement: a common table expression that reads the
   * rows of `added` (seq, id, subject_id, kind, payload, frozen, person_id, at).
   */
  alongside?: string;
}

/**
 * Puts events: those that are new are added, in the order given; those that are there already are compared. Where one is
 * there under the same id and differs, nothing is added.
 *
 * `$1` the events as a JSON list, `$2` who sends: an event that names its person is that person's; `$3` the browser that sends.
 * Answers one row an event.
 */
export const putSql = ({ name, alongside }: EventTable): string => `
with sent as (
  select * from jsonb_to_recordset($1::jsonb)
    as s (n integer, id uuid, subject_id uuid, kind text, payload jsonb, frozen jsonb, person uuid, at timestamptz)
), known as (
  select e.id, e.frozen, p.name as by,
    (e.subject_id, e.kind, e.payload, e.at) = (s.subject_id, s.kind, s.payload, s.at) as same
  from sent s
    -- one by one through the index: how many are sent is not known before, and a guess would read the whole table
    cross join lateral (select * from ${name} where id = s.id limit 1) e
    join people p on p.id = e.person_id
), added as (
  insert into ${name} (id, subject_id, kind, payload, frozen, person_id, at, sender_id, device_id)
  select id, subject_id, kind, payload, frozen, coalesce(person, $2::uuid), at,
    -- what a release takes over was sent in the one before
    case when payload ? 'carried' then null else $2::uuid end, $3::uuid from sent
  where not exists (select from known where not same)
  order by n
  on conflict (id) do nothing
  returning seq, id, subject_id, kind, payload, frozen, person_id, at
)${alongside === undefined ? '' : `, ${alongside}`}
select s.id, k.same, k.frozen, coalesce(k.by, p.name) as by, a.id is not null as added
from sent s left join known k on k.id = s.id left join added a on a.id = s.id
  left join people p on p.id = a.person_id
order by s.n`;
