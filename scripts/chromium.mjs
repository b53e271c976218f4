// The browser for the interface tests: Debian's Chromium, installed if it is not there.
import { existsSync } from 'node:fs';
import { run, say } from './prepare.mjs';

export const CHROMIUM = process.env.CHROMIUM_PATH ?? '/usr/bin/chromium';

export function installChromium() {
  if (existsSync(CHROMIUM)) return;
  say('Installing Chromium (once)');
  const apt = (args) => run('apt-get', args, { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } });
  if (
    apt(['update', '-q']) &&
    apt(['install', '-y', '-q', '--no-install-recommends', 'chromium']) &&
    existsSync(CHROMIUM)
  )
    return;
  console.error(
    `\nThe tests drive a real browser and there is none at ${CHROMIUM}.` +
      '\nInstall Chromium (on Debian as root: apt-get install chromium) or say where one is: CHROMIUM_PATH=/path npm test',
  );
  process.exit(1);
}
