import type { AutosaveQueue } from './autosaveQueue.ts';

/** What lies in the browser's store, by id. */
export interface Rows {
  /** Rows as they lie; undefined for one that is not there. */
  read: (ids: readonly string[]) => Promise<readonly unknown[]>;
  /** All rows, or as much of each as says whether it is another. */
  list: () => Promise<readonly unknown[]>;
  /** Reads rows and writes what is made of them in one transaction, all of it or nothing; ids not answered stay as they are. */
  change: (ids: readonly string[], made: (lying: readonly unknown[]) => readonly RowChange[]) => Promise<void>;
}

/** A row to be put, or to be deleted where it is undefined. */
export interface RowChange {
  id: string;
  row: unknown;
}

/** What a page that goes has changed and not written: the row it was told from, and the row as it should be; null for one taken off. */
export interface Unwritten {
  id: string;
  base?: unknown;
  row: unknown;
  /** Writes of before it that were not seen to end: what was to be written, and what was, with another window's changes in it. */
  begun?: { ours: unknown; written: unknown }[];
}

export interface TableOptions<T extends { id: string }> {
  /** Names the table to the queue and to other windows. */
  name: string;
  rows: Rows;
  queue: AutosaveQueue;
  /** The value as the window shows it; undefined where there is none. */
  shown: (id: string) => T | undefined;
  /** Shows a value, or that it is gone. `from` another window: it comes under what is done here. */
  show: (id: string, value: T | undefined, from: 'here' | 'elsewhere') => void;
  /** A row read; undefined for one that cannot be, which is then never written over. */
  read: (row: unknown) => T | undefined;
  /** The row to be written for a value, over the one that lies there as it was read. */
  toRow: (value: T, lying?: unknown, read?: T) => unknown;
  /** Does a row say the value it was written for? */
  says: (row: unknown, value: T) => boolean;
  /** Both changes since `base`; ours where both changed the same. */
  merge: (base: T, ours: T, theirs: T) => T;
  /** What hangs on rows that were written: measured, told. Not after each state of a drag. */
  afterWrite?: (ids: readonly string[]) => Promise<void>;
  /** Tells other windows what is on disk. */
  tell: (ids: readonly string[]) => void;
  /** A row that lies there and cannot be read is not written over: in words. */
  unreadable: string;
}

/** So many writes that were not seen to end are remembered of one thing. */
const MOST_BEGUN = 20;

/** A read that failed is done again after so long. */
const HEARS_AGAIN_ms = 1000;

/**
 * A table of the shed in one window: what is shown, what lies on disk as far as the window knows (the base of each change), and what
 * is not written yet. Windows write to one store: whatever another has written since the base is merged with what was changed here,
 * in one transaction. A base is noted only when its commit is through and the row was read back.
 */
export class Table<T extends { id: string }> {
  private readonly base = new Map<string, T>();
  /** Writes that were begun and not seen to end: one of them may be on disk after all. */
  private readonly begun = new Map<string, Settled<T>[]>();
  private readonly changed = new Set<string>();
  /** Written in a drag: what hangs on them is done when it ends. */
  private readonly unfinished = new Set<string>();
  /** What another window wrote and could not be read yet. */
  private readonly unheard = new Set<string>();
  private hearsAgain: ReturnType<typeof setTimeout> | undefined;
  private turn: Promise<unknown> = Promise.resolve();
  private readonly options: TableOptions<T>;

  constructor(options: TableOptions<T>) {
    this.options = options;
  }

  get name(): string {
    return this.options.name;
  }

  /** Notes the values as they were read from disk, in the place of all that was known. What is not written is to be replayed. */
  opened(values: readonly T[]): void {
    this.base.clear();
    this.begun.clear();
    this.changed.clear();
    this.unheard.clear();
    for (const value of values) this.base.set(value.id, value);
  }

  /** Shows values, or that they are gone, and writes them, all in one transaction. @param patient a state in the middle of a drag. */
  change(values: ReadonlyMap<string, T | undefined>, patient = false): void {
    for (const [id, value] of values) {
      this.options.show(id, value, 'here');
      this.changed.add(id);
    }
    this.writeSoon(patient);
  }

  private writeSoon(patient = false): void {
    this.options.queue.put(this.name, (isPatient) => this.inTurn(() => this.write(isPatient)), patient);
  }

