import { describe, expect, it } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { modelNamed } from '../models/models.ts';
import { boardFrom } from '../shape/issues.ts';
import type { Ride } from './ride.ts';
import { boardRecordFrom, type BoardRecord, boardRecordSchema, MOST_VERSIONS } from './record.ts';
import { rowLegible, rowPacked, rowUnpacked, stored, type StoredRecord, unstored, whysOf } from './past.ts';
import {
  atVersion,
  cutVersion,
  parentOf,
  versionMade,
  versionsOf,
  withChangeTaken,
  withFrozen,
  workingDiffers,
} from './versions.ts';

const board = modelNamed('Slack Water')!;
const record: BoardRecord = {
  id: 'one',
  number: 7,
  board,
  riderId: null,
  rides: [],
  createdAt: '2026-11-25T08:00:00.000Z',
  updatedAt: '2026-11-25T08:00:00.000Z',
};
const making = (id: string, why = '') => ({ id, on: '2026-11-26', how: 'made' as const, why });
const rideOf = (rider: string): Ride => ({ on: '2026-11-26', waves: '', words: 'lets go late', rider, felt: 'better' });
const wider = (of: BoardRecord, by_mm: number): BoardRecord => ({
  ...of,
  board: { ...of.board, outline: { ...of.board.outline, width_mm: of.board.outline.width_mm + by_mm } },
});

describe('versions of a board', () => {
  it('are numbered, dated, whole, and know what they were drawn from', () => {
    const one = versionMade(record, making('a', 'to ride'));
    const two = versionMade(wider(one, 3), making('b', 'wider'));
    expect(versionsOf(two).map(({ no, on, why, from }) => [no, on, why, from])).toEqual([
      [1, '2026-11-26', 'to ride', undefined],
      [2, '2026-11-26', 'wider', 'a'],
    ]);
    expect(versionsOf(two)[0].board).toBe(board);
    expect(versionsOf(two)[1].board.outline.width_mm).toBe(board.outline.width_mm + 3);
    expect(two.from).toBe('b');
    expect(boardRecordSchema.safeParse(two).success).toBe(true);
  });

  it('are not made twice of one board, whatever it is called meanwhile', () => {
    const one = versionMade(record, making('a'));
    expect(workingDiffers(record)).toBe(true);
    expect(workingDiffers(one)).toBe(false);
    expect(versionMade(one, making('b'))).toBe(one);
    expect(workingDiffers({ ...one, board: { ...one.board, name: 'Other', notes: 'more' } })).toBe(false);
    expect(workingDiffers(wider(one, 0.01))).toBe(true);
  });

  it('are gone back to with nothing lost, and the next is drawn from there', () => {
    const one = versionMade(record, making('a'));
    const back = atVersion(wider(one, 3), 'a', making('kept', 'before going back'));
    expect(versionsOf(back).map(({ id, from }) => [id, from])).toEqual([
      ['a', undefined],
      ['kept', 'a'],
    ]);
    expect(back.board.outline).toEqual(board.outline);
    const branched = versionMade(wider(back, -3), making('c'));
    expect(versionsOf(branched).at(-1)).toMatchObject({ no: 3, from: 'a' });
    expect(() => atVersion(one, 'none', making('x'))).toThrow('no such version');
  });

  it('keep name and notes of the board that is worked on when one goes back', () => {
    const one = versionMade(record, making('a'));
    const named = { ...one, board: { ...one.board, name: 'Renamed', notes: 'mine' } };
    expect(atVersion(named, 'a', making('k')).board).toMatchObject({ name: 'Renamed', notes: 'mine' });
  });

  it('are two where a change is taken: what was ridden, and the next', () => {
    const next = wider(record, 3).board;
    const taken = withChangeTaken(record, next, making('ridden', 'as ridden'), making('next', 'wider'));
    expect(versionsOf(taken).map(({ id, no, from }) => [id, no, from])).toEqual([
      ['ridden', 1, undefined],
      ['next', 2, 'ridden'],
    ]);
    expect(taken.board.outline.width_mm).toBe(next.outline.width_mm);
    // Already a version: only the next is made.
    const again = withChangeTaken(taken, wider(taken, 3).board, making('no'), making('third'));
    expect(versionsOf(again).map(({ id }) => id)).toEqual(['ridden', 'next', 'third']);
  });

  it('are no more than there may be', () => {
    let full = record;
    for (let k = 0; k < MOST_VERSIONS; k++) full = versionMade(wider(full, 0.01), making(`v${k}`));
    expect(() => versionMade(wider(full, 1), making('more'))).toThrow(`${MOST_VERSIONS} versions`);
  });

  it('are frozen one at a time, with what it weighed, and let go', () => {
    const two = versionMade(wider(versionMade(record, making('a')), 3), making('b'));
    const frozen = withFrozen(two, 'a', { on: '2026-11-27', mass_kg: 2.6, flex: 'lively' });
    expect(versionsOf(frozen).map((v) => v.frozen?.mass_kg)).toEqual([2.6, undefined]);
    expect(boardRecordSchema.safeParse(frozen).success).toBe(true);
    expect(versionsOf(withFrozen(frozen, 'a', undefined))[0]).toEqual(versionsOf(two)[0]);
  });

  it('say what was cut, whatever is drawn after', () => {
    expect(cutVersion(record)).toBeUndefined();
    const cut = versionMade(record, { ...making('c'), how: 'cut' });
    const on = versionMade(wider(cut, 5), making('d'));
    expect(cutVersion(on)?.id).toBe('c');
    expect(cutVersion(versionMade(wider(on, 1), { ...making('e'), how: 'cut' }))?.id).toBe('e');
  });

  it('name the board they come from', () => {
    expect(parentOf(record, 'copy', 'a')).toEqual({ kind: 'copy', id: 'one', name: 'Slack Water 7', version: 'a' });
  });
});

