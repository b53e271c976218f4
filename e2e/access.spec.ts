import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { choose, expect, litres, makePart, saved, startBoard, step, test, type, visit } from './shed.ts';
import { IS_SAMPLED } from './sampled.ts';

/** Looks for faults of access that are serious; by night at nothing but the colours, the rest being the same. */
async function look(page: Page, light: 'day' | 'night', where: string, within = 'html'): Promise<void> {
  const rules = light === 'night' ? { runOnly: ['color-contrast', 'link-in-text-block'] } : {};
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode()
    .include(within)
    .options({ resultTypes: ['violations'], ...rules })
    .analyze();
  const serious = violations.filter((v) => v.impact === 'serious' || v.impact === 'critical');
  expect(
    serious.map(
      (v) =>
        `${where} by ${light}: ${v.id}: ${v.nodes.map((n) => `${n.html.slice(0, 160)} ${n.any[0]?.message ?? ''}`).join(' | ')}`,
    ),
  ).toEqual([]);
}

/**
 * Looks at a page in either light, which is set in a second window on the settings; of a walk that is sampled at every fourth place
 * only.
 */
async function lookingInBothLights(page: Page): Promise<(where: string, within?: string) => Promise<void>> {
  const settings = await page.context().newPage();
  await settings.goto('/settings');
  const shine = async (light: 'Day' | 'Night') => {
    await settings.getByText(light, { exact: true }).click();
    await expect(page.locator('html')).toHaveAttribute('data-light', light.toLowerCase());
  };
  let places = 0;
  return async (where, within) => {
    if (IS_SAMPLED && places++ % 4 !== 0) return;
    await look(page, 'day', where, within);
    await shine('Night');
    await look(page, 'night', where, within);
    await shine('Day');
  };
}

const STEPS = ['Rider', 'Outline', 'Rocker', 'Foil', 'Deck', 'Rails', 'Bottom', 'Fins', 'Check', 'Make', 'Ride'];

test('no serious fault of access on any screen by day and by night', { tag: '@pass' }, async ({ page }) => {
  test.setTimeout(400_000);
  await page.goto('/');
  await expect(page.getByText('boards at one true scale')).toBeVisible();
  const look = await lookingInBothLights(page);
  await look('rack');
  await visit(page, '/start');
  await expect(page.getByRole('heading', { name: /Who is it for/ })).toBeVisible();
  await look('start');
  await visit(page, '/settings');
  await expect(page.getByRole('heading', { name: 'Where shapers disagree' })).toBeVisible();
  await look('settings');
  await visit(page, '/riders/maren');
  await expect(page.getByRole('heading', { name: 'Maren' })).toBeVisible();
  await look('riders');
  await visit(page, '/family');
  await expect(page.getByRole('group', { name: 'The family tree, drawn' })).toBeVisible();
  await look('family tree');
  await visit(page, '/measured');
  await expect(page.getByRole('heading', { name: 'Measure a board' })).toBeVisible();
  await page.getByRole('switch', { name: 'Left and right by themselves' }).click();
  await page.getByRole('button', { name: 'Try it with made-up readings' }).click();
  await expect(page.getByTestId('measured-litres')).toBeVisible({ timeout: 30_000 });
  await look('a board measured');
  await visit(page, '/bring/drawing');
  await page.getByRole('button', { name: 'Try it with a drawing of ours' }).click();
  await expect(page.getByRole('table', { name: 'How near it came' })).toBeVisible({ timeout: 60_000 });
  await look('a drawing brought in');
  await visit(page, '/bring/photo');
  await page.getByRole('button', { name: 'Try it with a made-up picture' }).click();
  await expect(page.getByRole('table', { name: 'How near it came' })).toBeVisible({ timeout: 60_000 });
  await page.locator('.photo-stand svg').click({ position: { x: 200, y: 90 } });
  await expect(page.getByRole('progressbar')).toBeVisible();
  await look('a picture brought in, its edge marked, while it is fitted anew');
  await visit(page, '/bring/scan');
  await expect(page.getByRole('heading', { name: 'Bring in a scan' })).toBeVisible();
  await look('a scan');
  await visit(page, '/bring/rail?board=skarn-slack-118');
  await page.getByRole('button', { name: 'Try it with a made-up gauge' }).click();
  await expect(page.getByRole('table', { name: 'The rail as gauged' })).toBeVisible({ timeout: 30_000 });
  await look('a rail brought in');
  await visit(page, '/keeping');
  await expect(page.getByRole('table', { name: 'Room in this browser' })).toBeVisible();
  await look('back-ups');
  await visit(page, '/line');
  await expect(page.getByTestId('line-said')).toContainText('on the line');
  await look('line');
  await page.getByRole('button', { name: 'Stages and hours' }).click();
  await expect(page.getByRole('table', { name: 'Stages' })).toBeVisible();
  await look('stages and hours');
  for (const [part, shown] of [
    ['blanks', 'The shelf'],
    ['prices', 'Price list'],
    ['figures', 'Figures and their sources'],
  ]) {
    await visit(page, `/shelf?part=${part}`);
    await expect(page.getByRole('table', { name: shown })).toBeVisible();
    await look(`shelf, ${part}`);
  }
  await visit(page, '/sizes/skarn-slack-118');
  await expect(page.getByRole('table').first()).toBeVisible();
  await look('sizes');
  await visit(page, '/bay/skarn-stairs-3/outline');
  for (const name of STEPS) {
    await step(page, name);
    await expect(page.getByRole('region', { name, exact: true })).toBeVisible();
    await look(name);
  }
  await step(page, 'Make');
  for (const part of ['Blank', 'Rail bands', 'Glass and weight', 'Cost', 'Order', 'Shaped board']) {
    await makePart(page, part);
    await expect(page.getByRole('group', { name: part, exact: true })).toBeVisible();
    await look(`Make, ${part}`);
  }
});

