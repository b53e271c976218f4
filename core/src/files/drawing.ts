import type { BandPlan } from '../make/railBands.ts';
import type { StationPlace } from '../measure/stationTable.ts';
import { boxOf, type DrawnText, placed } from './labels.ts';

export type { DrawnText };

/** What a drawing may be told besides how lengths are written. */
export interface DrawingChoices {
  /** The board's name and number, for what is cut out; else its name alone. */
  name?: string | undefined;
  /** Stations of gauges and sections; the usual ones where left out. */
  places?: readonly StationPlace[] | undefined;
  /** How the rails are banded; the usual way where left out. */
  bands?: BandPlan | undefined;
}

/** A drawing at true scale, mm, x to the right and y up: what SVG, PDF and DXF are written from. */
export interface Drawing {
  title: string;
  /** Bounds: x from 0 to width, y from 0 to height. */
  width_mm: number;
  height_mm: number;
  lines: DrawnLine[];
  texts: DrawnText[];
}

export interface DrawnLine {
  layer: string;
  points: readonly { x_mm: number; y_mm: number }[];
  closed?: boolean;
  weight_mm: number;
  dashed?: boolean;
}

/** The lower left and upper right of all lines. */
export function extentOf(lines: readonly DrawnLine[]): {
  left_mm: number;
  foot_mm: number;
  right_mm: number;
  top_mm: number;
} {
  let [left_mm, foot_mm, right_mm, top_mm] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { points } of lines) {
    for (const p of points) {
      left_mm = Math.min(left_mm, p.x_mm);
      right_mm = Math.max(right_mm, p.x_mm);
      foot_mm = Math.min(foot_mm, p.y_mm);
      top_mm = Math.max(top_mm, p.y_mm);
    }
  }
  return { left_mm, foot_mm, right_mm, top_mm };
}

/** The same line without a vertex twice in a row, nor its first again at the end of a closed one. */
export function withoutDoubles(line: DrawnLine): DrawnLine {
  const same = (a: { x_mm: number; y_mm: number }, b: { x_mm: number; y_mm: number }) =>
    Math.abs(a.x_mm - b.x_mm) < 1e-7 && Math.abs(a.y_mm - b.y_mm) < 1e-7;
  const points = line.points.filter((p, i) => i === 0 || !same(p, line.points[i - 1]));
  while (line.closed && points.length > 1 && same(points[0], points[points.length - 1])) points.pop();
  return { ...line, points };
}

/** Labels clear of one another, everything moved so that the lower left of lines and labels is at 0, 0, and the sheet measured. */
export function framed(title: string, drawn: readonly DrawnLine[], said: readonly DrawnText[]): Drawing {
  const lines = drawn.map(withoutDoubles);
  const extent = extentOf(lines);
  // Beside the lines there is no sheet; over and under them there is.
  const texts = placed(said, { ...extent, foot_mm: -Infinity, top_mm: Infinity });
  const boxes = texts.map(boxOf);
  const left = Math.min(extent.left_mm, ...boxes.map((box) => box.left_mm));
  const foot = Math.min(extent.foot_mm, ...boxes.map((box) => box.foot_mm));
  const moved = <P extends { x_mm: number; y_mm: number }>(p: P): P => ({
    ...p,
    x_mm: p.x_mm - left,
    y_mm: p.y_mm - foot,
  });
  return {
    title,
    width_mm: Math.max(extent.right_mm, ...boxes.map((box) => box.right_mm)) - left,
    height_mm: Math.max(extent.top_mm, ...boxes.map((box) => box.top_mm)) - foot,
    lines: lines.map((line) => ({ ...line, points: line.points.map(moved) })),
    texts: texts.map(moved),
  };
}

/** A drawing moved. */
export function movedBy(drawing: Drawing, dx_mm: number, dy_mm: number): Pick<Drawing, 'lines' | 'texts'> {
  const to = <P extends { x_mm: number; y_mm: number }>(p: P): P => ({
    ...p,
    x_mm: p.x_mm + dx_mm,
    y_mm: p.y_mm + dy_mm,
  });
  return {
    lines: drawing.lines.map((line) => ({ ...line, points: line.points.map(to) })),
    texts: drawing.texts.map(to),
  };
}

/** Drawings one over another on a common middle, the first lowest, so far apart. */
export function stacked(title: string, pieces: readonly Drawing[], apart_mm: number): Drawing {
  const width_mm = Math.max(0, ...pieces.map((piece) => piece.width_mm));
  let base = 0;
  const laid = pieces.map((piece) => {
    const moved = movedBy(piece, (width_mm - piece.width_mm) / 2, base);
    base += piece.height_mm + apart_mm;
    return moved;
  });
  return {
    title,
    width_mm,
    height_mm: Math.max(0, base - apart_mm),
    lines: laid.flatMap(({ lines }) => lines),
    texts: laid.flatMap(({ texts }) => texts),
  };
}
