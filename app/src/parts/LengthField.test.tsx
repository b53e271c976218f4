import { afterEach, describe, expect, it, jest } from '@jest/globals';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { USUAL_SETTINGS } from '@june-tide/core/record';
import { type EditResult, useShed } from '../store/shed.ts';
import { LengthField } from './LengthField.tsx';

afterEach(() => {
  cleanup();
  useShed.setState({ settings: USUAL_SETTINGS });
});

function field(answer: EditResult = { ok: true }) {
  const onChange = jest.fn<(mm: number, nudge: boolean) => EditResult>(() => answer);
  render(<LengthField label="Width" value_mm={19.25 * 25.4} onChange={onChange} />);
  const input = screen.getByLabelText<HTMLInputElement>('Width');
  fireEvent.focus(input);
  return { input, onChange };
}

describe('a length field', () => {
  it('takes what people write when Enter is pressed', () => {
    const { input, onChange } = field();
    fireEvent.change(input, { target: { value: '19 7/8' } });
    fireEvent.keyDown(input, { key: 'Enter' });
    expect(onChange).toHaveBeenCalledTimes(1);
    expect(onChange.mock.calls[0][0]).toBeCloseTo(19.875 * 25.4, 9);
  });

  it('shows what it understood before it is taken', () => {
    const { input } = field();
    fireEvent.change(input, { target: { value: '505mm' } });
    expect(screen.getByText('= 19 7/8')).toBeTruthy();
  });

  it('refuses nonsense in words and keeps what was written', () => {
    const { input, onChange } = field();
    fireEvent.change(input, { target: { value: 'wide' } });
    fireEvent.blur(input);
    expect(screen.getByRole('alert').textContent).toContain('is not a length');
    expect(onChange).not.toHaveBeenCalled();
    expect(input.value).toBe('wide');
  });

  it('says why a number cannot be built, with the limit in the shop’s units', () => {
    const { input } = field({ ok: false, issues: [{ code: 'x', path: '', limit: 254, words: 'too wide' }] });
    fireEvent.change(input, { target: { value: '40' } });
    fireEvent.keyDown(input, { key: 'Enter' });
    expect(screen.getByRole('alert').textContent).toBe('Too wide (limit 10).');
  });

  it.each([
    [{ key: 'ArrowUp' }, 1 / 16],
    [{ key: 'ArrowDown' }, -1 / 16],
    [{ key: 'ArrowUp', shiftKey: true }, 1 / 4],
    [{ key: 'ArrowUp', altKey: true }, 1 / 32],
  ])('nudges by %j', (keys, inches) => {
    const { input, onChange } = field();
    fireEvent.keyDown(input, keys);
    expect(onChange.mock.calls[0][0]).toBeCloseTo((19.25 + inches) * 25.4, 9);
    expect(onChange.mock.calls[0][1]).toBe(true);
  });

  it('forgets the draft on Escape', () => {
    const { input, onChange } = field();
    fireEvent.change(input, { target: { value: '3' } });
    fireEvent.keyDown(input, { key: 'Escape' });
    expect(onChange).not.toHaveBeenCalled();
    expect(input.value).toBe('19 1/4');
  });
});

describe('a length field that is only stood in', () => {
  const onChange = jest.fn<(mm: number, nudge: boolean) => EditResult>(() => ({ ok: true }));
  const two = (width_mm: number) => (
    <>
      <LengthField label="Width" value_mm={width_mm} onChange={onChange} />
      <LengthField label="Nose" value_mm={300} onChange={onChange} />
    </>
  );
  afterEach(() => {
    onChange.mockClear();
  });

  it('follows the board when that changes under it, and takes nothing when it is left', () => {
    const { rerender } = render(two(508));
    const input = screen.getByLabelText<HTMLInputElement>('Width');
    act(() => input.focus());
    rerender(two(508 + 25.4));
    expect(input.value).toBe('21');
    act(() => screen.getByLabelText('Nose').focus());
    expect(onChange).not.toHaveBeenCalled();
  });

  it('does not call the hand back from the next field once its number was taken', async () => {
    render(two(508));
    const input = screen.getByLabelText<HTMLInputElement>('Width');
    act(() => input.focus());
    fireEvent.change(input, { target: { value: '21' } });
    const select = jest.spyOn(input, 'select');
    fireEvent.keyDown(input, { key: 'Enter' });
    act(() => screen.getByLabelText('Nose').focus());
    await nextFrame();
    expect(select).not.toHaveBeenCalled();
    act(() => input.focus());
    select.mockClear();
    fireEvent.keyDown(input, { key: 'Enter' });
    await nextFrame();
    expect(select).toHaveBeenCalledTimes(1);
  });

  it('keeps what was refused when the hand comes back to it', () => {
    render(two(508));
    const input = screen.getByLabelText<HTMLInputElement>('Width');
    act(() => input.focus());
    fireEvent.change(input, { target: { value: 'wide' } });
    act(() => screen.getByLabelText('Nose').focus());
    act(() => input.focus());
    expect(input.value).toBe('wide');
  });
});

