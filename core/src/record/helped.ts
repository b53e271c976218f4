import { changesSentence } from '../edit/changes.ts';
import type { LengthStyle } from '../units/format.ts';
import type { BoardRecord } from './record.ts';
import type { Ride } from './ride.ts';

/** A change a rider has judged: what it was, on which board, and whether it went better or worse after it. */
export interface Judged {
  record: BoardRecord;
  no: number;
  /** The change, computed. */
  words: string;
  felt: 'better' | 'worse';
  on: string;
}

/** Is a ride this rider's: by card, or on a board of theirs by nobody else? */
function isTheirs(ride: Ride, record: BoardRecord, riderId: string): boolean {
  return ride.riderId === undefined ? ride.rider === undefined && record.riderId === riderId : ride.riderId === riderId;
}

/** All rides of a rider, on whosever boards, the latest first. */
export function ridesOf(riderId: string, records: readonly BoardRecord[]): { record: BoardRecord; ride: Ride }[] {
  return records
    .flatMap((record) =>
      record.rides.filter((ride) => isTheirs(ride, record, riderId)).map((ride) => ({ record, ride })),
    )
    .sort((a, b) => b.ride.on.localeCompare(a.ride.on));
}

/** Which changes helped a rider and which did not, the latest first: each version against the one it was drawn from, by their rides. */
export function judgedChanges(riderId: string, records: readonly BoardRecord[], style: LengthStyle): Judged[] {
  const seen = new Set<string>();
  return ridesOf(riderId, records).flatMap(({ record, ride }): Judged[] => {
    const version = record.versions?.find(({ id }) => id === ride.version);
    const from = record.versions?.find(({ id }) => id === version?.from);
    const { felt } = ride;
    if (!version || !from || (felt !== 'better' && felt !== 'worse')) return [];
    const key = `${record.id} ${version.id} ${felt}`;
    if (seen.has(key)) return [];
    seen.add(key);
    return [{ record, no: version.no, words: changesSentence(from.board, version.board, style), felt, on: ride.on }];
  });
}
