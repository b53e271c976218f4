// A board that exists brought onto the rack by its drawing and by its scan, with files as other programs write them.
import { madeUpGauge, USUAL_GAUGE } from '@june-tide/core/bring';
import { DRAWINGS, drawingToSvg, meshToStl } from '@june-tide/core/files';
import { drawingToDxf } from '@june-tide/core/files/packages';
import { volume_L } from '@june-tide/core/measure';
import { modelNamed } from '@june-tide/core/models';
import { railAt } from '@june-tide/core/rails';
import { shapeOf } from '@june-tide/core/shape';
import { meshOf } from '@june-tide/core/solid';
import type { Page } from '@playwright/test';
import { choose, expect, step, test, type } from './shed.ts';

const MM = { kind: 'mm' } as const;
const file = (name: string, content: string | Uint8Array) => ({
  name,
  mimeType: 'application/octet-stream',
  buffer: Buffer.from(content),
});

test(
  'a board comes in by its drawing: lines told apart, the unit asked, a wrong file refused, the misfit told',
  { tag: '@pass' },
  async ({ page }) => {
    const shape = shapeOf(modelNamed('Two Stairs')!);
    await page.goto('/');
    await page.getByRole('button', { name: 'a board you bring in' }).click();
    await page.getByRole('link', { name: 'A drawing' }).click();
    const picker = page.getByLabel('A drawing, SVG or DXF');
    await picker.setInputFiles(file('letter.svg', 'Dear shaper'));
    await expect(page.getByRole('alert')).toContainText('This is no drawing');
    // A profile in a DXF: rocker and foil are its own, and it says so.
    await picker.setInputFiles(file('stringer.dxf', drawingToDxf(DRAWINGS.rocker.draw(shape, MM), 'splines')));
    await expect(page.getByRole('alert')).toHaveCount(0);
    const misfits = page.getByRole('table', { name: 'How near it came' });
    await expect(misfits.getByRole('row', { name: /Foil 0\.0\d mm/ })).toBeVisible({ timeout: 30_000 });
    // The outline in an SVG that does not say what its unit is: the one by which it is a board.
    const bare = drawingToSvg(DRAWINGS.outline.draw(shape, MM)).replace(/(width|height)="([\d.]+)mm"/g, '');
    await picker.setInputFiles(file('Two Stairs from the wall.svg', bare));
    await expect(page.getByText('The file does not say its unit', { exact: false })).toBeVisible();
    await expect(misfits.getByRole('row', { name: /Outline 0\.0\d mm/ })).toBeVisible({ timeout: 60_000 });
    await expect(page.getByTestId('brought-size')).toContainText("5'10");
    await expect(page.getByTestId('usual-area')).toContainText(/Plan area \d+ sq in; \d+ sq in to \d+ sq in is usual/);
    await choose(page, 'Unit of the drawing', 'in');
    await expect(page.getByText('is it in another unit?', { exact: false })).toBeVisible({ timeout: 30_000 });
    await choose(page, 'Unit of the drawing', 'mm');
    await expect(misfits).toBeVisible({ timeout: 60_000 });
    await page.getByLabel('Name of the board').fill('Wall Fish');
    await page.getByRole('button', { name: 'Put it on the rack' }).click();
    await expect(page.getByRole('heading', { name: /Wall Fish 1/ })).toBeVisible();
    await step(page, 'Outline');
    await expect(page.getByRole('region', { name: 'Ticket' })).toContainText("5'10");
  },
);

test('a board comes in by its scan: an STL with a unit of its own; a file cut off is refused; work under way is stopped', async ({
  page,
}) => {
  const shape = shapeOf(modelNamed('Slack Water')!);
  await page.goto('/bring/scan');
  const picker = page.getByLabel('A scan', { exact: true });
  // Mirrored: its right is the board's left, and its faces look inward.
  const mesh = meshOf(shape, { stations: 160, ring: 64 });
  const stl = meshToStl(
    { ...mesh, positions: mesh.positions.map((value, i) => (i % 3 === 1 ? -value : value)) },
    'scan',
  );
  await picker.setInputFiles(file('cut.stl', stl.subarray(0, stl.length - 40)));
  const makes = page.getByRole('region', { name: 'What it makes' });
  await expect(makes).toContainText('it was cut off', { timeout: 30_000 });
  await page.getByRole('button', { name: 'Try it with a made-up scan' }).click();
  await makes.getByRole('button', { name: 'Stop' }).click({ timeout: 30_000 });
  await expect(makes).toContainText('Stopped.');
  await picker.setInputFiles(file('rafters.stl', stl));
  const off = page.getByTestId('scan-off');
  await expect(off).toBeVisible({ timeout: 120_000 });
  expect(Number.parseFloat(await off.innerText())).toBeLessThan(1);
  const litres = Number(/([\d.]+) L/.exec(await page.getByTestId('brought-size').innerText())?.[1]);
  expect(Math.abs(litres / volume_L(shape) - 1)).toBeLessThan(0.01);
  await expect(page.getByRole('img', { name: /How far the scan is off the board/ })).toBeVisible();
  await expect(page.getByText('The nose is the end that is lifted more.')).toContainText('Its faces look inward');
  await page.getByRole('button', { name: 'Put it on the rack' }).click();
  await expect(page.getByRole('heading', { name: /rafters 1/ })).toBeVisible();
});

