import { PAPERS, type PrintedOn } from '../../make/paper.ts';
import type { Shape } from '../../shape/shape.ts';
import type { LengthStyle } from '../../units/format.ts';
import { DRAWINGS, type DrawingName, piecesOfDrawing } from '../boardDrawings.ts';
import type { Drawing, DrawingChoices } from '../drawing.ts';
import { type Nested, nested, type Nesting, type Stock } from '../nesting.ts';
import { halfOutlineDrawing } from '../templateDrawing.ts';
import { type PrinterReading, sheetsOf, TRUE_PRINTER } from './sheets.ts';
import { tilingOn, type Turn } from './tiling.ts';

/** On a roll pieces are laid on lengths of so much, or of the longest piece. */
const ROLL_LENGTH_mm = 1200;
/** What a rounding may take of a window before a drawing as large as it is cut in two. */
const SLACK_mm = 0.2;

/** Between pieces on paper: room for scissors. */
const PAPER_NESTING: Nesting = { gap_mm: 4, kerf_mm: 0 };

/** The windows of a paper, both ways round, or of a piece of roll as long as the longest piece, as a printer that is out leaves them. */
function windowsOf(
  pieces: readonly Drawing[],
  on: PrintedOn,
  { across_mm, along_mm }: PrinterReading,
): { stock: Stock; turn: Turn }[] {
  const [across, along] = [100 / across_mm, 100 / along_mm];
  const stock = (window: { width: number; height: number }, kx: number, ky: number): Stock => ({
    width_mm: (window.width - SLACK_mm) / kx,
    height_mm: (window.height - SLACK_mm) / ky,
  });
  if (typeof on !== 'string') {
    const widest = Math.max(...pieces.map((piece) => piece.width_mm + 2 * PAPER_NESTING.gap_mm + 1));
    const longest = Math.max(ROLL_LENGTH_mm, widest * along);
    return [{ turn: 'upright', stock: stock(tilingOn(longest, 1, on).window_mm, along, across) }];
  }
  const { width_mm, height_mm } = PAPERS[on];
  return [
    { turn: 'upright', stock: stock(tilingOn(width_mm, height_mm, on, 'upright').window_mm, across, along) },
    { turn: 'onItsSide', stock: stock(tilingOn(width_mm, height_mm, on, 'onItsSide').window_mm, along, across) },
  ];
}

/** Pieces whole on the sheets of a paper, which way round takes fewer: those that go on none come back as too large. */
function nestedOnPaper(
  title: string,
  pieces: readonly Drawing[],
  on: PrintedOn,
  reading: PrinterReading = TRUE_PRINTER,
): PiecesOnPaper {
  const tried = windowsOf(pieces, on, reading).map(({ stock, turn }): PiecesOnPaper => ({
    kind: 'pieces',
    turn,
    nested: nested(title, pieces, stock, PAPER_NESTING),
  }));
  return tried.reduce((best, next) => {
    const [a, b] = [best.nested.tooLarge.length, next.nested.tooLarge.length];
    return b < a || (b === a && next.nested.sheets.length < best.nested.sheets.length) ? next : best;
  });
}

/** What laying a drawing on paper hangs on. */
export interface Laying {
  on: PrintedOn;
  style: LengthStyle;
  /** What the check square measured on this printer; true where it is left out. */
  reading?: PrinterReading | undefined;
}

/** Whole pieces on sheets that lie one way round. */
export interface PiecesOnPaper {
  kind: 'pieces';
  turn: Turn;
  nested: Nested;
}

/** A drawing as it goes on paper: whole pieces on sheets where all of them fit, else laid together from sheets that overlap. */
export type OnPaper = PiecesOnPaper | { kind: 'laid'; drawing: Drawing };

/** How many sheets that is, the first page apart. */
export function sheetCount(paper: OnPaper, on: PrintedOn, reading?: PrinterReading): number {
  if (paper.kind === 'pieces') return paper.nested.sheets.length;
  const { columns, rows } = sheetsOf(paper.drawing, on, reading).tiling;
  return columns * rows;
}

/** How a drawing of a board lies on a paper; `half` is the half outline. */
export function onPaper(
  which: DrawingName | 'half',
  shape: Shape,
  { on, style, reading }: Laying,
  choices: DrawingChoices = {},
): OnPaper {
  if (which === 'half') return { kind: 'laid', drawing: halfOutlineDrawing(shape, style, choices) };
  const pieces = piecesOfDrawing(which, shape, style, choices);
  return laidOnPaper(DRAWINGS[which].words, pieces, () => DRAWINGS[which].draw(shape, style, choices), { on, reading });
}

/** Pieces whole on sheets where there are several and all of them fit; else what they are together, to be laid from sheets. */
export function laidOnPaper(
  words: string,
  pieces: readonly Drawing[],
  together: () => Drawing,
  { on, reading }: Pick<Laying, 'on' | 'reading'>,
): OnPaper {
  const whole = pieces.length > 1 ? nestedOnPaper(words, pieces, on, reading) : undefined;
  return whole?.nested.tooLarge.length === 0 ? whole : { kind: 'laid', drawing: together() };
}
