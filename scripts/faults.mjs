// npm run faults -- [--rounds 200] [--only words]: named faults, done to the built app in a real Chromium with a real profile.
// What was there before must be there after, and the user must be told in words. The table goes into docs/reliability.md.
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { chromium } from '@playwright/test';
import { build, checkNode, install, root } from './prepare.mjs';
import { CHROMIUM, installChromium } from './chromium.mjs';

const { values } = parseArgs({ options: { rounds: { type: 'string', default: '200' }, only: { type: 'string' } } });
checkNode();
install();
installChromium();
build();

const pause = (ms) => new Promise((done) => setTimeout(done, ms));
const freePort = () =>
  new Promise((done) => {
    const server = createServer().listen(0, () => {
      const { port } = server.address();
      server.close(() => done(port));
    });
  });

async function served() {
  const port = await freePort();
  const child = spawn(process.execPath, ['server/dist/main.mjs'], {
    cwd: root,
    env: { ...process.env, PORT: String(port) },
    stdio: 'ignore',
  });
  const at = `http://localhost:${port}`;
  for (let k = 0; k < 100; k++) {
    if (
      await fetch(`${at}/api/health`).then(
        (answer) => answer.ok,
        () => false,
      )
    )
      break;
    await pause(50);
  }
  return { at, stop: () => child.kill('SIGKILL') };
}

/** A browser of its own with a profile that outlives it, which can be killed as a machine kills it. */
async function browser(profile) {
  const context = await chromium.launchPersistentContext(profile, {
    executablePath: CHROMIUM,
    viewport: { width: 1280, height: 800 },
    args: ['--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking'],
  });
  context.setDefaultTimeout(15_000);
  return {
    context,
    page: () => context.newPage(),
    kill: async () => {
      // Every process of it at once, as when the power goes.
      spawnSync('pkill', ['-KILL', '-f', `user-data-dir=${profile}`]);
      await context.close().catch(() => undefined);
    },
  };
}

const BOARD = 'skarn-slack-118';
/** A board file of the first version. */
const OLD_BOARD = 'version-1/broad-acre.json';
const WIDTH = (page) => page.getByLabel('Wide point width', { exact: true });
const THICK = (page) => page.getByLabel('Thickest thick', { exact: true });
const saved = (page) =>
  page
    .getByRole('status')
    .filter({ hasText: /^Saved$/ })
    .waitFor();
const set = async (field, text) => {
  await field.fill(text);
  await field.press('Enter');
};
const inches = (mm) => mm / 25.4;

/** Every row of every table, as it lies. */
const rows = (page) =>
  page.evaluate(async () => {
    const asked = indexedDB.open('june-tide');
    await new Promise((done) => (asked.onsuccess = done));
    const db = asked.result;
    const out = {};
    for (const name of ['boards', 'riders', 'blanks', 'settings']) {
      const all = db.transaction(name).objectStore(name).getAll();
      await new Promise((done) => (all.onsuccess = done));
      out[name] = all.result;
    }
    db.close();
    return out;
  });
const put = (page, table, row) =>
  page.evaluate(
    async ([name, value]) => {
      const asked = indexedDB.open('june-tide');
      await new Promise((done) => (asked.onsuccess = done));
      const move = asked.result.transaction(name, 'readwrite');
      move.objectStore(name).put(value);
      await new Promise((done) => (move.oncomplete = done));
      asked.result.close();
    },
    [table, row],
  );
const boardIn = async (page) => (await rows(page)).boards.find(({ id }) => id === BOARD).board;
const must = (held, words) => {
  if (!held) throw new Error(words);
};

/**
 * Faults of a write to the boards, done when `globalThis.fault` names one: before the put, at the commit, after it, and a put that says it
 * was done and was not.
 */
const withFaults = (page) =>
  page.addInitScript(() => {
    const { put } = IDBObjectStore.prototype;
    IDBObjectStore.prototype.put = function (...given) {
      const { fault } = globalThis;
      if (this.name !== 'boards' || fault === undefined) return put.apply(this, given);
      if (fault === 'at the put') throw new DOMException('Encountered full disk', 'QuotaExceededError');
      if (fault === 'not kept') return this.get(given[0].id);
      const request = put.apply(this, given);
      if (fault === 'at the commit') request.addEventListener('success', () => this.transaction.abort());
      return request;
    };
    const complete = Object.getOwnPropertyDescriptor(IDBTransaction.prototype, 'oncomplete');
    Object.defineProperty(IDBTransaction.prototype, 'oncomplete', {
      ...complete,
      set(act) {
        complete.set.call(this, (event) => {
          const isHit = globalThis.fault === 'after the commit' && this.mode === 'readwrite';
          if (isHit && this.objectStoreNames.contains('boards')) this.onabort(new Event('abort'));
          else act(event);
        });
      },
    });
  });

