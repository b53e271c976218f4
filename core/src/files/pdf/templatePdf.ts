import { type PDFFont, type PDFPage, StandardFonts } from 'pdf-lib';
import type { Shape } from '../../shape/shape.ts';
import type { LengthStyle } from '../../units/format.ts';
import type { Drawing } from '../drawing.ts';
import { CHECK_SQUARE_mm, halfOutlineDrawing, sizeLine } from '../templateDrawing.ts';
import { newDocument } from './newDocument.ts';
import { drawClipped, POINT_PER_mm, strokeLine, writeText } from './pen.ts';
import { firstPageOf, OVERLAP_mm, PAGE_MARGIN_mm, type PrintedOn, type Tiling, tilingOn } from './tiling.ts';

/** What this printer makes of 100 mm, as measured on the check square: across the sheet and along it. */
export interface PrinterReading {
  across_mm: number;
  along_mm: number;
}

/** A printer out by more than this is set to fit the page: that is mended there, not here. */
const MOST_OFF = 0.08;

interface Heading {
  name: string;
  line: string;
  /** How it is laid together and used, a line each. */
  hints: readonly string[];
}

/**
 * The half outline at full size, tiled: a first page with the map of sheets and a check square, then the sheets, tail
 * to nose, each with the name (and version) on it. Made the same from the same board: no dates inside.
 */
export function templatePdf(
  shape: Shape,
  on: PrintedOn,
  style: LengthStyle,
  reading?: PrinterReading,
  name = shape.board.name,
): Promise<Uint8Array> {
  return drawingPdf(
    halfOutlineDrawing(shape, style),
    {
      name,
      line: `${sizeLine(shape, style)}, half outline, full size`,
      hints: [
        `Lay the sheets with the crosses on one another; they overlap by ${OVERLAP_mm} mm. The stringer is the straight edge.`,
        'Cut outside the line, sand to it, then turn the template over for the other side.',
      ],
    },
    on,
    reading,
  );
}

/**
 * Any drawing at full size, tiled on sheets or along a roll. With what the check square measured the drawing is scaled both
 * ways so that this printer prints it true, the square with it.
 * @throws RangeError for a reading more than 8 % off, or a roll too narrow.
 */
