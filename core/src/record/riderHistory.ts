import type { Rider } from '../rider/rider.ts';
import type { BoardRecord } from './record.ts';

/** What a rider weighed on a day (YYYY-MM-DD): the latest weighing up to it, the first one before any. kg */
export function massOn(rider: Pick<Rider, 'mass_kg' | 'weights'>, day: string): number {
  const dated = [...rider.weights].sort((a, b) => a.on.localeCompare(b.on));
  const until = dated.filter(({ on }) => on <= day).at(-1);
  return until?.mass_kg ?? dated[0]?.mass_kg ?? rider.mass_kg;
}

/** One board of a rider, with the one made for them before it. */
export interface MadeFor {
  record: BoardRecord;
  before: BoardRecord | undefined;
  /** The rider's weight when it was begun, kg. */
  mass_kg: number;
}

/**
 * Every board made for a rider, the latest first, each beside the one before it.
 * @param dayOf the shop's own day at an instant: core knows no zone.
 */
export function madeFor(
  rider: Rider,
  records: Readonly<Record<string, BoardRecord>>,
  dayOf: (instant: string) => string,
): MadeFor[] {
  const theirs = Object.values(records)
    .filter(({ riderId }) => riderId === rider.id)
    .sort((a, b) => a.createdAt.localeCompare(b.createdAt) || a.id.localeCompare(b.id));
  return theirs
    .map((record, i) => ({ record, before: theirs[i - 1], mass_kg: massOn(rider, dayOf(record.createdAt)) }))
    .reverse();
}
