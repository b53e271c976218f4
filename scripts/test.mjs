// npm test: installs what tests need, then types, lint, unit tests, build, interface tests. Stops at the first that fails.
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { installChromium } from './chromium.mjs';
import { build, checkNode, install, mustRun, root, say } from './prepare.mjs';
import { together } from './together.mjs';
import { TYPES } from './typecheck.mjs';

const began = Date.now();
checkNode();
install();
installChromium();

say('Types, lint, format and structure');
const wrong = await together([
  ...TYPES,
  { script: ['node_modules/eslint/bin/eslint.js', '.', '--max-warnings', '0'], words: 'Lint' },
  {
    script: ['node_modules/prettier/bin/prettier.cjs', '--check', '--log-level', 'warn', '.'],
    words: 'The format check',
  },
  { script: ['scripts/structure.mjs'], words: 'The structure check' },
]);
if (wrong.length > 0) {
  for (const words of wrong) console.error(`\n${words} did not succeed; the lines above say why.`);
  process.exit(1);
}
say('Unit tests');
const results = join(root, 'test-results');
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });
const unitFile = join(results, 'unit.json');
mustRun(
  process.execPath,
  [
    '--experimental-vm-modules',
    '--no-warnings',
    'node_modules/jest/bin/jest.js',
    '--maxWorkers=100%',
    '--json',
    `--outputFile=${unitFile}`,
  ],
  'A unit test',
);
const unit = JSON.parse(readFileSync(unitFile, 'utf8'));
build();
say('Interface tests');
mustRun(
  process.execPath,
  ['node_modules/@playwright/test/cli.js', 'test', '-c', 'e2e/playwright.config.ts'],
  'An interface test',
);
const { stats } = JSON.parse(readFileSync(join(results, 'interface.json'), 'utf8'));

const passed = unit.numPassedTests + stats.expected;
const failed = unit.numFailedTests + stats.unexpected;
console.log(`\nEverything holds, in ${Math.round((Date.now() - began) / 1000)} seconds.`);
console.log(`tests: ${passed} passed, ${failed} failed`);
