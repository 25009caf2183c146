/** Arrows run one way: routes → lib → core. */
module.exports = {
  forbidden: [
    {
      name: 'core-imports-only-core-and-zod',
      severity: 'error',
      from: { path: '^src/core', pathNot: '\\.test\\.ts$' },
      to: { pathNot: ['^src/core', '^node_modules/zod'] }
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
      to: { couldNotResolve: true, pathNot: '^(\\$app|\\./\\$types|\\$env)' }
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
