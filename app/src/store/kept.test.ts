// What the store refuses, keeps and never writes over.
import { beforeEach, describe, expect, it } from '@jest/globals';
import { blankSchema, MOST_PRICE_LINES, usualShelf } from '@june-tide/core/make';
import { modelNamed } from '@june-tide/core/models';
import {
  boardRecordSchema,
  MOST_RIDES,
  rowUnpacked,
  unstored,
  type Settings,
  settingsSchema,
} from '@june-tide/core/record';
import { riderSchema } from '@june-tide/core/rider';
import { onDisk } from '../testing/onDisk.ts';
import { checkAtLeisure } from './checked.ts';
import { db } from './db.ts';
import { queue } from './shedState.ts';
import {
  addBoard,
  changeSettings,
  changeShelf,
  changeWorkshop,
  edit,
  editBoard,
  keepRider,
  litresOf,
  loadShed,
  makeVersion,
  putBack,
  removeBoard,
  replaceShelf,
  throwAway,
  undo,
  useShed,
} from './shed.ts';

const settle = () => onDisk(queue);
const model = modelNamed('Slack Water')!;
const state = () => useShed.getState();
const prices = () => state().settings.workshop.prices;
const stored = async () => (await db.settings.get('shop')) as unknown as Record<string, never>;

beforeEach(async () => {
  await settle();
  await Promise.all([db.boards, db.riders, db.settings, db.blanks, db.checked].map((table) => table.clear()));
  useShed.setState({ histories: {} });
  await loadShed();
  await settle();
});

/** Everything on disk can be read by the schema it is read with. */
async function allReadable(): Promise<void> {
  await settle();
  for (const row of await db.boards.toArray()) expect(boardRecordSchema.safeParse(unstored(row)).success).toBe(true);
  for (const row of await db.riders.toArray()) expect(riderSchema.safeParse(row).success).toBe(true);
  for (const row of await db.blanks.toArray()) expect(blankSchema.safeParse(row).success).toBe(true);
  for (const row of await db.settings.toArray()) expect(settingsSchema.safeParse(row).success).toBe(true);
}

describe('what its reader would refuse is never written', () => {
  it('settings: prices, the price list, paper and printer', async () => {
    const line = { id: 'a', name: 'Gloss', price: 60 };
    const refused = [
      changeWorkshop({ prices: { ...prices(), roundTo: 5000 } }),
      changeWorkshop({ priceList: [{ ...line, price: 100_001 }] }),
      changeWorkshop({ priceList: [{ ...line, name: 'x'.repeat(121) }] }),
      changeWorkshop({
        priceList: Array.from({ length: MOST_PRICE_LINES + 1 }, (_, i) => ({ ...line, id: String(i) })),
      }),
      changeSettings({ roll_mm: 12 }),
      changeSettings({ printer: { across_mm: 10, along_mm: 100 } }),
    ];
    for (const result of refused) expect(result.ok).toBe(false);
    // The name of the longest board with its family behind it fits.
    expect(changeWorkshop({ priceList: [{ ...line, name: `${'x'.repeat(80)}, shortboard` }] }).ok).toBe(true);
    await allReadable();
    await loadShed();
    expect(state().settings.workshop.priceList).toHaveLength(1);
  });

  it('boards: one ride too many, a due day that is none, a name too long', async () => {
    const id = addBoard(model, null);
    const ride = { on: '2026-11-25', waves: '', words: 'good' };
    const rides = Array.from({ length: MOST_RIDES }, () => ride);
    expect(edit(id, 'rides', (r) => ({ ...r, rides })).ok).toBe(true);
    const before = state().records[id];
    const result = edit(id, 'one more', (r) => ({ ...r, rides: [ride, ...r.rides] }));
    expect(result).toMatchObject({ ok: false, issues: [{ path: 'rides' }] });
    expect(edit(id, 'weight', (r) => ({ ...r, colours: 'x'.repeat(301) })).ok).toBe(false);
    expect(editBoard(id, 'name', (b) => ({ ...b, name: 'x'.repeat(81) })).ok).toBe(false);
    expect(state().records[id]).toBe(before);
    await allReadable();
  });

  it('riders: weighings past the most there can be', async () => {
    const rider = state().riders.maren;
    const weights = Array.from({ length: 1001 }, (_, i) => ({ on: `day ${i}`, mass_kg: 76 }));
    expect(keepRider({ ...rider, weights: weights.slice(1) }).ok).toBe(true);
    expect(keepRider({ ...rider, weights })).toMatchObject({ ok: false, issues: [{ path: 'weights' }] });
    expect(state().riders.maren.weights).toHaveLength(1000);
    await allReadable();
  });

  it('blanks: sizes no blank has', async () => {
    expect(changeShelf({ put: [{ ...usualShelf()[0], width_mm: 5 }] }).ok).toBe(false);
    expect(state().shelf).toHaveLength(30);
    await allReadable();
  });
});

