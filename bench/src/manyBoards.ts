// npm run bench:many: a shed of many boards, each with ten versions and twenty rides, opened in Chromium on the built app. How long
// the first view takes, a question, an order, the tree, and how each grows with the shed.
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { demoRecords } from '@june-tide/core/demo';
import type { Board } from '@june-tide/core/document';
import { stored, type StoredRecord } from '@june-tide/core/record';

const PORT = 4194;
const COUNTS = process.env.BENCH_MANY?.split(',').map(Number) ?? [500, 1000, 2000];
const VERSIONS = 10;
const RIDES = 20;

/** Boards of a shed, as they lie in the store: the demo's board with a past, every one another width, with all it remembers. */
function manyRows(count: number): StoredRecord[] {
  const penny = demoRecords('2026-11-25').find(({ id }) => id === 'skarn-penny-2')!;
  return Array.from({ length: count }, (_, i) => {
    const wider = (board: Board): Board => ({
      ...board,
      outline: { ...board.outline, width_mm: board.outline.width_mm + (i % 80) / 10 },
    });
    const id = `many-${i}`;
    const versions = Array.from({ length: VERSIONS }, (_, k) => {
      const like = penny.versions![Math.min(k, penny.versions!.length - 1)];
      const from = k === 0 ? {} : { from: `${id}-v${k}` };
      return { ...like, board: wider(like.board), id: `${id}-v${k + 1}`, no: k + 1, ...from };
    });
    const rides = Array.from({ length: RIDES }, (_, k) => ({
      ...penny.rides[k % penny.rides.length],
      version: `${id}-v${(k % VERSIONS) + 1}`,
    }));
    const at = new Date(Date.UTC(2016, 0, 1) + i * 36e5 * 40).toISOString();
    return stored({
      ...penny,
      id,
      number: 1000 + i,
      riderId: ['ana', 'kit', 'maren', 'petra'][i % 4],
      board: wider(penny.board),
      createdAt: at,
      updatedAt: at,
      from: `${id}-v${VERSIONS}`,
      versions,
      rides,
      ...(i % 3 > 0 ? { parents: [{ kind: 'next', id: `many-${i - 1}`, name: `Penny Step ${999 + i}` }] } : {}),
    });
  });
}

/** Fills the browser's own store. */
async function fill(page: Page, count: number): Promise<void> {
  await page.goto(`http://localhost:${PORT}/`);
  await page.getByRole('listitem').first().waitFor();
  await page.waitForTimeout(1500);
  const rows = manyRows(count);
  for (let from = 0; from < rows.length; from += 250) {
    await page.evaluate(
      (part) =>
        new Promise<void>((done, fail) => {
          const opened = indexedDB.open('june-tide');
          opened.onsuccess = () => {
            const all = opened.result.transaction('boards', 'readwrite');
            for (const row of part) all.objectStore('boards').put(row);
            all.onerror = () => fail(new Error('store'));
            all.oncomplete = () => {
              opened.result.close();
              done();
            };
          };
        }),
      rows.slice(from, from + 250),
    );
  }
}

/** Milliseconds of the page's clock until something it does is seen. */
async function until(act: () => Promise<unknown>, seen: () => Promise<unknown>): Promise<number> {
  const from = performance.now();
  await act();
  await seen();
  return performance.now() - from;
}

interface Asked {
  /** What is clicked or typed into. */
  at: string;
  /** Typed; clicked where there is none. */
  words?: string;
  /** What is on the screen once it is answered, and its text. */
  seen: string;
  text?: string;
}

/** Milliseconds of the page's clock from a click or a word to the frame that has the answer: the driver's own time is not in it. */
const answered = (page: Page, asked: Asked): Promise<number> =>
  page.evaluate(async ({ at, words, seen, text }) => {
    const place = document.querySelector<HTMLInputElement>(at)!;
    const from = performance.now();
    if (words === undefined) place.dispatchEvent(new MouseEvent('click', { bubbles: true, cancelable: true }));
    else {
      Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!.call(place, words);
      place.dispatchEvent(new Event('input', { bubbles: true }));
    }
    const there = () =>
      [...document.querySelectorAll(seen)].some((e) => text === undefined || e.textContent.includes(text));
    for (let frame = 0; !there(); frame++) {
      if (frame > 600) throw new Error(`${seen} never came`);
      await new Promise((done) => requestAnimationFrame(done));
    }
    await new Promise((done) => requestAnimationFrame(() => setTimeout(done, 0)));
    return performance.now() - from;
  }, asked);

