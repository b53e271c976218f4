import Papa from 'papaparse';
import { MOST_MARKS } from '../document/limits.ts';
import type { Board, Mark } from '../document/schema.ts';
import { anchorsOf, stationOfMark } from '../document/station.ts';
import { blendAt, cubicThrough } from '../curve/blend.ts';
import { withLength } from '../edit/marks.ts';
import { thicknessAt } from '../foil/foil.ts';
import { stringerLineAt } from '../measure/bottomLines.ts';
import { placeWords, type StationPlace, stationTable, USUAL_STATIONS } from '../measure/stationTable.ts';
import { models } from '../models/models.ts';
import { endReach, halfBreadthAt, hasBlock } from '../outline/outline.ts';
import { boardFrom } from '../shape/issues.ts';
import { type Shape, shapeOf } from '../shape/shape.ts';
import { type LengthStyle, lengthWords } from '../units/format.ts';
import { INCH_mm } from '../units/length.ts';
import { COLUMNS, type ReadRow, type TableChoices, tableRows } from './stationTable.ts';

export type { ReadRow } from './stationTable.ts';

/** The station table of a board as CSV (RFC 4180), numbers to 0.0001. */
export function stationsToCsv(board: Board, places: readonly StationPlace[] = USUAL_STATIONS): string {
  const rows = stationTable(shapeOf(board), places).map((row) =>
    COLUMNS.map((column) => {
      const value = row[column];
      return typeof value === 'number' ? String(Number(value.toFixed(4))) : value;
    }),
  );
  return `${Papa.unparse({ fields: [...COLUMNS], data: rows }, { newline: '\r\n' })}\r\n`;
}

type Measured = 'width_mm' | 'thickness_mm' | 'stringer_mm';

/** How far the board made of a table is off one of its numbers: made less read, mm. */
export interface Residual {
  place: StationPlace;
  of: Measured;
  off_mm: number;
}
export type StationsRead =
  { ok: true; board: Board; rows: number; residuals: Residual[] } | { ok: false; reason: string };

/**
 * The length a station table was taken from: a station from the nose with its distance from the tail beside it, or the
 * other way round, adds up to it. Undefined where no row has both.
 */
function lengthOf(rows: readonly ReadRow[]): number | undefined {
  for (const { from, at_mm, x_mm } of rows) {
    if (x_mm === undefined) continue;
    if (from === 'nose') return x_mm + at_mm;
    if (from === 'centre') return 2 * (x_mm - at_mm);
  }
  return undefined;
}

const READERS: Readonly<Record<Measured, (shape: Shape, x_mm: number) => number>> = {
  width_mm: (shape, x_mm) => 2 * halfBreadthAt(shape.outline, x_mm),
  thickness_mm: (shape, x_mm) => thicknessAt(shape.foil, x_mm),
  stringer_mm: stringerLineAt,
};
const MEASURED = Object.keys(READERS) as Measured[];

/** How far a board is off every number of a table. */
function residualsOf(board: Board, rows: readonly ReadRow[]): Residual[] {
  const shape = shapeOf(board);
  return rows.flatMap((row) =>
    MEASURED.flatMap((of): Residual[] => {
      const read = row[of];
      if (read === undefined) return [];
      const x_mm = Math.min(board.length_mm, Math.max(0, stationOfMark(row, shape.anchors)));
      return [{ place: { from: row.from, at_mm: row.at_mm }, of, off_mm: READERS[of](shape, x_mm) - read }];
    }),
  );
}

const OF_WORDS: Readonly<Record<Measured, string>> = {
  width_mm: 'width',
  thickness_mm: 'thickness',
  stringer_mm: 'lift',
};

/** The number that came out furthest off, in words. */
export function furthestOff(residuals: readonly Residual[], style: LengthStyle): string {
  const [worst] = [...residuals].sort((a, b) => Math.abs(b.off_mm) - Math.abs(a.off_mm));
  if (!worst) return 'Nothing was measured but the length.';
  const place = placeWords(worst.place, (mm) => lengthWords(mm, style));
  return `Furthest off what was read: ${OF_WORDS[worst.of]} at ${place.toLowerCase()}, by ${Math.abs(worst.off_mm).toFixed(1)} mm.`;
}

