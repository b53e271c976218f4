import { deflateSync, inflateSync, strFromU8, strToU8 } from 'fflate';
import type { Board } from '../document/schema.ts';
import { type Replaced, replacedBetween, withReplaced } from '../edit/changes.ts';
import type { BoardRecord, Version } from './record.ts';
import type { Ride } from './ride.ts';

/**
 * How a record lies in a store: its versions packed into one text, the first whole and each next by what was replaced since the one
 * before it, and its rides into another; both deflated. A shed of thousands of boards is handed over by the store in a third of the time
 * so; they are unpacked when they are first asked for. Exact: what is replaced gives the next to the last digit. Rows of before have the
 * texts as they are, or `versions` and `rides` themselves.
 */
export type StoredRecord = Omit<BoardRecord, 'versions' | 'rides'> & { past?: string; rode?: string; rides?: Ride[] };

type Packed = Omit<Version, 'board'> & ({ board: Board } | { replaced: Replaced[] });

/** A text is packed no longer and unpacked no longer than this: ten times the most versions and rides a board can have. */
const MOST_PACKED = 4e6;
const MOST_UNPACKED = 32e6;

/** A text deflated (RFC 1951), a letter a byte, after its length in bytes: `z812:…`. No JSON begins so. */
function packedText(text: string): string {
  const bytes = strToU8(text);
  return `z${bytes.length}:${strFromU8(deflateSync(bytes), true)}`;
}

/** The text that was packed; one that never was, as it is. @throws Error where it is no such text, or far too long. */
function textIn(packed: string): string {
  const [head, length] = /^z([0-9]{1,8}):/.exec(packed) ?? [];
  if (head === undefined) return packed;
  if (packed.length > MOST_PACKED || Number(length) > MOST_UNPACKED) throw new RangeError('far too long');
  const bytes = inflateSync(strToU8(packed.slice(head.length), true), { out: new Uint8Array(Number(length)) });
  if (bytes.length !== Number(length)) throw new SyntaxError('cut off');
  return strFromU8(bytes);
}

/** Texts of versions and rides that were packed or unpacked: they are never changed in place. */
const texts = new WeakMap<readonly Version[] | readonly Ride[], string>();

function packedOf<T extends readonly Version[] | readonly Ride[]>(entries: T, plain: (entries: T) => unknown): string {
  const known = texts.get(entries);
  if (known !== undefined) return known;
  const text = packedText(JSON.stringify(plain(entries)));
  texts.set(entries, text);
  return text;
}

/** Each version by what was replaced since the one before it. */
const byReplaced = (versions: readonly Version[]): Packed[] =>
  versions.map(({ board, ...rest }, i): Packed => {
    if (i === 0) return { ...rest, board };
    return { ...rest, replaced: replacedBetween(versions[i - 1].board, board) };
  });

/** Versions out of their text. @throws whatever the text is not: nothing is made up for what is spoilt. */
function versionsIn(past: string): Version[] {
  const packed = JSON.parse(textIn(past)) as Packed[];
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
  return versions;
}

/** Rides out of their text. @throws as `versionsIn`. */
function ridesIn(rode: string): Ride[] {
  const rides: unknown = JSON.parse(textIn(rode));
  if (!Array.isArray(rides)) throw new SyntaxError('no list of rides');
  return rides as Ride[];
}

/** A record as it is stored. */
export function stored(record: BoardRecord): StoredRecord {
  const { versions, rides, ...rest } = record;
  return {
    ...rest,
    ...(rides.length > 0 ? { rode: packedOf(rides, (plain) => plain) } : { rides }),
    ...(versions ? { past: packedOf(versions, byReplaced) } : {}),
  };
}

