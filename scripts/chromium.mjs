// The browsers of the interface tests, both Debian's: Chromium without a window, which Playwright is made for, and the one people have,
// for what only that does. Installed if they are not there.
import { existsSync } from 'node:fs';
import { run, say } from './prepare.mjs';

export const CHROMIUM = process.env.CHROMIUM_PATH ?? '/usr/bin/chromium';
const SHELL = process.env.CHROMIUM_SHELL_PATH ?? '/usr/bin/chromium-headless-shell';

export function installChromium() {
  const there = () => existsSync(CHROMIUM) && existsSync(SHELL);
  if (there()) return;
  say('Installing Chromium (once, about a minute)');
  const apt = (args) => run('apt-get', args, { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } });
  const packages = ['chromium', 'chromium-headless-shell'];
  if (apt(['update', '-q']) && apt(['install', '-y', '-q', '--no-install-recommends', ...packages]) && there()) return;
  console.error(
    `\nThe tests drive a real browser, and there is none at ${CHROMIUM} or ${SHELL}.` +
      '\nInstall both (on Debian as root: apt-get install chromium chromium-headless-shell) or say where they are:' +
      '\nCHROMIUM_PATH=/path CHROMIUM_SHELL_PATH=/path npm test',
  );
  process.exit(1);
}
