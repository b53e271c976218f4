// What is done by hand on the plank and with a board as a whole.
import { choose, drag, expect, litres, pickEnd, saved, startBoard, step, test, type } from './shed.ts';

const inches = (text: string) =>
  text
    .split(' ')
    .map((part) => part.split('/').map(Number))
    .reduce((sum, [over, under = 1]) => sum + over / under, 0);

test('a wing slides along the rail and is pulled deeper, its numbers following', async ({ page }) => {
  await startBoard(page, 'Slack Water');
  await page.getByRole('button', { name: 'Add a wing' }).click();
  const wing = page.getByRole('slider', { name: 'Wing 1 on the rail' });
  const from = page.getByLabel('Wing 1 from tail');
  await expect(from).toHaveValue('10');
  await drag(page, wing.locator('.grab'), 40, 0);
  await expect.poll(async () => inches(await from.inputValue())).toBeGreaterThan(11);
  await drag(page, wing.locator('.grab'), 0, 6);
  await expect.poll(async () => inches(await page.getByLabel('Wing 1 depth').inputValue())).toBeGreaterThan(0.4);
  const before = inches(await from.inputValue());
  await wing.focus();
  await page.keyboard.press('Shift+ArrowLeft');
  await expect.poll(async () => before - inches(await from.inputValue())).toBeCloseTo(0.25, 5);
});

test('tails and noses are picked from pictures', async ({ page }) => {
  await startBoard(page, 'Slack Water');
  await page.getByRole('button', { name: /^Tail: squash/ }).click();
  await expect(page.getByRole('radiogroup', { name: 'Tail', exact: true }).getByRole('radio')).toHaveCount(10);
  await page.keyboard.press('Escape');
  await pickEnd(page, 'Tail', 'Diamond');
  await expect(page.getByRole('button', { name: 'Tail: diamond' })).toBeVisible();
  await pickEnd(page, 'Nose', 'Round');
  await expect(page.getByRole('button', { name: 'Nose: round' })).toBeVisible();
  await page.getByRole('button', { name: /^Undo: round nose/ }).click();
  await expect(page.getByRole('button', { name: 'Nose: pointed' })).toBeVisible();
});

test('a locked outline refuses every change of it in words, and takes them again when let go', async ({ page }) => {
  await startBoard(page, 'Slack Water');
  await page.getByRole('button', { name: 'Lock the outline' }).click();
  const width = page.getByLabel('Wide point width');
  const was = await width.inputValue();
  await type(page, 'Wide point width', '20');
  await expect(page.getByRole('alert')).toContainText('outline is locked');
  await page.keyboard.press('Escape');
  await drag(page, page.locator('[data-mark="outline.wide"]'), 0, -12);
  await expect(width).toHaveValue(was);
  await step(page, 'Foil');
  await type(page, 'Thickest thick', '2 1/2');
  await expect(page.getByTestId('headline')).toContainText('2 1/2');
  await step(page, 'Outline');
  await saved(page);
  await page.reload();
  await page.getByRole('button', { name: 'Let the outline go' }).click();
  await type(page, 'Wide point width', '20');
  await expect(page.getByTestId('headline')).toContainText('20');
});

test('equal ends, and the front half of another board', async ({ page }) => {
  await startBoard(page, 'Slack Water');
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Equal ends' }).click();
  const width = (mark: string) => page.getByLabel(`${mark} width`).inputValue();
  await expect.poll(async () => (await width('Tail 12')) === (await width('Nose 12'))).toBe(true);
  await page.getByRole('button', { name: /^Undo: equal ends/ }).click();
  const tail = inches(await width('Tail 12'));
  await page.getByRole('button', { name: 'Take the outline from' }).click();
  await page.getByRole('dialog').getByText('front half', { exact: true }).click();
  await page.getByRole('combobox', { name: 'Board to take it from' }).fill('Gannet, ');
  await page
    .getByRole('option', { name: 'Gannet, 6' })
    .or(page.locator('.ant-select-item-option', { hasText: /^Gannet, 6/ }))
    .last()
    .click();
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByRole('button', { name: /^Undo: front half of Gannet/ })).toBeVisible();
  expect(Math.abs(inches(await width('Tail 12')) - tail)).toBeLessThan(0.5);
});

