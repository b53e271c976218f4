// A store with no room: the shed opens all the same, with everything in it, and what is done is kept in memory until there is room.
import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { modelNamed } from '@june-tide/core/models';
import { onDisk } from '../testing/onDisk.ts';
import type * as Db from './db.ts';
import type * as Left from './left.ts';
import type * as State from './shedState.ts';
import type * as Shed from './shed.ts';

/** A page: its modules are its own, the browser's store is one. */
type Page = typeof Shed & { db: typeof Db.db; queue: typeof State.queue; keepLeft: typeof Left.keepLeft };
let page: Page;
/** The page is gone, and with it all that waits to be tried again. */
const gone = () => (page as Page | undefined)?.queue['waiting'].clear();
async function newPage(): Promise<void> {
  gone();
  jest.resetModules();
  const shed = await import('./shed.ts');
  const { db } = await import('./db.ts');
  const { queue } = await import('./shedState.ts');
  const { keepLeft } = await import('./left.ts');
  page = { ...shed, db, queue, keepLeft };
}

const settle = () => onDisk(page.queue);
const model = modelNamed('Slack Water')!;
const state = () => page.useShed.getState();

let isFull = false;
const put = IDBObjectStore.prototype.put;
beforeEach(async () => {
  isFull = false;
  jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (this: IDBObjectStore, value: unknown) {
    if (isFull) throw new DOMException('no room', 'QuotaExceededError');
    return put.call(this, value);
  });
  window.localStorage.clear();
  await newPage();
  await page.db.open();
  for (const table of page.db.tables) await table.clear();
});
afterEach(() => {
  gone();
  jest.restoreAllMocks();
});

/** Something is changed, which is written now that there is room. */
async function roomAgain(): Promise<void> {
  isFull = false;
  page.queue.put('room', () => Promise.resolve());
  await settle();
  expect(state().save.kind).toBe('saved');
}

describe('a full store', () => {
  it('opens a new shed with the demo in memory, says it is not saved, and writes it when there is room', async () => {
    isFull = true;
    await page.loadShed();
    await settle();
    expect(state().status).toBe('ready');
    expect(Object.keys(state().records).length).toBeGreaterThan(4);
    expect(state().save).toEqual({ kind: 'failed', reason: expect.stringMatching(/store is full/) });
    expect((await page.makeBackup()).boards).toBe(Object.keys(state().records).length);
    expect(await page.db.boards.count()).toBe(0);
    await roomAgain();
    expect(await page.db.boards.count()).toBe(Object.keys(state().records).length);
    expect(await page.db.riders.count()).toBe(Object.keys(state().riders).length);
    expect(await page.db.settings.count()).toBe(1);
  });

  it('opens with what a page left unwritten, in every table, and writes it when there is room', async () => {
    await page.loadShed();
    const id = page.addBoard(model, null);
    await settle();
    isFull = true;
    page.editBoard(id, 'width', (board) => ({ ...board, outline: { ...board.outline, width_mm: 511 } }));
    page.keepRider({ ...state().riders.maren, age: 61 });
    page.removeRider('kit');
    page.changeShelf({ put: [{ ...state().shelf[0], id: 'fresh' }] });
    await settle();
    page.keepLeft();
    // The page is gone; the next one opens.
    await newPage();
    await page.loadShed();
    await settle();
    const isThere = () => {
      expect(state().status).toBe('ready');
      expect(state().records[id].board.outline.width_mm).toBe(511);
      expect(state().riders.maren.age).toBe(61);
      expect(state().riders.kit).toBeUndefined();
      expect(state().shelf.map((blank) => blank.id)).toContain('fresh');
    };
    isThere();
    expect(state().save.kind).toBe('failed');
    expect(window.localStorage.getItem('june-tide:left')).not.toBeNull();
    await roomAgain();
    await newPage();
    await page.loadShed();
    isThere();
    expect(window.localStorage.getItem('june-tide:left')).toBeNull();
    expect(await page.db.riders.get('kit')).toBeUndefined();
    expect(await page.db.blanks.get('fresh')).toBeDefined();
  });
});

describe('a shed that is read anew, as when another window brought a back-up in', () => {
  it('keeps what was changed here and is not written', async () => {
    await page.loadShed();
    const id = page.addBoard(model, null);
    await settle();
    isFull = true;
    page.editBoard(id, 'width', (board) => ({ ...board, outline: { ...board.outline, width_mm: 511 } }));
    await settle();
    await page.loadShed();
    expect(state().records[id].board.outline.width_mm).toBe(511);
    await roomAgain();
    expect((await page.db.boards.get(id))?.board.outline.width_mm).toBe(511);
  });
});

describe('a store that cannot be brought up to date', () => {
  it('is read as it lies, can be backed up, and is brought up to date when there is room', async () => {
    await page.loadShed();
    const id = page.addBoard(model, null);
    await settle();
    const refuses = jest
      .spyOn(page.db, 'open')
      .mockImplementation(() => Dexie.Promise.reject(new DOMException('no room', 'QuotaExceededError')) as never);
    page.db.close();
    await page.loadShed();
    await settle();
    expect(state().status).toBe('ready');
    expect(state().records[id]).toBeDefined();
    expect(state().save).toEqual({ kind: 'failed', reason: expect.stringMatching(/store is full/) });
    expect((await page.makeBackup()).boards).toBe(Object.keys(state().records).length);
    page.editBoard(id, 'width', (board) => ({ ...board, outline: { ...board.outline, width_mm: 512 } }));
    await settle();
    expect(state().save.kind).toBe('failed');
    refuses.mockRestore();
    await roomAgain();
    expect((await page.db.boards.get(id))?.board.outline.width_mm).toBe(512);
  });
});
