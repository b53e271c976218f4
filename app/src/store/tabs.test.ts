import { beforeAll, beforeEach, describe, expect, it } from '@jest/globals';
import 'fake-indexeddb/auto';
import type * as Db from './db.ts';
import { eventually, onDisk } from '../testing/onDisk.ts';
import type * as Shed from './shed.ts';
import type * as State from './shedState.ts';
import { type Blank, usualShelf } from '@june-tide/core/make';
import { modelNamed } from '@june-tide/core/models';
import { stored } from '@june-tide/core/record';

/** What this tab says to the others, and how others are heard: in the place of the browser's channel. */
const said: { kind: string; [key: string]: unknown }[] = [];
let hear: (data: unknown) => void = () => undefined;
class OtherTabs {
  addEventListener(_type: string, take: (event: { data: unknown }) => void) {
    hear = (data) => take({ data: structuredClone(data) });
  }
  postMessage(data: { kind?: string }) {
    // The database tells its own changes on a channel of its own: they are none of ours.
    if (data.kind !== undefined) said.push(structuredClone({ ...data, kind: data.kind }));
  }
}
Object.assign(globalThis, { BroadcastChannel: OtherTabs });

/** After anything a test does. */
const LATER = '2099-01-01T00:00:00.000Z';

let shed: typeof Shed;
let db: typeof Db.db;
let queue: typeof State.queue;
const settle = () => onDisk(queue);
const state = () => shed.useShed.getState();

beforeAll(async () => {
  shed = await import('./shed.ts');
  ({ db } = await import('./db.ts'));
  ({ queue } = await import('./shedState.ts'));
});
beforeEach(async () => {
  await settle();
  await Promise.all([db.boards, db.riders, db.settings, db.blanks].map((table) => table.clear()));
  await shed.loadShed();
  await settle();
  said.length = 0;
});

describe('what one tab does', () => {
  it('is told to the others once it is on disk', async () => {
    const id = shed.addBoard(modelNamed('Slack Water')!, 'maren');
    shed.removeRider('kit');
    shed.keepRider({ ...state().riders.maren, age: 35 });
    shed.changeWorkshop({ people: 4 });
    shed.changeShelf({ gone: ['shelf-6-0-pu'] });
    await settle();
    const rows = (table: string, ...ids: string[]) => ({ kind: 'rows', table, ids });
    const told = [
      rows('boards', id),
      rows('riders', 'kit', 'maren'),
      rows('settings', 'shop'),
      rows('blanks', 'shelf-6-0-pu'),
    ];
    expect(said).toHaveLength(4);
    expect(said).toEqual(expect.arrayContaining(told));
    shed.removeBoard(id);
    await settle();
    shed.throwAway(id);
    await settle();
    expect(said.at(-1)).toEqual(rows('boards', id));
  });

  it('is heard: a rider taken off, a blank added and one taken off, a board put in the bin, stages', async () => {
    const extra: Blank = { ...usualShelf()[0], id: 'theirs' };
    const [record] = Object.values(state().records);
    const { settings } = state();
    await db.riders.delete('maren');
    await db.blanks.put(extra);
    await db.blanks.delete('shelf-6-0-pu');
    await db.boards.put(stored({ ...record, binnedAt: '2026-11-25T10:00:00.000Z', updatedAt: LATER }));
    await db.settings.put({ ...settings, workshop: { ...settings.workshop, people: 7 } });
    hear({ kind: 'rows', table: 'riders', ids: ['maren'] });
    hear({ kind: 'rows', table: 'blanks', ids: ['theirs', 'shelf-6-0-pu'] });
    hear({ kind: 'rows', table: 'boards', ids: [record.id] });
    hear({ kind: 'rows', table: 'settings', ids: ['shop'] });
    await eventually(() => {
      expect(state().riders.maren).toBeUndefined();
      expect(state().shelf.map(({ id }) => id)).toContain('theirs');
      expect(state().shelf.map(({ id }) => id)).not.toContain('shelf-6-0-pu');
      expect(state().records[record.id]).toBeUndefined();
      expect(state().bin[record.id]).toBeDefined();
      expect(state().settings.workshop.people).toBe(7);
    });
  });

  it('is passed over when it cannot be read', () => {
    const before = state();
    for (const junk of [
      null,
      7,
      'x',
      {},
      { kind: 'rows' },
      { kind: 'rows', table: 'tides', ids: ['x'] },
      { kind: 'rows', table: 'boards', ids: [7] },
      { kind: 'tide' },
    ]) {
      hear(junk);
    }
    expect(state()).toBe(before);
  });

  it('brings a board of another tab in as a step that can be undone', async () => {
    const id = shed.addBoard(modelNamed('Slack Water')!, null);
    const record = state().records[id];
    const { board } = record;
    const theirs = { ...board, outline: { ...board.outline, width_mm: 511 } };
    await settle();
    await db.boards.put(stored({ ...record, updatedAt: LATER, board: theirs }));
    hear({ kind: 'rows', table: 'boards', ids: [id] });
    await eventually(() => expect(state().records[id].board.outline.width_mm).toBe(511));
    shed.undo(id);
    expect(state().records[id].board.outline.width_mm).toBe(board.outline.width_mm);
  });
});

describe('two tabs that each add a blank', () => {
  it('lose neither: only the rows that changed are written', async () => {
    const [ours, theirs] = ['ours', 'theirs'].map((id): Blank => ({ ...usualShelf()[0], id }));
    // The other tab wrote its blank, and its word of it has not come yet.
    await db.blanks.put(theirs);
    shed.changeShelf({ put: [ours] });
    await settle();
    expect((await db.blanks.toArray()).map(({ id }) => id)).toEqual(expect.arrayContaining(['ours', 'theirs']));
  });
});

describe('a window whose browser has no channel to the others', () => {
  it('finds what they wrote when it is looked at: changed, added, gone', async () => {
    const id = shed.addBoard(modelNamed('Slack Water')!, null);
    const gone = shed.addBoard(modelNamed('Kettle')!, null);
    await settle();
    const record = state().records[id];
    await db.boards.put(stored({ ...record, colours: 'rust', updatedAt: LATER }));
    await db.boards.put(stored({ ...record, id: 'theirs', updatedAt: LATER }));
    await db.boards.delete(gone);
    await db.riders.put({ ...state().riders.maren, age: 61 });
    window.dispatchEvent(new Event('focus'));
    await eventually(() => {
      expect(state().records[id].colours).toBe('rust');
      expect(state().records.theirs).toBeDefined();
      expect(state().records[gone]).toBeUndefined();
      expect(state().riders.maren.age).toBe(61);
    });
  });
});
