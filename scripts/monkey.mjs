// npm run monkey -- [--minutes 30] [--seeds 1,2,3] [--faults]: clicks, types, drags and presses keys at random over every screen of the built app.
// With --faults in two windows at once, with reloads in drags, no network and a full disk in turn: now and then all faults end, and both windows
// and a fresh one must show the same rack. Ends with 1 where the page said an error, a screen could not be drawn, or a text has a word of the machine in it.
import { spawn } from 'node:child_process';
import { createServer } from 'node:net';
import { parseArgs } from 'node:util';
import { chromium } from '@playwright/test';
import { build, checkNode, install, root } from './prepare.mjs';
import { CHROMIUM, installChromium } from './chromium.mjs';
import { seeded } from './seeded.mjs';

const { values } = parseArgs({
  options: {
    minutes: { type: 'string', default: '30' },
    seeds: { type: 'string', default: '1,2,3' },
    faults: { type: 'boolean', default: false },
  },
});
checkNode();
install();
installChromium();
build();

const STEPS = [
  'rider',
  'outline',
  'rocker',
  'foil',
  'deck',
  'rails',
  'bottom',
  'fins',
  'check',
  'make',
  'ride',
  'room',
];
const SCREENS = [
  ...['/', '/start', '/measured', '/bring/drawing', '/bring/scan', '/bring/photo', '/bring/rail', '/riders', '/family'],
  ...['/line', '/shelf', '/keeping', '/settings', '/nowhere', '/sizes/skarn-slack-118', '/riders/petra'],
  ...['skarn-slack-118', 'skarn-kettle-7', 'skarn-penny-2', 'skarn-lamp-5', 'skarn-ledge-4'].flatMap((id) =>
    STEPS.map((step) => `/bay/${id}/${step}`),
  ),
];
const TYPED = [
  '19 1/2',
  '6\'2"',
  '0',
  '-3',
  '99999',
  'abc',
  '',
  '1e9',
  '½',
  '2.5',
  '520 mm',
  '“x”',
  '=1+1',
  '7',
  '70 kg',
  '2027-02-30',
];
const KEYS = [
  ...['Enter', 'Escape', 'Tab', 'ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown', 'Home', 'End', 'Delete', 'Space'],
  ...[
    'Control+z',
    'Control+Shift+z',
    '?',
    '1',
    '4',
    '9',
    'p',
    'l',
    'f',
    'x',
    'PageDown',
    'Shift+ArrowRight',
    'Control+k',
  ],
];
/** Words no person is told. A name that is typed may hold anything: it stands in a field. */
const MACHINE = /\bNaN\b|\bundefined\b|Invalid Date|\[object Object\]|\bInfinity\b/;
const CAN_BE_CLICKED =
  'button:visible:enabled, a:visible, [role=tab]:visible, [role=checkbox]:visible, [role=radio]:visible, [role=switch]:visible, [role=combobox]:visible, [role=option]:visible, .ant-select-item-option:visible, summary:visible, [role=menuitem]:visible, input[type=checkbox]:visible, input[type=radio]:visible, [role=slider]:visible';
const CAN_BE_TYPED =
  'input[type=text]:visible:enabled, input[type=search]:visible:enabled, input:not([type]):visible:enabled, textarea:visible:enabled';

const port = await new Promise((done) => {
  const server = createServer().listen(0, () => {
    const { port: free } = server.address();
    server.close(() => done(free));
  });
});
const server = spawn(process.execPath, ['server/dist/main.mjs'], {
  cwd: root,
  env: { ...process.env, PORT: String(port) },
  stdio: 'ignore',
});
const at = `http://localhost:${port}`;

/** The disk is full while a key stands in the browser's small store. */
function withFullDisk() {
  const { put } = IDBObjectStore.prototype;
  IDBObjectStore.prototype.put = function (...given) {
    if (localStorage.getItem('monkey-full') !== null)
      throw new DOMException('Encountered full disk', 'QuotaExceededError');
    return put.apply(this, given);
  };
}

const pause = (ms) => new Promise((done) => setTimeout(done, ms));

