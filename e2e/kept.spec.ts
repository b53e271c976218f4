// What is kept: the bin, the shop's own day, its own units, addresses that are none.
import dayjs from 'dayjs';
import { TEST_DAY } from '../testing/clock.mjs';
import { choose, expect, pickEnd, saved, startBoard, step, test, type } from './shed.ts';

test('a board taken off the rack lies in the bin with its rides until it is put back or thrown away', async ({
  page,
}) => {
  await page.goto('/bay/skarn-gannet-2/ride');
  await page.getByLabel('How it went').fill('held through the flats');
  await page.getByRole('button', { name: 'Note the ride' }).click();
  await saved(page);
  await page.goto('/');
  await page.getByRole('button', { name: 'More for Gannet 2' }).click();
  await page.getByRole('menuitem', { name: 'Take off the rack' }).click();
  await expect(page.getByRole('link', { name: /^Open Gannet 2/ })).toHaveCount(0);
  await saved(page);
  // Long after the eight seconds of the notice.
  await page.reload();
  await page.goto('/bay/skarn-gannet-2/ride');
  await expect(page.getByText('This board is in the bin')).toBeVisible();
  await page.goto('/');
  await choose(page, 'Which boards', 'The bin, 1');
  await expect(page.getByRole('heading', { name: 'The bin' })).toBeVisible();
  await page.getByRole('button', { name: 'More for Gannet 2' }).click();
  await page.getByRole('menuitem', { name: 'Put back on the rack' }).click();
  await expect(page.getByText('The bin is empty', { exact: false })).toBeVisible();
  await page.goto('/bay/skarn-gannet-2/ride');
  await expect(page.getByText('held through the flats').first()).toBeVisible();
  // Thrown away for good, only after being asked.
  await page.goto('/');
  await page.getByRole('button', { name: 'More for Gannet 2' }).click();
  await page.getByRole('menuitem', { name: 'Take off the rack' }).click();
  await choose(page, 'Which boards', 'The bin, 1');
  await page.getByRole('button', { name: 'More for Gannet 2' }).click();
  await page.getByRole('menuitem', { name: 'Throw away for good' }).click();
  const asked = page.getByRole('dialog', { name: 'Throw Gannet 2 away?' });
  await expect(asked).toContainText('1 noted ride');
  await asked.getByRole('button', { name: 'Keep it in the bin' }).click();
  await page.getByRole('button', { name: 'More for Gannet 2' }).click();
  await page.getByRole('menuitem', { name: 'Throw away for good' }).click();
  await asked.getByRole('button', { name: 'Throw it away' }).click();
  await saved(page);
  await page.reload();
  await page.goto('/bay/skarn-gannet-2/ride');
  await expect(page.getByText('This board is not on the rack')).toBeVisible();
});

test('two boards never bear one name and number', async ({ page }) => {
  await startBoard(page, 'Kettle');
  await page.goto('/');
  await page.getByRole('button', { name: 'More for Kettle 8' }).click();
  await page.getByRole('menuitem', { name: 'Rename' }).click();
  const name = page.getByRole('dialog', { name: 'Rename Kettle 8' }).getByLabel('New name');
  await name.fill('North Ledge');
  await name.press('Enter');
  await expect(page.getByText('Kettle 8 is now North Ledge 8.')).toBeVisible();
  await page.getByRole('button', { name: 'More for North Ledge 8' }).click();
  await page.getByRole('menuitem', { name: 'Copy' }).click();
  await page.getByRole('button', { name: 'More for North Ledge 9' }).click();
  await page.getByRole('menuitem', { name: 'Rename' }).click();
  const again = page.getByRole('dialog', { name: 'Rename North Ledge 9' }).getByLabel('New name');
  await again.fill('Kettle');
  await again.press('Enter');
  await expect(page.getByText('North Ledge 9 is now Kettle 9.')).toBeVisible();
});

test('addresses that are none say so, whatever they spell', async ({ page }) => {
  for (const id of ['__proto__', 'constructor', 'toString']) {
    await page.goto(`/bay/${id}/outline`);
    await expect(page.getByText('This board is not on the rack')).toBeVisible();
    await page.goto(`/sizes/${id}`);
    await expect(page.getByText('This board is not on the rack')).toBeVisible();
    await page.goto(`/riders/${id}`);
    await expect(page.getByText('This rider has no card here.')).toBeVisible();
    await page.goto(`/start?rider=${id}`);
    await expect(page.getByRole('heading', { name: /Who is it for/ })).toBeVisible();
  }
});

