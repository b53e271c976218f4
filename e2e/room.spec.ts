// The board in the round, drawn in software here.
import type { Locator } from '@playwright/test';
import { meshToStl } from '@june-tide/core/files';
import { modelNamed } from '@june-tide/core/models';
import { shapeOf } from '@june-tide/core/shape';
import { meshOf } from '@june-tide/core/solid';
import { choose, expect, startBoard, taken, test, type } from './shed.ts';

/** The picture once it stands still, which is another than those before it. */
async function stillPicture(room: Locator, before: readonly string[]): Promise<string> {
  let last = '';
  await expect(async () => {
    const now = (await room.screenshot()).toString('base64');
    const isStill = now === last;
    last = now;
    expect(isStill && !before.includes(now)).toBe(true);
  }).toPass({ intervals: [50], timeout: 30_000 });
  return last;
}

test('the room: eyes, stripes and the cut each give another picture, and the drawing is a key away', async ({
  page,
}) => {
  test.setTimeout(200_000);
  await startBoard(page, 'Two Lanterns');
  await page.getByRole('button', { name: 'Into the room' }).click();
  const room = page.getByTestId('room');
  await expect
    .poll(async () => Number(await room.getAttribute('data-corners')), { timeout: 20_000 })
    .toBeGreaterThan(50_000);
  const seen: string[] = [];
  const look = async () => void seen.push(await stillPicture(room, seen));
  await look();
  for (const eye of [
    'Down the right rail',
    'Down the left rail',
    'Along the deck',
    'Along the bottom',
    'Over the deck',
    'Behind the tail',
    'In front of the nose',
    'From the beach',
  ]) {
    await choose(page, 'Where the eye is', eye);
    await look();
  }
  for (const skin of ['Stripes of light', 'Lines of height', 'Bend along the board', 'Bend across the board']) {
    await choose(page, 'What it is covered with', skin);
    await look();
  }
  await choose(page, 'What it is covered with', 'Stripes of light');
  await page.getByRole('slider', { name: /Lamps turned/ }).focus();
  await page.keyboard.press('End');
  await look();
  await page.getByRole('switch', { name: 'Cut at the hook' }).click();
  await look();
  // The keys turn it, come nearer, and go back to the eye.
  await room.focus();
  for (const key of ['ArrowLeft', 'ArrowUp', '+']) {
    await page.keyboard.press(key);
    await look();
  }
  expect(seen).toHaveLength(18);
  await page.keyboard.press('Home');
  await stillPicture(room, seen.slice(-1));
  await page.getByRole('heading', { name: /Two Lanterns/ }).click();
  await page.keyboard.press('r');
  await expect(page.getByRole('group', { name: /plan, tape and profile/ })).toBeVisible();
});

/** How many of 200 by 125 places of the room's picture are greener than they are red or blue, and whether the middle is. */
const greenIn = (room: Locator) =>
  room.evaluate((canvas: HTMLCanvasElement) => {
    const small = new OffscreenCanvas(200, 125).getContext('2d')!;
    small.drawImage(canvas, 0, 0, 200, 125);
    const { data } = small.getImageData(0, 0, 200, 125);
    const green = (i: number) => data[i + 1] > data[i] + 20 && data[i + 1] > data[i + 2] + 20;
    let places = 0;
    for (let i = 0; i < data.length; i += 4) if (green(i)) places++;
    return { places, middle: green(4 * (200 * 62 + 100)) };
  });

test(
  'the room: a tint of the order is on the bottom and laps onto the deck, where it is said what was understood',
  { tag: '@pass' },
  async ({ page }) => {
    test.setTimeout(90_000);
    await page.goto('/bay/skarn-slack-118/make?part=order');
    await page.getByLabel('Colours and artwork').fill('sea-green tint on the bottom, cut lap, one black pinline');
    await page.keyboard.press('Tab');
    await expect(page.getByTestId('coloured')).toHaveText('In the room: on the bottom, cut lap pinline');
    await page.getByRole('button', { name: 'Into the room' }).click();
    const room = page.getByTestId('room');
    await expect
      .poll(async () => Number(await room.getAttribute('data-corners')), { timeout: 20_000 })
      .toBeGreaterThan(50_000);
    // From above it is white between its laps; from below it is green.
    await choose(page, 'Where the eye is', 'Over the deck');
    await expect.poll(async () => (await greenIn(room)).places, { timeout: 30_000 }).toBeGreaterThan(150);
    expect((await greenIn(room)).middle).toBe(false);
    await choose(page, 'Where the eye is', 'Along the bottom');
    await expect.poll(async () => (await greenIn(room)).middle, { timeout: 30_000 }).toBe(true);
  },
);

