// Nothing is cut off, and no bench of a drawing step scrolls, for eight unlike boards of the demo rack; and a telephone has all to read.
import type { Page } from '@playwright/test';
import { choose, expect, makePage, makePart, step, test, visit } from './shed.ts';
import { IS_SAMPLED } from './sampled.ts';

const BOARDS = ['slack-118', 'ledge-4', 'stairs-3', 'lamp-5', 'quay-9', 'gannet-2', 'penny-2', 'half-1'];
/** Every fourth of them where walks are sampled. */
const WALKED = IS_SAMPLED ? BOARDS.filter((_, i) => i % 4 === 1) : BOARDS;
const STEPS = ['Outline', 'Rocker', 'Foil', 'Deck', 'Rails', 'Bottom', 'Fins'];
const SIZES = [
  { width: 1280, height: 800 },
  { width: 1024, height: 768 },
];

/** What is wrong with how the bay is laid out: what scrolls, what is written outside its drawing, what is written over another. */
function faults(): string[] {
  const found: string[] = [];
  for (const box of document.querySelectorAll('.bench, .bench > section, .job, .stand, .page')) {
    const name = box.getAttribute('aria-label') ?? box.className;
    if (box.scrollHeight > box.clientHeight + 1)
      found.push(`${name} is ${box.scrollHeight - box.clientHeight} too tall`);
    if (box.scrollWidth > box.clientWidth + 1) found.push(`${name} is ${box.scrollWidth - box.clientWidth} too wide`);
  }
  for (const field of document.querySelectorAll('.bench .ant-select-content, .bench .ant-select-placeholder')) {
    if (field.clientWidth > 0 && field.scrollWidth > field.clientWidth + 1)
      found.push(`“${field.textContent}” is cut off in its field`);
  }
  for (const text of document.querySelectorAll('.bench svg text')) {
    const [box, all] = [text.getBoundingClientRect(), text.closest('svg')!.getBoundingClientRect()];
    const within = text.closest('.bench > *')!.getBoundingClientRect();
    const [left, right] = [Math.max(all.left, within.left), Math.min(all.right, within.right)];
    if (box.width > 0 && (box.left < left - 1 || box.right > right + 1 || box.bottom > within.bottom + 6))
      found.push(`“${text.textContent}” of a drawing on the bench is cut off`);
  }
  for (const table of document.querySelectorAll('.bench table')) {
    const over = table.getBoundingClientRect().right - table.parentElement!.getBoundingClientRect().right;
    if (over > 1)
      found.push(
        `a table, ${table.getAttribute('aria-label') ?? table.textContent.slice(0, 30)}, sticks out by ${Math.round(over)}`,
      );
  }
  for (const drawing of document.querySelectorAll('.stand svg[role]')) {
    const all = drawing.getBoundingClientRect();
    const texts = [...drawing.querySelectorAll('text')]
      .filter(
        (text) =>
          text.textContent.trim() !== '' && !text.closest('.tape, .hook, [aria-hidden], [data-testid^="light"]'),
      )
      .map((text) => ({ words: text.textContent.trim(), box: text.getBoundingClientRect() }));
    texts.forEach(({ words, box }, i) => {
      if (box.left < all.left - 2 || box.right > all.right + 2 || box.top < all.top - 2 || box.bottom > all.bottom + 4)
        found.push(`“${words}” is outside its drawing`);
      for (const other of texts.slice(i + 1)) {
        const across = Math.min(box.right, other.box.right) - Math.max(box.left, other.box.left);
        const down = Math.min(box.bottom, other.box.bottom) - Math.max(box.top, other.box.top);
        if (across > 12 && down > 10) found.push(`“${words}” over “${other.words}”`);
      }
    });
  }
  return found;
}