/** A field that is unpacked when it is asked for, once. */
function lazily<T extends readonly Version[] | readonly Ride[]>(
  record: object,
  field: 'versions' | 'rides',
  packed: string,
  unpack: (packed: string) => T,
): () => boolean {
  let entries: T | undefined;
  const get = () => {
    if (entries) return entries;
    entries = unpack(packed);
    // Saved again it lies as it is packed now, whatever it lay as before.
    if (packed.startsWith('z')) texts.set(entries, packed);
    return entries;
  };
  Object.defineProperty(record, field, { enumerable: true, configurable: true, get });
  return () => entries !== undefined;
}

/** A stored record as it is used; its versions and rides are unpacked when they are asked for. */
export function unstored(row: StoredRecord): BoardRecord {
  const { past, rode, ...record } = row;
  if (rode !== undefined) lazily(record, 'rides', rode, ridesIn);
  if (past !== undefined) {
    const isUnpacked = lazily(record, 'versions', past, versionsIn);
    pasts.set(record, () => (isUnpacked() ? undefined : past));
  }
  return record as BoardRecord;
}

/** Of records whose versions are not unpacked yet: their text. */
const pasts = new WeakMap<object, () => string | undefined>();

/** Why each version of a record was made; without its boards being put together where nobody asked for them yet. */
export function whysOf(record: BoardRecord): string[] {
  const past = pasts.get(record)?.();
  if (past === undefined) return record.versions?.map(({ why }) => why) ?? [];
  try {
    return (JSON.parse(textIn(past)) as Packed[]).map(({ why }) => why);
  } catch {
    // The record is told to be spoilt where it is read whole.
    return [];
  }
}

const isPlain = (row: unknown): row is Record<string, unknown> => typeof row === 'object' && row !== null;

/** A text of a row unpacked; one that is spoilt stays as that text, so that the row is refused and not read without it. */
function unpackedOr(packed: unknown, unpack: (packed: string) => unknown): unknown {
  try {
    return typeof packed === 'string' ? unpack(packed) : packed;
  } catch {
    return packed;
  }
}

/** A row of a store, of any age, with its versions and rides whole, for whoever reads it anew. */
export function rowUnpacked(row: unknown): unknown {
  if (!isPlain(row) || !('past' in row || 'rode' in row)) return row;
  const { past, rode, ...rest } = row;
  return {
    ...rest,
    ...('rode' in row ? { rides: unpackedOr(rode, ridesIn) } : {}),
    ...('past' in row ? { versions: unpackedOr(past, versionsIn) } : {}),
  };
}

/**
 * A row as it lay before versions and rides were packed, or when they were and not deflated, packed; any other as it is. The named
 * migration of the store.
 */
export function rowPacked(row: unknown): unknown {
  if (!isPlain(row)) return row;
  const { versions, rides, past } = row;
  const whole =
    Array.isArray(versions) &&
    versions.every((entry: unknown) => typeof entry === 'object' && entry !== null && 'board' in entry);
  const isText = typeof past === 'string' && past.startsWith('[');
  const ridden = Array.isArray(rides) && rides.length > 0;
  if (!whole && !isText && !ridden) return row;
  const packed: Record<string, unknown> = { ...row };
  if (ridden) {
    delete packed.rides;
    packed.rode = packedOf(rides as Ride[], (plain) => plain);
  }
  if (whole) {
    delete packed.versions;
    packed.past = packedOf(versions as Version[], byReplaced);
  } else if (isText) packed.past = packedText(past);
  return packed;
}

/** A row of a store as a person can read it in a file: texts as they are, rides as a list. What cannot be unpacked stays as it lies. */
export function rowLegible(row: unknown): unknown {
  if (!isPlain(row) || !('past' in row || 'rode' in row)) return row;
  const { past, rode, ...rest } = row;
  const rides = unpackedOr(rode, ridesIn);
  return {
    ...rest,
    ...(Array.isArray(rides) ? { rides } : 'rode' in row ? { rode } : {}),
    ...('past' in row ? { past: unpackedOr(past, textIn) } : {}),
  };
}
