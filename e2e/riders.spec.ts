// The riders of the shop: their cards, their boards, what changed and how it went.
import { expect, saved, step, taken, test } from './shed.ts';

test('a rider’s card: weighed again, every board with what changed, a board begun, all of it handed out', async ({
  page,
}) => {
  await page.goto('/riders');
  await page.getByLabel('Find a rider').fill('mar');
  await page.getByRole('link', { name: /^Maren/ }).click();
  const card = page.getByRole('region', { name: 'Rider’s card' });
  await expect(card.getByRole('heading', { name: 'Maren' })).toBeVisible();
  await expect(card.getByTestId('quiver')).toContainText(
    /Slack Water \d+.* of the \d+ kinds of waves within Maren’s surfing/,
  );
  await expect(card).toContainText('Against Slack Water 104: 2 longer, 1/4 wider, 1/16 thicker, +1.9 L');
  await expect(card).toContainText('Weighed once');

  // Weighed again: the old weight stays with its date, and both are drawn.
  await card.getByRole('button', { name: 'Change the card' }).click();
  await page.getByLabel('Weight').fill('81 kg');
  await page.getByRole('button', { name: 'Keep rider' }).click();
  await expect(card.getByRole('img', { name: /Weights, boards and rides: 10 Jan 2026 76 kg; .* 81 kg/ })).toBeVisible();
  await expect(card).toContainText('0.41 L per kg at 76 kg');

  // What she said of the last one stands with it.
  await card.getByRole('link', { name: 'Slack Water 118' }).click();
  await step(page, 'Ride');
  await page.getByLabel('How it went').fill('Held on the long wall, a touch slow off the bottom');
  await page.getByRole('button', { name: 'Note the ride' }).click();
  await saved(page);
  await page.goto('/riders/maren');
  await expect(card).toContainText('Held on the long wall');

  const sheet = await taken(page, () => card.getByRole('button', { name: /All that is kept of them/ }).click());
  expect(sheet.name).toBe('maren.json');
  const read = JSON.parse(sheet.bytes.toString('utf8')) as { rider: { mass_kg: number }; boards: unknown[] };
  expect(read.rider.mass_kg).toBe(81);
  expect(read.boards).toHaveLength(2);

  // Put away and had back; the boards stay all the while.
  await card.getByRole('button', { name: 'Put the card away' }).click();
  await expect(page.getByRole('navigation', { name: 'All riders' })).not.toContainText('Maren');
  await page.locator('.ant-message').getByRole('button', { name: 'Undo', exact: true }).click();
  await page.getByLabel('Find a rider').fill('');
  await page.getByRole('link', { name: /^Maren/ }).click();
  await expect(card).toContainText('Slack Water 118');
  await saved(page);
  await page.reload();
  await expect(card.getByRole('heading', { name: 'Maren' })).toBeVisible();

  await card.getByRole('button', { name: 'A board for Maren' }).click();
  await expect(page.getByRole('region', { name: 'Rider', exact: true })).toContainText('81 kg');
  await page.goto('/riders/nobody');
  await expect(page.getByText('This rider has no card here.')).toBeVisible();
});
