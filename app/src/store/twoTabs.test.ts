// Two windows on one store: the browser's database is one, the modules are each window's own, and they hear one another.
import { beforeAll, beforeEach, describe, expect, it, jest } from '@jest/globals';
import 'fake-indexeddb/auto';
import type * as Db from './db.ts';
import type * as Shed from './shed.ts';
import type * as State from './shedState.ts';
import { eventually, onDisk } from '../testing/onDisk.ts';
import { modelNamed } from '@june-tide/core/models';
import { ELSEWHERE } from '@june-tide/core/record';

type Take = (event: { data: unknown }) => void;
/** What each window says, heard by all others: at once, or held back until it is let go. */
const windows: Take[] = [];
let held: (() => void)[] | undefined;
class OtherTabs {
  private own: Take | undefined;
  addEventListener(_type: string, take: Take) {
    this.own = take;
    windows.push(take);
  }
  postMessage(data: { kind?: string }) {
    if (data.kind === undefined) return;
    const copy = structuredClone(data);
    const say = () => {
      for (const take of windows) if (take !== this.own) take({ data: copy });
    };
    if (held) held.push(say);
    else say();
  }
}
Object.assign(globalThis, { BroadcastChannel: OtherTabs });

interface Window {
  shed: typeof Shed;
  db: typeof Db.db;
  queue: typeof State.queue;
}
async function opened(): Promise<Window> {
  jest.resetModules();
  const shed = await import('./shed.ts');
  const { db } = await import('./db.ts');
  const { queue } = await import('./shedState.ts');
  return { shed, db, queue };
}
let a: Window;
let b: Window;
const settle = async () => {
  await onDisk(a.queue);
  await onDisk(b.queue);
  await onDisk(a.queue);
};
const letGo = () => {
  const waiting = held ?? [];
  held = undefined;
  for (const say of waiting) say();
};
const wider = (w: Window, id: string, width_mm: number) =>
  w.shed.editBoard(id, 'wider', (board) => ({ ...board, outline: { ...board.outline, width_mm } }));
const thicker = (w: Window, id: string, thickness_mm: number) =>
  w.shed.editBoard(id, 'thicker', (board) => ({ ...board, foil: { ...board.foil, thickness_mm } }));
const boardIn = (w: Window, id: string) => w.shed.useShed.getState().records[id].board;

beforeAll(async () => {
  a = await opened();
  b = await opened();
});
let id: string;
beforeEach(async () => {
  held = undefined;
  await settle();
  await Promise.all([a.db.boards, a.db.riders, a.db.settings, a.db.blanks].map((table) => table.clear()));
  await a.shed.loadShed();
  await settle();
  await b.shed.loadShed();
  id = a.shed.addBoard(modelNamed('Slack Water')!, null);
  await settle();
});

/** Seeded, in the place of chance: mulberry32, public domain. */
function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

