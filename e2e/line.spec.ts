// From the design over the line to the board that was made.
import type { Page } from '@playwright/test';
import dayjs from 'dayjs';
import { readPdf } from '../core/src/testing/pdf.ts';
import { TEST_DAY } from '../testing/clock.mjs';
import { drag, expect, makePage, makePart, saved, startBoard, step, taken, test, type } from './shed.ts';

const column = (page: Page, name: string) => page.getByRole('region', { name, exact: true });
const card = (page: Page, name: string) => page.getByRole('article', { name });

/** Types a day into one of our date fields. */
async function typeDay(page: Page, label: string, day: string): Promise<void> {
  const field = page.getByLabel(label, { exact: true });
  await field.click();
  await field.fill(day);
  await field.press('Enter');
}

test(
  'a board goes from its design over blank, bands, paper and the line to what was measured on it',
  { tag: '@pass' },
  async ({ page }) => {
    test.setTimeout(120_000);
    await startBoard(page, 'Slack Water', 'Maren');
    const name = /^Slack Water \d+/.exec(await page.getByRole('heading', { level: 1 }).innerText())![0];
    await step(page, 'Make');

    await makePart(page, 'Blank');
    const first = page.getByRole('button', { name: /^Take .*, PU$/ }).first();
    await first.click({ timeout: 30_000 });
    const margins = page.getByRole('table', { name: 'Margins' });
    await expect(margins.getByRole('row')).toHaveCount(4);
    await type(page, 'Over deck and bottom', '1/2');
    await expect(page.getByTestId('blanks-fit')).not.toContainText('None', { timeout: 30_000 });
    await type(page, 'Over deck and bottom', '1/16');

    // Cut, it is one less on the shelf.
    const row = page.getByRole('row').filter({ has: page.getByRole('button', { name: /^Take/, pressed: true }) });
    const stock = async () => Number.parseInt(await row.getByRole('cell').nth(1).innerText(), 10);
    const before = await stock();
    await page.getByRole('button', { name: 'It is cut: one less on the shelf' }).click();
    await expect.poll(stock).toBe(before - 1);
    await page.locator('.ant-message').getByRole('button', { name: 'Undo', exact: true }).click();
    await expect.poll(stock).toBe(before);

    await makePart(page, 'Rail bands');
    const left = page.getByTestId('bands-left');
    await expect(left).toContainText('left to sand', { timeout: 30_000 });
    const litresLeft = async () => Number.parseFloat(await left.innerText());
    const three = await litresLeft();
    await page.getByRole('radiogroup', { name: 'Bands on the deck side' }).getByText('4', { exact: true }).click();
    await expect(page.getByRole('img', { name: 'Rail bands: 4 on the deck, 1 under' })).toBeVisible({
      timeout: 30_000,
    });
    await expect.poll(litresLeft).toBeLessThan(three);
    await makePage(page, 'At every station');
    await expect(page.getByRole('table', { name: 'Rail bands at the stations' }).getByRole('row')).toHaveCount(14);

    // A line held where the hand wants it stays there, and the file cuts it so.
    await makePage(page, 'At the hook');
    await page.getByRole('button', { name: 'Hold deck 1' }).click();
    await type(page, 'deck 1, Centre, in from the rail', '2 1/8');
    await makePage(page, 'At every station');
    const middle = page
      .getByRole('table', { name: 'Rail bands at the stations' })
      .getByRole('row', { name: /^Centre/ });
    await expect(middle.getByRole('cell').first()).toContainText('2 1/8', { timeout: 30_000 });
    await page.reload();
    await expect(middle.getByRole('cell').first()).toContainText('2 1/8', { timeout: 30_000 });
    await makePage(page, 'At the hook');
    await expect(page.getByRole('button', { name: 'Let deck 1 go' })).toBeVisible();

    await makePart(page, 'Order');
    const due = dayjs(TEST_DAY).add(40, 'day').format('YYYY-MM-DD');
    await typeDay(page, 'Due', due);
    await page.getByLabel('Colours and artwork').fill('clear, one grey pinline');
    await page.getByLabel('Colours and artwork').press('Tab');
    await page.getByRole('button', { name: 'Put it on the line' }).click();
    await expect(page.getByTestId('standing')).toContainText(/In time: due .* working days in hand/);
    await expect(page.getByRole('table', { name: 'When each stage is done' }).getByRole('row')).toHaveCount(9);

    await makePart(page, 'Glass and weight');
    await page.getByText('Gloss', { exact: true }).click();
    await makePart(page, 'Paper and files');
    await makePage(page, 'Ticket and sheets');
    const ticket = await taken(page, () => page.getByRole('button', { name: 'Ticket, one page (PDF)' }).click());
    const [sheet] = await readPdf(ticket.bytes);
    const said = sheet.texts.map(({ text }) => text).join('\n');
    for (const part of [name, 'for Maren', 'clear, one grey pinline', dayjs(due).format('D MMM'), ', PU', 'gloss']) {
      expect(said).toContain(part);
    }
    // The code's own bytes are read by a decoder in the unit tests; here its squares are on the page.
    expect(sheet.boxes.length).toBeGreaterThan(300);
    const wall = await taken(page, () => page.getByRole('button', { name: 'Wall sheet, large type (PDF)' }).click());
    const [onWall] = await readPdf(wall.bytes);
    expect(onWall.width_mm).toBeGreaterThan(onWall.height_mm);
    expect(onWall.texts.map(({ text }) => text)).toContain('Wide point');
    await saved(page);

    await page.goto('/line');
    await expect(column(page, 'Brief').getByRole('article', { name })).toBeVisible();
    // By hand from Brief to Shape, two columns on.
    const grip = page.getByRole('button', { name: `Move ${name}` });
    const [from, to] = await Promise.all([column(page, 'Brief').boundingBox(), column(page, 'Shape').boundingBox()]);
    await drag(page, grip, to!.x - from!.x, 40);
    await expect(column(page, 'Shape').getByRole('article', { name })).toBeVisible();
    // By keys one on, and by the button one more.
    await page.getByRole('button', { name: `Move ${name}` }).focus();
    await page.keyboard.press('Space');
    // What a screen reader is told.
    const told = page.locator('[id^=DndLiveRegion]');
    await expect(told).toHaveText(`${name} is over Shape.`);
    // The arrows are listened to one turn of the timer after the board is picked up: a key before it is nobody's.
    await page.evaluate(() => new Promise((turned) => setTimeout(turned)));
    await page.keyboard.press('ArrowRight');
    await expect(told).toHaveText(`${name} is over Glass.`);
    await page.keyboard.press('Space');
    await expect(column(page, 'Glass').getByRole('article', { name })).toBeVisible();
    await page.getByRole('button', { name: `${name} on to Sand` }).click();
    await expect(column(page, 'Sand').getByRole('article', { name })).toBeVisible();
    await saved(page);
    await page.reload();
    await expect(column(page, 'Sand').getByRole('article', { name })).toBeVisible();
    await page.getByRole('link', { name: `Open ${name}` }).click();
    await expect(page.getByRole('table', { name: 'When each stage is done' }).getByRole('row')).toHaveCount(5);

    await makePart(page, 'Shaped board');
    const off = (id: string) => page.getByTestId(`off ${id}`);
    await type(page, 'Length, Length', "6'0");
    await expect(off('length')).toHaveText('right on');
    await type(page, 'Half widths, Wide point, left', '9 5/8');
    await type(page, 'Half widths, Wide point, right', '9 3/4');
    await expect(off('width:wide:0')).toContainText('left right on');
    await expect(off('width:wide:0')).toContainText(/right \+1\/8.*, out/);
    await expect(off('width:wide:0')).toContainText('sides differ by 1/8');
    await makePage(page, 'Callipers');
    await type(page, 'Thickness at the stringer, Middle', '2 3/8');
    await expect(off('thickness:centre:0')).toContainText('−1/16');
    await type(page, 'Thickness at the stringer, Nose 12', '40');
    await expect(page.getByRole('alert').filter({ hasText: /too far off the design/ })).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('alert')).toHaveCount(0);
    await type(page, 'Thickness at the stringer, Nose 12', 'thick');
    await expect(page.getByRole('alert').filter({ hasText: /thick|number|length/i })).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByTestId('measured')).toContainText('3 of 38 measured, 2 out of tolerance');
    await page.getByRole('button', { name: 'Make the as-built board' }).click();
    await expect(page.getByTestId('as-built')).toContainText(/As built \d+\.\d L, [+−]\d\.\d against the design/);
    const design = Number.parseFloat(await page.getByTestId('litres').innerText());
    const built = Number(/As built ([\d.]+) L/.exec(await page.getByTestId('as-built').innerText())![1]);
    expect(built).not.toBe(design);
    expect(Math.abs(built - design)).toBeLessThan(1.5);
    await page.getByRole('button', { name: 'Lay it over the design' }).click();
    await expect(page.getByTestId('litres-change')).toBeVisible();
    await page.getByLabel('Weight on the scales').fill('2.7');
    await page.getByLabel('Weight on the scales').press('Enter');
    await page.getByRole('button', { name: 'Put it on the rack' }).click();
    await saved(page);
    // Both are kept: the design with its readings, and a board of its own.
    await page.reload();
    await makePage(page, 'Tape');
    await expect(off('width:wide:0')).toContainText('sides differ by 1/8');
    await expect(page.getByLabel('Weight on the scales')).toHaveValue('2.70');
    expect(Number.parseFloat(await page.getByTestId('litres').innerText())).toBe(design);
    await page.goto('/');
    await expect(page.getByRole('button', { name: /Slack Water as built 1/ }).first()).toBeVisible();
  },
);

