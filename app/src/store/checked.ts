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
declare const __READING__: string | undefined;

/** Names the core that measures: a hash of its source, put in when the app is built. */
export const BY = typeof __CORE__ === 'string' ? __CORE__ : 'unbuilt';
/** Names what reading hangs on, in the same way: fewer updates change it. */
const READING = typeof __READING__ === 'string' ? __READING__ : 'unbuilt';

let known = new Map<string, Checked>();

/** What was found of this very state, which could be read then as now. */
const holds = (of: { id: string; updatedAt: string }): Checked | undefined => {
  const found = known.get(of.id);
  return found?.updatedAt === of.updatedAt ? found : undefined;
};

const measuredNow = (of: BoardRecord): Checked | undefined => {
  const found = holds(of);
  return found?.by === BY ? found : undefined;
};

export async function loadChecked(): Promise<void> {
  const rows = await db.checked.toArray();
  known = new Map(rows.filter(({ reading }) => reading === READING).map((row) => [row.id, row]));
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

/** A record read and built, whatever was found of it before. Undefined for what cannot be. */
export function wholeFrom(row: unknown): BoardRecord | undefined {
  const raw = rowUnpacked(row);
  const record = boardRecordFrom(raw);
  if (!record || !boardFrom(record.board).ok) return undefined;
  if (!sameData(raw, record)) readAsOther.add(record.id);
  return record;
}

/** Litres of a board of the shed: as they were found, or measured now. */
export function litresOf(record: BoardRecord): number {
  return measuredNow(record)?.volume_L ?? found(record).volume_L;
}

function found(record: BoardRecord): Checked {
  const { id, updatedAt } = record;
  const row = { id, updatedAt, by: BY, reading: READING, volume_L: measuresFor(record.board).volume_L };
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

/** The page has its thread again after so long, which with one more board is still no long task. */
const AT_ONCE_ms = 30;
const WRITTEN_AT_ONCE = 200;

/** So many of the first are read whole before anything else is done: a whole small shed, what is seen of a large one. */
const READ_FIRST = 40;

/**
 * Goes through all records at leisure: each is read whole, whatever was found of it before, and measured if it was not.
 * @param wrong is told of one that cannot be read or built after all.
 */
export async function checkAtLeisure(
  rows: readonly BoardRecord[],
  wrong: (id: string) => void,
  leisure: () => Promise<void>,
): Promise<void> {
  await readAtLeisure(rows.slice(0, READ_FIRST), wrong, leisure);
  // Then the first question finds its words ready: that is soon done.
  const breath = breathing(leisure);
  for (const row of rows) {
    await breath();
    wordsOf(row);
  }
  await readAtLeisure(rows.slice(READ_FIRST), wrong, leisure);
}

async function readAtLeisure(
  rows: readonly BoardRecord[],
  wrong: (id: string) => void,
  leisure: () => Promise<void>,
): Promise<void> {
  let waiting: Checked[] = [];
  const breath = breathing(leisure);
  for (const row of rows) {
    await breath();
    const before = measuredNow(row);
    if (!readsWhole(row, before !== undefined)) {
      await forgetChecked(row.id);
      wrong(row.id);
      continue;
    }
    if (!before && !readAsOther.has(row.id)) waiting.push(found(row));
    if (waiting.length < WRITTEN_AT_ONCE) continue;
    await db.checked.bulkPut(waiting);
    waiting = [];
  }
  await db.checked.bulkPut(waiting);
}

/** Waits for leisure at first, and whenever {@link AT_ONCE_ms} have been worked since. */
function breathing(leisure: () => Promise<void>): () => Promise<void> {
  let since_ms = -Infinity;
  return async () => {
    if (performance.now() - since_ms < AT_ONCE_ms) return;
    await leisure();
    since_ms = performance.now();
  };
}

function wordsOf(row: BoardRecord): void {
  try {
    writtenOf(row);
  } catch {
    // It cannot be unpacked, which is told when it is read whole.
  }
}

function readsWhole(row: BoardRecord, wasBuilt: boolean): boolean {
  try {
    return boardRecordFrom(row) !== undefined && (wasBuilt || boardFrom(row.board).ok);
  } catch {
    // Its versions cannot be unpacked.
    return false;
  }
}
