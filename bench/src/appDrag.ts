// npm run bench:app: drags marks on the built app in Chromium and reads what each move of them took of the page's own thread,
// on a board for no one and on a board for a rider beside their last board. BENCH_APP names the built tree to drag
// (this one when not set), so two commits are compared in one sitting; BENCH_SIZE the window, 1280x800 when not set.
import { spawn } from 'node:child_process';
import { chromium, type Page } from '@playwright/test';

const PORT = 4193;
const FRAMES = 60;

const TREE = process.env.BENCH_APP ?? '.';
const [WIDTH, HEIGHT] = (process.env.BENCH_SIZE ?? '1280x800').split('x').map(Number);

async function openBay(page: Page): Promise<void> {
  await page.goto(`http://localhost:${PORT}/start`);
  await page.getByRole('radio', { name: /^Slack Water\s*shortboard/ }).click();
  await page.getByRole('button', { name: /^Start Slack Water/ }).click();
  await marksInSight(page);
}

/** A board for a rider of the demo who has ridden others of the shop. */
async function openRidersBay(page: Page): Promise<void> {
  await page.goto(`http://localhost:${PORT}/riders/maren`);
  await page.getByRole('button', { name: /^A board for/ }).click();
  await page.getByRole('radio', { name: /^Slack Water\s*shortboard/ }).click();
  await page.getByRole('button', { name: /^Start Slack Water/ }).click();
  await marksInSight(page);
}

async function marksInSight(page: Page): Promise<void> {
  await page.locator('[data-mark="outline.1"]').waitFor();
  await page.waitForTimeout(1500);
}

const at = (sorted: readonly number[], share: number) =>
  sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;

interface Gesture {
  what: string;
  step: string;
  selector: string;
  /** How far the hand goes to and fro, px. */
  reach: number;
}

/** A gesture of every step that has one. */
const GESTURES: readonly Gesture[] = [
  { what: 'a mark on the outline', step: 'outline', selector: '[data-mark="outline.1"]', reach: 14 },
  { what: 'the wide point', step: 'outline', selector: '[data-mark="outline.wide"]', reach: 14 },
  { what: 'the nose lift', step: 'rocker', selector: '[data-mark="rocker.nose"]', reach: 14 },
  { what: 'the thickest', step: 'foil', selector: '[data-mark="foil.thickest"]', reach: 10 },
  { what: 'the apex on the section', step: 'rails', selector: '.whole-section [data-pull="apex"]', reach: 8 },
  { what: 'the depth on the section', step: 'bottom', selector: '.whole-section [data-pull="depth"]', reach: 8 },
];

async function dragged(page: Page, board: string, { what, step, selector, reach }: Gesture): Promise<void> {
  const [, , id] = new URL(page.url()).pathname.split('/');
  if (!page.url().endsWith(`/${step}`)) {
    const from = performance.now();
    await page.evaluate((path) => {
      history.pushState({}, '', path);
      dispatchEvent(new PopStateEvent('popstate', { state: {} }));
    }, `/bay/${id}/${step}`);
    await page.locator(selector).first().waitFor({ timeout: 10_000 });
    console.log(`to ${step}: ${(performance.now() - from).toFixed(0)} ms until its marks are there`);
    await page.waitForTimeout(1500);
  }
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
  // Time of the page's own thread: what other threads and programs take from the machine is not its time.
  await session.send('Performance.enable', { timeDomain: 'threadTicks' });
  const spent = async () => {
    const { metrics } = await session.send('Performance.getMetrics');
    const of = (name: string) => 1000 * (metrics.find((m) => m.name === name)?.value ?? NaN);
    return { script: of('ScriptDuration'), all: of('TaskDuration') };
  };
  const script: number[] = [];
  const all: number[] = [];
  for (let i = 0; i < FRAMES; i++) {
    const before = await spent();
    await page.mouse.move(x, y - reach * Math.sin(i / 12));
    await page.waitForTimeout(50);
    const after = await spent();
    script.push(after.script - before.script);
    all.push(after.all - before.all);
  }
  await page.mouse.up();
  for (const frames of [script, all]) frames.sort((p, q) => p - q);
  const long = await page.evaluate(() => (window as unknown as { longTasks: number[] }).longTasks);
  const said = (frames: number[]) => `${at(frames, 0.5).toFixed(1)} and ${at(frames, 0.95).toFixed(1)} ms`;
  console.log(
    `${what} of ${board}: median and 95th percentile a move, script ${said(script)} (aim 8), all of the page's thread ${said(all)} (aim 16); long tasks ${long.length} in ${FRAMES}`,
  );
  await session.detach();
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
  const page = await browser.newPage({ viewport: { width: WIDTH, height: HEIGHT } });
  const from = performance.now();
  await page.goto(`http://localhost:${PORT}/`);
  await page.getByText('boards at one true scale').waitFor();
  console.log(`cold load to the rack in sight: ${((performance.now() - from) / 1000).toFixed(2)} s (aim: under 1.5 s)`);
  await openBay(page);
  for (const gesture of GESTURES.slice(0, 2)) await dragged(page, 'a board for no one', gesture);
  await openRidersBay(page);
  for (const gesture of GESTURES) await dragged(page, 'a board for a rider beside their last', gesture);
  await browser.close();
} finally {
  server.kill();
}
