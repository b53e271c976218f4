import { type BoardRecord, stored, type StoredRecord } from '@june-tide/core/record';
import { recordFrom } from './checked.ts';
import { db } from './db.ts';
import { entryOf, queue, useShed } from './shedState.ts';
import { mergedHere, onDiskNow } from './written.ts';

/**
 * What was not on disk yet when a page was left: a save reads its row first, and a page can go in between. It is put where a page can
 * write in one breath, and taken from there when the shed is opened next.
 */

const PLACE = 'june-tide:left';

interface Left {
  /** As it lay on disk, as far as the page knew; nothing for a new board. */
  base?: StoredRecord;
  row: StoredRecord;
}

/** Boards of the queue that are not on disk, as they stand. */
function unsaved(): BoardRecord[] {
  const { records, bin } = useShed.getState();
  return queue.unsaved.flatMap((key) => {
    const id = key.startsWith('board:') ? key.slice('board:'.length) : undefined;
    const record = entryOf(records, id) ?? entryOf(bin, id);
    return record ? [record] : [];
  });
}

/** Keeps what is not saved; called as the page is left. */
export function keepLeft(): void {
  try {
    const left = unsaved().map((record): Left => {
      const base = onDiskNow(record.id);
      return { row: stored(record), ...(base ? { base: stored(base) } : {}) };
    });
    if (left.length === 0) return;
    const others = leftBehind().filter((other) => left.every(({ row }) => row.id !== other.row.id));
    window.localStorage.setItem(PLACE, JSON.stringify([...others, ...left]));
  } catch {
    // Full or refused: then it is as good as it was without.
  }
}

const isLeft = (entry: unknown): entry is Left =>
  typeof entry === 'object' && entry !== null && typeof (entry as Partial<Left>).row?.id === 'string';

function leftBehind(): Left[] {
  try {
    const read: unknown = JSON.parse(window.localStorage.getItem(PLACE) ?? '[]');
    return Array.isArray(read) ? read.filter(isLeft) : [];
  } catch {
    return [];
  }
}

/** Puts what was left behind where it belongs, before the shed is read, merged with what another window saved meanwhile. What cannot be read, or was saved after all, is let go. */
export async function takeLeft(): Promise<void> {
  if (typeof window === 'undefined') return;
  for (const { base: was, row } of leftBehind()) {
    const ours = recordFrom(row);
    const base = was && recordFrom(was);
    if (!ours) continue;
    await db.transaction('rw', db.boards, async () => {
      const there: unknown = await db.boards.get(ours.id);
      const theirs = there === undefined ? undefined : recordFrom(there);
      // A row that cannot be read is not written over, and a board that was thrown away since stays so.
      if ((there !== undefined && !theirs) || (there === undefined && base)) return;
      if (theirs && (theirs.updatedAt === ours.updatedAt || !base)) return;
      const written = !theirs || theirs.updatedAt === base?.updatedAt ? ours : mergedHere(base!, ours, theirs);
      await db.boards.put(stored(written));
    });
  }
  forget();
}

function forget(): void {
  try {
    window.localStorage.removeItem(PLACE);
  } catch {
    // Refused: then nothing was left there either.
  }
}

if (typeof window !== 'undefined') {
  window.addEventListener('pagehide', keepLeft);
  // A page that comes back goes on saving where it was.
  window.addEventListener('pageshow', ({ persisted }) => {
    if (persisted) forget();
  });
}
