// Windows on one store, by a model: changes, faults before, during and after a write, words of other windows that come late, pages that
// are left and that are killed, in any order. What a window says is saved has lain on disk; nothing that was changed is lost; in the end
// all windows and the disk say the same.
import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import fc from 'fast-check';
import { merged, sameData } from '@june-tide/core/document';
import { AutosaveQueue } from './autosaveQueue.ts';
import { type RowChange, type Rows, Table, type Unwritten } from './table.ts';

const FIELDS = ['width', 'thickness', 'tail'] as const;
type Field = (typeof FIELDS)[number];
/** What lies there at first, and what each window may make. */
const IDS = ['a', 'b', 'new 0', 'new 1', 'new 2'] as const;
type Thing = { id: string; stamp: number } & Record<Field, number>;
type Fate = 'refused' | 'put fails' | 'commit fails' | 'fails after commit' | 'not kept' | 'read fails';

/** A clock of the test's own: what waits for it goes on when it passes, all that follows at once before the next tick. */
let now_ms = 0;
let waiting: { at_ms: number; no: number; act: () => void }[] = [];
let timers = 0;
async function passes(ms: number): Promise<void> {
  const end_ms = now_ms + ms;
  for (;;) {
    await settled();
    const [next] = waiting.sort((a, b) => a.at_ms - b.at_ms || a.no - b.no);
    if (!next || next.at_ms > end_ms) break;
    waiting.shift();
    now_ms = Math.max(now_ms, next.at_ms);
    next.act();
  }
  now_ms = end_ms;
}
/** More turns than anything takes that does not wait for the clock. */
async function settled(): Promise<void> {
  for (let turn = 0; turn < 40; turn++) await Promise.resolve();
}
const clock = {
  setTimeout: (act: () => void, ms = 0) => {
    waiting.push({ at_ms: now_ms + ms, no: ++timers, act });
    return timers;
  },
  clearTimeout: (no: number | undefined) => void (waiting = waiting.filter((timer) => timer.no !== no)),
};

const later = (ms: number) => new Promise<void>((done) => setTimeout(done, ms));

/** The browser's store: one writer at a time, and faults as they come. */
class FakeStore {
  readonly lying = new Map<string, Thing>();
  /** All that ever lay there or had to give way to another change of the same, as `id/field/value`; `id/gone` for what was taken off. */
  readonly ever = new Set<string>();
  fates: Fate[] = [];
  private turn: Promise<unknown> = Promise.resolve();

  private row = (id: string): Thing | undefined => {
    const row = this.lying.get(id);
    return row && { ...row };
  };

  rowsFor(page: { isGone: boolean }): Rows {
    return {
      read: async (ids) => {
        await later(1);
        if (this.fates[0] === 'read fails') {
          this.fates.shift();
          throw new Error('could not be read');
        }
        if (page.isGone) await new Promise(() => undefined);
        return ids.map(this.row);
      },
      list: () => Promise.resolve([...this.lying.keys()].map(this.row)),
      change: (ids, made) => {
        const done = this.turn.then(() => this.write(page, ids, made));
        this.turn = done.catch(() => undefined);
        // Of a page that is gone nothing goes on.
        return done.then(() => (page.isGone ? new Promise<void>(() => undefined) : undefined));
      },
    };
  }

  private async write(
    page: { isGone: boolean },
    ids: readonly string[],
    made: (lying: readonly unknown[]) => readonly RowChange[],
  ): Promise<void> {
    const fate = this.fates[0] === 'read fails' ? undefined : this.fates.shift();
    await later(1);
    if (page.isGone) return;
    if (fate === 'refused') throw new Error('refused');
    const changes = made(ids.map(this.row));
    if (fate === 'put fails') throw new Error('no room');
    await later(1);
    if (page.isGone) return;
    if (fate === 'commit fails') throw new Error('not committed');
    if (fate === 'not kept') return;
    for (const { id, row } of changes) {
      if (row === undefined) {
        this.lying.delete(id);
        this.ever.add(`${id}/gone`);
      } else {
        const thing = { ...(row as Thing) };
        this.lying.set(id, thing);
        for (const field of FIELDS) this.ever.add(`${id}/${field}/${thing[field]}`);
      }
    }
    if (fate === 'fails after commit') throw new Error('said to have failed');
  }
}

let stamps = 0;
const fieldsOf = ({ stamp: _stamp, ...rest }: Thing) => rest;

class Page {
  readonly shown = new Map<string, Thing>();
  readonly page = { isGone: false };
  readonly table: Table<Thing>;
  readonly queue: AutosaveQueue;
  readonly inbox: string[][] = [];
  state = 'saved';

  private readonly world: World;

