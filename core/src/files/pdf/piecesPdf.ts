import type { Drawing } from '../drawing.ts';
import type { PiecesOnPaper } from './onPaper.ts';
import { faceFor } from './fonts.ts';
import { drawFirstPage, FIRST_LEFT_mm, type FirstPicture, type Heading, pageSize, type Printing } from './firstPage.ts';
import { newDocument } from './newDocument.ts';
import { strokeLine, writeText } from './pen.ts';
import { sheetsOf } from './sheets.ts';
import { drawSheet } from './templatePdf.ts';
import { firstPageOf } from './tiling.ts';

/** All sheets in small beside one another, each with its number and its pieces. */
const sheetsInSmall =
  (sheets: readonly Drawing[]): FirstPicture =>
  (page, face, top_mm, room_mm) => {
    const [{ width_mm, height_mm }] = sheets;
    const columns = Math.min(sheets.length, Math.max(4, Math.ceil(sheets.length / 2)));
    const rows = Math.ceil(sheets.length / columns);
    const cell = room_mm / columns;
    const scale = Math.min((cell - 3) / width_mm, 60 / rows / height_mm);
    sheets.forEach((sheet, i) => {
      const left = FIRST_LEFT_mm + (i % columns) * cell;
      const foot = top_mm - (Math.floor(i / columns) + 1) * (height_mm * scale + 3);
      const small = (p: { x_mm: number; y_mm: number }) => ({
        x_mm: left + p.x_mm * scale,
        y_mm: foot + p.y_mm * scale,
      });
      const corners = [
        { x_mm: 0, y_mm: 0 },
        { x_mm: width_mm, y_mm: 0 },
        { x_mm: width_mm, y_mm: height_mm },
        { x_mm: 0, y_mm: height_mm },
      ];
      strokeLine(page, corners.map(small), 0.15, { closed: true, dashed: true });
      for (const line of sheet.lines) if (!line.dashed) strokeLine(page, line.points.map(small), 0.15, line);
      const at = small({ x_mm: width_mm, y_mm: height_mm });
      writeText(page, face, String(i + 1), { x_mm: at.x_mm - 1, y_mm: at.y_mm - 3.4, size_mm: 3.4, anchor: 'end' });
    });
    return top_mm - rows * (height_mm * scale + 3);
  };

/**
 * Sheets with whole pieces on them at full size, a first page before them: nothing is laid together, each piece is cut out of its
 * own sheet. For what `nestedOnPaper` has laid on the same paper for the same printer.
 * @throws RangeError where there is no sheet, or one larger than the paper.
 */
export async function piecesPdf(
  { turn, nested: { sheets, on: named } }: PiecesOnPaper,
  heading: Heading,
  printing: Printing,
): Promise<Uint8Array> {
  const { on, reading, fonts } = printing;
  if (sheets.length === 0) throw new RangeError('piecesPdf: none of the pieces goes whole on this paper');
  const size = firstPageOf(on);
  const lines = [
    `${sheets.length} ${sheets.length === 1 ? 'sheet' : 'sheets'} of ${size.words}. Print at 100 %, no fitting to the page.`,
    ...named.map((titles, i) => `Sheet ${i + 1}: ${titles.join(', ')}.`),
  ];
  const document = await newDocument(`${heading.name}, ${heading.drawing}`);
  const face = await faceFor(document, fonts.plain, [heading.name, heading.line, ...lines]);
  const printed = sheets.map((sheet) => sheetsOf(sheet, on, reading, turn));
  const first = document.addPage(pageSize(size.width_mm, size.height_mm));
  drawFirstPage(first, face, heading, lines, sheetsInSmall(sheets), printed[0].first, on);
  printed.forEach((sheet, i) => {
    const { columns, rows, page_mm } = sheet.tiling;
    if (columns * rows > 1) throw new RangeError(`piecesPdf: sheet ${i + 1} is larger than the paper`);
    const page = document.addPage(pageSize(page_mm.width, page_mm.height));
    const label = [heading.name, heading.drawing, `sheet ${i + 1} of ${sheets.length}`].join(' · ');
    drawSheet(page, face, sheet, { row: 0, column: 0 }, label);
  });
  return document.save();
}
