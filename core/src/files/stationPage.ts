import type { Shape } from '../shape/shape.ts';
import { STATION_COLUMNS, stationLines } from '../measure/stationColumns.ts';
import type { StationPlace } from '../measure/stationTable.ts';
import { volume_L } from '../measure/volume.ts';
import { type Paper, PAPERS } from '../make/paper.ts';
import { formatLitres, type LengthStyle } from '../units/format.ts';
import { textWidth_mm } from './labels.ts';
import { nameLine, type OnePage, type PageLine, type PageText, rule } from './onePage.ts';
import { sizeLine } from './templateDrawing.ts';

/** The station table on one landscape page, as large as its rows and columns leave room for. */
export function stationPage(
  shape: Shape,
  paper: Paper,
  style: LengthStyle,
  name: string,
  places: readonly StationPlace[],
): OnePage {
  const { width_mm: height_mm, height_mm: width_mm } = PAPERS[paper];
  const [left, right] = [14, width_mm - 14];
  const lines: PageLine[] = [];
  const texts: PageText[] = nameLine(name, undefined, {
    left_mm: left,
    right_mm: right,
    y_mm: height_mm - 20,
    size_mm: 9,
  });
  const write = (text: string, x_mm: number, y_mm: number, size_mm: number, more: Partial<PageText> = {}) =>
    texts.push({ text, x_mm, y_mm, size_mm, ...more });
  let y = height_mm - 31;
  write(sizeLine(shape, style), left, y, 7, { strong: true });
  write(formatLitres(volume_L(shape)), right, y, 7, { strong: true, anchor: 'end' });
  y -= 12;
  const rows = stationLines(shape, places, style);
  const step = Math.min(8, (y - 20) / Math.max(1, rows.length));
  const wide = (size: number) => [
    Math.max(textWidth_mm('Station', size), ...rows.map(({ place }) => textWidth_mm(place, size))),
    ...STATION_COLUMNS.map((column, i) =>
      Math.max(textWidth_mm(column.name, size), ...rows.map(({ values }) => textWidth_mm(values[i], size, true))),
    ),
  ];
  const most_mm = Math.min(5, 0.62 * step);
  const needs = wide(most_mm).reduce((sum, width) => sum + width + 4, -4);
  const size_mm = most_mm * Math.min(1, (right - left) / needs);
  const widths = wide(size_mm);
  const spare = (right - left - widths.reduce((sum, width) => sum + width, 0)) / STATION_COLUMNS.length;
  const ends = STATION_COLUMNS.map(
    (_, i) => left + widths.slice(0, i + 2).reduce((sum, w) => sum + w, 0) + (i + 1) * spare,
  );
  STATION_COLUMNS.forEach((column, i) => write(column.name, ends[i], y, size_mm, { anchor: 'end' }));
  lines.push(rule(left, right, y - 0.3 * step, 0.3));
  for (const { place, values } of rows) {
    y -= step;
    write(place, left, y, size_mm);
    values.forEach((value, i) => write(value, ends[i], y, size_mm, { strong: true, anchor: 'end' }));
    lines.push(rule(left, right, y - 0.3 * step, 0.08));
  }
  const unit = style.kind === 'cm' || style.kind === 'mm' ? '' : 'Inches. ';
  const note = 'Lifts over the tangent at the flat point; a minus under Bottom: so far a straightedge rocks.';
  write(`${unit}${note}`, left, 11, 3.2);
  return { title: `${name}, stations`, width_mm, height_mm, lines, texts, boxes: [] };
}