  /** Another window wrote rows. What lies there now is read, for its word may come late; a read that fails is done again. */
  heard(ids: readonly string[]): Promise<void> {
    for (const id of ids) this.unheard.add(id);
    return this.inTurn(async () => {
      const asked = [...this.unheard];
      if (asked.length === 0) return;
      try {
        const rows = await this.options.rows.read(asked);
        asked.forEach((id, i) => this.takeRow(id, rows[i]));
        for (const id of asked) this.unheard.delete(id);
      } catch {
        clearTimeout(this.hearsAgain);
        this.hearsAgain = setTimeout(() => void this.heard([]), HEARS_AGAIN_ms);
      }
    });
  }

  /** Finds what other windows wrote and this one did not hear of, as where the browser has no channel between them. */
  async look(): Promise<void> {
    const rows = await this.inTurn(() => this.options.rows.list());
    const lying = new Map(rows.map((row) => [(row as T).id, row]));
    const others = [...lying].flatMap(([id, row]) => (this.isBase(row, this.base.get(id)) ? [] : [id]));
    await this.heard([...others, ...[...this.base.keys()].filter((id) => !lying.has(id))]);
  }

  /** What is not written yet. */
  unwritten(): Unwritten[] {
    const rowOf = (value: T | undefined) => (value ? this.options.toRow(value) : null);
    return [...this.changed].map((id) => {
      const [base, now] = [this.base.get(id), this.options.shown(id)];
      const begun = (this.begun.get(id) ?? []).filter(({ written }) => written && written !== now);
      return {
        id,
        ...(base ? { base: rowOf(base) } : {}),
        row: rowOf(now),
        ...(begun.length > 0
          ? { begun: begun.map(({ ours, written }) => ({ ours: rowOf(ours), written: rowOf(written) })) }
          : {}),
      };
    });
  }

  /**
   * Brings in what a page left unwritten. What was written since stays where both changed the same.
   * @returns whether it could be read.
   */
  replay(left: Unwritten): boolean {
    const { id, row } = left;
    const { read, says, merge, shown, show, tell } = this.options;
    let ours = row === null ? undefined : read(row);
    let base = left.base === undefined ? undefined : read(left.base);
    if ((row !== null && ours?.id !== id) || (left.base !== undefined && base?.id !== id)) return false;
    // The page may have gone between writing it and saying so.
    tell([id]);
    const theirs = this.changed.has(id) ? shown(id) : this.base.get(id);
    const ended = theirs && left.begun?.find(({ written }) => says(written, theirs));
    if (ended) {
      const from = read(ended.ours);
      if (ours && from) ours = merge(from, ours, theirs);
      base = theirs;
    }
    const isGoneSince = theirs === undefined && base !== undefined;
    const isWritten = ours === undefined ? theirs === undefined : theirs !== undefined && this.isSame(ours, theirs);
    // Of a new one that was written after all and changed since, nobody knows what it came from.
    if (isGoneSince || isWritten || (theirs && !base)) return true;
    if (ours === undefined && !(base && theirs && this.isSame(base, theirs))) return true;
    const next = !ours || !theirs || !base || this.isSame(base, theirs) ? ours : merge(base, theirs, ours);
    show(id, next, 'elsewhere');
    this.changed.add(id);
    this.writeSoon();
    return true;
  }

  /** Reads and writes of this window come one after another: what is known of the disk is never older than what was read last. */
  inTurn<R>(act: () => Promise<R>): Promise<R> {
    const done = this.turn.then(act);
    this.turn = done.catch(() => undefined);
    return done;
  }

  private isSame(a: T, b: T): boolean {
    return a === b || this.options.says(this.options.toRow(a), b);
  }

  /** What a change here was told from. A write that was not seen to end has ended if its row lies there. */
  private baseOf(id: string, row: unknown): T | undefined {
    const ended = this.begun.get(id)?.find(({ written }) => written && this.options.says(row, written));
    if (ended) this.takeWritten([ended]);
    return this.base.get(id);
  }

  private isBase(row: unknown, base: T | undefined): boolean {
    return base !== undefined && this.options.says(row, base);
  }

