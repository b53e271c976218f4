import { registerSW } from 'virtual:pwa-register';
import { type OfflineState, queue, useShed } from './store/shedState.ts';

/** A newer app is looked for when this one is opened, and so often while it is. */
const LOOK_ms = 60 * 60_000;

/** Keeps the app itself in the browser, so that it opens with no server; a newer one is told of, and waits until it is asked for. */
export function keepOffline(): void {
  const is = (offline: OfflineState) => useShed.setState({ offline });
  if ('serviceWorker' in navigator) is('coming');
  let isAskedHere = false;
  const take = registerSW({
    onNeedRefresh: () =>
      useShed.setState({
        update: {
          where: 'here',
          take: () => {
            isAskedHere = true;
            void whenSaved().then(() => take(true));
          },
        },
      }),
    // It was taken in another window: this one answers for itself.
    onNeedReload: () => {
      const reload = () => window.location.reload();
      if (isAskedHere) reload();
      else useShed.setState({ update: { where: 'another window', take: () => void whenSaved().then(reload) } });
    },
    onOfflineReady: () => is('kept'),
    onRegisterError: () => is('no'),
    onRegisteredSW: (_, registration) => {
      if (!registration) return is('no');
      const first = registration.installing;
      first?.addEventListener('statechange', () => {
        if (first.state === 'redundant' && useShed.getState().offline === 'coming') is('no');
      });
      // Another page of this browser may have begun to keep it.
      void navigator.serviceWorker.ready.then(() => is('kept'));
      setInterval(() => void registration.update().catch(() => undefined), LOOK_ms);
    },
  });
}

/** Nothing of what was typed or drawn is waiting to be written any more; what the store refuses is kept as the page goes. */
async function whenSaved(): Promise<void> {
  // What is typed into a field is taken when it is left.
  if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
  while (queue.busy && useShed.getState().save.kind !== 'failed') await new Promise((done) => setTimeout(done, 50));
}
