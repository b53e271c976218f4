// What the shed remembers over all its boards: winners and their copies, families, questions, layouts, damage, pictures.
import { choose, expect, makePage, makePart, openVersion, saved, startBoard, step, taken, test, type } from './shed.ts';

const PENNY = '/bay/skarn-penny-2/ride';

test('a copy of the winner says where it drifted, and is as the winner again when it is drawn back', async ({
  page,
}) => {
  await page.goto('/bay/skarn-penny-3/ride');
  const drift = page.getByTestId('as-the-winner');
  await expect(drift).toContainText(
    /^Not as the winner any more, Penny Step 2 version 7: nose lift 4 1\/4.* for 4 3\/8.*; lift at nose 12/,
  );
  await step(page, 'Rocker');
  await type(page, 'Nose tip lift', '4 3/8');
  await type(page, 'Nose 12 lift', '1 7/8');
  await step(page, 'Ride');
  await expect(drift).toHaveText(/^As the winner, Penny Step 2 version 7\.$/);
  await step(page, 'Outline');
  await type(page, 'Wide point width', '20');
  await step(page, 'Ride');
  await expect(drift).toContainText(/width 20.* for 19 3\/4/);
});

test('the family tree: drawn, gone through by keys, as a table, and cut to one rider or one board', async ({
  page,
}) => {
  await page.goto('/family');
  const tree = page.getByRole('group', { name: 'The family tree, drawn' });
  const board = (name: string) => tree.getByRole('link', { name: new RegExp(`^Open ${name},`) });
  await expect(board('Penny Step 2')).toHaveAccessibleName(/8 versions, 10 rides, winner/);
  await board('Penny Step 2').focus();
  await page.keyboard.press('ArrowRight');
  await expect(board('Penny Step 3')).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await expect(board('Half Tide 1')).toBeFocused();
  await page.keyboard.press('ArrowLeft');
  await expect(board('Penny Step 2')).toBeFocused();

  await page.getByRole('radiogroup', { name: 'Seen as' }).getByText('Table').click();
  const table = page.getByRole('table', { name: 'The family tree as a table' });
  // A joined board has two parents.
  await expect(table.getByRole('row', { name: /^Half Tide 1/ })).toContainText(
    'its front half from Penny Step 2; its back half from Kettle 7',
  );
  await expect(table.getByRole('row', { name: /^Slow Ferry 2/ })).toContainText('the next after Slow Ferry 1');
  await choose(page, 'Boards of a rider', 'Petra');
  await expect(table.getByRole('row')).toHaveCount(5);

  // A copy made now stands under what it is of.
  await page.goto('/');
  await page.getByRole('button', { name: 'More for Gannet 2' }).click();
  await page.getByRole('menuitem', { name: 'Copy' }).click();
  await page.getByRole('button', { name: 'More for Gannet 3' }).click();
  await page.getByRole('menuitem', { name: 'Its family' }).click();
  await expect(page.getByRole('button', { name: /Only the kin of Gannet 3/ })).toBeVisible();
  await expect(tree.getByRole('link')).toHaveCount(2);
  await page.getByRole('radiogroup', { name: 'Seen as' }).getByText('Table').click();
  await expect(table.getByRole('row', { name: /^Gannet 3/ })).toContainText('a copy of Gannet 2');
  await table.getByRole('link', { name: 'Gannet 3' }).click();
  await expect(page.getByTestId('comes-from')).toContainText('A copy of Gannet 2');
});

