import { LRUCache } from 'lru-cache';
import { IssuedFacts, type Issue } from '../../../core/release/release.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';
import { toIssuedHoles, type HoleRow } from './issued-holes.ts';

interface Frozen extends Pick<Issue, 'facts' | 'holes' | 'heldOpen'> {
  /** when it was released, ms since 1970 */
  issuedMs: number;
}

/** Issues never change, so those that heads are being recorded on are kept at hand. */
const atHand = new LRUCache<string, Frozen>({ max: 100 });

/** What an issue froze, or null where there is no such issue. */
export async function frozenIssue(database: Database, issueId: string): Promise<Frozen | null> {
  const known = atHand.get(issueId);
  if (known) return known;
  const [row] = await rowsOf<{ facts: unknown; holes: HoleRow[]; issued_at: Date }>(
    database,
    `select i.facts, i.issued_at, (select json_agg(h order by h.number) from holes h where h.issue_id = i.id) as holes
     from joint_issues i where i.id = $1`,
    [issueId]
  );
  if (!row) return null;
  const facts = IssuedFacts.parse(row.facts);
  const frozen = {
    facts,
    ...toIssuedHoles(row.holes, facts),
    issuedMs: row.issued_at.getTime()
  };
  atHand.set(issueId, frozen);
  return frozen;
}
