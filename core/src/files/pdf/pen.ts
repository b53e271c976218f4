import {
  clip,
  closePath,
  endPath,
  fill,
  lineTo,
  moveTo,
  type PDFFont,
  type PDFPage,
  popGraphicsState,
  pushGraphicsState,
  rectangle,
  setDashPattern,
  setLineWidth,
  stroke,
} from 'pdf-lib';
import type { Drawing } from '../drawing.ts';

/** PDF's unit is 1/72 in (ISO 32000-1, 8.3.2.3). */
export const POINT_PER_mm = 72 / 25.4;

export interface Box {
  x_mm: number;
  y_mm: number;
  width_mm: number;
  height_mm: number;
}

/** The standard fonts know only the Windows Latin characters: the few others we write are spelt with those. */
function plainText(text: string): string {
  return text
    .replace(/[−–—]/g, '-')
    .replace(/[′’]/g, "'")
    .replace(/[″“”]/g, '"')
    .replace(/×/g, 'x')
    .replace(/[^\x20-\x7e\xa0-\xff]/g, '?');
}

export function strokeLine(
  page: PDFPage,
  points: readonly { x_mm: number; y_mm: number }[],
  weight_mm: number,
  options: { closed?: boolean; dashed?: boolean } = {},
): void {
  const k = POINT_PER_mm;
  page.pushOperators(
    setLineWidth(weight_mm * k),
    setDashPattern(options.dashed ? [2 * k, 2 * k] : [], 0),
    ...points.map((p, i) => (i === 0 ? moveTo(p.x_mm * k, p.y_mm * k) : lineTo(p.x_mm * k, p.y_mm * k))),
    ...(options.closed ? [closePath()] : []),
    stroke(),
  );
}

export function writeText(
  page: PDFPage,
  font: PDFFont,
  text: string,
  at: { x_mm: number; y_mm: number; size_mm: number; anchor?: 'start' | 'middle' | 'end' },
): void {
  const k = POINT_PER_mm;
  const words = plainText(text);
  const width = font.widthOfTextAtSize(words, at.size_mm * k);
  const shift = at.anchor === 'middle' ? width / 2 : at.anchor === 'end' ? width : 0;
  page.drawText(words, { x: at.x_mm * k - shift, y: at.y_mm * k, size: at.size_mm * k, font });
}

/** Draws the part of a drawing that falls in `box` of the page, the drawing's origin at `origin`. */
export function drawClipped(
  page: PDFPage,
  font: PDFFont,
  drawing: Drawing,
  origin: { x_mm: number; y_mm: number },
  box: Box,
): void {
  const k = POINT_PER_mm;
  page.pushOperators(
    pushGraphicsState(),
    rectangle(box.x_mm * k, box.y_mm * k, box.width_mm * k, box.height_mm * k),
    clip(),
    endPath(),
  );
  const shift = (p: { x_mm: number; y_mm: number }) => ({ x_mm: p.x_mm + origin.x_mm, y_mm: p.y_mm + origin.y_mm });
  for (const line of drawing.lines) {
    const points = line.points.map(shift);
    const low = Math.min(...points.map((p) => p.x_mm));
    const high = Math.max(...points.map((p) => p.x_mm));
    if (high < box.x_mm || low > box.x_mm + box.width_mm) continue;
    strokeLine(page, points, line.weight_mm, line);
  }
  for (const text of drawing.texts) {
    const at = shift(text);
    if (at.x_mm < box.x_mm - 60 || at.x_mm > box.x_mm + box.width_mm) continue;
    writeText(page, font, text.text, { ...text, ...at });
  }
  page.pushOperators(popGraphicsState());
}

/** Filled squares, in black. */
export function fillBoxes(page: PDFPage, boxes: readonly Box[]): void {
  const k = POINT_PER_mm;
  if (boxes.length === 0) return;
  page.pushOperators(
    ...boxes.map(({ x_mm, y_mm, width_mm, height_mm }) => rectangle(x_mm * k, y_mm * k, width_mm * k, height_mm * k)),
    fill(),
  );
}