const FAULTS = [
  ...['at the put', 'at the commit', 'after the commit', 'not kept'].map((fault) => [
    `a write fails ${fault === 'not kept' ? 'and says it did not' : fault}`,
    async ({ at, fresh }) => {
      const { page } = await fresh();
      await withFaults(page);
      await page.goto(`${at}/bay/${BOARD}/outline`);
      await saved(page);
      const texts = ['19 5/8', '19 1/4', '20 3/4'];
      for (const text of texts) {
        await page.evaluate((named) => (globalThis.fault = named), fault);
        await set(WIDTH(page), text);
        await page.getByRole('alert').filter({ hasText: 'Not saved' }).waitFor();
        await page.goto(`${at}/bay/${BOARD}/foil`);
        await set(THICK(page), text === '20 3/4' ? '2 3/4' : '2 1/2');
        await saved(page);
        await page.goto(`${at}/bay/${BOARD}/outline`);
        await WIDTH(page).waitFor();
      }
      const { outline, foil } = await boardIn(page);
      must(Math.abs(inches(outline.width_mm) - 20.75) < 1e-6, `the width is ${inches(outline.width_mm)}`);
      must(Math.abs(inches(foil.thickness_mm) - 2.75) < 1e-6, `the thickness is ${inches(foil.thickness_mm)}`);
      return 'said at once; the change goes with the page, and is on disk with the next: 3 of 3';
    },
  ]),
  [
    'full store and work left over',
    async ({ at, fresh }) => {
      const { page } = await fresh();
      await withFaults(page);
      await page.goto(`${at}/bay/${BOARD}/outline`);
      await saved(page);
      await page.evaluate(() => (globalThis.fault = 'at the put'));
      await set(WIDTH(page), '19 5/8');
      await page.getByRole('alert').filter({ hasText: 'Not saved' }).waitFor();
      // It stays full: the next page finds it so.
      await page.addInitScript(() => (globalThis.fault = 'at the put'));
      await page.goto(`${at}/bay/${BOARD}/outline`);
      await WIDTH(page).waitFor();
      must((await WIDTH(page).inputValue()) === '19 5/8', `it shows ${await WIDTH(page).inputValue()}`);
      await page.getByRole('alert').filter({ hasText: 'Not saved' }).waitFor();
      await page.getByRole('link', { name: 'Back it up' }).click();
      const download = page.waitForEvent('download');
      await page.getByRole('button', { name: 'Back up now' }).click();
      await download;
      await page.evaluate(() => (globalThis.fault = undefined));
      await saved(page);
      must(Math.abs(inches((await boardIn(page)).outline.width_mm) - 19.625) < 1e-6, 'it was not written later');
      return 'opens with the change in it, says it is not saved, is backed up, and is written when there is room';
    },
  ],
  [
    'killed in mid-drag',
    async ({ at, fresh }) => {
      let farthest = 0;
      for (let k = 0; k < 5; k++) {
        const { page, again } = await fresh();
        await page.goto(`${at}/bay/${BOARD}/outline`);
        await saved(page);
        await page.bringToFront();
        await pause(1500);
        const box = await page.locator('[data-mark="outline.wide"]').boundingBox();
        const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
        const before = (await boardIn(page)).outline.width_mm;
        const first = await page.getByTestId('headline').innerText();
        await page.mouse.move(x, y);
        await page.mouse.down();
        for (let i = 1; i <= 12; i++) {
          // Out and in by turns: a board is only so wide.
          await page.mouse.move(x, y + (k % 2 === 0 ? -1 : 1) * i);
          await pause(25 + 10 * k);
        }
        const shown = await page.getByTestId('headline').innerText();
        must(shown !== first, 'the mark was not taken hold of: nothing was tried');
        const next = await again();
        await next.goto(`${at}/bay/${BOARD}/outline`);
        const after = (await boardIn(next)).outline.width_mm;
        const seen = await next.getByTestId('headline').innerText();
        must(after !== before, 'nothing of the drag was on disk');
        farthest = Math.max(farthest, shown === seen ? 0 : 1);
      }
      return `5 of 5 drags were on disk; ${farthest === 0 ? 'what was shown last was there' : 'the last move was missing at least once'}`;
    },
  ],
  [
    'killed in mid-write',
    async ({ at, fresh }) => {
      let late = 0;
      for (let k = 0; k < 8; k++) {
        const { page, again } = await fresh();
        await page.goto(`${at}/bay/${BOARD}/outline`);
        const before = await rows(page);
        await set(WIDTH(page), '19 7/8');
        await pause(6 * k);
        const next = await again();
        await next.goto(`${at}/`);
        const after = await rows(next);
        for (const table of Object.keys(before)) {
          must(before[table].length === after[table].length, `${table}: rows are missing`);
        }
        const width = inches(after.boards.find(({ id }) => id === BOARD).board.outline.width_mm);
        must(Math.abs(width - 19.875) < 1e-6 || Math.abs(width - 19.5) < 1e-6, `the width is ${width}`);
        if (Math.abs(width - 19.5) < 1e-6) late += 1;
        must((await next.getByText('cannot be read').count()) === 0, 'something cannot be read');
      }
      return `8 kills: every row there and readable; the change before or after, never half (${late} times before)`;
    },
  ],
  [
    'reload in mid-save',
    async ({ at, fresh }) => {
      const { page } = await fresh();
      await page.goto(`${at}/bay/${BOARD}/outline`);
      for (let k = 0; k < 10; k++) {
        const text = k % 2 === 0 ? '19 5/8' : '19 1/4';
        await set(WIDTH(page), text);
        await page.reload();
        await WIDTH(page).waitFor();
        const width = inches((await boardIn(page)).outline.width_mm);
        must(Math.abs(width - (k % 2 === 0 ? 19.625 : 19.25)) < 1e-6, `round ${k}: the width is ${width}`);
      }
      return '10 of 10 changes were there';
    },
  ],
  [
    'quota full',
    async ({ at, fresh }) => {
      const { page } = await fresh();
      // Chromium lets a store of this size grow past a quota set from outside: its refusal is put in its place.
      await page.addInitScript(() => {
        const own = IDBObjectStore.prototype.put;
        IDBObjectStore.prototype.put = function (...given) {
          if (globalThis.isFull) throw new DOMException('Encountered full disk', 'QuotaExceededError');
          return own.apply(this, given);
        };
      });
      await page.goto(`${at}/bay/${BOARD}/outline`);
      await WIDTH(page).waitFor();
      await page.evaluate(() => (globalThis.isFull = true));
      await set(WIDTH(page), '19 5/8');
      const alert = page.getByRole('alert').filter({ hasText: 'Not saved' });
      await alert.waitFor();
      const words = await alert.innerText();
      await page.evaluate(() => (globalThis.isFull = false));
      await saved(page);
      must(Math.abs(inches((await boardIn(page)).outline.width_mm) - 19.625) < 1e-6, 'it was not written later');
      return `“${words.split('.')[0]}”; written when there was room again`;
    },
  ],
  [
    'store refused',
    async ({ at, fresh }) => {
      const { page } = await fresh();
      await page.addInitScript(() => {
        IDBFactory.prototype.open = () => {
          throw new DOMException('The user denied permission to access the database.', 'UnknownError');
        };
      });
      await page.goto(`${at}/`);
      await page.getByText('The shed could not be opened').waitFor();
      return 'the shed could not be opened, and why; Try again';
    },
  ],
  [
    'store silent',
    async ({ at, fresh }) => {
      const { page } = await fresh();
      await page.addInitScript(() => {
        IDBFactory.prototype.open = () => new EventTarget();
      });
      await page.goto(`${at}/`);
      await page.getByText('it does not answer', { exact: false }).waitFor({ timeout: 25_000 });
      return 'said after 12 seconds: it does not answer';
    },
  ],
  [
    'two tabs, one board',
    async ({ at, fresh, other }) => {
      const { page } = await fresh();
      const second = await other();
      await page.goto(`${at}/bay/${BOARD}/outline`);
      await second.goto(`${at}/bay/${BOARD}/foil`);
      await Promise.all([WIDTH(page).waitFor(), THICK(second).waitFor()]);
      const rounds = Number(values.rounds);
      let lost = 0;
      let seed = 1;
      const random = () => (seed = (seed * 48271) % 2147483647) / 2147483647;
      for (let k = 0; k < rounds; k++) {
        const [wide, thick] = [19 + (k % 16) / 16, 2 + ((k * 3) % 16) / 16];
        const apart_ms = Math.floor(500 * random() ** 2);
        await WIDTH(page).fill(wide.toFixed(4));
        await THICK(second).fill(thick.toFixed(4));
        await Promise.all([WIDTH(page).press('Enter'), pause(apart_ms).then(() => THICK(second).press('Enter'))]);
        await Promise.all([saved(page), saved(second)]);
        await pause(60);
        const { outline, foil } = await boardIn(page);
        const shown = await Promise.all([page, second].map((each) => each.getByTestId('headline').innerText()));
        const held =
          Math.abs(inches(outline.width_mm) - wide) < 1e-3 && Math.abs(inches(foil.thickness_mm) - thick) < 1e-3;
        if (!held || shown[0] !== shown[1]) lost += 1;
      }
      must(lost === 0, `${lost} of ${rounds} rounds lost a change or showed two boards`);
      return `${rounds} rounds, 0 to 500 ms apart: 0 lost, the same board in both`;
    },
  ],
  [
    'older app on newer data',
    async ({ at, fresh }) => {
      const { page } = await fresh();
      await page.goto(`${at}/`);
      await saved(page);
      const row = (await rows(page)).boards.find(({ id }) => id === BOARD);
      const newer = { ...row, id: 'newer', tide: 7, board: { ...row.board, version: 3, chine: { deep: true } } };
      await put(page, 'boards', newer);
      await page.goto(`${at}/bay/newer/outline`);
      await set(WIDTH(page), '20');
      await page.getByText('a newer June Tide wrote this board', { exact: false }).first().waitFor();
      const lies = (await rows(page)).boards.find(({ id }) => id === 'newer');
      must(JSON.stringify(lies) === JSON.stringify(newer), 'its row was changed');
      return 'shown, not changed, said so; the row lies as it was';
    },
  ],
  [
    'newer app on older data',
    async ({ at, fresh }) => {
      const { page } = await fresh();
      await page.goto(`${at}/`);
      await saved(page);
      const fixture = JSON.parse(readFileSync(join(root, 'core/src/files/fixtures', OLD_BOARD), 'utf8'));
      const row = (await rows(page)).boards.find(({ id }) => id === BOARD);
      await put(page, 'boards', { ...row, id: 'older', number: 77, board: fixture });
      await page.goto(`${at}/bay/older/outline`);
      await WIDTH(page).waitFor();
      await set(WIDTH(page), '20');
      await saved(page);
      return 'a board of version 1 opens, and is written as today’s';
    },
  ],
  [
    'corrupt rows of each table',
    async ({ at, fresh }) => {
      const { page } = await fresh();
      await page.goto(`${at}/`);
      await saved(page);
      const before = await rows(page);
      for (const table of ['boards', 'riders', 'blanks'])
        await put(page, table, { id: 'odd', name: 7, board: { name: 'Odd' } });
      await put(page, 'settings', { ...before.settings[0], workshop: 'spoilt', units: 9 });
      await page.goto(`${at}/keeping`);
      const listed = page.getByRole('list', { name: 'Things that cannot be read' }).getByRole('listitem');
      await listed.first().waitFor();
      must((await listed.count()) === 3, `${await listed.count()} are listed`);
      const after = await rows(page);
      must(after.boards.length === before.boards.length + 1, 'a board is missing');
      return 'three named with the reason, all else opens; spoilt settings are as usual and not written over';
    },
  ],
  [
    'corrupt file',
    async ({ at, fresh }) => {
      const { page } = await fresh();
      await page.goto(`${at}/`);
      await page.getByLabel('Board file').setInputFiles({
        name: 'gull.json',
        mimeType: 'application/json',
        buffer: Buffer.from('{"format":"june-tide-board","version":2,"name":'),
      });
      await page.getByText('Nothing on the rack was changed', { exact: false }).first().waitFor();
      return 'refused in words; nothing on the rack was changed';
    },
  ],
  [
    'worker crashed',
    async ({ at, fresh }) => {
      const { page } = await fresh();
      await page.addInitScript(() => {
        const Own = globalThis.Worker;
        let first = true;
        globalThis.Worker = class extends Own {
          constructor(...given) {
            super(...given);
            if (!first) return;
            first = false;
            setTimeout(() => {
              this.terminate();
              this.dispatchEvent(new ErrorEvent('error', { message: 'crashed' }));
            }, 0);
          }
        };
      });
      await page.goto(`${at}/bay/${BOARD}/make?part=blank`);
      await page.getByText('blanks hold it', { exact: false }).waitFor({ timeout: 40_000 });
      return 'started again and asked once more: the blanks that hold it are there';
    },
  ],
  [
    'WebGL lost',
    async ({ at, fresh }) => {
      const { page } = await fresh();
      await page.addInitScript(() => {
        const own = HTMLCanvasElement.prototype.getContext;
        HTMLCanvasElement.prototype.getContext = function (kind, ...rest) {
          return /webgl/i.test(kind) ? null : own.call(this, kind, ...rest);
        };
      });
      await page.goto(`${at}/bay/${BOARD}/outline`);
      await page.getByRole('button', { name: 'Into the room' }).click();
      await page.getByText('This browser opens no 3D view', { exact: false }).waitFor({ timeout: 30_000 });
      return 'said so; the deck is shaded and the side drawn instead';
    },
  ],
  [
    'clock set back',
    async ({ at, fresh }) => {
      const { page } = await fresh();
      await page.goto(`${at}/bay/${BOARD}/outline`);
      await set(WIDTH(page), '19 5/8');
      await saved(page);
      await page.addInitScript(() => {
        const back = 400 * 86_400_000;
        const now = Date.now.bind(Date);
        Date.now = () => now() - back;
      });
      await page.reload();
      await set(WIDTH(page), '19 7/8');
      await saved(page);
      await page.reload();
      await WIDTH(page).waitFor();
      must(Math.abs(inches((await boardIn(page)).outline.width_mm) - 19.875) < 1e-6, 'the later change is lost');
      return 'set back by 400 days: the later change stands';
    },
  ],
  [
    'server gone',
    async ({ at, fresh, stopServer, startServer }) => {
      const { page } = await fresh();
      await page.goto(`${at}/keeping`);
      await page.getByText('The app itself is kept here too', { exact: false }).waitFor({ timeout: 40_000 });
      await stopServer();
      await page.goto(`${at}/bay/${BOARD}/outline`);
      await set(WIDTH(page), '19 5/8');
      await saved(page);
      await page.reload();
      await WIDTH(page).waitFor();
      must(Math.abs(inches((await boardIn(page)).outline.width_mm) - 19.625) < 1e-6, 'the change is lost');
      await page.goto(`${at}/bring/scan`);
      await page.getByRole('heading', { name: 'Bring in a scan' }).waitFor();
      await startServer();
      return 'opens, reloads, is changed, a screen not seen before too';
    },
  ],
];

