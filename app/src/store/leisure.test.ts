import { afterEach, beforeEach, expect, it, jest } from '@jest/globals';
import { REST_ms, restOf } from './leisure.ts';

beforeEach(() => {
  jest.useFakeTimers({ doNotFake: [] });
});
afterEach(() => {
  jest.useRealTimers();
});

/** Has it come to pass, once everything that waits for nothing is done? */
async function over(promise: Promise<void>): Promise<boolean> {
  let done = false;
  void promise.then(() => (done = true));
  await jest.advanceTimersByTimeAsync(0);
  return done;
}

it('is there at once where nobody has touched the page', async () => {
  expect(await over(restOf(new EventTarget(), Date.now)())).toBe(true);
});

it.each(['pointermove', 'wheel', 'keydown', 'input'])('waits for a rest after a %s', async (sign) => {
  const page = new EventTarget();
  const rest = restOf(page, Date.now);
  page.dispatchEvent(new Event(sign));
  const waiting = rest();
  await jest.advanceTimersByTimeAsync(REST_ms - 1);
  expect(await over(waiting)).toBe(false);
  await jest.advanceTimersByTimeAsync(1);
  expect(await over(waiting)).toBe(true);
});

it('waits on while a drag goes on', async () => {
  const page = new EventTarget();
  const rest = restOf(page, Date.now);
  page.dispatchEvent(new Event('pointerdown'));
  const waiting = rest();
  for (let k = 0; k < 20; k++) {
    await jest.advanceTimersByTimeAsync(REST_ms / 2);
    page.dispatchEvent(new Event('pointermove'));
  }
  expect(await over(waiting)).toBe(false);
  await jest.advanceTimersByTimeAsync(REST_ms);
  expect(await over(waiting)).toBe(true);
});
