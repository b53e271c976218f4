// The lint rules. The layer map lives here: a folder imports to its left only,
//   core <- app/workers <- app/store <- app/parts, app/screens      server, cli, e2e and bench import core alone.
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** Forbids imports, each with the reason a newcomer is shown. */
const noImports = (...patterns) => ({
  'no-restricted-imports': ['error', { patterns: patterns.map(([group, message]) => ({ group, message })) }],
});
const interfaceLibraries = [
  [
    'react',
    'react-*',
    'antd',
    '@ant-design/*',
    'zustand',
    'dexie',
    'three',
    'three/*',
    'chart.js',
    'express',
    'node:*',
  ],
  'core computes; it knows no interface, store, server or machine.',
];

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', 'test-results/**', 'coverage/**', '.cache/**'] },
  ...tseslint.configs.recommended,
  {
    files: ['**/*.ts', '**/*.tsx'],
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-non-null-assertion': 'off',
      eqeqeq: 'error',
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts', 'core/src/testing/**'],
    rules: {
      ...noImports(interfaceLibraries, [['@june-tide/*'], 'inside core, import the file itself']),
      'no-console': 'error',
      'no-restricted-globals': ['error', 'window', 'document', 'performance', 'fetch', 'setTimeout'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'core gives the same answer every time' },
        { object: 'Date', property: 'now', message: 'core knows no clock' },
      ],
    },
  },
  {
    files: ['app/src/workers/**/*.ts'],
    rules: noImports([
      ['../store/*', '../parts/*', '../screens/*', 'react', 'antd', 'zustand', 'dexie'],
      'workers import core only',
    ]),
  },
  {
    files: ['app/src/store/**/*.ts'],
    rules: noImports([
      ['../parts/*', '../screens/*', 'react', 'antd', '../App*'],
      'the store imports core and workers only',
    ]),
  },
  {
    files: ['app/src/parts/**/*.{ts,tsx}'],
    rules: noImports([['../screens/*'], 'parts are used by screens, not the other way round']),
  },
  {
    files: ['server/src/**/*.ts', 'cli/src/**/*.ts', 'bench/src/**/*.ts', 'e2e/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: noImports([
      ['**/app/src/*', '@june-tide/app*', 'react', 'antd'],
      'this stands beside the app and imports core only',
    ]),
  },
  {
    files: ['app/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'off' },
  },
);
