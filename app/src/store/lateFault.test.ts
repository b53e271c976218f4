// Faults after the write and not before it: a put that succeeds in a transaction that is not committed, as on a full disk.
import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import fc from 'fast-check';
import { modelNamed } from '@june-tide/core/models';
import { type BoardRecord, boardRecordSchema, unstored } from '@june-tide/core/record';
import { onDisk } from '../testing/onDisk.ts';
import { db } from './db.ts';
import { queue } from './shedState.ts';
import { addBoard, edit, editBoard, loadShed, undo, useShed } from './shed.ts';

/** What becomes of the next puts, the first first; those after the last succeed. */
let fates: ('taken' | 'put fails' | 'commit fails')[] = [];
const put = IDBObjectStore.prototype.put;
beforeEach(async () => {
  fates = [];
  jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (this: IDBObjectStore, value: unknown) {
    const fate = this.name === 'boards' ? fates.shift() : undefined;
    if (fate === 'put fails') throw new DOMException('no room', 'QuotaExceededError');
    const request = put.call(this, value);
    if (fate === 'commit fails') request.addEventListener('success', () => this.transaction.abort());
    return request;
  });
  await onDisk(queue);
  await Promise.all([db.boards.clear(), db.riders.clear(), db.settings.clear(), db.blanks.clear()]);
  await loadShed();
  await onDisk(queue);
});
afterEach(() => {
  jest.restoreAllMocks();
});

const shown = (id: string) => useShed.getState().records[id];
const widen = (id: string, width_mm: number) =>
  editBoard(id, 'width', (b) => ({ ...b, outline: { ...b.outline, width_mm } }));
const thicken = (id: string, thickness_mm: number) =>
  editBoard(id, 'thickness', (b) => ({ ...b, foil: { ...b.foil, thickness_mm } }));
const renumber = (id: string, number: number) => edit(id, 'number', (record) => ({ ...record, number }));
const numbersOf = ({ board, number }: BoardRecord) => [board.outline.width_mm, board.foil.thickness_mm, number];
/** As it lies, but for its card. */
const lying = async (id: string) => {
  const { card: _card, ...record } = boardRecordSchema.parse(unstored((await db.boards.get(id))!));
  return record;
};
const turn = () => new Promise((done) => setTimeout(done, 2));

/** Waits until a write has failed or all are done; a failed one is tried again with the next change, or in three seconds. */
async function settled(): Promise<void> {
  while (useShed.getState().save.kind === 'saving') await turn();
}

describe('a commit that fails', () => {
  it('leaves the change where it was made, says so, and the next write has both', async () => {
    const id = addBoard(modelNamed('Slack Water')!, null);
    await settled();
    fates = ['commit fails'];
    widen(id, 527);
    await settled();
    expect(useShed.getState().save.kind).toBe('failed');
    expect((await lying(id)).board.outline.width_mm).not.toBe(527);
    expect(shown(id).board.outline.width_mm).toBe(527);
    thicken(id, 66);
    await settled();
    expect(useShed.getState().save.kind).toBe('saved');
    const { board } = await lying(id);
    expect([board.outline.width_mm, board.foil.thickness_mm]).toEqual([527, 66]);
    expect([shown(id).board.outline.width_mm, shown(id).board.foil.thickness_mm]).toEqual([527, 66]);
  });

  it('as any other fault, in any order with changes and steps back: what is said to be saved is what lies on disk', async () => {
    const fate = fc.constantFrom('taken' as const, 'put fails' as const, 'commit fails' as const);
    const change = fc.oneof(
      fc.record({ what: fc.constant('width' as const), to: fc.integer({ min: 470, max: 560 }) }),
      fc.record({ what: fc.constant('thickness' as const), to: fc.integer({ min: 55, max: 70 }) }),
      fc.record({ what: fc.constant('number' as const), to: fc.integer({ min: 20, max: 900 }) }),
      fc.record({ what: fc.constant('undo' as const), to: fc.constant(0) }),
    );
    const done = { width: widen, thickness: thicken, number: renumber, undo };
    const steps = fc.array(fc.record({ change, fate, waits: fc.boolean() }), { minLength: 1, maxLength: 8 });
    await fc.assert(
      fc.asyncProperty(steps, async (sequence) => {
        const id = addBoard(modelNamed('Kettle')!, null);
        await settled();
        for (const { change: next, fate: coming, waits } of sequence) {
          fates = [coming];
          done[next.what](id, next.to);
          const asked = numbersOf(shown(id));
          if (!waits) continue;
          await settled();
          expect(numbersOf(shown(id))).toEqual(asked);
          if (useShed.getState().save.kind === 'saved') expect(await lying(id)).toEqual(shown(id));
        }
        fates = [];
        widen(id, 480 + sequence.length / 8);
        const last = numbersOf(shown(id));
        await settled();
        expect(useShed.getState().save.kind).toBe('saved');
        expect(await lying(id)).toEqual(shown(id));
        expect(numbersOf(shown(id))).toEqual(last);
      }),
      { seed: 38, numRuns: 60 },
    );
  });
});
