import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { dayAfter, USUAL_WORKSHOP } from '@june-tide/core/make';
import { modelNamed } from '@june-tide/core/models';
import type { BoardRecord } from '@june-tide/core/record';
import { USUAL_SETTINGS } from '@june-tide/core/record';
import { useShed } from '../../store/shed.ts';
import { today } from '../../store/today.ts';
import { besideColumn } from './besideColumn.ts';
import { Line } from './Line.tsx';
import { onLineOf } from './onLine.ts';

const waves = { size: 'overhead', power: 'medium', steepness: 'medium', chop: 'some', rubber: 'thin' } as const;
const record = (id: string, stage: string, dueIn_days?: number): BoardRecord => ({
  id,
  number: 1,
  board: { ...modelNamed('Slack Water')!, name: id },
  riderId: null,
  rides: [],
  createdAt: '2026-01-01T00:00:00.000Z',
  updatedAt: '2026-01-01T00:00:00.000Z',
  order: { stage, on: today() },
  ...(dueIn_days === undefined
    ? {}
    : { brief: { waves, purpose: '', mustHaves: '', dueOn: dayAfter(today(), dueIn_days) } }),
});
const shed = (...records: BoardRecord[]) => Object.fromEntries(records.map((entry) => [entry.id, entry]));

afterEach(cleanup);
beforeEach(() => useShed.setState({ settings: USUAL_SETTINGS, records: {}, riders: {}, histories: {} }));

function open(...records: BoardRecord[]) {
  useShed.setState({ records: shed(...records) });
  render(
    <MemoryRouter>
      <Line />
    </MemoryRouter>,
  );
  return (stage: string) => within(screen.getByRole('region', { name: stage }));
}

describe('the boards on the line', () => {
  it('stand late first, then by the days in hand, those without a day last; what is done is not on it', () => {
    const done = { ...record('done', 'sand', 10), order: { stage: 'sand', on: today(), doneOn: today() } };
    const { order: _none, ...off } = record('off', 'sand', 10);
    const records = shed(record('whenever', 'sand'), record('soon', 'sand', 20), record('late', 'brief', 1), done, off);
    expect(onLineOf(records, USUAL_WORKSHOP, today()).map(({ record: { id } }) => id)).toEqual([
      'late',
      'soon',
      'whenever',
    ]);
  });

  it('stand in the column of their stage, at the first when the shop no longer has it', () => {
    const at = open(record('one', 'sand', 30), record('two', 'a stage of old', 30));
    expect(at('Sand').getByRole('article').getAttribute('aria-label')).toBe('one 1');
    expect(at('Brief').getByRole('article').getAttribute('aria-label')).toBe('two 1');
    expect(screen.getByTestId('line-said').textContent).toBe('2 boards on the line, none late.');
  });

  it('go on by a button, and back by Undo', async () => {
    const at = open(record('one', 'sand', 30));
    fireEvent.click(at('Sand').getByRole('button', { name: 'one 1 on to Fins' }));
    expect(at('Fins').getByRole('article')).toBeTruthy();
    fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
    expect(at('Sand').getByRole('article')).toBeTruthy();
    expect(at('Fins').queryByRole('article')).toBeNull();
  });

  it('leave the line when they are handed over', () => {
    const at = open(record('one', 'rideAway', 30));
    fireEvent.click(at('Ride-away').getByRole('button', { name: 'one 1 handed over' }));
    expect(screen.getByTestId('line-said').textContent).toBe('No board is on the line.');
    expect(useShed.getState().records.one.order?.doneOn).toBe(today());
  });

  it('say what to do when there are none', () => {
    open();
    expect(screen.getByText(/go to Make, Order, and put it on the line/)).toBeTruthy();
  });
});

describe('a board carried by keys', () => {
  const rect = (left: number) => ({ left, right: left + 150, top: 0, bottom: 400, width: 150, height: 400 });
  const columns = ['a', 'b', 'c'];
  const press = (code: string, left: number) => {
    const rects = new Map(columns.map((id, i) => [id, rect(150 * i)]));
    const event = { code, preventDefault: () => undefined } as KeyboardEvent;
    return besideColumn(event, {
      active: 'x',
      currentCoordinates: { x: left, y: 50 },
      context: {
        collisionRect: { ...rect(left + 5), width: 140 },
        droppableRects: rects,
        droppableContainers: { getEnabled: () => columns.map((id) => ({ id })) },
      },
    } as never);
  };

  it('goes a whole column at a time and stops at the ends', () => {
    expect(press('ArrowRight', 0)).toEqual({ x: 150, y: 50 });
    expect(press('ArrowLeft', 300)).toEqual({ x: 150, y: 50 });
    expect(press('ArrowLeft', 0)).toEqual({ x: 0, y: 50 });
    expect(press('ArrowRight', 300)).toEqual({ x: 300, y: 50 });
    expect(press('ArrowUp', 150)).toBeUndefined();
  });
});
