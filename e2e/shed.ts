// What a person does over and over, and what every test watches for.
import { readFile } from 'node:fs/promises';
import { type Download, expect, type Locator, type Page, test as base } from '@playwright/test';
import { TEST_NOW } from '../testing/clock.mjs';

/**
 * A page on which any error in the console or on the page fails the test, and nothing may leave the machine. Its clock
 * begins at the tests' own instant and goes on from there, in every tab.
 */
export const test = base.extend({
  context: async ({ context }, use) => {
    await context.clock.install({ time: TEST_NOW });
    await use(context);
  },
  page: async ({ page, baseURL }, use) => {
    const said: string[] = [];
    page.on('console', (message) => {
      if (message.type() === 'error') said.push(message.text());
    });
    page.on('pageerror', (error) => said.push(String(error)));
    page.on('request', (request) => {
      const url = request.url();
      // The browser's own viewer of PDFs is made of pages inside it.
      if (!url.startsWith(baseURL ?? '') && !/^(blob|data|chrome|chrome-extension):/.test(url))
        said.push(`asked the network: ${url}`);
    });
    await use(page);
    expect(said).toEqual([]);
  },
});
export { expect };

/** Types into one of our number fields and takes it with Enter. */
export async function type(page: Page, label: string, text: string): Promise<void> {
  const field = page.getByLabel(label, { exact: true });
  await field.click();
  await field.fill(text);
  await field.press('Enter');
}

/** Chooses from an Ant Design select by its label. */
export async function choose(page: Page, label: string, option: string | RegExp): Promise<void> {
  await page.getByRole('combobox', { name: label, exact: true }).click();
  await page
    .locator('.ant-select-dropdown:not(.ant-select-dropdown-hidden) .ant-select-item-option', { hasText: option })
    .first()
    .click();
}

/** Goes to another screen without loading the app anew, as its own links do: for walks over many screens. */
export async function visit(page: Page, path: string): Promise<void> {
  await page.evaluate((to) => {
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate'));
  }, path);
  await page.waitForURL((url) => url.pathname + url.search === path);
}

export async function startBoard(page: Page, model: string, rider?: string): Promise<void> {
  await page.goto('/start');
  if (rider) await choose(page, 'Rider', rider);
  await page.getByRole('radio', { name: new RegExp(`^${model}\\s*(shortboard|fish|twin|mid|longboard|gun)`) }).click();
  await page.getByRole('button', { name: new RegExp(`^Start ${model}`) }).click();
  await expect(page.getByRole('heading', { name: new RegExp(model) })).toBeVisible();
}

export async function step(page: Page, name: string): Promise<void> {
  await page
    .getByRole('navigation', { name: 'Order of the work' })
    .getByRole('link', { name: new RegExp(`\\b${name}\\b`) })
    .click();
}

/** Opens a part of the Make step. */
export async function makePart(page: Page, name: string): Promise<void> {
  await page.getByRole('radiogroup', { name: 'What is made' }).getByText(name, { exact: true }).click();
}

/** Opens a page of the part of the Make step that is open, or of the Check. */
export async function makePage(page: Page, name: string): Promise<void> {
  await page
    .getByRole('radiogroup', { name: /^(Cut from|Which cuts|Which papers|Measured with|What is looked at)$/ })
    .getByText(name)
    .click();
}

/** Opens a version in the row of them. */
export async function openVersion(within: Page | Locator, no: number): Promise<void> {
  await within.getByRole('button', { name: new RegExp(`^Version ${no},`) }).click();
}

/** Picks a tail or a nose from its pictures. */
export async function pickEnd(page: Page, end: 'Tail' | 'Nose', kind: string): Promise<void> {
  await page.getByRole('button', { name: new RegExp(`^${end}: `) }).click();
  await page
    .getByRole('radiogroup', { name: end, exact: true })
    .getByRole('radio', { name: kind, exact: true })
    .click();
}

/** The litres on the ticket, as a number. */
export async function litres(page: Page): Promise<number> {
  return Number.parseFloat(await page.getByTestId('litres').innerText());
}

/** Drags something by pixels, in small moves as a hand does. */
export async function drag(page: Page, what: Locator, dx: number, dy: number): Promise<void> {
  // Hovering waits until it stands still: the plank is laid out anew when a step is opened.
  await what.hover({ force: true });
  const box = await what.boundingBox();
  if (!box) throw new Error('nothing to drag');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let i = 1; i <= 8; i++) await page.mouse.move(x + (dx * i) / 8, y + (dy * i) / 8);
  await page.mouse.up();
}

/** Does something that saves a file and gives the file's bytes and name. */
export async function taken(page: Page, act: () => Promise<void>): Promise<{ name: string; bytes: Buffer }> {
  const [download] = await Promise.all([page.waitForEvent('download'), act()]);
  return { name: (download as Download).suggestedFilename(), bytes: await readFile(await download.path()) };
}

/** Waits until the bar says that all is on disk. */
export async function saved(page: Page): Promise<void> {
  await expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
}
