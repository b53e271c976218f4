import type { Shape } from '../shape/shape.ts';
import { thicknessAt } from '../foil/foil.ts';
import { stationTable } from '../measure/stationTable.ts';
import { formatLength, type LengthStyle, lengthWords } from '../units/format.ts';
import { type Drawing, type DrawingChoices, type DrawnLine, type DrawnText, framed } from './drawing.ts';

interface PlanPoint {
  x_mm: number;
  y_mm: number;
}

/** A stick is so deep where it is least, so that it keeps its shape in the hand. */
const STICK_mm = 60;
/** It goes on past both tips by so much, along the line's own direction there: a plane or a pencil runs in and out on it. */
export const LEAD_mm = 60;
/** Holes that pin the two sticks to one another or to a bench; their size, and how far their middle lies from the back. */
const HOLE_mm = 8;
const HOLE_IN_mm = 20;

/** The line at so many even places from tail to nose, with its lead at both ends. */
function withLeads(line: (x_mm: number) => number, L: number, count: number): PlanPoint[] {
  const slope = (x: number, step: number) => (line(x + step) - line(x)) / step;
  const [tail, nose] = [slope(0, 1), slope(L, -1)];
  return [
    { x_mm: -LEAD_mm, y_mm: line(0) - LEAD_mm * tail },
    ...Array.from({ length: count + 1 }, (_, k) => ({ x_mm: (L * k) / count, y_mm: line((L * k) / count) })),
    { x_mm: L + LEAD_mm, y_mm: line(L) + LEAD_mm * nose },
  ];
}

export function holeAt(x_mm: number, y_mm: number): DrawnLine {
  const points = Array.from({ length: 48 }, (_, k) => ({
    x_mm: x_mm + (HOLE_mm / 2) * Math.cos((2 * Math.PI * k) / 48),
    y_mm: y_mm + (HOLE_mm / 2) * Math.sin((2 * Math.PI * k) / 48),
  }));
  return { layer: 'holes', points, closed: true, weight_mm: 0.25 };
}

/**
 * Sticks to hold against the stringer: the bottom one is laid on the bottom with the board upside down, the deck one on the
 * deck. Each has the curve as one edge, a lead past either tip, and a straight back parallel to the line the rocker is measured from;
 * lines at the tips, the middle and the stations, and two holes at the same places in both.
 */
export function rockerSticks(
  shape: Shape,
  style: LengthStyle,
  { name = shape.board.name }: DrawingChoices = {},
): Drawing[] {
  const L = shape.board.length_mm;
  const bottomAt = (x: number) => shape.rocker.line.valueAt(x);
  const deckAt = (x: number) => bottomAt(x) + thicknessAt(shape.foil, x);
  const rows = stationTable(shape);
  const stick = (which: 'bottom' | 'deck'): Drawing => {
    const at = which === 'bottom' ? bottomAt : deckAt;
    const curve = withLeads(at, L, 240);
    const ys = curve.map((p) => p.y_mm);
    const inward = which === 'bottom' ? 1 : -1;
    const back = which === 'bottom' ? Math.min(...ys) - STICK_mm : Math.max(...ys) + STICK_mm;
    const across = (layer: string, x_mm: number, dashed = false): DrawnLine => ({
      layer,
      points: [
        { x_mm, y_mm: back },
        { x_mm, y_mm: at(x_mm) },
      ],
      weight_mm: dashed ? 0.12 : 0.3,
      dashed,
    });
    const lines: DrawnLine[] = [
      {
        layer: which,
        points: [...curve, { x_mm: L + LEAD_mm, y_mm: back }, { x_mm: -LEAD_mm, y_mm: back }],
        closed: true,
        weight_mm: 0.35,
      },
      ...[0, L / 2, L].map((x) => across('marks', x)),
      ...[L / 4, (3 * L) / 4].map((x) => holeAt(x, back + inward * HOLE_IN_mm)),
      ...rows.map((row) => across('stations', row.x_mm, true)),
    ];
    const write = (x_mm: number, off_mm: number, size_mm: number, text: string): DrawnText => ({
      layer: 'text',
      x_mm,
      y_mm: which === 'bottom' ? back + off_mm : back - off_mm - 0.7 * size_mm,
      size_mm,
      text,
    });
    const said = (row: (typeof rows)[number]) =>
      which === 'bottom'
        ? `lift ${formatLength(at(row.x_mm), style)}`
        : `${formatLength(row.thickness_mm, style)} thick`;
    return framed(`${which} stick`, lines, [
      write(0.1 * L, 12, 5, `${name}, ${which} stick, tail at this end`),
      write(2, 36, 4, 'tail'),
      { ...write(L - 2, 36, 4, 'nose'), anchor: 'end' },
      write(L / 2 + 2, 36, 4, 'middle'),
      ...rows.map((row) => write(row.x_mm + 2, 4, 4, `${lengthWords(row.x_mm, style)} from tail, ${said(row)}`)),
    ]);
  };
  return [stick('bottom'), stick('deck')];
}
