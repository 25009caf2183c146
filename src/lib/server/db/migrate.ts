import { SequelizeStorage, Umzug } from 'umzug';
import type { Database } from './connect.ts';
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

/**
 * Brings the database to the newest shape; migrations only run forward.
 *
 * @returns the names of the migrations that ran
 */
export async function migrate({ sequelize }: Database): Promise<string[]> {
  const umzug = new Umzug({
    migrations: [
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
      gradedCoupons
    ],
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined
  });
  return (await umzug.up()).map((migration) => migration.name);
}