/** Of these boards, each at the length that is told or at the table's, the one that is least off it: what no table says is as it is on that one. */
export function nearestBoard(rows: readonly ReadRow[], among: readonly Board[], length_mm?: number): Board {
  return nearestFirst(rows, among, length_mm)[0];
}

/** All of them at that length, the one that is least off first. */
export function nearestFirst(
  rows: readonly ReadRow[],
  among: readonly Board[],
  length_mm: number | undefined = lengthOf(rows),
): Board[] {
  const tried = among.map((model) => {
    const board = length_mm === undefined ? model : withLength(model, length_mm);
    const off = boardFrom(board).ok ? residualsOf(board, rows) : [{ off_mm: Infinity }];
    return { board, off: off.reduce((sum, { off_mm }) => sum + Math.min(1e4, off_mm * off_mm), 0) };
  });
  // Lengths apart first: a stretch changes every line.
  const apart = (board: Board, i: number) => Math.abs(among[i].length_mm - board.length_mm);
  const scored = tried.map((entry, i) => ({ ...entry, off: entry.off * (1 + apart(entry.board, i) / 500) }));
  return scored.sort((a, b) => a.off - b.off).map(({ board }) => board);
}

/**
 * A board of a station table: every number that was read is one of it, at the tips, at the wide point and where it is thickest too; what
 * the table has no column for, and what lies between its rows, is as on the model that comes nearest to it. Residuals say how
 * far each number came out off. `choices` say what its columns are, where its own headings do not. Never throws: a table that is not one, or that makes no board, is refused with the reason.
 */
export function boardFromStations(
  csv: string,
  name: string,
  among: readonly Board[] = models(),
  choices?: TableChoices,
): StationsRead {
  const read = tableRows(csv, choices);
  return read.ok ? boardFromRows(read.rows, name, among, choices?.length_mm) : read;
}

/** The way in that a table and what was read with a tape share. */
export function boardFromRows(
  rows: readonly ReadRow[],
  name: string,
  among: readonly Board[],
  length_mm?: number,
): StationsRead {
  const base = { ...nearestBoard(rows, among, length_mm), name };
  const made = (asked: readonly ReadRow[]): StationsRead => {
    const opened = boardFrom(withReadings(base, asked));
    if (opened.ok) {
      return { ok: true, board: opened.board, rows: rows.length, residuals: residualsOf(opened.board, rows) };
    }
    const first = opened.issues[0];
    return { ok: false, reason: `The station table makes no board: ${first.path}: ${first.words}.` };
  };
  const giving = made(rows);
  if (!giving.ok || !workedOut(rows)) return giving;
  // No hand read these: asked for as much more as the marks gave, the line runs through them.
  const again = made(rowsLess(rows, giving.residuals));
  return again.ok && furthest(again.residuals) < furthest(giving.residuals) ? again : giving;
}

/** Rows with what came out off taken from what was read; the width at the wide point is met by itself. */
function rowsLess(rows: readonly ReadRow[], residuals: readonly Residual[]): ReadRow[] {
  return rows.map((row) => {
    const less = { ...row };
    for (const { place, of, off_mm } of residuals) {
      const read = row[of];
      const isMet = row.from === 'wide' && of === 'width_mm';
      if (place.from !== row.from || place.at_mm !== row.at_mm || read === undefined || isMet) continue;
      if (Math.abs(off_mm) <= MOST_MOVED_mm) less[of] = read - off_mm;
    }
    return less;
  });
}

/** No reading is moved by more than this to meet it: what is further off is off for another reason. */
const MOST_MOVED_mm = 0.5;

const furthest = (residuals: readonly Residual[]) =>
  residuals.reduce((most, { off_mm }) => Math.max(most, Math.abs(off_mm)), 0);

/** What a hand reads lies on one of these: half millimetres, 64ths of an inch. */
const READ_TO_mm = [0.5, INCH_mm / 64];

