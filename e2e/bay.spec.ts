import { readPdf } from '../core/src/testing/pdf.ts';
import { unzipSync } from 'fflate';
import DxfParser from 'dxf-parser';
import { Vector3 } from 'three';
import { PLYLoader } from 'three/examples/jsm/loaders/PLYLoader.js';
import { choose, drag, expect, litres, makePage, pickEnd, saved, startBoard, step, taken, test, type } from './shed.ts';

test('wings go on the rail by number, and the marks hold on the finished outline', async ({ page }) => {
  await startBoard(page, 'Slack Water');
  const before = await litres(page);
  await page.getByRole('button', { name: 'Add a wing' }).click();
  await expect(page.getByLabel('Wing 1 from tail')).toHaveValue('10');
  await type(page, 'Wing 1 from tail', '9');
  await type(page, 'Wing 1 depth', '1/2');
  await page.getByLabel('Wing 1 raised').fill('50');
  await page.getByLabel('Wing 1 raised').press('Enter');
  await expect.poll(() => litres(page)).not.toBe(before);
  await expect(page.getByRole('region', { name: 'Ticket' })).toContainText('14 3/4');
  await page.getByRole('button', { name: 'Take off wing 1' }).click();
  await expect(page.getByLabel('Wing 1 from tail')).toHaveCount(0);
  await page.getByRole('button', { name: /^Undo: wing 1 off/ }).click();
  await expect(page.getByLabel('Wing 1 from tail')).toHaveValue('9');
});

test('rails: a station at the hook, its numbers by hand, one rail all along', async ({ page }) => {
  await startBoard(page, 'Slack Water');
  await step(page, 'Rails');
  await expect(page.getByTestId('rails-on-plan').locator('[data-rail] path')).toHaveCount(4);
  await page.keyboard.press('Shift+ArrowRight');
  await page.getByRole('button', { name: 'Set a rail at the hook' }).click();
  await expect(page.getByTestId('rails-on-plan').locator('[data-rail] path')).toHaveCount(5);
  const before = await litres(page);
  const fullness = page.getByRole('spinbutton', { name: /^Fullness, 20 1\/4 in from tail/ });
  await fullness.fill('100');
  await fullness.press('Enter');
  await expect.poll(() => litres(page)).toBeGreaterThan(before);
  await choose(page, 'Rail, 12 in from nose', '50/50 soft');
  await page.getByRole('button', { name: 'All as 12 in from nose' }).click();
  await page.keyboard.press('w');
  await expect(page.getByRole('region', { name: 'Section at the hook' })).toContainText('50/50');
});

test('bottom: contours added, pulled along the board, switched off, taken off', async ({ page }) => {
  await startBoard(page, 'Slack Water');
  await step(page, 'Bottom');
  await choose(page, 'Add a contour', 'Channels');
  await expect(page.getByLabel('Depth of channels')).toBeVisible();
  const withChannels = await litres(page);
  await page.getByRole('switch', { name: 'Channels on' }).click();
  await expect.poll(() => litres(page)).not.toBe(withChannels);
  await page.getByRole('switch', { name: 'Channels on' }).click();
  await expect.poll(() => litres(page)).toBe(withChannels);
  await page.getByRole('button', { name: 'Take off the channels' }).click();
  await expect(page.getByLabel('Depth of channels')).toHaveCount(0);

  const single = await litres(page);
  await drag(page, page.locator('[data-depth="0.1"]'), 4, 40);
  await expect(page.getByRole('button', { name: /^Undo: single concave pulled/ })).toBeVisible();
  await expect.poll(() => litres(page)).not.toBe(single);
  await page.locator('[data-depth="0.1"]').focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('t');
  await page.getByRole('button', { name: 'Depth at the hook' }).click();
  await expect(page.getByRole('group', { name: 'Depths of the single concave' }).locator('.depth')).toHaveCount(6);
});

test('fins: template, cant, what the foam says, what else the boxes serve as', async ({ page }) => {
  await startBoard(page, 'Slack Water');
  await step(page, 'Fins');
  await choose(page, 'Fin setup', /^Five boxes$/);
  await expect(page.getByText('also thruster, quad, twin, twin and trailer')).toBeVisible();
  await choose(page, 'Front pair template', 'Twin, upright');
  await expect(page.getByLabel('Front pair base')).toHaveValue('5');
  const cant = page.getByRole('spinbutton', { name: 'Front pair cant' });
  await cant.fill('8');
  await cant.press('Enter');
  await type(page, 'Front pair from rail', '7/8');
  await expect(page.getByRole('status').filter({ hasText: 'breaks into the rail' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'The fins as a set' })).toContainText('Toe meets');
});

