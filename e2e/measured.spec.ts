// A board that exists brought onto the rack by what is read off it.
import { choose, expect, step, test } from './shed.ts';

test('a board is measured: length, width, thickness are enough, each reading more is met, slips are told', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'a board you bring in' }).click();
  const readings = page.getByRole('region', { name: 'Readings' });
  const read = async (label: string, text: string) => {
    const field = readings.getByLabel(label, { exact: true });
    await field.fill(text);
    await field.press('Tab');
  };
  await expect(page.getByText('The length is not there yet', { exact: false })).toBeVisible();
  await read('Length, tip to tip', "6'1");
  await read('Width at the widest', '19 3/4');
  await read('Thickness in the middle', '2 1/2');
  const size = page.getByTestId('brought-size');
  await expect(size).toContainText("6'1");
  await expect(size).toContainText('19 3/4');
  await expect(page.getByRole('img', { name: 'The board as it was read', exact: true })).toBeVisible();
  await expect(page.getByText('From 3 readings.', { exact: false })).toBeVisible();
  await read('Width 12 in from the tail', '14 3/8');
  await read('Lift at the nose tip', '5 1/2');
  // A slip of the unit is told where it was made, and nothing is taken of it.
  await read('Width 12 in from the nose', '300 in');
  await expect(readings.getByRole('alert')).toContainText('is it in another unit?');
  await read('Width 12 in from the nose', '11 7/8');
  await expect(readings.getByRole('alert')).toHaveCount(0);
  await expect(page.getByText('From 6 readings.', { exact: false })).toBeVisible();
  await choose(page, 'Tail of the board', 'Rounded pin');
  await page.getByLabel('Name of the board').fill('Rafter Fish');
  await page.getByRole('button', { name: 'Put it on the rack' }).click();
  await expect(page.getByRole('heading', { name: /Rafter Fish 1/ })).toBeVisible();
  const ticket = page.getByRole('region', { name: 'Ticket' });
  await expect(ticket).toContainText('14 3/8');
  await expect(ticket).toContainText('11 7/8');
  await expect(ticket).toContainText('5 1/2');
  await step(page, 'Rocker');
  await expect(page.getByLabel('Nose tip lift', { exact: true })).toHaveValue('5 1/2');
});

test('a board is measured across, left and right: its rails are the board’s, how its sides differ and what is left open is told', async ({
  page,
}) => {
  test.setTimeout(90_000);
  await page.goto('/measured');
  const readings = page.getByRole('region', { name: 'Readings' });
  const read = async (label: string, text: string) => {
    const field = readings.getByLabel(label, { exact: true });
    await field.fill(text);
    await field.press('Tab');
  };
  await read('Length, tip to tip', "6'");
  await read('Width at the widest', '20');
  await read('Thickness in the middle', '2 1/2');
  const litres = page.getByTestId('measured-litres');
  const range = async () => {
    const [, low, high] = /between ([\d.]+) L and ([\d.]+) L/.exec((await litres.textContent()) ?? '') ?? [];
    return Number(high) - Number(low);
  };
  await expect(litres).toBeVisible({ timeout: 30_000 });
  await expect(page.locator('.measured-board .open-band')).toHaveCount(2);
  const open = await range();
  expect(open).toBeGreaterThan(1);

  await readings.getByText('Rails, deck and bottom across: 0 of 18 read').click();
  await readings.getByRole('switch', { name: 'Left and right by themselves' }).click();
  await read('Width 12 in from the nose, left', '6');
  await read('Width 12 in from the nose, right', '6 1/2');
  await read('Width 12 in from the tail, left', '7 1/4');
  await read('Width 12 in from the tail, right', '7 1/4');
  await read('Edge in from the apex, middle, left', '1 1/8');
  await read('Edge in from the apex, middle, right', '1 1/8');
  await read('Hollow at the stringer, middle', '1/4');
  await expect(readings.getByText('Rails, deck and bottom across: 2 of 18 read')).toBeVisible();
  await expect(page.getByRole('list', { name: 'Right against left' })).toHaveText(
    'Width 12 in from the nose: 12.7 mm more right',
  );
  // More was read: less is left open.
  await expect.poll(range).toBeLessThan(open);

  // Lifts that no board has together are told by the tool that read them, and count for less where it is said to be rough.
  await read('Lift 12 in from the tail', '1/2');
  await read('Lift 24 in from the tail', '9/16');
  const said = page.getByRole('region', { name: 'What it makes' });
  await expect(said).toContainText('Furthest off what was read: Lift');
  await expect(said).toContainText('read it again');
  const error = readings.getByLabel('How far a reading may be off: Straightedge on the bottom');
  await error.fill('20');
  await error.press('Tab');
  await expect(said).not.toContainText('read it again');
  await read('Lift 12 in from the tail', '');
  await read('Lift 24 in from the tail', '');

  await page.getByLabel('Name of the board').fill('Uneven Find');
  await page.getByRole('button', { name: 'Put it on the rack' }).click();
  await expect(page.getByRole('heading', { name: /Uneven Find 1/ })).toBeVisible();
  const ticket = page.getByRole('region', { name: 'Ticket' });
  await expect(ticket).toContainText('12 1/2');
  await step(page, 'Rails');
  const tucks = page.getByRole('region', { name: 'Rails' }).getByLabel(/^Tuck, /);
  await expect(tucks.first()).toBeVisible();
  const values = await tucks.evaluateAll((fields) => fields.map((field) => (field as HTMLInputElement).value));
  expect(values).toContain('1 1/8');
});
