import { sveltekit } from '@sveltejs/kit/vite';
import { defineConfig } from 'vitest/config';
import ours from './package.json' with { type: 'json' };

/**
 * Pages that a browser keeps are of one build: those of another ask for code that is gone. This file is read more than once
 * a build, so its name stands in the environment.
 */
const build = (process.env['ZANJADOR_BUILD'] ??= Date.now().toString(36));

/**
 * What is always loaded together is one file: a first visit over a hangar's radio waits for each request. A station's own
 * code is in no group, so it comes with its station.
 */
const TOGETHER = [
  { name: 'base', test: /node_modules\/(svelte|clsx|@sveltejs|devalue|esm-env|zod|idb)\// },
  // what fetches a page's code would else come with whichever page was first
  { name: 'base', test: /preload-helper/ },
  {
    name: 'base',
    test: /src\/core\/(units|schema|answer|notation)|src\/lib\/(api\/(endpoint|events|joints)|words\/(arithmetic|places|refusals|understood|warnings|ways|writing)|uuid)/
  },
  {
    name: 'kit',
    test: /node_modules\/@zag-js\/(core|svelte|utils|dom-query|anatomy|types|store|i18n-utils)\/|skeleton-svelte\/dist\/(internal|components\/locale)/
  },
  // tables that sort are asked for by name
  { name: 'sorted-table', test: /node_modules\/@tanstack\/|ui\/kit\/(SortedTable|table-column)/ },
  {
    name: 'file-drop',
    test: /node_modules\/@zag-js\/(file-utils|file-upload)\/|skeleton-svelte\/dist\/components\/file-upload|ui\/kit\/FileDrop/
  },
  {
    name: 'dialog',
    test: /node_modules\/@zag-js\/(dialog|popover|toast|popper|focus-trap|dismissable|interact-outside|aria-hidden|remove-scroll)\/|skeleton-svelte\/dist\/components\/(dialog|popover|toast|portal)|ui\/kit\/(SheetDialog|HintPopover|WholeScreen|Toasts)/
  },
  {
    name: 'tabs',
    test: /node_modules\/@zag-js\/tabs\/|skeleton-svelte\/dist\/components\/tabs|ui\/kit\/Tabs/
  },
  { name: 'kit', test: /node_modules\/(@zag-js|@skeletonlabs|@lucide)\/|src\/lib\/ui\/kit/ },
  {
    name: 'chart',
    test: /node_modules\/(d3-(scale|shape|array|path|format|time|time-format|axis|selection)|internmap)\//
  },
  { name: 'd3-zoom', test: /node_modules\/d3-/ },
  {
    name: 'joint',
    test: /src\/core\/(catalog|rules\/(?!schools)|joint|layout|stack|carry|kinds|plan|issue|documents|events|check)\/|src\/lib\/(stations\/[^/]+$|drawing\/Dim)|src\/lib\/(client|ui\/joint|joint-page)\/|node_modules\/(comlink|tinykeys)\//
  },
  { name: 'drawing-plan', test: /src\/lib\/drawing\/(plan\/|zoomable)/ },
  { name: 'drawing-section', test: /src\/lib\/drawing\/section/ },
  { name: 'chart', test: /src\/lib\/drawing\/chart/ },
  { name: 'ready-told', test: /src\/core\/ready\/(progress|operations|shop-figures)/ },
  { name: 'ready', test: /src\/core\/ready\/(?!cage)/ }
];

export default defineConfig({
  plugins: [sveltekit()],
  environments: {
    client: {
      build: {
        rolldownOptions: {
          output: {
            codeSplitting: { groups: TOGETHER.map((group) => ({ ...group, minShareCount: 2 })) }
          }
        }
      }
    }
  },
  // the server is bundled once, with every package that does not ship beside it
  ssr: { noExternal: true, external: Object.keys(ours.dependencies) },
  define: { __PAGES_CACHE__: JSON.stringify(`pages-${build}`) },
  worker: { format: 'es' },
  test: {
    // how fast the machine is decides nothing about what is right
    testTimeout: 120_000,
    hookTimeout: 120_000,
    // what is tested is read once a worker, not once a file: that was more than half of the time
    isolate: false,
    maxWorkers: 2,
    projects: [
      {
        extends: true,
        test: {
          name: 'unit',
          environment: 'node',
          include: ['src/{core,lib}/**/*.test.ts', 'tests/unit/**/*.test.ts']
        }
      },
      {
        extends: true,
        test: {
          name: 'database',
          environment: 'node',
          include: ['tests/database/**/*.test.ts']
        }
      },
      {
        extends: true,
        test: {
          name: 'command',
          environment: 'node',
          include: ['tests/command/**/*.test.ts'],
          // each starts whole applications and clusters of its own
          isolate: true
        }
      }
    ]
  }
});
