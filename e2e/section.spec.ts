// The section as the large drawing: rail, crown and bottom are pulled on it, and its stations moved along the board.
import { choose, drag, expect, litres, saved, startBoard, step, test, type, visit } from './shed.ts';

/** What is pulled on the whole section. */
const pull = (name: string) => `.whole-section [data-pull="${name}"]`;

test(
  'apex, fullness, tuck and crown are pulled on the section, where the blend was a station is set',
  { tag: '@pass' },
  async ({ page }) => {
    await startBoard(page, 'Slack Water');
    await step(page, 'Rails');
    await page.keyboard.press('Shift+ArrowRight');
    const rows = page.getByRole('region', { name: 'Rails' }).getByRole('row');
    await expect(rows).toHaveCount(5);
    await expect(page.locator(pull('apex'))).toHaveClass(/blended/);
    const [ratio, before] = [page.getByTestId('apex-says'), await litres(page)];
    await expect(ratio).toHaveText('60/40');
    await drag(page, page.locator(`${pull('apex')} .grab`), 0, 20);
    await expect(ratio).not.toHaveText('60/40');
    await expect(page.locator(pull('apex'))).not.toHaveClass(/blended/);
    // The whole pull is one step to undo, and one station.
    await expect(rows).toHaveCount(6);
    await expect(page.getByLabel('Place of the rail 20 1/4 in from tail')).toHaveValue('20 1/4');
    await page.getByRole('button', { name: /^Undo: apex on the section/ }).click();
    await expect(rows).toHaveCount(5);
    await expect.poll(() => litres(page)).toBe(before);

    await page.keyboard.press('t');
    const tuck = page.getByLabel('Tuck, 12 in from tail');
    await expect(tuck).toHaveValue('1/2');
    await drag(page, page.locator(`${pull('tuck')} .grab`), -30, 0);
    await expect(tuck).toHaveValue(/^1/);
    await page.locator(pull('fullness')).focus();
    await page.keyboard.press('ArrowUp');
    await expect(page.getByRole('spinbutton', { name: 'Fullness, 12 in from tail' })).not.toHaveValue('60');
    const crown = page.getByTestId('crown-says');
    const said = await crown.innerHTML();
    await drag(page, page.locator(`${pull('crown')} .grab`), 0, 6);
    await expect.poll(() => crown.innerHTML()).not.toBe(said);
    await expect(page.getByRole('button', { name: /^Undo: crown on the section/ })).toBeVisible();
    await saved(page);
  },
);

test('the rail is drawn larger beside it: pulled there too, with its bands, held against another station', async ({
  page,
}) => {
  await startBoard(page, 'Slack Water');
  await step(page, 'Rails');
  await page.keyboard.press('t');
  const large = page.getByRole('region', { name: 'Rail, larger' });
  const small = await page.getByTestId('section-foam').boundingBox();
  expect(small?.width).toBeGreaterThanOrEqual(640);
  const apex = page.getByRole('spinbutton', { name: 'Apex, 12 in from tail' });
  await expect(apex).toHaveValue('30');
  await drag(page, large.locator('[data-pull="apex"] .grab'), 0, -14);
  await expect(apex).not.toHaveValue('30');
  const radius = page.getByLabel('Edge radius, 12 in from tail');
  await expect(radius).toHaveValue('1/8');
  await drag(page, large.locator('[data-pull="edge"] .grab'), -24, 0);
  await expect(radius).not.toHaveValue('1/8');
  await expect(page.getByRole('button', { name: /^Undo: edge radius on the section/ })).toBeVisible();
  const hard = page.getByRole('spinbutton', { name: 'Edge, 12 in from tail' });
  await expect(hard).toHaveValue('40');
  await drag(page, large.locator('[data-pull="edge"] .grab'), 0, -25);
  await expect(hard).toHaveValue('65');
  await large.locator('[data-pull="edge"]').focus();
  await page.keyboard.press('ArrowDown');
  await expect(hard).toHaveValue('60');
  await large.getByRole('button', { name: 'Bands' }).click();
  await expect(large.getByTestId('bands-on-rail')).toHaveCount(1);
  await expect(page.getByTestId('section-against')).toHaveCount(0);
  await choose(page, 'Held against', 'Wide point');
  await expect(page.getByTestId('section-against')).toHaveCount(1);
  await choose(page, 'Lay over another board', 'As it was when opened');
  await expect(page.getByTestId('section-over')).toHaveCount(1);
  await expect(page.getByTestId('section-neighbour')).toHaveCount(4);
});