test('rocker is read and typed from mid-length and as it lies on a table', async ({ page }) => {
  await startBoard(page, 'Gannet');
  await step(page, 'Rocker');
  await type(page, 'Nose lift as read', '5 1/2');
  await expect(page.getByLabel('Nose lift as read')).toHaveValue('5 1/2');
  await choose(page, 'Lifts as read', 'lifts, on a table');
  const onTable = await page.getByLabel('Tail lift as read').inputValue();
  expect(onTable).not.toBe('3 1/2');
  await type(page, 'Tail lift as read', '3 1/2');
  await expect(page.getByLabel('Tail lift as read')).toHaveValue('3 1/2');
  await expect(page.getByRole('row', { name: /^along the bottom/ })).toContainText("6'8");
  await type(page, 'Nose lift as read', "9'0");
  await expect(page.getByRole('alert')).toContainText('No board with these marks');
});

test('another board laid over: lines, changes on the ticket, differences, pushed', async ({ page }) => {
  await startBoard(page, 'Slack Water', 'Maren');
  await choose(page, 'Lay over another board', 'As it was when opened');
  await type(page, 'Wide point width', '19 3/4');
  await expect(page.getByTestId('laid-over').locator('path')).toHaveCount(4);
  await expect(page.getByTestId('litres-change')).toContainText('+0.');
  await page.getByText('×3', { exact: true }).click();
  await expect(page.getByTestId('laid-over').locator('path')).toHaveCount(8);
  await page.getByText('Nose', { exact: true }).click();
  await page.getByRole('button', { name: 'Differences' }).click();
  const table = page.getByRole('dialog');
  await expect(table.getByRole('row', { name: /^Width/ })).toContainText('1/2');
  await expect(table).toContainText('1 lever differs: 1 of the outline.');
  await page.keyboard.press('Escape');
  await choose(page, 'Lay over another board', /^Gannet/);
  await expect(page.getByRole('region', { name: 'Ticket' }).locator('.change').first()).toBeVisible();
});

test('the station table: any list of stations from both ends, typed, copied and made into a page', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await startBoard(page, 'Slack Water');
  await page.getByRole('heading', { name: /Slack Water/ }).click();
  await page.keyboard.press('s');
  const table = page.getByRole('table', { name: 'Station table' });
  await expect(table.getByRole('row')).toHaveCount(13);
  await expect(table.getByRole('row', { name: /^Nose 12/ })).toContainText('11 5/8');
  const field = page.getByLabel('Stations from either end');
  await field.fill('12, 16 1/2, 419.1mm');
  await expect(table.getByRole('row')).toHaveCount(7);
  await expect(table.getByRole('row', { name: /^Tail 16 1\/2/ })).toBeVisible();
  // Half a number: it says so, and the table stays.
  await field.fill('12, 16 1/2, twelve');
  await expect(page.getByText(/“twelve” is not a length/)).toBeVisible();
  await expect(table.getByRole('row')).toHaveCount(7);
  await field.fill('12');
  await page.getByRole('dialog').getByRole('button', { name: 'Copy' }).click();
  await expect(page.getByText('copied')).toBeVisible();
  const lines = (await page.evaluate(() => navigator.clipboard.readText())).trimEnd().split('\n');
  expect(lines.map((line) => line.split('\t')[0])).toEqual(['Station', 'Nose 12', 'Wide point', 'Centre', 'Tail 12']);
  expect(lines[4].split('\t')[1]).toBe('14 3/4');
  const pdf = await taken(page, () => page.getByRole('button', { name: 'Save PDF' }).click());
  expect(pdf.name).toMatch(/^slack-water-\d+-station-table\.pdf$/);
  const [sheet] = await readPdf(pdf.bytes);
  const said = sheet.texts.map(({ text }) => text);
  for (const words of ['Tail 12', '14 3/4', '70/30']) expect(said).toContain(words);
  await page.keyboard.press('Escape');
  await expect(table).toHaveCount(0);
});

test('the ticket leaves as plain text, and every number says what it is', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await startBoard(page, 'Slack Water', 'Maren');
  await page.getByRole('button', { name: 'Copy the ticket as text' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'copied' })).toBeVisible();
  const text = await page.evaluate(() => navigator.clipboard.readText());
  for (const line of ["Length: 6'0", 'Width: 19 1/4 in', 'Fins: thruster']) expect(text.split('\n')).toContain(line);
  await expect(page.getByTitle(/12 in from the nose tip/)).toBeVisible();
});

