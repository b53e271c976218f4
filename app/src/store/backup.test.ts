// Back-ups that say the truth: of a store that does not answer, of a folder that does not keep, of a shed that gave way.
import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import 'fake-indexeddb/auto';
import { readBackup } from '@june-tide/core/files/packages';
import { modelNamed } from '@june-tide/core/models';
import { onDisk } from '../testing/onDisk.ts';
import { db } from './db.ts';
import { queue } from './shedState.ts';
import {
  addBoard,
  edit,
  gatherRows,
  intoFolder,
  keepRider,
  letShedGo,
  loadShed,
  makeBackup,
  type MadeBackup,
  putShedBack,
  replaceAll,
  rowsOfWindow,
  shedsBefore,
  StoreUnread,
  useShed,
} from './shed.ts';

const settle = () => onDisk(queue);
const model = modelNamed('Slack Water')!;
const state = () => useShed.getState();
const read = (zip: Uint8Array) => {
  const found = readBackup(zip);
  if (!found.ok) throw new Error(found.reason);
  return found.rows;
};

beforeEach(async () => {
  await settle();
  for (const table of db.tables) await table.clear();
  useShed.setState({ histories: {} });
  await loadShed();
  await settle();
});
afterEach(() => {
  jest.restoreAllMocks();
});

/** The store refuses what is put into a table. */
function full(table: string): void {
  const put = IDBObjectStore.prototype.put;
  jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (this: IDBObjectStore, value: unknown) {
    if (this.name === table) throw new DOMException('no room', 'QuotaExceededError');
    return put.call(this, value);
  });
}

describe('a back-up of a store that cannot be read', () => {
  it.each(['boards', 'riders', 'blanks', 'settings', 'photos'])('is refused, not made without: %s', async (name) => {
    const all = IDBObjectStore.prototype.getAll;
    jest.spyOn(IDBObjectStore.prototype, 'getAll').mockImplementation(function (this: IDBObjectStore, query, count) {
      if (this.name === name) throw new DOMException('the disk is gone', 'UnknownError');
      return all.call(this, query, count);
    });
    await expect(makeBackup()).rejects.toThrow(StoreUnread);
  });

  it('that says nothing is refused after five seconds; what the window holds can be saved', async () => {
    const id = addBoard(model, 'maren');
    await settle();
    jest.spyOn(db, 'table').mockImplementation(() => ({ toArray: () => new Promise(() => undefined) }) as never);
    jest.useFakeTimers({ doNotFake: [] });
    const refused = expect(makeBackup()).rejects.toThrow('does not answer');
    await jest.advanceTimersByTimeAsync(5000);
    jest.useRealTimers();
    await refused;
    const rows = read((await makeBackup(rowsOfWindow())).zip);
    expect(rows.boards.map((row) => (row as { id: string }).id)).toContain(id);
    expect(rows.boards).toHaveLength(Object.keys(state().records).length);
    expect(rows.riders).toHaveLength(Object.keys(state().riders).length);
    expect(rows.blanks).toHaveLength(state().shelf.length);
  });
});

describe('a back-up while the store is full', () => {
  it('has what is not written: changed, added and taken off', async () => {
    const id = addBoard(model, null);
    await settle();
    full('boards');
    edit(id, 'colours', (record) => ({ ...record, colours: 'only here' }));
    const other = addBoard(model, null);
    await settle();
    expect(state().save.kind).toBe('failed');
    const { boards, riders } = read((await makeBackup()).zip);
    const found = new Map(boards.map((row) => [(row as { id: string }).id, row]));
    expect(found.get(id)).toMatchObject({ colours: 'only here' });
    expect(found.has(other)).toBe(true);
    expect(boards).toHaveLength(Object.keys(state().records).length);
    expect(riders).toHaveLength(Object.keys(state().riders).length);
    jest.restoreAllMocks();
    edit(id, 'colours', (record) => ({ ...record, colours: 'sea' }));
    await settle();
    expect(state().save.kind).toBe('saved');
  });
});

