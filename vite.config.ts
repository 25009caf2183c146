import { sveltekit } from '@sveltejs/kit/vite';
import { defineConfig } from 'vitest/config';
import { chunkGroups } from './client-chunks.ts';
import ours from './package.json' with { type: 'json' };

/**
 * Pages that a browser keeps are of one build: those of another ask for code that is gone. This file is read more than once
 * a build, so its name stands in the environment.
 */
const build = (process.env['ZANJADOR_BUILD'] ??= Date.now().toString(36));

export default defineConfig({
  plugins: [sveltekit()],
  environments: {
    client: {
      build: {
        rolldownOptions: {
          output: {
            codeSplitting: { groups: chunkGroups() }
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
