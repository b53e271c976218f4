import type * as z from 'zod';
import { understood } from '../document/kept.ts';
import { BOARD_VERSION } from '../document/schema.ts';
import { models } from '../models/models.ts';
import { boardFrom, plainWords } from '../shape/issues.ts';
import { rowUnpacked } from './past.ts';
import { type BoardRecord, boardRecordSchema, recordMigrated } from './record.ts';

/** How a row of the store could be read. */
export type RowRead<T> =
  | { kind: 'read'; value: T }
  /** It has fields this app does not know, all else can be read: a newer app wrote it. */
  | { kind: 'newer'; value: T; unknown: string[] }
  | { kind: 'spoilt'; why: string };

/** More unknown fields than this are no newer app's. */
const MOST_UNKNOWN = 200;

/**
 * A row read by its schema; where all that is amiss are fields the schema does not know, it is read without them and they are named.
 * `row` itself is never changed. Never throws.
 */
export function readLeniently<T>(
  row: unknown,
  schema: z.ZodType<T>,
  built: (value: T) => string | undefined,
): RowRead<T> {
  const unknown: string[] = [];
  let data: unknown = row;
  for (;;) {
    const read = schema.safeParse(data);
    if (read.success) {
      const why = built(read.data);
      if (why !== undefined) return { kind: 'spoilt', why };
      return unknown.length === 0 ? { kind: 'read', value: read.data } : { kind: 'newer', value: read.data, unknown };
    }
    const { issues } = read.error;
    const strange = issues.flatMap((issue) =>
      issue.code === 'unrecognized_keys' ? issue.keys.map((key) => [...issue.path, key]) : [],
    );
    if (strange.length === 0 || strange.length < issues.length || unknown.length + strange.length > MOST_UNKNOWN) {
      const [issue] = issues.filter(({ code }) => code !== 'unrecognized_keys');
      const where = issue ? issue.path.join(' ') : 'it';
      return {
        kind: 'spoilt',
        why: issue ? `${where}: ${plainWords(issue)}`.replace(/^: /, '') : 'it has far too many fields',
      };
    }
    data = structuredClone(data);
    for (const path of strange) {
      unknown.push(path.join('.'));
      takeOut(data, path);
    }
  }
}

function takeOut(data: unknown, path: readonly PropertyKey[]): void {
  let at = data as Record<PropertyKey, unknown>;
  for (const key of path.slice(0, -1)) at = at[key] as Record<PropertyKey, unknown>;
  delete at[path[path.length - 1]];
}

/** What can be understood of a spoilt row, the rest as it is on `usual`; undefined where that cannot be read or built either. */
export function mended<T>(
  row: unknown,
  schema: z.ZodType<T>,
  usual: T,
  built: (value: T) => string | undefined,
): T | undefined {
  const made = understood(schema, row, usual);
  const read = schema.safeParse(made);
  return read.success && built(read.data) === undefined ? read.data : undefined;
}

/** Why a record's board cannot be built; undefined where it can. */
function notBuilt({ board }: BoardRecord): string | undefined {
  const opened = boardFrom(board);
  return opened.ok ? undefined : `the board: ${opened.issues[0].words}`;
}

const isPlain = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null;

/** A board's row: read, read as a newer app's with what is not known left out, or not to be read and why. */
export function boardRowRead(row: unknown): RowRead<BoardRecord> {
  if (!isPlain(row)) return { kind: 'spoilt', why: 'there is nothing in it' };
  const raw = rowUnpacked(row);
  const board = isPlain(raw) ? raw.board : undefined;
  const version = isPlain(board) ? board.version : undefined;
  if (isPlain(raw) && isPlain(board) && typeof version === 'number' && version > BOARD_VERSION) {
    const read = readLeniently({ ...raw, board: { ...board, version: BOARD_VERSION } }, boardRecordSchema, notBuilt);
    if (read.kind === 'spoilt') return { kind: 'spoilt', why: `a newer June Tide wrote it (board version ${version})` };
    const unknown = read.kind === 'newer' ? read.unknown : [];
    return { kind: 'newer', value: read.value, unknown: ['board.version', ...unknown] };
  }
  return readLeniently(recordMigrated(raw), boardRecordSchema, notBuilt);
}

/** What can be understood of a board's row that cannot be read, the rest as on the model of its kind; undefined where nothing can. */
export function boardRowMended(row: unknown): BoardRecord | undefined {
  if (!isPlain(row) || typeof row.id !== 'string') return undefined;
  const raw = recordMigrated(rowUnpacked(row));
  const board = isPlain(raw) && isPlain(raw.board) ? raw.board : {};
  const like = models().find(({ family }) => family === board.family) ?? models()[0];
  const at = typeof row.updatedAt === 'string' ? row.updatedAt : new Date(0).toISOString();
  const usual: BoardRecord = {
    id: row.id,
    number: 1,
    board: { ...like, name: `${like.name}, mended` },
    riderId: null,
    rides: [],
    createdAt: at,
    updatedAt: at,
  };
  return mended(raw, boardRecordSchema, usual, notBuilt);
}
