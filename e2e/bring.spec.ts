// A board that exists brought onto the rack by its drawing and by its scan, with files as other programs write them.
import { DRAWINGS, drawingToSvg, meshToStl } from '@june-tide/core/files';
import { drawingToDxf } from '@june-tide/core/files/packages';
import { volume_L } from '@june-tide/core/measure';
import { modelNamed } from '@june-tide/core/models';
import { shapeOf } from '@june-tide/core/shape';
import { meshOf } from '@june-tide/core/solid';
import { choose, expect, step, test, type } from './shed.ts';

const MM = { kind: 'mm' } as const;
const file = (name: string, content: string | Uint8Array) => ({
  name,
  mimeType: 'application/octet-stream',
  buffer: Buffer.from(content),
});

test('a board comes in by its drawing: lines told apart, the unit asked, a wrong file refused, the misfit told', async ({
  page,
}) => {
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
});

test('a board comes in by its scan: an STL with a unit of its own; a file cut off is refused; work under way is stopped', async ({
  page,
}) => {
  const shape = shapeOf(modelNamed('Slack Water')!);
  await page.goto('/bring/scan');
  const picker = page.getByLabel('A scan', { exact: true });
  const stl = meshToStl(meshOf(shape, { stations: 160, ring: 64 }), 'scan');
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
  await expect(page.getByText('The nose is the end that is lifted more.')).toBeVisible();
  await page.getByRole('button', { name: 'Put it on the rack' }).click();
  await expect(page.getByRole('heading', { name: /rafters 1/ })).toBeVisible();
});

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
  const png = await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(2000, 800);
    const context = canvas.getContext('2d')!;
    context.fillStyle = '#445566';
    context.fillRect(0, 0, 2000, 800);
    context.fillStyle = '#f2ead8';
    context.beginPath();
    context.ellipse(1000, 400, 900, 240, 0, 0, 2 * Math.PI);
    context.fill();
    const bytes = new Uint8Array(await (await canvas.convertToBlob()).arrayBuffer());
    return Array.from(bytes);
  });
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
