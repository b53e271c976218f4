// npm run monkey -- [--minutes 30] [--seeds 1,2,3]: clicks, types, drags and presses keys at random over every screen of the built app.
// Ends with 1 where the page said an error, a screen could not be drawn, or a text has a word of the machine in it.
import { spawn } from 'node:child_process';
import { createServer } from 'node:net';
import { parseArgs } from 'node:util';
import { chromium } from '@playwright/test';
import { build, checkNode, install, root } from './prepare.mjs';
import { CHROMIUM, installChromium } from './chromium.mjs';
import { seeded } from './seeded.mjs';

const { values } = parseArgs({
  options: { minutes: { type: 'string', default: '30' }, seeds: { type: 'string', default: '1,2,3' } },
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

async function walk(seed, minutes) {
  const even = seeded(seed);
  const one = (list) => list[Math.floor(even() * list.length)];
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: ['--no-sandbox', '--disable-gpu'] });
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
  const page = await context.newPage();
  page.setDefaultTimeout(1500);
  const wrong = new Map();
  const last = [];
  const note = (what) => {
    if (!wrong.has(what)) console.log(`seed ${seed}: ${what}\n    after ${last.slice(-6).join(' | ')}`);
    wrong.set(what, (wrong.get(what) ?? 0) + 1);
  };
  page.on('pageerror', (error) => note(`the page threw ${String(error).slice(0, 200)}`));
  page.on('console', (message) => {
    // Without a graphics card the room is drawn by hand, and three says so.
    if (message.type() === 'error' && !/WebGL/i.test(message.text()))
      note(`the console: ${message.text().slice(0, 200)}`);
  });
  page.on('dialog', (dialog) => void dialog.accept().catch(() => undefined));
  context.on('page', (other) => {
    if (other !== page) void other.close().catch(() => undefined);
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
  await page.goto(at);
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
    try {
      last.push(await does[act]());
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
