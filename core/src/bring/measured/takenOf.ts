import type { ReadRow } from '../../files/stationTable.ts';
import type { StationPlace } from '../../measure/stationTable.ts';
import type { AcrossAt } from './across.ts';
import { isAcross } from './readings.ts';
import { lineOf, SHEET_READINGS, type SheetReading, type SheetReadings, taken } from './sheet.ts';

/** The numbers of a sheet, each side by side made one, by what makes a board of them. */
export interface Taken {
  length_mm: number;
  rows: ReadRow[];
  across: AcrossAt[];
}

/** Rows and places of the readings; undefined without a length. */
export function takenOf(readings: SheetReadings): Taken | undefined {
  const value = (reading: SheetReading) => taken(reading, readings[reading]);
  const length_mm = value('length');
  if (length_mm === undefined) return undefined;
  const rows = new Map<string, ReadRow>();
  const places = new Map<string, AcrossAt>();
  const rowAt = (place: StationPlace): ReadRow => {
    const row = rows.get(placeKey(place)) ?? { ...place };
    rows.set(placeKey(place), row);
    return row;
  };
  const acrossAt = (place: StationPlace): AcrossAt => {
    const across = places.get(placeKey(place)) ?? { place, read: {} };
    places.set(placeKey(place), across);
    return across;
  };
  rowAt({ from: 'nose', at_mm: 0 }).x_mm = length_mm;
  const [width_mm, ahead] = [value('width'), value('wideAhead')];
  if (width_mm !== undefined || ahead !== undefined) {
    const wide = rowAt({ from: 'wide', at_mm: 0 });
    if (width_mm !== undefined) wide.width_mm = width_mm;
    if (ahead !== undefined) wide.x_mm = length_mm / 2 + ahead;
  }
  for (const reading of SHEET_READINGS) {
    const { at, of } = lineOf(reading);
    const read_mm = value(reading);
    if (!at || !of || read_mm === undefined) continue;
    if (isAcross(of)) acrossAt(at).read[of] = read_mm;
    else rowAt(at)[of] = read_mm;
  }
  return { length_mm, rows: [...rows.values()], across: [...places.values()] };
}

/** One place, whoever reads there. */
export const placeKey = ({ from, at_mm }: StationPlace) => `${from} ${at_mm}`;
