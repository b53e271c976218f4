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
  const size = page.getByTestId('measured-size');
  await expect(size).toContainText("6'1");
  await expect(size).toContainText('19 3/4');
  await expect(page.getByRole('img', { name: 'The board as it was read' })).toBeVisible();
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
