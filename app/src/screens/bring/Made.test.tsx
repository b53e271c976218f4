// What is put on the rack is made of all that was asked, however soon the hand is on the button.
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { act, cleanup, fireEvent, render, renderHook, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import type { Board } from '@june-tide/core/document';
import { modelNamed } from '@june-tide/core/models';
import type { BringAnswer, BringRequest, BringWork } from '../../workers/bringMessages.ts';
import { useShed } from '../../store/shed.ts';
import { Made } from './Made.tsx';
import { useBring } from './useBring.ts';

/** The reader of what exists, in whose place the test answers. */
class Reader extends EventTarget {
  static all: Reader[] = [];
  asked: BringRequest | undefined;
  ended = false;
  constructor() {
    super();
    Reader.all.push(this);
  }
  postMessage(request: BringRequest): void {
    this.asked = request;
  }
  terminate(): void {
    this.ended = true;
  }
  say(answer: { ok: true; board: Board } | { ok: false; reason: string }): void {
    const data = { id: this.asked!.id, say: 'done', answer } as BringAnswer;
    this.dispatchEvent(new MessageEvent('message', { data }));
  }
}

type Asked = BringWork['sheet']['of'] | undefined;
const asking = (name: string): Asked => ({ readings: {}, choices: { name, bands: false } });
const named = (name: string): Board => ({ ...modelNamed('Slack Water')!, name });

function Screen({ of }: { of: Asked }) {
  return (
    <MemoryRouter>
      <Made state={useBring('sheet', of)} calm notes="" />
    </MemoryRouter>
  );
}

const before = globalThis.Worker;
beforeAll(() => {
  globalThis.Worker = Reader as unknown as typeof Worker;
});
afterAll(() => {
  globalThis.Worker = before;
});
beforeEach(() => {
  jest.useFakeTimers({ doNotFake: [] });
  Reader.all = [];
  useShed.setState({ records: {}, riders: {}, histories: {} });
});
afterEach(() => {
  cleanup();
  jest.useRealTimers();
});

const rack = () => Object.values(useShed.getState().records).map(({ board }) => board.name);
const button = () => screen.getByText('Put it on the rack').closest('button')!;
/** Lets the hand rest until the reader is asked, and has it answer. */
const read = async (answer: Parameters<Reader['say']>[0]) => {
  await act(() => jest.advanceTimersByTimeAsync(200));
  await act(async () => {
    Reader.all.at(-1)!.say(answer);
    await Promise.resolve();
  });
};

describe('putting what was made on the rack', () => {
  it('is done at once when it is made of all that was asked', async () => {
    render(<Screen of={asking('first')} />);
    await read({ ok: true, board: named('first') });
    fireEvent.click(button());
    expect(rack()).toEqual(['first']);
  });

  it('waits for what was asked a moment before, and takes that, once', async () => {
    const { rerender } = render(<Screen of={asking('first')} />);
    await read({ ok: true, board: named('first') });
    rerender(<Screen of={asking('second')} />);
    // Not even asked yet, and the hand is there.
    fireEvent.click(button());
    expect(rack()).toEqual([]);
    await act(() => jest.advanceTimersByTimeAsync(200));
    fireEvent.click(button());
    expect(rack()).toEqual([]);
    await read({ ok: true, board: named('second') });
    expect(rack()).toEqual(['second']);
  });

  it('puts nothing there when no board comes of it', async () => {
    const { rerender } = render(<Screen of={asking('first')} />);
    await read({ ok: true, board: named('first') });
    rerender(<Screen of={asking('second')} />);
    fireEvent.click(button());
    await read({ ok: false, reason: 'no board is so thin' });
    expect(screen.getByText('no board is so thin')).toBeTruthy();
    rerender(<Screen of={asking('third')} />);
    await read({ ok: true, board: named('third') });
    expect(rack()).toEqual([]);
  });

  it('has nothing to put when nothing is asked any more', async () => {
    const { rerender } = render(<Screen of={asking('first')} />);
    await read({ ok: true, board: named('first') });
    rerender(<Screen of={undefined} />);
    expect(screen.queryByText('Put it on the rack')).toBeNull();
    expect(screen.getByText(/^Nothing yet/)).toBeTruthy();
  });

  it('tells what it is made of, not what was asked since', async () => {
    const [first, second] = [asking('first'), asking('second')];
    const { result, rerender } = renderHook(({ of }) => useBring('sheet', of), { initialProps: { of: first } });
    await read({ ok: true, board: named('first') });
    rerender({ of: second });
    expect([result.current.madeOf, result.current.current]).toEqual([first, false]);
    await read({ ok: true, board: named('second') });
    expect([result.current.madeOf, result.current.current]).toEqual([second, true]);
  });
});
