import type { Shape } from '../shape/shape.ts';
import { finPlan } from '../fins/finShape.ts';
import { finSpots } from '../fins/spots.ts';
import { thicknessAt } from '../foil/foil.ts';
import { railLineAt, stringerLineAt } from '../measure/bottomLines.ts';
import { stationTable } from '../measure/stationTable.ts';
import { outlinePoints } from '../outline/outline.ts';
import { meshStations } from '../solid/stations.ts';
import { formatLength, type LengthStyle, lengthWords } from '../units/format.ts';
import { INCH_mm } from '../units/length.ts';
import { type Drawing, type DrawingChoices, type DrawnLine, type DrawnText, framed, stacked } from './drawing.ts';
import { bandsDrawing } from './bandsDrawing.ts';
import { bottomGauges, railGauges } from './gauges.ts';
import { rockerSticks } from './rockerSticks.ts';
import { sectionCards } from './sectionCards.ts';

interface PlanPoint {
  x_mm: number;
  y_mm: number;
}

type Draw<D> = (shape: Shape, style: LengthStyle, choices?: DrawingChoices) => D;

interface BoardDrawing {
  words: string;
  draw: Draw<Drawing>;
  /** What it is cut into, where it is of several pieces: each can lie on a sheet by itself. */
  pieces?: Draw<Drawing[]>;
}

/** A drawing of several pieces, one over another. */
const ofPieces = (words: string, titled: string, apart_mm: number, pieces: Draw<Drawing[]>): BoardDrawing => ({
  words,
  pieces,
  draw: (shape, style, choices = {}) =>
    stacked(`${choices.name ?? shape.board.name}, ${titled}`, pieces(shape, style, choices), apart_mm),
});

/** The drawings of one board that are written as PDF, SVG and DXF, by name. */
export const DRAWINGS = {
  outline: { words: 'whole outline', draw: outlineDrawing },
  rocker: { words: 'rocker: bottom, deck and rail lines', draw: rockerDrawing },
  sections: ofPieces('cross-sections', 'sections', 10, sectionCards),
  fins: { words: 'fin layout', draw: finLayoutDrawing },
  sticks: ofPieces('rocker sticks: bottom and deck', 'rocker sticks', 20, rockerSticks),
  railGauges: ofPieces('rail gauges', 'rail gauges', 12, railGauges),
  bands: { words: 'rail bands: lines for deck and bottom', draw: bandsDrawing },
  bottomGauges: ofPieces('bottom gauges', 'bottom gauges', 12, bottomGauges),
} as const satisfies Readonly<Record<string, BoardDrawing>>;
export type DrawingName = keyof typeof DRAWINGS;

/** What a drawing is cut into; itself where it is of one piece. */
export function piecesOfDrawing(
  name: DrawingName,
  shape: Shape,
  style: LengthStyle,
  choices: DrawingChoices = {},
): Drawing[] {
  const { draw, pieces }: BoardDrawing = DRAWINGS[name];
  return pieces ? pieces(shape, style, choices) : [draw(shape, style, choices)];
}

/** The whole outline, closed, tail at the left, with stringer, wide point and the usual stations. */
function outlineDrawing(shape: Shape, style: LengthStyle, { name = shape.board.name }: DrawingChoices = {}): Drawing {
  const half = outlinePoints(shape.outline, 480);
  const closed = [...half, ...[...half].reverse().map((p) => ({ x_mm: p.x_mm, y_mm: -p.y_mm }))];
  const { length_mm } = shape.board;
  const lines: DrawnLine[] = [
    { layer: 'outline', points: closed, closed: true, weight_mm: 0.35 },
    {
      layer: 'stringer',
      points: [
        { x_mm: shape.outline.end.notch_mm, y_mm: 0 },
        { x_mm: length_mm, y_mm: 0 },
      ],
      weight_mm: 0.25,
    },
  ];
  const texts: DrawnText[] = [];
  for (const row of stationTable(shape)) {
    const half_mm = row.width_mm / 2;
    lines.push({
      layer: 'stations',
      points: [
        { x_mm: row.x_mm, y_mm: -half_mm },
        { x_mm: row.x_mm, y_mm: half_mm },
      ],
      weight_mm: 0.12,
      dashed: true,
    });
    texts.push({ layer: 'text', x_mm: row.x_mm + 2, y_mm: 4, size_mm: 4, text: formatLength(row.width_mm, style) });
  }
  return framed(`${name}, outline`, lines, texts);
}

