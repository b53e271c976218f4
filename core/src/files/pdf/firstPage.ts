import type { PDFPage } from 'pdf-lib';
import { checkSquareOf, type PrintedOn } from '../../make/paper.ts';
import { type Face, type FontFiles, widthOf_mm } from './fonts.ts';
import { type Box, POINT_PER_mm, strokeLine, writeText } from './pen.ts';
import type { Laying } from './onPaper.ts';
import type { Sheets } from './sheets.ts';
import { firstPageOf } from './tiling.ts';

/** What a print hangs on besides its drawing. */
export interface Printing extends Laying {
  fonts: FontFiles;
}

/** What the first page says. */
export interface Heading {
  /** The board's, with its number. */
  name: string;
  /** Which drawing it is, in a word or two: on every sheet. */
  drawing: string;
  line: string;
  /** How it is laid together and used, a line each. */
  hints: readonly string[];
}

export function pageSize(width_mm: number, height_mm: number): [number, number] {
  return [width_mm * POINT_PER_mm, height_mm * POINT_PER_mm];
}

/** The text cut at spaces into lines no longer than so much. */
function wrapped(face: Face, text: string, size_mm: number, most_mm: number): string[] {
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const longer = lines.length > 0 ? `${lines[lines.length - 1]} ${word}` : word;
    if (lines.length > 0 && widthOf_mm(face, longer, size_mm) <= most_mm) lines[lines.length - 1] = longer;
    else lines.push(word);
  }
  return lines;
}

/** The first page's own margin at the left, and at the right. */
export const FIRST_LEFT_mm = 18;

/** What stands between the words of the first page and its check square: drawn down from a height, it says how far it came. */
export type FirstPicture = (page: PDFPage, face: Face, top_mm: number, room_mm: number) => number;

/** The page before the sheets: what it is, how many sheets, what to tape, how they lie together, and the square to measure. */
export function drawFirstPage(
  page: PDFPage,
  face: Face,
  heading: Heading,
  said: readonly string[],
  picture: FirstPicture,
  first: Sheets['first'],
  on: PrintedOn,
): void {
  const { width_mm, height_mm } = firstPageOf(on);
  const square = checkSquareOf(on);
  const left = FIRST_LEFT_mm;
  let y = height_mm - 26;
  const say = (text: string, size_mm: number, gap: number) => {
    for (const line of wrapped(face, text, size_mm, width_mm - 2 * left)) {
      writeText(page, face, line, { x_mm: left, y_mm: y, size_mm });
      y -= gap;
    }
  };
  say(heading.name, 9, 9);
  say(heading.line, 5, 9);
  y -= 3;
  const [howMany, ...more] = said;
  say(howMany, 3.8, 6);
  say(`First measure the square below: it must be ${square.words} both ways.`, 3.8, 6);
  for (const line of [...more, ...heading.hints]) say(line, 3.8, 6);
  y -= 8;
  const foot = picture(page, face, y, width_mm - 2 * left);

  const [wide, high] = [square.side_mm * first.width, square.side_mm * first.height];
  const squareY = Math.max(20, foot - high - 20);
  strokeLine(
    page,
    [
      { x_mm: left, y_mm: squareY },
      { x_mm: left + wide, y_mm: squareY },
      { x_mm: left + wide, y_mm: squareY + high },
      { x_mm: left, y_mm: squareY + high },
    ],
    0.3,
    { closed: true },
  );
  writeText(page, face, `Check square: ${square.words} each way`, {
    x_mm: left + 4,
    y_mm: squareY + high / 2,
    size_mm: 4,
  });
}

/** The frame of a sheet's window, its label over it, and an arrow that says which way up it lies. */
export function drawFrame(page: PDFPage, face: Face, box: Box, label: string): void {
  const [right, top] = [box.x_mm + box.width_mm, box.y_mm + box.height_mm];
  strokeLine(
    page,
    [
      { x_mm: box.x_mm, y_mm: box.y_mm },
      { x_mm: right, y_mm: box.y_mm },
      { x_mm: right, y_mm: top },
      { x_mm: box.x_mm, y_mm: top },
    ],
    0.1,
    { closed: true, dashed: true },
  );
  // As large as it fits: the longest names on the narrowest sheet too.
  const room = box.width_mm - 16;
  const size_mm = Math.min(3.4, (3.4 * room) / widthOf_mm(face, label, 3.4));
  writeText(page, face, label, { x_mm: box.x_mm, y_mm: top + 3, size_mm });
  drawUp(page, face, right - 2, top + 2);
}

/** An arrow and a word that say which way up the sheet lies. */
function drawUp(page: PDFPage, face: Face, x_mm: number, y_mm: number): void {
  strokeLine(
    page,
    [
      { x_mm, y_mm },
      { x_mm, y_mm: y_mm + 4 },
    ],
    0.3,
  );
  strokeLine(
    page,
    [
      { x_mm: x_mm - 1.2, y_mm: y_mm + 2.4 },
      { x_mm, y_mm: y_mm + 4 },
      { x_mm: x_mm + 1.2, y_mm: y_mm + 2.4 },
    ],
    0.3,
  );
  writeText(page, face, 'up', { x_mm: x_mm - 2, y_mm, size_mm: 3.4, anchor: 'end' });
}
