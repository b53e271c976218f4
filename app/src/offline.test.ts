// An update: taken where it is asked for, after everything is saved; other windows are asked, and answer for themselves.
import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import type * as Offline from './offline.ts';
import type * as State from './store/shedState.ts';

interface Asked {
  onNeedRefresh: () => void;
  onNeedReload: () => void;
}
let asked: Asked;
const take = jest.fn(() => Promise.resolve());
jest.unstable_mockModule(
  'virtual:pwa-register',
  () => ({
    registerSW: (options: Asked) => {
      asked = options;
      return take;
    },
  }),
  { virtual: true },
);

let keepOffline: typeof Offline.keepOffline;
let state: typeof State;
beforeEach(async () => {
  jest.resetModules();
  ({ keepOffline } = await import('./offline.ts'));
  state = await import('./store/shedState.ts');
  take.mockClear();
  keepOffline();
});
afterEach(() => {
  jest.restoreAllMocks();
});
const update = () => state.useShed.getState().update;
const turn = () => new Promise((done) => setTimeout(done, 120));

describe('a newer app', () => {
  it('is told of and waits; it is taken when it is asked for, after what is being written', async () => {
    asked.onNeedRefresh();
    expect(update()?.where).toBe('here');
    let written: () => void = () => undefined;
    state.queue.put('board', () => new Promise<void>((done) => (written = done)));
    update()!.take();
    await turn();
    expect(take).not.toHaveBeenCalled();
    written();
    await turn();
    expect(take).toHaveBeenCalledTimes(1);
  });

  it('is taken too when the store refuses what waits: the page keeps that as it goes', async () => {
    asked.onNeedRefresh();
    state.queue.put('board', () => Promise.reject(new Error('full')));
    update()!.take();
    await turn();
    expect(take).toHaveBeenCalledTimes(1);
  });

  it('that was taken in another window reloads nothing here, and asks', () => {
    asked.onNeedRefresh();
    asked.onNeedReload();
    expect(update()?.where).toBe('another window');
    expect(take).not.toHaveBeenCalled();
  });
});
