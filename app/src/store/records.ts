import type { Board } from '@june-tide/core/document';
import {
  type BoardRecord,
  boardRecordSchema,
  cardFor,
  type Parent,
  stepsPacked,
  stepsUnpacked,
  stored,
} from '@june-tide/core/record';
import { boardFrom } from '@june-tide/core/shape';
import { forgetChecked, noteChecked, recordFrom } from './checked.ts';
import { db } from './db.ts';
import { askToLast } from './room.ts';
import { rowsOf } from './rows.ts';
import { dropPhotosOf } from './photos.ts';
import { noHistory, redone, stepped, undone } from './history.ts';
import { type EditResult, entryOf, queue, refused, type ShedState, useShed, without } from './shedState.ts';
import { Table } from './table.ts';
import { tellTabs } from './tabs.ts';
import { today } from './today.ts';
import { mergedHere, stampAfter } from './stamps.ts';

/** Boards of the rack: added, changed by named steps, undone, taken off and put back. */

/** All of a record but its board, which is checked by itself. */
const aroundBoardSchema = boardRecordSchema.omit({ board: true });

const inItsPlace =
  (record: BoardRecord) =>
  ({ records, bin }: Pick<ShedState, 'records' | 'bin'>): Pick<ShedState, 'records' | 'bin'> =>
    record.binnedAt === undefined
      ? { records: { ...records, [record.id]: record }, bin: without(bin, record.id) }
      : { records: without(records, record.id), bin: { ...bin, [record.id]: record } };

/** A record as it stands, on the rack or in the bin. */
function standing(id: string): BoardRecord | undefined {
  const { records, bin } = useShed.getState();
  return entryOf(records, id) ?? entryOf(bin, id);
}

let asked = false;
/** With the first board that is somebody's own, the browser is asked not to clear the shed by itself. */
function askToLastOnce(): void {
  if (asked) return;
  asked = true;
  void askToLast();
}

/** What hangs on a board that was written, or is gone from disk. */
async function afterWrite(id: string): Promise<void> {
  const record = standing(id);
  if (record) {
    await noteChecked(record);
    await keepSteps(record);
  } else {
    await dropPhotosOf(id);
    await forgetChecked(id);
    await db.steps.delete(id);
  }
}

/** Each board's time, which says whether it is another: boards are large. */
const stampsOfBoards = (): Promise<Pick<BoardRecord, 'id' | 'updatedAt'>[]> =>
  db.transaction('r', db.boards, async () => {
    const byTime = db.boards.orderBy('updatedAt');
    const [ids, times] = await Promise.all([byTime.primaryKeys(), byTime.keys()]);
    return ids.map((id, i) => ({ id, updatedAt: String(times[i]) }));
  });

export const boards = new Table<BoardRecord>({
  name: 'boards',
  rows: { ...rowsOf('boards'), list: stampsOfBoards },
  queue,
  shown: standing,
  show: (id, record, from) => {
    if (!record) takeGone(id);
    else if (from === 'elsewhere') takeStep(record);
    else useShed.setState(inItsPlace(record));
  },
  read: recordFrom,
  toRow: (record) => stored({ ...record, card: cardFor(record.board, record.card) }),
  says: (row, { updatedAt }) => (row as { updatedAt?: unknown } | undefined)?.updatedAt === updatedAt,
  merge: mergedHere,
  afterWrite: async (ids) => {
    askToLastOnce();
    for (const id of ids) await afterWrite(id);
  },
  tell: (ids) => tellTabs({ kind: 'rows', table: 'boards', ids: [...ids] }),
  unreadable: 'another window has written this board with a newer June Tide; open this one anew',
});

/** Puts a record in its place, on the rack or in the bin, and on disk. */
const keep = (record: BoardRecord, patient = false): void => boards.change(new Map([[record.id, record]]), patient);

/** Writes what can be undone and redone of a board, so that it outlives a reload. */
async function keepSteps(present: BoardRecord): Promise<void> {
  const history = entryOf(useShed.getState().histories, present.id);
  if (history) await db.steps.put(stepsPacked(present, history.past, history.future));
}

/** Steps of a board from before the page was opened, where they belong to the board as it stands. */
export async function recallSteps(id: string): Promise<void> {
  const kept = await db.steps.get(id);
  const present = standing(id);
  if (!kept || !present || kept.at !== present.updatedAt || entryOf(useShed.getState().histories, id)) return;
  try {
    const history = { ...noHistory<BoardRecord>(), ...stepsUnpacked(present, kept) };
    useShed.setState(({ histories }) => ({ histories: { ...histories, [id]: history } }));
  } catch {
    // Spoilt steps are worth nothing: the board is whole without them.
  }
}

/** Sets a record that came from elsewhere, as a step of its own, which can be undone: nothing is lost on either side. */
function takeStep(record: BoardRecord): void {
  useShed.setState((shed) => {
    const before = entryOf(shed.records, record.id);
    const history =
      before &&
      stepped(shed.histories[record.id] ?? noHistory(), before, 'change in another tab', 'other-tab', Date.now());
    return {
      ...inItsPlace(record)(shed),
      histories: history ? { ...shed.histories, [record.id]: history } : shed.histories,
    };
  });
}

/** A board that is gone, here or in another tab. */
export function takeGone(id: string): void {
  useShed.setState(({ records, bin, histories }) => ({
    records: without(records, id),
    bin: without(bin, id),
    histories: without(histories, id),
  }));
}

/** The number as it is if no other board, in the bin or out, bears it with that name; else the next after theirs. */
function ownNumber(id: string, name: string, number: number): number {
  const { records, bin } = useShed.getState();
  const others = [...Object.values(records), ...Object.values(bin)].filter((r) => r.id !== id && r.board.name === name);
  if (!others.some((other) => other.number === number)) return number;
  return Math.max(...others.map((other) => other.number)) + 1;
}