/** The longest time the page's own thread was held, ms; 0 where it never was for 50 ms. */
async function longestTask(page: Page, act: () => Promise<unknown>): Promise<number> {
  await page.evaluate(() => {
    const found: number[] = [];
    Object.assign(window, { found });
    new PerformanceObserver((list) => found.push(...list.getEntries().map(({ duration }) => duration))).observe({
      type: 'longtask',
    });
  });
  await act();
  await page.waitForTimeout(500);
  return page.evaluate(() => Math.max(0, ...(window as unknown as { found: number[] }).found));
}

async function measured(count: number): Promise<Record<string, number>> {
  const dir = mkdtempSync(join(tmpdir(), 'june-many-'));
  const context = await chromium.launchPersistentContext(dir, {
    executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
    viewport: { width: 1280, height: 800 },
  });
  // Names that the compiler of this script keeps are not known to the page.
  await context.addInitScript({ content: 'globalThis.__name = (named) => named;' });
  const page = await context.newPage();
  await fill(page, count);
  const heading = () =>
    page.getByText(new RegExp(`^${count + 10} boards at one true scale`)).waitFor({ timeout: 120_000 });
  const out: Record<string, number> = {};
  const open = () => until(() => page.goto(`http://localhost:${PORT}/`), heading);
  out['first view, nothing known of it'] = await open();
  // What is found of each board is noted at leisure.
  const noted = () =>
    page.evaluate(
      () =>
        new Promise<number>((done) => {
          const opened = indexedDB.open('june-tide');
          opened.onsuccess = () => {
            const counted = opened.result.transaction('checked').objectStore('checked').count();
            counted.onsuccess = () => {
              opened.result.close();
              done(counted.result);
            };
          };
        }),
    );
  const from = performance.now();
  while ((await noted()) < count) await page.waitForTimeout(500);
  out['then noted at leisure'] = performance.now() - from;
  out['first view'] = await open();
  await page.waitForTimeout(6000);
  const ask = (words: string, text: string) =>
    answered(page, { at: 'input[aria-label^="Ask the shed"]', words, seen: '[data-testid="question"]', text });
  out['a question'] = await ask('back-footed, steep, came back well', 'steep');
  out['two words'] = await ask('lively harbour', 'harbour');
  out['litres asked'] = await ask('over 29.8 litres', '29.8');
  await page.getByLabel(/^Ask the shed/).fill('');
  await heading();
  await page.waitForTimeout(1000);
  const orders = page.getByText('Litres', { exact: true }).first();
  await orders.evaluate((e) => e.setAttribute('data-bench', 'litres'));
  await page.locator('.rack-wall').evaluate((wall) => {
    const seen = new MutationObserver(() => wall.setAttribute('data-bench', 'changed'));
    seen.observe(wall, { childList: true, subtree: true });
  });
  out['order by litres'] = await answered(page, { at: '[data-bench="litres"]', seen: '[data-bench="changed"]' });
  out['longest task in a scroll of the wall'] = await longestTask(page, async () => {
    await page.mouse.move(640, 400);
    for (let k = 0; k < 40; k++) await page.mouse.wheel(k % 2 === 0 ? 900 : 0, k % 2 === 0 ? 0 : 600);
  });
  out['the tree'] = await answered(page, {
    at: 'a[href="/family"]',
    seen: '[aria-label="The family tree, drawn"]',
  });
  await page.goBack();
  await page.locator('.stood').first().waitFor();
  await page.waitForTimeout(2000);
  out['a board opened'] = await answered(page, {
    at: '[aria-label^="Open "]',
    seen: '[role="slider"][aria-label="Hook on the tape"]',
  });
  await page.waitForTimeout(1000);
  const ring = page.locator('[data-mark="outline.1"]');
  await ring.hover({ force: true });
  const box = (await ring.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  out['ten moves of a drag'] = await until(
    async () => {
      for (let k = 1; k <= 60; k++) await page.mouse.move(x, y - (k % 20) / 2);
    },
    () => page.mouse.up(),
  );
  out['ten moves of a drag'] /= 6;
  await context.close();
  rmSync(dir, { recursive: true, force: true });
  return out;
}

const server = spawn(process.execPath, ['server/dist/main.mjs'], {
  env: { ...process.env, PORT: String(PORT) },
  stdio: 'ignore',
});
try {
  await new Promise((done) => setTimeout(done, 1500));
  const all: [number, Record<string, number>][] = [];
  for (const count of COUNTS) all.push([count, await measured(count)]);
  for (const what of Object.keys(all[0][1])) {
    const figures = all.map(([count, out]) => `${count}: ${out[what].toFixed(0)} ms`).join(', ');
    const [[few, first], [many, last]] = [all[0], all.at(-1)!];
    const grows =
      all.length > 1
        ? `; ${(last[what] / first[what]).toFixed(1)} times for ${(many / few).toFixed(1)} times the boards`
        : '';
    console.log(`${what}: ${figures}${grows}`);
  }
} finally {
  server.kill();
}