test('a question is read back, its parts are dropped, its answers are sums, and the boards go out as a table', async ({
  page,
}) => {
  await page.goto('/');
  const ask = page.getByLabel(/^Ask the shed/);
  await ask.fill('back-footed, 55 to 60 kg, steep, came back well');
  await expect(page.getByTestId('question')).toHaveText(
    'Boards for or ridden by back-footed riders of 55 kg to 60 kg in steep waves that went better than the board before.',
  );
  await expect(page.getByRole('listitem')).toHaveCount(1);
  await expect(page.getByRole('link', { name: /^Open Penny Step 2/ })).toBeVisible();
  await page.getByRole('button', { name: 'What they come to' }).click();
  const sums = page.getByRole('group', { name: 'What they come to' });
  await expect(sums).toContainText('10: 5 better, 2 the same, 3 worse than the board before');
  const plain = await taken(page, () => sums.getByRole('button', { name: 'These boards as CSV' }).click());
  expect(plain.name).toBe('boards.csv');
  const text = plain.bytes.toString('utf8');
  expect(text.split('\r\n')[0]).toMatch(/^name,number,family,length_mm/);
  expect(text).toContain('Penny Step,2,shortboard,1727.2,');
  expect(text).not.toContain('Ana');
  await sums.getByLabel('with riders’ names').check();
  const named = await taken(page, () => sums.getByRole('button', { name: 'These boards as CSV' }).click());
  expect(named.bytes.toString('utf8')).toContain(',Ana');
  await page.keyboard.press('Escape');

  // Not the steep ones alone: that part is dropped, and the sentence with it.
  await page.getByRole('button', { name: 'Do not ask for steep' }).click();
  await expect(page.getByTestId('question')).not.toContainText('steep');
  await ask.fill('came back broken');
  await expect(page.getByText(/^0 boards at one true scale/)).toBeVisible();
  await ask.fill('petra');
  await expect(page.getByTestId('question')).toHaveText('Boards for or ridden by Petra.');
  await expect(page.getByRole('listitem')).toHaveCount(1);
});

test('fin layouts stand side by side: switching to and fro moves nothing, and a box is cut once', async ({ page }) => {
  await startBoard(page, 'Slack Water');
  await step(page, 'Fins');
  await choose(page, 'Fin setup', 'Five boxes');
  const from = page.getByLabel('Rear pair from tail', { exact: true });
  await expect(from).toBeVisible();
  const rear = await from.inputValue();
  await page.getByRole('button', { name: 'Layouts, boxes and own fins' }).click();
  const layouts = page.getByRole('region', { name: 'Layouts', exact: true });
  await choose(page, 'Another layout', 'Thruster');
  await expect(layouts.getByRole('button', { name: 'Fit Five boxes' })).toBeVisible();
  await expect(page.getByLabel('Rear pair from tail', { exact: true })).toHaveCount(0);
  await layouts.getByRole('button', { name: 'Fit Five boxes' }).click();
  await expect(from).toHaveValue(rear);
  await layouts.getByRole('button', { name: 'Fit Thruster' }).click();
  await expect(page.getByLabel('Rear pair from tail', { exact: true })).toHaveCount(0);

  // A long box lets its fin slide; the shop's own fins go into the drawer and into another board.
  await choose(page, 'Box of the centre', 'Long box, the fin slides');
  await expect(page.getByRole('region', { name: 'Boxes' })).toContainText(/slides 5 \d/);
  await page.getByLabel('Name of these fins').fill('Harbour three');
  await page.getByRole('button', { name: 'Into the drawer' }).click();
  const drawer = page.getByRole('region', { name: 'Own fins' });
  await expect(drawer).toContainText('depth to area');
  await page.getByLabel('Who has Harbour three').fill('Jory');
  await page.getByLabel('Flex of Harbour three').fill('stiff');
  await page.getByLabel('Flex of Harbour three').blur();
  await saved(page);
  await page.reload();
  await page.getByRole('button', { name: 'Layouts, boxes and own fins' }).click();
  await expect(page.getByLabel('Who has Harbour three')).toHaveValue('Jory');
  await expect(layouts.getByRole('button', { name: 'Fit Five boxes' })).toBeVisible();
  await drawer.getByRole('button', { name: 'Put Harbour three in' }).click();
});

