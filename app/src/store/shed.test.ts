import { beforeEach, describe, expect, it } from '@jest/globals';
import { modelNamed } from '@june-tide/core/models';
import { boardRecordSchema, unstored } from '@june-tide/core/record';
import { onDisk } from '../testing/onDisk.ts';
import { db } from './db.ts';
import { queue } from './shedState.ts';
import { today } from './today.ts';
import {
  addBoard,
  changeWorkshop,
  edit,
  editBoard,
  handedOver,
  loadShed,
  offTheLine,
  redo,
  removeBoard,
  toStage,
  undo,
  useShed,
} from './shed.ts';

const settle = () => onDisk(queue);
const model = modelNamed('Slack Water')!;
const widthOf = (id: string) => useShed.getState().records[id].board.outline.width_mm;
const widen = (id: string, width_mm: number) =>
  editBoard(id, `width ${width_mm}`, (b) => ({ ...b, outline: { ...b.outline, width_mm } }));

beforeEach(async () => {
  await settle();
  await Promise.all([db.boards.clear(), db.riders.clear(), db.settings.clear(), db.blanks.clear()]);
  await loadShed();
  await settle();
});

describe('the shed', () => {
  it('has demo boards and riders when it is new, all of them valid', async () => {
    const { records, riders, status } = useShed.getState();
    expect(status).toBe('ready');
    expect(Object.keys(riders).length).toBeGreaterThanOrEqual(6);
    expect(new Set(Object.values(records).map((r) => r.board.family)).size).toBe(6);
    for (const record of await db.boards.toArray())
      expect(boardRecordSchema.safeParse(unstored(record)).success).toBe(true);
  });

  it('finds every board as it was after closing and opening', async () => {
    const id = addBoard(model, 'maren');
    widen(id, 500);
    await settle();
    useShed.setState({ records: {}, status: 'loading' });
    await loadShed();
    expect(widthOf(id)).toBe(500);
    expect(useShed.getState().records[id].riderId).toBe('maren');
  });

  it('undoes and redoes by name, and keeps what it undid on disk', async () => {
    const id = addBoard(model, null);
    widen(id, 500);
    widen(id, 505);
    expect(useShed.getState().histories[id].past.map((s) => s.name)).toEqual(['width 500', 'width 505']);
    undo(id);
    expect(widthOf(id)).toBe(500);
    redo(id);
    expect(widthOf(id)).toBe(505);
    undo(id);
    undo(id);
    undo(id);
    await settle();
    expect((await db.boards.get(id))?.board.outline.width_mm).toBe(model.outline.width_mm);
  });

  it('refuses a board that could not be built, and changes nothing', () => {
    const id = addBoard(model, null);
    const result = widen(id, 100);
    expect(result.ok).toBe(false);
    expect(widthOf(id)).toBe(model.outline.width_mm);
    expect(useShed.getState().histories[id]).toBeUndefined();
  });

  it('takes a board off and puts it back', async () => {
    const id = addBoard(model, null);
    const back = removeBoard(id);
    await settle();
    expect(useShed.getState().records[id]).toBeUndefined();
    expect((await db.boards.get(id))?.binnedAt).toBeDefined();
    back();
    await settle();
    expect(useShed.getState().records[id]).toBeDefined();
    expect((await db.boards.get(id))?.binnedAt).toBeUndefined();
  });

  it('leaves a record that it cannot read where it is, and counts it', async () => {
    await db.boards.put({ id: 'odd', number: 1 } as never);
    await loadShed();
    expect(useShed.getState().spoilt.map(({ table }) => table)).toEqual(['boards']);
    expect(await db.boards.get('odd')).toBeDefined();
  });

  it('answers an edit of a board that is gone', () => {
    expect(edit('nobody', 'x', (r) => r)).toMatchObject({ ok: false });
  });

  it('numbers boards of one name in order', () => {
    const first = addBoard(model, null);
    const second = addBoard(model, null);
    const { records } = useShed.getState();
    expect(records[second].number).toBe(records[first].number + 1);
  });
});

describe('the line', () => {
  const shape = { id: 'shape', name: 'Shape' };
  const orderOf = (id: string) => useShed.getState().records[id].order;

  it('takes a board on, along and off, each a step that can be undone', () => {
    const id = addBoard(model, 'maren');
    expect(orderOf(id)).toBeUndefined();
    toStage(id, shape);
    expect(orderOf(id)).toMatchObject({ stage: 'shape' });
    toStage(id, { id: 'glass', name: 'Glass' });
    expect(useShed.getState().histories[id].past.map((s) => s.name)).toEqual(['to Shape', 'to Glass']);
    undo(id);
    expect(orderOf(id)).toMatchObject({ stage: 'shape' });
    handedOver(id);
    expect(orderOf(id)?.doneOn).toMatch(/^\d{4}-\d{2}-\d{2}$/);
    // A board that came back is on the line again.
    toStage(id, shape);
    expect(orderOf(id)?.doneOn).toBeUndefined();
    offTheLine(id);
    expect(orderOf(id)).toBeUndefined();
  });

  it('makes no step of putting a board where it is', () => {
    const id = addBoard(model, null);
    toStage(id, shape);
    toStage(id, shape);
    expect(useShed.getState().histories[id].past).toHaveLength(1);
  });

  it('has demo orders that are due after today', () => {
    const due = Object.values(useShed.getState().records).flatMap(({ order, brief }) =>
      order && order.doneOn === undefined ? [brief?.dueOn] : [],
    );
    expect(due.length).toBeGreaterThanOrEqual(3);
    for (const day of due) expect(day! > today()).toBe(true);
  });
});

describe('the workshop', () => {
  it('is kept and found again; what was spoilt on disk is usual again', async () => {
    changeWorkshop({ people: 3 });
    await settle();
    await loadShed();
    expect(useShed.getState().settings.workshop.people).toBe(3);
    const kept = await db.settings.get('shop');
    await db.settings.put({ ...kept!, workshop: { ...kept!.workshop, stages: 'none' } as never });
    await loadShed();
    expect(useShed.getState().settings.workshop.people).toBe(3);
    expect(useShed.getState().settings.workshop.stages).toHaveLength(8);
  });

  it('is the usual one where an older shed has none', async () => {
    const kept = await db.settings.get('shop');
    const { workshop: _none, ...older } = kept!;
    await db.settings.put(older as never);
    await loadShed();
    expect(useShed.getState().settings.workshop.stages.map(({ name }) => name)).toContain('Glass');
  });
});
