import js from '@eslint/js';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

/** Parts of a thing by which a list may be keyed: they are unique by how they are made. */
const keys = new Set(
  'id key line code row joint muscle part number week reps field exerciseId candidateId index revision setupId version clientId planId slot session'.split(
    ' ',
  ),
);

/** Things of which a list holds each once, for they are words of an enumeration. */
const enumerated = new Set(
  'level goal sex joint muscle soreness measure hazard value family venue side mirror share role set row moment weekday of technique form rir half s load key id'.split(
    ' ',
  ),
);

/** A part of the sources knows what all share, and no other part. */
const apart = (of, others) => ({
  files: [`src/${of}/**`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          { group: others.map((o) => `**/${o}/**`), message: `${of} does not know ${others.join(' or ')}.` },
        ],
      },
    ],
  },
});

/**
 * Two equal texts stop a screen that keys its list by them, and texts come from outside. A list is keyed by an id, or by the place in it.
 */
const noTextKeys = {
  meta: {
    type: 'problem',
    schema: [],
    messages: { text: 'Key the list by an id or by its index: two equal texts stop the screen.' },
  },
  create: (context) => ({
    SvelteEachBlock({ key, index, context: item }) {
      if (!key || item?.type !== 'Identifier') return;
      const fine =
        key.type === 'Identifier'
          ? key.name === index?.name || enumerated.has(key.name)
          : key.type === 'MemberExpression'
            ? keys.has(key.property.name)
            : key.type === 'CallExpression' ||
              key.type === 'BinaryExpression' ||
              key.type === 'TemplateLiteral';
      if (!fine) context.report({ node: key, messageId: 'text' });
    },
  }),
};

export default ts.config(
  { ignores: ['dist', 'src/shared/api/schema.d.ts'] },
  js.configs.recommended,
  ...ts.configs.strict,
  ...svelte.configs.recommended,
  apart('shared', ['desk', 'client-app']),
  apart('client-app', ['desk']),
  apart('desk', ['client-app']),
  { languageOptions: { globals: { ...globals.browser, ...globals.node } } },
  {
    files: ['**/*.svelte'],
    plugins: { own: { rules: { 'no-text-keys': noTextKeys } } },
    rules: { 'own/no-text-keys': 'error' },
  },
  {
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: { parserOptions: { parser: ts.parser, svelteConfig } },
    // Links are built by the router's typed p(), which the rule does not know.
    rules: {
      'svelte/no-navigation-without-resolve': 'off',
      // bind: needs an lvalue, which an indexed array only is with the assertion.
      '@typescript-eslint/no-non-null-assertion': 'off',
    },
  },
  {
    // What needs types to be seen: a promise that nobody waits for loses its error.
    files: ['src/**/*.ts', 'src/**/*.svelte'],
    languageOptions: { parserOptions: { projectService: true, extraFileExtensions: ['.svelte'] } },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': 'error',
      '@typescript-eslint/await-thenable': 'error',
    },
  },
);
