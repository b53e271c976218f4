import Papa from 'papaparse';
import type { StationPlace, StationRow } from '../measure/stationTable.ts';
import { parseLength } from '../units/length.ts';
import { saidBack } from '../units/oneLine.ts';
import type { Parsed } from '../units/parsed.ts';

/** The columns of a station table of ours, in order. Lengths in mm, a point as the decimal mark. */
export const COLUMNS = [
  'from',
  'at_mm',
  'x_mm',
  'width_mm',
  'thickness_mm',
  'stringer_mm',
  'rail_mm',
  'apex_mm',
  'apexShare',
  'crown_mm',
  'tuck_mm',
  'bottom_mm',
  'area_mm2',
] as const satisfies readonly (keyof StationRow)[];

/** A table longer than this, or with more rows or columns, was measured on no board. */
const MOST_TEXT = 1_000_000;
const MOST_ROWS = 400;
const MOST_COLUMNS = 60;
const LEAST_ROWS = 3;

/** Where a station is counted from. */
export type TableFrom = StationPlace['from'];

const FROM: Readonly<Record<string, TableFrom>> = {
  nose: 'nose',
  tail: 'tail',
  centre: 'centre',
  center: 'centre',
  middle: 'centre',
  wide: 'wide',
};
/** What a column may be called, whoever wrote it. */
const NAMES: Readonly<Record<string, TableKey>> = {
  from: 'from',
  at: 'at_mm',
  station: 'at_mm',
  stations: 'at_mm',
  position: 'at_mm',
  pos: 'at_mm',
  distance: 'at_mm',
  dist: 'at_mm',
  x: 'x_mm',
  width: 'width_mm',
  breadth: 'width_mm',
  wide: 'width_mm',
  w: 'width_mm',
  thickness: 'thickness_mm',
  thick: 'thickness_mm',
  t: 'thickness_mm',
  stringer: 'stringer_mm',
  rocker: 'stringer_mm',
  lift: 'stringer_mm',
};

/** What a column of a table can be read as. */
export const TABLE_KEYS = ['from', 'at_mm', 'x_mm', 'width_mm', 'thickness_mm', 'stringer_mm'] as const;
export type TableKey = (typeof TABLE_KEYS)[number];
export const TABLE_UNITS = ['mm', 'cm', 'in'] as const;
export type TableUnit = (typeof TABLE_UNITS)[number];

/** One row of a table: where it was read, and what. */
export interface ReadRow {
  from: TableFrom;
  at_mm: number;
  x_mm?: number;
  width_mm?: number;
  thickness_mm?: number;
  stringer_mm?: number;
}

/** What one column is taken for; nothing where it is left out. */
interface ColumnChoice {
  key?: TableKey;
  unit: TableUnit;
}

/** How a table is to be read: each of its columns, where its stations are counted from if no column says so, and how long the board is. */
export interface TableChoices {
  columns: readonly ColumnChoice[];
  from?: TableFrom;
  /** Else as the rows tell it, or as on the board that comes nearest to them. */
  length_mm?: number;
}

/** A table as it would be read, before anything is made of it. */
export type TableShown =
  | {
      ok: true;
      /** Its headings with what each column says in its first rows. */
      columns: { heading: string; says: string[] }[];
      rows: number;
      /** What keeps its columns apart. */
      separator: string;
      /** Its numbers have commas for points. */
      commas: boolean;
      /** What its headings and sizes say of it. */
      guessed: TableChoices;
      /** Every heading is one that we write: there is nothing to guess. */
      isOurs: boolean;
    }
  | { ok: false; reason: string };

interface Cells {
  ok: true;
  headings: string[];
  data: string[][];
  separator: string;
}

function cellsOf(csv: string): Cells | { ok: false; reason: string } {
  if (csv.length > MOST_TEXT) return { ok: false, reason: 'The file is far too long for a station table.' };
  const parsed = Papa.parse<string[]>(csv.trim(), { skipEmptyLines: true, delimitersToGuess: [',', ';', '\t', '|'] });
  const [headings = [], ...data] = parsed.data;
  return { ok: true, headings, data, separator: parsed.meta.delimiter };
}

const NO_TABLE = 'The file is not a station table: it has no columns “from” and “at_mm”.';

