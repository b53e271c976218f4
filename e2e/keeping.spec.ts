// What is kept safe: back-ups out and in, what cannot be read, two windows on one board, a browser with no server.
import { readFileSync } from 'node:fs';
import { backupZip, readBackup } from '@june-tide/core/files/packages';
import type { Page } from '@playwright/test';
import { choose, expect, makePage, makePart, saved, step, taken, test, type } from './shed.ts';

/** Puts a row into a table of the browser's own store, as another program or a fault would. */
const putRow = (page: Page, table: string, row: unknown) =>
  page.evaluate(
    async ([name, value]) => {
      const asked = indexedDB.open('june-tide');
      await new Promise((done) => (asked.onsuccess = done));
      const move = asked.result.transaction(name as string, 'readwrite');
      move.objectStore(name as string).put(value);
      await new Promise((done) => (move.oncomplete = done));
      asked.result.close();
    },
    [table, row] as const,
  );
const DAY_ms = 86_400_000;
const width = (page: Page) => page.getByLabel('Wide point width', { exact: true });

test(
  'a back-up is made, brought into another shed board by board, and replaces one whole; a spoilt one changes nothing',
  { tag: '@pass' },
  async ({ page }) => {
    await page.goto('/bay/skarn-slack-118/outline');
    await type(page, 'Wide point width', '19 3/4');
    await saved(page);
    await page.goto('/keeping');
    await expect(page.getByTestId('last-backup')).toHaveText('None was made in this browser yet.');
    // This browser keeps no app: Playwright has it keep none but in the test that asks for it.
    await expect(page.getByText('The app itself is not kept here', { exact: false })).toBeVisible();
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Back up now' }).click();
    const zip = readFileSync(await (await download).path());
    await expect(page.getByTestId('last-backup')).toHaveText('The last was made today, among your downloads.');
    await expect(page.getByRole('status').filter({ hasText: 'on its way to your downloads' })).toContainText(
      /^june-tide-2026-11-25-\d{6}\.zip, .*: \d+ boards, \d+ riders, \d+ pictures?\./,
    );
    const read = readBackup(zip);
    expect(read.ok && read.rows.boards.length).toBeGreaterThan(10);
    // The board goes on, another is taken off, and the back-up is opened.
    await page.goto('/bay/skarn-slack-118/outline');
    await type(page, 'Wide point width', '20');
    await saved(page);
    await page.goto('/keeping');
    const picker = page.getByLabel('A back-up', { exact: true });
    await picker.setInputFiles({ name: 'half.zip', mimeType: 'application/zip', buffer: zip.subarray(0, 900) });
    await expect(page.getByRole('alert')).toContainText('half.zip: The zip is cut off or spoilt');
    await picker.setInputFiles({ name: 'shed.zip', mimeType: 'application/zip', buffer: zip });
    await expect(page.getByTestId('backup-sum')).toContainText(/1 older in the back-up, \d+ the same/);
    await expect(page.getByRole('row', { name: /^Slack Water 118/ })).toContainText(/There: Width 20 to 19 3\/4\./);
    const bring = page.getByRole('button', { name: 'Bring in what is chosen' });
    await expect(bring).toBeDisabled();
    await choose(page, 'What is done with Slack Water 118', 'keep both, the later on top');
    await bring.click();
    await expect(page.getByText('1 thing was brought in; all else is as it was.')).toBeVisible();
    await page.goto('/bay/skarn-slack-118/ride');
    await expect(page.getByText('as it was in the back-up').first()).toBeVisible();
    await step(page, 'Outline');
    await expect(width(page)).toHaveValue('20');
    // All of it as it was then; the shed of now is kept, and can be put back.
    await page.goto('/keeping');
    await picker.setInputFiles({ name: 'shed.zip', mimeType: 'application/zip', buffer: zip });
    await page.getByRole('button', { name: 'Replace everything with it' }).click();
    await page.getByRole('button', { name: 'Replace it', exact: true }).click();
    await expect(page.getByText('Everything is as in shed.zip.', { exact: false })).toBeVisible();
    await page.goto('/bay/skarn-slack-118/outline');
    await expect(width(page)).toHaveValue('19 3/4');
    await page.goto('/keeping');
    const before = page.getByRole('region', { name: 'Sheds of before' });
    await expect(before).toContainText(/25 November, \d\d:\d\d, before shed\.zip took its place: \d+ boards/);
    const kept = await taken(page, () => before.getByRole('button', { name: 'Save as a file' }).click());
    expect(readBackup(kept.bytes).ok).toBe(true);
    await before.getByRole('button', { name: 'Put it back' }).click();
    await page.getByRole('tooltip').getByRole('button', { name: 'Put it back' }).click();
    await expect(before).toContainText('It is back, as it was.');
    await page.goto('/bay/skarn-slack-118/outline');
    await expect(width(page)).toHaveValue('20');
    await page.goto('/keeping');
    await before.getByRole('button', { name: 'Let it go' }).click();
    await page.getByRole('tooltip').getByRole('button', { name: 'Let it go' }).click();
    await expect(before).toContainText('It is gone for good.');
    await expect(before.getByRole('button', { name: 'Put it back' })).toHaveCount(0);
  },
);