test('rail stations are moved along the tape by hand, by keys and by number, and copied', async ({ page }) => {
  await startBoard(page, 'Slack Water');
  await step(page, 'Rails');
  const place = page.getByLabel(/^Place of the rail .* from tail$/).first();
  await expect(place).toHaveValue('12');
  const index = await page.getByRole('slider', { name: /^Rail 12 in from tail/ }).getAttribute('data-station');
  const mark = page.locator(`[data-station="${index}"]`);
  await drag(page, mark.locator('.grab'), 40, 0);
  await expect(place).not.toHaveValue('12');
  await mark.focus();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByRole('button', { name: /^Undo: rail moved/ })).toBeVisible();
  await place.fill('14');
  await place.press('Enter');
  await expect(page.getByLabel('Place of the rail 14 in from tail')).toHaveValue('14');
  await expect(page.getByRole('slider', { name: 'Hook on the tape' })).toHaveAttribute(
    'aria-valuetext',
    /^14 from tail/,
  );
  await page.getByRole('heading', { name: 'Rails' }).click();
  await page.keyboard.press('PageUp');
  await expect(page.getByRole('slider', { name: 'Hook on the tape' })).not.toHaveAttribute(
    'aria-valuetext',
    /^14 from tail/,
  );
  await page.keyboard.press('n');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowLeft');
  await choose(page, 'Copy a rail to the hook', '2 in from tail');
  const tuck = await page.getByLabel('Tuck, 2 in from tail').inputValue();
  await expect(page.getByLabel('Tuck, 14 in from nose')).toHaveValue(tuck);
  const hard = page.getByRole('spinbutton', { name: 'How hard the edge in the tail is' });
  await hard.fill('35');
  await hard.press('Enter');
  await page.getByRole('heading', { name: 'Rails' }).click();
  await page.keyboard.press('t');
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByTestId('section-figures')).toContainText('firm edge');
});

test('the bottom is pulled on the section and drawn taller, its contours moved, faded and read under a straightedge', async ({
  page,
}) => {
  await startBoard(page, 'Slack Water');
  await step(page, 'Bottom');
  await page.keyboard.press('w');
  const says = page.getByTestId('straightedge-says');
  const before = await says.textContent();
  const taller = page.getByRole('region', { name: 'Bottom, taller' });
  await expect(taller).toContainText('times as tall');
  await drag(page, taller.locator('[data-pull="depth"] .grab'), 0, -26);
  await expect.poll(() => says.textContent()).not.toBe(before);
  await expect(page.getByRole('button', { name: /^Undo: single concave pulled/ })).toBeVisible();
  const fade = page.getByLabel('Single concave fades to the nose over');
  await fade.fill('8');
  await fade.press('Enter');
  await expect(fade).toHaveValue('8');
  // Its last depth toward the nose stands 14 in from it, and where it is none now 6.
  const last = page.getByLabel('Single concave, place of depth 5');
  await expect(last).toHaveValue('6');
  await last.fill('5 1/2');
  await last.press('Enter');
  await expect(fade).toHaveValue('8 1/2');
});

test('crown stations are moved along the plank, pulled and typed', async ({ page }) => {
  await startBoard(page, 'Slack Water');
  await step(page, 'Deck');
  await page.getByRole('button', { name: 'Crown at the hook' }).click();
  const places = page.getByLabel(/^Place of the crown/);
  await expect(places).toHaveCount(4);
  const before = await litres(page);
  await drag(page, page.locator('[data-crown="1"] .grab'), 0, 30);
  await expect.poll(() => litres(page)).toBeLessThan(before);
  await drag(page, page.locator('[data-crown="1"] .grab'), 60, 0);
  await expect(page.getByRole('button', { name: /^Undo: crown moved/ })).toBeVisible();
  await type(page, 'Place of the crown Tail', '6');
  await expect(page.getByLabel('Place of the crown 6 in from tail')).toHaveValue('6');
});

test('fins: told to either edge, shifted and spread as a set, toe pulled as a line, a wing takes hold', async ({
  page,
}) => {
  await startBoard(page, 'Slack Water');
  await page.getByRole('button', { name: 'Add a wing' }).click();
  await type(page, 'Wing 1 from tail', '12');
  await step(page, 'Fins');
  const front = page.getByLabel('Front pair from tail');
  await expect(front).toHaveValue('11');
  await page
    .getByRole('radiogroup', { name: /^Distances from the tail/ })
    .getByText('Leading')
    .click();
  await expect(front).toHaveValue('15 3/8');
  await expect(page.locator('.plank')).toContainText('to the leading edge');
  await page
    .getByRole('radiogroup', { name: /^Distances from the tail/ })
    .getByText('Trailing')
    .click();
  // The set as a whole: a rear fin as large as a front one, and how slender they are.
  const set = page.getByRole('region', { name: 'The fins as a set' });
  await expect(set).toContainText('Set ratio1.00');
  await expect(set).toContainText(/Depth to area1\.\d\d/);
  await page.getByRole('button', { name: 'All fins forward' }).click();
  await expect(front).toHaveValue('11 1/8');
  const spread = page.getByLabel('Spread of the fins');
  await type(page, 'Spread of the fins', '8');
  await expect(spread).toHaveValue('8');
  // Pulled near the wing, the trailing edge stands at it.
  const before = await front.inputValue();
  expect(before).not.toBe('12');
  await type(page, 'Front pair from tail', '11 5/8');
  await drag(page, page.locator('.plank [data-fin="front1"] line').first(), 5, 0);
  await expect(front).toHaveValue('12');
  const toe = page.getByLabel('Front pair toe over the base');
  const said = await toe.inputValue();
  await drag(page, page.locator('.plank [data-toe="front"] .grab'), 0, 16);
  await expect(toe).not.toHaveValue(said);
  await expect(page.getByRole('button', { name: /^Undo: toe of the front fins/ })).toBeVisible();
});

