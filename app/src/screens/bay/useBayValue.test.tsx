import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { act, cleanup, renderHook } from '@testing-library/react';
import { modelNamed } from '@june-tide/core/models';
import type { BoardRecord } from '@june-tide/core/record';
import { useShed } from '../../store/shed.ts';
import { moveHookOn } from './session.ts';
import { useBayValue } from './useBayValue.ts';
import type { StepKey } from './useBay.ts';

const board = modelNamed('Slack Water')!;
const recordOf = (id: string, createdAt: string): BoardRecord => ({
  id,
  number: 1,
  board,
  riderId: null,
  rides: [],
  createdAt,
  updatedAt: createdAt,
});
const mine = recordOf('mine', '2026-02-01T00:00:00.000Z');
const other = recordOf('other', '2026-01-01T00:00:00.000Z');

beforeEach(() => {
  useShed.setState({ records: { mine, other } });
});
afterEach(() => {
  cleanup();
  useShed.setState({ records: {} });
});

const bay = () =>
  renderHook(({ record, step }: { record: BoardRecord; step: StepKey }) => useBayValue(record, step)!, {
    initialProps: { record: mine, step: 'outline' },
  });

describe('what is judged in the bay', () => {
  it('is the same while only the hook and the step change', () => {
    const { result, rerender } = bay();
    const { judgedAs, hook_mm } = result.current;
    act(() => moveHookOn(board.length_mm, hook_mm + 100));
    rerender({ record: mine, step: 'rails' });
    expect([result.current.step, result.current.hook_mm]).toEqual(['rails', hook_mm + 100]);
    expect(result.current.judgedAs).toBe(judgedAs);
  });

  it('is another once the board is, and once another board of the shop is, at the next step', () => {
    const { result, rerender } = bay();
    const { judgedAs } = result.current;
    const wider = { ...mine, board: { ...board, outline: { ...board.outline, width_mm: 500 } } };
    rerender({ record: wider, step: 'outline' });
    expect(result.current.judgedAs).not.toBe(judgedAs);
    expect(result.current.judgedAs.facts.shape.board).toBe(wider.board);
    const before = result.current.judgedAs;
    const thicker = { ...other, board: { ...board, foil: { ...board.foil, thickness_mm: 70 } } };
    useShed.setState({ records: { mine: wider, other: thicker } });
    rerender({ record: wider, step: 'rails' });
    expect(result.current.judgedAs).not.toBe(before);
    expect(result.current.judgedAs.own?.map(({ shape }) => shape.board)).toEqual([thicker.board]);
  });
});