function nextNumber(name: string): number {
  const { records, bin } = useShed.getState();
  const numbers = [...Object.values(records), ...Object.values(bin)].flatMap((r) =>
    r.board.name === name ? [r.number] : [],
  );
  return Math.max(0, ...numbers) + 1;
}

/** Adds a board to the rack and gives its id. */
export function addBoard(board: Board, riderId: string | null, parents: readonly Parent[] = []): string {
  const now = stampAfter(undefined);
  const record: BoardRecord = {
    id: crypto.randomUUID(),
    number: nextNumber(board.name),
    board,
    riderId,
    rides: [],
    ...(parents.length > 0 ? { parents: [...parents] } : {}),
    createdAt: now,
    updatedAt: now,
  };
  keep(record);
  return record.id;
}

const LOCKED = refused('locked', 'the outline is locked: let it go on the Outline step first', 'outline');
const NEWER = refused(
  'newer',
  'a newer June Tide wrote this board: it is shown and not changed; update this one, or copy the board',
);
const GONE = refused('gone', 'this board is no longer on the rack');

const movesOutline = (before: Board, after: Board): boolean =>
  after.outline !== before.outline || after.length_mm !== before.length_mm;

/** Would the record be read again as it is written? Only what changed is looked at. */
function readable(before: BoardRecord, after: BoardRecord): EditResult {
  if (after.board !== before.board) {
    const opened = boardFrom(after.board);
    if (!opened.ok) return opened;
  }
  const { board: _before, ...was } = before;
  const { board: _after, ...is } = after;
  const keys = new Set([...Object.keys(was), ...Object.keys(is)]) as Set<keyof typeof is>;
  if ([...keys].every((key) => was[key] === is[key])) return { ok: true };
  const read = aroundBoardSchema.safeParse(is);
  if (read.success) return { ok: true };
  const issues = read.error.issues.map(({ code, path, message }) => ({
    code,
    path: path.join('.'),
    words: `${path.join(' ')}: ${message.toLowerCase()}; it is left as it was`,
  }));
  return { ok: false, issues };
}

/**
 * Changes one record by a named step. The record must stay one that can be read and its board one that can be built: if
 * not, nothing changes and the issues are given. `mergeKey` joins a run of small steps (a drag, nudges) into one that is
 * undone at once. A board renamed to a name and number that another bears gets the next number.
 */
export function edit(
  id: string,
  name: string,
  change: (record: BoardRecord) => BoardRecord,
  mergeKey?: string,
): EditResult {
  const shed = useShed.getState();
  const before = entryOf(shed.records, id);
  if (!before) return GONE;
  if (shed.newer.has(id)) return NEWER;
  let changed = change(before);
  if (changed === before) return { ok: true };
  if (before.outlineLocked && changed.outlineLocked && movesOutline(before.board, changed.board)) return LOCKED;
  const written = readable(before, changed);
  if (!written.ok) return written;
  if (changed.board.name !== before.board.name || changed.number !== before.number) {
    changed = { ...changed, number: ownNumber(id, changed.board.name, changed.number) };
  }
  const after = { ...changed, updatedAt: stampAfter(before.updatedAt) };
  const history = stepped(shed.histories[id] ?? noHistory(), before, name, mergeKey, Date.now());
  useShed.setState({ histories: { ...shed.histories, [id]: history } });
  keep(after, mergeKey?.startsWith('drag:'));
  return { ok: true };
}

export function editBoard(id: string, name: string, change: (board: Board) => Board, mergeKey?: string): EditResult {
  return edit(
    id,
    name,
    (record) => {
      const board = change(record.board);
      return board === record.board ? record : { ...record, board };
    },
    mergeKey,
  );
}

function travel(id: string, way: typeof undone<BoardRecord>): void {
  const shed = useShed.getState();
  const present = entryOf(shed.records, id);
  const history = shed.histories[id];
  if (!present || !history) return;
  const moved = way(history, present);
  if (!moved) return;
  useShed.setState({ histories: { ...shed.histories, [id]: moved.history } });
  const { board, number } = moved.present;
  keep({ ...moved.present, number: ownNumber(id, board.name, number), updatedAt: stampAfter(present.updatedAt) });
}

export const undo = (id: string): void => travel(id, undone);
export const redo = (id: string): void => travel(id, redone);

/** Takes a board off the rack into the bin, with all that is noted of it. @returns a function that puts it back. */
export function removeBoard(id: string): () => void {
  const { records, newer } = useShed.getState();
  const record = entryOf(records, id);
  if (record && !newer.has(id)) {
    const now = stampAfter(record.updatedAt);
    keep({ ...record, binnedAt: now, updatedAt: now });
  }
  return () => putBack(id);
}

/** Puts a board from the bin back on the rack. */
export function putBack(id: string): void {
  const binned = entryOf(useShed.getState().bin, id);
  if (!binned) return;
  const { binnedAt: _binned, ...record } = binned;
  keep({
    ...record,
    number: ownNumber(id, record.board.name, record.number),
    updatedAt: stampAfter(record.updatedAt),
  });
}

/** Throws a board of the bin away for good. */
export function throwAway(id: string): void {
  if (!entryOf(useShed.getState().bin, id)) return;
  boards.change(new Map([[id, undefined]]));
}

/** The board is out of the door: it leaves the line and stays on the rack. */
export function handedOver(id: string): EditResult {
  return edit(id, 'handed over', (record) =>
    record.order ? { ...record, order: { ...record.order, doneOn: today() } } : record,
  );
}

export function offTheLine(id: string): EditResult {
  return edit(id, 'off the line', ({ order: _off, ...record }) => record);
}
