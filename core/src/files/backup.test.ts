// The whole shed in a zip and out of it: exact, whole or not at all. SHA-256 against the examples of FIPS 180-4, the zip against Node's own inflate.
import { createHash } from 'node:crypto';
import { describe, expect, it } from '@jest/globals';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { modelNamed } from '../models/models.ts';
import { stored } from '../record/past.ts';
import { type BoardRecord, boardRecordFrom } from '../record/record.ts';
import { rowUnpacked } from '../record/past.ts';
import { backupZip, readBackup, type ShedRows } from './backup.ts';
import { restoreDifference, restoredRow, restorePlan } from './restore.ts';

const AT = '2026-03-04T10:00:00.000Z';
const record = (id: string, more: Partial<BoardRecord> = {}): BoardRecord => ({
  id,
  number: 1,
  board: modelNamed('Slack Water')!,
  riderId: null,
  rides: [],
  createdAt: AT,
  updatedAt: AT,
  ...more,
});
const wide = (of: BoardRecord, width_mm: number, updatedAt: string): BoardRecord => ({
  ...of,
  updatedAt,
  board: { ...of.board, outline: { ...of.board.outline, width_mm } },
});
const version = (board = modelNamed('Kettle')!) => ({
  id: 'v',
  no: 1,
  on: '2026-03-01',
  board,
  how: 'made' as const,
  why: 'x',
});
const rows: ShedRows = {
  boards: [stored(record('a', { versions: [version()] })), { id: 'spoilt', board: { tide: 7 } }],
  riders: [{ id: 'maren', name: 'Maren' }],
  blanks: [],
  settings: [{ id: 'shop', house: { name: 'Skarn Point' } }],
  photos: [{ id: 'p1', boardId: 'a', jpeg: Uint8Array.of(0xff, 0xd8, 1, 2, 3) }],
};
const read = (zip: Uint8Array) => {
  const found = readBackup(zip);
  return found.ok ? 'read' : found.reason;
};

describe('a back-up', () => {
  it('comes back to the last byte, with what could not be read, and is the same when it is made again', () => {
    const zip = backupZip(rows, AT);
    const found = readBackup(zip);
    if (!found.ok) throw new Error(found.reason);
    expect(found.rows).toEqual(rows);
    expect(found.madeAt).toBe(AT);
    expect(Buffer.from(backupZip(rows, AT)).equals(Buffer.from(zip))).toBe(true);
    expect(boardRecordFrom(rowUnpacked(found.rows.boards[0]))!.versions![0].board).toEqual(modelNamed('Kettle'));
  });

  it('says of each file its size and its SHA-256, as Node’s own crypto has it', () => {
    const files = unzipSync(backupZip(rows, AT));
    const manifest = JSON.parse(strFromU8(files['manifest.json'])) as {
      files: { path: string; bytes: number; sha256: string }[];
    };
    expect(manifest.files.map(({ path }) => path).sort()).toEqual(
      Object.keys(files)
        .filter((name) => name !== 'manifest.json')
        .sort(),
    );
    for (const { path, bytes, sha256 } of manifest.files) {
      expect(bytes).toBe(files[path].length);
      expect(sha256).toBe(createHash('sha256').update(files[path]).digest('hex'));
    }
  });

  it('is a zip whose local header is as PKWARE’s APPNOTE 4.3.7 has it', () => {
    const zip = Buffer.from(backupZip(rows, AT));
    expect(zip.readUInt32LE(0)).toBe(0x04034b50);
    expect(zip.subarray(30, 30 + zip.readUInt16LE(26)).toString()).toBe('manifest.json');
  });
});