  constructor(world: World, slot: number) {
    this.world = world;
    this.queue = new AutosaveQueue((state) => {
      this.state = state.kind === 'failed' ? state.reason : state.kind;
      if (state.kind === 'saved' && !this.page.isGone) world.saysSaved(slot);
    }, 20);
    const { stamped, store } = world;
    this.table = new Table<Thing>({
      name: 'things',
      rows: store.rowsFor(this.page),
      queue: this.queue,
      shown: (id) => this.shown.get(id),
      show: (id, value) => void (value ? this.shown.set(id, value) : this.shown.delete(id)),
      read: (row) => ({ ...(row as Thing) }),
      toRow: (value) => ({ ...value }),
      says: (row, value) => {
        if (row === undefined) return false;
        return stamped ? (row as Thing).stamp === value.stamp : sameData(fieldsOf(row as Thing), fieldsOf(value));
      },
      merge: (base, ours, theirs) => {
        const conflicts: string[] = [];
        const both = merged({ ...base, stamp: 0 }, { ...ours, stamp: 0 }, { ...theirs, stamp: 0 }, conflicts) as Thing;
        for (const field of conflicts) store.ever.add(`${ours.id}/${field}/${theirs[field as Field]}`);
        return { ...both, stamp: ++stamps };
      },
      tell: (ids) => {
        if (!this.page.isGone) world.tell(slot, ids);
      },
      unreadable: 'unreadable',
    });
  }

  open(left: readonly Unwritten[]): Promise<void> {
    return this.table.inTurn(async () => {
      const things = [...this.world.store.lying.values()].map((thing) => ({ ...thing }));
      await Promise.resolve();
      this.table.opened(things);
      for (const thing of things) this.shown.set(thing.id, thing);
      for (const entry of left) expect(this.table.replay(entry)).toBe(true);
    });
  }
}

/** What each window did last to each field of each thing. */
interface Did {
  value: number;
  /** Of a window that was killed before it had said it was saved. */
  mayBeLost: boolean;
}

class World {
  readonly store = new FakeStore();
  readonly pages: Page[];
  private readonly did: Map<string, Did>[];
  private value = 0;
  /** A window that was killed between writing and saying so: others find it when they are looked at. */
  private isKilled = false;

  readonly stamped: boolean;

  constructor(stamped: boolean, windows: number) {
    this.stamped = stamped;
    for (const id of ['a', 'b']) this.store.lying.set(id, { id, stamp: ++stamps, width: 0, thickness: 0, tail: 0 });
    this.did = Array.from({ length: windows }, () => new Map<string, Did>());
    this.pages = this.did.map((_, slot) => new Page(this, slot));
  }

  tell(slot: number, ids: readonly string[]): void {
    this.pages.forEach((page, other) => {
      if (other !== slot) page.inbox.push([...ids]);
    });
  }

  /** Everything the window did last has lain on disk, unless it heard of something else since. */
  saysSaved(slot: number): void {
    for (const [what, { value, mayBeLost }] of this.did[slot]) {
      if (mayBeLost) continue;
      const [id, field] = what.split('/');
      const { ever, lying } = this.store;
      const lay = field === 'gone' ? ever.has(what) || !lying.has(id) : ever.has(`${what}/${value}`);
      // One taken off here that another window changed meanwhile is shown again.
      const cameBack = field === 'gone' && this.pages[slot].shown.has(id) && this.isOthers(slot, id);
      const wentWith = field !== 'gone' && this.isTakenOffElsewhere(slot, id);
      if (!lay && !cameBack && !wentWith) this.lies.push(`window ${slot} says saved: ${what} ${value}`);
    }
  }
  readonly lies: string[] = [];

  private isOthers = (slot: number, id: string): boolean =>
    this.did.some((done, other) => other !== slot && [...done.keys()].some((what) => what.startsWith(`${id}/`)));
  private isTakenOffElsewhere = (slot: number, id: string): boolean =>
    this.did.some((done, other) => other !== slot && done.has(`${id}/gone`));

  set(slot: number, id: string, field: Field): void {
    const before = this.pages[slot].shown.get(id);
    // Only a window that took a thing off, or makes its own, puts it there.
    if (!before && id !== `new ${slot}` && !this.did[slot].has(`${id}/gone`)) return;
    const fresh = { id, stamp: 0, width: 0, thickness: 0, tail: 0 };
    const value = ++this.value;
    if (!before) for (const each of FIELDS) fresh[each] = value;
    const now = { ...(before ?? fresh), [field]: value, stamp: ++stamps };
    for (const each of before ? [field] : FIELDS) this.did[slot].set(`${id}/${each}`, { value, mayBeLost: false });
    if (!before) this.did[slot].delete(`${id}/gone`);
    this.pages[slot].table.change(new Map([[id, now]]));
  }

  remove(slot: number, id: string): void {
    if (!this.pages[slot].shown.has(id)) return;
    for (const field of FIELDS) this.did[slot].delete(`${id}/${field}`);
    this.did[slot].set(`${id}/gone`, { value: 0, mayBeLost: false });
    this.pages[slot].table.change(new Map([[id, undefined]]));
  }

  hear(slot: number): void {
    const { inbox, table } = this.pages[slot];
    for (const ids of inbox.splice(0)) void table.heard(ids);
  }

  /** The page goes, with what it can keep in one breath or without, and is opened again. */
  async reopen(slot: number, isKilled: boolean): Promise<void> {
    const before = this.pages[slot];
    const left = isKilled ? [] : before.table.unwritten();
    if (isKilled && before.state !== 'saved') for (const done of this.did[slot].values()) done.mayBeLost = true;
    before.page.isGone = true;
    this.isKilled ||= isKilled;
    this.pages[slot] = new Page(this, slot);
    await Promise.all([this.pages[slot].open(left), passes(3)]);
  }