test.describe('at eight in the morning in Sydney', () => {
  test.use({ timezoneId: 'Australia/Sydney' });

  test('a ride and a weighing bear the day it is there', async ({ page }) => {
    await page.clock.setSystemTime('2026-11-25T21:00:00.000Z');
    await page.goto('/bay/skarn-slack-118/ride');
    await page.getByLabel('How it went').fill('first light, quick');
    await page.getByRole('button', { name: 'Note the ride' }).click();
    // The ride itself, within its version.
    const ride = page.getByRole('listitem').filter({ hasText: 'first light, quick' }).last();
    await expect(ride).toContainText('26 Nov 2026');
    await page.goto('/riders/maren');
    await page.getByRole('button', { name: 'Change the card' }).click();
    await page.getByLabel('Weight').fill('77 kg');
    await page.getByLabel('Length of board 1').waitFor({ state: 'detached' });
    await page.getByRole('button', { name: 'Add a board they ride' }).click();
    await page.getByLabel('Board 1', { exact: true }).fill('Old pintail');
    await page.getByLabel('Length of board 1').fill("6'8");
    await page.getByRole('button', { name: 'Keep rider' }).click();
    await expect(page.getByRole('heading', { name: 'Maren' })).toBeVisible();
    await saved(page);
    const kept = await page.evaluate(
      () =>
        new Promise<{ weights: { on: string }[]; boards: { length_mm?: number }[] }>((done) => {
          const opening = indexedDB.open('june-tide');
          opening.onsuccess = () => {
            const asked = opening.result.transaction('riders').objectStore('riders').get('maren');
            asked.onsuccess = () =>
              done(asked.result as { weights: { on: string }[]; boards: { length_mm?: number }[] });
          };
        }),
    );
    expect(kept.weights.at(-1)?.on).toBe('2026-11-26');
    expect(kept.boards[0].length_mm).toBeCloseTo(80 * 25.4, 6);
  });
});

test('a metric shop reads no inches at rails, fins and refusals', async ({ page }) => {
  await page.goto('/settings');
  await choose(page, 'Lengths', 'centimetres');
  await startBoard(page, 'Slack Water');
  await step(page, 'Rails');
  const rails = page.getByRole('region', { name: 'Rails' });
  for (const name of ['30.5 cm from nose', 'Wide point', '30.5 cm from tail', '5.1 cm from tail']) {
    await expect(rails.getByLabel(`Place of the rail ${name}`)).toBeVisible();
  }
  await expect(rails.getByRole('rowheader').first()).toHaveText(/from nose$/);
  await step(page, 'Fins');
  await expect(page.getByRole('button', { name: /rake, tip and foil/ }).first()).toHaveText(/^\d+\.\d cm²$/);
  await step(page, 'Bottom');
  await type(page, 'Depth of single concave', '9');
  await expect(page.getByRole('alert')).toHaveText('From 0 cm to 4 cm.');
  await page.keyboard.press('Escape');
  // A bottom whose depth was changed is nobody's usual one any more.
  const usual = page.locator('.ant-select', { has: page.getByLabel('A usual bottom to begin from') });
  await choose(page, 'A usual bottom to begin from', 'Single to double');
  await expect(usual).toContainText('Single to double');
  await type(page, 'Depth of single concave', '0.9');
  await expect(usual).toContainText('Your own');
});

test('a swallow on a thruster takes no bite out of the centre box', async ({ page }) => {
  await startBoard(page, 'Slack Water');
  await pickEnd(page, 'Tail', 'Swallow');
  await step(page, 'Fins');
  await expect(page.getByLabel('Centre from tail', { exact: true })).toHaveValue('4');
  await expect(page.getByText(/breaks into the cut/)).toHaveCount(0);
});

test('held down on Check, an extreme stays until the hand lets go, though the page grows under it', async ({
  page,
}) => {
  await page.goto('/bay/skarn-slack-118/check?page=extreme');
  const hold = page.getByRole('button', { name: 'Hold: wider tail, a lot' });
  // The chart over it comes a moment after the page and moves it down: a hand waits for that.
  await expect(page.locator('.character canvas')).toBeAttached();
  await hold.hover();
  await page.mouse.down();
  const said = page.getByRole('status').filter({ hasText: /No new note|New:/ });
  await expect(said).toBeVisible();
  // Nothing comes that could be waited for: a busy machine only sees less of it.
  await page.waitForTimeout(600);
  await expect(said).toBeVisible();
  await expect(page.getByTestId('laid-over')).toBeAttached();
  await page.mouse.move(10, 10);
  await page.mouse.up();
  await expect(said).toHaveCount(0);
  await expect(page.getByTestId('laid-over')).toHaveCount(0);
  // A wing on a board without one: nothing is laid over, and it is said.
  await choose(page, 'Lever to push', 'Deeper wing');
  await page.getByRole('button', { name: 'Hold: deeper wing, a lot' }).hover();
  await page.mouse.down();
  await expect(page.getByRole('status').filter({ hasText: 'nothing on this board' })).toBeVisible();
  await expect(page.getByTestId('laid-over')).toHaveCount(0);
  await page.mouse.up();
});