test('keys: digits walk the steps, ? lists them', async ({ page }) => {
  await startBoard(page, 'Slack Water');
  await page.keyboard.press('7');
  await expect(page.getByRole('region', { name: 'Bottom', exact: true })).toBeVisible();
  await page.keyboard.press('5');
  await expect(page.getByRole('region', { name: 'Deck', exact: true })).toBeVisible();
  await page.keyboard.press('-');
  await expect(page.getByRole('region', { name: 'Ride', exact: true })).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('hook to 12 in from the nose');
  await page.keyboard.press('Escape');
  // The keys of the step come first.
  await page.keyboard.press('8');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog').getByRole('row').first()).toContainText('On Fins');
});

test('a first board is guided: each thing is done by hand and seen to be done, skipped or ended, and begun again', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'a first board, guided' }).click();
  const guide = page.getByRole('region', { name: 'A first board, guided' });
  await expect(page.getByRole('heading', { name: /First Board 1/ })).toBeVisible();
  await expect(guide).toContainText('1 of 8');
  const next = guide.getByRole('button', { name: 'Next' });
  await expect(next).toHaveCount(0);
  await page.keyboard.press('n');
  await next.click();
  await type(page, 'Wide point width', '19 1/2');
  await next.click();
  await guide.getByRole('button', { name: 'Skip' }).click();
  await expect(page.getByRole('region', { name: 'Rider', exact: true })).toBeVisible();
  await step(page, 'Outline');
  await guide.getByRole('button', { name: 'Go there' }).click();
  await guide.getByRole('button', { name: 'Skip' }).click();
  await type(page, 'Nose tip lift', '5 1/4');
  await next.click();
  await expect(page.getByRole('region', { name: 'Rails', exact: true })).toBeVisible();
  await guide.getByRole('button', { name: 'End' }).click();
  await expect(guide).toHaveCount(0);
  // The board stays, and another can be begun.
  await page.goto('/');
  await expect(page.getByText('11 boards at one true scale')).toBeVisible();
  await page.getByRole('button', { name: 'a first board, guided' }).click();
  await expect(page.getByRole('heading', { name: /First Board 2/ })).toBeVisible();
  await expect(guide).toContainText('1 of 8');
});

test('the rack: sort, filter, copy, rename, put away, take off, and back again', { tag: '@pass' }, async ({ page }) => {
  await page.goto('/');
  const names = () => page.getByRole('listitem').evaluateAll((all) => all.map((g) => g.getAttribute('data-board')));
  await expect(page.getByText('10 boards at one true scale')).toBeVisible();
  expect((await names())[0]).toBe('Kettle 7');
  await page.getByText('Litres', { exact: true }).click();
  expect((await names()).at(-1)).toBe('Long Quay 9');
  await choose(page, 'Which boards', /^Gun$/);
  await expect.poll(names).toEqual(['North Ledge 4']);
  const more = async (board: string, what: string) => {
    await page.getByRole('button', { name: `More for ${board}` }).click();
    await page.getByRole('menuitem', { name: what }).click();
  };
  await more('North Ledge 4', 'Copy');
  await expect.poll(names).toHaveLength(2);
  await more('North Ledge 5', 'Rename');
  await page.getByLabel('New name').fill('Skerry');
  await page.getByRole('button', { name: 'OK' }).click();
  await expect.poll(names).toContain('Skerry 5');
  await more('Skerry 5', 'Put away');
  await expect.poll(names).toEqual(['North Ledge 4']);
  // Some of the demo's are put away as well.
  const skerries = async () => (await names()).filter((name) => name?.startsWith('Skerry'));
  await choose(page, 'Which boards', /^Put away$/);
  await expect.poll(skerries).toEqual(['Skerry 5']);
  await more('Skerry 5', 'Take off the rack');
  await expect.poll(skerries).toEqual([]);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(skerries).toEqual(['Skerry 5']);
  await saved(page);
  await page.reload();
  await choose(page, 'Which boards', /^Put away$/);
  await expect.poll(skerries).toEqual(['Skerry 5']);
});

