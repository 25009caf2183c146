import type { Finding, HeadVerdict } from '../../../core/inspect/findings.ts';
import type { FoundPage, FoundRivet } from '../../api/found-rivet.ts';
import type { RivetSort, RivetWish } from '../../api/records-wish.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';
import { narrow, rivetsAsked, type NarrowWish } from './rivet-search.ts';
import { settleRivets } from './settle-rivets.ts';

export const PAGE_LENGTH = 50;
/** Beyond so many it says “more than”: counting a million takes longer than finding fifty. */
export const COUNTED_TO = 10_000;

/** What a sort goes by, and rows that have nothing to be sorted by are left out. */
const SORTED: Record<RivetSort, { column: string; type: string; only: string; mark?: string }> = {
  at: {
    column: 'r.at',
    type: 'timestamptz',
    only: '',
    mark: `to_char(page.sorted at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"')`
  },
  part: { column: 'r.part_number', type: 'text', only: '' },
  diameter: {
    column: 'r.diameter_d',
    type: 'double precision',
    only: ' and r.diameter_d is not null'
  },
  height: { column: 'r.height_d', type: 'double precision', only: ' and r.height_d is not null' }
};

interface Row {
  issue_id: string;
  joint_id: string;
  joint: string;
  job: string;
  release: number;
  hole: number;
  life: number;
  part_number: string;
  lot: string | null;
  batch: string | null;
  setting: string | null;
  tool: string | null;
  at: Date;
  driven_at: Date | null;
  looked_at: Date | null;
  out_at: Date | null;
  drove_names: string[];
  looked_names: string[];
  sent_by: string[];
  verdict: HeadVerdict | null;
  findings: Finding[];
  diameter_d: number | null;
  height_d: number | null;
  /** the sort’s own value, exactly: what the next page goes on from */
  mark: string;
}

const instant = (at: Date | null): string | null => at?.toISOString() ?? null;

const toFound = (row: Row): FoundRivet => ({
  releaseId: row.issue_id,
  jointId: row.joint_id,
  joint: row.joint,
  job: row.job,
  release: row.release,
  hole: row.hole,
  life: row.life,
  partNumber: row.part_number,
  lot: row.lot,
  batch: row.batch,
  setting: row.setting,
  tool: row.tool,
  at: row.at.toISOString(),
  drivenAt: instant(row.driven_at),
  lookedAt: instant(row.looked_at),
  outAt: instant(row.out_at),
  drove: row.drove_names,
  looked: row.looked_names,
  sentBy: row.sent_by,
  verdict: row.verdict,
  findings: row.findings,
  diameterD: row.diameter_d,
  heightD: row.height_d
});

const markOf = ({ mark, issue_id, hole, life }: Row): string =>
  [mark.replaceAll(',', ' '), issue_id, hole, life].join(',');

/** Before it nothing was logged; a database has no year nought. */
const EARLIEST_MS = Date.parse('1900-01-01T00:00:00Z');
/** No head is as wide or as high as that, in D. */
const WIDEST_D = 1000;
const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/** A page mark as the values that a row is compared with, or null where it was written by somebody else. */
function placeOf(mark: readonly string[] | undefined, sort: RivetSort): unknown[] | null {
  const [value = '', release = '', hole = '', life = ''] = mark ?? [];
  const whole = [hole, life].every((one) => /^\d{1,9}$/.test(one));
  const sound =
    sort === 'at'
      ? /^\d{4}-\d\d-\d\dT[\d:.]+Z$/.test(value) && Date.parse(value) >= EARLIEST_MS
      : sort === 'part' || (/^\d/.test(value) && Number(value) < WIDEST_D);
  return whole && sound && UUID.test(release) ? [value, release, Number(hole), Number(life)] : null;
}

/**
 * The statement of one page: the keys of its rows by the sort’s index, then what is shown of them.
 *
 * @param most rows, one more than a page so that one knows whether there is another
 */
export function pageStatement(wish: NarrowWish, most: number): { text: string; values: unknown[] } {
  const sort = wish.sort ?? 'at';
  const { column, type, only, mark = 'page.sorted::text' } = SORTED[sort];
  const { where, values } = rivetsAsked(wish);
  const backwards = wish.before !== undefined;
  const descending = (wish.way ?? 'down') === 'down';
  const down = descending !== backwards;
  const way = down ? 'desc' : 'asc';
  const place = placeOf(wish.before ?? wish.after, sort);
  const bind = (value: unknown): string => `$${values.push(value)}`;
  const from =
    place === null
      ? ''
      : ` and (${column}, r.issue_id, r.hole, r.life) ${down ? '<' : '>'} (${bind(place[0])}::${type}, ${bind(place[1])}::uuid, ${bind(place[2])}::integer, ${bind(place[3])}::integer)`;
  const text = `with page as (
    select r.*, ${column} as sorted from rivet_records r where ${where}${only}${from}
    order by ${column} ${way}, r.issue_id ${way}, r.hole ${way}, r.life ${way} limit ${bind(most)})
  select page.*, ${mark} as mark, j.title as joint, b.number as job, i.number as release,
    s.setup->>'name' as tool,
    (select coalesce(array_agg(p.name order by p.name), '{}') from people p where p.id = any(page.drove)) as drove_names,
    (select coalesce(array_agg(p.name order by p.name), '{}') from people p where p.id = any(page.looked)) as looked_names
  from page join joints j on j.id = page.joint_id join jobs b on b.id = j.job_id
    join joint_issues i on i.id = page.issue_id left join tool_settings s on s.id = page.setting
  order by page.sorted ${way}, page.issue_id ${way}, page.hole ${way}, page.life ${way}`;
  return { text, values };
}

/** The statement that counts, as far as is counted. */
export function countStatement(wish: NarrowWish): { text: string; values: unknown[] } {
  const { only } = SORTED[wish.sort ?? 'at'];
  const { where, values } = rivetsAsked(wish);
  return {
    text: `select count(*)::integer as count from (select 1 from rivet_records r where ${where}${only} limit ${COUNTED_TO + 1}) counted`,
    values
  };
}

/** One page of the rivets that a search asks for; what was logged a moment ago is among them. */
export async function findRivets(
  database: Database,
  wish: RivetWish,
  pageLength = PAGE_LENGTH
): Promise<FoundPage> {
  await settleRivets(database);
  const asked = await narrow(database, wish);
  const page = pageStatement(asked, pageLength + 1);
  const counting = countStatement(asked);
  const [rows, [counted]] = await Promise.all([
    rowsOf<Row>(database, page.text, page.values),
    rowsOf<{ count: number }>(database, counting.text, counting.values)
  ]);
  const more = rows.length > pageLength;
  const shown = rows.slice(0, pageLength);
  const backwards = wish.before !== undefined;
  if (backwards) shown.reverse();
  const [first, last] = [shown[0], shown.at(-1)];
  const count = counted?.count ?? 0;
  return {
    rivets: shown.map(toFound),
    count: count > COUNTED_TO ? null : count,
    after: last && (backwards || more) ? markOf(last) : null,
    before: first && (backwards ? more : wish.after !== undefined) ? markOf(first) : null
  };
}
