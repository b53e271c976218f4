// npm run bench:app: drags marks on the built app in Chromium and reads the script time each move of them took,
// on a board for no one and on a board for a rider beside their last board. BENCH_APP names the built tree to drag
// (this one when not set), so two commits are compared in one sitting.
import { spawn } from 'node:child_process';
import { chromium, type Page } from '@playwright/test';

const PORT = 4193;
const FRAMES = 60;

const TREE = process.env.BENCH_APP ?? '.';

async function openBay(page: Page): Promise<void> {
  await page.goto(`http://localhost:${PORT}/start`);
  await page.getByRole('radio', { name: /^Slack Water/ }).click();
  await page.getByRole('button', { name: /^Start Slack Water/ }).click();
  await marksInSight(page);
}

/** A board for a rider of the demo who has ridden others of the shop. */
async function openRidersBay(page: Page): Promise<void> {
  await page.goto(`http://localhost:${PORT}/riders/maren`);
  await page.getByRole('button', { name: /^A board for/ }).click();
  await page.getByRole('radio', { name: 'Slack Water shortboard' }).click();
  await page.getByRole('button', { name: /^Start Slack Water/ }).click();
  await marksInSight(page);
}

async function marksInSight(page: Page): Promise<void> {
  await page.locator('[data-mark="outline.1"]').waitFor();
  await page.waitForTimeout(1500);
}

const at = (sorted: readonly number[], share: number) =>
  sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;

async function dragMarks(page: Page, board: string): Promise<void> {
  for (const [what, selector] of [
    ['a mark on the outline', '[data-mark="outline.1"]'],
    ['the wide point', '[data-mark="outline.wide"]'],
  ] as const) {
    const box = (await page.locator(selector).first().boundingBox())!;
    const x = box.x + box.width / 2;
    const y = box.y + box.height / 2;
    await page.evaluate(() => {
      const seen: number[] = [];
      (window as unknown as { longTasks: number[] }).longTasks = seen;
      new PerformanceObserver((list) => seen.push(...list.getEntries().map((e) => e.duration))).observe({
        entryTypes: ['longtask'],
      });
    });
    await page.mouse.move(x, y);
    await page.mouse.down();
    const session = await page.context().newCDPSession(page);
    // Time of the page's own thread: what other threads and programs take from the machine is not script time.
    await session.send('Performance.enable', { timeDomain: 'threadTicks' });
    const script = async () => {
      const { metrics } = await session.send('Performance.getMetrics');
      return 1000 * (metrics.find((m) => m.name === 'ScriptDuration')?.value ?? NaN);
    };
    const frames: number[] = [];
    for (let i = 0; i < FRAMES; i++) {
      const before = await script();
      await page.mouse.move(x, y - 14 * Math.sin(i / 12));
      await page.waitForTimeout(50);
      frames.push((await script()) - before);
    }
    await page.mouse.up();
    frames.sort((p, q) => p - q);
    const long = await page.evaluate(() => (window as unknown as { longTasks: number[] }).longTasks);
    console.log(
      `dragging ${what} of ${board}: ${frames.length} moves, script a move median ${at(frames, 0.5).toFixed(1)} ms, 95th percentile ${at(frames, 0.95).toFixed(1)} ms, most ${at(frames, 1).toFixed(1)} ms (aim: 95th under 8 ms); long tasks ${long.length}`,
    );
  }
}

const server = spawn(process.execPath, ['server/dist/main.mjs'], {
  cwd: TREE,
  env: { ...process.env, PORT: String(PORT) },
  stdio: 'ignore',
});
try {
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  await new Promise((done) => setTimeout(done, 800));
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const from = performance.now();
  await page.goto(`http://localhost:${PORT}/`);
  await page.getByText('boards at one true scale').waitFor();
  console.log(`cold load to the rack in sight: ${((performance.now() - from) / 1000).toFixed(2)} s (aim: under 2 s)`);
  await openBay(page);
  await dragMarks(page, 'a board for no one');
  await openRidersBay(page);
  await dragMarks(page, 'a board for a rider beside their last');
  await browser.close();
} finally {
  server.kill();
}
