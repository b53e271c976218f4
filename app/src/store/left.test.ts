// A page that is left before its last save: what was left behind is there at the next opening, and never over what came later.
import { beforeEach, describe, expect, it } from '@jest/globals';
import 'fake-indexeddb/auto';
import { modelNamed } from '@june-tide/core/models';
import { onDisk } from '../testing/onDisk.ts';
import { db } from './db.ts';
import { keepLeft } from './left.ts';
import { queue } from './shedState.ts';
import { addBoard, editBoard, loadShed, throwAway, removeBoard, useShed } from './shed.ts';

const settle = () => onDisk(queue);
const model = modelNamed('Slack Water')!;
const PLACE = 'june-tide:left';
const widthOf = (id: string) => useShed.getState().records[id]?.board.outline.width_mm;
const widen = (id: string, width_mm: number) =>
  editBoard(id, 'width', (board) => ({ ...board, outline: { ...board.outline, width_mm } }));

beforeEach(async () => {
  await settle();
  window.localStorage.clear();
  await Promise.all([db.boards, db.riders, db.settings, db.blanks, db.checked].map((table) => table.clear()));
  useShed.setState({ histories: {}, records: {}, bin: {} });
  await loadShed();
  await settle();
});

/** The page goes now: what is left behind, with the disk as it was then. */
async function leaveNow(id: string): Promise<void> {
  const before = db.boards.get(id);
  keepLeft();
  const row = await before;
  await settle();
  if (row) await db.boards.put(row);
  else await db.boards.delete(id);
}

describe('a page that is left before its last save', () => {
  it('leaves nothing behind once everything is on disk', async () => {
    const id = addBoard(model, null);
    await settle();
    keepLeft();
    expect(window.localStorage.getItem(PLACE)).toBeNull();
    expect(widthOf(id)).toBe(model.outline.width_mm);
  });

  it('finds its last change at the next opening, and only once', async () => {
    const id = addBoard(model, null);
    await settle();
    widen(id, 511);
    await leaveNow(id);
    expect((await db.boards.get(id))?.board.outline.width_mm).toBe(model.outline.width_mm);
    await loadShed();
    expect(widthOf(id)).toBe(511);
    await settle();
    expect((await db.boards.get(id))?.board.outline.width_mm).toBe(511);
    expect(window.localStorage.getItem(PLACE)).toBeNull();
  });

  it('finds a board that was never on disk', async () => {
    const id = addBoard({ ...model, name: 'Never Saved' }, null);
    await leaveNow(id);
    await loadShed();
    expect(useShed.getState().records[id]?.board.name).toBe('Never Saved');
  });

  it('is let go where it was saved after all', async () => {
    const id = addBoard(model, null);
    await settle();
    widen(id, 511);
    keepLeft();
    await settle();
    const row = (await db.boards.get(id))!;
    await loadShed();
    expect(await db.boards.get(id)).toEqual(row);
    expect(window.localStorage.getItem(PLACE)).toBeNull();
  });

  it('is merged with what another window saved of the same board meanwhile', async () => {
    const id = addBoard(model, null);
    await settle();
    const row = (await db.boards.get(id))!;
    widen(id, 511);
    await leaveNow(id);
    const later = '2026-12-24T09:00:00.000123456Z';
    await db.boards.put({ ...row, board: { ...row.board, notes: 'by another window' }, updatedAt: later });
    await loadShed();
    expect(widthOf(id)).toBe(511);
    expect(useShed.getState().records[id].board.notes).toBe('by another window');
  });

  it('keeps both where another window changed the same number: one as it is, one as a version', async () => {
    const id = addBoard(model, null);
    await settle();
    const row = (await db.boards.get(id))!;
    widen(id, 511);
    await leaveNow(id);
    const outline = { ...row.board.outline, width_mm: 522 };
    await db.boards.put({ ...row, board: { ...row.board, outline }, updatedAt: '2026-12-24T09:00:00.000123456Z' });
    await loadShed();
    const { board, versions = [] } = useShed.getState().records[id];
    expect([board, ...versions.map((version) => version.board)].map((each) => each.outline.width_mm).sort()).toEqual([
      511, 522,
    ]);
  });

  it('leaves a board thrown away since where it is, and passes over what is no board', async () => {
    const id = addBoard(model, null);
    await settle();
    widen(id, 511);
    keepLeft();
    await settle();
    removeBoard(id);
    throwAway(id);
    await settle();
    await loadShed();
    expect(widthOf(id)).toBeUndefined();
    for (const spoilt of ['{', '7', '[7,null,{"row":{"id":"x"}}]']) {
      window.localStorage.setItem(PLACE, spoilt);
      await loadShed();
      expect(useShed.getState().status).toBe('ready');
      expect(useShed.getState().records.x).toBeUndefined();
    }
  });
});
