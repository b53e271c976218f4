import { create } from 'zustand';
import {
  type Blank,
  blankSchema,
  type Board,
  boardFrom,
  type BoardRecord,
  boardRecordSchema,
  type Issue,
  type Rider,
  riderSchema,
  schoolsSchema,
  shelfSchema,
  type Workshop,
  workshopFrom,
  usualShelf,
} from '@june-tide/core';
import { DEMO_RIDERS, demoRecords } from '@june-tide/core/demo';
import { db, type Settings, USUAL_SETTINGS } from './db.ts';
import { type History, noHistory, redone, stepped, undone } from './history.ts';
import { today } from './today.ts';
import { SaveQueue, type SaveState } from './saveQueue.ts';

export type EditResult = { ok: true } | { ok: false; issues: Issue[] };

interface ShedState {
  status: 'loading' | 'ready' | 'failed';
  /** Why the shed could not be opened. */
  failure: string | undefined;
  records: Readonly<Record<string, BoardRecord>>;
  riders: Readonly<Record<string, Rider>>;
  /** Blanks in stock. */
  shelf: readonly Blank[];
  settings: Settings;
  save: SaveState;
  histories: Readonly<Record<string, History<BoardRecord>>>;
  /** Records in the store that could not be read; left there untouched. */
  unreadable: number;
}

export const useShed = create<ShedState>(() => ({
  status: 'loading',
  failure: undefined,
  records: {},
  riders: {},
  shelf: [],
  settings: USUAL_SETTINGS,
  save: { kind: 'saved' },
  histories: {},
  unreadable: 0,
}));

const queue = new SaveQueue((save) => useShed.setState({ save }));
const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('june-tide');

const byId = <T extends { id: string }>(items: readonly T[]): Record<string, T> =>
  Object.fromEntries(items.map((item) => [item.id, item]));

/** Opens the shed; a new one gets the demo boards and riders. */
export async function loadShed(): Promise<void> {
  try {
    const settings = await db.settings.get('shop');
    if (!settings) {
      await db.transaction('rw', db.boards, db.riders, db.settings, async () => {
        await db.riders.bulkPut([...DEMO_RIDERS]);
        await db.boards.bulkPut(demoRecords(today()));
        await db.settings.put(USUAL_SETTINGS);
      });
    }
    if ((await db.blanks.count()) === 0) await db.blanks.bulkPut(usualShelf());
    const blanks = (await db.blanks.toArray()).map((raw) => blankSchema.safeParse(raw));
    const boards = (await db.boards.toArray()).map((raw) => boardRecordSchema.safeParse(raw));
    const riders = (await db.riders.toArray()).map((raw) => riderSchema.safeParse(raw));
    const good = boards.flatMap((parsed) => (parsed.success && boardFrom(parsed.data.board).ok ? [parsed.data] : []));
    useShed.setState({
      status: 'ready',
      records: byId(good),
      riders: byId(riders.flatMap((parsed) => (parsed.success ? [parsed.data] : []))),
      shelf: blanks.flatMap((parsed) => (parsed.success ? [parsed.data] : [])),
      settings: settingsFrom(settings),
      unreadable: boards.length - good.length,
    });
  } catch (error) {
    useShed.setState({ status: 'failed', failure: error instanceof Error ? error.message : String(error) });
  }
}

function keep(record: BoardRecord, patient = false): void {
  useShed.setState((shed) => ({ records: { ...shed.records, [record.id]: record } }));
  queue.put(
    `board:${record.id}`,
    async () => {
      await db.boards.put(record);
      channel?.postMessage({ kind: 'board', record });
    },
    patient,
  );
}

/** A board from another tab comes in as a step of its own, which can be undone: nothing is lost on either side. */
function takeRecord(record: BoardRecord): void {
  useShed.setState((shed) => {
    const before = shed.records[record.id];
    const histories = before
      ? {
          ...shed.histories,
          [record.id]: stepped(
            shed.histories[record.id] ?? noHistory(),
            before,
            'change in another tab',
            'other-tab',
            Date.now(),
          ),
        }
      : shed.histories;
    return { records: { ...shed.records, [record.id]: record }, histories };
  });
}

/** What the shop has is the same in every tab: else the tab that saved last would write the old over the new. */
channel?.addEventListener('message', (event: MessageEvent<unknown>) => {
  const { data } = event;
  if (typeof data !== 'object' || data === null || useShed.getState().status !== 'ready') return;
  if ('record' in data) {
    const parsed = boardRecordSchema.safeParse(data.record);
    if (parsed.success) takeRecord(parsed.data);
  } else if ('rider' in data) {
    const parsed = riderSchema.safeParse(data.rider);
    if (parsed.success) useShed.setState((shed) => ({ riders: { ...shed.riders, [parsed.data.id]: parsed.data } }));
  } else if ('shelf' in data) {
    const parsed = shelfSchema.safeParse(data.shelf);
    if (parsed.success) useShed.setState({ shelf: parsed.data });
  } else if ('gone' in data) {
    const id = String(data.gone);
    useShed.setState(({ records: { [id]: _gone, ...records } }) => ({ records }));
  } else if ('settings' in data) {
    useShed.setState({ settings: settingsFrom(data.settings) });
  }
});

