import type { BackupTable, Choice, RestoreRow, ShedRows } from '@june-tide/core/files/packages';
import { rowLegible, rowPacked, stored } from '@june-tide/core/record';
import { db, type LastBackup, openAsItLies, type ShedBefore } from './db.ts';
import { loadShed } from './opening.ts';
import { reasonOf } from './autosaveQueue.ts';
import { queue, useShed } from './shedState.ts';
import { unwritten } from './shedTables.ts';
import { TABLES, tellTabs } from './tabs.ts';
import { today } from './today.ts';

/** The whole shed in one file, by hand or on a rhythm, and out of one again: all of what was chosen is written, or nothing. */

/** A store that has not answered in so long is not waited for. */
const ANSWERS_within_ms = 5000;

/** The store does not say what lies in it: a back-up of it would not be whole. */
export class StoreUnread extends Error {}

async function answered<T>(asked: Promise<T>): Promise<T> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const silence = new Promise<never>((_, refuse) => {
    timer = setTimeout(() => refuse(new StoreUnread('the browser’s store does not answer')), ANSWERS_within_ms);
  });
  try {
    return await Promise.race([asked, silence]);
  } catch (error) {
    throw error instanceof StoreUnread ? error : new StoreUnread(reasonOf(error));
  } finally {
    clearTimeout(timer);
  }
}

/** A row of a back-up as it lies in the store. */
const asItLies = (table: BackupTable, row: unknown): unknown => (table === 'boards' ? rowPacked(row) : row);
const inBackup = (table: BackupTable, row: unknown): unknown => (table === 'boards' ? rowLegible(row) : row);

const idOf = (row: unknown): string | undefined =>
  typeof row === 'object' && row !== null && 'id' in row ? String(row.id) : undefined;

/**
 * Everything: as it lies in the store with packed texts made legible, rows that cannot be read among it, and over it what is not written yet.
 * @throws StoreUnread when a table cannot be read: nothing stands in for what was not.
 */
export async function gatherRows(): Promise<ShedRows> {
  const lying = db.isOpen() ? db : await answered(openAsItLies());
  const all = <T>(name: string): Promise<T[]> =>
    lying.tables.some((table) => table.name === name) ? answered(lying.table<T>(name).toArray()) : Promise.resolve([]);
  const [boards, riders, blanks, settings] = await Promise.all(TABLES.map((name) => all<unknown>(name)));
  const photos = await all<{ id: string; boardId: string; jpeg: Blob }>('photos');
  const changes = unwritten();
  const now = (name: BackupTable, rows: readonly unknown[]): unknown[] => {
    const changed = new Map(changes.flatMap(({ table, id, row }) => (table === name ? [[id, row] as const] : [])));
    const own = [...changed.values()].filter((row) => row !== null);
    return [...rows.filter((row) => !changed.has(idOf(row) ?? '')), ...own].map((row) => inBackup(name, row));
  };
  return {
    boards: now('boards', boards),
    riders: now('riders', riders),
    blanks: now('blanks', blanks),
    settings: now('settings', settings),
    photos: await Promise.all(
      photos.map(async ({ id, boardId, jpeg }) => ({ id, boardId, jpeg: new Uint8Array(await jpeg.arrayBuffer()) })),
    ),
  };
}

/** What this window holds, where the store says nothing: boards, riders, blanks and settings as they stand, rows that could not be read, and no pictures. */
export function rowsOfWindow(): ShedRows {
  const { records, bin, riders, shelf, settings, spoilt } = useShed.getState();
  const unread = (name: BackupTable) => spoilt.flatMap(({ table, row }) => (table === name ? [row] : []));
  return {
    boards: [...[...Object.values(records), ...Object.values(bin)].map(stored), ...unread('boards')].map(rowLegible),
    riders: [...Object.values(riders), ...unread('riders')],
    blanks: [...shelf, ...unread('blanks')],
    settings: [settings],
    photos: [],
  };
}

export interface MadeBackup {
  name: string;
  zip: Uint8Array;
  boards: number;
  riders: number;
  pictures: number;
}

const countsOf = ({ boards, riders, blanks, settings, photos }: ShedRows): number[] =>
  [boards, riders, blanks, settings, photos].map((rows) => rows.length);