/** A PNG so many pixels wide: a pale ellipse on grey, nine tenths of that long and 0.24 of it wide. */
const leaf = (page: Page, width: number) =>
  page.evaluate(async (wide) => {
    const canvas = new OffscreenCanvas(wide, 0.4 * wide);
    const context = canvas.getContext('2d')!;
    context.fillStyle = '#445566';
    context.fillRect(0, 0, wide, 0.4 * wide);
    context.fillStyle = '#f2ead8';
    context.beginPath();
    context.ellipse(0.5 * wide, 0.2 * wide, 0.45 * wide, 0.12 * wide, 0, 0, 2 * Math.PI);
    context.fill();
    return Array.from(new Uint8Array(await (await canvas.convertToBlob()).arrayBuffer()));
  }, width);

test('a board comes in by a picture: HEIC refused, the outline found, a mark moved by keys, two points and a length', async ({
  page,
}) => {
  await page.goto('/bring/photo');
  const picker = page.getByLabel('A picture of a board');
  await picker.setInputFiles(file('phone.heic', '\0\0\0\x18ftypheic\0\0'));
  await expect(page.getByRole('alert')).toContainText('save it as JPEG');
  await page.getByRole('button', { name: 'Try it with a made-up picture' }).click();
  const size = page.getByTestId('brought-size');
  await expect(size).toContainText("5'7", { timeout: 60_000 });
  await expect(page.getByRole('table', { name: 'How near it came' })).toContainText('Outline');
  // Any picture: a pale ellipse of 1800 by 480 pixels on grey, told by its two ends and its length.
  const png = await leaf(page, 2000);
  await picker.setInputFiles(file('leaf.png', Uint8Array.from(png)));
  await page.getByText('Two points', { exact: true }).click();
  // The marks begin a tenth in from both sides: at its ends.
  await page.getByRole('button', { name: /First point/ }).focus();
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowRight');
  await type(page, 'From one to two', "5'10");
  // Pulled 200 of 2000 px in from either side they are 1600 px apart; it is 1800 px long.
  await page.getByRole('button', { name: 'Find the outline' }).click();
  await expect(size).toContainText("6'6 3/4", { timeout: 60_000 });
  await expect(size).toContainText('21', { timeout: 60_000 });
  await page.getByLabel('Name of the board').fill('Leaf');
  await page.getByRole('button', { name: 'Put it on the rack' }).click();
  await expect(page.getByRole('heading', { name: /Leaf 1/ })).toBeVisible();
});