test('the line shows late boards first, and too many hours in a week', async ({ page }) => {
  await page.goto('/line');
  await expect(page.getByTestId('line-said')).toContainText(
    /4 boards on the line, \d late|4 boards on the line, none late/,
  );
  // Hours of three weeks in one stage: what is at glass can no longer be in time.
  await page.getByRole('button', { name: 'Stages and hours' }).click();
  const hours = page.getByLabel('Hours of Glass');
  await hours.fill('120');
  await hours.press('Enter');
  const name = page.getByLabel('Name of stage 5');
  await name.fill('Sanding');
  await name.press('Tab');
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await expect(column(page, 'Sanding')).toBeVisible();
  await expect(card(page, 'Lamplight 5')).toContainText(/late by \d+ d/);
  await expect(page.getByTestId('line-said')).toContainText(/[1-4] late/);
  // Two pairs of hands, six hours a day: 60 h in every whole week, whatever day it is. Lamplight alone is at its 120 hours,
  // six a day, through the whole of next week: 30 h of it at the least.
  const weeks = page.getByRole('region', { name: 'Hours a week' }).getByRole('row');
  await expect(weeks).toHaveCount(7);
  for (const i of [2, 3, 4, 5, 6]) await expect(weeks.nth(i).getByRole('cell').nth(1)).toHaveText('60 h');
  expect(Number.parseFloat(await weeks.nth(2).getByRole('cell').nth(0).innerText())).toBeGreaterThanOrEqual(30);
  // Two boards at one stage: the late one stands above.
  await page.getByRole('button', { name: 'Two Stairs 3 on to Blank' }).click();
  await page.getByRole('button', { name: 'Two Stairs 3 on to Shape' }).click();
  await page.getByRole('button', { name: 'Two Stairs 3 on to Glass' }).click();
  await expect(column(page, 'Glass').getByRole('article')).toHaveCount(2);
  await expect(column(page, 'Glass').getByRole('article').first()).toHaveAccessibleName('Lamplight 5');
  // One pair of hands less, and the week is too full.
  await page.getByRole('button', { name: 'Stages and hours' }).click();
  const people = page.getByLabel('People');
  await people.fill('1');
  await people.press('Enter');
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await expect(page.getByRole('region', { name: 'Hours a week' })).toContainText(/h too many/);
  // Handed over, a board leaves the line and stays on the rack.
  for (const stage of ['Sanding', 'Fins', 'Finish', 'Ride-away']) {
    const on = page.getByRole('button', { name: `Gannet 2 on to ${stage}` });
    if (await on.count()) await on.click();
  }
  await page.getByRole('button', { name: 'Gannet 2 handed over' }).click();
  await expect(page.getByTestId('line-said')).toContainText('3 boards on the line');
  await page.goto('/');
  await expect(page.getByRole('button', { name: /Gannet 2/ }).first()).toBeVisible();
});

