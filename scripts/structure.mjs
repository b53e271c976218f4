// No file and no folder comes round to itself through what it imports, and nothing is exported that nobody uses.
import { mustRun } from './prepare.mjs';

mustRun(
  process.execPath,
  [
    'node_modules/dependency-cruiser/bin/dependency-cruise.mjs',
    '--config',
    '.dependency-cruiser.cjs',
    ...['core', 'app', 'cli', 'server', 'bench'].map((part) => `${part}/src`),
  ],
  'The look for cycles',
);
mustRun(
  process.execPath,
  ['node_modules/knip/bin/knip.js', '--include', 'files,exports,types,enumMembers', '--no-config-hints'],
  'The look for dead exports',
);
console.log('no cycle and no dead export');