test('a store that cannot be read makes no back-up and says so; what the window holds can be saved', async ({
  page,
}) => {
  await page.goto('/keeping');
  await saved(page);
  await page.evaluate(() => {
    const all = IDBObjectStore.prototype.getAll;
    IDBObjectStore.prototype.getAll = function (...asked) {
      if (this.name === 'boards') throw new DOMException('the disk is gone', 'UnknownError');
      return all.apply(this, asked);
    };
  });
  await page.getByRole('button', { name: 'Back up now' }).click();
  await expect(page.getByRole('alert')).toContainText('No back-up was made: the disk is gone.');
  await expect(page.getByTestId('last-backup')).toHaveText('None was made in this browser yet.');
  const window = await taken(page, () => page.getByRole('button', { name: 'Save what this window holds' }).click());
  const read = readBackup(window.bytes);
  expect(read.ok && read.rows.boards.length).toBeGreaterThan(10);
  await expect(page.getByRole('status').filter({ hasText: '-this-window.zip' })).toContainText(
    'Pictures and what this window does not know are not in it.',
  );
  await expect(page.getByTestId('last-backup')).toHaveText('None was made in this browser yet.');
});

test('an empty back-up and a bomb are said to be what they are', async ({ page }) => {
  await page.goto('/keeping');
  const picker = page.getByLabel('A back-up', { exact: true });
  const rows = { boards: [], riders: [], blanks: [], settings: [], photos: [] };
  const empty = Buffer.from(backupZip(rows, '2026-03-04T10:00:00.000Z'));
  await picker.setInputFiles({ name: 'empty.zip', mimeType: 'application/zip', buffer: empty });
  await expect(page.getByRole('alert')).toContainText('empty.zip is a back-up with nothing in it.');
  const huge = { boards: Array.from({ length: 40 }, (_, id) => ({ id: String(id), notes: ' '.repeat(1e6) })) };
  const bomb = Buffer.from(backupZip({ ...rows, ...huge }, '2026-03-04T10:00:00.000Z'));
  await picker.setInputFiles({ name: 'bomb.zip', mimeType: 'application/zip', buffer: bomb });
  await expect(page.getByRole('alert')).toContainText('bomb.zip: What it says is packed in it is larger');
});

test('a browser that refuses a channel between windows has the shed all the same', async ({ page }) => {
  await page.addInitScript(() => {
    window.BroadcastChannel = class {
      constructor() {
        throw new DOMException('refused', 'SecurityError');
      }
    } as never;
  });
  await page.goto('/bay/skarn-slack-118/outline');
  await type(page, 'Wide point width', '19 3/4');
  await saved(page);
  await page.reload();
  await expect(width(page)).toHaveValue('19 3/4');
});

