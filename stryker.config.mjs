/** The standard tool for changing single lines and seeing which tests notice. */
export default {
  testRunner: 'vitest',
  vitest: { configFile: 'vitest.mutate.config.ts' },
  plugins: ['@stryker-mutator/vitest-runner'],
  coverageAnalysis: 'perTest',
  // what a test file makes ready before its tests is run anew with every changed line
  ignoreStatic: false,
  // words for people are no arithmetic: a text that reads otherwise breaks no rule
  mutator: { excludedMutations: ['StringLiteral'] },
  reporters: ['clear-text', 'json', 'progress-append-only'],
  clearTextReporter: { allowColor: false, reportTests: false, allowEmojis: false },
  jsonReporter: { fileName: '.data/mutation.json' },
  // the application's own configuration stays out: the core needs none of it
  ignorePatterns: [
    '**',
    '!src/**',
    '!tests/**',
    '!scripts/**',
    '!docs/**',
    '!package.json',
    '!vitest.mutate.config.ts'
  ],
  tempDirName: '.data/mutate',
  concurrency: 2,
  // a change that never ends is noticed too; a slow machine is no such change
  timeoutMS: 8_000,
  allowEmpty: false
};
