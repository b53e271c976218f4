// The deck and its features, tips, and what a mark of one's own does to the line.
import { choose, drag, expect, litres, makePage, saved, startBoard, step, taken, test, type } from './shed.ts';

/** Works a feature into the deck. */
async function work(page: Parameters<typeof startBoard>[0], name: RegExp): Promise<void> {
  await page.getByRole('button', { name: 'Work into the deck' }).click();
  await page.getByRole('menuitem', { name }).click();
}

test('a beak adds the litres it says, keeps its tip, and goes again', async ({ page }) => {
  await startBoard(page, 'Slack Water');
  const before = await litres(page);
  await step(page, 'Deck');
  await work(page, /^beak/);
  const beak = page.getByRole('group', { name: 'beak' });
  // 20 in and 30 mm took 0.74 L away.
  await type(page, 'beak, from the tip', '20');
  await type(page, 'beak, rising over', '20');
  await type(page, 'beak, added', '30mm');
  const said = Number(/\+([\d.]+) L/.exec((await page.getByTestId('litres-beak').textContent()) ?? '')?.[1]);
  expect(said).toBeGreaterThan(0.2);
  await expect.poll(async () => Math.abs((await litres(page)) - before - said)).toBeLessThan(0.11);
  await step(page, 'Foil');
  await expect(page.getByLabel('Nose tip thick')).toHaveValue('1 5/8');
  await step(page, 'Deck');
  await beak.getByRole('button', { name: 'Take off the beak' }).click();
  await expect.poll(() => litres(page)).toBe(before);
});

test('crown by station, a flat deck, a domed one: the section and the ticket follow', async ({ page }) => {
  await startBoard(page, 'Slack Water');
  await step(page, 'Deck');
  await type(page, 'Crown, Centre', '1/2');
  await expect(page.getByTestId('crown-says')).toContainText('1⁄2');
  await page.getByRole('button', { name: 'Flatter' }).click();
  await expect(page.getByRole('button', { name: 'Undo: flatter deck' })).toBeVisible();
  await work(page, /^flat deck/);
  // Keys on the plank make it wider, as a pull does.
  const level = page.getByRole('spinbutton', { name: 'flat deck, level' });
  const share = Number(await level.inputValue());
  await page.getByRole('slider', { name: 'Middle of the flat deck, on the plank' }).focus();
  await page.keyboard.press('ArrowUp');
  await expect(level).toHaveValue(String(share + 5));
  await work(page, /^domed deck/);
  await expect(page.getByTestId('litres-flat')).toContainText('+');
  await expect(page.getByTestId('litres-dome')).toContainText('\u2212');
  await expect(page.getByRole('link', { name: /Deck/ })).toContainText('flat deck, domed deck');
  // One of them has its numbers open; the other a click away.
  await expect(level).toHaveCount(0);
  await page.getByRole('button', { name: /^flat deck/ }).click();
  await expect(level).toHaveValue(String(share + 5));
  await page.getByRole('button', { name: /^domed deck/ }).click();
  await page.getByRole('button', { name: 'Work into the deck' }).click();
  await expect(page.getByRole('menuitem', { name: /^flat deck/ })).toBeDisabled();
  await page.keyboard.press('Escape');
  // More than an inch there is not: it is refused in words, and the number stays.
  await type(page, 'domed deck, falls more by', '4');
  await expect(page.getByRole('group', { name: 'domed deck' }).getByRole('alert')).toContainText('limit');
});