/** The day and the time of the shop's clock, as files are named by. */
function stampOfNow(): string {
  const now = new Date();
  const two = (value: number) => String(value).padStart(2, '0');
  return `${today()}-${[now.getHours(), now.getMinutes(), now.getSeconds()].map(two).join('')}`;
}

/**
 * Everything in one zip, read again and counted. It is the caller's to keep; `noteBackup` is told when it is kept.
 * @param rows what goes into it; all that is in the store where left out.
 * @throws StoreUnread as `gatherRows`; Error when what was packed does not read back as what it is of.
 */
export async function makeBackup(rows?: ShedRows): Promise<MadeBackup> {
  const { backupZip, readBackup } = await import('@june-tide/core/files/packages');
  const gathered = rows ?? (await gatherRows());
  const zip = backupZip(gathered, new Date().toISOString());
  const read = readBackup(zip);
  if (!read.ok || countsOf(read.rows).some((count, i) => count !== countsOf(gathered)[i])) {
    throw new Error('what was packed does not read back as what is in the shed');
  }
  const { boards, riders, photos } = read.rows;
  return {
    name: `june-tide-${stampOfNow()}.zip`,
    zip,
    boards: boards.length,
    riders: riders.length,
    pictures: photos.length,
  };
}

/** Days from one back-up to the next where nobody said. */
export const USUAL_EVERY_days = 7;

const usual: LastBackup = { id: 'backup', every_days: USUAL_EVERY_days };
export const lastBackup = async (): Promise<LastBackup> => (await db.keeping.get('backup')) ?? usual;

export async function changeBackup(change: Partial<Omit<LastBackup, 'id'>>): Promise<LastBackup> {
  const next = { ...(await lastBackup()), ...change };
  await db.keeping.put(next);
  return next;
}

export const noteBackup = (into: 'folder' | 'downloads'): Promise<LastBackup> =>
  changeBackup({ at: new Date().toISOString(), into });

const DAY_ms = 86_400_000;

/** How many days ago the last back-up was made; undefined where none was. */
export const daysSince = ({ at }: LastBackup, now_ms: number): number | undefined =>
  at === undefined ? undefined : Math.max(0, Math.floor((now_ms - Date.parse(at)) / DAY_ms));

/** Is it time for the next? A shed of which there is none is due when something of its own is in it. */
export function backupDue(last: LastBackup, now_ms: number, changed: boolean): boolean {
  if (last.every_days === 0) return false;
  const days = daysSince(last, now_ms);
  return days === undefined ? changed : days >= last.every_days;
}

/** Can this browser write into a folder the shaper picks? */
export const picksFolders = (): boolean => 'showDirectoryPicker' in window;

/** Asks for a folder, and writes back-ups there from now on. Undefined where none was picked. */
export async function pickFolder(): Promise<LastBackup | undefined> {
  try {
    const folder = await (
      window as unknown as { showDirectoryPicker: (of: object) => Promise<FileSystemDirectoryHandle> }
    ).showDirectoryPicker({ id: 'june-tide', mode: 'readwrite' });
    return await changeBackup({ folder });
  } catch {
    return undefined;
  }
}

/** A name nothing in the folder has: no back-up takes the place of another. */
async function freeName(folder: FileSystemDirectoryHandle, name: string): Promise<string> {
  for (let no = 1; ; no++) {
    const tried = no === 1 ? name : name.replace(/(\.zip)?$/, `-${no}.zip`);
    try {
      await folder.getFileHandle(tried);
    } catch {
      return tried;
    }
  }
}

/**
 * Writes a back-up into the folder that was picked, beside those that are there, and reads it back from there.
 * @returns the name it has there, or why it is not there.
 */
export async function intoFolder(
  folder: FileSystemDirectoryHandle,
  { name, zip }: MadeBackup,
): Promise<{ ok: true; name: string } | { ok: false; why: string }> {
  try {
    const free = await freeName(folder, name);
    const file = await folder.getFileHandle(free, { create: true });
    const out = await file.createWritable();
    await out.write(zip as unknown as BufferSource);
    await out.close();
    const back = new Uint8Array(await (await file.getFile()).arrayBuffer());
    const isThere = back.length === zip.length && back.every((byte, i) => byte === zip[i]);
    return isThere ? { ok: true, name: free } : { ok: false, why: 'what was written there does not read back whole' };
  } catch (error) {
    return { ok: false, why: reasonOf(error) };
  }
}

