import js from '@eslint/js';
import reactHooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import tseslint from 'typescript-eslint';

/** Imports go downward only: what each folder may not import. */
const forbidden = {
  core: ['@oilcan/*', '!@oilcan/core', 'react*', 'fastify*', 'knex', 'node:*', 'expo*', 'zustand'],
  demo: ['@oilcan/server', '@oilcan/app', 'react*', 'fastify*', 'knex', 'expo*'],
  paper: ['@oilcan/server', '@oilcan/app', '@oilcan/demo', 'react*', 'fastify*', 'knex', 'expo*', 'zustand'],
  server: ['@oilcan/app', '@oilcan/demo', 'react*', 'expo*', 'zustand'],
  app: ['@oilcan/server', '@oilcan/demo', 'node:*', 'fastify*', 'knex'],
};

const importDirections = Object.entries(forbidden).map(([folder, group]) => ({
  files: [`${folder}/**/*.{ts,tsx}`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          { group, message: `${folder}/ must not import this: see docs/ARCHITECTURE.md.` },
          { group: ['@oilcan/*/src/*'], message: 'Import a package by its name.' },
        ],
      },
    ],
  },
}));

/** What reads the machine's clock or time zone, which nobody has said to a test: a clock is given where a thing is built. */
const machineTime = [
  ['MemberExpression[object.name="Date"][property.name="now"]', 'Take the clock that you are given.'],
  ['NewExpression[callee.name="Date"][arguments.length=0]', 'Take the clock that you are given.'],
  [
    'CallExpression[callee.object.name="DateTime"][callee.property.name=/^(now|local)$/]',
    'Take the clock that you are given.',
  ],
  ['CallExpression[callee.object.name="Settings"][callee.property.name="defaultZone"]', 'Name the zone.'],
].map(([selector, message]) => ({ selector, message }));

const loadedCode = {
  selector: 'ImportExpression:not(CallExpression[callee.name=/^(lazyComponent|withSharedCode)$/] ImportExpression)',
  message: 'Load code with lazyComponent() or withSharedCode(): what lazy components share has to be there first.',
};

export default tseslint.config(
  { ignores: ['**/dist/', '**/node_modules/', '.oilcan/', 'app/.expo/', 'app/expo-env.d.ts', 'test-results/'] },
  js.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    extends: [...tseslint.configs.strict, ...tseslint.configs.stylistic],
    rules: {
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/switch-exhaustiveness-check': 'off',
      // A subject adds its errors to those of all with an interface that only extends.
      '@typescript-eslint/no-empty-object-type': ['error', { allowInterfaces: 'with-single-extends' }],
      'max-lines': ['error', { max: 400, skipBlankLines: true, skipComments: true }],
      'no-console': 'error',
      'no-duplicate-imports': 'error',
    },
  },
  {
    files: ['app/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    files: ['{core,server,app,paper,demo,simulation}/**/*.{ts,tsx}'],
    rules: { 'no-restricted-syntax': ['error', ...machineTime] },
  },
  {
    // The only places that ask the machine for the time.
    files: ['server/src/clock.ts', 'app/src/data/browser/machine-clock.ts', 'demo/src/main.ts'],
    rules: { 'no-restricted-syntax': 'off' },
  },
  {
    files: ['app/**/*.{ts,tsx}'],
    ignores: [
      'app/**/*.test.{ts,tsx}',
      'app/src/testing/**',
      'app/workers/**',
      'app/src/data/browser/machine-clock.ts',
    ],
    rules: {
      'no-restricted-syntax': ['error', ...machineTime, loadedCode],
    },
  },
  {
    // What is said of an entry is said where nobody may see money, too.
    files: ['app/src/features/**/*-views.{ts,tsx}'],
    rules: {
      'no-restricted-syntax': [
        'error',
        ...machineTime,
        loadedCode,
        {
          selector: 'ImportSpecifier[imported.name=/^format(Money|Sums)$/]',
          message: 'Say an amount with names.money().',
        },
      ],
    },
  },
  ...importDirections,
  {
    // A released migration does the same for ever: it depends on nothing that may change.
    files: ['server/src/database/migrations/*.ts'],
    ignores: ['server/src/database/migrations/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: '^(?!(knex|node:crypto|\\./[a-z0-9-]+)$)',
              message: 'A migration depends on nothing that can change.',
            },
          ],
        },
      ],
    },
  },
  // Its tests run on Node, and may call what reads back the application's work.
  { files: ['app/**/*.test.{ts,tsx}', 'app/src/**/testing/**'], rules: { 'no-restricted-imports': 'off' } },
  { files: ['**/*.{mjs,cjs,js}'], languageOptions: { globals: globals.node } },
  { files: ['app/*.js'], languageOptions: { sourceType: 'commonjs' } },
  { files: ['jest.config.js'], languageOptions: { sourceType: 'commonjs' } },
);
