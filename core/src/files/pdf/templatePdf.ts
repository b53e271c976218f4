import type { PDFPage } from 'pdf-lib';
import type { Shape } from '../../shape/shape.ts';
import { type LengthStyle, lengthWords } from '../../units/format.ts';
import { type Drawing, extentOf } from '../drawing.ts';
import { halfOutlineDrawing, sizeLine } from '../templateDrawing.ts';
import { type Face, faceFor } from './fonts.ts';
import {
  drawFirstPage,
  drawFrame,
  FIRST_LEFT_mm,
  type FirstPicture,
  type Heading,
  pageSize,
  type Printing,
} from './firstPage.ts';
import { newDocument } from './newDocument.ts';
import { drawClipped, strokeLine, writeText } from './pen.ts';
import { labelsOn, type Sheets, sheetsOf, windowOrigin } from './sheets.ts';
import { firstPageOf, OVERLAP_mm, PAGE_MARGIN_mm, type Tiling } from './tiling.ts';

/**
 * The half outline at full size, tiled: a first page with the map of sheets and a check square, then the sheets, tail
 * to nose, each with the name (and number) on it. Made the same from the same board: no dates inside.
 */
export function templatePdf(shape: Shape, printing: Printing, name = shape.board.name): Promise<Uint8Array> {
  const { style } = printing;
  return drawingPdf(
    halfOutlineDrawing(shape, style, { name }),
    {
      name,
      drawing: 'half outline',
      line: `${sizeLine(shape, style)}, half outline, full size`,
      hints: [
        `Lay the sheets with the crosses on one another; they overlap by ${OVERLAP_mm} mm. The stringer is the straight edge.`,
        'Cut outside the line, sand to it, then turn the template over for the other side.',
      ],
    },
    printing,
  );
}

/**
 * Any drawing at full size, tiled on sheets or along a roll. With what the check square measured the drawing is scaled both
 * ways so that this printer prints it true, the square with it.
 * @throws RangeError for a reading more than 8 % off, or a roll too narrow.
 */
export async function drawingPdf(drawn: Drawing, heading: Heading, printing: Printing): Promise<Uint8Array> {
  const { on, reading } = printing;
  const sheets = sheetsOf(drawn, on, reading);
  const { tiling, drawing } = sheets;
  const said = [heading.name, heading.line, ...drawing.texts.map(({ text }) => text)];
  const document = await newDocument(`${heading.name}, ${heading.drawing}`);
  const face = await faceFor(document, printing.fonts.plain, said);
  const size = firstPageOf(on);
  const count = tiling.columns * tiling.rows;
  const lines = [
    `${count} ${count === 1 ? 'sheet' : 'sheets'} of ${size.words}. Print at 100 %, no fitting to the page.`,
    assembledWords(drawn, printing.style),
  ];
  const first = document.addPage(pageSize(size.width_mm, size.height_mm));
  drawFirstPage(first, face, heading, lines, mapOf(sheets), sheets.first, on);
  for (let row = 0; row < tiling.rows; row++) {
    for (let column = 0; column < tiling.columns; column++) {
      const page = document.addPage(pageSize(tiling.page_mm.width, tiling.page_mm.height));
      const number = row * tiling.columns + column + 1;
      const place = `row ${row + 1} of ${tiling.rows} from below, column ${column + 1} of ${tiling.columns} from the left`;
      const label = [heading.name, heading.drawing, `sheet ${number} of ${count}`, place].join(' · ');
      drawSheet(page, face, sheets, { row, column }, label);
    }
  }
  return document.save();
}

/** What it measures when the sheets are laid together, to be taped before anything is cut. */
function assembledWords(drawn: Drawing, style: LengthStyle): string {
  const { left_mm, right_mm, foot_mm, top_mm } = extentOf(drawn.lines);
  const [long, high] = [right_mm - left_mm, top_mm - foot_mm].map((mm) =>
    style.kind === 'mm' ? lengthWords(mm, style) : `${lengthWords(mm, style)} (${mm.toFixed(1)} mm)`,
  );
  return `Laid together the drawing is ${long} long and ${high} high, line to line. Tape it before you cut.`;
}