/** Looks at what stands there at either size: the one it stands at first, so that each step turns the window once. */
async function whole(page: Page, where: string): Promise<void> {
  const now = page.viewportSize()!;
  for (const size of [now, SIZES.find(({ width }) => width !== now.width)!]) {
    await page.setViewportSize(size);
    // Drawings are laid out once their room is known.
    const message = `${where} at ${size.width} by ${size.height}`;
    await expect.poll(() => page.evaluate(faults), { message, timeout: 30_000 }).toEqual([]);
  }
}
const stepWhole = async (page: Page, board: string, name: string) => {
  await step(page, name);
  await expect(page.getByRole('region', { name, exact: true })).toBeVisible();
  await whole(page, `${board}, ${name}`);
};

test(
  'every drawing step is whole for eight unlike boards at 1280 by 800 and at 1024 by 768',
  { tag: ['@full', '@pass'] },
  async ({ page }) => {
    test.setTimeout(240_000);
    await page.goto('/');
    for (const board of WALKED) {
      await visit(page, `/bay/skarn-${board}/outline`);
      for (const name of STEPS) await stepWhole(page, board, name);
    }
  },
);

/** Steps about people and paper, and their pages: none scrolls inside or is cut off. */
const WIDE_STEPS = ['Rider', 'Check', 'Ride'];
const MAKE_PAGES = {
  Blank: ['A blank of the shelf', 'Planing plan', 'A block of EPS'],
  'Rail bands': ['At the hook', 'At every station'],
  'Paper and files': ['Templates', 'Ticket and sheets', 'Lines, solids'],
  'Glass and weight': [],
  Cost: [],
  Order: [],
  'Shaped board': ['Tape', 'Callipers', 'Straightedge', 'Rails', 'Bottom'],
};
test(
  'steps of people and paper are whole for eight unlike boards at either size',
  { tag: ['@full', '@pass'] },
  async ({ page }) => {
    test.setTimeout(240_000);
    await page.goto('/');
    for (const board of WALKED) {
      await visit(page, `/bay/skarn-${board}/outline`);
      for (const name of [...WIDE_STEPS, 'Make']) await stepWhole(page, board, name);
    }
    // An S-deck among them.
    await visit(page, '/bay/skarn-petra-3/outline');
    await stepWhole(page, 'petra-3', 'Deck');
  },
);

/** Every page of the Make step of the board that stands. */
async function makingWhole(page: Page, board: string): Promise<void> {
  await step(page, 'Make');
  for (const [part, pages] of Object.entries(MAKE_PAGES)) {
    await makePart(page, part);
    for (const name of pages) {
      await makePage(page, name);
      // Passes of the planer come when the blank is laid, and their table is the widest.
      if (name === 'Planing plan' && board === 'slack-118')
        await expect(page.getByRole('table', { name: 'Planing plan' })).toBeVisible();
      if (name === 'A block of EPS' && board === 'slack-118')
        await expect(page.locator('.blank-bench').getByTestId('sheets-preview')).toHaveCount(2);
      await whole(page, `${board}, ${part}, ${name}`);
    }
    await whole(page, `${board}, ${part}`);
  }
}

/** What opens over the bay: another board laid over, the small room, the drawers. */
async function openedWhole(page: Page, board: string): Promise<void> {
  // With another board laid over the ticket has most to say.
  await choose(page, 'Lay over another board', /^Kettle 7/);
  for (const name of ['Rails', 'Outline']) await stepWhole(page, `${board} over Kettle 7`, name);
  await page.keyboard.press('p');
  await whole(page, `${board}, small room`);
  await page.keyboard.press('p');
  for (const [key, title] of [
    ['s', 'Stations'],
    ['g', 'Words of the trade'],
    ['?', 'Keys at the stand'],
  ]) {
    await page.keyboard.press(key);
    const dialog = page.getByRole('dialog').filter({ hasText: title });
    await expect(dialog).toBeVisible();
    await expect
      .poll(() => dialog.evaluate((box) => box.getBoundingClientRect().right - window.innerWidth))
      .toBeLessThanOrEqual(0);
    await page.keyboard.press('Escape');
    await expect(dialog).toBeHidden();
  }
}