describe('what was found of a record', () => {
  const found = async () => new Map((await db.checked.toArray()).map((row) => [row.id, row]));
  const at = () => Promise.resolve();

  it('is noted when it is saved, and forgotten when it is thrown away', async () => {
    const id = addBoard(model, null);
    await settle();
    const first = (await found()).get(id)!;
    expect(first.volume_L).toBeCloseTo(litresOf(state().records[id]), 9);
    editBoard(id, 'thicker', (board) => ({
      ...board,
      foil: { ...board.foil, thickness_mm: board.foil.thickness_mm + 6 },
    }));
    await settle();
    expect((await found()).get(id)!.volume_L).toBeGreaterThan(first.volume_L + 1);
    expect(litresOf(state().records[id])).toBe((await found()).get(id)!.volume_L);
    removeBoard(id);
    throwAway(id);
    await settle();
    expect((await found()).has(id)).toBe(false);
  });

  it('is believed for the very state it was found of and for no other', async () => {
    const id = addBoard(model, null);
    await settle();
    const row = (await found()).get(id)!;
    await db.checked.put({ ...row, volume_L: 99 });
    await loadShed();
    expect(litresOf(state().records[id])).toBe(99);
    await db.checked.put({ ...row, volume_L: 99, updatedAt: '2020-01-01T00:00:00.000Z' });
    await loadShed();
    expect(litresOf(state().records[id])).toBeCloseTo(row.volume_L, 9);
    await db.checked.put({ ...row, volume_L: 99, by: 'another core' });
    await loadShed();
    expect(litresOf(state().records[id])).toBeCloseTo(row.volume_L, 9);
    await db.checked.put({ ...row, volume_L: 99, reading: 'read by other rules' });
    await loadShed();
    expect(litresOf(state().records[id])).toBeCloseTo(row.volume_L, 9);
  });

  it('is not noted of a row that reads as something else than lies there, until it is saved', async () => {
    const id = addBoard(model, 'maren');
    await settle();
    const { past: _none, ...row } = (await db.boards.get(id))!;
    // A brief of before there was steepness, chop and rubber.
    const waves = { size: 'overhead', power: 'weak' };
    await db.boards.put({ ...row, brief: { waves, purpose: '', mustHaves: '' } } as never);
    await db.checked.clear();
    for (let opening = 0; opening < 3; opening++) {
      await loadShed();
      await checkAtLeisure(Object.values(state().records), () => expect('wrong').toBe('right'), at);
      expect(state().records[id].brief?.waves.steepness).toBe('medium');
    }
    expect((await found()).has(id)).toBe(false);
    edit(id, 'for somebody', (record) => ({ ...record, riderId: 'kit' }));
    await settle();
    expect((await found()).has(id)).toBe(true);
    await loadShed();
    expect(state().records[id].brief?.waves.steepness).toBe('medium');
  });

  it('holds for versions too, packed as they lie: unpacked when asked for, refused when spoilt', async () => {
    const id = addBoard(model, null);
    makeVersion(id, 'the first');
    editBoard(id, 'wider', (board) => ({
      ...board,
      outline: { ...board.outline, width_mm: board.outline.width_mm + 3 },
    }));
    makeVersion(id, 'the second');
    await settle();
    const { versions } = state().records[id];
    const row = (await db.boards.get(id))!;
    expect(row).not.toHaveProperty('versions');
    await loadShed();
    expect(state().records[id].versions).toEqual(versions);
    // As it lay before versions were packed.
    await db.boards.put(rowUnpacked(row) as never);
    await db.checked.clear();
    await loadShed();
    expect(state().records[id].versions).toEqual(versions);
    await db.boards.put({ ...row, past: row.past?.slice(0, -9) ?? '' });
    await db.checked.clear();
    await loadShed();
    expect(state().records[id]).toBeUndefined();
    expect(state().spoilt.map(({ table }) => table)).toEqual(['boards']);
    expect((await db.boards.get(id))?.past).toBe(row.past?.slice(0, -9));
  });

  it('lets a row be shown as another core read it, unless reading is another too', async () => {
    const id = addBoard(model, null);
    await settle();
    const stands = (await db.boards.get(id))!;
    await db.boards.put({ ...stands, number: 'spoilt' } as never);
    const row = (await found()).get(id)!;
    await db.checked.put({ ...row, by: 'another core' });
    await loadShed(0);
    expect(state().records[id]).toBeDefined();
    await db.checked.put({ ...row, reading: 'read by other rules' });
    await loadShed(0);
    expect(state().records[id]).toBeUndefined();
    expect(state().spoilt.map((spoilt) => spoilt.id)).toEqual([id]);
  });

  it('does not hide for long that a record cannot be built by this core', async () => {
    const id = addBoard(model, null);
    await settle();
    const row = (await db.boards.get(id))!;
    const { outline } = row.board;
    const narrow = { ...row.board, outline: { ...outline, width_mm: outline.marks[0].value_mm - 60 } };
    await db.boards.put({ ...row, board: narrow });
    await db.checked.put({ ...(await found()).get(id)!, by: 'another core' });
    await loadShed(0);
    const wrong: string[] = [];
    await checkAtLeisure(Object.values(state().records), (bad) => wrong.push(bad), at);
    expect(wrong).toEqual([id]);
  });

  it('does not hide for long that a record is spoilt: all are read whole at leisure', async () => {
    const id = addBoard(model, null);
    await settle();
    const record = (await db.boards.get(id))!;
    await db.boards.put({ ...record, number: 'spoilt' } as never);
    await loadShed(0);
    expect(state().records[id]).toBeDefined();
    const wrong: string[] = [];
    await checkAtLeisure(Object.values(state().records), (bad) => wrong.push(bad), at);
    expect(wrong).toEqual([id]);
    expect((await found()).has(id)).toBe(false);
    expect((await found()).size).toBe(Object.keys(state().records).length - 1);
  });
});