test('the shelf: a blank is added, changed and taken off; prices and figures reach the board', async ({ page }) => {
  await page.goto('/shelf');
  const shelf = page.getByRole('table', { name: 'The shelf' });
  await expect(shelf.getByRole('row')).toHaveCount(31);
  await page.getByLabel('Find a blank').fill("7'0");
  await expect(shelf.getByRole('row')).toHaveCount(3);
  await page.getByRole('button', { name: /^Change 7'0 curved, PU/ }).click();
  await page.getByRole('button', { name: 'Add a blank' }).click();
  const name = page.getByLabel('Name of the blank');
  await expect(name).toHaveValue("7'0 curved new");
  await name.fill("7'1 of our own");
  await name.press('Tab');
  await type(page, 'Length', "7'1");
  await type(page, 'Width', '9 feet');
  await expect(page.getByRole('alert').first()).toContainText(/no blank is like that/i);
  await page.keyboard.press('Escape');
  const price = page.getByLabel('Price of the blank');
  await price.fill('111');
  await price.press('Enter');
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await page.getByLabel('Find a blank').fill('of our own');
  await expect(shelf.getByRole('row').last()).toContainText("7'1");
  await expect(shelf.getByRole('row').last()).toContainText('111.00');
  await saved(page);

  await page.getByRole('radiogroup', { name: 'What is on the shelf' }).getByText('Prices', { exact: true }).click();
  const hour = page.getByLabel('An hour of hands');
  await hour.fill('0');
  await hour.press('Enter');
  await page.getByRole('radiogroup', { name: 'What is on the shelf' }).getByText('Figures', { exact: true }).click();
  const pot = page.getByLabel('Pot life of polyester');
  await pot.fill('17');
  await pot.press('Enter');
  await expect(page.getByRole('row', { name: /Pot life of polyester/ })).toContainText('own');
  await saved(page);

  await startBoard(page, 'Lamplight');
  await step(page, 'Make');
  await makePart(page, 'Blank');
  await page
    .getByRole('button', { name: /^Take .*, PU$/ })
    .first()
    .click({ timeout: 30_000 });
  await makePart(page, 'Cost');
  const cost = page.getByRole('table', { name: 'Cost sheet, hours' });
  // Hours cost nothing now: the hours' sum is none, and the price is that of materials with the margin.
  await expect(cost.getByRole('row', { name: /^Hours/ })).toContainText('0.00');
  await expect(page.getByTestId('price')).toContainText(/the price is € [\d.]+/);
  await page.getByRole('button', { name: 'Put the price on the list' }).click();
  await makePart(page, 'Glass and weight');
  await expect(page.getByTestId('pot-life')).toContainText('Pot life about 17 min');
  await page.goto('/shelf?part=prices');
  await expect(page.getByRole('table', { name: 'Price list' }).getByLabel('Name on the list')).toHaveValue(
    /^Lamplight, /,
  );

  await page.goto('/shelf');
  await page.getByRole('button', { name: /^Change 7'1 of our own/ }).click();
  await page.getByRole('button', { name: 'Take it off the shelf' }).click();
  await expect(shelf.getByRole('row')).toHaveCount(31);
  await page.locator('.ant-message').getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(shelf.getByRole('row')).toHaveCount(32);
});

test('what making puts on paper is black on white, and nothing but it', async ({ page }) => {
  await page.goto('/bay/skarn-slack-118/make?part=bands');
  const printed = async () => {
    await page.emulateMedia({ media: 'print' });
    // Every colour that letters are written in, and every ground they stand on.
    const colours = await page.evaluate(() => {
      const found = new Set<string>();
      for (const element of document.querySelectorAll('main *')) {
        const own = [...element.childNodes].some((node) => node.nodeType === 3 && node.textContent?.trim());
        if (!own || !(element as HTMLElement).checkVisibility()) continue;
        found.add(getComputedStyle(element).color);
      }
      return [...found];
    });
    expect(colours).toEqual(['rgb(0, 0, 0)']);
    const pages = await readPdf(await page.pdf({ format: 'A4', printBackground: true }));
    await page.emulateMedia({ media: 'screen' });
    return pages.flatMap((sheet) => sheet.texts.map(({ text }) => text)).join(' ');
  };
  await expect(page.getByTestId('bands-left')).toBeVisible({ timeout: 30_000 });
  const bands = await printed();
  expect(bands).toContain('Slack Water 118, rail bands');
  expect(bands).toContain('Nose 12');
  expect(bands).not.toContain('Undo');
  // The ticket beside the bench has a page of its own.
  expect(bands).not.toContain('Lay over');
  expect(bands).not.toContain('31.5 L');
  await makePart(page, 'Cost');
  await expect(page.getByRole('group', { name: 'Cost', exact: true })).toBeVisible();
  const cost = await printed();
  expect(cost).toMatch(/cost sheet/);
  expect(cost).toContain('Materials');
  await makePart(page, 'Shaped board');
  await type(page, 'Length, Length', "6'2");
  expect(await printed()).toMatch(/Slack Water 118, measuring sheet/);
  await page.goto('/shelf?part=prices');
  await page.getByRole('button', { name: 'Add a line' }).click();
  const list = await printed();
  expect(list).toContain('Gloss finish');
  // The customer reads no cost of the shop.
  expect(list).not.toContain('An hour of hands');
});

test('two tabs share prices, stages and the shelf: what one saves the other does not write over', async ({
  page,
  context,
}) => {
  await page.goto('/line');
  const second = await context.newPage();
  await second.goto('/shelf?part=prices');
  // In the first a stage is renamed; in the second, open all the while, a price is changed.
  await page.getByRole('button', { name: 'Stages and hours' }).click();
  await page.getByLabel('Name of stage 3').fill('Plane and sand');
  await page.getByLabel('Name of stage 3').press('Tab');
  await saved(page);
  await second.getByLabel('An hour of hands').fill('31');
  await second.getByLabel('An hour of hands').press('Enter');
  await saved(second);
  // A blank taken off in the second is off in the first.
  await second.getByRole('radiogroup', { name: 'What is on the shelf' }).getByText('Blanks', { exact: true }).click();
  await second.getByRole('button', { name: /^Change 5'9 low, PU/ }).click();
  await second.getByRole('button', { name: 'Take it off the shelf' }).click();
  await saved(second);
  // A board taken off the rack in the second is off the line in the first, and stays off.
  await second.goto('/');
  await second.getByRole('button', { name: 'More for Gannet 2' }).click();
  await second.getByRole('menuitem', { name: 'Take off the rack' }).click();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await expect(card(page, 'Gannet 2')).toHaveCount(0);
  await page.reload();
  await expect(column(page, 'Plane and sand')).toBeVisible();
  await expect(card(page, 'Gannet 2')).toHaveCount(0);
  await page.goto('/shelf?part=prices');
  await expect(page.getByLabel('An hour of hands')).toHaveValue('31');
  await page.goto('/shelf');
  await expect(page.getByRole('table', { name: 'The shelf' }).getByRole('row')).toHaveCount(30);
});
