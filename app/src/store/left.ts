import * as z from 'zod';
import { queue, useShed } from './shedState.ts';
import { OWN } from './stamps.ts';
import { replayed, unwritten, type UnwrittenOf } from './shedTables.ts';
import { TABLES } from './tabs.ts';

/**
 * What was not on disk yet when a page was left: a save reads its row first, and a page can go in between. It is put where a page can
 * write in one breath, and brought in when the shed is opened next; it stays there until it is on disk.
 */

const PLACE = 'june-tide:left';

interface Left extends UnwrittenOf {
  /** The window that left it: two may leave the same thing. */
  by: string;
}

const row = z.looseObject({ id: z.string() });
const leftSchema: z.ZodType<Left> = z.object({
  table: z.enum(TABLES),
  id: z.string(),
  by: z.string(),
  base: row.exactOptional(),
  row: row.nullable(),
  begun: z.array(z.object({ ours: z.unknown(), written: z.unknown() })).exactOptional(),
});
type Named = Pick<Left, 'table' | 'id' | 'by'>;

/** Boards as pages of before left them. */
const leftBeforeSchema = z
  .object({ row, base: row.optional() })
  .transform(({ base, row }): Left => ({ table: 'boards', id: row.id, by: 'before', ...(base ? { base } : {}), row }));

/** What was brought in here and is not known to be on disk. */
let taken: Left[] = [];
const isSame = (a: Named, b: Named) => a.table === b.table && a.id === b.id && a.by === b.by;

/** Keeps what is not saved; called as the page is left. */
export function keepLeft(): void {
  try {
    // What is typed into a field is taken when it is left.
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
    const left = unwritten().map((entry) => ({ ...entry, by: OWN }));
    if (left.length === 0) return;
    // What was brought in here goes on with what was done to it since.
    const own = [...taken, ...left];
    const others = lying().filter((entry) => !(isLeft(entry) && own.some((other) => isSame(entry, other))));
    window.localStorage.setItem(PLACE, JSON.stringify([...others, ...left]));
  } catch {
    // Full or refused: then it is as good as it was without.
  }
}

const isLeft = (entry: unknown): entry is Left => leftSchema.safeParse(entry).success;

function lying(): unknown[] {
  try {
    const read: unknown = JSON.parse(window.localStorage.getItem(PLACE) ?? '[]');
    return Array.isArray(read) ? read : [];
  } catch {
    return [];
  }
}

/** Has it the look of something left by an app newer than this one? */
const isNewers = (entry: unknown): boolean => z.object({ id: z.string(), by: z.string() }).safeParse(entry).success;

/**
 * Brings in what was left behind, over the shed as it was read, merged with what another window saved meanwhile; it is let go once it is
 * on disk. What cannot be read stays where it lies if a newer app left it, and is let go if nobody did.
 */
export function takeLeft(): void {
  if (typeof window === 'undefined') return;
  const entries = lying().map((entry) => leftSchema.or(leftBeforeSchema).safeParse(entry).data ?? entry);
  taken = entries.filter((entry): entry is Left => isLeft(entry) && replayed(entry));
  letGo(entries.filter((entry) => taken.includes(entry as Left) || isNewers(entry)));
  if (taken.length === 0) return;
  if (!queue.busy) return forget();
  const stop = useShed.subscribe(({ save }) => {
    if (save.kind !== 'saved') return;
    stop();
    forget();
  });
}

/** Leaves these entries and no others. */
function letGo(entries: readonly unknown[]): void {
  try {
    if (entries.length > 0) window.localStorage.setItem(PLACE, JSON.stringify(entries));
    else window.localStorage.removeItem(PLACE);
  } catch {
    // Refused: then nothing was left there either.
  }
}

/** What was brought in is on disk. */
function forget(): void {
  letGo(lying().filter((entry) => !(isLeft(entry) && taken.some((own) => isSame(own, entry)))));
  taken = [];
}

if (typeof window !== 'undefined') {
  window.addEventListener('pagehide', keepLeft);
  // A page that comes back goes on saving where it was.
  window.addEventListener('pageshow', ({ persisted }) => {
    if (persisted) letGo(lying().filter((entry) => !(isLeft(entry) && entry.by === OWN)));
  });
}
