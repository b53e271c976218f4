import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { Latest } from './latest.ts';

interface Asked {
  of: number;
  answer: (text: string) => void;
  fail: () => void;
}

function asking(apart_ms = 0) {
  const asked: Asked[] = [];
  const taken: string[] = [];
  const latest = new Latest<number, string>(
    (of) => new Promise((answer, reject) => asked.push({ of, answer, fail: () => reject(new Error('no')) })),
    (answer, of) => taken.push(`${of}: ${answer}`),
    apart_ms,
  );
  return { asked, taken, latest };
}
const settle = () => jest.advanceTimersByTimeAsync(0);

describe('asking for the latest', () => {
  beforeEach(() => void jest.useFakeTimers({ doNotFake: [] }));
  afterEach(() => void jest.useRealTimers());

  it('asks one thing at a time, and of those wanted meanwhile only the last', async () => {
    const { asked, taken, latest } = asking();
    for (const wanted of [1, 2, 3]) latest.want(wanted);
    expect(asked.map(({ of }) => of)).toEqual([1]);
    asked[0].answer('one');
    await settle();
    expect(asked.map(({ of }) => of)).toEqual([1, 3]);
    asked[1].answer('three');
    await settle();
    expect(taken).toEqual(['1: one', '3: three']);
    latest.want(4);
    expect(asked).toHaveLength(3);
  });

  it('keeps what it has after a failure and asks for what is wanted next', async () => {
    const { asked, taken, latest } = asking();
    latest.want(1);
    latest.want(2);
    asked[0].fail();
    await settle();
    asked[1].answer('two');
    await settle();
    expect(taken).toEqual(['2: two']);
  });

  it('leaves its time between an answer and the next question', async () => {
    const { asked, latest } = asking(80);
    latest.want(1);
    latest.want(2);
    asked[0].answer('one');
    await jest.advanceTimersByTimeAsync(79);
    expect(asked).toHaveLength(1);
    await jest.advanceTimersByTimeAsync(1);
    expect(asked).toHaveLength(2);
  });
});
