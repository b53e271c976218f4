// npm run bench:edits: ten thousand edits of one board by the keys, in Chromium on the built app: what is in memory after each two thousand,
// what nobody holds any more swept out first.
import { spawn } from 'node:child_process';
import { chromium } from '@playwright/test';

const PORT = 4196;
const EDITS = Number(process.env.BENCH_EDITS ?? 10_000);
const LOOKS = 5;

const server = spawn(process.execPath, ['server/dist/main.mjs'], {
  env: { ...process.env, PORT: String(PORT) },
  stdio: 'ignore',
});
try {
  await new Promise((done) => setTimeout(done, 1500));
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`http://localhost:${PORT}/bay/skarn-slack-118/outline`);
  const client = await page.context().newCDPSession(page);
  const inMemory_MB = async () => {
    await client.send('HeapProfiler.collectGarbage');
    const { usedSize } = await client.send('Runtime.getHeapUsage');
    return usedSize / 1e6;
  };
  const field = page.getByLabel('Wide point width', { exact: true });
  await field.focus();
  const at: string[] = [`0: ${(await inMemory_MB()).toFixed(1)} MB`];
  for (let edit = 1; edit <= EDITS; edit++) {
    // Now a run of one way, now of the other, and every twentieth another number: a step of its own in the history.
    await page.keyboard.press(edit % 40 < 20 ? 'ArrowUp' : 'ArrowDown');
    if (edit % 20 === 0) {
      await page.getByLabel('Tail 12 width', { exact: true }).press(edit % 40 === 0 ? 'ArrowUp' : 'ArrowDown');
      await field.focus();
    }
    if (edit % (EDITS / LOOKS) === 0) at.push(`${edit}: ${(await inMemory_MB()).toFixed(1)} MB`);
  }
  console.log(`in memory after edits: ${at.join(', ')}`);
  await browser.close();
} finally {
  server.kill();
}
