/** Makes the two databases that tests copy, once a run: one migrated, one with the demo shop in it. */
import { letApplicationIn } from '../src/lib/server/db/application-role.ts';
import { migrate } from '../src/lib/server/db/migrate.ts';
import { seedDemoData } from './demo-data.ts';
import { inDatabase, onCluster } from './fresh-shop.ts';

const [clusterUrl, password] = [
  process.env['ZANJADOR_TEST_CLUSTER'] ?? '',
  process.env['ZANJADOR_TEST_PASSWORD'] ?? ''
];
for (const [name, withDemo] of [
  ['template_migrated', false],
  ['template_demo', true]
] as const) {
  await onCluster(clusterUrl, [
    `drop database if exists ${name} with (force)`,
    `create database ${name}`
  ]);
  await inDatabase(`${clusterUrl}/${name}`, async (database) => {
    await migrate(database);
    if (withDemo) await seedDemoData(database);
    await letApplicationIn(database, password);
  });
}
// what a run that was cut off left behind
const left = await onCluster<{ datname: string }>(clusterUrl, [
  `select datname from pg_database where datname ~ '^test_[0-9a-f]{32}$'`
]);
await onCluster(
  clusterUrl,
  left.map(({ datname }) => `drop database ${datname} with (force)`)
);