const table = [];
let wrong = 0;
for (const [name, fault] of FAULTS.filter(([each]) => values.only === undefined || each.includes(values.only))) {
  let server = await served();
  const profile = mkdtempSync(join(tmpdir(), 'june-tide-profile-'));
  let own = await browser(profile);
  const tools = {
    at: server.at,
    context: () => own.context,
    other: () => own.page(),
    fresh: async () => {
      const page = await own.page();
      await page.goto(`${server.at}/`);
      await saved(page);
      return {
        page,
        // Killed, and opened again with the same profile.
        again: async () => {
          await own.kill();
          own = await browser(profile);
          return own.page();
        },
      };
    },
    stopServer: async () => {
      server.stop();
      await pause(200);
    },
    startServer: async () => {
      server = await served();
    },
  };
  let said;
  try {
    said = await fault(tools);
  } catch (error) {
    wrong += 1;
    said = `**NOT HELD**: ${String(error instanceof Error ? error.message : error)
      .split('\n')[0]
      .slice(0, 160)}`;
  }
  console.log(`${name}: ${said}`);
  table.push(`| ${name} | ${said.replaceAll('|', '\\|')} |`);
  await own.kill();
  server.stop();
  rmSync(profile, { recursive: true, force: true });
}
if (values.only === undefined) {
  const file = join(root, 'docs', 'reliability.md');
  const text = readFileSync(file, 'utf8');
  const [begin, end] = ['<!-- faults -->', '<!-- end of faults -->'];
  const made = ['| fault | what comes of it |', '| --- | --- |', ...table].join('\n');
  const [from, to] = [text.indexOf(begin), text.indexOf(end)];
  if (from >= 0 && to > from)
    writeFileSync(file, `${text.slice(0, from + begin.length)}\n\n${made}\n\n${text.slice(to)}`);
}
process.exit(wrong === 0 ? 0 : 1);
