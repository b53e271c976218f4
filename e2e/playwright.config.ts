import { join } from 'node:path';
import { defineConfig } from '@playwright/test';

const root = join(import.meta.dirname, '..');
const port = Number(process.env.E2E_PORT ?? 4187);

export default defineConfig({
  testDir: import.meta.dirname,
  outputDir: join(root, 'test-results', 'interface'),
  workers: 1,
  timeout: 40_000,
  expect: { timeout: 8_000 },
  forbidOnly: process.env.CI !== undefined,
  reporter: [['list'], ['json', { outputFile: join(root, 'test-results', 'interface.json') }]],
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
    launchOptions: {
      executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--use-angle=swiftshader',
        '--enable-unsafe-swiftshader',
        '--ignore-gpu-blocklist',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
      ],
    },
  },
});
