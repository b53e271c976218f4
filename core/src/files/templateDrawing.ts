import type { Shape } from '../shape/shape.ts';
import { halfBreadthAt, outlinePoints } from '../outline/outline.ts';
import { formatLength, type LengthStyle } from '../units/format.ts';
import { INCH_mm } from '../units/length.ts';
import { type Drawing, type DrawingChoices, type DrawnLine, type DrawnText, withoutDoubles } from './drawing.ts';
import { placed } from './labels.ts';

/** Stations are drawn so far apart, from the tail and from the nose. */
const STATION_mm = 6 * INCH_mm;

/** Name, size and the line everything on paper carries. */
export function sizeLine(shape: Shape, style: LengthStyle): string {
  const { board } = shape;
  const part = (value_mm: number, feet = false) => formatLength(value_mm, style, { feet });
  return [part(board.length_mm, true), part(board.outline.width_mm), part(board.foil.thickness_mm)].join(' x ');
}

/**
 * Half the outline at full size, tail at the left, stringer along the bottom: what is cut from card or ply and turned
 * over. Stations every 6 in from each end, the 12 in marks with their widths, the wide point.
 */
export function halfOutlineDrawing(shape: Shape, style: LengthStyle, { name }: DrawingChoices = {}): Drawing {
  const { board, outline } = shape;
  const lines: DrawnLine[] = [];
  const texts: DrawnText[] = [];
  const points = outlinePoints(outline, 480);
  // One contour to cut: round the outline and back along the stringer.
  lines.push(withoutDoubles({ layer: 'outline', points, closed: true, weight_mm: 0.35 }));
  const station = (x_mm: number, label: string, strong: boolean) => {
    const top = halfBreadthAt(outline, x_mm);
    lines.push({
      layer: strong ? 'marks' : 'stations',
      points: [
        { x_mm, y_mm: 0 },
        { x_mm, y_mm: top },
      ],
      weight_mm: strong ? 0.3 : 0.12,
      dashed: !strong,
    });
    const width = formatLength(2 * top, style);
    texts.push({ layer: 'text', x_mm: x_mm + 2, y_mm: 4, size_mm: 3.2, text: `${label}: ${width} wide` });
  };
  for (let at = STATION_mm; at < board.length_mm / 2; at += STATION_mm) {
    const inches = Math.round(at / INCH_mm);
    station(at, `${inches} in from tail`, inches === 12);
    station(board.length_mm - at, `${inches} in from nose`, inches === 12);
  }
  lines.push({
    layer: 'marks',
    points: [
      { x_mm: outline.wide_mm, y_mm: 0 },
      { x_mm: outline.wide_mm, y_mm: halfBreadthAt(outline, outline.wide_mm) },
    ],
    weight_mm: 0.3,
  });
  texts.push({ layer: 'text', x_mm: outline.wide_mm + 2, y_mm: 12, size_mm: 3.2, text: 'wide point' });
  texts.push({
    layer: 'text',
    x_mm: outline.wide_mm + 2,
    y_mm: 18,
    size_mm: 4.5,
    text: `${name ?? board.name}  ${sizeLine(shape, style)}`,
  });
  const height_mm = Math.max(...points.map((p) => p.y_mm));
  return {
    title: `${name ?? board.name}, half outline`,
    width_mm: board.length_mm,
    height_mm,
    lines,
    texts: placed(texts, { left_mm: 0, right_mm: board.length_mm, foot_mm: 0, top_mm: height_mm }),
  };
}