/** A folder that keeps its files, or spoils what is written. */
function folderOf(files: Map<string, Uint8Array>, spoils = false): FileSystemDirectoryHandle {
  const getFileHandle = (name: string, { create = false } = {}) => {
    if (!files.has(name) && !create) return Promise.reject(new DOMException('not there', 'NotFoundError'));
    return Promise.resolve({
      createWritable: () =>
        Promise.resolve({
          write: (bytes: Uint8Array) => {
            files.set(name, spoils ? bytes.slice(0, -1) : bytes.slice());
            return Promise.resolve();
          },
          close: () => Promise.resolve(),
        }),
      getFile: () => Promise.resolve({ arrayBuffer: () => Promise.resolve(files.get(name)!.slice().buffer) }),
    });
  };
  return { name: 'shed', getFileHandle } as unknown as FileSystemDirectoryHandle;
}

describe('a back-up into a folder', () => {
  const made: MadeBackup = { name: 'june-tide.zip', zip: Uint8Array.of(1, 2, 3), boards: 1, riders: 0, pictures: 0 };

  it('takes the place of none that is there', async () => {
    const files = new Map([['june-tide.zip', Uint8Array.of(9)]]);
    expect(await intoFolder(folderOf(files), made)).toEqual({ ok: true, name: 'june-tide-2.zip' });
    expect(await intoFolder(folderOf(files), made)).toEqual({ ok: true, name: 'june-tide-3.zip' });
    expect(files.get('june-tide.zip')).toEqual(Uint8Array.of(9));
    expect(files.get('june-tide-2.zip')).toEqual(made.zip);
  });

  it('is not there until it reads back as it was written', async () => {
    const there = await intoFolder(folderOf(new Map(), true), made);
    expect(there).toEqual({ ok: false, why: 'what was written there does not read back whole' });
  });

  it('has a name of its own by the second, two in one day', async () => {
    jest.useFakeTimers({ doNotFake: ['nextTick', 'queueMicrotask', 'setTimeout', 'clearTimeout', 'setImmediate'] });
    jest.setSystemTime(new Date(2026, 10, 25, 9, 5, 7));
    const one = await makeBackup(rowsOfWindow());
    jest.setSystemTime(new Date(2026, 10, 25, 17, 30, 0));
    const two = await makeBackup(rowsOfWindow());
    jest.useRealTimers();
    expect([one.name, two.name]).toEqual(['june-tide-2026-11-25-090507.zip', 'june-tide-2026-11-25-173000.zip']);
  });
});

describe('a shed that gives way to a back-up', () => {
  const ids = () => Object.keys(state().records).sort();

  it('is kept whole until it is let go, and can be put back, the other kept in its turn', async () => {
    const old = read((await makeBackup()).zip);
    const id = addBoard(model, null);
    keepRider({ ...state().riders.maren, age: 61 });
    await settle();
    const was = { ids: ids(), rows: await gatherRows() };
    await replaceAll(old, 'old.zip');
    expect(ids()).not.toContain(id);
    const [before] = await shedsBefore();
    expect(before).toMatchObject({ file: 'old.zip', boards: was.ids.length });
    await putShedBack(before);
    expect(ids()).toEqual(was.ids);
    expect(state().riders.maren.age).toBe(61);
    expect(await gatherRows()).toEqual(was.rows);
    const kept = await shedsBefore();
    expect(kept).toHaveLength(1);
    expect(kept[0].id).not.toBe(before.id);
    await letShedGo(kept[0].id);
    expect(await shedsBefore()).toEqual([]);
  });

  it('stays where it is when there is no room to keep it', async () => {
    const old = read((await makeBackup()).zip);
    addBoard(model, null);
    await settle();
    const was = await db.boards.toArray();
    full('before');
    await expect(replaceAll(old, 'old.zip')).rejects.toThrow();
    expect(await db.boards.toArray()).toEqual(was);
  });
});