test('an S-deck and a step rail are drawn on the plan, take the litres they say and follow their numbers', async ({
  page,
}) => {
  await startBoard(page, 'Slack Water');
  await step(page, 'Deck');
  const drawn = page.getByTestId('deck-on-plan');
  for (const [name, label, deeper] of [
    ['S-deck', 'S-deck, deep', '3/8'],
    ['step rail', 'step rail, down', '1/2'],
  ] as const) {
    const before = await litres(page);
    await work(page, new RegExp(`^${name}`));
    await expect(drawn).toContainText(name);
    const told = page.getByTestId(name === 'S-deck' ? 'litres-sDeck' : 'litres-step');
    const first = await told.textContent();
    await type(page, label, deeper);
    await expect(told).not.toHaveText(first!);
    const said = Number(/\u2212([\d.]+) L/.exec((await told.textContent())!)?.[1]);
    await expect.poll(async () => Math.abs(before - (await litres(page)) - said)).toBeLessThan(0.11);
    // Its end is pulled along the plank, and how deep it goes pulled down.
    const [long, deep] = [page.getByLabel(new RegExp(`^${name}, (long|from the tail)`)), page.getByLabel(label)];
    const lengthBefore = await long.inputValue();
    await drag(page, page.getByRole('slider', { name: `End of the ${name}, on the plank` }).locator('.grab'), 30, 0);
    await expect(long).not.toHaveValue(lengthBefore);
    await expect(page.getByRole('button', { name: `Undo: ${name} longer` })).toBeVisible();
    const pulled = page.getByRole('slider', {
      name: name === 'S-deck' ? 'Middle of the S-deck, on the plank' : 'End of the step rail, on the plank',
    });
    const deepBefore = await deep.inputValue();
    await drag(page, pulled.locator('.grab'), 0, -12);
    await expect(deep).not.toHaveValue(deepBefore);
    await pulled.focus();
    await page.keyboard.press('ArrowDown');
    await expect(page.getByRole('button', { name: `Undo: ${name} deeper` })).toBeVisible();
    await page.getByRole('button', { name: `Take off the ${name}` }).click();
    await expect.poll(() => litres(page)).toBe(before);
  }
});

test('a new mark is soft, H makes it hard and the line goes through it; too near another it says so', async ({
  page,
}) => {
  await startBoard(page, 'Slack Water');
  await page.getByRole('button', { name: 'Set a mark at the hook' }).click();
  await type(page, 'Your mark width', '17 1/8');
  await expect(page.getByRole('button', { name: 'Your mark is soft' })).toBeVisible();
  const by = page.getByTestId('line-by-2');
  await page.getByLabel('Your mark width').focus();
  await page.keyboard.press('h');
  await expect(page.getByRole('button', { name: 'Your mark is hard' })).toBeVisible();
  await expect(by).toHaveCount(0);
  await page.getByRole('button', { name: 'Your mark is hard' }).click();
  // An inch from its neighbour and far off the line it would be a lever: the line stays nearer to itself.
  await type(page, 'Your mark station', '13');
  await type(page, 'Your mark width', '18 1/4');
  await expect(by).toHaveText(/line 15/);
  await step(page, 'Check');
  await expect(page.getByText('A mark that is a lever').first()).toBeVisible();
});

test('marks that draw nothing are lifted off together, and come back as one', async ({ page }) => {
  await startBoard(page, 'Slack Water');
  const marks = page.getByRole('button', { name: /^Lift off Your mark/ });
  await expect(marks).toHaveCount(0);
  for (const inches of [17, 22, 42, 48]) {
    await page.keyboard.press('t');
    for (let at = 12; at < inches; at++) await page.keyboard.press('ArrowRight');
    await page.getByRole('button', { name: 'Set a mark at the hook' }).click();
  }
  await expect(marks).toHaveCount(4);
  const size = (await page.getByTestId('headline').textContent())!;
  await page.getByRole('button', { name: 'Fewer marks' }).click();
  await expect(page.getByText('4 marks lifted off')).toBeVisible();
  await expect(marks).toHaveCount(0);
  await expect(page.getByTestId('headline')).toHaveText(size);
  await page.getByRole('button', { name: 'Undo: marks that draw nothing' }).click();
  await expect(marks).toHaveCount(4);
});

test('tips have a radius; one without is named', async ({ page }) => {
  await startBoard(page, 'North Ledge');
  await expect(page.getByLabel('Radius of the nose tip')).toHaveValue('1/4');
  await type(page, 'Radius of the nose tip', '0');
  await type(page, 'Radius of the pin’s tip', '0');
  await step(page, 'Check');
  await expect(page.getByText('A tip that is a needle').first()).toBeVisible();
});

