// The whole job without a mouse: what has the keys is always seen, and everything can be reached with them.
import type { Locator, Page } from '@playwright/test';
import { readPdf } from '../core/src/testing/pdf.ts';
import { expect, litres, saved, taken, test } from './shed.ts';

/** Goes on with Tab until something has the keys, as a person without a mouse does; each thing on the way shows that it has them. */
async function tabTo(page: Page, target: Locator, most = 160): Promise<void> {
  await target.waitFor();
  for (let pressed = 0; pressed < most; pressed++) {
    if (await target.evaluate((element) => element === document.activeElement)) return;
    await page.keyboard.press('Tab');
    const unseen = await page.evaluate(() => {
      const held = document.activeElement;
      if (!held || held === document.body) return '';
      const rings = [held, ...(held.parentElement ? [held.parentElement] : []), ...held.querySelectorAll('*')];
      const isSeen = rings.some((each) => {
        const { outlineStyle, boxShadow } = getComputedStyle(each);
        return outlineStyle !== 'none' || boxShadow !== 'none';
      });
      return isSeen || held.matches('input, textarea, [role=combobox], svg *')
        ? ''
        : `${held.tagName} ${held.getAttribute('class')} ${held.getAttribute('aria-label') ?? held.textContent?.slice(0, 40)}`;
    });
    expect(unseen).toBe('');
  }
  throw new Error(`${most} times Tab, and it never had the keys`);
}

/** What the palette does for what is typed. */
async function does(page: Page, typed: string): Promise<void> {
  await page.keyboard.press('Control+k');
  await expect(page.getByPlaceholder('Do something, or open a board')).toBeFocused();
  await page.keyboard.type(typed);
  await page.keyboard.press('Enter');
}

test('from the brief to the next version by the keys alone', async ({ page }) => {
  test.setTimeout(120_000);
  await page.goto('/');
  await expect(page.getByText('boards at one true scale')).toBeVisible();
  await does(page, 'start a board');
  await expect(page.getByRole('heading', { name: /Who is it for/ })).toBeVisible();
  await tabTo(page, page.getByRole('combobox', { name: 'Rider', exact: true }));
  await page.keyboard.type('Maren');
  await page.keyboard.press('Enter');
  const models = page.getByRole('radiogroup', { name: 'Models' });
  await tabTo(page, models.getByRole('radio').first());
  const slack = models.getByRole('radio', { name: /^Slack Water\s*shortboard/ });
  for (let presses = 0; presses < 40 && !(await slack.evaluate((radio) => radio === document.activeElement)); presses++)
    await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Space');
  await expect(slack).toBeChecked();
  await expect(page.getByTestId('target-sentence')).toContainText('30.8 L for Maren');
  await tabTo(page, page.getByRole('button', { name: 'Start Slack Water for Maren' }));
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('headline')).toContainText('19 1/4');

  // A number typed, a ring moved by the arrows, a step back.
  const width = page.getByLabel('Wide point width', { exact: true });
  await tabTo(page, width);
  await page.keyboard.press('Control+a');
  await page.keyboard.type('19 3/4');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('headline')).toContainText('19 3/4');
  const before = await litres(page);
  const ring = page.locator('[data-mark="outline.1"] [role=slider], [data-mark="outline.1"][role=slider]').first();
  await tabTo(page, ring);
  for (let presses = 0; presses < 4; presses++) await page.keyboard.press('ArrowUp');
  await expect.poll(() => litres(page)).toBeGreaterThan(before);
  await page.keyboard.press('Control+z');
  await expect.poll(() => litres(page)).toBe(before);

  // A tail from its pictures: the arrows go among them, Enter takes it, the keys are back at the button.
  const tail = page.getByRole('button', { name: /^Tail: / });
  await tabTo(page, tail);
  const was = await tail.innerText();
  await page.keyboard.press('Enter');
  await expect(
    page.getByRole('radiogroup', { name: 'Tail', exact: true }).getByRole('radio', { checked: true }),
  ).toBeFocused();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await expect(tail).toBeFocused();
  await expect(tail).not.toHaveText(was);
  await page.keyboard.press('Control+z');
  await expect(tail).toHaveText(was);

  // Every step by its key; the judgement read, paper had.
  await page.keyboard.press('3');
  await expect(page.getByRole('region', { name: 'Rocker', exact: true })).toBeVisible();
  await does(page, 'check');
  await expect(page.getByTestId('read-aloud')).not.toBeEmpty();
  await page.keyboard.press('0');
  await expect(page.getByRole('region', { name: 'Make', exact: true })).toBeVisible();
  const half = page.getByRole('button', { name: 'Half outline, full size (PDF)' });
  await tabTo(page, half);
  const { bytes } = await taken(page, () => page.keyboard.press('Enter'));
  expect((await readPdf(bytes)).length).toBeGreaterThan(5);

  // Ridden, and the next version made with a reason.
  await page.keyboard.press('-');
  const ride = page.getByRole('region', { name: 'Ride', exact: true });
  await tabTo(page, ride.getByLabel('Waves', { exact: true }));
  await page.keyboard.type('chest high');
  await tabTo(page, ride.getByLabel('How it went'));
  await page.keyboard.type('good, lets go late');
  await tabTo(page, ride.getByRole('button', { name: 'Note the ride' }));
  await page.keyboard.press('Enter');
  await expect(ride.locator('[data-version="1"]')).toContainText('good, lets go late');
  await page.keyboard.press('2');
  await tabTo(page, width);
  await page.keyboard.press('ArrowDown');
  await expect(page.getByTestId('headline')).toContainText('19 11/16');
  await does(page, 'ride');
  await tabTo(page, ride.getByLabel('Why', { exact: true }));
  await page.keyboard.type('looser');
  await tabTo(page, ride.getByRole('button', { name: 'Make a version' }));
  await page.keyboard.press('Enter');
  await expect(ride.locator('[data-version="2"]')).toContainText('looser');
  await saved(page);
  await page.reload();
  await expect(ride.locator('[data-version="2"]')).toContainText('Width 19 3/4 to 19 11/16');
});
