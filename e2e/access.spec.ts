import AxeBuilder from '@axe-core/playwright';
import { expect, makePart, startBoard, step, test } from './shed.ts';

const STEPS = ['Rider', 'Outline', 'Rocker', 'Foil', 'Rails', 'Bottom', 'Fins', 'Check', 'Make', 'Ride'];

for (const light of ['day', 'night'] as const) {
  test(`no serious fault of access on any screen by ${light}`, async ({ page }) => {
    test.setTimeout(400_000);
    const look = async (where: string) => {
      // By night nothing but the colours is another.
      const rules = light === 'night' ? { runOnly: ['color-contrast', 'link-in-text-block'] } : {};
      const { violations } = await new AxeBuilder({ page })
        .setLegacyMode()
        .options({ resultTypes: ['violations'], ...rules })
        .analyze();
      const serious = violations.filter((v) => v.impact === 'serious' || v.impact === 'critical');
      expect(serious.map((v) => `${where}: ${v.id}: ${v.nodes.map((n) => n.html.slice(0, 160)).join(' | ')}`)).toEqual(
        [],
      );
    };
    await page.goto('/');
    await expect(page.getByText('boards at one true scale')).toBeVisible();
    if (light === 'night') {
      await page.getByRole('button', { name: 'Units and light' }).click();
      await page.getByText('Night', { exact: true }).click();
      await page.keyboard.press('Escape');
      await expect(page.locator('html')).toHaveAttribute('data-light', 'night');
    }
    await look('rack');
    await page.goto('/start');
    await expect(page.getByRole('heading', { name: /Who is it for/ })).toBeVisible();
    await look('start');
    await page.goto('/settings');
    await expect(page.getByRole('heading', { name: 'Where shapers disagree' })).toBeVisible();
    await look('settings');
    await page.goto('/riders/maren');
    await expect(page.getByRole('heading', { name: 'Maren' })).toBeVisible();
    await look('riders');
    await page.goto('/family');
    await expect(page.getByRole('group', { name: 'The family tree, drawn' })).toBeVisible();
    await look('family tree');
    await page.goto('/measured');
    await expect(page.getByRole('heading', { name: 'Measure a board' })).toBeVisible();
    await look('a board measured');
    await page.goto('/bring/drawing');
    await page.getByRole('button', { name: 'Try it with a drawing of ours' }).click();
    await expect(page.getByRole('table', { name: 'How near it came' })).toBeVisible({ timeout: 60_000 });
    await look('a drawing brought in');
    await page.goto('/bring/photo');
    await page.getByRole('button', { name: 'Try it with a made-up picture' }).click();
    await expect(page.getByRole('table', { name: 'How near it came' })).toBeVisible({ timeout: 60_000 });
    await look('a picture brought in');
    await page.goto('/bring/scan');
    await expect(page.getByRole('heading', { name: 'Bring in a scan' })).toBeVisible();
    await look('a scan');
    await page.goto('/bring/rail?board=skarn-slack-118');
    await page.getByRole('button', { name: 'Try it with a made-up gauge' }).click();
    await expect(page.getByRole('table', { name: 'The rail as gauged' })).toBeVisible({ timeout: 30_000 });
    await look('a rail brought in');
    await page.goto('/keeping');
    await expect(page.getByRole('table', { name: 'Room in this browser' })).toBeVisible();
    await look('back-ups');
    await page.goto('/line');
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
      await page.goto(`/shelf?part=${part}`);
      await expect(page.getByRole('table', { name: shown })).toBeVisible();
      await look(`shelf, ${part}`);
    }
    await startBoard(page, 'Two Stairs', 'Jory');
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
}

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