test('no serious fault of access in anything that opens over a screen by day and by night', async ({ page }) => {
  test.setTimeout(200_000);
  await page.goto('/');
  await expect(page.getByText('boards at one true scale')).toBeVisible();
  const look = await lookingInBothLights(page);
  const opened = async (where: string, open: () => Promise<void>) => {
    await open();
    const dialog = page.getByRole('dialog').last();
    await expect(dialog).toBeVisible();
    // What fades in is paler until it stands.
    await expect(
      page.locator('.ant-zoom-enter, .ant-fade-enter, .ant-slide-up-enter, [class*=panel-motion]'),
    ).toHaveCount(0);
    await look(where, '[role=dialog]');
    await page.keyboard.press('Escape');
    await expect(dialog).toBeHidden();
  };
  const press = (key: string) => () => page.keyboard.press(key);
  const button = (name: string | RegExp) => () => page.getByRole('button', { name }).first().click();
  await button('Units and light')();
  await expect(page.getByText('Night', { exact: true })).toBeVisible();
  await look('units and light', '.ant-popover');
  await page.keyboard.press('Escape');
  await opened('the palette', press('Control+k'));
  await button('More for Kettle 7')();
  await expect(page.getByRole('menuitem', { name: 'Rename' })).toBeVisible();
  await look('the menu of a board', '.ant-dropdown');
  await opened('rename', () => page.getByRole('menuitem', { name: 'Rename' }).click());
  await visit(page, '/shelf?part=blanks');
  await opened('a blank', button('Add a blank'));
  await visit(page, '/line');
  await opened('stages and hours', button('Stages and hours'));
  await visit(page, '/bay/skarn-slack-118/outline');
  await type(page, 'Wide point width', '23');
  const notes = page.getByRole('group', { name: 'Bay notes' });
  await opened('bay notes', () => notes.getByRole('button').first().click());
  await choose(page, 'Lay over another board', /^Kettle 7/);
  await opened('differences', button('Differences'));
  for (const [key, what] of [
    ['s', 'stations'],
    ['g', 'words of the trade'],
    ['?', 'keys at the stand'],
  ])
    await opened(what, press(key));
  await opened('a part of another board', button('Take the outline from'));
  await button(/^Tail: /)();
  await look('pictures of tails');
  await page.keyboard.press('Escape');
  await step(page, 'Fins');
  await opened('fin layouts', button('Layouts, boxes and own fins'));
});

test('the room: no serious fault of access in either light', async ({ page }) => {
  test.setTimeout(120_000);
  await page.goto('/');
  for (const light of ['Day', 'Night'] as const) {
    await visit(page, '/settings');
    await page.getByText(light, { exact: true }).click();
    await saved(page);
    await visit(page, '/bay/skarn-slack-118/outline');
    await page.getByRole('button', { name: 'Into the room' }).click();
    await expect(page.getByRole('combobox', { name: 'Where the eye is' })).toBeVisible({ timeout: 30_000 });
    await look(page, light === 'Day' ? 'day' : 'night', 'the room');
  }
});

