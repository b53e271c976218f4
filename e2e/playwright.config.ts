import { join } from 'node:path';
import { defineConfig } from '@playwright/test';
import { TEST_ZONE } from '../testing/clock.mjs';
import { IS_SAMPLED } from './sampled.ts';

const root = join(import.meta.dirname, '..');
const port = Number(process.env.E2E_PORT ?? 4187);

/**
 * What the browser leaves out. The first two are pages of its own that it makes for its address bar with each new window, at more than
 * a second of work each; the others are those Playwright leaves out, whose list this one stands in for.
 */
const LEFT_OUT = [
  'WebUIOmniboxPopup',
  'WebUIOmniboxAimPopup',
  'AvoidUnnecessaryBeforeUnloadCheckSync',
  'DestroyProfileOnBrowserClose',
  'HttpsUpgrades',
  'HttpsFirstBalancedModeAutoEnable',
  'LensOverlay',
  'MediaRouter',
  'PaintHolding',
  'ThirdPartyStoragePartitioning',
  'AvoidCorsURLLoaderRestartOnRedirect',
  'OptimizationHints',
  'NetworkTimeServiceQuerying',
  'AimEnabled',
  'PreconnectToSearch',
];

const browser = (program: string, ...graphics: string[]) => ({
  launchOptions: {
    executablePath: program,
    args: [
      '--no-sandbox',
      `--disable-features=${LEFT_OUT.join(',')}`,
      ...graphics,
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--no-first-run',
    ],
  },
});
const SHELL = process.env.CHROMIUM_SHELL_PATH ?? '/usr/bin/chromium-headless-shell';
const FULL = process.env.CHROMIUM_PATH ?? '/usr/bin/chromium';

/** What `npm test` asks of the interface. */
const PASS = '@pass';
/** What the browser without a window does otherwise than the one people have: how wide letters are, printing. */
const WHOLE_BROWSER = '@full';
/** Tests of the room itself, by the start of their titles. */
const ROOM = 'the room: ';
/** Titles and marks that have all of these. */
const having = (...words: string[]) => new RegExp(words.map((word) => `(?=.*${word})`).join(''));
const sampled = IS_SAMPLED ? [PASS] : [];

export default defineConfig({
  testDir: import.meta.dirname,
  outputDir: join(root, 'test-results', 'interface'),
  workers: 2,
  // For what hangs: a machine that is slow is not wrong.
  timeout: 90_000,
  expect: { timeout: 20_000 },
  forbidOnly: process.env.CI !== undefined,
  reporter: [
    [join(root, 'testing/report/playwright.mjs'), { outputFile: join(root, 'test-results', 'interface.json') }],
  ],
  webServer: {
    command: 'node server/dist/main.mjs',
    cwd: root,
    env: { PORT: String(port) },
    url: `http://localhost:${port}/api/health`,
    reuseExistingServer: false,
  },
  use: {
    baseURL: `http://localhost:${port}`,
    viewport: { width: 1280, height: 800 },
    acceptDownloads: true,
    timezoneId: TEST_ZONE,
    // Each test would keep the whole app in its browser; the tests of that allow it for themselves.
    serviceWorkers: 'block',
  },
  projects: [
    {
      name: 'drawing',
      grep: having(...sampled),
      grepInvert: [having(ROOM), having(WHOLE_BROWSER)],
      use: browser(SHELL, '--disable-gpu'),
    },
    {
      name: 'full',
      grep: having(WHOLE_BROWSER, ...sampled),
      use: browser(FULL, '--disable-gpu'),
    },
    {
      // Only the 3D room wants a graphics card, made in software; everything else is drawn in half the time without one.
      name: 'room',
      grep: having(ROOM, ...sampled),
      use: browser(SHELL, '--use-angle=swiftshader', '--enable-unsafe-swiftshader', '--ignore-gpu-blocklist'),
    },
  ],
});
