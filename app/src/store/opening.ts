import type Dexie from 'dexie';
import { blankSchema, usualShelf } from '@june-tide/core/make';
import {
  type BoardRecord,
  boardRowRead,
  readLeniently,
  type RowRead,
  settingsFrom,
  stored,
  USUAL_SETTINGS,
} from '@june-tide/core/record';
import { riderSchema } from '@june-tide/core/rider';
import { checkAtLeisure, loadChecked, recordFrom, wholeFrom } from './checked.ts';
import { db, isMoving, openAsItLies } from './db.ts';
import { boards as boardsTable, takeGone } from './records.ts';
import { dropOldDrafts } from './drafts.ts';
import { takeLeft } from './left.ts';
import { atLeisure } from './leisure.ts';
import { riders as ridersTable } from './riders.ts';
import { settingsTable } from './settings.ts';
import { alone, heardOf, lookAgain, replayed, unwritten } from './shedTables.ts';
import { hasName, reasonOf } from './autosaveQueue.ts';
import { queue, type SpoiltRow, useShed } from './shedState.ts';
import { blanks as blanksTable } from './shelf.ts';
import { onTabMessage, type TableName, type TabMessage, TABLES } from './tabs.ts';
import { today } from './today.ts';

const byId = <T extends { id: string }>(items: readonly T[]): Record<string, T> =>
  Object.fromEntries(items.map((item) => [item.id, item]));

const byIds = <T extends { id: string }>(items: readonly T[]): Map<string, T> =>
  new Map(items.map((item) => [item.id, item]));

const keyOf = (row: unknown): string =>
  typeof row === 'object' && row !== null && 'id' in row ? String(row.id) : 'without a key';

/** Rows of a table that can be read; the others are named and stay where they are. Fields of a newer app are left out and not written over. */
function readRows<T>(
  table: SpoiltRow['table'],
  rows: readonly unknown[],
  read: (row: unknown) => RowRead<T>,
): { good: T[]; spoilt: SpoiltRow[] } {
  const good: T[] = [];
  const spoilt: SpoiltRow[] = [];
  for (const row of rows) {
    const found = read(row);
    if (found.kind === 'spoilt') spoilt.push({ table, id: keyOf(row), why: found.why, row });
    else good.push(found.value);
  }
  return { good, spoilt };
}

const fine = () => undefined;

type ShedRead = readonly [boards: unknown[], riders: unknown[], blanks: unknown[], settings: unknown];

async function rowsNow(from: Dexie): Promise<ShedRead> {
  // A table that came later is not in a store that could not be brought up to date.
  const all = async (name: TableName): Promise<unknown[]> =>
    from.tables.some((table) => table.name === name) ? from.table<unknown>(name).toArray() : [];
  const checked = loadChecked().catch(() => undefined);
  const [boards, riders, blanks, [settings]] = await Promise.all(TABLES.map(all));
  await checked;
  return [boards, riders, blanks, settings];
}

/** The rows of the shed; a new one, in which there is nothing at all, has the demo's, which are still to be written. */
async function everyRow(from: Dexie): Promise<{ rows: ShedRead; isNew: boolean }> {
  const rows = await rowsNow(from);
  if (rows.some((table) => (Array.isArray(table) ? table.length > 0 : table !== undefined)))
    return { rows, isNew: false };
  // The demo is made once in the life of a shed: it is no part of what every opening loads.
  const { DEMO_RIDERS, demoRecords } = await import('@june-tide/core/demo');
  const demo = demoRecords(today()).map(stored);
  return { rows: [demo, [...DEMO_RIDERS], usualShelf(), USUAL_SETTINGS], isNew: true };
}

/** A store that has not opened in so long does not open. */
const OPENS_WITHIN_ms = 12_000;

class NotAnswered extends Error {}

/** Opens the store, or says in words why it does not open. */
async function openStore(): Promise<void> {
  let silent: ReturnType<typeof setTimeout> | undefined;
  const silence = new Promise<never>((_, refuse) => {
    const words = () =>
      blocked
        ? 'another window has an older June Tide open: close it, then try again'
        : 'it does not answer: close other windows of June Tide, or the browser, and try again';
    const refuseUnlessMoving = () => {
      if (isMoving) silent = setTimeout(refuseUnlessMoving, OPENS_WITHIN_ms);
      else refuse(new NotAnswered(words()));
    };
    silent = setTimeout(refuseUnlessMoving, OPENS_WITHIN_ms);
  });
  let blocked = false;
  db.on('blocked', () => {
    blocked = true;
  });
  // An older window must not hold the store from a newer one: it lets go, and says so.
  db.on('versionchange', () => {
    db.close();
    useShed.setState({
      status: 'failed',
      failure: 'a newer June Tide was opened in another window: open this one anew',
    });
  });
  try {
    await Promise.race([db.open(), silence]);
  } finally {
    clearTimeout(silent);
  }
}

