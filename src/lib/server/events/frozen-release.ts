import { LRUCache } from 'lru-cache';
import { ReleasedFacts, type Release } from '../../../core/release/release.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';
import { toReleasedHoles, type HoleRow } from './released-holes.ts';

interface Frozen extends Pick<Release, 'facts' | 'holes' | 'heldOpen'> {
  /** when it was released, ms since 1970 */
  releasedMs: number;
}

/** Releases never change, so those that heads are being recorded on are kept at hand. */
const atHand = new LRUCache<string, Frozen>({ max: 100 });

/** What a release froze, or null where there is no such release. */
export async function frozenRelease(database: Database, releaseId: string): Promise<Frozen | null> {
  const known = atHand.get(releaseId);
  if (known) return known;
  const [row] = await rowsOf<{ facts: unknown; holes: HoleRow[]; issued_at: Date }>(
    database,
    `select i.facts, i.issued_at, (select json_agg(h order by h.number) from holes h where h.issue_id = i.id) as holes
     from joint_issues i where i.id = $1`,
    [releaseId]
  );
  if (!row) return null;
  const facts = ReleasedFacts.parse(row.facts);
  const frozen = {
    facts,
    ...toReleasedHoles(row.holes, facts),
    releasedMs: row.issued_at.getTime()
  };
  atHand.set(releaseId, frozen);
  return frozen;
}