test('a ride has its sea, its body and its pictures, and no picture tells where it was taken', async ({ page }) => {
  await page.goto(PENNY);
  const ride = page.getByRole('region', { name: 'Ride', exact: true });
  await choose(page, 'Wave size', 'Overhead');
  await choose(page, 'Wind', 'wind off the land');
  await page.getByRole('button', { name: 'Fins, pad, body, pictures' }).click();
  await ride.getByLabel('Weight that day').fill('60');
  await ride.getByLabel('Pad', { exact: true }).fill('flat, at the wing');
  // A picture as a camera writes it: a segment beside it says where it was.
  const jpeg = await page.evaluate(async () => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [1600, 900];
    const pen = canvas.getContext('2d')!;
    pen.fillStyle = '#2a7';
    pen.fillRect(0, 0, 1600, 900);
    const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg'));
    return [...new Uint8Array(await blob!.arrayBuffer())];
  });
  const said = Buffer.from('Exif\0\0SECRET-PLACE 58.1N 6.8E');
  const segment = Buffer.concat([Buffer.from([0xff, 0xe1, 0, said.length + 2]), said]);
  const bytes = Buffer.concat([Buffer.from(jpeg.slice(0, 2)), segment, Buffer.from(jpeg.slice(2))]);
  expect(bytes.includes('SECRET-PLACE')).toBe(true);
  await ride.getByLabel('Picture of the ride').setInputFiles({ name: 'a.jpg', mimeType: 'image/jpeg', buffer: bytes });
  await expect(ride.getByRole('img', { name: 'Picture 1 of the ride' })).toBeVisible();
  await ride.getByLabel('Picture of the ride').setInputFiles({
    name: 'b.jpg',
    mimeType: 'image/jpeg',
    buffer: Buffer.from('no picture'),
  });
  await expect(ride.getByRole('alert')).toContainText('no picture this browser can read');
  await ride.getByLabel('How it went').fill('Held high on the wall');
  await ride.getByRole('button', { name: 'Note the ride' }).click();
  await saved(page);
  await page.reload();
  const eighth = ride.locator('[data-version="8"]');
  await expect(eighth).toContainText('overhead, wind off the land, back-footed, 60 kg, pad flat, at the wing');
  const picture = eighth.getByRole('img', { name: 'Picture 1 of the ride' });
  await expect(picture).toBeVisible();
  const kept = await picture.evaluate(async (img: HTMLImageElement) => {
    const asked = <T>(request: IDBRequest<T>) =>
      new Promise<T>((done) => (request.onsuccess = () => done(request.result)));
    const db = await asked(indexedDB.open('june-tide'));
    const rows = await asked<{ jpeg: Blob }[]>(db.transaction('photos').objectStore('photos').getAll());
    db.close();
    const text = new TextDecoder('latin1').decode(await rows[0].jpeg.arrayBuffer());
    return { width: img.naturalWidth, rows: rows.length, text };
  });
  expect(kept.rows).toBe(1);
  expect(kept.text).toContain('JFIF');
  expect(kept.width).toBe(1280);
  expect(kept.text).not.toContain('SECRET-PLACE');
});

