import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import vue from 'eslint-plugin-vue';
import globals from 'globals';
import ts from 'typescript-eslint';
import vueParser from 'vue-eslint-parser';

/** The day by the machine's own clock and place: a yard has its own. */
const dayOfOnesOwn = [
  {
    selector:
      "CallExpression[callee.property.name='slice'][callee.object.callee.property.name='toISOString']",
    message:
      'That is the day in Greenwich. The yard’s is clockOf on the server, useClock in the web.',
  },
  {
    selector: "CallExpression[callee.name='format'] > NewExpression[callee.name='Date']",
    message: 'That is the day of this machine. The yard’s is useClock().today.',
  },
  {
    selector: 'CallExpression[callee.property.name=/^(toDateString|getFullYear|getDate)$/]',
    message: 'That is the day of this machine. The yard’s is useClock().today.',
  },
];

export default ts.config(
  { ignores: ['**/dist/**', '.data/**', 'e2e/results/**', 'coverage/**'] },
  js.configs.recommended,
  ...ts.configs.strict,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: {
      parser: vueParser,
      parserOptions: { parser: ts.parser, sourceType: 'module' },
      globals: globals.browser,
    },
  },
  { files: ['web/**/*.ts', 'e2e/**/*.ts'], languageOptions: { globals: globals.browser } },
  {
    files: [
      'tools/**',
      'server/**',
      'demo/**',
      'bench/**',
      'attack/**',
      'e2e/**',
      '*.js',
      '.*.cjs',
    ],
    languageOptions: { globals: globals.node },
  },
  {
    // The core is pure: what it needs of clock or chance is handed to it.
    files: ['core/src/**/*.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        'Date',
        'crypto',
        'window',
        'document',
        'process',
        'fetch',
      ],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random' }],
    },
  },
  {
    rules: {
      eqeqeq: 'error',
      complexity: ['error', 12],
      'max-lines-per-function': ['error', { max: 80, skipComments: true, skipBlankLines: true }],
      // What is named beside a rest is left out of it.
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', ignoreRestSiblings: true },
      ],
      'vue/multi-word-component-names': 'off',
    },
  },
  {
    files: ['**/test/**', 'e2e/**', 'tools/test/**'],
    rules: { 'max-lines-per-function': 'off', '@typescript-eslint/no-non-null-assertion': 'off' },
  },
  {
    // A yard is written to and read by statements of its own (`yard.query`, `yard.run`), and has its own day.
    files: ['server/src/**/*.ts'],
    ignores: ['server/src/base/database/**', 'server/src/tables/**'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector:
            "CallExpression[callee.property.name='query'][callee.object.property.name='manager']",
          message: 'Ask by yard.query or yard.run, which bear the yard.',
        },
        ...dayOfOnesOwn,
      ],
    },
  },
  {
    files: ['web/src/**/*.{ts,vue}'],
    rules: { 'no-restricted-syntax': ['error', ...dayOfOnesOwn] },
  },
  {
    // A field that is filled in one stroke hides what happens between two keys.
    files: ['e2e/**/*.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: "CallExpression[callee.property.name='fill']",
          message: 'Type it key by key (typeInto); what is only set-up goes by the API.',
        },
      ],
    },
  },
  prettier,
);
