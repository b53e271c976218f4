import Papa from 'papaparse';
import * as z from 'zod';
import { MOST_MARKS } from '../document/limits.ts';
import type { Board } from '../document/schema.ts';
import { boardFrom } from '../shape/issues.ts';
import { shapeOf } from '../shape/shape.ts';
import { anchorsOf, stationOfMark } from '../document/station.ts';
import { type StationPlace, type StationRow, stationTable, USUAL_STATIONS } from '../measure/stationTable.ts';

/** The columns of a station table, in order. Lengths in mm, a point as the decimal mark. */
const COLUMNS = [
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

const number = z.coerce.number().finite();
const rowSchema = z.object({
  from: z.enum(['nose', 'tail', 'centre', 'wide']),
  at_mm: number,
  width_mm: number.optional(),
  thickness_mm: number.optional(),
  stringer_mm: number.optional(),
});
type ReadRow = z.infer<typeof rowSchema>;

export type StationsRead = { ok: true; board: Board; rows: number } | { ok: false; reason: string };

/** Marks nearer than this to a tip or to one another are not set: closer, a reading is a lever. A sixteenth of a board. */
const LEAST_GAP_mm = 100;

/**
 * Takes the widths, thicknesses and lifts of a station table as the marks of a board; what the table has no column for, and
 * everything else, is held. Rows within 100 mm of a tip, of the wide point or of one another are left out, the 12 in marks
 * first in line. Width at `wide` becomes the width of the board.
 * Never throws: a table that is not one, or that makes no board, is refused with the reason.
 */
export function boardFromStations(base: Board, csv: string): StationsRead {
  const parsed = Papa.parse<Record<string, string>>(csv.trim(), { header: true, skipEmptyLines: true });
  const fields = parsed.meta.fields ?? [];
  if (!fields.includes('from') || !fields.includes('at_mm')) {
    return { ok: false, reason: 'The file is not a station table: it has no columns “from” and “at_mm”.' };
  }
  const rows: ReadRow[] = [];
  for (const [i, raw] of parsed.data.entries()) {
    const given = Object.fromEntries(
      Object.entries(raw).filter(([, text]) => text !== undefined && text.trim() !== ''),
    );
    const row = rowSchema.safeParse(given);
    if (!row.success) {
      const issue = row.error.issues[0];
      return {
        ok: false,
        reason: `Line ${i + 2} of the table: ${issue.path.join('.')} cannot be read: ${issue.message}.`,
      };
    }
    rows.push(row.data);
  }
  if (rows.length === 0) return { ok: false, reason: 'The station table has no rows.' };
  const board = withReadings(base, rows);
  const opened = boardFrom(board);
  if (opened.ok) return { ok: true, board: opened.board, rows: rows.length };
  const first = opened.issues[0];
  return { ok: false, reason: `The station table makes no board: ${first.path}: ${first.words}.` };
}

/**
 * The length a station table was taken from: a station from the nose with its distance from the tail beside it, or the
 * other way round, adds up to it. Undefined where no row has both.
 */
export function lengthOfStations(csv: string): number | undefined {
  const { data } = Papa.parse<Record<string, string>>(csv.trim(), { header: true, skipEmptyLines: true });
  for (const row of data) {
    const [at, x] = [Number(row.at_mm ?? NaN), Number(row.x_mm ?? NaN)];
    if (!Number.isFinite(at) || !Number.isFinite(x) || row.x_mm?.trim() === '') continue;
    if (row.from === 'nose') return x + at;
    if (row.from === 'centre') return 2 * (x - at);
  }
  return undefined;
}

/** The 12 in marks first: they are the ones everybody measures. */
function byImportance(a: ReadRow, b: ReadRow): number {
  const rank = (row: ReadRow) => (Math.abs(row.at_mm - 304.8) < 1 ? 0 : 1);
  return rank(a) - rank(b);
}

function withReadings(base: Board, rows: readonly ReadRow[]): Board {
  const anchors = anchorsOf(base);
  const wide = rows.find((row) => row.from === 'wide' && Math.abs(row.at_mm) < 0.05);
  const marksFrom = (key: 'width_mm' | 'thickness_mm' | 'stringer_mm', own_mm: number) => {
    const taken = [0, own_mm, base.length_mm];
    const marks: { from: StationPlace['from']; at_mm: number; value_mm: number }[] = [];
    for (const row of [...rows].sort(byImportance)) {
      const value_mm = row[key];
      if (value_mm === undefined || marks.length >= MOST_MARKS) continue;
      const x = stationOfMark(row, anchors);
      if (taken.some((other) => Math.abs(other - x) < LEAST_GAP_mm)) continue;
      taken.push(x);
      marks.push({ from: row.from, at_mm: row.at_mm, value_mm });
    }
    return marks;
  };
  const widths = marksFrom('width_mm', anchors.wide_mm);
  const thick = marksFrom('thickness_mm', base.length_mm / 2 + base.foil.thickest_mm);
  const lifts = marksFrom('stringer_mm', base.length_mm / 2 + base.rocker.flatPoint_mm);
  return {
    ...base,
    outline: {
      ...base.outline,
      width_mm: wide?.width_mm ?? base.outline.width_mm,
      marks: widths.length > 0 ? widths : base.outline.marks,
    },
    foil: { ...base.foil, marks: thick.length > 0 ? thick : base.foil.marks },
    rocker: { ...base.rocker, marks: lifts.length > 0 ? lifts : base.rocker.marks },
  };
}
