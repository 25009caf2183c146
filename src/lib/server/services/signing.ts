import { JointRecord, Seal } from '../../../core/signing/record.ts';
import type { SigningView } from '../../api/signing.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';
import { sealOf } from '../record/seal.ts';
import { newestRelease } from './releases.ts';
import { matterOf } from './records.ts';
import { done, refused, type Outcome } from '../outcome.ts';

/** What was signed of a release, word for word; null while nobody has. */
async function signedRecord(
  database: Database,
  releaseId: string
): Promise<{ record: unknown; seal: Seal } | null> {
  const [row] = await rowsOf<{ record: unknown; seal: unknown }>(
    database,
    'select record, seal from signed_records where issue_id = $1',
    [releaseId]
  );
  return row ? { record: row.record, seal: Seal.parse(row.seal) } : null;
}

/** Where the newest release of a joint stands before its signature; null before there is one. */
export async function signingView(
  database: Database,
  jointId: string,
  personId: string | null
): Promise<Outcome<SigningView | null>> {
  const releaseId = await newestRelease(database, jointId);
  if (releaseId === null) return done(null);
  const matter = await matterOf(database, releaseId);
  if (!matter.ok) return matter;
  const { record, missing, drivers, driverNames, signing, signed } = matter.value;
  const kept = signed ? await signedRecord(database, releaseId) : null;
  return done({
    releaseId,
    number: record.release.number,
    must: signed ? [] : missing.must,
    told: missing.told,
    signing,
    drivers: driverNames,
    droveOneself: personId !== null && drivers.has(personId),
    signature:
      signed && kept
        ? { by: signed.by, at: signed.at, entitled: signed.entitled, digest: kept.seal.digest }
        : null
  });
}

/** The record of the newest release with its seal: as it was signed, or as it stands and nobody has signed. */
export async function recordFile(
  database: Database,
  jointId: string
): Promise<Outcome<{ record: JointRecord; seal: Seal; asSigned: unknown; titleNow: string }>> {
  const releaseId = await newestRelease(database, jointId);
  if (releaseId === null) return refused('not-possible', 'Not released: nothing to record');
  const kept = await signedRecord(database, releaseId);
  const [joint] = await rowsOf<{ title: string }>(
    database,
    'select title from joints where id = $1',
    [jointId]
  );
  const titleNow = joint?.title ?? '';
  if (kept)
    return done({
      record: JointRecord.parse(kept.record),
      seal: kept.seal,
      asSigned: kept.record,
      titleNow
    });
  const matter = await matterOf(database, releaseId);
  if (!matter.ok) return matter;
  const { record } = matter.value;
  return done({ record, seal: sealOf(record), asSigned: record, titleNow });
}
