import { sameData } from '@june-tide/core/document';
import {
  type BoardRecord,
  boardRecordFrom,
  rowUnpacked,
  type StoredRecord,
  unstored,
  writtenOf,
} from '@june-tide/core/record';
import { boardFrom } from '@june-tide/core/shape';
import { type Checked, db } from './db.ts';
import { measuresFor } from './derived.ts';

declare const __CORE__: string | undefined;

/** Names the core that reads and measures: a hash of its source, put in when the app is built. */
export const BY = typeof __CORE__ === 'string' ? __CORE__ : 'unbuilt';

let known = new Map<string, Checked>();

const holds = (of: { id: string; updatedAt: string }): Checked | undefined => {
  const found = known.get(of.id);
  return found?.updatedAt === of.updatedAt ? found : undefined;
};

export async function loadChecked(): Promise<void> {
  const rows = await db.checked.toArray();
  known = new Map(rows.filter(({ by }) => by === BY).map((row) => [row.id, row]));
}

const isRow = (row: unknown): row is { id: string; updatedAt: string } =>
  typeof row === 'object' &&
  row !== null &&
  'id' in row &&
  typeof row.id === 'string' &&
  'updatedAt' in row &&
  typeof row.updatedAt === 'string';

/** Rows that were read as something else than lies there, brought up to today: they are read anew until they are saved. */
const readAsOther = new Set<string>();

/** A record as it is kept: read and built, unless this very state of it was before. Undefined for what cannot be. */
export function recordFrom(row: unknown): BoardRecord | undefined {
  return isRow(row) && holds(row) ? unstored(row as StoredRecord) : wholeFrom(row);
}

function wholeFrom(row: unknown): BoardRecord | undefined {
  const raw = rowUnpacked(row);
  const record = boardRecordFrom(raw);
  if (!record || !boardFrom(record.board).ok) return undefined;
  if (!sameData(raw, record)) readAsOther.add(record.id);
  return record;
}

/** Litres of a board of the shed: as they were found, or measured now. */
export function litresOf(record: BoardRecord): number {
  return holds(record)?.volume_L ?? found(record).volume_L;
}

function found(record: BoardRecord): Checked {
  const { id, updatedAt } = record;
  const row = { id, updatedAt, by: BY, volume_L: measuresFor(record.board).volume_L };
  known.set(id, row);
  return row;
}

/** Notes what a record is found to be, along with its being saved. */
export async function noteChecked(record: BoardRecord): Promise<void> {
  readAsOther.delete(record.id);
  await db.checked.put(found(record));
}

export async function forgetChecked(id: string): Promise<void> {
  known.delete(id);
  await db.checked.delete(id);
}

/** So many are looked at before the page has its thread again, and written at once. */
const AT_ONCE = 4;
const WRITTEN_AT_ONCE = 200;

/**
 * Goes through all records at leisure: each is read whole, whatever was found of it before, and measured if it was not.
 * @param wrong is told of one that cannot be read or built after all.
 */
export async function checkAtLeisure(
  rows: readonly BoardRecord[],
  wrong: (id: string) => void,
  leisure: () => Promise<void>,
): Promise<void> {
  let waiting: Checked[] = [];
  for (const [i, row] of rows.entries()) {
    if (i % AT_ONCE === 0) await leisure();
    const before = holds(row);
    if (!readsWhole(row)) {
      await forgetChecked(row.id);
      wrong(row.id);
      continue;
    }
    // The first question finds it ready.
    writtenOf(row);
    if (!before && !readAsOther.has(row.id)) waiting.push(found(row));
    if (waiting.length < WRITTEN_AT_ONCE) continue;
    await db.checked.bulkPut(waiting);
    waiting = [];
  }
  await db.checked.bulkPut(waiting);
}

function readsWhole(row: BoardRecord): boolean {
  try {
    return boardRecordFrom(row) !== undefined;
  } catch {
    // Its versions cannot be unpacked.
    return false;
  }
}

/** The next time the page has nothing else to do. */
export const whenIdle = (): Promise<void> =>
  new Promise((done) => {
    requestIdleCallback(() => done(), { timeout: 1000 });
  });