test('drawings and solids leave in every format and open elsewhere', async ({ page }) => {
  await startBoard(page, 'Peat Fire');
  await step(page, 'Make');
  await makePage(page, 'Lines, solids');
  const dxf = await taken(page, () => page.getByRole('button', { name: 'Fins (DXF)' }).click());
  expect(dxf.name).toMatch(/^peat-fire-\d+-fins\.dxf$/);
  expect(new DxfParser().parseSync(dxf.bytes.toString('utf8'))?.header.$INSUNITS).toBe(4);
  const threeMf = await taken(page, () => page.getByRole('button', { name: 'Solid (3MF)' }).click());
  expect(Object.keys(unzipSync(new Uint8Array(threeMf.bytes)))).toContain('3D/3dmodel.model');
  const obj = await taken(page, () => page.getByRole('button', { name: 'Solid (OBJ)' }).click());
  expect(obj.bytes.toString('utf8')).toMatch(/\nf \d+ \d+ \d+\n/);
  const ply = await taken(page, () => page.getByRole('button', { name: 'Solid (PLY)' }).click());
  const solid = new PLYLoader().parse(new Uint8Array(ply.bytes).buffer);
  solid.computeBoundingBox();
  // A 5'8 is 1727.2 mm long.
  expect(Math.max(...solid.boundingBox!.getSize(new Vector3()).toArray())).toBeCloseTo(1727.2, 1);
  const csv = await taken(page, () => page.getByRole('button', { name: 'Station table (CSV)' }).click());
  expect(csv.bytes.toString('utf8')).toMatch(/\nnose,304\.8,/);
});

test('a newcomer draws a winged swallow-tail twin to given numbers, and finds them on the ticket and in the table', async ({
  page,
}) => {
  test.setTimeout(90_000);
  await startBoard(page, 'Slack Water');
  await type(page, 'Length', "5'9");
  await type(page, 'Wide point width', '20 1/8');
  await type(page, 'Nose 12 width', '13 1/4');
  await type(page, 'Tail 12 width', '15');
  await pickEnd(page, 'Tail', 'Swallow');
  await type(page, 'Tail depth', '2 3/4');
  await page.getByRole('button', { name: 'Add a wing' }).click();
  await type(page, 'Wing 1 from tail', '9 1/2');
  await type(page, 'Wing 1 depth', '3/8');
  // The wing took from the block what it stepped in: it is set last.
  await type(page, 'Block width', '7 1/2');
  await step(page, 'Rocker');
  await type(page, 'Nose tip lift', '4 1/4');
  await type(page, 'Tail tip lift', '2 1/8');
  await step(page, 'Foil');
  await type(page, 'Thickest thick', '2 1/2');
  await step(page, 'Fins');
  await choose(page, 'Fin setup', /^Twin$/);
  await step(page, 'Make');
  await makePage(page, 'Lines, solids');
  const csv = (
    await taken(page, () => page.getByRole('button', { name: 'Station table (CSV)' }).click())
  ).bytes.toString();
  const row = (from: string, at: string) =>
    csv
      .split('\r\n')
      .find((line) => line.startsWith(`${from},${at},`))!
      .split(',')
      .map(Number);
  const near = (got: number, inches: number) => expect(Math.abs(got / 25.4 - inches)).toBeLessThan(1 / 32);
  near(row('nose', '304.8')[3], 13.25);
  near(row('tail', '304.8')[3], 15);
  near(row('wide', '0')[3], 20.125);
  const ticket = page.getByRole('region', { name: 'Ticket' });
  for (const words of ["5'9", '20 1/8', '2 1/2', '13 1/4', '15', '7 1/2', '4 1/4', '2 1/8']) {
    await expect(ticket).toContainText(words);
  }
});

test('a newcomer draws a nose rider with a teardrop concave', async ({ page }) => {
  await startBoard(page, 'Lamplight');
  await type(page, 'Length', "9'6");
  await type(page, 'Wide point width', '23 1/4');
  await type(page, 'Nose 12 width', '18 1/2');
  await type(page, 'Tail 12 width', '15 1/4');
  await pickEnd(page, 'Tail', 'Square');
  await step(page, 'Bottom');
  await choose(page, 'A usual bottom to begin from', 'Nose concave and belly');
  await type(page, 'Depth of nose concave', '1/4');
  await page.getByRole('heading', { name: 'Bottom' }).click();
  await page.keyboard.press('n');
  await expect(page.getByTestId('straightedge-says')).toContainText('light at the stringer');
  const ticket = page.getByRole('region', { name: 'Ticket' });
  for (const words of ["9'6", '23 1/4', '18 1/2', '15 1/4']) await expect(ticket).toContainText(words);
});

test('a contour the foam has no room for says what was asked and what is given', async ({ page }) => {
  await startBoard(page, 'Slack Water');
  await step(page, 'Bottom');
  const bench = page.getByRole('region', { name: 'Bottom' });
  await expect(bench.getByRole('status')).toHaveCount(0);
  await type(page, 'Depth of single concave', '1 1/2');
  // Foam 1 7/8 thick there has a limit of 0.45 of it, 27/32, and 1 1/2 comes to within a hundredth of that.
  await expect(bench.getByRole('status')).toContainText('Single concave: asked 1 1/2 in, given 13/16 in.');
  await type(page, 'Depth of single concave', '3/8');
  await expect(bench.getByRole('status')).toHaveCount(0);
});