  private takeRow(id: string, row: unknown): void {
    const { shown, show, merge, read } = this.options;
    const base = row === undefined ? this.base.get(id) : this.baseOf(id, row);
    const isChanged = this.changed.has(id);
    if (row === undefined) {
      this.base.delete(id);
      // What was changed here is written anew.
      if (base && !isChanged) show(id, undefined, 'elsewhere');
      return;
    }
    if (this.isBase(row, base)) return;
    const theirs = read(row);
    if (!theirs) return;
    this.base.set(id, theirs);
    const ours = shown(id);
    show(id, isChanged && ours ? merge(base ?? theirs, ours, theirs) : theirs, 'elsewhere');
  }

  private async write(isPatient: boolean): Promise<void> {
    const { rows, afterWrite } = this.options;
    const ids = [...this.changed];
    let settled: Settled<T>[] = [];
    if (ids.length > 0) {
      await rows.change(ids, (lying) => {
        settled = ids.map((id, i) => this.settle(id, lying[i]));
        for (const each of settled) {
          if (each.change) this.begun.set(each.id, [...(this.begun.get(each.id) ?? []).slice(-MOST_BEGUN), each]);
        }
        return settled.flatMap(({ change }) => change ?? []);
      });
      await this.readBack(settled);
      this.takeWritten(settled.filter(({ refused }) => refused === undefined));
    }
    if (!isPatient && this.unfinished.size > 0) {
      const finished = [...this.unfinished];
      await afterWrite?.(finished);
      for (const id of finished) this.unfinished.delete(id);
    }
    const refused = settled.find((each) => each.refused !== undefined)?.refused;
    if (refused !== undefined) throw new Error(refused);
  }

  /** What is to be written of one thing, over the row that lies there. */
  private settle(id: string, row: unknown): Settled<T> {
    const { read, toRow, merge, unreadable, shown } = this.options;
    const base = row === undefined ? undefined : this.baseOf(id, row);
    const ours = shown(id);
    if (row === undefined) {
      return { id, ours, written: ours, ...(ours ? { change: { id, row: toRow(ours) } } : {}) };
    }
    const theirs = read(row);
    if (!theirs) return { id, ours, written: ours, refused: unreadable };
    const isBase = this.isBase(row, base);
    // One taken off here and changed elsewhere stays: nothing is lost on either side.
    if (!ours)
      return isBase
        ? { id, ours, written: undefined, over: theirs, change: { id, row: undefined } }
        : { id, ours, written: theirs };
    const written = isBase ? ours : merge(base ?? theirs, ours, theirs);
    return { id, ours, written, over: theirs, change: { id, row: toRow(written, row, theirs) } };
  }

  /** @throws Error when the store says it has written what it has not. */
  private async readBack(settled: readonly Settled<T>[]): Promise<void> {
    const done = settled.filter(({ change }) => change);
    const rows = await this.options.rows.read(done.map(({ id }) => id));
    const isLost = done.some(({ over, written }, i) => {
      const row = rows[i];
      const lies = written ? row !== undefined && this.options.says(row, written) : row === undefined;
      // Another row than it was written over: another window has written since, and says so.
      return !lies && (row === undefined || this.isBase(row, over));
    });
    if (isLost) throw new Error('the browser’s store did not keep what it was given: make a back-up');
  }

  /** What was written is on disk. */
  private takeWritten(settled: readonly Settled<T>[]): void {
    for (const { id, ours, written } of settled) {
      this.unfinished.add(id);
      this.begun.delete(id);
      if (written) this.base.set(id, written);
      else this.base.delete(id);
      this.showWritten(id, ours, written);
    }
    if (settled.length > 0) this.options.tell(settled.map(({ id }) => id));
  }

  private showWritten(id: string, ours: T | undefined, written: T | undefined): void {
    const { shown, show, merge } = this.options;
    const now = shown(id);
    if (now === ours) this.changed.delete(id);
    if (written === ours) return;
    if (now === ours) show(id, written, 'elsewhere');
    // What was changed while it was written comes over what another window had changed.
    else if (now && ours && written) show(id, merge(ours, now, written), 'elsewhere');
  }
}

interface Settled<T> {
  id: string;
  /** As it was shown when its turn came. */
  ours: T | undefined;
  /** As it lies on disk when the transaction is through. */
  written: T | undefined;
  /** As it lay there before. */
  over?: T;
  change?: RowChange;
  /** Why nothing is written. */
  refused?: string;
}
