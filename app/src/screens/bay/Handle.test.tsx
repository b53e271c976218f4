import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { USUAL_SETTINGS } from '@june-tide/core/record';
import { useShed } from '../../store/shed.ts';
import { Handle, type HandleAxis, lockedAxis } from './Handle.tsx';

/** A pointer event; jsdom has no PointerEvent of its own. */
function pointer(kind: string, x: number, y: number): MouseEvent {
  const event = new MouseEvent(kind, { clientX: x, clientY: y, bubbles: true });
  Object.defineProperty(event, 'pointerId', { value: 1 });
  return event;
}
const move = (x: number, y: number) => act(() => void window.dispatchEvent(pointer('pointermove', x, y)));

function handle(change: { along?: Partial<HandleAxis>; across?: Partial<HandleAxis> } = {}) {
  const along = jest.fn<(mm: number, key: string) => void>();
  const across = jest.fn<(mm: number, key: string) => void>();
  const taken = jest.fn();
  render(
    <svg>
      <Handle
        label="Wing"
        now={1}
        low={0}
        high={9}
        along={{ value_mm: 100, pixels: 2, set: along, ...change.along }}
        across={{ value_mm: 20, pixels: -4, set: across, ...change.across }}
        onTake={taken}
      >
        <circle r={9} />
      </Handle>
    </svg>,
  );
  const slider = screen.getByRole('slider');
  const press = () => act(() => void slider.dispatchEvent(pointer('pointerdown', 0, 0)));
  return { along, across, taken, slider, press };
}

beforeEach(() => useShed.setState({ settings: { ...USUAL_SETTINGS, lengthStyle: 'mm' } }));
afterEach(() => {
  act(() => void window.dispatchEvent(pointer('pointerup', 0, 0)));
  cleanup();
});

describe('a pull', () => {
  it('changes nothing before 4 px, then one number only, however slanting it goes on', () => {
    const { along, across, taken, press } = handle();
    press();
    expect(taken).toHaveBeenCalled();
    move(2, 2);
    expect(along).not.toHaveBeenCalled();
    move(5, 3);
    move(8, 60);
    expect(across).not.toHaveBeenCalled();
    // 8 px at 2 px a mm.
    expect(along.mock.lastCall?.[0]).toBe(104);
    expect(new Set(along.mock.calls.map(([, key]) => key)).size).toBe(1);
  });

  it('up and down changes the other, upward more where a mm more lies higher', () => {
    const { along, across, press } = handle();
    press();
    move(1, -12);
    move(90, -12);
    expect(along).not.toHaveBeenCalled();
    expect(across.mock.lastCall?.[0]).toBe(23);
  });

  it('stops at the shop’s own steps, at a grid of its own, and at its limits', () => {
    const { along, press } = handle({ along: { high_mm: 106 } });
    press();
    move(9, 0);
    expect(along.mock.lastCall?.[0]).toBe(105);
    move(400, 0);
    expect(along.mock.lastCall?.[0]).toBe(106);
    cleanup();
    const fine = handle({ along: { grid_mm: 0 } });
    fine.press();
    move(9, 0);
    expect(fine.along.mock.lastCall?.[0]).toBe(104.5);
  });

  it('is along the only way there is, at once', () => {
    const axis: HandleAxis = { value_mm: 0, pixels: 1, set: () => undefined };
    expect(lockedAxis(0, 1, undefined, axis)).toBe('across');
    expect(lockedAxis(1, 9, axis, undefined)).toBe('along');
    expect(lockedAxis(9, 1, { ...axis, keysOnly: true }, axis)).toBe('across');
    expect(lockedAxis(9, 1, undefined, undefined)).toBeUndefined();
    expect(lockedAxis(2, 3, axis, axis)).toBeUndefined();
  });
});

describe('keys', () => {
  it('move each number by a nudge toward where the arrow points, and no other key does', () => {
    const { along, across, slider } = handle({ across: { nudges: 2 } });
    fireEvent.keyDown(slider, { key: 'ArrowRight' });
    fireEvent.keyDown(slider, { key: 'ArrowLeft', shiftKey: true });
    expect(along.mock.calls.map(([mm]) => mm)).toEqual([101, 95]);
    fireEvent.keyDown(slider, { key: 'ArrowUp' });
    fireEvent.keyDown(slider, { key: 'ArrowDown' });
    expect(across.mock.calls.map(([mm]) => mm)).toEqual([22, 18]);
    fireEvent.keyDown(slider, { key: 'a' });
    expect(along).toHaveBeenCalledTimes(2);
    expect(across).toHaveBeenCalledTimes(2);
  });
});
