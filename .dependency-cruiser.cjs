/**
 * Arrows run one way: routes → lib → core, and inside core and lib from a later room to an earlier one.
 * Rooms of one line do not know each other.
 */
const CORE = [
  ['units'],
  ['refusal-said\\.ts'],
  ['notation\\.ts'],
  ['answer\\.ts'],
  ['schema'],
  ['catalog', 'devices'],
  ['rules', 'events/stream\\.ts'],
  ['joint'],
  ['layout', 'stack', 'drive'],
  ['carry', 'rework'],
  ['kinds'],
  ['plan'],
  ['edit', 'issue'],
  ['reworking'],
  ['check', 'ready', 'stock', 'driving', 'documents'],
  ['tool-setting'],
  ['releases'],
  ['signing', 'records', 'grading'],
  ['events/streams\\.ts', 'exchange'],
  ['calc\\.ts']
];
const LIB = [
  ['[^/]+\\.ts$'],
  ['words'],
  ['exchange'],
  ['api'],
  ['client'],
  ['ui/kit'],
  ['drawing'],
  ['ui/joint', 'ui/rules'],
  [
    'ui/cages',
    'ui/stock',
    'ui/cold',
    'ui/tools',
    'ui/tool-setting',
    'ui/check',
    'ui/records',
    'ui/grading'
  ],
  ['stations'],
  ['joint-page']
];

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
      to: { couldNotResolve: true, pathNot: '^(\\$app|virtual:|\\./\\$types|\\$env)' }
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
