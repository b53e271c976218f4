import { type BoardRecord, mergedRecord, stored } from '@june-tide/core/record';
import { recordFrom } from './checked.ts';
import { db } from './db.ts';
import { today } from './today.ts';

/**
 * Board records as they lie on disk, as far as this window knows. Another window may have written since: what a change is told from is here,
 * and both changes are kept. Reading and writing are one transaction of the browser's store, which lets in one writer at a time.
 */

const lies = new Map<string, BoardRecord>();

/** This is how it was read from disk, or how another window said it was written. */
export const noteOnDisk = (record: BoardRecord): void => void lies.set(record.id, record);
export const forgetOnDisk = (id: string): void => void lies.delete(id);
export const onDiskNow = (id: string): BoardRecord | undefined => lies.get(id);

/** Six digits of this window's own: two windows that save in the same millisecond are told apart. */
const OWN = String(Math.floor(Math.random() * 1e6)).padStart(6, '0');

/** A time later than `before`, whatever was done to the clock. ISO 8601 in UTC. */
export function stampAfter(before: string | undefined): string {
  const now = Date.now();
  const was = before === undefined ? 0 : Date.parse(before);
  const ms = Number.isFinite(was) && Math.floor(was) >= now ? Math.floor(was) + 1 : now;
  return new Date(ms).toISOString().replace('Z', `${OWN}Z`);
}

export const mergedHere = (base: BoardRecord, ours: BoardRecord, theirs: BoardRecord): BoardRecord => {
  const { record } = mergedRecord(base, ours, theirs, { id: crypto.randomUUID(), on: today() });
  const later = ours.updatedAt > theirs.updatedAt ? ours.updatedAt : theirs.updatedAt;
  return { ...record, updatedAt: stampAfter(later) };
};

/**
 * Writes a record, with what another window changed of it meanwhile.
 * @param current the record as it stands when its turn comes; undefined when it is gone, and nothing is written.
 * @returns what was written, and the record it was made from.
 * @throws Error when what lies there was written by a newer app: it stays as it is.
 */
export async function writeRecord(
  id: string,
  current: () => BoardRecord | undefined,
): Promise<{ ours: BoardRecord; written: BoardRecord } | undefined> {
  const done = await db.transaction('rw', db.boards, async () => {
    const row: unknown = await db.boards.get(id);
    const ours = current();
    if (!ours) return undefined;
    const written = row === undefined ? ours : withTheirs(row, lies.get(id), ours);
    await db.boards.put(stored(written));
    return { ours, written };
  });
  // Only now: a put that succeeds is undone where its transaction is not committed, as on a full disk. Another window may have written
  // after it and said so meanwhile.
  const noted = lies.get(id);
  if (done && !(noted && noted.updatedAt > done.written.updatedAt)) lies.set(id, done.written);
  return done;
}

function withTheirs(row: unknown, base: BoardRecord | undefined, ours: BoardRecord): BoardRecord {
  const { updatedAt } = row as { updatedAt?: unknown };
  if (base && updatedAt === base.updatedAt) return ours;
  const theirs = recordFrom(row);
  if (!theirs) {
    throw new Error('another window has written this board with a newer June Tide; open this one anew');
  }
  return mergedHere(base ?? theirs, ours, theirs);
}