describe('two windows on one board at once', () => {
  it('lose no change in 24 rounds, heard at once or late, and show the same board in the end', async () => {
    const random = seeded(7);
    const pause = () => new Promise((done) => setTimeout(done, Math.floor(4 * random())));
    for (let round = 0; round < 24; round++) {
      if (round % 2 === 0) held = [];
      const [width, thickness] = [480 + round / 4, 60 + round / 20];
      wider(a, id, width);
      if (random() < 0.5) await pause();
      thicker(b, id, thickness);
      await settle();
      letGo();
      await settle();
      for (const w of [a, b]) {
        expect([round, boardIn(w, id).outline.width_mm]).toEqual([round, width]);
        expect([round, boardIn(w, id).foil.thickness_mm]).toEqual([round, thickness]);
      }
      const row = (await a.db.boards.get(id))!;
      expect([row.board.outline.width_mm, row.board.foil.thickness_mm]).toEqual([width, thickness]);
      expect(a.shed.useShed.getState().records[id].versions).toBeUndefined();
    }
  });

  it('that both changed the same keep both: one is drawn on, the other is a version that says so', async () => {
    held = [];
    wider(a, id, 501);
    await onDisk(a.queue);
    wider(b, id, 520);
    await settle();
    letGo();
    await settle();
    for (const w of [a, b]) {
      const { board, versions } = w.shed.useShed.getState().records[id];
      expect(board.outline.width_mm).toBe(520);
      expect(versions!.map((version) => [version.why, version.board.outline.width_mm])).toEqual([[ELSEWHERE, 501]]);
    }
  });

  it('the word of an earlier state that comes late changes nothing', async () => {
    held = [];
    wider(a, id, 501);
    await onDisk(a.queue);
    thicker(b, id, 61);
    await onDisk(b.queue);
    const late = held;
    held = undefined;
    late.at(-1)!();
    await eventually(() => expect(boardIn(a, id).foil.thickness_mm).toBe(61));
    const before = b.shed.useShed.getState().records[id];
    late[0]();
    await settle();
    await settle();
    expect(b.shed.useShed.getState().records[id]).toBe(before);
    expect([boardIn(a, id).outline.width_mm, boardIn(a, id).foil.thickness_mm]).toEqual([501, 61]);
  });

  it('what a newer app wrote in another window is not written over, and the words say so', async () => {
    const row = (await a.db.boards.get(id))!;
    const newer = { ...row, updatedAt: '2099-01-01T00:00:00.000Z', tide: 7 };
    await a.db.boards.put(newer);
    wider(a, id, 501);
    await new Promise((done) => setTimeout(done, 30));
    const { save } = a.shed.useShed.getState();
    expect(save).toEqual({ kind: 'failed', reason: expect.stringMatching(/newer June Tide; open this one anew/) });
    expect(await a.db.boards.get(id)).toEqual(newer);
    await a.db.boards.put(row);
  });

  it('a card of a rider changed in two windows keeps both changes', async () => {
    held = [];
    const card = (w: Window) => w.shed.useShed.getState().riders.maren;
    a.shed.keepRider({ ...card(a), age: 41 });
    b.shed.keepRider({ ...card(b), height_mm: 1791 });
    await settle();
    letGo();
    await settle();
    for (const w of [a, b]) expect([card(w).age, card(w).height_mm]).toEqual([41, 1791]);
  });
});

describe('settings in two windows', () => {
  const pricesIn = (w: Window) => w.shed.useShed.getState().settings.workshop.prices;
  const price = (w: Window, key: 'blank' | 'finBox' | 'plug' | 'sundries' | 'hour', to: number) =>
    w.shed.changeWorkshop({ prices: { ...pricesIn(w), [key]: to } });

  it('keep every price that either changed, heard at once or late, the same in both and on disk', async () => {
    const random = seeded(12);
    const pause = () => new Promise((done) => setTimeout(done, Math.floor(4 * random())));
    for (let round = 0; round < 12; round++) {
      if (round % 2 === 0) held = [];
      const set = { blank: 100 + round, finBox: 10 + round, plug: 5 + round, sundries: 30 + round };
      price(a, 'blank', set.blank);
      if (random() < 0.5) await pause();
      price(b, 'finBox', set.finBox);
      price(b, 'plug', set.plug);
      if (random() < 0.5) await pause();
      price(a, 'sundries', set.sundries);
      await settle();
      letGo();
      await settle();
      const row = await a.db.settings.get('shop');
      await eventually(() => {
        for (const prices of [pricesIn(a), pricesIn(b), row!.workshop.prices])
          expect([round, prices]).toEqual([round, expect.objectContaining(set)]);
      });
    }
  });

  it('that both changed the same have it as it was written last, in both and on disk', async () => {
    held = [];
    price(a, 'hour', 41);
    await settle();
    price(b, 'hour', 47);
    await settle();
    letGo();
    await settle();
    const row = await a.db.settings.get('shop');
    await eventually(() =>
      expect([pricesIn(a).hour, pricesIn(b).hour, row!.workshop.prices.hour]).toEqual([47, 47, 47]),
    );
  });
});
