import { railRatio } from '../rails/rails.ts';
import type { Shape } from '../shape/shape.ts';
import { formatLength, type LengthStyle, writeLength } from '../units/format.ts';
import { type BareUnit, INCH_mm, parseLength } from '../units/length.ts';
import { saidBack } from '../units/oneLine.ts';
import { placeWords, type StationPlace, type StationRow, stationTable } from './stationTable.ts';

/** A column of the station table: its name over it, what it is, and what is written in it. */
export interface StationColumn {
  name: string;
  words: string;
  write: (row: StationRow, style: LengthStyle) => string;
}

const isMetric = (style: LengthStyle): boolean => style.kind === 'cm' || style.kind === 'mm';
const length = (of: (row: StationRow) => number) => (row: StationRow, style: LengthStyle) =>
  formatLength(of(row), style);

/** Everything a person would measure at a station, in the order tape, callipers, straightedge and gauge are taken up. */
export const STATION_COLUMNS: readonly StationColumn[] = [
  { name: 'Width', words: 'Rail to rail', write: length((row) => row.width_mm) },
  { name: 'Thick', words: 'Callipers at the stringer', write: length((row) => row.thickness_mm) },
  {
    name: 'Stringer',
    words: 'Bottom at the stringer over the tangent at the flat point',
    write: length((row) => row.stringer_mm),
  },
  { name: 'Rail', words: 'Bottom edge of the rail over the same line', write: length((row) => row.rail_mm) },
  { name: 'Apex', words: 'Widest point of the rail over its bottom edge', write: length((row) => row.apex_mm) },
  { name: 'Ratio', words: 'Rail over and under the apex', write: (row) => railRatio(row.apexShare) },
  { name: 'Crown', words: 'Deck at the stringer over the rail line', write: length((row) => row.crown_mm) },
  { name: 'Tuck', words: 'How far the bottom edge lies inside the apex', write: length((row) => row.tuck_mm) },
  {
    name: 'Bottom',
    words: 'Light under a straightedge laid across; minus: how far it rocks',
    write: length((row) => row.bottom_mm),
  },
  {
    name: 'Section',
    words: 'Area of the whole cross-section',
    write: (row, style) =>
      isMetric(style) ? `${(row.area_mm2 / 100).toFixed(0)} cm²` : `${(row.area_mm2 / INCH_mm ** 2).toFixed(1)} in²`,
  },
];

/** More stations than this are typed by mistake. */
const MOST_STATIONS = 40;
/** And in no more letters. */
const MOST_TYPED = 2000;

export type StationList = { ok: true; places: StationPlace[] } | { ok: false; words: string };

/**
 * The stations a list of distances means, nose first: each from the nose and from the tail, the wide point and the centre between them.
 * Distances as people write them, apart by commas, semicolons or spaces after a unit; in any order, each once.
 */
export function stationsFrom(text: string, bare: BareUnit): StationList {
  if (text.length > MOST_TYPED) return { ok: false, words: `That is more than ${MOST_STATIONS} stations.` };
  const parts = text
    .split(/[,;\n]+/)
    .map((part) => part.trim())
    .filter(Boolean);
  if (parts.length > MOST_STATIONS) return { ok: false, words: `That is more than ${MOST_STATIONS} stations.` };
  const distances: number[] = [];
  for (const part of parts) {
    const read = parseLength(part, bare);
    if (!read.ok) return { ok: false, words: read.reason };
    if (!(read.value > 0)) return { ok: false, words: `A station lies inside the board: ${saidBack(part)} does not.` };
    if (!distances.some((known) => Math.abs(known - read.value) < 1e-6)) distances.push(read.value);
  }
  const inward = distances.toSorted((a, b) => a - b);
  const from =
    (end: 'nose' | 'tail') =>
    (at_mm: number): StationPlace => ({ from: end, at_mm });
  return {
    ok: true,
    places: [
      ...inward.map(from('nose')),
      { from: 'wide', at_mm: 0 },
      { from: 'centre', at_mm: 0 },
      ...inward.toReversed().map(from('tail')),
    ],
  };
}

/** The rows of a list, each with its place in words; stations beyond the middle of the board are left to the other end. */
export function stationLines(
  shape: Shape,
  places: readonly StationPlace[],
  style: LengthStyle,
): { place: string; values: string[] }[] {
  const half = shape.board.length_mm / 2;
  const inside = places.filter(({ from, at_mm }) => from === 'wide' || from === 'centre' || at_mm < half);
  return stationTable(shape, inside).map((row) => ({
    place: placeWords(row, (mm) => writeLength(mm, style).text),
    values: STATION_COLUMNS.map(({ write }) => write(row, style)),
  }));
}

/** The table as text for a spreadsheet: tabs between columns, a line a station, names first. */
export function stationText(shape: Shape, places: readonly StationPlace[], style: LengthStyle): string {
  const lines = stationLines(shape, places, style).map(({ place, values }) => [place, ...values]);
  // Inches are written without their unit: the head says it.
  const unit = isMetric(style) ? '' : ', in';
  const head = STATION_COLUMNS.map(({ name }) => (name === 'Ratio' || name === 'Section' ? name : `${name}${unit}`));
  return `${[['Station', ...head], ...lines].map((line) => line.join('\t')).join('\n')}\n`;
}
