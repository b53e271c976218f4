// What a newer app wrote, what is spoilt, and the whole shed in a back-up: nothing of it is lost.
import { beforeEach, describe, expect, it } from '@jest/globals';
import 'fake-indexeddb/auto';
import { readBackup, restorePlan } from '@june-tide/core/files/packages';
import { modelNamed } from '@june-tide/core/models';
import { onDisk } from '../testing/onDisk.ts';
import { db } from './db.ts';
import { queue } from './shedState.ts';
import {
  addBoard,
  backupDue,
  bringBack,
  changeShelf,
  daysSince,
  edit,
  editBoard,
  gatherRows,
  keepRider,
  loadShed,
  makeBackup,
  mendRow,
  putAside,
  recallSteps,
  redo,
  removeBoard,
  replaceAll,
  rowsAside,
  throwAsideAway,
  undo,
  useShed,
} from './shed.ts';

const settle = () => onDisk(queue);
const model = modelNamed('Slack Water')!;
const state = () => useShed.getState();

beforeEach(async () => {
  await settle();
  const tables = [db.boards, db.riders, db.settings, db.blanks, db.checked, db.photos, db.aside];
  await Promise.all(tables.map((table) => table.clear()));
  await loadShed();
  await settle();
});

describe('a board that a newer app wrote', () => {
  it('is shown without what is not known, is not changed, and stays as it lies', async () => {
    const id = addBoard(model, null);
    await settle();
    const row = (await db.boards.get(id))!;
    const newer = { ...row, tide: 7, board: { ...row.board, version: 3, chine: { deep: true } } };
    await db.boards.put(newer as never);
    await db.checked.clear();
    await loadShed();
    expect(state().records[id].board).toEqual(model);
    expect(state().newer.has(id)).toBe(true);
    const answer = editBoard(id, 'name', (b) => ({ ...b, name: 'Other' }));
    expect(answer.ok ? '' : answer.issues[0].words).toMatch(/a newer June Tide wrote this board/);
    removeBoard(id);
    await settle();
    expect(state().records[id]).toBeDefined();
    expect(await db.boards.get(id)).toEqual(newer);
  });

  it('a card and a blank of a newer app can be changed, and keep what is not known here', async () => {
    const rider = (await db.riders.get('maren'))!;
    await db.riders.put({ ...rider, tide: 7 } as never);
    const [blank] = await db.blanks.toArray();
    await db.blanks.put({ ...blank, tide: 8 } as never);
    await loadShed();
    expect(keepRider({ ...state().riders.maren, age: 44 }).ok).toBe(true);
    changeShelf({ put: [{ ...blank, stock: 9 }] });
    await settle();
    expect(await db.riders.get('maren')).toMatchObject({ tide: 7, age: 44 });
    expect(await db.blanks.get(blank.id)).toMatchObject({ tide: 8, stock: 9 });
  });
});

describe('what is spoilt', () => {
  const spoilt = async () => {
    const id = addBoard(model, null);
    await settle();
    const row = (await db.boards.get(id))!;
    const bad = { ...row, board: { ...row.board, foil: { ...row.board.foil, thickness_mm: 'thick' } } };
    await db.boards.put(bad as never);
    await db.checked.clear();
    await loadShed();
    const [found] = state().spoilt;
    expect([found.id, found.why]).toEqual([id, 'board foil thickness_mm: must be a number']);
    return { id, bad, found };
  };

  it('is mended as far as it can be understood: all its other numbers are its own, and it is put aside as it was', async () => {
    const { id, bad, found } = await spoilt();
    expect(await mendRow(found)).toEqual({ ok: true });
    const { board } = state().records[id];
    expect({ ...board, foil: { ...board.foil, thickness_mm: model.foil.thickness_mm } }).toEqual(model);
    expect(state().spoilt).toEqual([]);
    expect((await rowsAside()).map(({ row }) => row)).toEqual([bad]);
    await db.checked.clear();
    await loadShed();
    expect(state().records[id].board).toEqual(board);
  });

  it('is put aside: out of its table, kept as it lies, and thrown away when that is wanted', async () => {
    const { id, bad, found } = await spoilt();
    await putAside(found);
    expect(await db.boards.get(id)).toBeUndefined();
    const [aside] = (await rowsAside()).filter(({ id: key }) => key === `boards:${id}`);
    expect(aside.row).toEqual(bad);
    await throwAsideAway(aside.id);
    expect((await rowsAside()).map(({ id: key }) => key)).not.toContain(aside.id);
  });

  it('of which nothing can be understood is refused and lies as it was', async () => {
    await db.blanks.put({ id: 'odd', name: 7 } as never);
    await db.boards.put({ id: 'odd', board: { family: 'gun', outline: { width_mm: -1e9 } }, number: {} } as never);
    await loadShed();
    for (const found of state().spoilt) {
      const done = await mendRow(found);
      if (!done.ok) expect(done.issues[0].words).toMatch(/too little of it/);
    }
    expect(state().spoilt.every(({ row }) => row !== undefined)).toBe(true);
  });
});