export async function drawingPdf(
  drawn: Drawing,
  heading: Heading,
  on: PrintedOn,
  reading: PrinterReading = { across_mm: CHECK_SQUARE_mm, along_mm: CHECK_SQUARE_mm },
): Promise<Uint8Array> {
  const across = CHECK_SQUARE_mm / reading.across_mm;
  const along = CHECK_SQUARE_mm / reading.along_mm;
  if (!(Math.abs(across - 1) <= MOST_OFF && Math.abs(along - 1) <= MOST_OFF)) {
    throw new RangeError(
      `drawingPdf: the check square must measure within 8 % of ${CHECK_SQUARE_mm} mm, got ${reading.across_mm} by ${reading.along_mm}`,
    );
  }
  // The turn of the sheets hangs on the drawing's size, which the correction changes by next to nothing: once is enough.
  const { page_mm } = tilingOn(drawn.width_mm, drawn.height_mm, on);
  const turned = typeof on !== 'string' || page_mm.width > page_mm.height;
  const drawing = turned ? scaled(drawn, along, across) : scaled(drawn, across, along);
  const tiling = tilingOn(drawing.width_mm, drawing.height_mm, on);
  const document = await newDocument(drawing.title);
  const font = await document.embedFont(StandardFonts.Helvetica);
  const sheets = tiling.columns * tiling.rows;

  const size = firstPageOf(on);
  const first = document.addPage(pageSize(size.width_mm, size.height_mm));
  const square = typeof on === 'string' ? { width: across, height: along } : { width: along, height: across };
  drawFirstPage(first, font, heading, drawing, tiling, size, square);
  for (let row = 0; row < tiling.rows; row++) {
    for (let column = 0; column < tiling.columns; column++) {
      const page = document.addPage(pageSize(tiling.page_mm.width, tiling.page_mm.height));
      const number = row * tiling.columns + column + 1;
      drawSheet(page, font, drawing, tiling, { row, column }, `${heading.name}, sheet ${number} of ${sheets}`);
    }
  }
  return document.save();
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

function pageSize(width_mm: number, height_mm: number): [number, number] {
  return [width_mm * POINT_PER_mm, height_mm * POINT_PER_mm];
}

function windowOrigin(tiling: Tiling, row: number, column: number): { x_mm: number; y_mm: number } {
  return {
    x_mm: column * (tiling.window_mm.width - OVERLAP_mm),
    y_mm: row * (tiling.window_mm.height - OVERLAP_mm),
  };
}

function drawFirstPage(
  page: PDFPage,
  font: PDFFont,
  heading: Heading,
  drawing: Drawing,
  tiling: Tiling,
  { width_mm, height_mm, words }: ReturnType<typeof firstPageOf>,
  stretch: { width: number; height: number },
): void {
  const left = 18;
  let y = height_mm - 26;
  const say = (text: string, size_mm: number, gap: number) => {
    writeText(page, font, text, { x_mm: left, y_mm: y, size_mm });
    y -= gap;
  };
  say(heading.name, 9, 9);
  say(heading.line, 5, 12);
  say(`${tiling.columns * tiling.rows} sheets of ${words}. Print at 100 %, no fitting to the page.`, 3.8, 6);
  say(`First measure the square below: it must be ${CHECK_SQUARE_mm} mm both ways.`, 3.8, 6);
  for (const hint of heading.hints) say(hint, 3.8, 6);
  y -= 8;

  const scale = Math.min((width_mm - 2 * left) / drawing.width_mm, 40 / drawing.height_mm);
  const mapY = y - drawing.height_mm * scale;
  const small = (p: { x_mm: number; y_mm: number }) => ({ x_mm: left + p.x_mm * scale, y_mm: mapY + p.y_mm * scale });
  for (const line of drawing.lines) {
    if (line.layer !== 'stations' && !line.dashed) strokeLine(page, line.points.map(small), 0.25, line);
  }
  for (let row = 0; row < tiling.rows; row++) {
    for (let column = 0; column < tiling.columns; column++) {
      const from = windowOrigin(tiling, row, column);
      const to = { x: from.x_mm + tiling.window_mm.width, y: from.y_mm + tiling.window_mm.height };
      const corners = [
        from,
        { x_mm: to.x, y_mm: from.y_mm },
        { x_mm: to.x, y_mm: to.y },
        { x_mm: from.x_mm, y_mm: to.y },
      ].map((p) => small({ x_mm: Math.min(p.x_mm, drawing.width_mm), y_mm: Math.min(p.y_mm, drawing.height_mm) }));
      strokeLine(page, corners, 0.15, { closed: true, dashed: true });
      writeText(page, font, String(row * tiling.columns + column + 1), {
        ...small({
          x_mm: Math.min(from.x_mm + tiling.window_mm.width / 2, drawing.width_mm - 40),
          y_mm: from.y_mm + 12,
        }),
        size_mm: 3.4,
        anchor: 'middle',
      });
    }
  }

  const side = CHECK_SQUARE_mm;
  const squareY = Math.max(24, mapY - side - 22);
  const [wide, high] = [side * stretch.width, side * stretch.height];
  const square = [
    { x_mm: left, y_mm: squareY },
    { x_mm: left + wide, y_mm: squareY },
    { x_mm: left + wide, y_mm: squareY + high },
    { x_mm: left, y_mm: squareY + high },
  ];
  strokeLine(page, square, 0.3, { closed: true });
  writeText(page, font, `Check square: ${side} mm each way`, { x_mm: left + 4, y_mm: squareY + side / 2, size_mm: 4 });
}

const CROSS_mm = 4;

function drawSheet(
  page: PDFPage,
  font: PDFFont,
  drawing: Drawing,
  tiling: Tiling,
  tile: { row: number; column: number },
  label: string,
): void {
  const box = {
    x_mm: PAGE_MARGIN_mm,
    y_mm: PAGE_MARGIN_mm,
    width_mm: tiling.window_mm.width,
    height_mm: tiling.window_mm.height,
  };
  const from = windowOrigin(tiling, tile.row, tile.column);
  const origin = { x_mm: box.x_mm - from.x_mm, y_mm: box.y_mm - from.y_mm };
  drawClipped(page, font, drawing, origin, box);

  // Crosses in the middle of each overlap, at the same place of the drawing on both sheets.
  const crossAt = (x_mm: number, y_mm: number) => {
    strokeLine(
      page,
      [
        { x_mm: x_mm - CROSS_mm, y_mm },
        { x_mm: x_mm + CROSS_mm, y_mm },
      ],
      0.15,
    );
    strokeLine(
      page,
      [
        { x_mm, y_mm: y_mm - CROSS_mm },
        { x_mm, y_mm: y_mm + CROSS_mm },
      ],
      0.15,
    );
  };
  const ys = [box.y_mm + 30, box.y_mm + box.height_mm - 30];
  const xs = [box.x_mm + 30, box.x_mm + box.width_mm - 30];
  if (tile.column > 0) ys.forEach((y) => crossAt(box.x_mm + OVERLAP_mm / 2, y));
  if (tile.column < tiling.columns - 1) ys.forEach((y) => crossAt(box.x_mm + box.width_mm - OVERLAP_mm / 2, y));
  if (tile.row > 0) xs.forEach((x) => crossAt(x, box.y_mm + OVERLAP_mm / 2));
  if (tile.row < tiling.rows - 1) xs.forEach((x) => crossAt(x, box.y_mm + box.height_mm - OVERLAP_mm / 2));

  const corners = [
    { x_mm: box.x_mm, y_mm: box.y_mm },
    { x_mm: box.x_mm + box.width_mm, y_mm: box.y_mm },
    { x_mm: box.x_mm + box.width_mm, y_mm: box.y_mm + box.height_mm },
    { x_mm: box.x_mm, y_mm: box.y_mm + box.height_mm },
  ];
  strokeLine(page, corners, 0.1, { closed: true, dashed: true });
  writeText(page, font, label, { x_mm: box.x_mm, y_mm: box.y_mm + box.height_mm + 3, size_mm: 3.4 });
}
