/** Leisure: the page has nothing to do and nobody is doing anything with it. */

/** A hand that did nothing for so long is at rest. */
export const REST_ms = 500;

/** What tells that somebody works with the page. */
const SIGNS = ['pointerdown', 'pointermove', 'wheel', 'touchmove', 'keydown', 'input'];

/** @returns waits until nothing has come to `page` for {@link REST_ms}: what can wait does not hold up a drag or a scroll. */
export function restOf(page: EventTarget, now_ms: () => number): () => Promise<void> {
  let last_ms = -Infinity;
  for (const sign of SIGNS) {
    page.addEventListener(sign, () => (last_ms = now_ms()), { capture: true, passive: true });
  }
  return async () => {
    for (let left_ms = REST_ms; left_ms > 0;) {
      left_ms = last_ms + REST_ms - now_ms();
      if (left_ms > 0) await new Promise((done) => setTimeout(done, left_ms));
    }
  };
}

const atRest = typeof window === 'undefined' ? () => Promise.resolve() : restOf(window, () => performance.now());

/** The next time the page has nothing else to do. */
export const whenIdle = (): Promise<void> =>
  new Promise((done) => {
    if (typeof requestIdleCallback === 'function') requestIdleCallback(() => done(), { timeout: 1000 });
    else setTimeout(done, 50);
  });

/** The next time nobody is at work and the page has nothing else to do. */
export async function atLeisure(): Promise<void> {
  await atRest();
  await whenIdle();
}
