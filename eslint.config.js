import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

const NO_UNITS =
  'a length with its unit is no word of core: give the quantity, lib/words writes it';

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
    ignores: ['**/*.test.ts', '**/*.svelte.ts', 'src/service-worker.ts'],
    languageOptions: { parserOptions: { project: ['./tsconfig.json'] } },
    rules: {
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }]
    }
  },
  {
    // Core gives codes and quantities; lib/words writes them in the unit of whoever reads.
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector:
            'TemplateElement[value.raw=/^ (in|mm|thou)\\b(?! (a|the|all|one|two|row|its|their|line|this|any|which)\\b)/]',
          message: NO_UNITS
        },
        { selector: 'TemplateElement[value.raw=/\\d (in|mm|thou)\\b/]', message: NO_UNITS },
        { selector: 'Literal[value=/\\d (in|mm|thou)\\b/]', message: NO_UNITS }
      ]
    }
  }
);
