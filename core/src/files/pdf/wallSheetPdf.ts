import type { Shape } from '../../shape/shape.ts';
import { placeWords, type StationRow, stationTable } from '../../measure/stationTable.ts';
import { volume_L } from '../../measure/volume.ts';
import { railRatio } from '../../rails/rails.ts';
import { formatLength, formatLitres, type LengthStyle } from '../../units/format.ts';
import { INCH_mm } from '../../units/length.ts';
import { sizeLine } from '../templateDrawing.ts';
import { faceFor, type FontFiles, widthOf_mm } from './fonts.ts';
import { newDocument } from './newDocument.ts';
import { POINT_PER_mm, strokeLine, writeText } from './pen.ts';
import { type Paper, PAPERS } from '../../make/paper.ts';

/** Less light under a straightedge than this, 1/32 in, is read as flat. */
const FLAT_mm = INCH_mm / 32;

/** Columns of the wall sheet, in the order the tape, the callipers, the straightedge and the gauge are taken up. */
const COLUMNS: readonly { name: string; write: (row: StationRow, length: (mm: number) => string) => string }[] = [
  { name: 'Width', write: (row, length) => length(row.width_mm) },
  { name: 'Thick', write: (row, length) => length(row.thickness_mm) },
  { name: 'Rocker', write: (row, length) => length(row.stringer_mm) },
  { name: 'Rail', write: (row) => railRatio(row.apexShare) },
  {
    name: 'Bottom',
    write: ({ bottom_mm }, length) =>
      Math.abs(bottom_mm) < FLAT_mm ? 'flat' : `${bottom_mm > 0 ? 'hollow' : 'round'} ${length(Math.abs(bottom_mm))}`,
  },
];

/** So much is between two columns at the least. */
const GAP_mm = 5;

/** One landscape page for the wall: the stations in type that is read from across the shed, nose at the top. */
export async function wallSheetPdf(
  shape: Shape,
  paper: Paper,
  style: LengthStyle,
  fonts: FontFiles,
  heading: { name: string; riderName?: string },
): Promise<Uint8Array> {
  const { width_mm: height_mm, height_mm: width_mm } = PAPERS[paper];
  const said = [heading.name, heading.riderName];
  const document = await newDocument(`${heading.name}, wall sheet`);
  const font = await faceFor(document, fonts.plain, said);
  const strong = await faceFor(document, fonts.strong, said);
  const page = document.addPage([width_mm * POINT_PER_mm, height_mm * POINT_PER_mm]);
  const left = 16;
  const right = width_mm - 16;
  let y = height_mm - 20;
  writeText(page, strong, heading.name, { x_mm: left, y_mm: y, size_mm: 10 });
  const rider = heading.riderName ? `for ${heading.riderName}` : '';
  writeText(page, font, rider, { x_mm: right, y_mm: y, size_mm: 7, anchor: 'end' });
  y -= 12;
  writeText(page, strong, sizeLine(shape, style), { x_mm: left, y_mm: y, size_mm: 9 });
  writeText(page, strong, formatLitres(volume_L(shape)), { x_mm: right, y_mm: y, size_mm: 9, anchor: 'end' });
  y -= 14;
  const rows = stationTable(shape).sort((a, b) => b.x_mm - a.x_mm);
  const step = (y - 22) / rows.length;
  const written = (mm: number) => formatLength(mm, style);
  const cells = rows.map((row) => [placeWords(row, written), ...COLUMNS.map(({ write }) => write(row, written))]);
  const width = (column: number, size: number) =>
    Math.max(...cells.map((row) => widthOf_mm(column === 0 ? font : strong, row[column], size)));
  const needs = (size: number) => COLUMNS.reduce((sum, _, i) => sum + width(i + 1, size) + GAP_mm, width(0, size));
  const room = right - left;
  // As large as the rows leave room for, and as the longest words of all columns beside one another.
  const most_mm = Math.min(8, 0.62 * step);
  const size_mm = most_mm * Math.min(1, room / needs(most_mm));
  const spare = (room - needs(size_mm)) / COLUMNS.length;
  const columnAt = (i: number) =>
    left +
    width(0, size_mm) +
    COLUMNS.slice(0, i + 1).reduce((sum, _, k) => sum + width(k + 1, size_mm) + GAP_mm + spare, 0);
  const rule = (at: number, weight: number) =>
    strokeLine(
      page,
      [
        { x_mm: left, y_mm: at },
        { x_mm: right, y_mm: at },
      ],
      weight,
    );
  COLUMNS.forEach(({ name }, i) => {
    writeText(page, font, name, { x_mm: columnAt(i), y_mm: y, size_mm: 5, anchor: 'end' });
  });
  rule(y - 2.5, 0.4);
  for (const [place, ...values] of cells) {
    y -= step;
    writeText(page, font, place, { x_mm: left, y_mm: y, size_mm });
    values.forEach((text, i) => {
      writeText(page, strong, text, { x_mm: columnAt(i), y_mm: y, size_mm, anchor: 'end' });
    });
    rule(y - 0.28 * step, 0.1);
  }
  const note =
    'Rocker over the straightedge at the flat point. Bottom: light under a straightedge across it, or how far it rocks.';
  writeText(page, font, note, { x_mm: left, y_mm: 10, size_mm: 3.4 });
  return document.save();
}
