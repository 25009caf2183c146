import pg from 'pg';
import { newJoint } from '../../src/core/kinds/new-joint.ts';
import { newSheet } from '../../src/core/joint/sheets.ts';
import { openDatabase, type Database } from '../../src/lib/server/db/connect.ts';
import { migrate } from '../../src/lib/server/db/migrate.ts';
import { beginSession, SESSION_COOKIE } from '../../src/lib/server/people/sessions.ts';
import { addJoint } from '../../src/lib/server/services/joints.ts';
import { listJobs } from '../../src/lib/server/services/jobs.ts';
import { seedDemoData } from '../demo-data.ts';
import { must } from '../must.ts';
import { runApp } from '../running-app.ts';

const PORT = 4297;
const NAME = 'bench';

/** The built application with the demo data in a database of its own. */
export interface Served {
  url: string;
  database: Database;
  /** what a page of this application sends along */
  headers: Record<string, string>;
  person: { id: string; name: string };
  /** a second process on the same database */
  another: () => Promise<{ url: string; stop: () => Promise<void> }>;
  stop: () => Promise<void>;
}

async function freshDatabase(cluster: string): Promise<string> {
  const client = new pg.Client({ connectionString: `${cluster}/postgres` });
  await client.connect();
  await client.query(`drop database if exists ${NAME} with (force)`);
  await client.query(`create database ${NAME}`);
  await client.end();
  return `${cluster}/${NAME}`;
}

/** Serves it until stopped. */
export async function serveDemo(cluster: string): Promise<Served> {
  const databaseUrl = await freshDatabase(cluster);
  // a million rows take longer than any page waits
  const database = openDatabase(databaseUrl, true);
  await migrate(database);
  await seedDemoData(database);
  await database.sequelize.query(
    'create table bare_rows (id uuid primary key, payload jsonb not null)'
  );
  const started = (port: number) => runApp(databaseUrl, port, { ZANJADOR_BENCH: '1' });
  const { url, stop } = await started(PORT);
  const person = await database.models.Person.findOne({
    where: { role: 'lead' },
    rejectOnEmpty: true
  });
  const session = await beginSession(database, person.id, 'demo');
  return {
    url,
    database,
    person: { id: person.id, name: person.name },
    headers: { origin: url, cookie: `${SESSION_COOKIE}=${session}` },
    another: () => started(PORT + 1),
    async stop() {
      await stop();
      await database.sequelize.close();
    }
  };
}

/** Joints more, of the plainest kind, in the first job there is. */
export async function addJoints({ database, person }: Served, count: number): Promise<void> {
  const [job] = await listJobs(database);
  if (!job) throw new Error('the demo data has no job');
  for (let index = 0; index < count; index++)
    must(
      await addJoint(
        database,
        job.id,
        `Lap ${index + 1}`,
        {
          ...newJoint('lap'),
          widthIn: String(5 + (index % 9)),
          sheets: [newSheet('a', '0.036'), newSheet('b', '0.045')]
        },
        person.id
      )
    );
}

/** A lap of some six hundred holes. @returns its id */
export async function addLongLap({ database, person }: Served): Promise<string> {
  const [job] = await listJobs(database);
  if (!job) throw new Error('the demo data has no job');
  return must(
    await addJoint(
      database,
      job.id,
      'A long lap',
      {
        ...newJoint('lap'),
        dash: 3,
        rows: 3,
        prefer: 'near',
        nearPitchIn: '0.36',
        widthIn: '72',
        sheets: [newSheet('a', '0.020', 'sheet-1'), newSheet('b', '0.020', 'sheet-2')]
      },
      person.id
    )
  );
}
