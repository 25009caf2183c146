import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [tailwindcss(), sveltekit()],
  worker: { format: 'es' },
  test: {
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
          include: ['tests/database/**/*.test.ts'],
          fileParallelism: false
        }
      },
      {
        extends: true,
        test: {
          name: 'command',
          environment: 'node',
          include: ['tests/command/**/*.test.ts']
        }
      }
    ]
  }
});
