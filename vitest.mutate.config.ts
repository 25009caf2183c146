import { defineConfig } from 'vitest/config';

/** The core's own tests and nothing of the application: what a changed line of the core is held against. */
export default defineConfig({
  test: {
    environment: 'node',
    // code that counts what was tried is slower than the tests' own limits expect
    testTimeout: 60_000,
    include: (process.env['MUTATE_TESTS'] ?? 'src/core/**/*.test.ts').split(','),
    // every changed line starts all of its tests anew: what they import is read once a start
    isolate: false,
    // whole tables of random rows beside a solver take longer than all the rest: what they find, worked cases find too
    exclude: ['**/*.property.test.ts', '**/node_modules/**']
  }
});