const nextFrame = () => new Promise((done) => requestAnimationFrame(done));

describe('Escape', () => {
  it('takes nothing, be it a good number or nonsense, and leaves no error behind', () => {
    for (const typed of ['20', 'wide']) {
      const { input, onChange } = field();
      fireEvent.change(input, { target: { value: typed } });
      if (typed === 'wide') fireEvent.keyDown(input, { key: 'Enter' });
      act(() => input.focus());
      fireEvent.keyDown(input, { key: 'Escape' });
      expect(onChange).not.toHaveBeenCalled();
      expect(input.value).toBe('19 1/4');
      expect(screen.queryByRole('alert')).toBeNull();
      cleanup();
    }
  });

  it('does not keep the next number from being taken', () => {
    const { input, onChange } = field();
    act(() => input.focus());
    fireEvent.change(input, { target: { value: '20' } });
    fireEvent.keyDown(input, { key: 'Escape' });
    act(() => input.focus());
    fireEvent.change(input, { target: { value: '21' } });
    fireEvent.keyDown(input, { key: 'Enter' });
    expect(onChange).toHaveBeenCalledTimes(1);
    expect(onChange.mock.calls[0][0]).toBeCloseTo(21 * 25.4, 9);
  });
});

describe('a length field that may be empty', () => {
  const empty = (value_mm?: number) => {
    const onChange = jest.fn<(mm: number, nudge: boolean) => EditResult>(() => ({ ok: true }));
    const onClear = jest.fn();
    render(<LengthField label="Read" value_mm={value_mm} onChange={onChange} onClear={onClear} />);
    const input = screen.getByLabelText<HTMLInputElement>('Read');
    fireEvent.focus(input);
    return { input, onChange, onClear };
  };

  it('shows nothing, takes a number, and is not nudged from nothing', () => {
    const { input, onChange } = empty();
    expect(input.value).toBe('');
    fireEvent.keyDown(input, { key: 'ArrowUp' });
    expect(onChange).not.toHaveBeenCalled();
    fireEvent.change(input, { target: { value: '2 7/16' } });
    fireEvent.keyDown(input, { key: 'Enter' });
    expect(onChange.mock.calls[0][0]).toBeCloseTo(2.4375 * 25.4, 9);
  });

  it('is made nothing again by clearing it', () => {
    const { input, onChange, onClear } = empty(50);
    fireEvent.change(input, { target: { value: ' ' } });
    fireEvent.blur(input);
    expect(onClear).toHaveBeenCalledTimes(1);
    expect(onChange).not.toHaveBeenCalled();
  });

  it('gives up what was typed on Escape and lets nothing around it hear that', () => {
    const heard = jest.fn();
    const { input } = empty(50.8);
    document.addEventListener('keydown', heard);
    fireEvent.change(input, { target: { value: 'nonsense' } });
    fireEvent.keyDown(input, { key: 'Escape' });
    document.removeEventListener('keydown', heard);
    expect(input.value).toBe('2');
    expect(heard).not.toHaveBeenCalled();
  });
});

describe('a length field with a range', () => {
  it('refuses what lies outside, in the shop’s own writing, and takes its ends', () => {
    const onChange = jest.fn<(mm: number, nudge: boolean) => EditResult>(() => ({ ok: true }));
    useShed.setState({ settings: { ...USUAL_SETTINGS, lengthStyle: 'cm' } });
    render(<LengthField label="Depth" value_mm={10} range_mm={[0, 40]} onChange={onChange} />);
    const input = screen.getByLabelText<HTMLInputElement>('Depth');
    const type = (text: string) => {
      fireEvent.focus(input);
      fireEvent.change(input, { target: { value: text } });
      fireEvent.keyDown(input, { key: 'Enter' });
    };
    type('4.1');
    expect(screen.getByRole('alert').textContent).toBe('From 0 cm to 4 cm.');
    expect(onChange).not.toHaveBeenCalled();
    type('4');
    expect(onChange).toHaveBeenCalledWith(40, false);
  });
});
