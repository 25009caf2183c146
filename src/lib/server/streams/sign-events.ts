import { signStream } from '../../../core/signing/sign-events.ts';
import { rowsOf } from '../db/transaction.ts';
import { sealOf } from '../record/seal.ts';
import { matterOf } from '../services/records.ts';
import { Refused } from '../outcome.ts';
import { keptStream } from '../events/kept-stream.ts';
import { SIGN_EVENTS } from '../events/tables.ts';

/** The signature of a release: everything about it is weighed under its lock, and what was signed is kept word for word. */
export const signEvents = keptStream({
  stream: signStream,
  table: SIGN_EVENTS,
  missing: 'there is no such release',
  order: 'locked',
  ownHand: true,
  async open(database, releaseId) {
    // held against every move that refers to the release: what is weighed here stays as it is
    const [held] = await rowsOf<{ since: Date }>(
      database,
      'select issued_at as since from joint_issues where id = $1 for update',
      [releaseId]
    );
    if (!held) return null;
    const matter = await matterOf(database, releaseId);
    if (!matter.ok) throw new Refused(matter.reason, matter.inWords);
    const { record, missing, drivers, signing, signed, lastAt } = matter.value;
    return {
      subject: { practice: record.release.facts.practice, missing, drivers, signing, lastAt },
      state: signed,
      sinceMs: held.since.getTime()
    };
  },
  async keep(database, releaseId) {
    const matter = await matterOf(database, releaseId);
    if (!matter.ok) throw new Refused(matter.reason, matter.inWords);
    const { record } = matter.value;
    await rowsOf(
      database,
      'insert into signed_records (issue_id, record, seal) values ($1, $2::jsonb, $3::jsonb)',
      [releaseId, JSON.stringify(record), JSON.stringify(sealOf(record))]
    );
  }
});