/** So many boards are read whole at every opening; of more, what was found when they were last read is believed until there is leisure. */
const READ_WHOLE = 60;

/** Reads the shed and shows it. @returns the boards that can be changed, the latest first, as they stand on the rack. */
async function readShed(from: Dexie, readWhole: number): Promise<BoardRecord[]> {
  const {
    rows: [rows, riderRows, blankRows, shop],
    isNew,
  } = await everyRow(from);
  const blanks = readRows('blanks', blankRows, (row) => readLeniently(row, blankSchema, fine));
  const newer = new Set<string>();
  const boards = readRows('boards', rows, (row): RowRead<BoardRecord> => {
    const record = rows.length > readWhole ? recordFrom(row) : wholeFrom(row);
    if (record) return { kind: 'read', value: record };
    const read = boardRowRead(row);
    if (read.kind === 'newer') newer.add(read.value.id);
    return read;
  });
  const riders = readRows('riders', riderRows, (row) => readLeniently(row, riderSchema, fine));
  const settings = settingsFrom(shop);
  // What was changed here and is not written comes over what lies there now.
  const own = unwritten();
  boardsTable.opened(boards.good);
  ridersTable.opened(riders.good);
  blanksTable.opened(blanks.good);
  settingsTable.opened([settings]);
  useShed.setState({
    status: 'ready',
    records: byId(boards.good.filter(({ binnedAt }) => binnedAt === undefined)),
    bin: byId(boards.good.filter(({ binnedAt }) => binnedAt !== undefined)),
    riders: byId(riders.good),
    shelf: blanks.good,
    settings,
    spoilt: [...boards.spoilt, ...riders.spoilt, ...blanks.spoilt],
    newer,
  });
  if (isNew) {
    boardsTable.change(byIds(boards.good));
    ridersTable.change(byIds(riders.good));
    blanksTable.change(byIds(blanks.good));
    settingsTable.change(byIds([settings]));
  }
  own.forEach(replayed);
  return boards.good.filter(({ id }) => !newer.has(id)).sort((a, b) => (a.updatedAt < b.updatedAt ? 1 : -1));
}

/** The store, opened; as it lies where it cannot be brought up to date: then it is read, and writing is tried again and again. */
async function opened(): Promise<Dexie> {
  if (db.isOpen()) return db;
  try {
    await openStore();
    return db;
  } catch (error) {
    if (error instanceof NotAnswered || hasName(error, 'VersionError')) throw error;
    const lying = await openAsItLies().catch(() => undefined);
    if (!lying || lying.tables.length === 0) throw error;
    queue.put('store', async () => {
      if (!db.isOpen()) await db.open();
    });
    return lying;
  }
}

/** Opens the shed; a new one gets the demo boards and riders. */
export async function loadShed(readWhole = READ_WHOLE): Promise<void> {
  try {
    const from = await opened();
    const whole = await alone(() => readShed(from, readWhole));
    takeLeft();
    dropOldDrafts();
    // What is found and cannot be noted is found again.
    if (typeof requestIdleCallback === 'function')
      void checkAtLeisure(whole, takeUnreadable, atLeisure).catch(() => undefined);
  } catch (error) {
    useShed.setState({ status: 'failed', failure: reasonOf(error) });
  }
}

/** A board that turned out not to be readable leaves the rack; its row stays where it is. */
function takeUnreadable(id: string): void {
  takeGone(id);
  void db.boards.get(id).then((row: unknown) => {
    const read = boardRowRead(row);
    if (row === undefined || read.kind !== 'spoilt') return;
    useShed.setState(({ spoilt }) => ({ spoilt: [...spoilt, { table: 'boards', id, why: read.why, row }] }));
  });
}

const take = (message: TabMessage): void =>
  void (message.kind === 'everything' ? loadShed() : heardOf(message.table, message.ids));

onTabMessage((message) => {
  if (useShed.getState().status !== 'failed') take(message);
});

/** Where there is no channel between windows, or its word did not come, a window finds what others wrote when it is looked at. */
if (typeof document !== 'undefined') {
  const look = () => {
    if (document.visibilityState === 'visible' && useShed.getState().status === 'ready')
      void lookAgain().catch(() => undefined);
  };
  document.addEventListener('visibilitychange', look);
  window.addEventListener('focus', look);
}
