import type { Family } from '../document/schema.ts';
import { cardOf, type Shed } from './ask.ts';
import type { BoardRecord } from './record.ts';
import { type Failure, FAILURES, type Felt } from './ride.ts';

/** What a shop wants to know of the boards that answer. */
export interface Answers {
  boards: number;
  /** How many of each family, and for each rider; the most first. */
  families: { family: Family; boards: number }[];
  riders: { name: string; boards: number }[];
  rides: number;
  felt: Readonly<Record<Felt, number>>;
  failures: { what: Failure; times: number }[];
  /** Litres of shaped foam of all of them. */
  litres_L: number;
  /** Hands of the shop in those that are out of the door, by its own stages. */
  out: number;
  hours_h: number;
}

/** @param hands_h hours of hands in one board, by the shop's stages. */
export function answersOf(found: readonly BoardRecord[], shed: Shed, hands_h: number): Answers {
  const families = new Map<Family, number>();
  const riders = new Map<string, number>();
  const failures = new Map<Failure, number>();
  const felt = { better: 0, same: 0, worse: 0 };
  let [rides, litres_L, out] = [0, 0, 0];
  const more = <K>(map: Map<K, number>, key: K) => map.set(key, (map.get(key) ?? 0) + 1);
  for (const record of found) {
    more(families, record.board.family);
    more(riders, cardOf(shed.riders, record.riderId)?.name ?? 'nobody yet');
    for (const { what } of record.failures ?? []) more(failures, what);
    for (const ride of record.rides) if (ride.felt) felt[ride.felt]++;
    rides += record.rides.length;
    litres_L += shed.litresOf(record);
    if (record.order?.doneOn !== undefined) out++;
  }
  const most = <K>(map: Map<K, number>) => [...map].sort((a, b) => b[1] - a[1]);
  return {
    boards: found.length,
    families: most(families).map(([family, boards]) => ({ family, boards })),
    riders: most(riders).map(([name, boards]) => ({ name, boards })),
    rides,
    felt,
    failures: FAILURES.flatMap((what) => {
      const times = failures.get(what);
      return times === undefined ? [] : [{ what, times }];
    }),
    litres_L,
    out,
    hours_h: out * hands_h,
  };
}
