import { blankSchema, usualShelf } from '@june-tide/core/make';
import { stored, USUAL_SETTINGS } from '@june-tide/core/record';
import { riderSchema } from '@june-tide/core/rider';
import { checkAtLeisure, loadChecked, recordFrom, whenIdle } from './checked.ts';
import { db } from './db.ts';
import { takeRecord, takeRecordGone } from './records.ts';
import { noteRidersOnDisk, takeRiderGone, takeRiderOf } from './riders.ts';
import { takeSettings } from './settings.ts';
import { useShed } from './shedState.ts';
import { takeShelf } from './shelf.ts';
import { onTabMessage, type TabMessage } from './tabs.ts';
import { today } from './today.ts';
import { noteOnDisk } from './written.ts';

/** The shed: opened here, changed in its parts. */
export { litresOf } from './checked.ts';
export * from './layouts.ts';
export { dropPhotosOf, keepPhoto, photoAddress } from './photos.ts';
export * from './records.ts';
export * from './riders.ts';
export * from './settings.ts';
export * from './shelf.ts';
export * from './versions.ts';
export { type EditResult, entryOf, type ShedState, useShed } from './shedState.ts';

const byId = <T extends { id: string }>(items: readonly T[]): Record<string, T> =>
  Object.fromEntries(items.map((item) => [item.id, item]));

/** Rows of a table that can be read; the others are counted and stay where they are. */
function readRows<T>(
  rows: readonly unknown[],
  read: (row: unknown) => T | undefined,
): { good: T[]; unreadable: number } {
  const good = rows.flatMap((row) => {
    const found = read(row);
    return found === undefined ? [] : [found];
  });
  return { good, unreadable: rows.length - good.length };
}

/** Fills a shed in which there is nothing at all with the demo: one where only the settings are lost is left as it is. */
async function fillNewShed(): Promise<void> {
  const counts = await Promise.all([db.boards, db.riders, db.settings, db.blanks].map((table) => table.count()));
  if (counts.some((count) => count > 0)) return;
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

/** Opens the shed; a new one gets the demo boards and riders. */
export async function loadShed(): Promise<void> {
  try {
    await fillNewShed();
    const blanks = readRows(await db.blanks.toArray(), (row) => blankSchema.safeParse(row).data);
    await loadChecked();
    const boards = readRows(await db.boards.toArray(), recordFrom);
    for (const record of boards.good) noteOnDisk(record);
    const riders = readRows(await db.riders.toArray(), (row) => riderSchema.safeParse(row).data);
    noteRidersOnDisk(riders.good);
    takeSettings(await db.settings.get('shop'));
    useShed.setState({
      status: 'ready',
      records: byId(boards.good.filter(({ binnedAt }) => binnedAt === undefined)),
      bin: byId(boards.good.filter(({ binnedAt }) => binnedAt !== undefined)),
      riders: byId(riders.good),
      shelf: blanks.good,
      unreadable: {
        boards: boards.unreadable,
        riders: riders.unreadable,
        blanks: blanks.unreadable,
      },
    });
    if (typeof requestIdleCallback === 'function') void checkAtLeisure(boards.good, takeUnreadable, whenIdle);
  } catch (error) {
    useShed.setState({ status: 'failed', failure: error instanceof Error ? error.message : String(error) });
  }
}

/** A board that turned out not to be readable leaves the rack; its row stays where it is. */
function takeUnreadable(id: string): void {
  takeRecordGone(id);
  useShed.setState(({ unreadable }) => ({ unreadable: { ...unreadable, boards: unreadable.boards + 1 } }));
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
      return takeSettings(message.stored);
  }
}

onTabMessage((message) => {
  if (useShed.getState().status === 'ready') take(message);
});