test('the room: two clicks measure it, another board stands in it, it is filmed, and it is small beside the drawing', async ({
  page,
}) => {
  test.setTimeout(240_000);
  await startBoard(page, 'Slack Water');
  await choose(page, 'Lay over another board', /^Gannet/);
  await page.getByRole('button', { name: 'Into the room' }).click();
  const room = page.getByTestId('room');
  await expect(room).not.toHaveAttribute('data-corners', '0', { timeout: 20_000 });
  const pictures: string[] = [];
  for (const other of ['Other through it', 'Other beside it', 'Other as lines']) {
    await choose(page, 'How the other board is shown', other);
    pictures.push(await stillPicture(room, pictures));
  }
  expect(pictures).toHaveLength(3);

  // One click says where a place is, the second how far it is from the first.
  await choose(page, 'Where the eye is', 'Over the deck');
  await page.getByRole('switch', { name: 'Measure with two clicks' }).click();
  await expect(page.getByText(/Click a place on the board/)).toBeVisible();
  const { x, y, width, height } = (await room.boundingBox())!;
  await page.mouse.click(x + width / 2, y + height / 2);
  const first = page.getByTestId('measured-place');
  await expect(first).toContainText('from the tail');
  await page.mouse.click(x + width / 2 + 80, y + height / 2);
  const between = page.getByTestId('measured-between');
  await expect(between).toContainText('straight');
  await expect(between).toContainText(/along,.*across,.*up/);
  const film = await taken(page, () => page.getByRole('button', { name: 'Turntable (WebM)' }).click());
  expect(film.name).toMatch(/^slack-water-\d+-room-turntable\.webm$/);
  // EBML's own first four bytes (RFC 8794, 11.2.1), and that it is WebM.
  expect(film.bytes.subarray(0, 4).toString('hex')).toBe('1a45dfa3');
  expect(film.bytes.subarray(0, 64).toString('latin1')).toContain('webm');
  expect(film.bytes.length).toBeGreaterThan(50_000);

  await page.getByRole('button', { name: 'Back to the drawing' }).click();
  await page.getByRole('button', { name: 'Small room' }).click();
  const small = page.getByTestId('small-room');
  await expect(small).not.toHaveAttribute('data-corners', '0', { timeout: 20_000 });
  const narrow = await stillPicture(small, []);
  await type(page, 'Wide point width', '22');
  await stillPicture(small, [narrow]);
  await page.getByRole('button', { name: 'Take the small room off' }).click();
  await expect(small).toHaveCount(0);
});

test('the room: a bump on a scan is red where it lies, seen over the tail, and not from below', async ({ page }) => {
  test.setTimeout(240_000);
  const shape = shapeOf(modelNamed('Slack Water')!);
  const { length_mm } = shape.board;
  const mesh = meshOf(shape, { stations: 160, ring: 64 });
  // Four millimetres of it, left of the stringer on the deck.
  const positions = mesh.positions.map((value, i) => {
    if (i % 3 !== 2) return value;
    const [x, y] = [mesh.positions[i - 2], mesh.positions[i - 1]];
    const isDeck = value > shape.rocker.line.valueAt(Math.min(length_mm, Math.max(0, x))) + 25;
    return isDeck ? value + 4 * Math.exp(-((x - 0.6 * length_mm) ** 2 + (y - 90) ** 2) / (2 * 45 ** 2)) : value;
  });
  await page.goto('/bring/scan');
  const stl = Buffer.from(meshToStl({ ...mesh, positions }, 'bump'));
  const scan = { name: 'bump.stl', mimeType: 'application/octet-stream', buffer: stl };
  await page.getByLabel('A scan', { exact: true }).setInputFiles(scan);
  await expect(page.getByTestId('scan-off')).toBeVisible({ timeout: 120_000 });
  /** Red dots of a picture on either side of a line down it, from one share of its width to another. */
  const redsOf = (picture: Locator, from: number, middle: number, to: number) =>
    picture.evaluate(
      (canvas: HTMLCanvasElement, [low, line, high]) => {
        const flat = new OffscreenCanvas(canvas.width, canvas.height).getContext('2d')!;
        flat.drawImage(canvas, 0, 0);
        const { data } = flat.getImageData(0, 0, canvas.width, canvas.height);
        const sides = [0, 0];
        for (let i = 0; i < data.length; i += 4) {
          const across = ((i / 4) % canvas.width) / canvas.width;
          if (across < low || across > high) continue;
          if (data[i] > 130 && data[i + 1] < 60 && data[i + 2] < 60) sides[across < line ? 0 : 1]++;
        }
        return sides;
      },
      [from, middle, to] as const,
    );
  // From above, nose up: the deck has the left half of the picture.
  const map = page.getByRole('img', { name: /How far the scan is off the board/ });
  await expect.poll(async () => (await redsOf(map, 0, 0.25, 0.5))[0]).toBeGreaterThan(20);
  expect((await redsOf(map, 0, 0.25, 0.5))[1]).toBe(0);
  await page.getByText('In the round', { exact: true }).click();
  const room = page.getByTestId('scan-room');
  await expect(room).not.toHaveAttribute('data-corners', '0', { timeout: 20_000 });
  const reds = () => redsOf(room, 0, 0.5, 1);
  await expect.poll(async () => (await reds())[0], { timeout: 20_000 }).toBeGreaterThan(150);
  expect((await reds())[1]).toBe(0);
  // Turned half round by keys, the bump is on the other side.
  await room.focus();
  for (let turned = 0; turned < 36; turned++) await page.keyboard.press('ArrowRight');
  await expect.poll(async () => (await reds())[1], { timeout: 20_000 }).toBeGreaterThan(150);
  expect((await reds())[0]).toBe(0);
  await choose(page, 'Where the eye is', 'Along the bottom');
  await expect.poll(reds, { timeout: 20_000 }).toEqual([0, 0]);
});