/** The names and the unit in a heading: “width_mm”, “Width (in)”, “distance from tail, cm”. */
function headingOf(heading: string): { names: string[]; unit: TableUnit | undefined } {
  const words = heading
    .toLowerCase()
    .split(/[^a-z"]+/)
    .filter(Boolean);
  const last = words.at(-1) ?? '';
  const unit = last === 'mm' || last === 'cm' ? last : /^(in|inch|inches|")$/.test(last) ? 'in' : undefined;
  return { names: unit === undefined ? words : words.slice(0, -1), unit };
}

/** What a heading names: the first of its words that is a column's name, and an end of the board beside it. */
function guessOf(heading: string): { key?: TableKey; unit?: TableUnit; from?: TableFrom } {
  const { names, unit } = headingOf(heading);
  const end = names.map((name) => FROM[name]).find((from) => from !== undefined && from !== 'wide');
  const named = names.map((name) => NAMES[name]).filter((key) => key !== undefined);
  // “Distance from tail” is a distance; “from” alone is the end.
  const key = named.find((each) => each !== 'from') ?? (names.length === 1 ? named[0] : end && 'at_mm');
  return {
    ...(key === undefined ? {} : { key }),
    ...(unit === undefined ? {} : { unit }),
    ...(end === undefined || key !== 'at_mm' ? {} : { from: end }),
  };
}

/** A table whose longest number is no more than this is in inches, in centimetres: a board is 1.3 to 3.7 m long. */
const MOST_in = 150;
const MOST_cm = 400;

function unitBySize(data: readonly string[][], commas: boolean): TableUnit {
  const sizes = data.flatMap((row) =>
    row.map((cell) => Number(commas ? cell.replace(',', '.') : cell)).filter((value) => Number.isFinite(value)),
  );
  const most = Math.max(0, ...sizes);
  return most <= MOST_in ? 'in' : most <= MOST_cm ? 'cm' : 'mm';
}

/** How a table would be read, by its headings and the sizes of its numbers; or why it is none. Nothing is made of it. */
export function shownTable(csv: string): TableShown {
  const cells = cellsOf(csv);
  if (!cells.ok) return cells;
  const { headings, data, separator } = cells;
  if (headings.length < 2 || data.length === 0) return { ok: false, reason: NO_TABLE };
  if (headings.length > MOST_COLUMNS) return { ok: false, reason: `The table has more than ${MOST_COLUMNS} columns.` };
  if (data.length > MOST_ROWS) return { ok: false, reason: `The table has more than ${MOST_ROWS} rows.` };
  const commas = separator !== ',';
  const guesses = headings.map(guessOf);
  // Headings in another tongue can be told what they are; of so few rows nothing speaks for a table of stations.
  if (data.length < LEAST_ROWS && guesses.every(({ key }) => key !== 'at_mm')) return { ok: false, reason: NO_TABLE };
  const unit = unitBySize(data, commas);
  const isOurs =
    headings.every((heading) => (COLUMNS as readonly string[]).includes(heading.trim())) &&
    headings.some((heading) => heading.trim() === 'from');
  const seen = new Set<TableKey>();
  const columns = guesses.map((guess): ColumnChoice => {
    // Of two of one name the first is it.
    const isNew = guess.key !== undefined && !seen.has(guess.key);
    if (guess.key !== undefined) seen.add(guess.key);
    return { ...(isNew ? { key: guess.key! } : {}), unit: guess.unit ?? (isOurs ? 'mm' : unit) };
  });
  const told = guesses.find(({ from }) => from !== undefined)?.from;
  return {
    ok: true,
    columns: headings.map((heading, k) => ({
      heading: heading.trim(),
      says: data.slice(0, 3).map((row) => row[k]?.trim() ?? ''),
    })),
    rows: data.length,
    separator,
    commas: commas && data.some((row) => row.some((cell) => /^\s*-?\d+,\d+\s*$/.test(cell))),
    guessed: { columns, ...(seen.has('from') ? {} : { from: told ?? 'tail' }) },
    isOurs,
  };
}

/** A number of a table, mm: with a comma for a point, as a fraction, with a unit of its own; or why it is none. */
function lengthIn(text: string, unit: TableUnit, commas: boolean): Parsed {
  const plain = commas ? text.replace(',', '.') : text;
  const negative = /^\s*[-−]/.test(plain);
  const bare = plain.replace(/^\s*[-−]\s*/, '');
  const read = parseLength(
    unit === 'cm' && /^[\d.]+$/.test(bare.trim()) ? `${bare} cm` : bare,
    unit === 'in' ? 'in' : 'mm',
  );
  return read.ok && negative ? { ok: true, value: -read.value } : read;
}

/** A column by its heading alone, as we write it: “width_mm”, “Width (in)”, “rocker cm”; mm where it says no unit. */
function columnOf(heading: string): ColumnChoice {
  const { names, unit = 'mm' } = headingOf(heading);
  const key = names.length === 1 ? NAMES[names[0]] : undefined;
  return key === undefined ? { unit } : { key, unit };
}

/**
 * The rows of a station table, or why it is none. Numbers with commas are read as such where the columns are kept apart by something else.
 * Without choices its headings must say what each column is, and a column where each row was counted from.
 */
export function tableRows(
  csv: string,
  choices?: TableChoices,
): { ok: true; rows: ReadRow[] } | { ok: false; reason: string } {
  const cells = cellsOf(csv);
  if (!cells.ok) return cells;
  const { headings, data, separator } = cells;
  const columns = choices?.columns ?? headings.map(columnOf);
  const has = (key: TableKey) => columns.some((column) => column.key === key);
  const from = choices?.from;
  if (!has('from') && from === undefined) return { ok: false, reason: NO_TABLE };
  if (!has('at_mm'))
    return { ok: false, reason: choices ? 'No column is taken for the distance of a station.' : NO_TABLE };
  if (data.length > MOST_ROWS) return { ok: false, reason: `The table has more than ${MOST_ROWS} rows.` };
  const commas = separator !== ',';
  const rows: ReadRow[] = [];
  for (const [i, line] of data.entries()) {
    const row: Partial<ReadRow> = has('from') || from === undefined ? {} : { from };
    for (const [k, { key, unit }] of columns.entries()) {
      const text = line[k]?.trim() ?? '';
      if (key === undefined || text === '') continue;
      const wrong = (why: string) => ({
        ok: false as const,
        reason: `Line ${i + 2} of the table: ${headings[k].trim()} cannot be read: ${why}`,
      });
      if (key === 'from') {
        const end = FROM[text.toLowerCase()];
        if (!end) return wrong(`${saidBack(text)} is none of nose, tail, centre and wide.`);
        row.from = end;
        continue;
      }
      const read = lengthIn(text, unit, commas);
      if (!read.ok) return wrong(read.reason);
      row[key] = read.value;
    }
    if (row.from === undefined || row.at_mm === undefined) {
      return { ok: false, reason: `Line ${i + 2} of the table does not say where it was read.` };
    }
    rows.push(row as ReadRow);
  }
  return rows.length > 0 ? { ok: true, rows } : { ok: false, reason: 'The station table has no rows.' };
}