test('rail line and concave line are drawn over the profile by button and by key, the straight run with them', async ({
  page,
}) => {
  await startBoard(page, 'Slack Water');
  await step(page, 'Rocker');
  await expect(page.getByTestId('rail-line-says')).toContainText('Rail line');
  await page.keyboard.press('l');
  await expect(page.getByTestId('line-rail')).toContainText('rail line under the stringer at the hook');
  await expect(page.getByTestId('straight-run')).toHaveCount(1);
  // How long it is straight and where a bend begins are asked for too: the lifts on the way there follow, one step to undo.
  const [run, nose] = [
    page.getByLabel('Straight run of the rail line'),
    page.getByLabel('Bend of the nose begins, from nose'),
  ];
  await expect(run).toHaveValue('7 5/16');
  const lift = page.getByLabel('Nose 12 lift');
  const [lifted, drawn] = [await lift.inputValue(), await page.getByTestId('straight-run').boundingBox()];
  await type(page, 'Bend of the nose begins, from nose', '33');
  await expect(nose).toHaveValue('33');
  await expect(lift).not.toHaveValue(lifted);
  await expect(page.getByTestId('line-rail')).toBeVisible();
  await expect
    .poll(async () => (await page.getByTestId('straight-run').boundingBox())!.width)
    .toBeGreaterThan(drawn!.width);
  await page.getByRole('button', { name: /^Undo: straight run/ }).click();
  await expect(run).toHaveValue('7 5/16');
  await expect(lift).toHaveValue(lifted);
  await type(page, 'Straight run of the rail line', '60');
  await expect(page.getByRole('region', { name: 'The rocker as it is read' }).getByRole('alert')).toContainText(
    'goes no further (limit',
  );
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Concave line' }).click();
  await expect(page.getByTestId('line-concave')).toHaveCount(1);
  await page.keyboard.press('l');
  await expect(page.getByTestId('line-rail')).toHaveCount(0);
  // The light says where and how much, to the ear and where it is pointed at.
  await page.getByTestId('light-rocker').hover();
  await expect(page.getByTestId('light-rocker')).toContainText(/fair|proud by|flat by/);
  await expect(page.getByTestId('light-rocker')).toContainText('from tail');
});

test('feet, pad, plug, fins, deepest concave and flat point are seen on the plan together', async ({ page }) => {
  await startBoard(page, 'Slack Water', 'Maren');
  await page.keyboard.press('f');
  const drawn = page.getByTestId('feet-on-plan');
  await expect(drawn).toContainText('between Maren’s feet');
  await expect(drawn).toContainText('light, deepest here');
  await expect(drawn).toContainText('from tail, flat point');
  await step(page, 'Deck');
  await expect(drawn).toHaveCount(1);
  await page.getByRole('button', { name: 'Feet and fins' }).click();
  await expect(drawn).toHaveCount(0);
});

test('the palette does everything by typing, and the words of the trade are said where they are pointed at', async ({
  page,
}) => {
  await startBoard(page, 'Slack Water');
  await page.keyboard.press('Control+k');
  await page.getByPlaceholder('Do something, or open a board').fill('rails');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Rails', exact: true })).toBeVisible();
  // Steps and parts of making say their own word too.
  await expect(
    page.getByRole('navigation', { name: 'Order of the work' }).getByRole('link', { name: /\bRocker\b/ }),
  ).toHaveAccessibleDescription(/^The curve of the bottom from the side/);
  await page.locator('[data-term="tuck"]').hover();
  await expect(page.getByRole('tooltip')).toContainText('How far the bottom edge sits inside the apex');
  await page.keyboard.press('Control+k');
  await page.getByPlaceholder('Do something, or open a board').fill('gannet');
  await page.getByRole('option', { name: /Gannet 2/ }).click();
  await expect(page.getByRole('heading', { name: /Gannet 2/ })).toBeVisible();
  await page.keyboard.press('g');
  await page.getByLabel('Look up a word').fill('apex');
  await expect(page.getByRole('dialog')).toContainText('60/40 has sixty parts');
  await page.getByLabel('Look up a word').fill('zzz');
  await expect(page.getByRole('dialog')).toContainText('No word like that');
  await page.keyboard.press('Escape');
  // So are those of the shelf, the settings and a rider's card.
  for (const [path, word, says] of [
    ['/shelf?part=figures', 'potLife', 'How long resin can be worked'],
    ['/settings', 'school', 'One of several ways good shapers do it'],
    ['/riders/maren', 'quiver', 'The boards one rider has'],
  ] as const) {
    await visit(page, path);
    await page.locator(`[data-term="${word}"]`).first().hover();
    await expect(page.getByRole('tooltip').filter({ hasText: says })).toBeVisible();
  }
});
