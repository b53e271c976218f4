import type { Drawing, DrawnText } from '../drawing.ts';
import { placed } from '../labels.ts';
import type { PrintedOn } from '../../make/paper.ts';
import { OVERLAP_mm, PAGE_MARGIN_mm, type Tiling, tilingOn, type Turn, turnFor } from './tiling.ts';

/** What this printer makes of 100 mm, as measured on the check square: across the sheet and along it. */
export interface PrinterReading {
  across_mm: number;
  along_mm: number;
}
export const TRUE_PRINTER: PrinterReading = { across_mm: 100, along_mm: 100 };

/** A printer out by more than this is set to fit the page: that is mended there, not here. */
const MOST_OFF = 0.08;

/** A drawing as it goes to a printer: stretched both ways by what the printer is out, and cut into sheets. */
export interface Sheets {
  drawing: Drawing;
  tiling: Tiling;
  /** How the first page is stretched, along its own width and height. */
  first: { width: number; height: number };
}

/**
 * How a drawing is cut for a printer that is out. Which way the sheets are turned is settled once, on the drawing as it is unless it
 * was laid for one already, and the stretch follows it: a sheet on its side runs through the printer the same way round as one that stands.
 * @throws RangeError for a reading more than 8 % off, or a roll too narrow.
 */
export function sheetsOf(
  drawn: Drawing,
  on: PrintedOn,
  reading: PrinterReading = TRUE_PRINTER,
  turn: Turn = turnFor(drawn.width_mm, drawn.height_mm, on),
): Sheets {
  const [across, along] = [100 / reading.across_mm, 100 / reading.along_mm];
  if (!(Math.abs(across - 1) <= MOST_OFF && Math.abs(along - 1) <= MOST_OFF)) {
    throw new RangeError(
      `sheetsOf: the check square must measure within 8 % of what it is, got ${reading.across_mm} by ${reading.along_mm} for 100 mm`,
    );
  }
  const along_x = typeof on !== 'string' || turn === 'onItsSide';
  const drawing = along_x ? scaled(drawn, along, across) : scaled(drawn, across, along);
  return {
    drawing,
    tiling: tilingOn(drawing.width_mm, drawing.height_mm, on, turn),
    first: typeof on === 'string' ? { width: across, height: along } : { width: along, height: across },
  };
}

/** The drawing stretched both ways; the same one when there is nothing to stretch. */
function scaled(drawing: Drawing, kx: number, ky: number): Drawing {
  if (kx === 1 && ky === 1) return drawing;
  const at = <P extends { x_mm: number; y_mm: number }>(p: P): P => ({ ...p, x_mm: p.x_mm * kx, y_mm: p.y_mm * ky });
  return {
    ...drawing,
    width_mm: drawing.width_mm * kx,
    height_mm: drawing.height_mm * ky,
    lines: drawing.lines.map((line) => ({ ...line, points: line.points.map(at) })),
    texts: drawing.texts.map(at),
  };
}

/** Where the window of a sheet begins in the drawing. */
export function windowOrigin(tiling: Tiling, row: number, column: number): { x_mm: number; y_mm: number } {
  return {
    x_mm: column * (tiling.window_mm.width - OVERLAP_mm),
    y_mm: row * (tiling.window_mm.height - OVERLAP_mm),
  };
}

/** Labels stand so far within the edge of a sheet's window. */
const INSIDE_mm = 1.5;

/** The labels of one sheet, where they are written on the page: each whole on every sheet its place is on, clear of the others. */
export function labelsOn({ drawing, tiling }: Sheets, row: number, column: number): DrawnText[] {
  const from = windowOrigin(tiling, row, column);
  const { width, height } = tiling.window_mm;
  const here = drawing.texts
    .map((text) => ({ ...text, x_mm: text.x_mm - from.x_mm, y_mm: text.y_mm - from.y_mm }))
    .filter(({ x_mm, y_mm }) => x_mm >= 0 && x_mm <= width && y_mm >= 0 && y_mm <= height)
    .map((text) => ({ ...text, x_mm: text.x_mm + PAGE_MARGIN_mm, y_mm: text.y_mm + PAGE_MARGIN_mm }));
  return placed(here, {
    left_mm: PAGE_MARGIN_mm + INSIDE_mm,
    right_mm: PAGE_MARGIN_mm + width - INSIDE_mm,
    foot_mm: PAGE_MARGIN_mm + INSIDE_mm,
    top_mm: PAGE_MARGIN_mm + height - INSIDE_mm,
  });
}
