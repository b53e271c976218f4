import type { Choice, RestoreRow, ShedRows } from '@june-tide/core/files/packages';
import { rowLegible, rowPacked, stored } from '@june-tide/core/record';
import { db, type LastBackup } from './db.ts';
import { loadShed } from './opening.ts';
import { reasonOf } from './saveQueue.ts';
import { queue, useShed } from './shedState.ts';
import { tellTabs } from './tabs.ts';
import { today } from './today.ts';

/** The whole shed in one file, by hand or on a rhythm, and out of one again: all of what was chosen is written, or nothing. */

const TABLES = ['boards', 'riders', 'blanks', 'settings'] as const;

/** A store that has not answered in so long is not waited for. */
const ANSWERS_within_ms = 5000;
const answered = <T>(asked: Promise<T>, otherwise: T): Promise<T> =>
  Promise.race([
    asked.catch(() => otherwise),
    new Promise<T>((done) => setTimeout(() => done(otherwise), ANSWERS_within_ms)),
  ]);

/** A row of a back-up as it lies in the store. */
const asItLies = (table: (typeof TABLES)[number], row: unknown): unknown => (table === 'boards' ? rowPacked(row) : row);

/** Rows with what is in memory over them: a store that is full, or says nothing, has it not yet. */
function withMemory(rows: readonly unknown[], own: readonly { id: string }[]): unknown[] {
  const held = new Map(own.map((entry) => [entry.id, entry]));
  const isHeld = (row: unknown) => typeof row === 'object' && row !== null && 'id' in row && held.has(String(row.id));
  return [...rows.filter((row) => !isHeld(row)), ...own];
}

/** Everything: as it lies in the store with packed texts made legible, rows that cannot be read among it, and what is not written yet. */
export async function gatherRows(): Promise<ShedRows> {
  const lie = (name: (typeof TABLES)[number]) => answered<unknown[]>(db[name].toArray(), []);
  const [boards, riders, blanks, settings] = await Promise.all(TABLES.map(lie));
  const photos = await answered(db.photos.toArray(), []);
  const shed = useShed.getState();
  const records = [...Object.values(shed.records), ...Object.values(shed.bin)].filter(({ id }) => !shed.newer.has(id));
  const isWritten = shed.save.kind === 'saved';
  return {
    boards: (isWritten ? boards : withMemory(boards, records.map(stored))).map(rowLegible),
    riders: isWritten ? riders : withMemory(riders, Object.values(shed.riders)),
    blanks: isWritten ? blanks : withMemory(blanks, shed.shelf),
    settings: isWritten || settings.length > 0 ? settings : [shed.settings],
    photos: await Promise.all(
      photos.map(async ({ id, boardId, jpeg }) => ({ id, boardId, jpeg: new Uint8Array(await jpeg.arrayBuffer()) })),
    ),
  };
}

export interface MadeBackup {
  name: string;
  zip: Uint8Array;
  boards: number;
}

/** Everything in one zip. It is the caller's to keep; `noteBackup` is told when it is kept. */
export async function makeBackup(): Promise<MadeBackup> {
  const { backupZip } = await import('@june-tide/core/files/packages');
  const rows = await gatherRows();
  const zip = backupZip(rows, new Date().toISOString());
  return { name: `june-tide-${today()}.zip`, zip, boards: rows.boards.length };
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

export const noteBackup = (): Promise<LastBackup> => changeBackup({ at: new Date().toISOString() });

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

/** Writes a back-up into the folder that was picked. @returns why not, where it could not. */
export async function intoFolder(
  folder: FileSystemDirectoryHandle,
  { name, zip }: MadeBackup,
): Promise<string | undefined> {
  try {
    const file = await folder.getFileHandle(name, { create: true });
    const out = await file.createWritable();
    await out.write(zip as unknown as BufferSource);
    await out.close();
    return undefined;
  } catch (error) {
    return reasonOf(error);
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

/** Makes the shed what the back-up is: what is here and not in it is gone. @throws Error as `bringBack`. */
export async function replaceAll(rows: ShedRows): Promise<void> {
  await settled();
  await db.transaction(
    'rw',
    [db.boards, db.riders, db.blanks, db.settings, db.photos, db.checked, db.steps],
    async () => {
      for (const name of [...TABLES, 'photos', 'checked', 'steps']) await db.table(name).clear();
      for (const name of TABLES) await db.table(name).bulkPut(rows[name].map((row) => asItLies(name, row)));
      await putPhotos(rows.photos);
    },
  );
  await allAnew();
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

export type { LastBackup };
