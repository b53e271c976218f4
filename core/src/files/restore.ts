import { sameData } from '../document/kept.ts';
import { changesSentence } from '../edit/changes.ts';
import type { Day } from '../make/workingDays.ts';
import { mergedRecord } from '../record/mergedRecord.ts';
import { rowUnpacked, stored } from '../record/past.ts';
import { type BoardRecord, boardRecordFrom } from '../record/record.ts';
import { versionsOf } from '../record/versions.ts';
import { boardFrom } from '../shape/issues.ts';
import type { LengthStyle } from '../units/format.ts';
import { BACKUP_TABLES, type BackupTable, type ShedRows } from './backup.ts';

/** How a thing of a back-up stands to what is here. */
export type Fate = 'new' | 'newer' | 'older' | 'differs' | 'same' | 'unread';

/** What is done with it: left as it is here, taken as it is there, or both kept: the later is worked on, the other is a version of it. */
export type Choice = 'keep' | 'take' | 'both';

export interface RestoreRow {
  table: BackupTable;
  id: string;
  /** What a person calls it. */
  name: string;
  fate: Fate;
  /** What may be chosen, the usual first. */
  choices: readonly [Choice, ...Choice[]];
  mine: unknown;
  theirs: unknown;
}

const isRow = (row: unknown): row is Record<string, unknown> & { id: string } =>
  typeof row === 'object' && row !== null && 'id' in row && typeof row.id === 'string';

const textOf = (value: unknown): string | undefined =>
  typeof value === 'string' && value.trim() !== '' ? value.trim() : undefined;

/** What a person calls a row, as far as it can be read. */
export function rowName(table: BackupTable, row: unknown): string {
  if (table === 'settings') return 'The shop’s settings';
  if (!isRow(row)) return 'something without a name';
  if (table !== 'boards') return textOf(row.name) ?? row.id;
  const { board, number } = row;
  const name = typeof board === 'object' && board !== null && 'name' in board ? textOf(board.name) : undefined;
  return [name ?? row.id, typeof number === 'number' ? String(number) : ''].join(' ').trim();
}

function recordOf(row: unknown): BoardRecord | undefined {
  try {
    const record = boardRecordFrom(rowUnpacked(row));
    return record && boardFrom(record.board).ok ? record : undefined;
  } catch {
    // Its versions cannot be unpacked.
    return undefined;
  }
}

const USUAL: Readonly<Record<Fate, readonly [Choice, ...Choice[]]>> = {
  new: ['take', 'keep'],
  newer: ['both', 'take', 'keep'],
  older: ['keep', 'both', 'take'],
  differs: ['keep', 'take'],
  same: ['keep'],
  unread: ['keep', 'take'],
};

/** What a back-up would bring, thing by thing; what is here and not in it is not named. Rows without an id are passed over. */
export function restorePlan(mine: ShedRows, theirs: ShedRows): RestoreRow[] {
  return BACKUP_TABLES.flatMap((table) => {
    const here = new Map(mine[table].filter(isRow).map((row) => [row.id, row]));
    return theirs[table].filter(isRow).map((row): RestoreRow => {
      const own = here.get(row.id);
      const fate = fateOf(table, own, row);
      const usual = USUAL[fate];
      // What cannot be read can lie beside nothing.
      const choices = fate === 'unread' && !own ? (['take', 'keep'] as const) : usual;
      return { table, id: row.id, name: rowName(table, row), fate, choices, mine: own, theirs: row };
    });
  });
}

function fateOf(table: BackupTable, mine: unknown, theirs: Record<string, unknown>): Fate {
  if (mine !== undefined && sameData(mine, theirs)) return 'same';
  if (table !== 'boards') return mine === undefined ? 'new' : 'differs';
  const [ours, other] = [recordOf(mine), recordOf(theirs)];
  if (!other) return 'unread';
  if (mine === undefined) return 'new';
  if (!ours) return 'differs';
  if (ours.updatedAt === other.updatedAt) return 'differs';
  return other.updatedAt > ours.updatedAt ? 'newer' : 'older';
}

/** Why a version is there that a back-up brought, or that stood here before it. */
const BACKED_UP = 'as it was in the back-up';
const HERE_BEFORE = 'as it was here before the back-up';

const more = (count: number, what: string): string[] =>
  count === 0 ? [] : [`${Math.abs(count)} ${what}${Math.abs(count) === 1 ? '' : 's'} ${count > 0 ? 'more' : 'fewer'}`];

/** How a board of a back-up differs from the one here, in words, from here to there; empty where they cannot both be read, or nothing of it does. */
export function restoreDifference({ table, mine, theirs }: RestoreRow, style: LengthStyle): string {
  const [ours, other] = table === 'boards' ? [recordOf(mine), recordOf(theirs)] : [];
  if (!ours || !other) return '';
  const records = [
    ...more(other.rides.length - ours.rides.length, 'ride'),
    ...more(versionsOf(other).length - versionsOf(ours).length, 'version'),
    ...(other.riderId === ours.riderId ? [] : ['for another rider']),
  ];
  const said = [changesSentence(ours.board, other.board, style), records.length > 0 ? `${records.join(', ')}.` : ''];
  return said.filter((words) => words !== '').join(' ');
}

/** The row to be written for a choice; undefined where nothing is. */
export function restoredRow(
  { table, mine, theirs }: RestoreRow,
  choice: Choice,
  naming: { id: string; on: Day; at: string },
): unknown {
  if (choice === 'keep') return undefined;
  if (choice === 'take' || table !== 'boards') return theirs;
  const [ours, other] = [recordOf(mine), recordOf(theirs)];
  if (!ours || !other) return undefined;
  const [later, earlier] = other.updatedAt > ours.updatedAt ? [other, ours] : [ours, other];
  const why = earlier === other ? BACKED_UP : HERE_BEFORE;
  // Nobody knows what both came from: where they are not the same the later stands, and lists have the entries of both.
  const { id, number, rides: _rides, versions: _versions, board: _board, ...rest } = later;
  const nothing = Object.fromEntries(Object.keys(rest).map((key) => [key, undefined]));
  const from = { id, number, ...nothing, rides: [], versions: [], board: {} } as unknown as BoardRecord;
  const { record } = mergedRecord(from, later, earlier, { ...naming, why });
  return stored({ ...record, updatedAt: naming.at });
}
