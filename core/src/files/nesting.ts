// eslint-disable-next-line @typescript-eslint/triple-slash-reference -- the declaration must reach whichever project compiles this file.
/// <reference path="./maxrects.d.ts" />
import { EndType, inflatePathsD, JoinType } from 'clipper2-ts';
import { MaxRectsPacker } from 'maxrects-packer/dist/maxrects-packer.mjs';
import { type Drawing, type DrawnLine, framed, movedBy } from './drawing.ts';
import { inkOf } from './layers.ts';

/** What pieces are cut from: a sheet of paper or of ply, as it lies. */
export interface Stock {
  width_mm: number;
  height_mm: number;
}

/** How pieces lie on it. */
export interface Nesting {
  /** Between any two pieces, and between a piece and the edge. */
  gap_mm: number;
  /** What the cut takes away: the line is drawn outside the piece by half of it, so that what is left is true. None for scissors and knife. */
  kerf_mm: number;
}

/** Pieces laid on sheets, and those too large for one. */
export interface Nested {
  sheets: Drawing[];
  /** Each sheet's pieces by their titles. */
  on: string[][];
  tooLarge: Drawing[];
}

/** Sheets beyond this are a mistake in a number. */
const MOST_SHEETS = 400;

/** A line to cut, set off outward by half of what the cut takes away; other lines as they are. */
function setOff(line: DrawnLine, kerf_mm: number): DrawnLine {
  if (kerf_mm <= 0 || !line.closed || inkOf(line.layer) !== 'cut') return line;
  const path = line.points.map((p) => ({ x: p.x_mm, y: p.y_mm }));
  // A hole in a piece grows smaller: its cut lies inside it.
  const by = line.layer === 'holes' ? -kerf_mm / 2 : kerf_mm / 2;
  const [largest] = inflatePathsD([path], by, JoinType.Miter, EndType.Polygon, 4, 5).sort(
    (a, b) => b.length - a.length,
  );
  if (!largest) return line;
  return { ...line, points: largest.map((p) => ({ x_mm: p.x, y_mm: p.y })) };
}

/**
 * Pieces whole on as few sheets as they go on, by the packing of maximal rectangles; none turned, so that what is written on them
 * stands upright. No two come nearer to each other, or to the edge, than the gap.
 * @throws RangeError for stock or distances that are no lengths.
 */
export function nested(title: string, pieces: readonly Drawing[], stock: Stock, { gap_mm, kerf_mm }: Nesting): Nested {
  const [width, height] = [stock.width_mm - 2 * gap_mm, stock.height_mm - 2 * gap_mm];
  if (!(width > 0 && height > 0 && gap_mm >= 0 && kerf_mm >= 0)) {
    throw new RangeError(`nested: stock ${stock.width_mm} x ${stock.height_mm} mm leaves no room within ${gap_mm} mm`);
  }
  const ready = pieces.map((piece) => {
    const lines = piece.lines.map((line) => setOff(line, kerf_mm));
    return framed(piece.title, lines, piece.texts);
  });
  const fits = ({ width_mm, height_mm }: Drawing) => width_mm <= width && height_mm <= height;
  const packer = new MaxRectsPacker(width, height, gap_mm, { smart: false, pot: false, square: false });
  for (const piece of ready.filter(fits)) packer.add(piece.width_mm, piece.height_mm, piece);
  if (packer.bins.length > MOST_SHEETS) throw new RangeError(`nested: more than ${MOST_SHEETS} sheets`);
  const laid = packer.bins.map((bin) =>
    bin.rects.map((rect) => ({ x_mm: rect.x + gap_mm, y_mm: rect.y + gap_mm, piece: rect.data as Drawing })),
  );
  return {
    sheets: laid.map((placed, i) => {
      const moved = placed.map(({ piece, x_mm, y_mm }) => movedBy(piece, x_mm, y_mm));
      return {
        title: `${title}, sheet ${i + 1} of ${laid.length}`,
        width_mm: stock.width_mm,
        height_mm: stock.height_mm,
        lines: moved.flatMap(({ lines }) => lines),
        texts: moved.flatMap(({ texts }) => texts),
      };
    }),
    on: laid.map((placed) => placed.map(({ piece }) => piece.title)),
    tooLarge: ready.filter((piece) => !fits(piece)),
  };
}

/** The sheet with its own edge drawn round the pieces, as a plotter or a router is told what it lies on. */
export function withEdge(sheet: Drawing): Drawing {
  const { width_mm: w, height_mm: h } = sheet;
  const points = [
    { x_mm: 0, y_mm: 0 },
    { x_mm: w, y_mm: 0 },
    { x_mm: w, y_mm: h },
    { x_mm: 0, y_mm: h },
  ];
  return { ...sheet, lines: [{ layer: 'sheet', points, closed: true, weight_mm: 0.15 }, ...sheet.lines] };
}
