import { registerSW } from 'virtual:pwa-register';
import { queue, useShed } from './store/shedState.ts';

/** A newer app is looked for when this one is opened, and so often while it is. */
const LOOK_ms = 60 * 60_000;

/** Keeps the app itself in the browser, so that it opens with no server; a newer one is told of, and waits until it is asked for. */
export function keepOffline(): void {
  const take = registerSW({
    onNeedRefresh: () => useShed.setState({ update: () => void whenSaved().then(() => take(true)) }),
    onOfflineReady: () => useShed.setState({ offline: true }),
    onRegisteredSW: (_, registration) => {
      // Another page of this browser may have begun to keep it.
      void navigator.serviceWorker.ready.then(() => useShed.setState({ offline: true }));
      if (registration) setInterval(() => void registration.update().catch(() => undefined), LOOK_ms);
    },
  });
}

/** Nothing of what was typed or drawn is waiting to be written any more. */
async function whenSaved(): Promise<void> {
  // What is typed into a field is taken when it is left.
  if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
  while (queue.busy) await new Promise((done) => setTimeout(done, 50));
}
