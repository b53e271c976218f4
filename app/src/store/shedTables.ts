import { boards } from './records.ts';
import { riders } from './riders.ts';
import { settingsTable } from './settings.ts';
import { blanks } from './shelf.ts';
import { type Unwritten } from './table.ts';
import type { TableName } from './tabs.ts';

/** The tables of the shed together. */

const tables = { boards, riders, blanks, settings: settingsTable } as const;
const all = Object.entries(tables) as [TableName, (typeof tables)[TableName]][];

/** Another window wrote rows of a table, or they were written past it. */
export const heardOf = (table: TableName, ids: readonly string[]): Promise<void> => tables[table].heard(ids);

export interface UnwrittenOf extends Unwritten {
  table: TableName;
}

/** All that is not on disk yet. */
export const unwritten = (): UnwrittenOf[] =>
  all.flatMap(([table, of]) => of.unwritten().map((entry) => ({ table, ...entry })));

/** Brings in what was not written when a page went. @returns whether it could be read. */
export const replayed = ({ table, ...entry }: UnwrittenOf): boolean => tables[table].replay(entry);

/** Does something while no table is read or written. */
export const alone = <R>(act: () => Promise<R>): Promise<R> =>
  all.reduce<() => Promise<R>>(
    (done, [, of]) =>
      () =>
        of.inTurn(done),
    act,
  )();

/** Finds what other windows wrote and this one did not hear of. */
export async function lookAgain(): Promise<void> {
  for (const [, of] of all) await of.look();
}
