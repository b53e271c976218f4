// The lint rules. The layer map lives here: a folder imports to its left only,
//   core <- app/workers <- app/store <- app/parts <- app/screens      server, cli, e2e and bench import core alone.
import { dirname, join, relative, sep } from 'node:path';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** Forbids imports, each with the reason a newcomer is shown. */
const noImports = (...patterns) => ({
  'no-restricted-imports': ['error', { patterns: patterns.map(([group, message]) => ({ group, message })) }],
});
/**
 * The floors of core/src, from the ground up: a file imports from its own floor and from floors to its left. README lists
 * them in these words, and core/src/floors.test.ts holds it to that.
 */
const FLOORS = [
  'units',
  'curve',
  'document',
  'outline',
  'foil',
  'rocker',
  'rails',
  'bottom',
  'section',
  'shape',
  'solid',
  'fins',
  'measure',
  'models',
  'edit',
  'rider',
  'judge',
  'make',
  'record',
  'files',
  'bring',
  'demo',
];
/** Beside one another: each takes from what is left of all of them, none from another. */
const SIDE_BY_SIDE = ['outline', 'foil', 'rocker', 'rails', 'bottom'];

const core = join(import.meta.dirname, 'core', 'src');
/** The floor of a file of core; undefined for one that lies on none (tolerances.ts). */
const floorOf = (file) => {
  const [folder, ...rest] = relative(core, file).split(sep);
  return rest.length > 0 ? folder : undefined;
};
const oneDirection = {
  meta: { type: 'problem', schema: [] },
  create(context) {
    const own = floorOf(context.filename);
    const look = (node) => {
      const path = node.source?.value;
      if (typeof path !== 'string' || !path.startsWith('.')) return;
      const floor = floorOf(join(dirname(context.filename), path));
      if (floor === own || floor === undefined) return;
      const [at, to] = [FLOORS.indexOf(own), FLOORS.indexOf(floor)];
      if (to < 0) context.report({ node, message: `${floor} is no floor of core: FLOORS in eslint.config.mjs` });
      else if (to > at) context.report({ node, message: `${own} may not import ${floor}, which lies to its right` });
      else if (SIDE_BY_SIDE.includes(own) && SIDE_BY_SIDE.includes(floor))
        context.report({ node, message: `${own} and ${floor} lie side by side: neither imports the other` });
    };
    return { ImportDeclaration: look, ExportNamedDeclaration: look, ExportAllDeclaration: look };
  },
};
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
  // Jest asks for its runtime by `require`.
  { files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts', 'core/src/testing/**'],
    plugins: { floors: { rules: { 'one-direction': oneDirection } } },
    rules: {
      'floors/one-direction': 'error',
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
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
);