/** Bottom and deck at the stringer and the rail line from the side, tail at the left, the table line under them. */
function rockerDrawing(shape: Shape, style: LengthStyle, { name = shape.board.name }: DrawingChoices = {}): Drawing {
  const { length_mm } = shape.board;
  const stations = meshStations(shape, 241);
  const line = (at: (x: number) => number) => stations.map((x_mm) => ({ x_mm, y_mm: at(x_mm) }));
  const bottom = line((x) => stringerLineAt(shape, x));
  const deck = line((x) => stringerLineAt(shape, x) + thicknessAt(shape.foil, x));
  const lines: DrawnLine[] = [
    // One contour to cut: the bottom from tail to nose, and the deck back.
    { layer: 'stringer', points: [...bottom, ...deck.toReversed()], closed: true, weight_mm: 0.35 },
    { layer: 'rail', points: line((x) => railLineAt(shape, x)), weight_mm: 0.2, dashed: true },
    {
      layer: 'datum',
      points: [
        { x_mm: 0, y_mm: 0 },
        { x_mm: length_mm, y_mm: 0 },
      ],
      weight_mm: 0.15,
    },
  ];
  const texts: DrawnText[] = [];
  for (const row of stationTable(shape)) {
    lines.push({
      layer: 'stations',
      points: [
        { x_mm: row.x_mm, y_mm: row.stringer_mm },
        { x_mm: row.x_mm, y_mm: row.stringer_mm + row.thickness_mm },
      ],
      weight_mm: 0.12,
    });
    const words = `${formatLength(row.stringer_mm, style)} up, ${formatLength(row.thickness_mm, style)} thick`;
    texts.push({
      layer: 'text',
      x_mm: row.x_mm,
      y_mm: row.stringer_mm + row.thickness_mm + 6,
      size_mm: 3,
      text: words,
    });
  }
  return framed(`${name}, rocker`, lines, texts);
}

/** So much of the tail is drawn with the fins. */
const FIN_LAYOUT_mm = 30 * INCH_mm;

/** The tail at true scale with the bases of all fins and their toe lines, and beside it each template from the side. */
function finLayoutDrawing(shape: Shape, style: LengthStyle, { name = shape.board.name }: DrawingChoices = {}): Drawing {
  const reach = Math.min(FIN_LAYOUT_mm, shape.board.length_mm / 2);
  const tail = outlinePoints(shape.outline, 480).filter((p) => p.x_mm <= reach);
  const spots = finSpots(shape);
  const lines: DrawnLine[] = [
    { layer: 'outline', points: tail, weight_mm: 0.35 },
    { layer: 'outline', points: tail.map((p) => ({ x_mm: p.x_mm, y_mm: -p.y_mm })), weight_mm: 0.35 },
    {
      layer: 'stringer',
      points: [
        { x_mm: shape.outline.end.notch_mm, y_mm: 0 },
        { x_mm: reach, y_mm: 0 },
      ],
      weight_mm: 0.2,
    },
    ...spots.map((spot) => ({ layer: 'bases', points: [spot.rear, spot.front], weight_mm: 0.5 })),
    ...spots
      .filter((spot) => spot.side !== 0)
      .map((spot) => ({ layer: 'toe', points: [spot.front, onToeLine(spot, reach)], weight_mm: 0.12, dashed: true })),
  ];
  const texts: DrawnText[] = spots
    .filter((spot) => spot.side >= 0)
    .map((spot) => ({
      layer: 'text',
      x_mm: spot.rear.x_mm,
      y_mm: spot.rear.y_mm + 4,
      size_mm: 4,
      text: `${lengthWords(spot.box.trailingEdge_mm, style)} from tail`,
    }));
  const widest = Math.max(...tail.map((p) => p.y_mm));
  let at = 0;
  for (const box of shape.board.fins.boxes) {
    const plan = finPlan(box.template);
    const left = Math.min(...plan.map((p) => p.x_mm));
    lines.push({
      layer: 'templates',
      points: plan.map((p) => ({ x_mm: p.x_mm - left + at, y_mm: widest + 30 + p.z_mm })),
      closed: true,
      weight_mm: 0.35,
    });
    texts.push({ layer: 'text', x_mm: at, y_mm: widest + 22, size_mm: 4, text: box.template.name });
    at += Math.max(...plan.map((p) => p.x_mm)) - left + 30;
  }
  return framed(`${name}, fins`, lines, texts);
}

/** Where the line of a base, drawn forward, leaves the sheet or meets the stringer. */
function onToeLine(spot: ReturnType<typeof finSpots>[number], reach: number): PlanPoint {
  const dx = spot.front.x_mm - spot.rear.x_mm;
  const slope = (spot.front.y_mm - spot.rear.y_mm) / dx;
  return { x_mm: reach, y_mm: spot.front.y_mm + slope * (reach - spot.front.x_mm) };
}
