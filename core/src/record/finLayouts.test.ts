// Fin layouts of one board: named, taken out, and what is in the boxes stays.
import { describe, expect, it } from '@jest/globals';
import { modelNamed } from '../models/models.ts';
import { layoutsOf, withLayoutNamed, withoutLayout } from './finLayouts.ts';
import type { BoardRecord } from './record.ts';

const { fins } = modelNamed('Slack Water')!;
const record: BoardRecord = {
  id: 'board',
  number: 1,
  board: modelNamed('Slack Water')!,
  riderId: null,
  rides: [],
  layouts: [
    { id: 'three', name: 'Thruster', fins },
    { id: 'two', name: 'Twin', fins: modelNamed('Two Lanterns')!.fins },
  ],
  fitted: 'three',
  createdAt: '2026-03-04T10:00:00.000Z',
  updatedAt: '2026-03-04T10:00:00.000Z',
};

describe('layouts of a board', () => {
  it('one is named anew, the others are not', () => {
    expect(layoutsOf(withLayoutNamed(record, 'two', 'Keels')).map(({ name }) => name)).toEqual(['Thruster', 'Keels']);
  });
  it('one that is not in the boxes is taken out: what is fitted stays fitted', () => {
    const without = withoutLayout(record, 'two');
    expect(without.fitted).toBe('three');
    expect(layoutsOf(without).map(({ id }) => id)).toEqual(['three']);
  });
  it('the one in the boxes is taken out: the fins stay, and belong to none', () => {
    const without = withoutLayout(record, 'three');
    expect('fitted' in without).toBe(false);
    expect(without.board.fins).toBe(fins);
    expect(without.layouts!.map(({ id }) => id)).toEqual(['two']);
  });
});