test('due days that no shop keeps are not taken, and the Line opens with any', async ({ page }) => {
  await page.goto('/bay/skarn-slack-118/make?part=order');
  // The demo's order is due in sixteen days.
  const kept = dayjs(TEST_DAY).add(16, 'day').format('ddd D MMM');
  const due = page.getByLabel('Due', { exact: true });
  for (const day of ['2926-11-25', '9999-12-31', '0100-05-01']) {
    await due.click();
    await due.fill(day);
    await due.press('Enter');
    await due.press('Escape');
    await expect(page.getByTestId('standing')).toContainText(`due ${kept}`);
  }
  await page.goto('/line');
  await expect(page.getByTestId('line-said')).toContainText('4 boards on the line');
});

test('the Rider step stands on a board whose shorter sister cannot be built', async ({ page }) => {
  await startBoard(page, 'Slack Water', 'Maren');
  await step(page, 'Rocker');
  const tape = page.locator('svg.tape, .tape').first();
  await expect(tape).toBeAttached();
  for (const inches of [34.5, 37.5]) {
    await page.keyboard.press('t');
    for (let i = 0; i < Math.floor(inches - 12); i++) await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Shift+ArrowRight');
    await page.keyboard.press('Shift+ArrowRight');
    await page
      .getByRole('button', { name: /mark.*hook|hook.*mark/i })
      .first()
      .click();
  }
  await step(page, 'Rider');
  await expect(page.getByRole('region', { name: 'Rider' })).toBeVisible();
  await expect(page.getByText(/^(Thinner|Thicker|As it is)$/).first()).toBeVisible();
});

test('a page that is left before its last save has it at the next opening', async ({ page }) => {
  await page.goto('/bay/skarn-slack-118/outline');
  const width = page.getByLabel('Wide point width');
  await expect(width).toHaveValue('19 1/2');
  await saved(page);
  // From here on the store answers nothing: no save comes to its end.
  await page.evaluate(() => {
    IDBObjectStore.prototype.get = () => ({}) as IDBRequest;
  });
  await width.fill('19 7/8');
  await width.press('Enter');
  await expect(page.getByRole('region', { name: 'Ticket' })).toContainText('19 7/8');
  await page.reload();
  await expect(width).toHaveValue('19 7/8');
  await saved(page);
  await page.reload();
  await expect(width).toHaveValue('19 7/8');
});

test('what is typed and not kept yet is there after a reload: ride words, a rider’s card, a brief, a blank’s name', async ({
  page,
}) => {
  const words = page.getByLabel('How it went');
  await page.goto('/bay/skarn-gannet-2/ride');
  await words.fill('held through the flats, slid on the last turn');
  await page.getByLabel('Place', { exact: true }).fill('North Ledge');
  await page.reload();
  await expect(words).toHaveValue('held through the flats, slid on the last turn');
  await expect(page.getByLabel('Place', { exact: true })).toHaveValue('North Ledge');
  await page.getByRole('button', { name: 'Note the ride' }).click();
  await expect(words).toHaveValue('');
  await saved(page);
  await page.reload();
  await expect(words).toHaveValue('');
  // A new rider's card, closed by the reload.
  await page.goto('/riders');
  await page.getByRole('button', { name: 'New rider' }).click();
  await page.getByLabel('First name').fill('Osk');
  await page.getByLabel('Weight', { exact: true }).fill('81 kg');
  await page.reload();
  await page.getByRole('button', { name: 'New rider' }).click();
  await expect(page.getByText('What you typed before is here still, not kept yet.')).toBeVisible();
  await expect(page.getByLabel('First name')).toHaveValue('Osk');
  await expect(page.getByLabel('Weight', { exact: true })).toHaveValue('81 kg');
  await page.getByRole('button', { name: 'Start afresh' }).click();
  await expect(page.getByLabel('First name')).toHaveValue('');
  await page.getByRole('button', { name: 'Cancel' }).click();
  // A field that is taken when it is left.
  await page.goto('/shelf');
  await page
    .getByRole('button', { name: /^Change / })
    .first()
    .click();
  const name = page.getByLabel('Name of the blank');
  await name.fill('The one by the door');
  await page.reload();
  await expect(page.getByText('The one by the door').first()).toBeVisible();
});
