import {
  beginText,
  clip,
  closePath,
  endPath,
  endText,
  fill,
  lineTo,
  moveText,
  moveTo,
  type PDFFont,
  type PDFName,
  type PDFPage,
  popGraphicsState,
  pushGraphicsState,
  rectangle,
  setDashPattern,
  setFontAndSize,
  setLineWidth,
  showText,
  stroke,
} from 'pdf-lib';
import type { Drawing } from '../drawing.ts';
import { codesOf, type Face, runsOf, widthOf_mm } from './fonts.ts';

/** PDF's unit is 1/72 in (ISO 32000-1, 8.3.2.3). */
export const POINT_PER_mm = 72 / 25.4;

export interface Box {
  x_mm: number;
  y_mm: number;
  width_mm: number;
  height_mm: number;
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

/** The name each font goes by on each page: set once, however often it is written with. */
const names = new WeakMap<PDFPage, Map<PDFFont, PDFName>>();
function nameOn(page: PDFPage, font: PDFFont): PDFName {
  const known = names.get(page) ?? new Map<PDFFont, PDFName>();
  names.set(page, known);
  let name = known.get(font);
  if (!name) {
    name = page.node.newFontDictionary(font.name, font.ref);
    known.set(font, name);
  }
  return name;
}

export function writeText(
  page: PDFPage,
  face: Face,
  text: string,
  at: { x_mm: number; y_mm: number; size_mm: number; anchor?: 'start' | 'middle' | 'end' },
): void {
  const k = POINT_PER_mm;
  const runs = runsOf(face, text);
  const part = at.anchor === 'middle' ? 1 / 2 : at.anchor === 'end' ? 1 : 0;
  const shift_mm = part === 0 ? 0 : part * widthOf_mm(face, text, at.size_mm);
  page.pushOperators(
    beginText(),
    moveText((at.x_mm - shift_mm) * k, at.y_mm * k),
    ...runs.flatMap((run) => [setFontAndSize(nameOn(page, run.font), at.size_mm * k), showText(codesOf(run))]),
    endText(),
  );
}

/** Draws the lines of a drawing that fall in `box` of the page, the drawing's origin at `origin`. */
export function drawClipped(page: PDFPage, drawing: Drawing, origin: { x_mm: number; y_mm: number }, box: Box): void {
  const k = POINT_PER_mm;
  page.pushOperators(
    pushGraphicsState(),
    rectangle(box.x_mm * k, box.y_mm * k, box.width_mm * k, box.height_mm * k),
    clip(),
    endPath(),
  );
  for (const line of drawing.lines) {
    const points = line.points.map((p) => ({ x_mm: p.x_mm + origin.x_mm, y_mm: p.y_mm + origin.y_mm }));
    const [xs, ys] = [points.map((p) => p.x_mm), points.map((p) => p.y_mm)];
    const outside =
      Math.max(...xs) < box.x_mm ||
      Math.min(...xs) > box.x_mm + box.width_mm ||
      Math.max(...ys) < box.y_mm ||
      Math.min(...ys) > box.y_mm + box.height_mm;
    if (!outside) strokeLine(page, points, line.weight_mm, line);
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
