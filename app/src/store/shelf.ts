import { type Blank, shelfSchema } from '@june-tide/core/make';
import { db } from './db.ts';
import { type EditResult, queue, refused, useShed } from './shedState.ts';
import { tellTabs } from './tabs.ts';

/** The shelf of blanks. Only rows that change are written: what this tab never saw, or could not read, stays as it is. */
export interface ShelfChange {
  put?: readonly Blank[];
  gone?: readonly string[];
}

/** Changes not on disk yet, by id: a blank, or undefined for one that is taken off. */
const pending = new Map<string, Blank | undefined>();

const changed = (shelf: readonly Blank[], { put = [], gone = [] }: ShelfChange): Blank[] => {
  const next = new Map(shelf.map((blank) => [blank.id, blank]));
  for (const id of gone) next.delete(id);
  for (const blank of put) next.set(blank.id, blank);
  return [...next.values()];
};

export function takeShelf(change: ShelfChange): void {
  useShed.setState(({ shelf }) => ({ shelf: changed(shelf, change) }));
}

/**
 * Adds, changes and takes off blanks; all of it is written, or nothing.
 * @returns a function that takes back this change and no other, or why it was refused.
 */
export function changeShelf(change: ShelfChange): (EditResult & { ok: false }) | { ok: true; back: () => void } {
  const { shelf } = useShed.getState();
  const next = changed(shelf, change);
  const read = shelfSchema.safeParse(next);
  if (!read.success) {
    const [{ path, message }] = read.error.issues;
    return refused('shelf', `the shelf cannot hold that: ${message.toLowerCase()}`, path.join('.'));
  }
  const was = new Map(shelf.map((blank) => [blank.id, blank]));
  const [put, gone] = [change.put ?? [], change.gone ?? []];
  takeShelf(change);
  for (const id of gone) pending.set(id, undefined);
  for (const blank of put) pending.set(blank.id, blank);
  queue.put('shelf', writePending);
  const back = () => {
    const touched = [...gone, ...put.map(({ id }) => id)];
    changeShelf({
      put: touched.flatMap((id) => was.get(id) ?? []),
      gone: touched.filter((id) => !was.has(id)),
    });
  };
  return { ok: true, back };
}

async function writePending(): Promise<void> {
  const writing = new Map(pending);
  const put = [...writing.values()].flatMap((blank) => (blank ? [blank] : []));
  const gone = [...writing].flatMap(([id, blank]) => (blank ? [] : [id]));
  await db.transaction('rw', db.blanks, async () => {
    await db.blanks.bulkDelete(gone);
    // Fields of a newer app that lie there stay.
    const lie = await db.blanks.bulkGet(put.map(({ id }) => id));
    await db.blanks.bulkPut(put.map((blank, i) => ({ ...lie[i], ...blank })));
  });
  for (const [id, blank] of writing) if (pending.get(id) === blank) pending.delete(id);
  tellTabs({ kind: 'shelf', put, gone });
}

/** Puts another shelf in the place of the one that is shown; blanks that could not be read stay where they are. */
export function replaceShelf(shelf: readonly Blank[]): ReturnType<typeof changeShelf> {
  const kept = new Set(shelf.map(({ id }) => id));
  const gone = useShed.getState().shelf.flatMap(({ id }) => (kept.has(id) ? [] : [id]));
  return changeShelf({ put: shelf, gone });
}
