import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

/** Files of core that still write lengths into sentences themselves: this list only gets shorter. */
const STILL_IN_SENTENCES = [
  'src/core/carry/joint-strength.ts',
  'src/core/carry/needed.ts',
  'src/core/carry/rivets-required.ts',
  'src/core/check/head-report.ts',
  'src/core/devices/gauge-lines.ts',
  'src/core/kinds/line/lay.ts',
  'src/core/kinds/panel/lay.ts',
  'src/core/kinds/patch/kind.ts',
  'src/core/kinds/patch/lay.ts',
  'src/core/kinds/round/lay.ts',
  'src/core/kinds/shared/along.ts',
  'src/core/kinds/shared/rows-kind.ts',
  'src/core/kinds/shared/two-sided.ts',
  'src/core/layout/clear-panel-hole.ts',
  'src/core/layout/constrained-row.ts',
  'src/core/layout/corner-ways.ts',
  'src/core/layout/fill-line.ts',
  'src/core/layout/patch-layout.ts',
  'src/core/layout/pick-up.ts',
  'src/core/layout/round-rings.ts',
  'src/core/layout/row-layout.ts',
  'src/core/plan/compare-rules.ts',
  'src/core/plan/mass.ts',
  'src/core/plan/substitutions.ts',
  'src/core/plan/ways-out.ts',
  'src/core/ready/cage/doubts.ts',
  'src/core/ready/cage/guide.ts',
  'src/core/ready/cage/nest-setting.ts',
  'src/core/ready/cage/setup-checks.ts',
  'src/core/ready/cage/setup.ts',
  'src/core/ready/countersink-next.ts',
  'src/core/ready/flush-steps.ts',
  'src/core/ready/step-list.ts',
  'src/core/rework/oversize.ts',
  'src/core/schema/fields.ts',
  'src/core/stack/bill-of-rivets.ts',
  'src/core/stack/measured-protrusion.ts',
  'src/core/stack/predict-head.ts',
  'src/core/stack/rivet-length.ts',
  'src/core/units/format-length.ts',
  'src/core/units/understood.ts'
];

export default ts.config(
  {
    ignores: ['.svelte-kit/', '.build/', '.data/', 'build/', 'test-results/', 'playwright-report/']
  },
  js.configs.recommended,
  ...ts.configs.strict,
  ...svelte.configs.recommended,
  prettier,
  ...svelte.configs.prettier,
  {
    languageOptions: { globals: { ...globals.browser, ...globals.node } },
    rules: {
      eqeqeq: 'error',
      'no-console': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
      // The dates and sets in our state classes are made once and never changed.
      'svelte/prefer-svelte-reactivity': 'off',
      // Links are plain paths on one origin; there is no base path to resolve.
      'svelte/no-navigation-without-resolve': 'off'
    }
  },
  {
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: {
      parserOptions: { extraFileExtensions: ['.svelte'], parser: ts.parser, svelteConfig }
    }
  },
  {
    // Typed rules where a forgotten await could lose a record.
    files: ['src/lib/server/**/*.ts', 'src/lib/client/**/*.ts', 'scripts/**/*.ts'],
    ignores: ['**/*.test.ts'],
    languageOptions: {
      parserOptions: {
        project: ['./tsconfig.json', './tsconfig.tools.json'],
        extraFileExtensions: ['.svelte']
      }
    },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': 'error'
    }
  },
  {
    // An object in a sentence reads as [object Object].
    files: ['src/**/*.ts'],
    ignores: ['**/*.test.ts', '**/*.svelte.ts'],
    languageOptions: { parserOptions: { project: ['./tsconfig.json'] } },
    rules: {
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }]
    }
  },
  {
    // Core gives quantities; lib/words writes them in the unit of whoever reads.
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts', ...STILL_IN_SENTENCES],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector:
            'TemplateElement[value.raw=/^ (in|mm|thou)\\b(?! (a|the|all|one|two|row|its|their|line|this|any|which)\\b)/]',
          message:
            'a length with its unit is no word of core: give the quantity, lib/words writes it'
        }
      ]
    }
  }
);
