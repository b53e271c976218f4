import type * as z from 'zod';
import { merged, sameData, writtenOver } from '@june-tide/core/document';
import { readLeniently } from '@june-tide/core/record';
import { db } from './db.ts';
import { type Rows, Table } from './table.ts';
import { queue } from './shedState.ts';
import { type TableName, tellTabs } from './tabs.ts';

/** Rows of a table of the browser's store, which lets in one writer at a time. */
export function rowsOf(name: TableName): Rows {
  const table = db.table<unknown, string>(name);
  return {
    read: (ids) => table.bulkGet([...ids]),
    list: () => table.toArray(),
    change: async (ids, made) => {
      // One that could not be opened when there was no room is tried again.
      if (!db.isOpen()) await db.open();
      await db.transaction('rw', table, async () => {
        for (const { id, row } of made(await table.bulkGet([...ids]))) {
          if (row === undefined) await table.delete(id);
          else await table.put(row);
        }
      });
    },
  };
}

interface PlainTableOptions<T extends { id: string }> {
  name: TableName;
  schema: z.ZodType<T>;
  /** Reads a row; by the schema, fields of a newer app left out, where it is not given. */
  read?: (row: unknown) => T | undefined;
  shown: (id: string) => T | undefined;
  show: (id: string, value: T | undefined) => void;
}

/** A table whose rows are its values: merged field by field; fields of a newer app that lie there stay. */
export function plainTable<T extends { id: string }>({
  name,
  schema,
  shown,
  show,
  read,
}: PlainTableOptions<T>): Table<T> {
  const readRow =
    read ??
    ((row: unknown) => {
      const found = readLeniently(row, schema, () => undefined);
      return found.kind === 'spoilt' ? undefined : found.value;
    });
  return new Table({
    name,
    rows: rowsOf(name),
    queue,
    shown,
    show,
    read: readRow,
    toRow: (value, lying, lay) => writtenOver(lying, lay, value),
    says: (row, value) => row !== undefined && sameData(readRow(row), value),
    merge: (base, ours, theirs) => {
      const both = schema.safeParse(merged(base, ours, theirs, []));
      return both.success ? both.data : ours;
    },
    tell: (ids) => tellTabs({ kind: 'rows', table: name, ids: [...ids] }),
    unreadable: 'what lies in the store cannot be read, and is not written over: open this window anew',
  });
}