describe('what is no back-up', () => {
  const changed = (change: (files: Record<string, Uint8Array>) => void) => {
    const files = unzipSync(backupZip(rows, AT));
    change(files);
    return zipSync(files);
  };
  const manifestWith = (more: object) =>
    changed((files) => {
      const was = JSON.parse(strFromU8(files['manifest.json'])) as object;
      files['manifest.json'] = strToU8(JSON.stringify({ ...was, ...more }));
    });
  it.each<[string, () => Uint8Array, RegExp]>([
    ['nothing', () => new Uint8Array(), /empty/],
    ['a text', () => strToU8('Dear shaper'), /no zip/],
    ['a zip cut off', () => backupZip(rows, AT).subarray(0, 400), /cut off or spoilt/],
    ['a zip of something else', () => zipSync({ 'letter.txt': strToU8('x') }), /no manifest/],
    ['a manifest of words', () => changed((f) => (f['manifest.json'] = strToU8('tide'))), /manifest cannot be read/],
    ['a manifest of something else', () => manifestWith({ format: 'tide' }), /manifest cannot be read/],
    ['one of a newer app', () => manifestWith({ version: 2 }), /newer June Tide/],
    [
      'a board that was changed',
      () => changed((f) => (f['boards/00001.json'] = strToU8('{"id":"a"}'))),
      /boards\/00001.json is not as it was written/,
    ],
    ['a picture that is missing', () => changed((f) => delete f['photos/00001.jpg']), /photos\/00001.jpg is missing/],
    [
      'a path of every object’s own',
      () => manifestWith({ files: [{ path: 'constructor', bytes: 0, sha256: '0'.repeat(64) }] }),
      /constructor is missing/,
    ],
  ])('%s is refused in words', (_, zip, words) => {
    expect(read(zip())).toMatch(words);
  });

  /** A zip with a manifest that tells the truth of these files. */
  const told = (files: Record<string, Uint8Array>, more: Record<string, Uint8Array> = {}) => {
    const named = Object.entries(files).map(([path, content]) => ({
      path,
      bytes: content.length,
      sha256: createHash('sha256').update(content).digest('hex'),
    }));
    const manifest = { format: 'june-tide-backup', version: 1, madeAt: AT, schemas: { board: 1 }, files: named };
    return zipSync({ ...more, 'manifest.json': strToU8(JSON.stringify(manifest)), ...files });
  };
  const zeros = (MB: number) => new Uint8Array(MB * 1e6);

  it.each<[string, () => Uint8Array]>([
    ['one board of 30 MB', () => told({ 'boards/00001.json': zeros(30) })],
    ['a manifest of 70 MB', () => zipSync({ 'manifest.json': zeros(70) })],
    [
      'many texts that together are a thousand times what they are packed',
      () => told(Object.fromEntries(Array.from({ length: 8 }, (_, i) => [`boards/${i}.json`, zeros(5)]))),
    ],
  ])('a bomb is refused before it is unpacked: %s', (_, zip) => {
    expect(read(zip())).toMatch(/larger than any back-up|no manifest/);
  });

  it('what the manifest does not name is not unpacked: it may be as large as it likes', () => {
    const empty = { 'riders.json': strToU8('[]'), 'blanks.json': strToU8('[]'), 'settings.json': strToU8('[]') };
    const zip = Buffer.from(told(empty, { 'bomb.json': zeros(1) }));
    // Its content is no deflate (RFC 1951: block type 3 is reserved): unpacked, it would throw.
    const local = zip.indexOf('bomb.json');
    zip.fill(0xff, local + 9, local + 60);
    const found = readBackup(Uint8Array.from(zip));
    expect(found).toMatchObject({ ok: true, rows: { boards: [], riders: [], photos: [] } });
  });

  it('one that is larger in the zip than the manifest says is not unpacked', () => {
    const zip = Buffer.from(told({ 'riders.json': strToU8('[]') }));
    // The size unpacked, in the central directory (APPNOTE 4.3.12: offset 24 after its mark).
    const central = zip.lastIndexOf(Buffer.from([0x50, 0x4b, 1, 2]));
    zip.writeUInt32LE(0xf0000000, central + 24);
    expect(read(Uint8Array.from(zip))).toMatch(/riders.json is missing in it, or larger than it should be/);
  });

  it('a file named twice is unpacked once', () => {
    const list = strToU8('[]');
    const zip = Buffer.from(told({ 'riders.json': list }, {}));
    const twice = Buffer.from(zipSync({ ...unzipSync(zip), 'riders.jsox': strToU8('{}') }));
    for (let at = twice.indexOf('riders.jsox'); at >= 0; at = twice.indexOf('riders.jsox'))
      twice.write('riders.json', at);
    expect(read(Uint8Array.from(twice))).toBe('read');
  });

  it('a directory that says it goes on for ever is given up', () => {
    const zip = Buffer.from(told({ 'riders.json': strToU8('[]') }));
    // The count of files, in the end of the central directory (APPNOTE 4.3.16: offset 10).
    const end = zip.lastIndexOf(Buffer.from([0x50, 0x4b, 5, 6]));
    zip.writeUInt16LE(0xffff, end + 10);
    zip.writeUInt16LE(0xffff, end + 8);
    expect(typeof read(Uint8Array.from(zip))).toBe('string');
  });

  it('says how much of it is read', () => {
    const shares: number[] = [];
    readBackup(backupZip(rows, AT), (share) => shares.push(share));
    expect(shares.at(-1)).toBe(1);
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
  });

  it('never throws, wherever it is cut or a byte is another', () => {
    const zip = backupZip(rows, AT);
    for (let k = 0; k < zip.length; k += 37) {
      const other = Uint8Array.from(zip);
      other[k] ^= 0x55;
      expect(typeof read(other)).toBe('string');
      expect(read(zip.subarray(0, k))).not.toBe('read');
    }
  });
});

