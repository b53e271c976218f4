// npm run test:days: what depends on the calendar, at days and in zones a calendar gets wrong.
// Unit tests of the app, the schedule, records and the demo; the interface tests of the line, riders, bin and make.
import { HARD_MOMENTS } from '../testing/clock.mjs';
import { build, checkNode, install, run, say } from './prepare.mjs';
import { installChromium } from './chromium.mjs';

checkNode();
install();
installChromium();
build();
const [only] = process.argv.slice(2);
const failed = [];
for (const { now, zone, why } of HARD_MOMENTS.filter((moment) => only === undefined || moment.why.includes(only))) {
  say(`${why}: ${now} in ${zone}`);
  const options = { env: { ...process.env, TEST_NOW: now, TEST_ZONE: zone, TZ: zone } };
  const jest = ['--experimental-vm-modules', '--no-warnings', 'node_modules/jest/bin/jest.js', '--silent'];
  const unit = run(process.execPath, [...jest, 'app/src', 'schedule', 'record', 'demo', 'cost', 'cli'], options);
  const seen = ['line', 'riders', 'kept', 'make'].map((name) => `e2e/${name}.spec.ts`);
  const shown = run(
    process.execPath,
    ['node_modules/@playwright/test/cli.js', 'test', '-c', 'e2e/playwright.config.ts', '--reporter=line', ...seen],
    options,
  );
  if (!unit || !shown) failed.push(why);
}
console.log(failed.length === 0 ? '\nEvery day holds.' : `\nNot on: ${failed.join('; ')}`);
process.exit(failed.length === 0 ? 0 : 1);