/** Waits until nothing is left to be written: what is restored must not be written over by what waits. */
async function settled(): Promise<void> {
  for (let look = 0; queue.busy && look < 100; look++) await new Promise((done) => setTimeout(done, 50));
  if (queue.busy) throw new Error('what was changed last is not saved yet');
}

/**
 * Brings in what was chosen of a back-up, in one go: all of it or nothing.
 * @param choices by table and id; what is not in it is left as it is.
 * @throws Error when it cannot be written; then nothing is changed.
 */
export async function bringBack(
  plan: readonly RestoreRow[],
  choices: ReadonlyMap<RestoreRow, Choice>,
  photos: ShedRows['photos'],
): Promise<number> {
  const { restoredRow } = await import('@june-tide/core/files/packages');
  await settled();
  const rows = plan.flatMap((row) => {
    const naming = { id: crypto.randomUUID(), on: today(), at: new Date().toISOString() };
    const written = restoredRow(row, choices.get(row) ?? 'keep', naming);
    return written === undefined ? [] : [{ table: row.table, written: asItLies(row.table, written) }];
  });
  await db.transaction('rw', [db.boards, db.riders, db.blanks, db.settings, db.photos], async () => {
    for (const name of TABLES) {
      const of = rows.flatMap(({ table, written }) => (table === name ? [written] : []));
      await db.table(name).bulkPut(of);
    }
    await putPhotos(photos);
  });
  await allAnew();
  return rows.length;
}

/**
 * Makes the shed what the back-up is: what is here and not in it is gone from the shed, and the shed as it was is kept in the store whole.
 * @param file what the back-up is called.
 * @throws Error as `bringBack`.
 */
export async function replaceAll(rows: ShedRows, file: string): Promise<void> {
  await settled();
  const { zip, boards } = await makeBackup();
  const before: ShedBefore = {
    id: crypto.randomUUID(),
    at: new Date().toISOString(),
    file,
    boards,
    zip: new Blob([zip as unknown as BlobPart], { type: 'application/zip' }),
  };
  await db.transaction(
    'rw',
    [db.boards, db.riders, db.blanks, db.settings, db.photos, db.checked, db.steps, db.before],
    async () => {
      await db.before.put(before);
      for (const name of [...TABLES, 'photos', 'checked', 'steps']) await db.table(name).clear();
      for (const name of TABLES) await db.table(name).bulkPut(rows[name].map((row) => asItLies(name, row)));
      await putPhotos(rows.photos);
    },
  );
  await allAnew();
}

/** Sheds that gave way to a back-up, the latest first. */
export const shedsBefore = async (): Promise<ShedBefore[]> =>
  (await db.before.toArray()).sort((a, b) => (a.at < b.at ? 1 : -1));

/** Lets a shed of before go for good. */
export const letShedGo = (id: string): Promise<void> => db.before.delete(id);

/** Puts a shed of before back in the place of the one that is here, which is kept in its turn. @throws Error as `bringBack`. */
export async function putShedBack({ id, at, zip }: ShedBefore): Promise<void> {
  const { readBackup } = await import('@june-tide/core/files/packages');
  const read = readBackup(new Uint8Array(await zip.arrayBuffer()));
  if (!read.ok) throw new Error(read.reason);
  await replaceAll(read.rows, `the shed of ${at.slice(0, 10)}`);
  await letShedGo(id);
}

const putPhotos = (photos: ShedRows['photos']) =>
  db.photos.bulkPut(
    photos.map(({ id, boardId, jpeg }) => ({
      id,
      boardId,
      jpeg: new Blob([jpeg as unknown as BlobPart], { type: 'image/jpeg' }),
    })),
  );

/** Everything is read anew, here and in every other window; steps back belong to what was there before. */
async function allAnew(): Promise<void> {
  useShed.setState({ histories: {} });
  await loadShed();
  tellTabs({ kind: 'everything' });
}

export type { LastBackup, ShedBefore };
