// npm test [-- --whole | --changed [commit]]: installs what tests need, then types, lint, structure, unit tests, build and the real
// interface. The interface's long walks are gone through in `--whole` and where CI is set; `--changed` asks only what a change
// reaches (since the last commit, or the one that is named). docs/testing.md says what runs where.
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { fileLine, slowest } from '../testing/report/lines.mjs';
import { changedSince, interfaceFor, unitFilesFor } from './changed.mjs';
import { installChromium } from './chromium.mjs';
import { buildSteps, checkNode, install, noteBuilt, root, run, say as stage } from './prepare.mjs';
import { together } from './together.mjs';
import { TYPES } from './typecheck.mjs';

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: { whole: { type: 'boolean' }, changed: { type: 'boolean' } },
});
const isWhole = values.whole ?? (process.env.CI === 'true' && !values.changed);
const began = Date.now();
const secondsSince = (then) => Math.round((Date.now() - then) / 1000);
const say = (words) => stage(`${words}; ${secondsSince(began)} s so far`);
checkNode();
install();
installChromium();

const changed = values.changed ? changedSince(positionals[0]) : undefined;
if (changed) console.log(changed.length === 0 ? 'Nothing has changed.' : `Changed:\n  ${changed.join('\n  ')}`);

const results = join(root, 'test-results');
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });
const read = (name) => JSON.parse(readFileSync(join(results, name), 'utf8'));
const ran = { passed: 0, failed: 0, files: [] };

/** The end of every run: the slowest files, and how many tests passed and failed. */
function end(words) {
  if (ran.files.length > 10) {
    console.log('\nThe slowest ten:');
    for (const file of slowest(ran.files)) console.log(`  ${fileLine(file)}`);
  }
  const isGood = words === undefined && ran.failed === 0;
  console.log(`\n${isGood ? 'Everything holds' : (words ?? 'Not everything holds')}, ${secondsSince(began)} seconds.`);
  console.log(`tests: ${ran.passed} passed, ${ran.failed} failed`);
  process.exit(isGood ? 0 : 1);
}

say(`Types, lint, format, structure, and the build (about a minute)`);
const steps = buildSteps();
const wrong = await together([
  ...steps,
  ...TYPES,
  {
    script: ['node_modules/prettier/bin/prettier.cjs', '--check', '--log-level', 'warn', '.'],
    words: 'The format check',
  },
  { script: ['node_modules/eslint/bin/eslint.js', '.', '--max-warnings', '0'], words: 'Lint' },
  { script: ['scripts/structure.mjs'], words: 'The structure check' },
]);
if (wrong.length > 0) end(`${wrong.join(', ')}: the lines above say why`);
if (steps.length > 0) noteBuilt();

say('Unit tests (about three minutes)');
const unitFiles = changed && unitFilesFor(changed);
if (unitFiles?.length !== 0) {
  const report = join(results, 'unit.json');
  const jest = [
    '--max-semi-space-size=64',
    '--experimental-vm-modules',
    '--no-warnings',
    'node_modules/jest/bin/jest.js',
  ];
  const isGood = run(process.execPath, [
    ...jest,
    '--maxWorkers=100%',
    '--reporters=<rootDir>/testing/report/jest.mjs',
    '--json',
    `--outputFile=${report}`,
    ...(unitFiles ? ['--runTestsByPath', ...unitFiles] : []),
  ]);
  const unit = read('unit.json');
  ran.passed += unit.numPassedTests;
  ran.failed += unit.numFailedTests + unit.numRuntimeErrorTestSuites;
  ran.files.push(
    ...unit.testResults.map(({ name, startTime, endTime, assertionResults }) => ({
      path: name,
      passed: assertionResults.filter(({ status }) => status === 'passed').length,
      failed: assertionResults.filter(({ status }) => status === 'failed').length,
      seconds: (endTime - startTime) / 1000,
    })),
  );
  if (!isGood) end();
} else console.log('The change reaches none.');

const specs = changed ? interfaceFor(changed) : [];
if (specs) {
  say(isWhole ? 'Interface tests, all of them (about six minutes)' : 'Interface tests (about two minutes)');
  const playwright = ['node_modules/@playwright/test/cli.js', 'test', '-c', 'e2e/playwright.config.ts', ...specs];
  const isGood = run(process.execPath, playwright, {
    env: { ...process.env, TEST_SAMPLE: isWhole || specs.length > 0 ? '' : '1' },
  });
  const { stats, files } = read('interface.json');
  ran.passed += stats.passed;
  ran.failed += stats.failed;
  ran.files.push(...files);
  if (!isGood) end(stats.failed === 0 ? 'The interface tests did not run to their end' : undefined);
} else console.log('\nThe change reaches nothing that the interface shows.');
end();