describe('what cannot be read', () => {
  it('is counted in every table, and stays where it is through writing', async () => {
    await db.boards.put({ id: 'odd', number: 1 } as never);
    await db.riders.put({ id: 'odd', name: 'Odd' } as never);
    await db.blanks.put({ id: 'odd', name: 'Odd' } as never);
    await loadShed();
    expect(state().spoilt.map(({ table, id }) => `${table} ${id}`)).toEqual(['boards odd', 'riders odd', 'blanks odd']);
    for (const { why } of state().spoilt) expect(why).toMatch(/is missing|must be one of pu/);
    changeShelf({ put: [{ ...usualShelf()[0], id: 'fresh' }], gone: [usualShelf()[1].id] });
    replaceShelf(usualShelf().slice(0, 3));
    await settle();
    const ids = (await db.blanks.toArray()).map(({ id }) => id);
    expect(ids).toHaveLength(4);
    expect(ids).toContain('odd');
    expect(await db.riders.get('odd')).toBeDefined();
  });

  it('in the settings is as usual on the screen and as it was on disk, whatever else is changed', async () => {
    const kept = (await stored()) as unknown as Settings;
    const { workshop } = kept;
    const newer = {
      ...kept,
      lengthStyle: 'cubits',
      schools: 'both',
      tide: 'high',
      workshop: {
        ...workshop,
        people: 5,
        stages: workshop.stages.map((stage) => ({ ...stage, bench: 2 })),
        prices: { ...workshop.prices, hour: 44, tax: 0.2 },
      },
    };
    await db.settings.put(newer as never);
    await loadShed();
    expect(state().status).toBe('ready');
    expect(state().settings.lengthStyle).toBe('in16');
    expect(state().settings.workshop.people).toBe(5);
    expect(prices().hour).toBe(44);
    changeWorkshop({ prices: { ...prices(), hour: 45 } });
    await settle();
    const after = await stored();
    expect(after).toEqual({
      ...newer,
      workshop: { ...newer.workshop, prices: { ...newer.workshop.prices, hour: 45 } },
    });
  });
});