describe('a record of before there were versions', () => {
  it('is read with all its rides, and with none made', () => {
    const stored: unknown = JSON.parse(
      readFileSync(new URL('./fixtures/record-before-versions.json', import.meta.url), 'utf8'),
    );
    const read = boardRecordFrom(stored)!;
    expect(read.rides).toEqual([
      { on: '2026-02-14', waves: 'chest high, clean', words: 'Holds in the pocket; wants a little more in the flats.' },
      { on: '2026-03-02', waves: 'waist high', words: 'Slow to get going.' },
    ]);
    expect(versionsOf(read)).toEqual([]);
    expect(versionMade(read, making('first')).versions).toHaveLength(1);
    expect(boardRecordSchema.parse(JSON.parse(JSON.stringify(read)))).toEqual(read);
  });
});

describe('a record whose boards are of an older format', () => {
  it('is read with all of them brought up to today’s: the board, the board as shaped, and every version', () => {
    const old = JSON.parse(
      readFileSync(new URL('../files/fixtures/version-1/kettle.json', import.meta.url), 'utf8'),
    ) as {
      version: number;
    };
    expect(old.version).toBe(1);
    const made = versionMade(record, making('a'));
    const stored: unknown = {
      ...made,
      board: old,
      shaped: { on: '2026-11-02', readings: {}, board: old },
      versions: made.versions!.map((version) => ({ ...version, board: old })),
    };
    const read = boardRecordFrom(stored)!;
    const opened = boardFrom(old);
    if (!opened.ok) throw new Error(opened.issues[0].words);
    expect(opened.board.version).toBe(2);
    expect(read.board).toEqual(opened.board);
    expect(read.shaped?.board).toEqual(opened.board);
    expect(read.versions!.map(({ board }) => board)).toEqual([opened.board]);
  });
});