/** Waits until the browser keeps the app itself. */
async function kept(page) {
  await page.goto(`${at}/keeping`);
  await page.getByText('The app itself is kept here too', { exact: false }).waitFor({ timeout: 60_000 });
}

/** What the rack shows of a window, as the window has it: no page is loaded for it. Undefined where it is not saved within half a minute. */
async function rackOf(page) {
  await page.bringToFront();
  if (!page.url().startsWith(at) || (await page.locator('a.brand').count()) === 0) await page.goto(at);
  for (let look = 0; look < 120; look++) {
    const words = await page.locator('.saved').first().textContent();
    if (words === 'Saved') break;
    if (look === 119) return undefined;
    await pause(250);
  }
  // A word of the other window may be on its way.
  await pause(400);
  const press = (selector) => page.evaluate((name) => document.querySelector(name)?.click(), selector);
  for (const link of ['a.brand', 'nav[aria-label=Screens] a[href="/riders"]', 'a.brand']) {
    await press(link);
    await pause(400);
  }
  // A window that is not seen lays nothing out.
  await page
    .getByText(/\d L$/)
    .first()
    .waitFor({ timeout: 15_000 })
    .catch(() => undefined);
  return page.evaluate(() => document.querySelector('main')?.innerText);
}

async function walk(seed, minutes) {
  const even = seeded(seed);
  const one = (list) => list[Math.floor(even() * list.length)];
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: ['--no-sandbox', '--disable-gpu'] });
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    // With no network the app is there only where it is kept.
    serviceWorkers: values.faults ? 'allow' : 'block',
  });
  if (values.faults) await context.addInitScript(withFullDisk);
  const pages = [await context.newPage(), ...(values.faults ? [await context.newPage()] : [])];
  for (const each of pages) each.setDefaultTimeout(1500);
  /** The window that is acted in. */
  let [page] = pages;
  let isOffline = false;
  const wrong = new Map();
  const last = [];
  const note = (what) => {
    if (!wrong.has(what)) console.log(`seed ${seed}: ${what}\n    after ${last.slice(-6).join(' | ')}`);
    wrong.set(what, (wrong.get(what) ?? 0) + 1);
  };
  for (const each of pages) {
    each.on('pageerror', (error) => note(`the page threw ${String(error).slice(0, 200)}`));
    each.on('console', (message) => {
      // Without a graphics card the room is drawn by hand, and three says so; the browser says itself that there is no network.
      if (message.type() === 'error' && !/WebGL|ERR_INTERNET_DISCONNECTED|beforeunload/i.test(message.text()))
        note(`the console: ${message.text().slice(0, 200)}`);
    });
    each.on('dialog', (dialog) => void dialog.accept().catch(() => undefined));
  }
  context.on('page', (other) => {
    if (!pages.includes(other)) void other.close().catch(() => undefined);
  });
  const look = async () => {
    const text = await page.evaluate(() => document.body.innerText).catch(() => '');
    if (text.includes('This screen could not be drawn'))
      note(`a screen could not be drawn at ${new URL(page.url()).pathname}`);
    const found = MACHINE.exec(text);
    if (found) {
      const near = text.slice(Math.max(0, found.index - 60), found.index + 60).replaceAll(/\s+/g, ' ');
      note(`“${found[0]}” at ${new URL(page.url()).pathname}: …${near}…`);
    }
  };
  const does = {
    async click() {
      const all = page.locator(CAN_BE_CLICKED);
      const count = await all.count();
      if (count === 0) return 'nothing to click';
      const target = all.nth(Math.floor(even() * count));
      const name = (
        (await target.textContent().catch(() => '')) ||
        (await target.getAttribute('aria-label').catch(() => '')) ||
        '?'
      )
        .trim()
        .slice(0, 40);
      await target.click({ timeout: 700, noWaitAfter: true });
      return `clicked ${name}`;
    },
    async type() {
      const all = page.locator(CAN_BE_TYPED);
      const count = await all.count();
      if (count === 0) return 'nothing to type in';
      const words = one(TYPED);
      const field = all.nth(Math.floor(even() * count));
      await field.fill(words, { timeout: 700 });
      if (even() < 0.7) await field.press('Enter', { timeout: 700 });
      return `typed ${words}`;
    },
    async press() {
      const key = one(KEYS);
      await page.keyboard.press(key);
      return `pressed ${key}`;
    },
    async drag() {
      const [x, y] = [40 + 1200 * even(), 80 + 680 * even()];
      await page.mouse.move(x, y);
      await page.mouse.down();
      await page.mouse.move(x + 200 * (even() - 0.5), y + 200 * (even() - 0.5), { steps: 4 });
      await page.mouse.up();
      return 'dragged';
    },
    async go() {
      const screen = one(SCREENS);
      await page.goto(at + screen, { timeout: 15_000 });
      return `went to ${screen}`;
    },
    async back() {
      await page.goBack({ timeout: 5000 });
      return 'went back';
    },
  };
  const faults = {
    async reload() {
      const [x, y] = [200 + 900 * even(), 120 + 300 * even()];
      await page.mouse.move(x, y);
      await page.mouse.down();
      await page.mouse.move(x + 40 * (even() - 0.5), y + 40 * (even() - 0.5), { steps: 3 });
      await page.reload({ timeout: 15_000 });
      return 'reloaded in a drag';
    },
    async network() {
      isOffline = !isOffline;
      await context.setOffline(isOffline);
      return isOffline ? 'no network' : 'the network is back';
    },
    async disk() {
      const isFull = await page.evaluate(() => {
        const full = localStorage.getItem('monkey-full') === null;
        if (full) localStorage.setItem('monkey-full', 'yes');
        else localStorage.removeItem('monkey-full');
        return full;
      });
      return isFull ? 'the disk is full' : 'there is room again';
    },
  };
  /** All faults end; what the windows show then is what lies on disk. */
  const compare = async () => {
    isOffline = false;
    await context.setOffline(false);
    for (const each of pages) await each.evaluate(() => localStorage.removeItem('monkey-full'));
    const racks = [];
    for (const each of pages) racks.push(await rackOf(each));
    await pages[0].reload({ timeout: 15_000 });
    racks.push(await rackOf(pages[0]));
    if (racks.some((rack) => rack === undefined)) note('it was not saved when all faults had ended');
    else if (new Set(racks).size > 1) {
      const [first, ...others] = racks.map((rack) => rack.split('\n'));
      const apart = others.flatMap((lines) => lines.filter((line, i) => line !== first[i])).slice(0, 4);
      note(
        `the windows show other boards than lie on disk: ${apart.join(' / ')}, against ${first.slice(0, 6).join(' / ')}`,
      );
    }
  };
  for (const each of pages) await each.goto(at);
  if (values.faults) await kept(pages[0]);
  const until = performance.now() + minutes * 60_000;
  let acts = 0;
  while (performance.now() < until) {
    const draw = even();
    const act =
      draw < 0.5
        ? 'click'
        : draw < 0.7
          ? 'type'
          : draw < 0.85
            ? 'press'
            : draw < 0.93
              ? 'drag'
              : draw < 0.98
                ? 'go'
                : 'back';
    if (values.faults && acts % 4 === 0) {
      page = one(pages);
      await page.bringToFront();
    }
    try {
      if (values.faults && acts > 0 && acts % 80 === 0) await compare();
      else if (values.faults && even() < 0.06) last.push(await faults[one(Object.keys(faults))]());
      else last.push(await does[act]());
    } catch {
      // What was to be clicked has gone, or lies under something.
      last.push(`could not ${act}`);
    }
    acts += 1;
    if (!page.url().startsWith(at)) await page.goto(at).catch(() => undefined);
    if (acts % 3 === 0) await look();
  }
  await browser.close();
  console.log(`seed ${seed}: ${acts} acts in ${minutes} minutes, ${wrong.size} things wrong`);
  return wrong.size;
}

let wrong = 0;
try {
  await new Promise((done) => setTimeout(done, 1000));
  for (const seed of values.seeds.split(',').map(Number)) wrong += await walk(seed, Number(values.minutes));
} finally {
  server.kill('SIGKILL');
}
if (wrong > 0) process.exitCode = 1;