/** The drawing in small with the map of its sheets. */
const mapOf =
  (sheets: Sheets): FirstPicture =>
  (page, face, top_mm, room_mm) => {
    const { drawing } = sheets;
    const scale = Math.min(room_mm / drawing.width_mm, 40 / drawing.height_mm);
    const mapY = top_mm - drawing.height_mm * scale;
    const small = (p: { x_mm: number; y_mm: number }) => ({
      x_mm: FIRST_LEFT_mm + p.x_mm * scale,
      y_mm: mapY + p.y_mm * scale,
    });
    for (const line of drawing.lines) {
      if (line.layer !== 'stations' && !line.dashed) strokeLine(page, line.points.map(small), 0.25, line);
    }
    drawMap(page, face, sheets, small);
    return mapY;
  };

/** Where each sheet lies on the drawing, with its number. */
function drawMap(
  page: PDFPage,
  face: Face,
  { drawing, tiling }: Sheets,
  small: (p: { x_mm: number; y_mm: number }) => { x_mm: number; y_mm: number },
): void {
  for (let row = 0; row < tiling.rows; row++) {
    for (let column = 0; column < tiling.columns; column++) {
      const from = windowOrigin(tiling, row, column);
      const to = {
        x_mm: Math.min(from.x_mm + tiling.window_mm.width, drawing.width_mm),
        y_mm: Math.min(from.y_mm + tiling.window_mm.height, drawing.height_mm),
      };
      const corners = [from, { x_mm: to.x_mm, y_mm: from.y_mm }, to, { x_mm: from.x_mm, y_mm: to.y_mm }].map(small);
      strokeLine(page, corners, 0.15, { closed: true, dashed: true });
      const middle = small({ x_mm: (from.x_mm + to.x_mm) / 2, y_mm: (from.y_mm + to.y_mm) / 2 });
      const number = String(row * tiling.columns + column + 1);
      writeText(page, face, number, { x_mm: middle.x_mm, y_mm: middle.y_mm - 1.2, size_mm: 3.4, anchor: 'middle' });
    }
  }
}

const CROSS_mm = 4;

/** Crosses in the middle of each overlap, at the same place of the drawing on both sheets. */
function drawCrosses(page: PDFPage, tiling: Tiling, tile: { row: number; column: number }): void {
  const box = { x_mm: PAGE_MARGIN_mm, y_mm: PAGE_MARGIN_mm };
  const { width, height } = tiling.window_mm;
  const crossAt = (x_mm: number, y_mm: number) => {
    const [left, right] = [x_mm - CROSS_mm, x_mm + CROSS_mm];
    const [foot, top] = [y_mm - CROSS_mm, y_mm + CROSS_mm];
    strokeLine(
      page,
      [
        { x_mm: left, y_mm },
        { x_mm: right, y_mm },
      ],
      0.15,
    );
    strokeLine(
      page,
      [
        { x_mm, y_mm: foot },
        { x_mm, y_mm: top },
      ],
      0.15,
    );
  };
  const ys = [box.y_mm + 30, box.y_mm + height - 30];
  const xs = [box.x_mm + 30, box.x_mm + width - 30];
  if (tile.column > 0) ys.forEach((y) => crossAt(box.x_mm + OVERLAP_mm / 2, y));
  if (tile.column < tiling.columns - 1) ys.forEach((y) => crossAt(box.x_mm + width - OVERLAP_mm / 2, y));
  if (tile.row > 0) xs.forEach((x) => crossAt(x, box.y_mm + OVERLAP_mm / 2));
  if (tile.row < tiling.rows - 1) xs.forEach((x) => crossAt(x, box.y_mm + height - OVERLAP_mm / 2));
}

export function drawSheet(
  page: PDFPage,
  face: Face,
  sheets: Sheets,
  tile: { row: number; column: number },
  label: string,
): void {
  const { drawing, tiling } = sheets;
  const box = {
    x_mm: PAGE_MARGIN_mm,
    y_mm: PAGE_MARGIN_mm,
    width_mm: tiling.window_mm.width,
    height_mm: tiling.window_mm.height,
  };
  const from = windowOrigin(tiling, tile.row, tile.column);
  drawClipped(page, drawing, { x_mm: box.x_mm - from.x_mm, y_mm: box.y_mm - from.y_mm }, box);
  for (const text of labelsOn(sheets, tile.row, tile.column)) writeText(page, face, text.text, text);
  drawCrosses(page, tiling, tile);
  drawFrame(page, face, box, label);
}
