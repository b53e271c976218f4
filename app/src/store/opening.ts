import { blankSchema, usualShelf } from '@june-tide/core/make';
import {
  type BoardRecord,
  boardRowRead,
  readLeniently,
  type RowRead,
  stored,
  USUAL_SETTINGS,
} from '@june-tide/core/record';
import { riderSchema } from '@june-tide/core/rider';
import { checkAtLeisure, loadChecked, recordFrom, wholeFrom } from './checked.ts';
import { db, isMoving } from './db.ts';
import { takeRecord, takeRecordGone } from './records.ts';
import { takeLeft } from './left.ts';
import { atLeisure } from './leisure.ts';
import { noteRidersOnDisk, takeRiderGone, takeRiderOf } from './riders.ts';
import { takeSettings, takeSettingsOf } from './settings.ts';
import { reasonOf } from './saveQueue.ts';
import { type SpoiltRow, useShed } from './shedState.ts';
import { takeShelf } from './shelf.ts';
import { onTabMessage, type TabMessage } from './tabs.ts';
import { today } from './today.ts';
import { noteOnDisk } from './written.ts';

const byId = <T extends { id: string }>(items: readonly T[]): Record<string, T> =>
  Object.fromEntries(items.map((item) => [item.id, item]));

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

const rowsNow = (): Promise<[unknown[], unknown[], unknown[], unknown, void]> =>
  Promise.all([db.boards.toArray(), db.riders.toArray(), db.blanks.toArray(), db.settings.get('shop'), loadChecked()]);

/** The rows of the shed; a new one, in which there is nothing at all, is filled with the demo first. */
async function everyRow(): ReturnType<typeof rowsNow> {
  const rows = await rowsNow();
  if (rows.some((table) => (Array.isArray(table) ? table.length > 0 : table !== undefined))) return rows;
  await fillNewShed();
  return rowsNow();
}

/** Fills a shed in which there is nothing at all with the demo: one where only the settings are lost is left as it is. */
async function fillNewShed(): Promise<void> {
  // The demo is made once in the life of a shed: it is no part of what every opening loads.
  const { DEMO_RIDERS, demoRecords } = await import('@june-tide/core/demo');
  const demo = demoRecords(today());
  await db.transaction('rw', db.boards, db.riders, db.settings, db.blanks, async () => {
    await db.riders.bulkPut([...DEMO_RIDERS]);
    await db.boards.bulkPut(demo.map(stored));
    await db.blanks.bulkPut(usualShelf());
    await db.settings.put(USUAL_SETTINGS);
  });
}

/** A store that has not opened in so long does not open. */
const OPENS_WITHIN_ms = 12_000;

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
      else refuse(new Error(words()));
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

/** Opens the shed; a new one gets the demo boards and riders. */
export async function loadShed(readWhole = READ_WHOLE): Promise<void> {
  try {
    if (!db.isOpen()) await openStore();
    await takeLeft();
    const [rows, riderRows, blankRows, shop] = await everyRow();
    const blanks = readRows('blanks', blankRows, (row) => readLeniently(row, blankSchema, fine));
    const newer = new Set<string>();
    const boards = readRows('boards', rows, (row): RowRead<BoardRecord> => {
      const record = rows.length > readWhole ? recordFrom(row) : wholeFrom(row);
      if (record) return { kind: 'read', value: record };
      const read = boardRowRead(row);
      if (read.kind === 'newer') newer.add(read.value.id);
      return read;
    });
    for (const record of boards.good) noteOnDisk(record);
    const riders = readRows('riders', riderRows, (row) => readLeniently(row, riderSchema, fine));
    noteRidersOnDisk(riders.good);
    takeSettings(shop);
    useShed.setState({
      status: 'ready',
      records: byId(boards.good.filter(({ binnedAt }) => binnedAt === undefined)),
      bin: byId(boards.good.filter(({ binnedAt }) => binnedAt !== undefined)),
      riders: byId(riders.good),
      shelf: blanks.good,
      spoilt: [...boards.spoilt, ...riders.spoilt, ...blanks.spoilt],
      newer,
    });
    // The latest first, as they stand on the rack.
    const whole = boards.good.filter(({ id }) => !newer.has(id)).sort((a, b) => (a.updatedAt < b.updatedAt ? 1 : -1));
    if (typeof requestIdleCallback === 'function') void checkAtLeisure(whole, takeUnreadable, atLeisure);
  } catch (error) {
    useShed.setState({ status: 'failed', failure: reasonOf(error) });
  }
}

/** A board that turned out not to be readable leaves the rack; its row stays where it is. */
function takeUnreadable(id: string): void {
  takeRecordGone(id);
  void db.boards.get(id).then((row: unknown) => {
    const read = boardRowRead(row);
    if (row === undefined || read.kind !== 'spoilt') return;
    useShed.setState(({ spoilt }) => ({ spoilt: [...spoilt, { table: 'boards', id, why: read.why, row }] }));
  });
}

/** Else the tab that saved last would write the old over the new. */
function take(message: TabMessage): void {
  switch (message.kind) {
    case 'board':
      return takeRecord(message.record);
    case 'boardGone':
      return takeRecordGone(message.id);
    case 'rider':
      // Unread, the card comes with the next opening.
      return void takeRiderOf(message.rider.id).catch(() => undefined);
    case 'riderGone':
      return takeRiderGone(message.id);
    case 'shelf':
      return takeShelf(message);
    case 'settings':
      return void takeSettingsOf().catch(() => undefined);
    case 'everything':
      return void loadShed();
  }
}

onTabMessage((message) => {
  if (useShed.getState().status === 'ready') take(message);
});
