import Dexie, { type EntityTable, type Transaction } from 'dexie';
import { type Blank, usualShelf } from '@june-tide/core/make';
import { type KeptSteps, rowPacked, type Settings, type StoredRecord } from '@june-tide/core/record';
import type { Rider } from '@june-tide/core/rider';

/** A picture of a ride or of damage: small, and with nothing in it but the picture. */
export interface Photo {
  id: string;
  boardId: string;
  jpeg: Blob;
}

/**
 * What was found of a record when it was read and built the last time. Reading and building thousands of boards takes seconds; so
 * each is done when it changes, and once more at leisure after every opening.
 */
export interface Checked {
  id: string;
  updatedAt: string;
  /** The core it was measured by: another one measures anew. */
  by: string;
  /** What reading hung on: where that is another, the row is read anew before it is shown. */
  reading?: string;
  volume_L: number;
}

/** A row that could not be read, put aside as it lay; it can be had back. */
export interface Aside {
  id: string;
  table: 'boards' | 'riders' | 'blanks';
  row: unknown;
  at: string;
}

/** When the last back-up was made, and the folder it goes to where the shaper picked one. */
export interface LastBackup {
  id: 'backup';
  at?: string;
  /** Days from one to the next; 0 for only by hand. */
  every_days: number;
  folder?: FileSystemDirectoryHandle;
  /** Where the last one went: what was written into a folder was read back, of a download nobody hears. */
  into?: 'folder' | 'downloads';
}

/** The whole shed as it was before a back-up took its place, as a back-up: kept until the shaper lets it go. */
export interface ShedBefore {
  id: string;
  /** When it gave way. ISO 8601 in UTC. */
  at: string;
  /** The back-up that took its place. */
  file: string;
  boards: number;
  zip: Blob;
}

export interface Shed {
  boards: EntityTable<StoredRecord, 'id'>;
  riders: EntityTable<Rider, 'id'>;
  settings: EntityTable<Settings, 'id'>;
  blanks: EntityTable<Blank, 'id'>;
  photos: EntityTable<Photo, 'id'>;
  checked: EntityTable<Checked, 'id'>;
  aside: EntityTable<Aside, 'id'>;
  keeping: EntityTable<LastBackup, 'id'>;
  steps: EntityTable<KeptSteps, 'id'>;
  before: EntityTable<ShedBefore, 'id'>;
}

/** The browser's own store. Named one-step versions: never edit an old one, add the next. */
export const db = new Dexie('june-tide') as Dexie & Shed;
db.version(1).stores({ boards: 'id, updatedAt', riders: 'id', settings: 'id' });
/** A shed from before there was a shelf gets the usual one; a new shed is filled when it is first opened. */
db.version(2)
  .stores({ blanks: 'id' })
  .upgrade((move) => move.table('blanks').bulkPut(usualShelf()));
/** Pictures of rides and of damage, apart from the boards they are of. */
db.version(3).stores({ photos: 'id, boardId' });
/** What was found of records when they were last read: nothing that could not be found again. */
db.version(4).stores({ checked: 'id' });
/** The store is being brought up to date: that takes as long as there are boards. */
export let isMoving = false;
const packBoards = async (move: Transaction) => {
  isMoving = true;
  await move
    .table('boards')
    .toCollection()
    .modify((row: unknown, ref: { value: unknown }) => {
      ref.value = rowPacked(row);
    });
};
/** Versions are packed from here on: rows of before are packed as they lie, whatever board format they are in. */
db.version(5).upgrade(packBoards);
/** What is put aside, how back-ups are made, and the steps of each board that can be undone. */
db.version(6).stores({ aside: 'id', keeping: 'id', steps: 'id' });
/** Rides are packed as well, and what is packed is deflated. */
db.version(7).upgrade(packBoards);
/** Sheds that gave way to a back-up. */
db.version(8).stores({ before: 'id' });

/** The store as it lies, in whatever version: what can be read where it cannot be brought up to date, as on a full disk. */
export async function openAsItLies(): Promise<Dexie> {
  const lying = new Dexie('june-tide');
  await lying.open();
  return lying;
}