test('what cannot be read is shown with the reason, saved as a file, mended and put aside; a newer app’s board is shown and not changed', async ({
  page,
}) => {
  await page.goto('/');
  await saved(page);
  const row = await page.evaluate(async () => {
    const asked = indexedDB.open('june-tide');
    await new Promise((done) => (asked.onsuccess = done));
    const get = asked.result.transaction('boards').objectStore('boards').get('skarn-kettle-7');
    await new Promise((done) => (get.onsuccess = done));
    asked.result.close();
    return get.result as { board: { name: string; foil: object } };
  });
  await putRow(page, 'boards', { ...row, board: { ...row.board, foil: { ...row.board.foil, thickness_mm: 'thick' } } });
  await putRow(page, 'riders', { id: 'odd', name: 'Odd' });
  await putRow(page, 'boards', { ...row, id: 'newer', number: 70, tide: 7 });
  await page.goto('/bay/skarn-kettle-7/outline');
  await page.getByRole('link', { name: 'See why, and what is to be done' }).click();
  const list = page.getByRole('list', { name: 'Things that cannot be read' });
  await expect(list.getByRole('listitem')).toHaveCount(2);
  const kettle = list.getByRole('listitem').filter({ hasText: row.board.name });
  await expect(kettle).toContainText('board foil thickness_mm: must be a number');
  const download = page.waitForEvent('download');
  await kettle.getByRole('button', { name: 'Save as a file' }).click();
  expect(JSON.parse(readFileSync(await (await download).path(), 'utf8'))).toMatchObject({ id: 'skarn-kettle-7' });
  await kettle.getByRole('button', { name: 'Mend it' }).click();
  await expect(list.getByRole('listitem')).toHaveCount(1);
  await list.getByRole('button', { name: 'Put it aside' }).click();
  await expect(page.getByText('Everything in the store can be read.')).toBeVisible();
  await expect(page.getByRole('list', { name: 'Things put aside' }).getByRole('listitem')).toHaveCount(2);
  // What went wrong in the app is kept without anybody's names, handed on by hand, and forgotten when told.
  await expect(page.getByText('Nothing that was noticed.')).toBeVisible();
  await page.evaluate(() => {
    window.dispatchEvent(new ErrorEvent('error', { error: new RangeError('Slack Water of Maren cannot be drawn') }));
  });
  const wrong = page.getByRole('list', { name: 'What went wrong' });
  await expect(wrong.getByRole('listitem')).toHaveText(/RangeError: … of … cannot be drawn.*on \/keeping/);
  await page.reload();
  const report = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a file' }).last().click();
  const handedOn = readFileSync(await (await report).path(), 'utf8');
  expect(JSON.parse(handedOn)).toMatchObject({
    format: 'june-tide-mishaps',
    mishaps: [{ screen: '/keeping', times: 1 }],
  });
  expect(handedOn).not.toMatch(/Slack|Maren/);
  await page.getByRole('button', { name: 'Forget them' }).click();
  await expect(page.getByText('Nothing that was noticed.')).toBeVisible();
  await page.goto('/bay/skarn-kettle-7/outline');
  await expect(width(page)).toBeVisible();
  await page.goto('/bay/newer/outline');
  await type(page, 'Wide point width', '20');
  await expect(page.getByText('a newer June Tide wrote this board', { exact: false }).first()).toBeVisible();
});

test('two windows change one board at once: both changes are in both, and on disk', async ({ page, context }) => {
  await page.goto('/bay/skarn-slack-118/outline');
  const other = await context.newPage();
  await other.goto('/bay/skarn-slack-118/foil');
  for (const [k, inches] of ['19 1/4', '19 3/8', '19 5/8', '19 7/8'].entries()) {
    const thick = ['2 3/8', '2 7/16', '2 9/16', '2 5/8'][k];
    await width(page).fill(inches);
    await other.getByLabel('Thickest thick', { exact: true }).fill(thick);
    await Promise.all([width(page).press('Enter'), other.getByLabel('Thickest thick', { exact: true }).press('Enter')]);
    for (const each of [page, other]) await saved(each);
    const row = await page.evaluate(async () => {
      const asked = indexedDB.open('june-tide');
      await new Promise((done) => (asked.onsuccess = done));
      const get = asked.result.transaction('boards').objectStore('boards').get('skarn-slack-118');
      await new Promise((done) => (get.onsuccess = done));
      asked.result.close();
      return get.result as { board: { outline: { width_mm: number }; foil: { thickness_mm: number } } };
    });
    const mm = (text: string) => {
      const [whole, part] = text.split(' ');
      const [over, under] = part.split('/').map(Number);
      return 25.4 * (Number(whole) + over / under);
    };
    expect(row.board.outline.width_mm).toBeCloseTo(mm(inches), 6);
    expect(row.board.foil.thickness_mm).toBeCloseTo(mm(thick), 6);
  }
  await other.close();
});

