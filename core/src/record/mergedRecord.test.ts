// A record that was changed in two places at once: both changes, told from what it was before.
import { describe, expect, it } from '@jest/globals';
import { merged } from '../document/kept.ts';
import { modelNamed } from '../models/models.ts';
import { boardFrom } from '../shape/issues.ts';
import { ELSEWHERE, mergedRecord } from './mergedRecord.ts';
import { type BoardRecord, boardRecordSchema, type Version } from './record.ts';

const base: BoardRecord = {
  id: 'board',
  number: 1,
  board: modelNamed('Slack Water')!,
  riderId: null,
  rides: [],
  versions: [],
  createdAt: '2026-03-04T10:00:00.000Z',
  updatedAt: '2026-03-04T10:00:00.000Z',
};
const naming = { id: 'kept-1', on: '2026-03-05' } as const;
const wide = (record: BoardRecord, width_mm: number): BoardRecord => ({
  ...record,
  board: { ...record.board, outline: { ...record.board.outline, width_mm } },
});
const version = (id: string, no: number): Version => ({
  id,
  no,
  on: '2026-03-05',
  board: base.board,
  how: 'made',
  why: id,
});

describe('plain data changed in two places', () => {
  const both = (a: unknown, b: unknown, c: unknown) => {
    const conflicts: string[] = [];
    return [merged(a, b, c, conflicts), conflicts];
  };
  it.each<[string, unknown, unknown, unknown, unknown, string[]]>([
    ['only ours', { x: 1, y: 1 }, { x: 2, y: 1 }, { x: 1, y: 1 }, { x: 2, y: 1 }, []],
    ['only theirs', { x: 1, y: 1 }, { x: 1, y: 1 }, { x: 1, y: 3 }, { x: 1, y: 3 }, []],
    ['each its own', { x: 1, y: 1 }, { x: 2, y: 1 }, { x: 1, y: 3 }, { x: 2, y: 3 }, []],
    ['the same to the same', { x: 1 }, { x: 2 }, { x: 2 }, { x: 2 }, []],
    ['the same to another', { x: { z: 1 } }, { x: { z: 2 } }, { x: { z: 3 } }, { x: { z: 2 } }, ['x.z']],
    ['taken out and left', { x: 1, y: 1 }, { y: 1 }, { x: 1, y: 1 }, { y: 1 }, []],
    ['taken out and changed', { x: 1 }, {}, { x: 5 }, { x: 5 }, []],
    ['changed and taken out', { x: 1 }, { x: 5 }, {}, { x: 5 }, []],
    ['put in by both', {}, { x: 1 }, { y: 2 }, { y: 2, x: 1 }, []],
    ['places of a list', [1, 2, 3], [9, 2, 3], [1, 2, 8], [9, 2, 8], []],
    ['lists of other lengths', [1, 2], [1, 2, 3], [0, 1, 2], [1, 2, 3], ['']],
  ])('%s', (_, a, b, c, is, conflicts) => {
    expect(both(a, b, c)).toEqual([is, conflicts]);
  });
  it('entries without ids, such as rides: what either noted is there, what either took out is not', () => {
    const [one, two, three, four] = [{ on: 1 }, { on: 2 }, { on: 3 }, { on: 4 }];
    expect(both([one, two], [one, two, three], [two, four])).toEqual([[two, three, four], []]);
    expect(both([one], [one, three], [{ on: 1, better: true }])).toEqual([[three, { on: 1, better: true }], []]);
    expect(both(undefined, [one], [two])).toEqual([[one, two], []]);
  });
  it('entries with ids: added by each, taken out by one, changed by the other', () => {
    const [one, two, three] = [{ id: 1 }, { id: 2 }, { id: 3 }];
    expect(both([one, two], [one, two, three], [one, { id: 2, n: 1 }, { id: 4 }])[0]).toEqual([
      one,
      { id: 2, n: 1 },
      { id: 4 },
      three,
    ]);
    expect(both([one, two], [two], [one, two])[0]).toEqual([two]);
    expect(both([one, two], [two], [{ id: 1, n: 2 }, two])[0]).toEqual([{ id: 1, n: 2 }, two]);
  });
});

describe('a board changed in two places', () => {
  it('has both changes, and reads and builds', () => {
    const ours = wide(base, 505);
    const theirs = { ...base, colours: 'sea green', board: { ...base.board, notes: 'a hair more' } };
    const { record, conflicts } = mergedRecord(base, ours, theirs, naming);
    expect(conflicts).toEqual([]);
    expect(record.board).toEqual({ ...ours.board, notes: 'a hair more' });
    expect(record.colours).toBe('sea green');
    expect(record.versions).toEqual([]);
    expect(boardRecordSchema.safeParse(record).success && boardFrom(record.board).ok).toBe(true);
  });

  it('keeps a ride and a version of each; two of one number are counted on', () => {
    const [ours, theirs] = [version('ours', 1), version('theirs', 1)];
    const { record } = mergedRecord(
      { ...base, versions: [] },
      { ...base, versions: [ours] },
      { ...base, versions: [theirs] },
      naming,
    );
    expect(record.versions!.map(({ id, no }) => [id, no])).toEqual([
      ['theirs', 1],
      ['ours', 2],
    ]);
  });

  it('of which both changed the same keeps theirs as a version, once, however often they meet', () => {
    const first = mergedRecord(base, wide(base, 505), wide(base, 500), naming);
    expect(first.conflicts).toEqual(['board.outline.width_mm']);
    expect(first.record.board.outline.width_mm).toBe(505);
    expect(first.record.versions).toEqual([
      { id: 'kept-1', no: 1, on: '2026-03-05', board: wide(base, 500).board, how: 'made', why: ELSEWHERE },
    ]);
    const again = mergedRecord(first.record, wide(first.record, 506), wide(first.record, 499), {
      ...naming,
      id: 'kept-2',
    });
    expect(again.record.versions!.map(({ id, board }) => [id, board.outline.width_mm])).toEqual([['kept-1', 499]]);
    const other = mergedRecord(first.record, wide(first.record, 506), wide(first.record, 499), {
      id: 'kept-3',
      on: '2026-03-06',
    });
    expect(other.record.versions).toHaveLength(2);
  });

  it('whose two changes make no board together stays ours, with theirs as a version', () => {
    const length = (record: BoardRecord, length_mm: number): BoardRecord => ({
      ...record,
      board: { ...record.board, length_mm },
    });
    const ours = length(base, 1600);
    const marks = [...base.board.outline.marks, { from: 'tail' as const, at_mm: 1700, value_mm: 200 }];
    const theirs = { ...base, board: { ...base.board, outline: { ...base.board.outline, marks } } };
    expect(boardFrom(ours.board).ok && boardFrom(theirs.board).ok).toBe(true);
    const { record, conflicts } = mergedRecord(base, ours, theirs, naming);
    expect(conflicts).toEqual(['board']);
    expect(record.board).toEqual(ours.board);
    expect(record.versions!.map(({ board }) => board)).toEqual([theirs.board]);
  });
});
