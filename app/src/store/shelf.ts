import { type Blank, blankSchema, shelfSchema } from '@june-tide/core/make';
import { plainTable } from './rows.ts';
import { type EditResult, refused, useShed } from './shedState.ts';

/** The shelf of blanks. Only rows that change are written: what this tab never saw, or could not read, stays as it is. */
export interface ShelfChange {
  put?: readonly Blank[];
  gone?: readonly string[];
}

const changed = (shelf: readonly Blank[], changes: ReadonlyMap<string, Blank | undefined>): Blank[] => {
  const next = new Map(shelf.map((blank) => [blank.id, blank]));
  for (const [id, blank] of changes) {
    if (blank) next.set(id, blank);
    else next.delete(id);
  }
  return [...next.values()];
};

export const blanks = plainTable<Blank>({
  name: 'blanks',
  schema: blankSchema,
  shown: (id) => useShed.getState().shelf.find((blank) => blank.id === id),
  show: (id, blank) => useShed.setState(({ shelf }) => ({ shelf: changed(shelf, new Map([[id, blank]])) })),
});

/**
 * Adds, changes and takes off blanks; all of it is written, or nothing.
 * @returns a function that takes back this change and no other, or why it was refused.
 */
export function changeShelf({
  put = [],
  gone = [],
}: ShelfChange): (EditResult & { ok: false }) | { ok: true; back: () => void } {
  const { shelf } = useShed.getState();
  const changes = new Map<string, Blank | undefined>([
    ...gone.map((id): [string, undefined] => [id, undefined]),
    ...put.map((blank): [string, Blank] => [blank.id, blank]),
  ]);
  const read = shelfSchema.safeParse(changed(shelf, changes));
  if (!read.success) {
    const [{ path, message }] = read.error.issues;
    return refused('shelf', `the shelf cannot hold that: ${message.toLowerCase()}`, path.join('.'));
  }
  const was = new Map(shelf.map((blank) => [blank.id, blank]));
  blanks.change(changes);
  const back = () => {
    const touched = [...changes.keys()];
    changeShelf({
      put: touched.flatMap((id) => was.get(id) ?? []),
      gone: touched.filter((id) => !was.has(id)),
    });
  };
  return { ok: true, back };
}

/** Puts another shelf in the place of the one that is shown; blanks that could not be read stay where they are. */
export function replaceShelf(shelf: readonly Blank[]): ReturnType<typeof changeShelf> {
  const kept = new Set(shelf.map(({ id }) => id));
  const gone = useShed.getState().shelf.flatMap(({ id }) => (kept.has(id) ? [] : [id]));
  return changeShelf({ put: shelf, gone });
}
