import { create } from 'zustand';
import type { Blank } from '@june-tide/core/make';
import { type BoardRecord, type Settings, USUAL_SETTINGS } from '@june-tide/core/record';
import type { Rider } from '@june-tide/core/rider';
import type { Issue } from '@june-tide/core/shape';
import { type History } from './history.ts';
import { AutosaveQueue, type SaveState } from './autosaveQueue.ts';

/** A change was made, or was not and why: then nothing is changed, in memory or on disk. */
export type EditResult = { ok: true } | { ok: false; issues: Issue[] };

/** A row that could not be read. */
export interface SpoiltRow {
  table: 'boards' | 'riders' | 'blanks';
  /** Its key in the table. */
  id: string;
  why: string;
  row: unknown;
}

/** `coming`: it is being fetched. */
export type OfflineState = 'no' | 'coming' | 'kept';

export interface ShedState {
  status: 'loading' | 'ready' | 'failed';
  /** Why the shed could not be opened. */
  failure: string | undefined;
  /** Boards on the rack. */
  records: Readonly<Record<string, BoardRecord>>;
  /** Boards taken off the rack: kept whole until they are thrown away. */
  bin: Readonly<Record<string, BoardRecord>>;
  riders: Readonly<Record<string, Rider>>;
  /** Blanks in stock. */
  shelf: readonly Blank[];
  settings: Settings;
  save: SaveState;
  /** Whether the app itself is kept in this browser. */
  offline: OfflineState;
  /** A newer app that is there, or was taken in another window; undefined while there is none. */
  update: { where: 'here' | 'another window'; take: () => void } | undefined;
  histories: Readonly<Record<string, History<BoardRecord>>>;
  /** Rows in the store that could not be read: left there untouched. */
  spoilt: readonly SpoiltRow[];
  /** Boards a newer app wrote: shown, and not changed. */
  newer: ReadonlySet<string>;
}

export const useShed = create<ShedState>(() => ({
  status: 'loading',
  failure: undefined,
  records: {},
  bin: {},
  riders: {},
  shelf: [],
  settings: USUAL_SETTINGS,
  save: { kind: 'saved' },
  offline: 'no',
  update: undefined,
  histories: {},
  spoilt: [],
  newer: new Set(),
}));

/** Everything that goes to disk goes through it. */
export const queue = new AutosaveQueue((save) => useShed.setState({ save }));

if (typeof window !== 'undefined') {
  window.addEventListener('beforeunload', (event) => {
    if (queue.busy && useShed.getState().save.kind === 'failed') event.preventDefault();
  });
}

/** The entry of an id that may come from an address: never what every object has of its own, such as `constructor`. */
export function entryOf<T>(entries: Readonly<Record<string, T>>, id: string | null | undefined): T | undefined {
  return id !== null && id !== undefined && Object.hasOwn(entries, id) ? entries[id] : undefined;
}

/** A refusal in words, with the place it is about. */
export const refused = (code: string, words: string, path = ''): EditResult & { ok: false } => ({
  ok: false,
  issues: [{ code, path, words }],
});

export function without<T>(entries: Readonly<Record<string, T>>, id: string): Record<string, T> {
  const { [id]: _gone, ...rest } = entries;
  return rest;
}
