import { defineConfig } from 'vitest/config';

/** The core's own tests and nothing of the application: what a changed line of the core is held against. */
export default defineConfig({
  test: {
    environment: 'node',
    include: ['src/core/**/*.test.ts', 'src/lib/words/**/*.test.ts'],
    // whole tables of random rows beside a solver take longer than all the rest: what they find, worked cases find too
    exclude: ['**/*.property.test.ts', '**/node_modules/**']
  }
});
