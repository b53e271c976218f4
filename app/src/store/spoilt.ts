import { blankSchema, usualShelf } from '@june-tide/core/make';
import { boardRowMended, mended, stored } from '@june-tide/core/record';
import { riderSchema } from '@june-tide/core/rider';
import { type Aside, db } from './db.ts';
import { type EditResult, refused, type SpoiltRow, useShed } from './shedState.ts';
import { stampAfter } from './stamps.ts';
import { heardOf } from './shedTables.ts';
import { tellTabs } from './tabs.ts';

/** Rows that cannot be read: put aside as they lie, mended as far as they can be understood, had back. */

const isSame = (a: SpoiltRow, b: SpoiltRow) => a.table === b.table && a.id === b.id;
const gone = (row: SpoiltRow) =>
  useShed.setState(({ spoilt }) => ({ spoilt: spoilt.filter((other) => !isSame(other, row)) }));

const asideOf = ({ table, id, row }: SpoiltRow): Aside => ({
  id: `${table}:${id}`,
  table,
  row,
  at: new Date().toISOString(),
});

/** Takes a row out of its table and keeps it as it is among what is put aside. */
export async function putAside(spoilt: SpoiltRow): Promise<void> {
  await db.transaction('rw', db[spoilt.table], db.aside, async () => {
    await db.aside.put(asideOf(spoilt));
    await db[spoilt.table].delete(spoilt.id);
  });
  gone(spoilt);
}

/**
 * Writes what can be understood of a row in its place, the rest as usual; the row as it was is put aside. One of which nothing makes sense
 * is refused and nothing changes.
 */
export async function mendRow(spoilt: SpoiltRow): Promise<EditResult> {
  const { table, row } = spoilt;
  const REFUSED = refused('spoilt', 'too little of it can be understood: save it as a file, or put it aside');
  if (table === 'boards') {
    const understood = boardRowMended(row);
    if (!understood) return REFUSED;
    const record = { ...understood, updatedAt: stampAfter(understood.updatedAt) };
    await db.transaction('rw', db.boards, db.aside, async () => {
      await db.aside.put(asideOf(spoilt));
      await db.boards.put(stored(record));
    });
  } else if (table === 'riders') {
    // What cannot be understood is as on another card: with none there is nothing to be like.
    const [like] = Object.values(useShed.getState().riders);
    const rider =
      like &&
      mended(row, riderSchema, { ...like, id: spoilt.id, name: 'A rider, mended', boards: [] }, () => undefined);
    if (!rider) return REFUSED;
    await db.transaction('rw', db.riders, db.aside, async () => {
      await db.aside.put(asideOf(spoilt));
      await db.riders.put(rider);
    });
  } else {
    const blank = mended(row, blankSchema, { ...usualShelf()[0], id: spoilt.id }, () => undefined);
    if (!blank) return REFUSED;
    await db.transaction('rw', db.blanks, db.aside, async () => {
      await db.aside.put(asideOf(spoilt));
      await db.blanks.put(blank);
    });
  }
  await heardOf(table, [spoilt.id]);
  tellTabs({ kind: 'rows', table, ids: [spoilt.id] });
  gone(spoilt);
  return { ok: true };
}

export const rowsAside = (): Promise<Aside[]> => db.aside.toArray();

/** Throws what was put aside away for good. */
export const throwAsideAway = (id: string): Promise<void> => db.aside.delete(id);
