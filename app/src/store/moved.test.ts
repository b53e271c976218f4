import 'fake-indexeddb/auto';
import { describe, expect, it } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { boardRecordFrom, type BoardRecord, rowUnpacked } from '@june-tide/core/record';
import { db } from './db.ts';
import { loadShed } from './opening.ts';
import { useShed } from './shedState.ts';

const fixture = (name: string) =>
  JSON.parse(
    readFileSync(new URL(`../../../core/src/record/fixtures/${name}.json`, import.meta.url), 'utf8'),
  ) as BoardRecord;

/** A store as an older app left it: `version` is Dexie's, times ten in the browser. */
const leftBy = (version: number, rows: readonly object[]) =>
  new Promise<void>((done, fail) => {
    const opening = indexedDB.open('june-tide', version * 10);
    opening.onupgradeneeded = () => {
      for (const name of ['riders', 'settings', 'blanks', 'checked', 'aside', 'keeping', 'steps'])
        opening.result.createObjectStore(name, { keyPath: 'id' });
      opening.result.createObjectStore('photos', { keyPath: 'id' }).createIndex('boardId', 'boardId');
      const boards = opening.result.createObjectStore('boards', { keyPath: 'id' });
      boards.createIndex('updatedAt', 'updatedAt');
      for (const row of rows) boards.put(row);
    };
    opening.onerror = () => fail(new Error('store'));
    opening.onsuccess = () => {
      opening.result.close();
      done();
    };
  });

describe('a shed of the version in which versions were text and rides a list', () => {
  it('is packed when it is opened, and reads as it did; what cannot be read is named', async () => {
    const text = fixture('record-with-versions-as-text');
    const whole = fixture('record-with-whole-versions');
    const spoilt = { id: 'odd', number: 'none', rides: 7, past: '[' };
    await leftBy(6, [text, whole, spoilt]);
    await loadShed();
    const { records, spoilt: unread } = useShed.getState();
    for (const before of [text, whole]) expect({ ...records[before.id] }).toEqual(boardRecordFrom(rowUnpacked(before)));
    expect(Object.keys(records)).toHaveLength(2);
    expect(unread.map(({ id }) => id)).toEqual(['odd']);
    expect(db.verno).toBe(8);
    const rows = (await db.boards.toArray()) as { id: string; past?: string; rode?: string }[];
    const packed = rows.find(({ id }) => id === text.id)!;
    expect([packed.past?.[0], packed.rode?.[0]]).toEqual(['z', 'z']);
    expect(packed).not.toHaveProperty('rides');
  });
});