  async inTheEnd(): Promise<void> {
    this.store.fates = [];
    if (this.isKilled) for (const { table } of this.pages) void table.look();
    for (let round = 0; round < 6; round++) {
      await passes(60);
      this.pages.forEach((_, slot) => this.hear(slot));
    }
    await passes(1100);
    expect(this.lies).toEqual([]);
    const lying = [...this.store.lying.values()].map(fieldsOf).sort((a, b) => (a.id < b.id ? -1 : 1));
    for (const { shown, state } of this.pages) {
      expect(state).toBe('saved');
      expect([...shown.values()].map(fieldsOf).sort((a, b) => (a.id < b.id ? -1 : 1))).toEqual(lying);
    }
    for (const id of IDS) this.isKept(id);
  }

  /** Each field has what some window did to it last, and what only one window did anything to is as that window left it. */
  private isKept(id: string): void {
    const thing = this.store.lying.get(id);
    const takenOff = this.did.some((done) => done.has(`${id}/gone`));
    if (!thing) {
      const done = this.did.flatMap((each) => [...each]).filter(([what]) => what.startsWith(`${id}/`));
      expect(takenOff || done.every(([, { mayBeLost }]) => mayBeLost)).toBe(true);
      return;
    }
    for (const field of FIELDS) {
      const done = this.did.flatMap((each) => each.get(`${id}/${field}`) ?? []);
      const sure = done.filter(({ mayBeLost }) => !mayBeLost);
      if (sure.length === 0 || takenOff) continue;
      expect([field, done.map(({ value }) => value)]).toEqual([field, expect.arrayContaining([thing[field]])]);
    }
  }
}

const RUNS = Number(process.env.SEQUENCES ?? 600);

const slot = fc.nat({ max: 2 });
const id = fc.constantFrom(...IDS);
type Step = typeof step extends fc.Arbitrary<infer S> ? S : never;
const step = fc.oneof(
  {
    weight: 6,
    arbitrary: fc.record({ act: fc.constant('set' as const), slot, id, field: fc.constantFrom(...FIELDS) }),
  },
  { weight: 1, arbitrary: fc.record({ act: fc.constant('remove' as const), slot, id }) },
  {
    weight: 4,
    arbitrary: fc.record({
      act: fc.constant('fault' as const),
      fate: fc.constantFrom<Fate>(
        'refused',
        'put fails',
        'commit fails',
        'fails after commit',
        'not kept',
        'read fails',
      ),
    }),
  },
  { weight: 5, arbitrary: fc.record({ act: fc.constant('wait' as const), ms: fc.nat({ max: 30 }) }) },
  { weight: 3, arbitrary: fc.record({ act: fc.constant('hear' as const), slot }) },
  { weight: 1, arbitrary: fc.record({ act: fc.constant('reopen' as const), slot, isKilled: fc.boolean() }) },
);

async function play(stamped: boolean, steps: readonly Step[]): Promise<void> {
  const world = new World(stamped, 3);
  await Promise.all([...world.pages.map((page) => page.open([])), passes(3)]);
  for (const next of steps) {
    if (next.act === 'set') world.set(next.slot, next.id, next.field);
    else if (next.act === 'remove') world.remove(next.slot, next.id);
    else if (next.act === 'fault') world.store.fates.push(next.fate);
    else if (next.act === 'wait') await passes(next.ms);
    else if (next.act === 'hear') world.hear(next.slot);
    else await world.reopen(next.slot, next.isKilled);
  }
  await world.inTheEnd();
}

describe('windows on one store', () => {
  beforeEach(() => {
    jest.spyOn(globalThis, 'setTimeout').mockImplementation(clock.setTimeout as never);
    jest.spyOn(globalThis, 'clearTimeout').mockImplementation(clock.clearTimeout as never);
  });
  afterEach(() => void jest.restoreAllMocks());

  it.each([
    ['rows that say what they are', false],
    ['rows told by their time', true],
  ])('lose nothing and say nothing that is not so: %s', async (_, stamped) => {
    const steps = fc.array(step, { minLength: 2, maxLength: 24 });
    await fc.assert(
      fc.asyncProperty(steps, (sequence) => play(stamped, sequence)),
      { seed: 381, numRuns: RUNS },
    );
  });

  it('a change that is on disk although its write was said to have failed is taken back when it is', async () => {
    const world = new World(false, 1);
    await Promise.all([world.pages[0].open([]), passes(3)]);
    const [{ table, shown }] = world.pages;
    const was = shown.get('a')!;
    world.store.fates = ['fails after commit'];
    table.change(new Map([['a', { ...was, width: 7 }]]));
    await passes(5);
    expect(world.store.lying.get('a')?.width).toBe(7);
    table.change(new Map([['a', was]]));
    await passes(60);
    expect([shown.get('a')?.width, world.store.lying.get('a')?.width]).toEqual([0, 0]);
  });
});
