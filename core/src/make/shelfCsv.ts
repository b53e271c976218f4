import Papa from 'papaparse';
import { asWords, fromWords, saidBack } from '../units/oneLine.ts';
import { type Blank, blankSchema } from './blank.ts';

/** The columns of a shelf, in order. Lengths in mm, a point as the decimal mark. */
const COLUMNS = Object.keys(blankSchema.shape) as (keyof Blank)[];

/** The shelf as CSV (RFC 4180). */
export function shelfToCsv(shelf: readonly Blank[]): string {
  const data = shelf.map((blank) =>
    COLUMNS.map((column) => {
      const value = blank[column];
      return typeof value === 'number' ? String(Number(value.toFixed(3))) : asWords(value ?? '');
    }),
  );
  return `${Papa.unparse({ fields: [...COLUMNS], data }, { newline: '\r\n' })}\r\n`;
}

export type ShelfRead = { ok: true; shelf: Blank[] } | { ok: false; reason: string };

const TEXT: readonly string[] = ['id', 'name', 'foam'];
/** A longer text is no shelf's. */
const MOST_TEXT = 1_000_000;

/** Is a cell a number; or empty, where it may be? */
function isNumber(cell: string | undefined, mayBeEmpty: boolean): boolean {
  const text = (cell ?? '').trim();
  return text === '' ? mayBeEmpty : Number.isFinite(Number(text));
}

/** A shelf read from CSV: every row a blank, or the first row that is none with the reason and nothing taken. Never throws. */
export function shelfFromCsv(csv: string): ShelfRead {
  if (csv.length > MOST_TEXT) return { ok: false, reason: 'it is far too long for a shelf of blanks' };
  const [named = []] = Papa.parse<string[]>(csv.trim(), { preview: 1 }).data;
  const twice = named.find((name, k) => named.indexOf(name) !== k);
  if (twice !== undefined) return { ok: false, reason: `two columns are named ${saidBack(twice)}` };
  const parsed = Papa.parse<Record<string, string>>(csv.trim(), { header: true, skipEmptyLines: true });
  if (parsed.data.length === 0) return { ok: false, reason: 'there are no rows in it' };
  const shelf: Blank[] = [];
  for (const [i, row] of parsed.data.entries()) {
    const wrong = COLUMNS.find((column) => !TEXT.includes(column) && !isNumber(row[column], column === 'price'));
    if (wrong) {
      const text = (row[wrong] ?? '').trim();
      return {
        ok: false,
        reason: `row ${i + 2}, ${wrong}: ${text === '' ? 'is empty' : `${saidBack(text)} is no number`}`,
      };
    }
    const raw = Object.fromEntries(
      COLUMNS.flatMap((column): [string, unknown][] => {
        const text = (row[column] ?? '').trim();
        if (TEXT.includes(column)) return [[column, fromWords(text)]];
        // A price may be left out, column and all; everything else must be there.
        if (column === 'price' && text === '') return [];
        return [[column, Number(text)]];
      }),
    );
    const read = blankSchema.safeParse(raw);
    if (!read.success) {
      const [issue] = read.error.issues;
      return { ok: false, reason: `row ${i + 2}, ${issue.path.join('.')}: ${issue.message.toLowerCase()}` };
    }
    shelf.push(read.data);
  }
  const ids = new Set(shelf.map(({ id }) => id));
  if (ids.size !== shelf.length) return { ok: false, reason: 'two rows have the same id' };
  return { ok: true, shelf };
}
