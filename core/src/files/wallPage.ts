import type { Shape } from '../shape/shape.ts';
import { placeWords, type StationRow, stationTable } from '../measure/stationTable.ts';
import { volume_L } from '../measure/volume.ts';
import { type Paper, PAPERS } from '../make/paper.ts';
import { railRatio } from '../rails/rails.ts';
import { formatLength, formatLitres, type LengthStyle } from '../units/format.ts';
import { INCH_mm } from '../units/length.ts';
import { finsInSmall, planInSmall, sectionInSmall } from './boardSmall.ts';
import { textWidth_mm } from './labels.ts';
import { nameLine, type OnePage, type PageLine, type PageText, rule } from './onePage.ts';
import { sizeLine } from './templateDrawing.ts';

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

/** The board stands at the right of the table, nose up, so wide at the most. */
const PICTURE_mm = 44;

/**
 * One landscape page for the wall: the stations in type that is read from across the shed, nose at the top; beside them the board, nose
 * up, deck left and bottom with its contours and fins right, and under it the section at the wide point and the fins.
 */
export function wallPage(
  shape: Shape,
  paper: Paper,
  style: LengthStyle,
  heading: { name: string; riderName?: string },
): OnePage {
  const { width_mm: height_mm, height_mm: width_mm } = PAPERS[paper];
  const lines: PageLine[] = [];
  const texts: PageText[] = [];
  const write = (text: string, x_mm: number, y_mm: number, size_mm: number, more: Partial<PageText> = {}) =>
    texts.push({ text, x_mm, y_mm, size_mm, ...more });
  const left = 16;
  const edge = width_mm - 16;
  let y = height_mm - 20;
  texts.push(...nameLine(heading.name, heading.riderName, { left_mm: left, right_mm: edge, y_mm: y, size_mm: 10 }));
  y -= 12;
  write(sizeLine(shape, style), left, y, 9, { strong: true });
  write(formatLitres(volume_L(shape)), edge, y, 9, { strong: true, anchor: 'end' });
  y -= 14;
  lines.push(...pictures(shape, style, { left_mm: edge - PICTURE_mm, top_mm: y + 6, foot_mm: 16 }));

  const right = edge - PICTURE_mm - 8;
  const rows = stationTable(shape).sort((a, b) => b.x_mm - a.x_mm);
  const step = (y - 22) / rows.length;
  const written = (mm: number) => formatLength(mm, style);
  const cells = rows.map((row) => [placeWords(row, written), ...COLUMNS.map((column) => column.write(row, written))]);
  const width = (column: number, size: number) =>
    Math.max(...cells.map((row) => textWidth_mm(row[column], size, column > 0)));
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
  COLUMNS.forEach(({ name }, i) => write(name, columnAt(i), y, 5, { anchor: 'end' }));
  lines.push(rule(left, right, y - 2.5, 0.4));
  for (const [place, ...values] of cells) {
    y -= step;
    write(place, left, y, size_mm);
    values.forEach((text, i) => write(text, columnAt(i), y, size_mm, { strong: true, anchor: 'end' }));
    lines.push(rule(left, right, y - 0.28 * step, 0.1));
  }
  const note =
    'Rocker over the straightedge at the flat point. Bottom: light under a straightedge across it, or how far it rocks.';
  write(note, left, 10, 3.4);
  return { title: `${heading.name}, wall sheet`, width_mm, height_mm, lines, texts, boxes: [] };
}

/** The board nose up, its section at the wide point and its fins, in a column. */
function pictures(
  shape: Shape,
  style: LengthStyle,
  { left_mm, top_mm, foot_mm }: Record<'left_mm' | 'top_mm' | 'foot_mm', number>,
): PageLine[] {
  const { length_mm, outline, foil, fins } = shape.board;
  const deepest = Math.max(0, ...fins.boxes.map(({ template }) => template.depth_mm));
  const whole = finsInSmall(shape, { x_mm: 0, y_mm: 0, k: 1 }).right_mm;
  const finsBy = deepest > 0 ? Math.min(0.16, PICTURE_mm / whole, 20 / deepest) : 0;
  const acrossBy = PICTURE_mm / outline.width_mm;
  const under = deepest * finsBy + foil.thickness_mm * acrossBy + 12;
  const k = Math.min(PICTURE_mm / outline.width_mm, (top_mm - foot_mm - under) / length_mm);
  const middle = left_mm + PICTURE_mm / 2;
  const tail = top_mm - length_mm * k;
  const section = tail - 6 - foil.thickness_mm * acrossBy;
  return [
    ...planInSmall(shape, style, (x, across) => ({ x_mm: middle - across * k, y_mm: tail + x * k })),
    ...sectionInSmall(shape, shape.outline.wide_mm, (across, z) => ({
      x_mm: middle + across * acrossBy,
      y_mm: section + z * acrossBy,
    })),
    ...(deepest > 0 ? finsInSmall(shape, { x_mm: left_mm, y_mm: foot_mm, k: finsBy }).lines : []),
  ];
}
