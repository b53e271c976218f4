import type { Board } from '../../document/schema.ts';
import { boardFromRows, nearestFirst } from '../../files/stationCsv.ts';
import type { ReadRow } from '../../files/stationTable.ts';
import { thicknessAt } from '../../foil/foil.ts';
import { volume_L } from '../../measure/volume.ts';
import { halfBreadthAt } from '../../outline/outline.ts';
import { shapeOf } from '../../shape/shape.ts';
import { normally, seeded } from '../seeded.ts';
import { takenOf } from './takenOf.ts';
import type { SheetReadings, Tool } from './sheet.ts';

/** The least and the most a line may be at one place, mm. */
export interface Band {
  low_mm: number;
  high_mm: number;
}

/** What readings leave open of a board, at even places from tail to nose. */
export interface Bands {
  halfBreadth: Band[];
  lift: Band[];
  thickness: Band[];
  /** Of the deck over the bottom's lowest line, as lift is. */
  deck: Band[];
  litres: { low_L: number; high_L: number };
}

/** Places from tail to nose, both tips among them. */
const BAND_PLACES = 61;
/** So many of the boards that come nearest are gone by: few readings leave many that could be meant. */
const NEAREST = 12;

/** The tool each column of a row is read with. */
const READ_WITH = { width_mm: 'tape', thickness_mm: 'callipers', stringer_mm: 'straightedge' } as const;

/**
 * What the readings leave open: the board made anew by each of the boards that come nearest, which differ in what was not read, with every
 * reading moved by its tool's error at random (seeded); of all of them the least and the most at each place. Rails, crown and bottom are
 * as on the board made where they were read. It says what is likely, not what is possible.
 */
export function bandsOf(
  readings: SheetReadings,
  made: Board,
  among: readonly Board[],
  errorOf: (tool: Tool) => number,
): Bands {
  const read = takenOf(readings);
  const boards = [made];
  if (read) {
    const normal = normally(seeded(11));
    for (const near of nearestFirst(read.rows, among).slice(0, NEAREST)) {
      const back = boardFromRows(moved(read.rows, errorOf, normal), made.name, [near]);
      if (back.ok) boards.push(read.across.length > 0 ? { ...back.board, ...acrossOf(made, back.board) } : back.board);
    }
  }
  const shapes = boards.map((board) => shapeOf(board));
  const band = (of: (shape: (typeof shapes)[number], x_mm: number) => number): Band[] =>
    Array.from({ length: BAND_PLACES }, (_, k) => {
      const values = shapes.map((shape) => of(shape, (k / (BAND_PLACES - 1)) * shape.board.length_mm));
      return { low_mm: Math.min(...values), high_mm: Math.max(...values) };
    });
  const litres = shapes.map((shape) => volume_L(shape));
  return {
    halfBreadth: band((shape, x_mm) => halfBreadthAt(shape.outline, x_mm)),
    lift: band((shape, x_mm) => shape.rocker.line.valueAt(x_mm)),
    thickness: band((shape, x_mm) => thicknessAt(shape.foil, x_mm)),
    deck: band((shape, x_mm) => shape.rocker.line.valueAt(x_mm) + thicknessAt(shape.foil, x_mm)),
    litres: { low_L: Math.min(...litres), high_L: Math.max(...litres) },
  };
}

/** What was read across is the same whichever board is gone by. */
const acrossOf = ({ rails, bottom, deck }: Board, own: Board): Pick<Board, 'rails' | 'bottom' | 'deck'> => ({
  rails,
  bottom,
  deck: { ...own.deck, crown: deck.crown },
});

function moved(rows: readonly ReadRow[], errorOf: (tool: Tool) => number, normal: () => number): ReadRow[] {
  return rows.map((row) => {
    const other = { ...row };
    for (const of of Object.keys(READ_WITH) as (keyof typeof READ_WITH)[]) {
      const value = row[of];
      if (value !== undefined) other[of] = Math.max(0, value + errorOf(READ_WITH[of]) * normal());
    }
    return other;
  });
}