/** Settings as they were kept, each part that cannot be read any more as usual. */
function settingsFrom(stored: unknown): Settings {
  const kept: Partial<Settings> = typeof stored === 'object' && stored !== null ? stored : {};
  return {
    ...USUAL_SETTINGS,
    ...kept,
    schools: schoolsSchema.parse(kept.schools ?? {}),
    workshop: workshopFrom(kept.workshop),
  };
}

/** Adds a board to the rack and gives its id. */
export function addBoard(board: Board, riderId: string | null): string {
  const now = new Date().toISOString();
  const { records } = useShed.getState();
  const numbers = Object.values(records).flatMap((r) => (r.board.name === board.name ? [r.number] : []));
  const record: BoardRecord = {
    id: crypto.randomUUID(),
    number: Math.max(0, ...numbers) + 1,
    board,
    riderId,
    rides: [],
    createdAt: now,
    updatedAt: now,
  };
  keep(record);
  return record.id;
}

const LOCKED: EditResult = {
  ok: false,
  issues: [{ code: 'locked', path: 'outline', words: 'the outline is locked: let it go on the Outline step first' }],
};

const movesOutline = (before: Board, after: Board): boolean =>
  after.outline !== before.outline || after.length_mm !== before.length_mm;

/**
 * Changes one record by a named step. The board must stay one that can be built: if not, nothing changes and the
 * issues are given. `mergeKey` joins a run of small steps (a drag, nudges) into one that is undone at once.
 */
export function edit(
  id: string,
  name: string,
  change: (record: BoardRecord) => BoardRecord,
  mergeKey?: string,
): EditResult {
  const shed = useShed.getState();
  const before = shed.records[id];
  if (!before) return { ok: false, issues: [{ code: 'gone', path: '', words: 'this board is no longer on the rack' }] };
  const changed = change(before);
  if (changed === before) return { ok: true };
  if (changed.board !== before.board) {
    if (before.outlineLocked && changed.outlineLocked && movesOutline(before.board, changed.board)) return LOCKED;
    const opened = boardFrom(changed.board);
    if (!opened.ok) return opened;
  }
  const after = { ...changed, updatedAt: new Date().toISOString() };
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
  const present = shed.records[id];
  const history = shed.histories[id];
  if (!present || !history) return;
  const moved = way(history, present);
  if (!moved) return;
  useShed.setState({ histories: { ...shed.histories, [id]: moved.history } });
  keep({ ...moved.present, updatedAt: new Date().toISOString() });
}

export const undo = (id: string): void => travel(id, undone);
export const redo = (id: string): void => travel(id, redone);

/** Takes a board off the rack. @returns a function that puts it back. */
export function removeBoard(id: string): () => void {
  const record = useShed.getState().records[id];
  useShed.setState((shed) => {
    const { [id]: _gone, ...records } = shed.records;
    return { records };
  });
  queue.put(`board:${id}`, async () => {
    await db.boards.delete(id);
    channel?.postMessage({ kind: 'gone', gone: id });
  });
  return () => {
    if (record) keep(record);
  };
}

export function keepRider(rider: Rider): void {
  useShed.setState((shed) => ({ riders: { ...shed.riders, [rider.id]: rider } }));
  queue.put(`rider:${rider.id}`, async () => {
    await db.riders.put(rider);
    channel?.postMessage({ kind: 'rider', rider });
  });
}

/** Takes a rider's card away; their boards stay. @returns a function that brings it back. */
export function removeRider(id: string): () => void {
  const rider = useShed.getState().riders[id];
  useShed.setState((shed) => {
    const { [id]: _gone, ...riders } = shed.riders;
    return { riders };
  });
  queue.put(`rider:${id}`, () => db.riders.delete(id));
  return () => {
    if (rider) keepRider(rider);
  };
}

/** Puts another shelf in the place of this one; all of it is written, or nothing. */
export function keepShelf(shelf: readonly Blank[]): void {
  useShed.setState({ shelf });
  queue.put('shelf', async () => {
    await db.transaction('rw', db.blanks, async () => {
      await db.blanks.clear();
      await db.blanks.bulkPut([...shelf]);
    });
    channel?.postMessage({ kind: 'shelf', shelf });
  });
}

export function changeSettings(change: Partial<Settings>): void {
  const settings = { ...useShed.getState().settings, ...change };
  useShed.setState({ settings });
  queue.put('settings', async () => {
    await db.settings.put(settings);
    channel?.postMessage({ kind: 'settings', settings });
  });
}

/** Puts an order at a stage of the line, or on it; one change that can be undone. */
export function toStage(id: string, stage: { id: string; name: string }): EditResult {
  return edit(id, `to ${stage.name}`, (record) =>
    record.order?.stage === stage.id && record.order.doneOn === undefined
      ? record
      : { ...record, order: { stage: stage.id, on: today() } },
  );
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

export function changeWorkshop(change: Partial<Workshop>): void {
  changeSettings({ workshop: { ...useShed.getState().settings.workshop, ...change } });
}

if (typeof window !== 'undefined') {
  window.addEventListener('beforeunload', (event) => {
    if (queue.busy && useShed.getState().save.kind === 'failed') event.preventDefault();
  });
}