test('a wing says what it took behind it, and gives it back', async ({ page }) => {
  await startBoard(page, 'Slack Water');
  await page.getByRole('button', { name: 'Add a wing' }).click();
  await type(page, 'Wing 1 from tail', '15');
  await type(page, 'Wing 1 depth', '3/8');
  await expect(page.getByText('The line ahead of it stays')).toContainText(/Tail 12 .* is now 14/);
  await expect(page.getByLabel('Tail 12 width')).toHaveValue('14');
  await page.getByRole('button', { name: 'Take off wing 1' }).click();
  await expect(page.getByLabel('Tail 12 width')).toHaveValue('14 3/4');
  await expect(page.getByLabel('Block width')).toHaveValue('5 3/4');
});

test('going through every field without typing changes nothing of a board that no sixteenth writes', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await startBoard(page, 'Slack Water');
  await page.getByRole('button', { name: 'Set a mark at the hook' }).click();
  await type(page, 'Tail 12 width', '374.61mm');
  await type(page, 'Nose 12 width', '295.37mm');
  await step(page, 'Make');
  await makePage(page, 'Lines, solids');
  const file = () =>
    taken(page, () => page.getByRole('button', { name: 'Board file (JSON)' }).click()).then(({ bytes }) =>
      bytes.toString(),
    );
  const before = await file();
  for (const name of ['Outline', 'Rocker', 'Foil', 'Deck', 'Rails', 'Bottom', 'Fins']) {
    await step(page, name);
    const fields = page.getByRole('region', { name, exact: true }).getByRole('textbox');
    for (let i = 0; i < (await fields.count()); i++) {
      await fields.nth(i).focus();
      await page.keyboard.press('Enter');
    }
  }
  await step(page, 'Make');
  await makePage(page, 'Lines, solids');
  expect(await file()).toBe(before);
});

test('parts are taken from a model and from the shop’s own library, each one step back', async ({ page }) => {
  await startBoard(page, 'Slack Water');
  await step(page, 'Rocker');
  await page.getByRole('button', { name: 'Take the rocker from' }).click();
  await page.getByRole('combobox', { name: 'Board to take it from' }).fill('Gannet, ');
  await page
    .getByRole('option', { name: 'Gannet, 6' })
    .or(page.locator('.ant-select-item-option', { hasText: /^Gannet, 6/ }))
    .last()
    .click();
  // 5 7/8 on 6'8 is 5 5/16 on 6'0: the middle keeps its radius for the length.
  await expect(page.getByRole('dialog').getByRole('status')).toContainText('nose');
  // What would come lies over the board while it is looked at.
  await expect(page.getByTestId('laid-over').locator('path')).not.toHaveCount(0);
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByLabel('Nose tip lift')).toHaveValue('5 5/16');
  await expect(page.getByTestId('laid-over')).toHaveCount(0);
  await page.getByRole('button', { name: 'Take the rocker from' }).click();
  await page.getByLabel('Name in the library').fill('Big day');
  await page.getByRole('button', { name: 'Keep this board’s rocker' }).click();
  await expect(page.getByRole('button', { name: 'Take Big day out of the library' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Undo: rocker of Gannet/ }).click();
  await expect(page.getByLabel('Nose tip lift')).toHaveValue('5 1/8');
  await saved(page);
  await page.reload();
  await page.getByRole('button', { name: 'Take the rocker from' }).click();
  await choose(page, 'Board to take it from', /^Big day/);
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByLabel('Nose tip lift')).toHaveValue('5 5/16');
});

test('a board becomes another kind, and what goes by it is said', async ({ page }) => {
  await startBoard(page, 'Slack Water');
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Another kind of board' }).hover();
  await page.getByRole('menuitem', { name: 'twin' }).click();
  await expect(page.getByText('The shape stays.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Undo: twin' })).toBeVisible();
});