test('the bay fits 1280 by 800 and 1024 by 768 without scrolling the page', async ({ page }) => {
  await startBoard(page, 'North Ledge');
  for (const size of [
    { width: 1280, height: 800 },
    { width: 1024, height: 768 },
  ]) {
    await page.setViewportSize(size);
    const over = await page.evaluate(() => [
      document.documentElement.scrollHeight - window.innerHeight,
      document.documentElement.scrollWidth - window.innerWidth,
    ]);
    expect(over).toEqual([0, 0]);
    await expect(page.getByTestId('litres')).toBeInViewport();
  }
});

test('where the system gives the colours a number is seen once and what is drawn keeps its sheet; in a low window the rack keeps its boards', async ({
  page,
}) => {
  await page.emulateMedia({ forcedColors: 'active', colorScheme: 'dark' });
  await page.goto('/bay/skarn-slack-118/rails');
  const covered = page.locator('.field input.covered').first();
  await expect(covered).toHaveCSS('color', 'rgba(0, 0, 0, 0)');
  const sheet = page.locator('.wall svg').first();
  await expect(sheet).not.toHaveCSS('background-color', 'rgba(0, 0, 0, 0)');
  const border = (current: boolean) =>
    page
      .getByRole('navigation', { name: 'Order of the work' })
      .locator(current ? 'a[aria-current=step]' : 'a:not([aria-current])')
      .first()
      .evaluate((link) => getComputedStyle(link).borderLeftColor);
  expect(await border(true)).not.toBe(await border(false));
  // Twice as large: 1280 by 800 looked at at 200 %.
  await page.setViewportSize({ width: 640, height: 400 });
  await page.goto('/');
  const heading = (await page.getByRole('heading', { name: /^The rack/ }).boundingBox())!;
  const board = (await page
    .getByRole('link', { name: /^Open / })
    .first()
    .boundingBox())!;
  expect(board.height).toBeGreaterThan(120);
  expect(heading.y + heading.height).toBeLessThanOrEqual(board.y);
});

test('where less motion is asked for nothing moves by itself', async ({ page }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  for (const address of ['/', '/bay/skarn-slack-118/outline', '/start']) {
    await page.goto(address);
    await expect(page.getByRole('main')).toBeVisible();
    const moving = await page.evaluate(() =>
      [...document.querySelectorAll('*')]
        .filter((each) => {
          const { transitionProperty, animationName } = getComputedStyle(each);
          return transitionProperty !== 'none' || animationName !== 'none';
        })
        .map((each) => `${each.tagName} ${each.getAttribute('class')}`),
    );
    expect(moving).toEqual([]);
  }
});

test.describe('by touch at 1024 by 768', () => {
  test.use({ hasTouch: true, viewport: { width: 1024, height: 768 } });

  test('a ring is pulled with a finger, the hook is set, steps are tapped, and the page stays where it is', async ({
    page,
  }) => {
    await page.goto('/bay/skarn-slack-118/outline');
    const ring = page.locator('[data-mark="outline.1"]');
    await ring.waitFor();
    const before = await litres(page);
    const box = (await ring.boundingBox())!;
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    const client = await page.context().newCDPSession(page);
    const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', dy = 0) =>
      client.send('Input.dispatchTouchEvent', { type, touchPoints: type === 'touchEnd' ? [] : [{ x, y: y - dy }] });
    await touch('touchStart');
    for (let k = 1; k <= 8; k++) await touch('touchMove', k * 2);
    await touch('touchEnd');
    await expect(page.getByRole('button', { name: /^Undo: tail 12/ })).toBeVisible();
    await expect.poll(() => litres(page)).toBeGreaterThan(before);
    await page
      .getByRole('navigation', { name: 'Order of the work' })
      .getByRole('link', { name: /\bRocker\b/ })
      .tap();
    await expect(page.getByRole('region', { name: 'Rocker', exact: true })).toBeVisible();
    expect(await page.evaluate(() => [window.scrollX, window.scrollY])).toEqual([0, 0]);
  });
});
