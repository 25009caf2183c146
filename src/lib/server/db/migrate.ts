import { SequelizeStorage, Umzug } from 'umzug';
import type { Database } from './connect.ts';
import { writeCountedKinds } from './counted-kinds.ts';
import { inTransaction, rowsOf } from './transaction.ts';
import { firstTables } from './migrations/0001-first-tables.ts';
import { kindsOfJoint } from './migrations/0002-kinds-of-joint.ts';
import { stock } from './migrations/0003-stock.ts';
import { makeReady } from './migrations/0004-make-ready.ts';
import { cages } from './migrations/0005-cages.ts';
import { oneEventStream } from './migrations/0006-one-event-stream.ts';
import { whatASettingRestsOn } from './migrations/0007-what-a-setting-rests-on.ts';
import { looksByInstant } from './migrations/0008-looks-by-instant.ts';
import { driving } from './migrations/0009-driving.ts';
import { settingsOfTools } from './migrations/0010-settings-of-tools.ts';
import { reworkAndSigning } from './migrations/0011-rework-and-signing.ts';
import { rivetsOnRecord } from './migrations/0012-rivets-on-record.ts';
import { whatAReleaseTookOver } from './migrations/0013-what-a-release-took-over.ts';
import { gradedCoupons } from './migrations/0014-graded-coupons.ts';
import { onlyTheNewestRelease } from './migrations/0016-only-the-newest-release.ts';
import { auditChain } from './migrations/0017-audit-chain.ts';
import { asItHappened } from './migrations/0018-as-it-happened.ts';
import { expiredRivets } from './migrations/0019-expired-rivets.ts';
import { looksThatAddUp } from './migrations/0020-looks-that-add-up.ts';
import { notesByTheRow } from './migrations/0022-notes-by-the-row.ts';
import { logsSetRight } from './migrations/0023-logs-set-right.ts';
import { begunOnABench } from './migrations/0024-begun-on-a-bench.ts';
import { rivetsSayWhoSent } from './migrations/0025-rivets-say-who-sent.ts';
import { iceboxTimes } from './migrations/0026-icebox-times.ts';
import { oldWork } from './migrations/0027-old-work.ts';
import { statementsWithAPlan } from './migrations/0028-statements-with-a-plan.ts';
import { countedByKind } from './migrations/0029-counted-by-kind.ts';
import { holeMarksInSql } from './migrations/0030-hole-marks.ts';
import { closedJobs } from './migrations/0031-closed-jobs.ts';
import { statedDriving } from './migrations/0032-stated-driving.ts';
import { whoSent } from './migrations/0021-who-sent.ts';
import { signIn } from './migrations/0015-sign-in.ts';

const MIGRATIONS = [
  firstTables,
  kindsOfJoint,
  stock,
  makeReady,
  cages,
  oneEventStream,
  whatASettingRestsOn,
  looksByInstant,
  driving,
  settingsOfTools,
  reworkAndSigning,
  rivetsOnRecord,
  whatAReleaseTookOver,
  gradedCoupons,
  signIn,
  onlyTheNewestRelease,
  auditChain,
  asItHappened,
  expiredRivets,
  looksThatAddUp,
  whoSent,
  notesByTheRow,
  logsSetRight,
  begunOnABench,
  rivetsSayWhoSent,
  iceboxTimes,
  oldWork,
  statementsWithAPlan,
  countedByKind,
  holeMarksInSql,
  closedJobs,
  statedDriving
];

/** Two that start at once bring it there one after the other; any number does that is always the same. */
const MIGRATING = 7_283_914;

/**
 * Refuses a database that a newer program has been at: what that made of it, this one does not know.
 *
 * @throws with the first migration that is not known here
 */
export async function refuseNewer(database: Database): Promise<void> {
  const [there] = await rowsOf(
    database,
    `select 1 where to_regclass('public.migrations') is not null`
  );
  if (!there) return;
  const known = new Set<string>(MIGRATIONS.map(({ name }) => name));
  const ran = await rowsOf<{ name: string }>(database, 'select name from migrations order by name');
  const newer = ran.find(({ name }) => !known.has(name));
  if (newer)
    throw new Error(
      `this database was brought to ${newer.name} by a newer program; this one knows it up to ${MIGRATIONS.at(-1)?.name ?? ''}. Nothing was changed: use the newer program`
    );
}

/** Migrations that a database has not seen, by their names. */
export async function notYetMigrated(database: Database): Promise<string[]> {
  await refuseNewer(database);
  const ran = await rowsOf<{ name: string }>(database, 'select name from migrations');
  const names = new Set(ran.map(({ name }) => name));
  return MIGRATIONS.map(({ name }) => name).filter((name) => !names.has(name));
}

/**
 * Brings the database to the newest shape, all of it or nothing; migrations only run forward.
 *
 * @returns the names of the migrations that ran
 * @throws where a newer program has been at it
 */
export const migrate = (database: Database): Promise<string[]> =>
  inTransaction(database, async () => {
    await rowsOf(database, `select pg_advisory_xact_lock(${MIGRATING})`, []);
    await refuseNewer(database);
    const { sequelize } = database;
    const umzug = new Umzug({
      migrations: MIGRATIONS,
      context: sequelize.getQueryInterface(),
      storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
      logger: undefined
    });
    const ran = (await umzug.up()).map((migration) => migration.name);
    await writeCountedKinds(database);
    return ran;
  });
