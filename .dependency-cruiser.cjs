/**
 * Arrows run one way: routes → lib → core, and inside core and lib from a later room to an earlier one.
 * Rooms of one line do not know each other.
 */
// eslint-disable-next-line @typescript-eslint/no-require-imports -- the checker reads its rules as CommonJS
const { readdirSync, existsSync } = require('node:fs');

const CORE = [
  ['units'],
  ['refusal-said\\.ts'],
  ['notation\\.ts'],
  ['answer\\.ts'],
  ['schema'],
  ['catalog', 'devices', 'people'],
  ['rules', 'events'],
  ['joint', 'trial-setting'],
  ['layout', 'stack', 'drive'],
  ['size', 'rework'],
  ['kinds'],
  ['plan'],
  ['edit', 'release'],
  ['reworking'],
  ['inspect', 'prepare', 'stock', 'driving', 'documents', 'old-work'],
  ['tool-setting'],
  ['releases'],
  ['signing', 'records', 'grading'],
  ['exchange'],
  ['calc\\.ts']
];
const LIB = [
  ['[^/]+\\.ts$'],
  ['words'],
  ['exchange'],
  ['api'],
  ['client', 'server'],
  ['ui/marks'],
  ['ui/kit'],
  ['ui/[^/]+$'],
  ['drawing'],
  ['ui/joint', 'ui/rules', 'ui/setting', 'ui/instruments'],
  [
    'ui/cages',
    'ui/stock',
    'ui/cold',
    'ui/tools',
    'ui/tool-setting',
    'ui/inspect',
    'ui/records',
    'ui/grading',
    'ui/people'
  ],
  ['stations'],
  ['joint-page']
];
/** Files beside these rooms belong to none: each is used by those that need it. */
const SERVER = [
  ['db'],
  ['files', 'record', 'audit', 'people'],
  ['devices', 'events', 'heavy'],
  ['services'],
  ['streams', 'live']
];

/** A room that is not named here has no storey, and a name of none holds nothing. */
function named(root, order) {
  const names = order.flat();
  for (const name of names) {
    const plain = name.replace(/\\/g, '');
    if (!/[[*]/.test(plain) && !existsSync(`src/${root}/${plain}`))
      throw new Error(`src/${root}/${plain} is named as a room and is not there`);
  }
  for (const { name, isDirectory } of readdirSync(`src/${root}`, { withFileTypes: true }).map(
    (entry) => ({ name: entry.name, isDirectory: entry.isDirectory() })
  )) {
    const inside = names.some((room) => room === name || room.startsWith(`${name}/`));
    if (isDirectory && !inside) throw new Error(`src/${root}/${name} is a room without a storey`);
  }
  return order;
}
named('core', CORE);
named('lib', LIB);
named('lib/server', SERVER);

const rooms = (of) => of.map((room) => (/[$]$/.test(room) ? room : `${room}(/|$)`)).join('|');
/** No room reaches up to one that stands on it, nor across to one beside it. */
const storeys = (root, order) =>
  order.flatMap((level, at) => {
    const above = order.slice(at + 1).flat();
    return level.flatMap((room) => {
      const beside = level.filter((other) => other !== room);
      const never = [...above, ...beside];
      return never.length === 0
        ? []
        : {
            name: `${root}-${room.replace(/[^a-z/-]/g, '')}-stays-on-its-storey`,
            severity: 'error',
            from: {
              path: `^src/${root}/(${rooms([room])})`,
              pathNot: '\\.test\\.ts$'
            },
            to: { path: `^src/${root}/(${rooms(never)})` }
          };
    });
  });

module.exports = {
  forbidden: [
    ...storeys('core', CORE),
    ...storeys('lib', LIB),
    ...storeys('lib/server', SERVER),
    {
      name: 'core-imports-only-core-zod-and-a-hash',
      severity: 'error',
      from: { path: '^src/core', pathNot: '\\.test\\.ts$' },
      to: { pathNot: ['^src/core', '^node_modules/(zod|ohash)'] }
    },
    {
      name: 'core-tests-stay-low',
      severity: 'error',
      from: { path: '^src/core.*\\.test\\.ts$' },
      to: { path: '^src/(lib|routes)' }
    },
    {
      name: 'lib-never-imports-routes',
      severity: 'error',
      from: { path: '^src/lib' },
      to: { path: '^src/routes' }
    },
    {
      name: 'pages-and-client-never-import-the-server',
      severity: 'error',
      from: {
        path: '^src/(routes|lib)',
        pathNot: ['^src/lib/server', '\\.server\\.ts$', '\\+server\\.ts$']
      },
      to: { path: '^src/lib/server' }
    },
    {
      name: 'server-never-imports-the-client',
      severity: 'error',
      from: { path: '^src/lib/server' },
      to: { path: '^src/lib/(client|ui|drawing)' }
    },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'nothing-missing',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true, pathNot: '^(\\$app|\\$service-worker|\\./\\$types|\\$env)' }
    }
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.arrows.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types', 'svelte'],
      extensions: ['.ts', '.js', '.svelte', '.json']
    }
  }
};