describe('what a back-up would bring', () => {
  const here = record('a');
  const plan = (mine: unknown[], theirs: unknown[]) =>
    restorePlan(
      { ...rows, boards: mine },
      {
        ...rows,
        boards: theirs,
        riders: [
          { id: 'maren', name: 'Maren', age: 3 },
          { id: 'kit', name: 'Kit' },
        ],
      },
    );
  const fateOf = (mine: BoardRecord | undefined, theirs: unknown) =>
    plan(mine ? [stored(mine)] : [], [theirs]).find(({ table }) => table === 'boards')!.fate;
  it('new, newer, older, the same, other, not to be read', () => {
    expect(fateOf(undefined, stored(here))).toBe('new');
    expect(fateOf(here, stored(here))).toBe('same');
    expect(fateOf(here, stored(wide(here, 500, '2026-03-05T10:00:00.000Z')))).toBe('newer');
    expect(fateOf(here, stored(wide(here, 500, '2026-03-03T10:00:00.000Z')))).toBe('older');
    expect(fateOf(here, stored(wide(here, 500, AT)))).toBe('differs');
    expect(fateOf(here, { id: 'a', board: { tide: 7 } })).toBe('unread');
  });
  it('says how a board differs, from here to there', () => {
    const style = { kind: 'mm' } as const;
    const there = { ...wide(here, 500, AT), riderId: 'kit', rides: [{ on: '2026-03-02', waves: 'w', words: 'x' }] };
    const told = (mine: BoardRecord, theirs: unknown) =>
      restoreDifference(
        plan([stored(mine)], [theirs]).find(({ table }) => table === 'boards')!,
        style,
      );
    expect(told({ ...here, riderId: 'maren' }, stored(there as BoardRecord))).toMatch(
      /^Width .* to 500 mm\. 1 ride more, for another rider\.$/,
    );
    expect(told(there as BoardRecord, stored({ ...here, riderId: 'kit' }))).toMatch(
      /^Width 500 mm to .*\. 1 ride fewer\.$/,
    );
    expect(told(here, stored(here))).toBe('');
    expect(told(here, { id: 'a', board: { tide: 7 } })).toBe('');
  });
  it('cards of riders, blanks and settings too, by what people call them', () => {
    const told = plan([], []).map(({ table, name, fate }) => [table, name, fate]);
    expect(told).toEqual([
      ['riders', 'Maren', 'differs'],
      ['riders', 'Kit', 'new'],
      ['settings', 'The shop’s settings', 'same'],
    ]);
  });
  it('both keeps the later to work on, the other as a version, and the rides of both', () => {
    const ride = (words: string) => ({ on: '2026-03-02', waves: 'waist high', words });
    const mine = { ...wide(here, 505, '2026-03-06T10:00:00.000Z'), rides: [ride('mine')] };
    const theirs = {
      ...wide(here, 500, '2026-03-05T10:00:00.000Z'),
      rides: [ride('theirs')],
      versions: [version()],
    };
    const [row] = plan([stored(mine)], [stored(theirs)]);
    expect([row.fate, row.choices[0]]).toEqual(['older', 'keep']);
    const naming = { id: 'kept', on: '2026-03-07', at: '2026-03-07T10:00:00.000Z' } as const;
    const made = rowUnpacked(restoredRow(row, 'both', naming)) as BoardRecord;
    expect(made.board.outline.width_mm).toBe(505);
    expect(made.rides.map(({ words }) => words).sort()).toEqual(['mine', 'theirs']);
    expect(made.versions!.map(({ why }) => why)).toEqual(['x', 'as it was in the back-up']);
    expect(made.versions![1].board.outline.width_mm).toBe(500);
    expect(made.updatedAt).toBe(naming.at);
    // The other way round it is what stood here that is kept beside it.
    const [round] = plan([stored(theirs)], [stored(mine)]);
    const turned = rowUnpacked(restoredRow(round, 'both', naming)) as BoardRecord;
    expect(turned.board.outline.width_mm).toBe(505);
    expect(turned.versions!.at(-1)!.why).toBe('as it was here before the back-up');
    expect(restoredRow(row, 'keep', naming)).toBeUndefined();
    expect(restoredRow(row, 'take', naming)).toEqual(stored(theirs));
  });
});