/** Were the numbers of a table worked out, not read: is every third of them on no tape's marks? */
function workedOut(rows: readonly ReadRow[]): boolean {
  const values = rows.flatMap((row) =>
    MEASURED.flatMap((of) => (row[of] === undefined || row[of] === 0 ? [] : [row[of]])),
  );
  const onMark = (value: number) =>
    READ_TO_mm.some((step) => Math.abs(value / step - Math.round(value / step)) * step < 1e-3);
  return values.length > 6 && values.filter(onMark).length < (2 / 3) * values.length;
}

/** A mark of a table gives by so little: it is met to less than a tape reads. */
const GIVE_mm = 0.03;
/** Nearer than this to the wide point or the thickest place a row is that place. */
const OWN_mm = 12;

function withReadings(base: Board, rows: readonly ReadRow[]): Board {
  const wide = rows.find((row) => row.from === 'wide' && Math.abs(row.at_mm) < 0.05);
  const outline = {
    ...base.outline,
    width_mm: wide?.width_mm ?? base.outline.width_mm,
    widePoint_mm: wide?.x_mm === undefined ? base.outline.widePoint_mm : wide.x_mm - base.length_mm / 2,
  };
  const moved = { ...base, outline };
  return withTailWidth(withOutline(withRocker(withFoil(moved, rows), rows), rows), rows);
}

interface At {
  x_mm: number;
  row: ReadRow;
  value_mm: number;
}

/** Where the rows lie on a board, tail first, and what they say of one line; one row a place. */
function placedRows(board: Board, rows: readonly ReadRow[], of: Measured): At[] {
  const anchors = anchorsOf(board);
  return rows
    .flatMap((row): At[] => {
      const value_mm = row[of];
      return value_mm === undefined ? [] : [{ x_mm: stationOfMark(row, anchors), row, value_mm }];
    })
    .sort((a, b) => a.x_mm - b.x_mm)
    .filter(({ x_mm }, i, all) => i === 0 || x_mm - all[i - 1].x_mm > 0.5);
}

/** The board's own line and the difference read, run smoothly from row to row: what was measured, in the character of the base. */
function asRead(
  base: Board,
  of: Measured,
  read: readonly At[],
  fixed: readonly number[] = [],
): (x_mm: number) => number {
  const shape = shapeOf(base);
  const known = [
    ...read.map(({ x_mm, value_mm }) => ({ x_mm, value: value_mm - READERS[of](shape, x_mm) })),
    ...fixed.filter((x) => read.every(({ x_mm }) => Math.abs(x_mm - x) > OWN_mm)).map((x_mm) => ({ x_mm, value: 0 })),
  ].sort((a, b) => a.x_mm - b.x_mm);
  const off = cubicThrough(known);
  return (x_mm) => READERS[of](shape, x_mm) + blendAt(off, x_mm);
}

const marksAt = (read: readonly At[]): (Mark & { give_mm: number })[] =>
  read.map(({ row: { from, at_mm }, value_mm }) => ({ from, at_mm, value_mm, give_mm: GIVE_mm })).slice(0, MOST_MARKS);

/** The row at a tip itself, if there is one. */
const atTip = (read: readonly At[], x_mm: number) => read.find((at) => Math.abs(at.x_mm - x_mm) < 0.5)?.value_mm;

function withFoil(base: Board, rows: readonly ReadRow[]): Board {
  const read = placedRows(base, rows, 'thickness_mm');
  if (read.length === 0) return base;
  const { length_mm, foil } = base;
  const line = asRead(base, 'thickness_mm', read);
  const was = length_mm / 2 + foil.thickest_mm;
  let thickest = was;
  for (let x = 0.15 * length_mm; x <= 0.9 * length_mm; x += 2) if (line(x) > line(thickest)) thickest = x;
  const most = Math.max(line(thickest), ...read.map(({ value_mm }) => value_mm + 0.01));
  const inner = read.filter(
    ({ x_mm }) => x_mm > OWN_mm && x_mm < length_mm - OWN_mm && Math.abs(x_mm - thickest) > OWN_mm,
  );
  return {
    ...base,
    foil: {
      ...foil,
      thickness_mm: most,
      thickest_mm: thickest - length_mm / 2,
      noseTip_mm: Math.max(1, atTip(read, length_mm) ?? line(length_mm)),
      tailTip_mm: Math.max(1, atTip(read, 0) ?? line(0)),
      marks: marksAt(inner),
    },
  };
}

