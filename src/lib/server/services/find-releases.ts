import type { FoundReleases } from '../../api/found-rivet.ts';
import type { RivetWish } from '../../api/records-wish.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';
import { PAGE_LENGTH } from './find-rivets.ts';
import { asksOfRivets, rivetsAsked } from './rivet-search.ts';
import { settleRivets } from './settle-rivets.ts';

interface Row {
  issue_id: string;
  joint_id: string;
  joint: string;
  job: string;
  release: number;
  superseded: boolean;
  issued_at: Date;
  issued_by: string;
  signed_by: string | null;
  signed_at: Date | null;
  rivets: number;
}

/** The statement of one page of releases, the latest first: those that have a rivet the search asks for. */
export function releasesStatement(
  wish: RivetWish,
  page: number
): { text: string; values: unknown[] } {
  const { where, values } = rivetsAsked(wish);
  const bind = (value: unknown): string => `$${values.push(value)}`;
  const own = rivetsAsked({ job: wish.job, joint: wish.joint }, values.length + 1);
  values.push(...own.values);
  const ofJoints = `not coalesce((i.facts->>'practice')::boolean, false) and ${own.where.replaceAll('r.joint_id', 'i.joint_id')}`;
  const asksRivets = asksOfRivets(wish) || wish.from !== undefined || wish.to !== undefined;
  const latest = `order by i.issued_at desc, i.id desc limit ${bind(PAGE_LENGTH + 1)} offset ${bind(page * PAGE_LENGTH)}`;
  // A lot is in few releases: they are found by it. What many have is found release by release, the latest first.
  const pages =
    wish.lot === undefined
      ? `page as (select i.*,
          (select count(*)::integer from rivet_records r where r.issue_id = i.id and ${where}) as rivets
        from joint_issues i where ${[ofJoints, ...(asksRivets ? [`i.id in (select r.issue_id from rivet_records r where ${where})`] : [])].join(' and ')} ${latest})`
      : `found as materialized (select r.issue_id, count(*)::integer as rivets from rivet_records r where ${where} group by r.issue_id),
        page as (select i.*, found.rivets from joint_issues i join found on found.issue_id = i.id where ${ofJoints} ${latest})`;
  const text = `with ${pages}
  select i.id as issue_id, i.joint_id, j.title as joint, b.number as job, i.number as release, i.issued_at, p.name as issued_by,
    exists (select from joint_issues n where n.joint_id = i.joint_id and n.number > i.number) as superseded,
    s.by as signed_by, s.at as signed_at, i.rivets
  from page i join joints j on j.id = i.joint_id join jobs b on b.id = j.job_id join people p on p.id = i.issued_by
    left join lateral (select e.at, q.name as by from sign_events e join people q on q.id = e.person_id
      where e.subject_id = i.id limit 1) s on true
  order by i.issued_at desc, i.id desc`;
  return { text, values };
}

/** The releases that have a rivet which a search asks for, or of joints it asks for. */
export async function findReleases(
  database: Database,
  wish: RivetWish,
  page: number
): Promise<FoundReleases> {
  await settleRivets(database);
  const { text, values } = releasesStatement(wish, page);
  const rows = await rowsOf<Row>(database, text, values);
  return {
    releases: rows.slice(0, PAGE_LENGTH).map((row) => ({
      releaseId: row.issue_id,
      jointId: row.joint_id,
      joint: row.joint,
      job: row.job,
      release: row.release,
      superseded: row.superseded,
      issuedAt: row.issued_at.toISOString(),
      issuedBy: row.issued_by,
      signedBy: row.signed_by,
      signedAt: row.signed_at?.toISOString() ?? null,
      rivets: row.rivets
    })),
    next: rows.length > PAGE_LENGTH ? page + 1 : null
  };
}
