import { type BoardRecord, mergedRecord } from '@june-tide/core/record';
import { today } from './today.ts';

/** Six digits of this window's own: two windows that save in the same millisecond are told apart. */
export const OWN = String(Math.floor(Math.random() * 1e6)).padStart(6, '0');

/** A time later than `before`, whatever was done to the clock. ISO 8601 in UTC. */
export function stampAfter(before: string | undefined): string {
  const now = Date.now();
  const was = before === undefined ? 0 : Date.parse(before);
  const ms = Number.isFinite(was) && Math.floor(was) >= now ? Math.floor(was) + 1 : now;
  return new Date(ms).toISOString().replace('Z', `${OWN}Z`);
}

/** What two windows changed of a board since `base`, with a time later than either. */
export const mergedHere = (base: BoardRecord, ours: BoardRecord, theirs: BoardRecord): BoardRecord => {
  const { record } = mergedRecord(base, ours, theirs, { id: crypto.randomUUID(), on: today() });
  const later = ours.updatedAt > theirs.updatedAt ? ours.updatedAt : theirs.updatedAt;
  return { ...record, updatedAt: stampAfter(later) };
};