test('where the line of a picture is wrong it is put right by marks on the edge, by hand and by keys', async ({
  page,
}) => {
  test.setTimeout(90_000);
  await page.goto('/bring/photo');
  await page.getByLabel('A picture of a board').setInputFiles(file('leaf.png', Uint8Array.from(await leaf(page, 800))));
  await page.getByText('Two points', { exact: true }).click();
  await type(page, 'From one to two', "5'10");
  await page.getByRole('button', { name: 'Find the outline' }).click();
  const size = page.getByTestId('brought-size');
  await expect(size).toContainText(/× (\D*)21/, { timeout: 60_000 });
  // Where the line is wrong, a press says where the edge is: here an eighth of its width farther out than it was found.
  const stand = page.locator('.photo-stand svg');
  const { width, height } = (await stand.boundingBox())!;
  for (const share of [100 / 800, 700 / 800]) {
    await stand.click({ position: { x: width / 2 + 30, y: share * height } });
  }
  await expect(page.getByRole('button', { name: /^Edge mark 2/ })).toBeVisible();
  await expect(size).toContainText(/× (\D*)2[2-6]/, { timeout: 60_000 });
  // One by the keys, all by the button; then it is as it was found.
  await page.getByRole('button', { name: /^Edge mark 1/ }).focus();
  await page.keyboard.press('Delete');
  await expect(page.getByRole('button', { name: /^Edge mark 2/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Take the mark off' }).click();
  await expect(size).toContainText(/× (\D*)21/, { timeout: 60_000 });
  // Without a mouse a mark begins on the line and is moved by the keys.
  await page.getByRole('button', { name: 'Set a mark on the line' }).press('Enter');
  await page.getByRole('button', { name: /^Edge mark 1/ }).press('Shift+ArrowUp');
  await page.getByRole('button', { name: /^Edge mark 1/ }).press('Delete');
  await expect(page.getByRole('button', { name: /^Edge mark/ })).toHaveCount(0);
  await expect(size).toContainText(/× (\D*)21/, { timeout: 60_000 });
});

test('a rail comes in by a gauge: typed points, a section of a drawing, marks on a picture; it goes onto the board as one step', async ({
  page,
}) => {
  const shape = shapeOf(modelNamed('Kettle')!);
  const x = 0.5 * shape.board.length_mm;
  const gauge = madeUpGauge(shape, x, { ...USUAL_GAUGE, noise_mm: 0 })!;
  await page.goto('/bay/skarn-slack-118/rails');
  await page.getByRole('link', { name: 'From a gauge or a template' }).click();
  await expect(page.getByRole('combobox', { name: 'The board' })).toBeVisible();
  await type(page, 'Where the gauge was set, from the tail', "3'0");
  await page.getByRole('button', { name: 'Type points' }).click();
  const points = page.getByLabel('Points of the rail');
  await points.fill('0 12\n3 x');
  const makes = page.getByRole('region', { name: 'What it makes' });
  await expect(makes).toContainText('Line 2, “3 x”, is not two numbers.');
  await points.fill(gauge.points.map((p) => `${p.x.toFixed(2)} ${p.y.toFixed(2)}`).join('\n'));
  const misfit = page.getByTestId('rail-misfit');
  await expect(misfit).toHaveText(/^0\.0\d mm off in the mean$/, { timeout: 30_000 });
  const apexOf = (at: number) => `${Math.round(100 * railAt(shape.rails, at).apex)} %`;
  await expect(
    page.getByRole('table', { name: 'The rail as gauged' }).getByRole('row', { name: /Apex/ }),
  ).toContainText(apexOf(x));
  // A drawing: its sections are offered, one is taken.
  await page
    .getByLabel('A picture or a drawing of a rail')
    .setInputFiles(file('sections.svg', drawingToSvg(DRAWINGS.sections.draw(shape, MM))));
  const lines = page.getByRole('list', { name: 'Lines of the drawing' });
  await expect(lines.getByRole('button', { name: 'The rail' })).toHaveCount(1);
  await lines.getByRole('button', { name: 'Take line 3' }).click();
  await expect(misfit).toBeVisible({ timeout: 30_000 });
  // A picture: a pencil line on white, beside it 100 mm between two marks; pressed along, each mark goes to the line.
  const png = await page.evaluate((rail) => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [900, 600];
    const pen = canvas.getContext('2d')!;
    pen.fillStyle = '#f4f1ea';
    pen.fillRect(0, 0, 900, 600);
    pen.lineWidth = 3;
    pen.strokeStyle = '#333';
    pen.beginPath();
    for (const [k, p] of rail.entries()) {
      if (k === 0) pen.moveTo(450 + 5 * p.x, 300 - 5 * p.y);
      else pen.lineTo(450 + 5 * p.x, 300 - 5 * p.y);
    }
    pen.stroke();
    return canvas.toDataURL('image/png').split(',')[1];
  }, gauge.points);
  await page
    .getByLabel('A picture or a drawing of a rail')
    .setInputFiles({ name: 'gauge.png', mimeType: 'image/png', buffer: Buffer.from(png, 'base64') });
  await page.getByText('Two points', { exact: true }).click();
  const svg = page.locator('.photo-stand svg');
  const box = (await svg.boundingBox())!;
  const scale = box.width / 900;
  // The two first marks stand 720 px of the picture apart; the picture has 5 px a mm.
  await type(page, 'From one to two', '144 mm');
  await expect(makes).not.toContainText('off in the mean');
  for (const p of gauge.points.filter((_, k) => k % 7 === 0)) {
    await page.mouse.click(box.x + (452 + 5 * p.x) * scale, box.y + (301 - 5 * p.y) * scale);
  }
  await expect(misfit).toHaveText(/^0\.[0-3]\d mm off in the mean$/, { timeout: 30_000 });
  await page.getByRole('button', { name: 'Put it on Slack Water' }).click();
  await expect(page).toHaveURL(/skarn-slack-118\/rails/);
  await page.keyboard.press('Control+z');
  await expect(page.getByText(/rail from a gauge/).first()).toBeVisible();
});