describe('a shed that is opened', () => {
  it('has no demo put over its boards when only its settings are gone', async () => {
    const id = 'skarn-slack-118';
    editBoard(id, 'wider', (b) => ({ ...b, outline: { ...b.outline, width_mm: 511 } }));
    removeBoard('skarn-kettle-7');
    await settle();
    await db.settings.clear();
    await loadShed();
    expect(state().records[id].board.outline.width_mm).toBe(511);
    expect(state().records['skarn-kettle-7']).toBeUndefined();
    expect(state().settings.lengthStyle).toBe('in16');
    changeSettings({ light: 'night' });
    await settle();
    expect(await stored()).toMatchObject({ light: 'night' });
  });

  it('has an empty shelf where it was emptied', async () => {
    changeShelf({ gone: state().shelf.map(({ id }) => id) });
    await settle();
    await loadShed();
    expect(state().shelf).toEqual([]);
  });
});

describe('the bin', () => {
  it('keeps a board taken off, rides and order too, through closing and opening, and gives it back', async () => {
    const id = 'skarn-slack-118';
    edit(id, 'ride', (r) => ({ ...r, rides: [{ on: '2026-11-20', waves: 'head high', words: 'quick' }] }));
    removeBoard(id);
    expect(state().records[id]).toBeUndefined();
    await settle();
    await loadShed();
    expect(state().records[id]).toBeUndefined();
    expect(state().bin[id]).toMatchObject({ rides: [{ words: 'quick' }], order: { stage: 'shape' } });
    putBack(id);
    expect(state().bin[id]).toBeUndefined();
    await settle();
    await loadShed();
    expect(state().records[id]).toMatchObject({ number: 118, rides: [{ words: 'quick' }] });
    expect(state().records[id].binnedAt).toBeUndefined();
  });

  it('is emptied for good only on purpose', async () => {
    const id = 'skarn-slack-118';
    throwAway(id);
    await settle();
    expect(await db.boards.get(id)).toBeDefined();
    removeBoard(id);
    throwAway(id);
    await settle();
    expect(await db.boards.get(id)).toBeUndefined();
    expect(state().bin[id]).toBeUndefined();
  });

  it('takes no change while a board lies in it', () => {
    removeBoard('skarn-slack-118');
    expect(editBoard('skarn-slack-118', 'x', (b) => ({ ...b, notes: 'x' })).ok).toBe(false);
  });
});

describe('a name with its number', () => {
  it('is one board’s, after a rename, its undoing, and a return from the bin', () => {
    const called = (id: string) => `${state().records[id].board.name} ${state().records[id].number}`;
    const gull = addBoard({ ...model, name: 'Gull' }, null);
    const other = addBoard({ ...model, name: 'Tern' }, null);
    editBoard(other, 'new name', (b) => ({ ...b, name: 'Gull' }));
    expect([called(gull), called(other)]).toEqual(['Gull 1', 'Gull 2']);
    // A free number is kept: only a clash gives the next.
    editBoard(other, 'new name', (b) => ({ ...b, name: 'Petrel' }));
    expect(called(other)).toBe('Petrel 2');
    const second = addBoard({ ...model, name: 'Tern' }, null);
    expect(called(second)).toBe('Tern 1');
    undo(other);
    undo(other);
    expect(called(other)).toBe('Tern 2');
    removeBoard(gull);
    const again = addBoard({ ...model, name: 'Gull' }, null);
    expect(called(again)).toBe('Gull 2');
    putBack(gull);
    expect(called(gull)).toBe('Gull 1');
  });
});

describe('an address that is what every object has', () => {
  it('is no board and no rider', () => {
    for (const id of ['__proto__', 'constructor', 'toString']) {
      expect(edit(id, 'x', (r) => ({ ...r, rides: [] }))).toMatchObject({ ok: false, issues: [{ code: 'gone' }] });
      undo(id);
      expect(() => removeBoard(id)()).not.toThrow();
    }
  });
});
