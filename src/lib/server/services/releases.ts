import type { Release } from '../../../core/release/release.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';
import { must, readFacts } from './documents.ts';
import { toReleasedHoles, type HoleRow } from '../events/released-holes.ts';

interface ReleaseRow {
  id: string;
  number: number;
  revision: number;
  issued_at: Date;
  issued_by: string;
  facts: unknown;
  document_version: number;
  holes: HoleRow[] | null;
}

const RELEASE = `select i.id, i.number, i.revision, i.issued_at, p.name as issued_by, i.facts, i.document_version,
       (select json_agg(h order by h.number) from holes h where h.issue_id = i.id) as holes
     from joint_issues i join people p on p.id = i.issued_by`;

const toRelease = (row: ReleaseRow): Release => {
  const facts = must('this release', readFacts(row.document_version, row.facts));
  return {
    id: row.id,
    number: row.number,
    revision: row.revision,
    issuedAt: row.issued_at.toISOString(),
    issuedBy: row.issued_by,
    facts,
    ...toReleasedHoles(row.holes, facts)
  };
};

/** The newest release of a joint with its holes, or null; one query. */
export async function latestRelease(database: Database, jointId: string): Promise<Release | null> {
  const [row] = await rowsOf<ReleaseRow>(
    database,
    `${RELEASE} where i.joint_id = $1 order by i.number desc limit 1`,
    [jointId]
  );
  return row ? toRelease(row) : null;
}

/** A release with its joint and what was frozen of it, or null. */
export async function releaseWithSource(
  database: Database,
  releaseId: string
): Promise<{ release: Release; jointId: string; definition: unknown; rules: unknown } | null> {
  const [row] = await rowsOf<
    ReleaseRow & { joint_id: string; definition: unknown; rules: unknown }
  >(
    database,
    `${RELEASE.replace('select ', 'select i.joint_id, i.definition, i.rules, ')} where i.id = $1`,
    [releaseId]
  );
  return row
    ? {
        release: toRelease(row),
        jointId: row.joint_id,
        definition: row.definition,
        rules: row.rules
      }
    : null;
}

/** The newest release of a joint by its id; null before the first. */
export async function newestRelease(database: Database, jointId: string): Promise<string | null> {
  const [row] = await rowsOf<{ id: string }>(
    database,
    'select id from joint_issues where joint_id = $1 order by number desc limit 1',
    [jointId]
  );
  return row?.id ?? null;
}
