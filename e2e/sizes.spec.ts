// One model through a run of sizes.
import { choose, expect, saved, taken, test, type } from './shed.ts';

test('a model stands in its sizes, the run is changed, one is put on the rack, the chart goes out as CSV', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'More for Slack Water 104' }).click();
  await page.getByRole('menuitem', { name: 'Its sizes' }).click();
  await expect(page.getByRole('heading', { name: 'Sizes of Slack Water 104' })).toBeVisible();
  const chart = page.getByRole('table', { name: 'Size chart' });
  await expect(chart.getByRole('row')).toHaveCount(8);
  await expect(chart.getByRole('row', { name: /Slack Water itself/ })).toContainText('29.6 L');
  // Each says what the chart has no column for.
  await expect(page.getByTestId('size-changes').last()).toContainText(/lifts 5 11\/16 .*front fins 11 11\/16/);
  await expect(page.getByRole('img', { name: '7 sizes at one scale' })).toBeVisible();

  await type(page, 'Longest', "6'10");
  await expect(chart.getByRole('row')).toHaveCount(9);
  await type(page, 'Wider by', '1/4');
  // Five steps of a quarter over 19 1/4.
  await expect(chart.getByRole('row').last()).toContainText('20 1/2');
  await type(page, 'A step is', '1/2');
  await expect(page.getByRole('alert')).toContainText('more than 16 sizes');
  await page.keyboard.press('Escape');
  const litres = (row: string) => Number(/([\d.]+) L/.exec(row)![1]);
  const rows = await chart.getByRole('row').allInnerTexts();
  const all = rows.slice(1).map(litres);
  expect(all).toEqual([...all].sort((a, b) => a - b));

  const csv = await taken(page, () => page.getByRole('button', { name: 'Chart as CSV' }).click());
  expect(csv.name).toBe('slack-water-sizes.csv');
  expect(csv.bytes.toString('utf8').trim().split('\r\n')).toHaveLength(9);
  await chart.getByRole('row').last().getByRole('button', { name: 'Put it on the rack' }).click();
  await saved(page);
  await page.reload();
  // The run is kept with the model.
  await expect(chart.getByRole('row')).toHaveCount(9);
  await page.goto('/');
  await page.getByLabel('Ask the shed: a board, a rider, a size, how it went').fill('Slack Water 119');
  await expect(page.getByRole('link', { name: /^Open Slack Water 119, unsold/ })).toBeVisible();
});

test('a measured board begins as its station table, and a table that is none is refused', async ({ page }) => {
  await page.goto('/bay/skarn-slack-118/make?part=paper&page=lines');
  const csv = await taken(page, () => page.getByRole('button', { name: 'Station table (CSV)' }).click());
  await page.goto('/');
  const give = (name: string, buffer: Buffer) =>
    page.getByLabel('Station table').setInputFiles({ name, mimeType: 'text/csv', buffer });
  await give('junk.csv', Buffer.from('length,width\n1,2\n'));
  await expect(
    page.getByText(/junk\.csv: The file is not a station table.*Nothing on the rack was changed/),
  ).toBeVisible();
  await give('From the dunes.csv', csv.bytes);
  await expect(page.getByRole('heading', { level: 1, name: /From the dunes 1/ })).toBeVisible();
  await expect(page.getByTestId('headline')).toContainText("6'2");
  await expect(page.getByTestId('headline')).toContainText('19 1/2');
  await expect.poll(async () => Number.parseFloat(await page.getByTestId('litres').innerText())).toBeGreaterThan(30);
});

test('a table by another hand is shown as it was guessed, put right, and kept only when it is said', async ({
  page,
}) => {
  await page.goto('/');
  const boards = page.getByText(/^\d+ boards at one true scale/);
  const before = await boards.innerText();
  // Millimetres over ten, commas for points, headings in another tongue, counted from the nose.
  const lines = ['Lage;Breite;Dicke', '30,5;31,0;3,9', '61;43,2;5,6', '90;49,5;6,3', '128;45;5,6', '157,5;36,8;4,1'];
  await page.getByLabel('Station table').setInputFiles({
    name: 'Vom Nachbarn.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(lines.join('\n')),
  });
  const asked = page.getByRole('dialog', { name: 'How Vom Nachbarn.csv is read' });
  await expect(asked).toContainText('5 rows, columns kept apart by semicolons, commas for points');
  await expect(asked.getByRole('row', { name: /^Lage/ })).toContainText('30,5; 61; 90');
  await expect(asked).toContainText('No column is taken for the distance of a station.');
  await expect(asked.getByRole('button', { name: 'Put it on the rack' })).toBeDisabled();
  await choose(page, 'Lage is', 'how far along');
  await choose(page, 'Breite is', 'width');
  await choose(page, 'Dicke is', 'thickness');
  await choose(page, 'Stations are counted from', 'the nose');
  // Guessed by their size.
  await expect(asked.getByRole('row', { name: /^Breite/ })).toContainText('cm');
  const made = asked.getByRole('status', { name: 'The board it makes' });
  await expect(made).toContainText('From a station table of 5 rows');
  await asked.getByRole('button', { name: 'Leave it' }).click();
  await expect(asked).toBeHidden();
  await expect(boards).toHaveText(before);

  await page.getByLabel('Station table').setInputFiles({
    name: 'Neighbour.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(['Distance from nose (cm);Width;Thick', ...lines.slice(1)].join('\n')),
  });
  const known = page.getByRole('dialog', { name: 'How Neighbour.csv is read' });
  await expect(known.getByRole('status', { name: 'The board it makes' })).toContainText(
    'From a station table of 5 rows',
  );
  await type(page, 'Overall length', "6'3");
  await expect(known.getByRole('status', { name: 'The board it makes' })).toContainText("6'3");
  await known.getByRole('button', { name: 'Put it on the rack' }).click();
  await expect(page.getByRole('heading', { level: 1, name: /Neighbour 1/ })).toBeVisible();
  await expect(page.getByTestId('headline')).toContainText("6'3");
  // 31.0 cm at 12 in from the nose is 12 3/16.
  await expect(page.getByRole('region', { name: 'Ticket' })).toContainText('12 3/16');
});
