import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { modelNamed } from '@june-tide/core/models';
import { SILENCE_ms, WorkClient } from './workClient.ts';
import type { WorkRequest } from './workMessages.ts';

/** A worker in whose place the test answers. */
class FakeWorker extends EventTarget {
  readonly asked: WorkRequest[] = [];
  ended = false;
  postMessage(request: WorkRequest): void {
    this.asked.push(request);
  }
  terminate(): void {
    this.ended = true;
  }
  say(data: unknown): void {
    this.dispatchEvent(new MessageEvent('message', { data }));
  }
  crash(): void {
    this.dispatchEvent(new ErrorEvent('error', { message: 'out of memory' }));
  }
}

function client() {
  const made: FakeWorker[] = [];
  const asking = new WorkClient(() => {
    const worker = new FakeWorker();
    made.push(worker);
    return worker as unknown as Worker;
  });
  return { asking, made };
}
const board = modelNamed('Slack Water')!;
const plan = { deck: 3, under: 1 };

describe('asking the worker', () => {
  it('starts none until it is asked, and then one', () => {
    const { asking, made } = client();
    expect(made).toHaveLength(0);
    void asking.ask('bands', { board, plan });
    void asking.ask('lit', { board });
    expect(made).toHaveLength(1);
    expect(made[0].asked.map(({ revision }) => revision)).toEqual([1, 2]);
  });

  it('gives each answer to the one who asked, in whatever order they come', async () => {
    const { asking, made } = client();
    const first = asking.ask('bands', { board, plan });
    const second = asking.ask('bands', { board, plan: { deck: 4, under: 1 } });
    made[0].say({ revision: 2, ok: true, answer: 'four' });
    made[0].say({ revision: 1, ok: true, answer: 'three' });
    made[0].say({ revision: 99, ok: true, answer: 'stale' });
    expect(await first).toBe('three');
    expect(await second).toBe('four');
  });

  it('refuses with the worker’s own words', async () => {
    const { asking, made } = client();
    const answer = asking.ask('lit', { board });
    made[0].say({ revision: 1, ok: false, words: 'RangeError: no such board' });
    await expect(answer).rejects.toThrow('no such board');
  });

  it('starts a crashed worker again and asks once more, then gives up', async () => {
    const { asking, made } = client();
    const answer = asking.ask('lit', { board });
    made[0].crash();
    expect(made[0].ended).toBe(true);
    expect(made).toHaveLength(2);
    expect(made[1].asked).toHaveLength(1);
    made[1].crash();
    await expect(answer).rejects.toThrow('out of memory');
  });
});

describe('a worker that says nothing', () => {
  beforeEach(() => void jest.useFakeTimers({ doNotFake: [] }));
  afterEach(() => void jest.useRealTimers());

  it('is started again after its time and asked once more, then given up in words', async () => {
    const { asking, made } = client();
    const answer = asking.ask('lit', { board });
    const refused = expect(answer).rejects.toThrow('it gave no answer; try it once more');
    await jest.advanceTimersByTimeAsync(SILENCE_ms - 1);
    expect(made).toHaveLength(1);
    await jest.advanceTimersByTimeAsync(1);
    expect(made[0].ended).toBe(true);
    expect(made[1].asked.map(({ kind }) => kind)).toEqual(['lit']);
    await jest.advanceTimersByTimeAsync(SILENCE_ms);
    await refused;
  });

  it('is waited for as long as it goes on answering, and no clock runs when nothing is asked', async () => {
    const { asking, made } = client();
    const first = asking.ask('lit', { board });
    void asking.ask('bands', { board, plan });
    await jest.advanceTimersByTimeAsync(SILENCE_ms - 1);
    made[0].say({ revision: 1, ok: true, answer: 'lit' });
    expect(await first).toBe('lit');
    await jest.advanceTimersByTimeAsync(SILENCE_ms - 1);
    expect(made).toHaveLength(1);
    made[0].say({ revision: 2, ok: true, answer: 'banded' });
    expect(jest.getTimerCount()).toBe(0);
  });
});