describe('a back-up of the shed', () => {
  it('has everything, and brings it back to the last byte when all is replaced by it', async () => {
    const id = addBoard(model, 'maren');
    edit(id, 'colours', (record) => ({ ...record, colours: 'sea green' }));
    await settle();
    const before = { boards: await db.boards.toArray(), riders: await db.riders.toArray() };
    const read = readBackup((await makeBackup()).zip);
    if (!read.ok) throw new Error(read.reason);
    edit(id, 'colours', (record) => ({ ...record, colours: 'rust' }));
    addBoard(model, null);
    await settle();
    await replaceAll(read.rows, 'skarn.zip');
    expect(await db.boards.toArray()).toEqual(before.boards);
    expect(await db.riders.toArray()).toEqual(before.riders);
    expect(state().records[id].colours).toBe('sea green');
  });

  it('brings in what is chosen and leaves the rest; one that cannot be written changes nothing', async () => {
    const [one, two] = [addBoard(model, null), addBoard(model, null)];
    await settle();
    const read = readBackup((await makeBackup()).zip);
    if (!read.ok) throw new Error(read.reason);
    for (const id of [one, two]) edit(id, 'colours', (record) => ({ ...record, colours: 'rust' }));
    await settle();
    const plan = restorePlan(await gatherRows(), read.rows);
    expect(plan.filter(({ fate }) => fate !== 'same').map(({ id, fate }) => [id, fate])).toEqual(
      [one, two].sort().map((id) => [id, 'older']),
    );
    const row = plan.find(({ id }) => id === one)!;
    const bad = plan.find(({ id }) => id === two)!;
    // A picture without an id the store refuses: nothing of it may be written.
    const spoiltPhoto = [{ boardId: one, jpeg: Uint8Array.of(1) }] as never;
    await expect(bringBack(plan, new Map([[row, 'take']]), spoiltPhoto)).rejects.toThrow();
    expect((await db.boards.get(one))?.colours).toBe('rust');
    expect(await bringBack(plan, new Map([[row, 'take']]), [])).toBe(1);
    expect(state().records[one].colours).toBeUndefined();
    expect(state().records[two].colours).toBe('rust');
    expect(bad.choices).toEqual(['keep', 'both', 'take']);
  });

  it('is due after its days, of a new shed when something was changed, and never where it is made by hand', () => {
    const now = Date.parse('2026-03-10T12:00:00Z');
    const last = (at: string | undefined, every_days = 7) => ({
      id: 'backup' as const,
      every_days,
      ...(at ? { at } : {}),
    });
    expect(backupDue(last('2026-03-03T12:00:00Z'), now, true)).toBe(true);
    expect(backupDue(last('2026-03-03T12:00:01Z'), now, true)).toBe(false);
    expect(backupDue(last(undefined), now, false)).toBe(false);
    expect(backupDue(last(undefined), now, true)).toBe(true);
    expect(backupDue(last('2020-01-01T00:00:00Z', 0), now, true)).toBe(false);
    expect(daysSince(last('2027-01-01T00:00:00Z'), now)).toBe(0);
  });
});

describe('steps back after a reload', () => {
  it('are there, two hundred at most; of a board that was changed elsewhere meanwhile there are none', async () => {
    const id = addBoard(model, null);
    for (const [k, colours] of ['sea', 'rust', 'bone'].entries()) {
      edit(id, `coat ${k}`, (record) => ({ ...record, colours }));
      await settle();
    }
    undo(id);
    await settle();
    useShed.setState({ histories: {} });
    await loadShed();
    await recallSteps(id);
    undo(id);
    expect(state().records[id].colours).toBe('sea');
    redo(id);
    redo(id);
    expect(state().records[id].colours).toBe('bone');
    undo(id);
    undo(id);
    undo(id);
    expect(state().records[id].colours).toBeUndefined();
    await settle();
    const row = (await db.boards.get(id))!;
    await db.boards.put({ ...row, colours: 'elsewhere', updatedAt: '2098-01-01T00:00:00.000Z' });
    useShed.setState({ histories: {} });
    await loadShed();
    await recallSteps(id);
    expect(state().histories[id]).toBeUndefined();
  });
});