test('rail stations are changed together, made the same as another, and the edge is pulled along the tail', async ({
  page,
}) => {
  await startBoard(page, 'Slack Water');
  await step(page, 'Rails');
  await page.getByRole('checkbox', { name: /^Change 12 in from nose/ }).check();
  await page.getByRole('checkbox', { name: /^Change Wide point/ }).check();
  await type(page, 'Tuck, Wide point', '1 1/8');
  await expect(page.getByLabel('Tuck, 12 in from nose')).toHaveValue('1 1/8');
  await expect(page.getByLabel('Tuck, 12 in from tail')).not.toHaveValue('1 1/8');
  await expect(page.getByRole('button', { name: /^Undo: tuck at 2 stations/ })).toBeVisible();
  await choose(page, 'Rail, 12 in from tail', 'Same as 2 in from tail');
  const tuck = await page.getByLabel('Tuck, 2 in from tail').inputValue();
  await expect(page.getByLabel('Tuck, 12 in from tail')).toHaveValue(tuck);
  const edge = page.getByLabel('Hard edge from the tail');
  const before = inches(await edge.inputValue());
  await drag(page, page.locator('[data-edge] .grab'), 45, 0);
  await expect.poll(async () => inches(await edge.inputValue())).toBeGreaterThan(before + 2);
});

test('the bottom has contour lines and a straightedge at the hook', async ({ page }) => {
  await startBoard(page, 'Slack Water');
  await step(page, 'Bottom');
  const lines = page.getByTestId('relief').locator('path');
  await expect.poll(() => lines.count()).toBeGreaterThan(2);
  const few = await lines.count();
  await type(page, 'Depth of single concave', '5/16');
  await expect.poll(() => lines.count()).toBeGreaterThan(few);
  await page.getByRole('heading', { name: 'Bottom' }).click();
  await page.getByRole('slider', { name: 'single concave, depth mark 2' }).focus();
  await expect(page.getByTestId('straightedge-says')).toContainText('5⁄16 light at the stringer');
  await expect(page.getByTestId('straightedge')).toHaveCount(1);
  await choose(page, 'A usual bottom to begin from', 'Flat');
  await expect(page.getByTestId('straightedge-says')).toContainText('lies flat');
  await expect(page.getByTestId('relief')).toHaveCount(0);
});

test('fins are dragged on the board, seen from behind, and their templates reshaped', async ({ page }) => {
  await startBoard(page, 'Slack Water');
  await step(page, 'Fins');
  const from = page.getByLabel('Front pair from tail');
  const before = inches(await from.inputValue());
  const fin = page.locator('.plank [data-fin="front1"] .fin-base');
  const inset = page.getByLabel('Front pair from rail');
  const inBefore = await inset.inputValue();
  // A pull that slants moves the fin along the board and leaves it as far from the rail as it was.
  await drag(page, fin, 30, 8);
  await expect.poll(async () => inches(await from.inputValue())).toBeGreaterThan(before + 1);
  expect(await inset.inputValue()).toBe(inBefore);
  await drag(page, fin, 2, 10);
  await expect.poll(async () => inches(await inset.inputValue())).toBeGreaterThan(1.5);
  const centre = page.getByLabel('Centre from tail');
  const was = inches(await centre.inputValue());
  await page.getByRole('region', { name: 'Tail' }).getByRole('slider', { name: 'Centre fin on the tail' }).focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect.poll(async () => inches(await centre.inputValue()) - was).toBeCloseTo(0.25, 5);
  await page.getByText('From behind', { exact: true }).click();
  await page.getByRole('spinbutton', { name: 'Front pair cant' }).fill('9');
  await page.getByRole('spinbutton', { name: 'Front pair cant' }).press('Enter');
  await expect(page.getByRole('img', { name: /from behind/ })).toContainText('9°');
  const shape = page.getByRole('button', { name: 'Front pair: rake, tip and foil' });
  const area = Number.parseFloat(await shape.innerText());
  await shape.click();
  await page.getByRole('spinbutton', { name: 'Front pair tip' }).fill('60');
  await page.getByRole('spinbutton', { name: 'Front pair tip' }).press('Enter');
  await expect.poll(async () => Number.parseFloat(await shape.innerText())).toBeGreaterThan(area + 1);
});

test('an earlier state of the board is laid over from its history', async ({ page }) => {
  await startBoard(page, 'Slack Water');
  await type(page, 'Wide point width', '20');
  await type(page, 'Wide point width', '20 1/2');
  await choose(page, 'Lay over another board', /^Before wide point on the outline/);
  await expect(page.getByTestId('laid-over')).toBeVisible();
  await page.getByRole('button', { name: 'Differences' }).click();
  await expect(page.getByRole('dialog')).toContainText('before wide point on the outline');
  await expect(page.getByRole('row', { name: /^Width\b/ }).first()).toContainText('+1/2');
});

test('a board begins from the rider’s last one', async ({ page }) => {
  await page.goto('/start');
  await choose(page, 'Rider', 'Maren');
  await page.getByRole('radio', { name: /^Slack Water 118\s*their last board/ }).click();
  await page.getByRole('button', { name: 'Start Slack Water 118 for Maren' }).click();
  await expect(page.getByTestId('headline')).toContainText("6'2");
  await expect(page.getByRole('heading', { name: /Slack Water 119/ })).toBeVisible();
});

