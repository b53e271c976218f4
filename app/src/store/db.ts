import Dexie, { type EntityTable } from 'dexie';
import {
  type Blank,
  type BoardRecord,
  type Rider,
  type RockerReading,
  type Schools,
  USUAL_SCHOOLS,
  USUAL_WORKSHOP,
  type Workshop,
} from '@june-tide/core';

/** The shop's own choices. */
export interface Settings {
  id: 'shop';
  lengthStyle: 'in8' | 'in16' | 'in32' | 'decimal' | 'cm' | 'mm';
  massUnit: 'kg' | 'lb';
  light: 'day' | 'night';
  paper: 'A4' | 'Letter' | 'A3' | 'Tabloid' | 'roll';
  /** Width of the roll, where paper comes from one. */
  roll_mm: number;
  /** What the check square measured on this printer. */
  printer: { across_mm: number; along_mm: number };
  /** How a length is said: straight from tip to tip, or by a tape along the bottom. */
  lengthAlong: 'straight' | 'bottom';
  /** How rocker is read. */
  reading: RockerReading;
  schools: Schools;
  /** Stages, days, hours, prices and figures of the shop as a place of work. */
  workshop: Workshop;
}

export const USUAL_SETTINGS: Settings = {
  id: 'shop',
  lengthStyle: 'in16',
  massUnit: 'kg',
  light: 'day',
  paper: 'A4',
  roll_mm: 609.6,
  printer: { across_mm: 100, along_mm: 100 },
  lengthAlong: 'straight',
  reading: 'flat',
  schools: USUAL_SCHOOLS,
  workshop: USUAL_WORKSHOP,
};

export interface Shed {
  boards: EntityTable<BoardRecord, 'id'>;
  riders: EntityTable<Rider, 'id'>;
  settings: EntityTable<Settings, 'id'>;
  blanks: EntityTable<Blank, 'id'>;
}

/** The browser's own store. Named one-step versions: never edit an old one, add the next. */
export const db = new Dexie('june-tide') as Dexie & Shed;
db.version(1).stores({ boards: 'id, updatedAt', riders: 'id', settings: 'id' });
db.version(2).stores({ blanks: 'id' });