test('steps back outlive a reload: undone after it by the key, redone by the key', async ({ page }) => {
  await page.goto('/bay/skarn-slack-118/outline');
  await type(page, 'Wide point width', '19 3/4');
  await type(page, 'Wide point width', '20');
  await saved(page);
  await page.reload();
  await expect(width(page)).toHaveValue('20');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(width(page)).toHaveValue('19 3/4');
  await page.keyboard.press('Control+z');
  await expect(width(page)).toHaveValue('19 1/2');
  await page.keyboard.press('Control+Shift+z');
  await expect(width(page)).toHaveValue('19 3/4');
});

test.describe('with no server', () => {
  test.use({ serviceWorkers: 'allow' });
  test('the app opens, a screen not seen before too, a board is drawn and a PDF is made', async ({ page, context }) => {
    await page.goto('/keeping');
    await expect(page.getByText('The app itself is kept here too', { exact: false })).toBeVisible({ timeout: 30_000 });
    await context.setOffline(true);
    await page.goto('/bay/skarn-slack-118/outline');
    await type(page, 'Wide point width', '20');
    await saved(page);
    await page.reload();
    await expect(width(page)).toHaveValue('20');
    await page.goto('/bring/scan');
    await expect(page.getByRole('heading', { name: 'Bring in a scan' })).toBeVisible();
    await page.goto('/bay/skarn-slack-118/make');
    await makePart(page, 'Paper and files');
    await makePage(page, 'Ticket and sheets');
    const ticket = await taken(page, () => page.getByRole('button', { name: 'Ticket, one page (PDF)' }).click());
    expect(ticket.bytes.subarray(0, 5).toString()).toBe('%PDF-');
  });
});

test('back-ups go into the folder that was picked, and by themselves when the next is due', async ({ page }) => {
  // The browser's own folder in place of one on a stick: nobody is here to pick it.
  await page.addInitScript(() => {
    Object.assign(window, {
      showDirectoryPicker: async () =>
        (await navigator.storage.getDirectory()).getDirectoryHandle('stick', { create: true }),
    });
  });
  const onStick = () =>
    page.evaluate(async () => {
      const look = async () => {
        const stick = await (await navigator.storage.getDirectory()).getDirectoryHandle('stick', { create: true });
        const files: [string, number[]][] = [];
        for await (const [name, entry] of stick as unknown as AsyncIterable<[string, FileSystemFileHandle]>) {
          files.push([name, [...new Uint8Array(await (await entry.getFile()).arrayBuffer())]]);
        }
        return files.sort(([a], [b]) => a.localeCompare(b));
      };
      for (;;) {
        try {
          return await look();
        } catch (error) {
          // What the browser writes into before it takes a file's place goes while it is looked at: then it is looked at anew.
          if (!(error instanceof DOMException && error.name === 'NotFoundError')) throw error;
        }
      }
    });
  await page.goto('/keeping');
  await page.getByRole('button', { name: 'Into a folder of mine' }).click();
  await expect(page.getByText('Into the folder stick.')).toBeVisible();
  await page.getByRole('button', { name: 'Back up now' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'june-tide-2026-11-25' })).toContainText(
    'in the folder stick and read back from there',
  );
  const [[name, bytes]] = await onStick();
  expect(name).toMatch(/^june-tide-2026-11-25-\d{6}\.zip$/);
  const read = readBackup(Uint8Array.from(bytes));
  expect(read.ok && read.rows.boards.length).toBeGreaterThan(10);
  // Six days on it is not due, eight days on it is.
  await page.clock.fastForward(6 * DAY_ms);
  expect((await onStick()).map(([file]) => file)).toEqual([name]);
  await page.clock.fastForward(2 * DAY_ms);
  await expect
    .poll(async () => (await onStick()).map(([file]) => file))
    .toEqual([name, expect.stringMatching(/^june-tide-2026-12-03-\d{6}\.zip$/)]);
  await page.reload();
  await expect(page.getByTestId('last-backup')).toHaveText('The last was made today, in your folder.');
});
