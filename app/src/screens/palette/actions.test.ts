import { beforeEach, describe, expect, it } from '@jest/globals';
import type { BoardRecord } from '@june-tide/core/record';
import { modelNamed } from '@june-tide/core/models';
import { useShed } from '../../store/shed.ts';
import { STEPS } from '../bay/useBay.ts';
import { actionsAt, boardsFound, fitOf } from './actions.ts';

const at = '2026-03-02T08:00:00.000Z';
const record = (id: string, number: number): BoardRecord => ({
  id,
  board: modelNamed('Slack Water')!,
  number,
  riderId: null,
  rides: [],
  createdAt: at,
  updatedAt: at,
});
const went: string[] = [];
const go = (address: string) => went.push(address);

beforeEach(() => {
  went.length = 0;
  useShed.setState({ records: { one: record('one', 7), two: record('two', 12) } });
});

describe('the palette', () => {
  it('has every step and what the board can do where one stands, and the screens everywhere', () => {
    const names = (path: string) => actionsAt(path, go).map(({ name }) => name);
    expect(names('/riders')).toEqual([
      'Rack',
      'Start a board',
      'Measure a board',
      'A first board, guided',
      'Riders',
      'Family tree',
      'Line',
      'Shelf',
      'Settings',
      'Back-up',
      'Night light',
    ]);
    expect(actionsAt('/bay/one/rails', go).filter(({ group }) => group === 'Steps')).toHaveLength(STEPS.length);
    expect(names('/bay/one/rails')).toEqual(
      expect.arrayContaining(['Into the room', 'Station table', 'Rails', 'Rack']),
    );
    expect(names('/bay/nobody/rails')).not.toContain('Station table');
    actionsAt('/bay/one/rails', go)
      .find(({ name }) => name === 'Fins')!
      .run();
    expect(went).toEqual(['/bay/one/fins']);
  });

  it('opens boards by words of name and number in any order, none for nothing typed', () => {
    expect(boardsFound('', go)).toEqual([]);
    expect(boardsFound('slack', go).map(({ name }) => name)).toEqual(['Slack Water 7', 'Slack Water 12']);
    const [found, ...more] = boardsFound('12 water', go);
    expect(more).toEqual([]);
    found.run();
    expect(went).toEqual(['/bay/two/outline']);
    expect(boardsFound('gannet', go)).toEqual([]);
  });

  it('puts what is called so first, then what begins so, then what has it anywhere', () => {
    const fits = [
      fitOf('Rails', [], 'rails'),
      fitOf('Rails', [], 'ra'),
      fitOf('Into the room', [], 'room'),
      fitOf('Station table', ['widths'], 'width'),
      fitOf('Shelf', [], 'rails'),
    ];
    expect(fits).toEqual([...fits].sort((a, b) => b - a));
    expect(new Set(fits).size).toBe(5);
    expect(fits[4]).toBe(0);
  });
});
