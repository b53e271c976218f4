import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { act, cleanup, render, screen } from '@testing-library/react';
import { startDrag, useHeldInDrag, useRested } from './drag.ts';

/** A pointer event as the window gets it; jsdom has no PointerEvent of its own. */
function pointer(kind: string, x: number, y: number, pointerId = 1): void {
  const event = new MouseEvent(kind, { clientX: x, clientY: y });
  Object.defineProperty(event, 'pointerId', { value: pointerId });
  window.dispatchEvent(event);
}

function Shown({ value }: { value: number }) {
  return <output>{useRested(value)}</output>;
}
const shown = () => screen.getByRole('status').textContent;

describe('a drag', () => {
  it('gives the way since its start, under one name, until the pointer is let go; other pointers are not its own', () => {
    const moves: [number, number, string][] = [];
    let ended = 0;
    startDrag(
      { clientX: 10, clientY: 20, pointerId: 1 },
      { onMove: (dx, dy, key) => moves.push([dx, dy, key]), onEnd: () => (ended += 1) },
    );
    pointer('pointermove', 15, 18);
    pointer('pointermove', 400, 400, 2);
    pointer('pointermove', 18, 20);
    pointer('pointerup', 18, 20);
    pointer('pointermove', 30, 30);
    expect(moves.map(([dx, dy]) => [dx, dy])).toEqual([
      [5, -2],
      [8, 0],
    ]);
    expect(new Set(moves.map(([, , key]) => key)).size).toBe(1);
    expect(ended).toBe(1);
  });
});

describe('what is held back while something is dragged', () => {
  beforeEach(() => {
    jest.useFakeTimers({ doNotFake: [] });
  });
  afterEach(() => {
    cleanup();
    jest.useRealTimers();
  });

  it('is always current outside a drag', () => {
    const { rerender } = render(<Shown value={1} />);
    rerender(<Shown value={2} />);
    expect(shown()).toBe('2');
  });

  it('follows when the hand rests, and at once when it lets go', () => {
    const { rerender } = render(<Shown value={1} />);
    startDrag({ clientX: 0, clientY: 0, pointerId: 1 }, { onMove: () => undefined });
    act(() => pointer('pointermove', 1, 1));
    rerender(<Shown value={2} />);
    act(() => jest.advanceTimersByTime(60));
    rerender(<Shown value={3} />);
    act(() => jest.advanceTimersByTime(120));
    expect(shown()).toBe('1');
    act(() => jest.advanceTimersByTime(40));
    expect(shown()).toBe('3');
    rerender(<Shown value={4} />);
    expect(shown()).toBe('3');
    act(() => pointer('pointerup', 1, 1));
    expect(shown()).toBe('4');
  });

  it('is not held back by a press that does not move', () => {
    const { rerender } = render(<Shown value={1} />);
    startDrag({ clientX: 0, clientY: 0, pointerId: 1 }, { onMove: () => undefined });
    rerender(<Shown value={2} />);
    expect(shown()).toBe('2');
    act(() => pointer('pointerup', 0, 0));
  });
});

describe('what is held while something is dragged', () => {
  afterEach(cleanup);
  function Held({ value }: { value: number }) {
    return <output>{useHeldInDrag(value, (held) => value - held < 5)}</output>;
  }

  it('stays as the drag began for as long as it serves, is another once it does not, and is itself outside a drag', () => {
    const { rerender } = render(<Held value={1} />);
    rerender(<Held value={2} />);
    expect(shown()).toBe('2');
    startDrag({ clientX: 0, clientY: 0, pointerId: 1 }, { onMove: () => undefined });
    act(() => pointer('pointermove', 1, 1));
    rerender(<Held value={6} />);
    expect(shown()).toBe('2');
    rerender(<Held value={7} />);
    expect(shown()).toBe('7');
    rerender(<Held value={9} />);
    expect(shown()).toBe('7');
    act(() => pointer('pointerup', 1, 1));
    expect(shown()).toBe('9');
  });
});