// Two walks, so that two cores share them.
for (const half of [0, 1]) {
  const boards = BOARDS.filter((_, i) => i % 2 === half);
  test(
    `every page of making is whole for ${boards.join(', ')} at either size, and what opens over the bay`,
    { tag: '@full' },
    async ({ page }) => {
      test.setTimeout(240_000);
      await page.goto('/');
      for (const board of boards) {
        await visit(page, `/bay/skarn-${board}/outline`);
        await makingWhole(page, board);
      }
      await openedWhole(page, boards[boards.length - 1]);
    },
  );
}

// By night nothing is laid out otherwise but what a colour would move: one board in one window is enough.
test('every page of making, and what opens over the bay, are whole by night', { tag: '@full' }, async ({ page }) => {
  test.setTimeout(120_000);
  await page.goto('/settings');
  await page.getByText('Night', { exact: true }).click();
  await visit(page, '/bay/skarn-slack-118/outline');
  for (const name of WIDE_STEPS) await stepWhole(page, 'slack-118', name);
  await makingWhole(page, 'slack-118');
  await openedWhole(page, 'slack-118');
});

test(
  'on a telephone the rack, riders, the line, the ticket and the cut numbers are there to read',
  { tag: '@full' },
  async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    const fits = async (where: string) => {
      const wide = await page.evaluate(() =>
        [...document.querySelectorAll('.bar, .bar *, main, .ticket, .job, .rack-foot *, .rider-card, .headline')]
          .filter((box) => box.getBoundingClientRect().width > 0)
          .filter((box) => !box.closest('.bar nav, .ant-select, .ant-segmented'))
          .filter((box) => box.getBoundingClientRect().right > window.innerWidth + 1)
          .map((box) => `${box.tagName} ${box.getAttribute('class')}`),
      );
      expect(wide, where).toEqual([]);
    };
    await page.goto('/');
    await expect(page.getByText('boards at one true scale')).toBeVisible();
    await fits('rack');
    await page.goto('/riders/maren');
    await expect(page.getByRole('heading', { name: 'Maren' })).toBeInViewport();
    await fits('riders');
    await page.goto('/line');
    await expect(page.getByTestId('line-said')).toContainText('on the line');
    await fits('line');
    await page.goto('/bay/skarn-slack-118/make?part=blank&page=plan');
    await expect(page.getByTestId('headline')).toBeInViewport();
    await expect(page.getByTestId('litres')).toContainText('31.5 L');
    await fits('the bay');
    const cut = page.getByRole('table', { name: 'Planing plan' });
    await cut.scrollIntoViewIfNeeded({ timeout: 30_000 });
    await expect(cut.getByRole('row').last()).toContainText('1 5/8');
  },
);

test(
  'on a telephone the ways in and the back-ups stand one below the other, and nothing sticks out',
  { tag: '@full' },
  async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    for (const [address, button] of [
      ['/measured', undefined],
      ['/bring/drawing', 'Try it with a drawing of ours'],
      ['/bring/rail?board=skarn-slack-118', 'Try it with a made-up gauge'],
      ['/bring/photo', undefined],
      ['/bring/scan', undefined],
      ['/keeping', undefined],
    ] as const) {
      await page.goto(address);
      if (button) {
        await page.getByRole('button', { name: button }).click();
        await expect(page.getByRole('table').first()).toBeVisible({ timeout: 30_000 });
      }
      await expect(page.getByRole('main')).toBeVisible();
      const faults = await page.evaluate(() => {
        const parts = [...document.querySelectorAll('main > *')].map((part) => part.getBoundingClientRect());
        const over = parts.flatMap((a, i) =>
          parts.slice(i + 1).filter((b) => a.bottom > b.top + 1 && b.bottom > a.top + 1),
        );
        const out = [...document.querySelectorAll('main *')].filter(
          (box) => box.getBoundingClientRect().right > window.innerWidth + 1 && !box.closest('svg, .restore-list'),
        );
        return [...over.map(() => 'two parts lie over one another'), ...out.map((box) => box.outerHTML.slice(0, 90))];
      });
      expect(faults, address).toEqual([]);
    }
  },
);