/** A bottom lifted by no more than this lies on the straightedge. */
const LEVEL_mm = 2;

function withRocker(base: Board, rows: readonly ReadRow[]): Board {
  const read = placedRows(base, rows, 'stringer_mm');
  if (read.length === 0) return base;
  const { length_mm, rocker } = base;
  const lowest = read.reduce((low, at) => (at.value_mm < low.value_mm ? at : low));
  const was = length_mm / 2 + rocker.flatPoint_mm;
  const line = asRead(base, 'stringer_mm', read, [was]);
  // A row on the straightedge, or near it, says where the bottom is level; one that is lifted says nothing of that.
  const isLevel = lowest.value_mm <= LEVEL_mm;
  let flat = isLevel ? Math.min(Math.max(was, lowest.x_mm - 200), lowest.x_mm + 200) : was;
  for (let x = flat - 200; x <= flat + 200; x += 2) if (line(x) < line(flat)) flat = x;
  const inner = read.filter(
    ({ x_mm, value_mm }) =>
      x_mm > OWN_mm && x_mm < length_mm - OWN_mm && Math.abs(x_mm - flat) > OWN_mm && value_mm >= 0,
  );
  return {
    ...base,
    rocker: {
      ...rocker,
      flatPoint_mm: flat - length_mm / 2,
      noseLift_mm: Math.max(0, atTip(read, length_mm) ?? line(length_mm)),
      tailLift_mm: Math.max(0, atTip(read, 0) ?? line(0)),
      marks: marksAt(inner),
    },
  };
}

function withOutline(base: Board, rows: readonly ReadRow[]): Board {
  const read = placedRows(base, rows, 'width_mm');
  if (read.length === 0) return base;
  const { length_mm } = base;
  const { wide_mm } = anchorsOf(base);
  const reach = endReach(base.outline);
  const inner = read.filter(
    ({ x_mm }) =>
      x_mm > Math.max(OWN_mm, reach.tail_mm) &&
      x_mm < length_mm - Math.max(OWN_mm, reach.nose_mm) &&
      Math.abs(x_mm - wide_mm) > OWN_mm,
  );
  // Where nobody said how wide it is at its widest, it is as wide as the line through what was read.
  const isRead = read.some(({ row, x_mm }) => row.from === 'wide' && Math.abs(x_mm - wide_mm) < OWN_mm);
  const width_mm = isRead
    ? base.outline.width_mm
    : Math.max(asRead(base, 'width_mm', read)(wide_mm), ...read.map(({ value_mm }) => value_mm + 0.02));
  return { ...base, outline: { ...base.outline, width_mm, marks: marksAt(inner) } };
}

/** A tail is read no closer than this. */
const TAIL_READ_mm = 0.5;

/** A block as wide as the rows at the very tail say, where the corners reach over them: by bisection. */
function withTailWidth(base: Board, rows: readonly ReadRow[]): Board {
  const { tail } = base.outline;
  if (!hasBlock(tail.kind)) return base;
  const [first] = placedRows(base, rows, 'width_mm');
  if (!first || first.x_mm > Math.max(60, endReach(base.outline).tail_mm)) return base;
  const made = (block_mm: number): Board => ({ ...base, outline: { ...base.outline, tail: { ...tail, block_mm } } });
  if (first.x_mm < 0.5) return made(first.value_mm);
  // It may have come out so already.
  if (Math.abs(2 * halfBreadthAt(shapeOf(base).outline, first.x_mm) - first.value_mm) < TAIL_READ_mm) return base;
  let [low, high] = [0, Math.min(first.value_mm * 1.5, 0.9 * base.outline.width_mm)];
  for (let k = 0; k < 24; k++) {
    const middle = (low + high) / 2;
    if (2 * halfBreadthAt(shapeOf(made(middle)).outline, first.x_mm) < first.value_mm) low = middle;
    else high = middle;
  }
  return made((low + high) / 2);
}