test('settings change how a size is said, and stay', async ({ page }) => {
  await startBoard(page, 'Slack Water');
  const ticket = page.getByRole('region', { name: 'Ticket' });
  const lift = ticket.locator('dt', { hasText: 'Nose lift' }).locator('..');
  const flat = await lift.innerText();
  const address = page.url();
  await page.getByRole('button', { name: 'Units and light' }).click();
  await page.getByRole('link', { name: 'All settings' }).click();
  await page.getByText('Lying on a table').click();
  await page.getByText('Tape along the bottom').click();
  await page.getByRole('radio', { name: 'Belly or vee' }).check();
  await saved(page);
  await page.goto(address);
  await expect(lift).not.toHaveText(flat);
  await expect(page.getByTestId('headline')).toContainText('along the bottom');
  await page.goto('/settings');
  await expect(page.getByRole('radio', { name: 'Belly or vee' })).toBeChecked();
});

test('without WebGL the room shows shaded silhouettes and says why', async ({ page }) => {
  await page.addInitScript(() => {
    const get = HTMLCanvasElement.prototype.getContext;
    HTMLCanvasElement.prototype.getContext = function (this: HTMLCanvasElement, kind: string, ...rest: unknown[]) {
      return kind.startsWith('webgl') ? null : Reflect.apply(get, this, [kind, ...rest]);
    } as typeof get;
    // What the 3D library says on the console when there is none is expected here.
    console.error = () => undefined;
  });
  await startBoard(page, 'Slack Water');
  await page.getByRole('button', { name: 'Into the room' }).click();
  await expect(page.getByRole('alert')).toContainText('no 3D view');
  await expect(page.getByTestId('silhouettes').getByRole('img', { name: 'The board from the side' })).toBeVisible();
  await page.getByRole('button', { name: 'Back to the drawing' }).click();
  await expect(page.getByRole('slider', { name: 'Hook on the tape' })).toBeVisible();
});

test('three hundred boards on the rack: found, scrolled through and opened', async ({ page }) => {
  test.setTimeout(90_000);
  await startBoard(page, 'Slack Water');
  await saved(page);
  await page.evaluate(async () => {
    const open = indexedDB.open('june-tide');
    const db = await new Promise<IDBDatabase>((done, fail) => {
      open.onsuccess = () => done(open.result);
      open.onerror = () => fail(new Error('store'));
    });
    const store = db.transaction('boards', 'readwrite').objectStore('boards');
    const all = await new Promise<{ id: string; board: { length_mm: number; name: string } }[]>((done) => {
      const asked = store.getAll();
      asked.onsuccess = () => done(asked.result);
    });
    for (let i = 0; i < 300; i++) {
      const from = all[i % all.length];
      store.put({
        ...from,
        id: `many-${i}`,
        number: 1000 + i,
        // On the wall, whatever it is a copy of.
        archived: false,
        board: { ...from.board, name: 'Many', length_mm: from.board.length_mm + i * 0.5 },
      });
    }
    await new Promise((done) => (store.transaction.oncomplete = done));
  });
  await page.goto('/');
  await expect(page.getByText(/^3\d\d boards at one true scale/)).toBeVisible();
  // Only what is in sight is drawn.
  expect(await page.getByRole('listitem').count()).toBeLessThan(30);
  await page.locator('.rack-wall').evaluate((wall) => wall.scrollTo({ left: 9000 }));
  await expect(page.getByRole('listitem').first()).toBeVisible();
  await page.getByLabel('Ask the shed: a board, a rider, a size, how it went').fill('Many 1234');
  await expect(page.getByRole('listitem')).toHaveCount(1);
  await page.getByRole('link', { name: /^Open Many 1234/ }).click();
  expect(await litres(page)).toBeGreaterThan(10);
});

test('a mark that is pulled stays under the hand, and the board is laid out anew when it is let go', async ({
  page,
}) => {
  await startBoard(page, 'Slack Water');
  for (const [name, mark, dy] of [
    ['Outline', 'outline.wide', -10],
    ['Rocker', 'rocker.nose', -14],
  ] as const) {
    await step(page, name);
    const ring = page.locator(`[data-mark="${mark}"] .grab`).first();
    await ring.hover({ force: true });
    const before = (await ring.boundingBox())!;
    const [x, y] = [before.x + before.width / 2, before.y + before.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    for (let i = 1; i <= 5; i++) await page.mouse.move(x, y + (dy * i) / 5);
    await expect
      .poll(async () => {
        const box = (await ring.boundingBox())!;
        return Math.hypot(box.x + box.width / 2 - x, box.y + box.height / 2 - y - dy);
      })
      .toBeLessThan(1.5);
    await page.mouse.up();
  }
});
