import js from '@eslint/js';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

export default ts.config(
  { ignores: ['dist', 'src/lib/api/schema.d.ts'] },
  js.configs.recommended,
  ...ts.configs.strict,
  ...svelte.configs.recommended,
  { languageOptions: { globals: { ...globals.browser, ...globals.node } } },
  {
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: { parserOptions: { parser: ts.parser, extraFileExtensions: ['.svelte'], svelteConfig } },
    // Links are built by the router's typed p(), which the rule does not know.
    rules: {
      'svelte/no-navigation-without-resolve': 'off',
      // bind: needs an lvalue, which an indexed array only is with the assertion.
      '@typescript-eslint/no-non-null-assertion': 'off',
    },
  },
);
