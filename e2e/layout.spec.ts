// Nothing is cut off, and no bench of a drawing step scrolls, for seven unlike boards of the demo rack.
import { expect, step, test } from './shed.ts';

const BOARDS = ['slack-118', 'ledge-4', 'stairs-3', 'lamp-5', 'quay-9', 'gannet-2', 'penny-2'];
const STEPS = ['Outline', 'Rocker', 'Foil', 'Deck', 'Rails', 'Bottom', 'Fins'];
const SIZES = [
  { width: 1280, height: 800 },
  { width: 1024, height: 768 },
];

/** What is wrong with how the bay is laid out: what scrolls, what is written outside its drawing, what is written over another. */
function faults(): string[] {
  const found: string[] = [];
  for (const box of document.querySelectorAll('.bench, .bench > section, .job, .stand, .page')) {
    const name = box.getAttribute('aria-label') ?? box.className;
    if (box.scrollHeight > box.clientHeight + 1)
      found.push(`${name} is ${box.scrollHeight - box.clientHeight} too tall`);
    if (box.scrollWidth > box.clientWidth + 1) found.push(`${name} is ${box.scrollWidth - box.clientWidth} too wide`);
  }
  for (const drawing of document.querySelectorAll('.stand svg[role]')) {
    const all = drawing.getBoundingClientRect();
    const texts = [...drawing.querySelectorAll('text')]
      .filter(
        (text) =>
          text.textContent.trim() !== '' && !text.closest('.tape, .hook, [aria-hidden], [data-testid^="light"]'),
      )
      .map((text) => ({ words: text.textContent.trim(), box: text.getBoundingClientRect() }));
    texts.forEach(({ words, box }, i) => {
      if (box.left < all.left - 2 || box.right > all.right + 2 || box.top < all.top - 2 || box.bottom > all.bottom + 4)
        found.push(`“${words}” is outside its drawing`);
      for (const other of texts.slice(i + 1)) {
        const across = Math.min(box.right, other.box.right) - Math.max(box.left, other.box.left);
        const down = Math.min(box.bottom, other.box.bottom) - Math.max(box.top, other.box.top);
        if (across > 12 && down > 10) found.push(`“${words}” over “${other.words}”`);
      }
    });
  }
  return found;
}

for (const size of SIZES) {
  test(`every drawing step is whole at ${size.width} by ${size.height}`, async ({ page }) => {
    test.setTimeout(120_000);
    await page.setViewportSize(size);
    for (const board of BOARDS) {
      await page.goto(`/bay/skarn-${board}/outline`);
      for (const name of STEPS) {
        await step(page, name);
        await expect(page.getByRole('region', { name, exact: true })).toBeVisible();
        // Drawings are laid out once their room is known.
        await expect.poll(() => page.evaluate(faults), { message: `${board}, ${name}`, timeout: 4000 }).toEqual([]);
      }
    }
  });
}