test('damage is noted, a winner’s variants are ridden blind, and a board is softened in one step', async ({ page }) => {
  await page.goto(PENNY);
  const part = (name: string) =>
    page.getByRole('radiogroup', { name: 'Part of the ride' }).getByText(name, { exact: true }).click();
  await part('Damage');
  await choose(page, 'What happened to it', 'Cracked at a fin box');
  await page.getByLabel('Where and how').fill('front left, on the rocks');
  await page.getByLabel('What was done').fill('boxed anew');
  await page.getByRole('button', { name: 'Note the damage' }).click();
  await expect(page.getByRole('list', { name: 'Damage noted' })).toContainText(
    /Cracked at a fin box .*front left.*Boxed anew/,
  );

  await part('Blind');
  await page.getByLabel('Variants, one a line').fill('PU\nEPS\nEPS, carbon patch');
  await page.getByRole('button', { name: 'Deal the letters' }).click();
  const trial = page.getByRole('region', { name: /^Trial of/ });
  await expect(trial.getByRole('listitem')).toHaveText([/^A told after the choice/, /^B told/, /^C told/]);
  await choose(page, 'Letter chosen', 'B');
  await page.getByLabel('Why that one').fill('livelier');
  await page.getByRole('button', { name: 'Choose it' }).click();
  await expect(trial).toContainText('without knowing: “livelier”');
  const told = await trial.getByRole('listitem').allInnerTexts();
  expect(told.map((text) => text.replace(/^[ABC] /, '').replace(' chosen', '')).sort()).toEqual([
    'EPS',
    'EPS, carbon patch',
    'PU',
  ]);

  await part('Numbers');
  await expect(page.getByRole('img', { name: /^Litres: version 1 .*version 8 29\.9 L, worse/ })).toBeVisible();
  // Any two of them, whatever the board is now.
  const pair = page.getByRole('region', { name: 'Two versions' });
  await expect(pair.getByRole('img', { name: /^Version 7, dashed, and Version 8/ })).toBeVisible();
  await expect(pair.getByTestId('pair-changed')).toHaveText(/^Width 19 3\/4 to 19 7\/8\./);
  await pair.getByRole('button', { name: 'Every number that differs' }).click();
  const numbers = page.getByRole('dialog', { name: 'Version 7 and version 8 of Penny Step 2' });
  await expect(numbers.getByRole('row', { name: /^Width/ })).toHaveText(/19 3\/4.*19 7\/8.*\+1\/8/);
  await page.keyboard.press('Escape');
  await choose(page, 'Version held against', 'Version 8');
  await expect(pair.getByTestId('pair-changed')).toHaveText('They are one and the same board.');
  await choose(page, 'Version it became', 'Version 7');
  await expect(pair.getByTestId('pair-changed')).toHaveText(/^Width 19 7\/8 to 19 3\/4\./);

  await page.goto('/bay/skarn-slack-104/ride');
  await part('Softened');
  const soft = page.getByRole('group', { name: 'For ordinary riders' });
  const row = soft.getByRole('row', { name: /^Nose lift/ });
  await expect(row).toContainText('5 1/8');
  await expect(row).toContainText('4 3/4');
  await soft.getByRole('button', { name: 'Lay it over' }).click();
  await expect(page.getByTestId('laid-over')).toBeVisible();
  await soft.getByRole('button', { name: 'Make it a board of its own' }).click();
  await expect(page.getByRole('heading', { name: 'Slack Water 119' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Ticket' })).toContainText('4 3/4');
  await step(page, 'Ride');
  await expect(page.getByTestId('comes-from')).toContainText('Softened from Slack Water 104');
});

test('a rider’s page says which change helped and which board goes in which waves; a trip asks for two', async ({
  page,
}) => {
  await page.goto('/riders/petra');
  const map = page.getByRole('table', { name: 'Which board goes in which waves' });
  await expect(map.getByRole('row', { name: /^Well overhead/ })).toContainText('not yet');
  await map.getByRole('button', { name: /^Waist to head, powerful: Lamplight 5/ }).click();
  await expect(page.getByTestId('quiver')).toContainText('in 1 of the 1 kinds of waves of the trip');
  await page.goto('/riders/ana');
  const helped = page.getByRole('region', { name: 'Which change helped' });
  await expect(helped.getByRole('listitem').first()).toContainText(/^better All fins up .* Penny Step 2, version 7/);
  await expect(helped).toContainText('worse Nose lift 4 3/8 to 4 1/8.');
  await expect(
    page.getByRole('img', { name: /Penny Step 2 begun 12 Mar 2026; .*ridden 9 May 2026, worse/ }),
  ).toBeVisible();
});

test('an order makes a version and has the shop’s number; name, address and picture stand on rack and ticket', async ({
  page,
}) => {
  await page.goto('/settings');
  await page.getByLabel('Name of the shop').fill('The Slipway Shed');
  await page.getByLabel('Address of the shop').fill('Boat stair 3, Skarn Point');
  await page.getByLabel('Address of the shop').blur();
  const png = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [900, 300];
    canvas.getContext('2d')!.fillRect(100, 100, 700, 100);
    return canvas.toDataURL('image/png').split(',')[1];
  });
  await page
    .getByLabel('Picture of the shop')
    .setInputFiles({ name: 'logo.png', mimeType: 'image/png', buffer: Buffer.from(png, 'base64') });
  await expect(page.getByRole('img', { name: 'The shop’s picture' })).toBeVisible();
  await page.getByRole('link', { name: 'Rack', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'The rack at The Slipway Shed' })).toBeVisible();

  await startBoard(page, 'Kettle');
  await step(page, 'Make');
  await makePart(page, 'Order');
  await page.getByRole('button', { name: 'Put it on the line' }).click();
  await expect(page.getByTestId('makers-no')).toHaveText('The shop’s no. 1');
  await step(page, 'Ride');
  const ride = page.getByRole('region', { name: 'Ride', exact: true });
  await expect(ride.locator('[data-version="1"]')).toContainText('it was ordered as this');
  await step(page, 'Make');
  await makePart(page, 'Paper and files');
  await makePage(page, 'Ticket and sheets');
  const ticket = await taken(page, () => page.getByRole('button', { name: 'Ticket, one page (PDF)' }).click());
  expect(ticket.bytes.subarray(0, 5).toString()).toBe('%PDF-');
  expect(ticket.bytes.includes('/Subtype /Image')).toBe(true);
});