describe('versions as they lie in a store', () => {
  const made = versionMade(
    wider(versionMade(wider(versionMade(record, making('a')), 3), making('b')), 0.1),
    making('c'),
  );

  it('are the same to the last digit when they are unpacked, and packed again to the same text', () => {
    const row = stored(made);
    expect(unstored(row)).toEqual(made);
    expect(stored({ ...unstored(row) }).past).toBe(row.past);
    expect(rowUnpacked(JSON.parse(JSON.stringify(row)))).toEqual(made);
    expect(row.past!.length).toBeLessThan(JSON.stringify(made.versions).length / 2);
    expect(stored(record)).toEqual(record);
    // Why each was made is told without the boards being put together, and the same after they were.
    const lying = unstored(row);
    const whys = made.versions?.map(({ why }) => why);
    expect(whysOf(lying)).toEqual(whys);
    expect(lying.versions).toEqual(made.versions);
    expect([whysOf(lying), whysOf(made), whysOf(record)]).toEqual([whys, whys, []]);
    expect(whysOf(unstored({ ...row, past: 'spoilt' }))).toEqual([]);
  });

  it('come back where one goes back on what the one before it changed', () => {
    const wide = versionMade(wider(versionMade(record, making('a')), 3), making('b'));
    const back = versionMade({ ...wide, board: record.board }, making('c'));
    expect(versionsOf(unstored(JSON.parse(JSON.stringify(stored(back))) as typeof back))).toEqual(versionsOf(back));
  });

  it('are packed in a row of before, and any other row is left as it is', () => {
    const before: unknown = JSON.parse(
      readFileSync(new URL('fixtures/record-with-whole-versions.json', import.meta.url), 'utf8'),
    );
    const packed = rowPacked(before);
    expect(packed).toHaveProperty('past');
    expect(packed).not.toHaveProperty('versions');
    expect(rowUnpacked(packed)).toEqual(before);
    expect(boardRecordFrom(rowUnpacked(packed))?.versions).toHaveLength(3);
    for (const odd of [undefined, 3, {}, { versions: 'none' }, { versions: [{ id: 'x' }] }, { rides: [], past: 'z1:' }])
      expect(rowPacked(odd)).toBe(odd);
  });

  it('are deflated with the rides in a row of when they were not, and made legible again to the same letters', () => {
    const text = readFileSync(new URL('fixtures/record-with-versions-as-text.json', import.meta.url), 'utf8');
    const before = JSON.parse(text) as BoardRecord & { past: string };
    const read = boardRecordFrom(rowUnpacked(before))!;
    expect([read.versions?.length, read.rides.length]).toEqual([3, 3]);
    const packed = rowPacked(before) as StoredRecord;
    expect(packed).not.toHaveProperty('rides');
    expect(JSON.stringify(packed).length).toBeLessThan(text.length * 0.75);
    expect(rowUnpacked(packed)).toEqual(rowUnpacked(before));
    expect(rowPacked(packed)).toBe(packed);
    expect(rowLegible(packed)).toEqual(before);
    const lying = unstored(packed);
    expect(whysOf(lying)).toEqual(read.versions!.map(({ why }) => why));
    expect({ ...lying }).toEqual(read);
    // Saved untouched it lies as it lay.
    expect(stored(unstored(packed))).toEqual(packed);
  });

  it('and rides keep every letter of whatever was typed', () => {
    const words = 'Föhn “off the cliff” \u0000 波 🌊 '.repeat(40);
    const ridden = { ...made, rides: [{ ...rideOf('kit'), words }] };
    expect(unstored(stored(ridden)).rides[0].words).toBe(words);
    expect((rowLegible(stored(ridden)) as BoardRecord).rides).toEqual(ridden.rides);
  });

  it('and rides are refused when their packing is spoilt, and nobody is made to unpack what is far too long', () => {
    const row = stored({ ...made, rides: [rideOf('kit')] });
    const zeros = 'z99999999:';
    const odd = [row.rode!.slice(0, -9), row.rode!.replace(/^z\d+/, 'z5'), zeros, `z40000000:${row.rode!}`, '{}', 7];
    for (const rode of odd) {
      expect(boardRecordFrom(rowUnpacked({ ...row, rode }))).toBeUndefined();
      if (typeof rode === 'string') expect(() => unstored({ ...row, rode }).rides).toThrow();
    }
    // Refused for its length before anything is unpacked, and where less comes out than was said.
    expect(() => unstored({ ...row, rode: `z40000000:${row.rode!}` }).rides).toThrow('far too long');
    const longer = row.rode!.replace(/^z(\d+)/, (_, length: string) => `z${Number(length) + 7}`);
    expect(() => unstored({ ...row, rode: longer }).rides).toThrow('cut off');
    const cut = { ...row, past: row.past!.slice(0, -9) };
    expect(boardRecordFrom(rowUnpacked(cut))).toBeUndefined();
    expect(rowLegible(cut)).toMatchObject({ past: cut.past, rides: [rideOf('kit')] });
  });

  it('are refused when their text is spoilt, never read as none', () => {
    for (const past of ['', '[', '[{"id":"a","replaced":[]}]', '{}', 7]) {
      const read = rowUnpacked({ ...record, past });
      expect(boardRecordFrom(read)).toBeUndefined();
    }
    expect(() => unstored({ ...record, past: '[' }).versions).toThrow();
  });
});
