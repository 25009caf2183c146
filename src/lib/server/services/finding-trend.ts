import type { Finding } from '../../../core/inspect/findings.ts';
import {
  TREND_WEEKS,
  type TrendBy,
  type Trend,
  type TrendGroup,
  type TrendWeek
} from '../../api/found-rivet.ts';
import type { RivetWish } from '../../api/records-wish.ts';
import type { Database } from '../db/connect.ts';
import { inTransaction, rowsOf } from '../db/transaction.ts';
import { rivetsAsked } from './rivet-search.ts';
import { settleRivets } from './settle-rivets.ts';

/** Every week of a trend by its Monday, also those in which nobody looked. */
const WEEKS = `select to_char(week, 'YYYY-MM-DD') as week from generate_series(
  date_trunc('week', (now() at time zone 'utc') - make_interval(weeks => ${TREND_WEEKS})),
  date_trunc('week', now() at time zone 'utc'), interval '1 week') week`;

/** What heads are counted apart by, as rows have it, and whose name that is. */
const GROUPS: Record<
  Exclude<TrendBy, 'finding'>,
  { key: string; name: string; id: string; join: string }
> = {
  all: { key: `''`, name: `''`, id: 'null', join: '' },
  tool: {
    key: 'r.setting',
    name: `s.setup->>'name'`,
    id: 'null',
    join: 'left join tool_settings s on s.id = counted.key'
  },
  person: {
    key: 'r.drove',
    name: 'p.name',
    id: 'd.id::text',
    join: 'left join lateral unnest(counted.key) d (id) on true left join people p on p.id = d.id'
  }
};

const WEEK = `date_trunc('week', r.at at time zone 'utc')`;
/** Each finding that was made at all, among all heads that were inspected in the week. */
const byFinding = (heads: string): string => `with looked as (
      select ${WEEK} as week, count(*)::integer as looked from rivet_records r where ${heads} group by 1),
    hits as (
      select f.finding, ${WEEK} as week, count(*)::integer as found
      from rivet_records r cross join lateral unnest(r.findings) f (finding) where ${heads} group by 1, 2)
    select n.finding as name, n.finding as key, to_char(l.week, 'YYYY-MM-DD') as week, l.looked, coalesce(h.found, 0) as found
    from (select distinct finding from hits) n cross join looked l
      left join hits h on h.finding = n.finding and h.week = l.week
    order by 1, 3`;

/**
 * The statement of a trend: heads that were looked at, by the week they were driven in. Counted by what stands in the rows
 * first: what is left to be named is a few hundred lines, not every head.
 */
export function trendStatement(
  wish: RivetWish,
  finding: Finding | null,
  by: TrendBy
): { text: string; values: unknown[] } {
  const { where, values } = rivetsAsked({ ...wish, finding: undefined });
  const heads = `r.looked_at is not null and ${where} and r.at >= now() - make_interval(weeks => ${TREND_WEEKS})`;
  if (by === 'finding') return { text: byFinding(heads), values };
  const found =
    finding === null
      ? `r.verdict not in ('accept', 'not-complete') or r.findings <> '{}'`
      : `r.findings @> $${values.push([finding])}::text[]`;
  const { key, name, id, join } = GROUPS[by];
  const text = `with counted as (
      select ${key} as key, date_trunc('week', r.at at time zone 'utc') as week,
        count(*) as looked, count(*) filter (where ${found}) as found
      from rivet_records r
      where ${heads}
      group by 1, 2)
    select ${name} as name, ${id} as key, to_char(week, 'YYYY-MM-DD') as week, sum(looked)::integer as looked, sum(found)::integer as found
    from counted ${join} group by 1, 2, 3 order by 1 nulls last, 2, 3`;
  return { text, values };
}

/**
 * How often a finding was made over the last weeks, by finding, by tool or by who drove: groups stand by their names, never by how
 * they come out.
 *
 * @param finding null: anything that was not simply good
 */
export async function findingTrend(
  database: Database,
  wish: RivetWish,
  finding: Finding | null,
  by: TrendBy
): Promise<Trend> {
  await settleRivets(database);
  const { text, values } = trendStatement(wish, finding, by);
  const { rows, weeks } = await inTransaction(database, async () => {
    // enough for the groups to be counted as they come instead of sorting half a year of heads on disk
    await rowsOf(database, `set local work_mem = '64MB'`, []);
    const all = await rowsOf<{ week: string }>(database, WEEKS, []);
    return {
      rows: await rowsOf<TrendWeek & { name: string | null; key: string | null }>(
        database,
        text,
        values
      ),
      weeks: all.map(({ week }) => week)
    };
  });
  const groups = new Map<string, TrendGroup>();
  for (const { name, key, ...week } of rows) {
    const at = `${name} ${key}`;
    const group = groups.get(at) ?? { name, key, weeks: [] };
    group.weeks.push(week);
    groups.set(at, group);
  }
  return { weeks, groups: [...groups.values()] };
}