test('a size and a copy for another rider stand in the tree, and a board file has nothing of any rider', async ({
  page,
}) => {
  await page.goto('/sizes/skarn-penny-2');
  await page.getByRole('button', { name: 'Put it on the rack' }).first().click();
  await saved(page);
  await page.goto('/bay/skarn-penny-2/ride');
  const ride = page.getByRole('region', { name: 'Ride', exact: true });
  // Branched from the winner: as it, and for somebody else.
  await openVersion(ride, 7);
  await ride.getByRole('button', { name: 'Branch from version 7' }).click();
  await expect(page.getByRole('heading', { name: /Penny Step \d/ })).not.toContainText('Penny Step 2');
  await step(page, 'Rider');
  await choose(page, 'Rider of this board', 'Maren');
  await step(page, 'Ride');
  await expect(page.getByTestId('as-the-winner')).toHaveText('As the winner, Penny Step 2 version 7.');
  await page.goto('/family?board=skarn-penny-2');
  await page.getByRole('radiogroup', { name: 'Seen as' }).getByText('Table').click();
  const table = page.getByRole('table', { name: 'The family tree as a table' });
  await expect(table).toContainText('a size of Penny Step 2');
  await expect(table.getByRole('row', { name: /branched from Penny Step 2/ })).toContainText('Maren');

  await page.goto('/bay/skarn-penny-2/make');
  await makePage(page, 'Lines, solids');
  const file = await taken(page, () => page.getByRole('button', { name: 'Board file (JSON)' }).click());
  const text = file.bytes.toString('utf8');
  for (const theirs of ['Ana', 'Kit', 'Jory', 'Harbour Bar', 'cutback', 'riderId', 'mass_kg', 'rides', 'versions'])
    expect(text).not.toContain(theirs);
  expect(JSON.parse(text)).toMatchObject({ format: 'june-tide-board', name: 'Penny Step' });
});

test('killed in the middle of a change taken, a board is as it was or as it is, and all its rides are there', async ({
  page,
  context,
}) => {
  test.setTimeout(90_000);
  await page.goto(PENNY);
  for (let round = 0; round < 3; round++) {
    const tab = await context.newPage();
    await tab.goto(PENNY);
    const versions = tab.getByRole('list', { name: 'Versions' }).locator('[data-version]');
    await expect(versions.first()).toBeVisible();
    const before = await versions.count();
    await tab.getByLabel('How it went').fill('Bogs off the bottom');
    await tab
      .getByRole('list')
      .filter({ hasText: 'Next version' })
      .getByRole('button', { name: 'Next version' })
      .first()
      .click();
    // No goodbye: the tab is gone while it writes.
    await tab.close({ runBeforeUnload: false });
    const after = await context.newPage();
    await after.goto(PENNY);
    const there = after.getByRole('list', { name: 'Versions' }).locator('[data-version]');
    await expect(there.first()).toBeVisible();
    expect([before, before + 1]).toContain(await there.count());
    await expect(after.getByRole('list', { name: 'Versions' })).toContainText('That is the one.');
    await expect(after.getByTestId('working')).toBeVisible();
    await after.close();
  }
});
