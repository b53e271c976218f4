import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { reasonOf, AutosaveQueue, type SaveState } from './autosaveQueue.ts';

/** So much time goes by, and what was promised meanwhile is kept. */
const settle = (ms = 0) => jest.advanceTimersByTimeAsync(ms);

describe('the save queue', () => {
  beforeEach(() => void jest.useFakeTimers({ doNotFake: [] }));
  afterEach(() => void jest.useRealTimers());

  it('writes at once, one at a time, the latest state of each thing', async () => {
    const written: string[] = [];
    let open: () => void = () => undefined;
    const gate = new Promise<void>((resolve) => (open = resolve));
    const queue = new AutosaveQueue(() => undefined);
    queue.put('a', async () => {
      await gate;
      written.push('a1');
    });
    queue.put('a', async () => void written.push('a2'));
    queue.put('a', async () => void written.push('a3'));
    queue.put('b', async () => void written.push('b1'));
    expect(queue.busy).toBe(true);
    open();
    await settle();
    expect(written).toEqual(['a1', 'a3', 'b1']);
    expect(queue.busy).toBe(false);
  });

  it('keeps a failed write, says why, and tries it again', async () => {
    const states: SaveState[] = [];
    let full = true;
    let written = 0;
    const queue = new AutosaveQueue((state) => states.push(state), 10);
    queue.put('a', async () => {
      if (full) throw Object.assign(new Error('no room'), { name: 'QuotaExceededError' });
      written += 1;
    });
    await settle();
    expect(states.at(-1)).toEqual({
      kind: 'failed',
      reason: 'the browser’s store is full: pictures take the most room',
    });
    full = false;
    await settle(9);
    expect(written).toBe(0);
    await settle(1);
    expect(written).toBe(1);
    expect(states.at(-1)).toEqual({ kind: 'saved' });
  });

  it('lets a newer state take the place of one that failed', async () => {
    const written: string[] = [];
    const queue = new AutosaveQueue(() => undefined, 10);
    queue.put('a', () => Promise.reject(new Error('busy')));
    await settle();
    queue.put('a', async () => void written.push('new'));
    await settle();
    expect(written).toEqual(['new']);
    await settle(10);
    expect(written).toEqual(['new']);
  });

  it('spaces the states of a drag, and lets go of the wait when a step that is not one comes', async () => {
    const written: string[] = [];
    const queue = new AutosaveQueue(() => undefined, 10, 60);
    for (let i = 0; i < 5; i++) {
      queue.put('a', async () => void written.push(`drag ${i}`), true);
      await settle(4);
    }
    expect(written).toEqual(['drag 0']);
    queue.put('a', async () => void written.push('typed'));
    await settle();
    expect(written).toEqual(['drag 0', 'typed']);
    queue.put('a', async () => void written.push('last of a drag'), true);
    await settle();
    queue.put('a', async () => void written.push('after it'), true);
    await settle(59);
    expect(written.at(-1)).toBe('last of a drag');
    await settle(1);
    expect(written.at(-1)).toBe('after it');
  });
});

describe('a refusal of the store, in words', () => {
  const dexieFull = Object.assign(new Error('QuotaExceededError: Encountered full disk'), {
    name: 'AbortError',
    inner: Object.assign(new Error('x'), { name: 'QuotaExceededError' }),
  });
  it.each<[string, unknown, string]>([
    ['full, wrapped', dexieFull, 'the browser’s store is full: pictures take the most room'],
    [
      'closed',
      Object.assign(new Error('x'), { name: 'DatabaseClosedError' }),
      'the browser has shut its store: open this window anew',
    ],
    [
      'of a newer app',
      Object.assign(new Error('x'), { name: 'VersionError' }),
      'a newer June Tide has been open in this browser: open this window anew',
    ],
    ['with an address', new Error('Upgrade blocked. See https://short.example/abc'), 'Upgrade blocked.'],
    ['with nothing', {}, 'the browser refused'],
    ['with less than nothing', undefined, 'the browser refused'],
  ])('%s', (_, error, words) => {
    expect(reasonOf(error)).toBe(words);
  });

  it('that never comes is said after its time, and the work goes on when it does', async () => {
    jest.useFakeTimers({ doNotFake: ['queueMicrotask'] });
    const states: SaveState[] = [];
    const queue = new AutosaveQueue((state) => states.push(state));
    let answer: () => void = () => undefined;
    queue.put('board:x', () => new Promise<void>((done) => (answer = done)));
    await jest.advanceTimersByTimeAsync(9_999);
    expect(states).toEqual([{ kind: 'saving' }]);
    await jest.advanceTimersByTimeAsync(1);
    expect(states.at(-1)).toEqual({ kind: 'failed', reason: 'the browser’s store does not answer' });
    answer();
    await jest.advanceTimersByTimeAsync(0);
    expect(states.at(-1)).toEqual({ kind: 'saved' });
    jest.useRealTimers();
  });
});
