import type { Board } from '../document/schema.ts';
import { type Replaced, replacedBetween, withReplaced } from '../edit/changes.ts';
import type { BoardRecord, Version } from './record.ts';

/**
 * How a record lies in a store: its versions packed into one text, the first whole and each next by what was replaced since the one
 * before it. A board with ten versions takes a fifth of the room so, and is read in a fraction of the time; it is unpacked when its
 * versions are first asked for. Exact: what is replaced gives the next to the last digit.
 */
export type StoredRecord = Omit<BoardRecord, 'versions'> & { past?: string };

type Packed = Omit<Version, 'board'> & ({ board: Board } | { replaced: Replaced[] });

/** Texts of versions that were packed or unpacked: they are never changed in place. */
const texts = new WeakMap<readonly Version[], string>();

function packedText(versions: readonly Version[]): string {
  const known = texts.get(versions);
  if (known !== undefined) return known;
  const packed = versions.map(({ board, ...rest }, i): Packed => {
    if (i === 0) return { ...rest, board };
    return { ...rest, replaced: replacedBetween(versions[i - 1].board, board) };
  });
  const text = JSON.stringify(packed);
  texts.set(versions, text);
  return text;
}

/** Versions out of their text. @throws whatever the text is not: nothing is made up for what is spoilt. */
function unpackedText(text: string): Version[] {
  const packed = JSON.parse(text) as Packed[];
  const versions: Version[] = [];
  for (const entry of packed) {
    if ('board' in entry) versions.push(entry);
    else {
      const { replaced, ...rest } = entry;
      const before = versions.at(-1);
      if (!before) throw new SyntaxError('the first version is not whole');
      versions.push({ ...rest, board: withReplaced(before.board, replaced) });
    }
  }
  texts.set(versions, text);
  return versions;
}

/** A record as it is stored. */
export function stored(record: BoardRecord): StoredRecord {
  const { versions, ...rest } = record;
  return versions ? { ...rest, past: packedText(versions) } : rest;
}

/** A stored record as it is used; its versions are unpacked when they are asked for, once. */
export function unstored(row: StoredRecord): BoardRecord {
  const { past, ...record } = row;
  if (past === undefined) return record;
  let versions: Version[] | undefined;
  pasts.set(record, () => (versions ? undefined : past));
  return Object.defineProperty(record, 'versions', {
    enumerable: true,
    configurable: true,
    get: () => (versions ??= unpackedText(past)),
  });
}

/** Of records whose versions are not unpacked yet: their text. */
const pasts = new WeakMap<object, () => string | undefined>();

/** Why each version of a record was made; without its boards being put together where nobody asked for them yet. */
export function whysOf(record: BoardRecord): string[] {
  const past = pasts.get(record)?.();
  if (past === undefined) return record.versions?.map(({ why }) => why) ?? [];
  try {
    return (JSON.parse(past) as Packed[]).map(({ why }) => why);
  } catch {
    // The record is told to be spoilt where it is read whole.
    return [];
  }
}

/**
 * A row of a store, of any age, with its versions whole, for whoever reads it anew. Versions whose text is spoilt are left as that
 * text, so that the row is refused and not read without them.
 */
export function rowUnpacked(row: unknown): unknown {
  if (typeof row !== 'object' || row === null || !('past' in row)) return row;
  const { past, ...rest } = row;
  try {
    return { ...rest, versions: typeof past === 'string' ? unpackedText(past) : past };
  } catch {
    return { ...rest, versions: past };
  }
}

/** A row as it lay before versions were packed, packed; any other as it is. The named migration of the store. */
export function rowPacked(row: unknown): unknown {
  if (typeof row !== 'object' || row === null || !('versions' in row)) return row;
  const { versions } = row;
  const whole =
    Array.isArray(versions) &&
    versions.every((entry: unknown) => typeof entry === 'object' && entry !== null && 'board' in entry);
  return whole ? stored(row as BoardRecord) : row;
}
