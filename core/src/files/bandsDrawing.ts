import type { Shape } from '../shape/shape.ts';
import { bandsAt, bandTable, type BandStation, type RailBands, railBands } from '../make/railBands.ts';
import { notchHalfBreadthAt, outlinePoints } from '../outline/outline.ts';
import { type LengthStyle, lengthWords } from '../units/format.ts';
import { type Drawing, type DrawingChoices, type DrawnLine, type DrawnText, framed } from './drawing.ts';

interface PlanPoint {
  x_mm: number;
  y_mm: number;
}

/** The inner edges of all bands in plan, tail to nose: half breadths, mm. */
export function bandLines(shape: Shape, bands: RailBands, count = 160): { deck: PlanPoint[][]; under: PlanPoint[][] } {
  const L = shape.board.length_mm;
  const rows = Array.from({ length: count + 1 }, (_, k) => bandsAt(shape, bands, (L * k) / count)).filter(
    (row): row is BandStation => row !== undefined,
  );
  const lines = (side: 'deck' | 'under') =>
    Array.from({ length: bands.counts[side] }, (_, k) =>
      rows
        .map((row) => ({ x_mm: row.x_mm, y_mm: Math.max(0, row.half_mm - row[side][k].in_mm) }))
        // In a notch there is no board to draw on.
        .filter(({ x_mm, y_mm }) => y_mm >= notchHalfBreadthAt(shape.outline, x_mm)),
    );
  return { deck: lines('deck'), under: lines('under') };
}

/**
 * The lines to draw on the board for its rail bands at true scale: over the stringer those of the deck, under it those of
 * the bottom, with how far each comes down (or up) the square side at the usual stations.
 */
export function bandsDrawing(
  shape: Shape,
  style: LengthStyle,
  { name = shape.board.name, bands: plan }: DrawingChoices = {},
): Drawing {
  const bands = railBands(shape, plan);
  const { deck, under } = bandLines(shape, bands);
  const mirrored = (points: readonly PlanPoint[]) => points.map((p) => ({ x_mm: p.x_mm, y_mm: -p.y_mm }));
  const outline = outlinePoints(shape.outline, 480);
  const lines: DrawnLine[] = [
    { layer: 'outline', points: outline, weight_mm: 0.35 },
    { layer: 'outline', points: mirrored(outline), weight_mm: 0.35 },
    {
      layer: 'stringer',
      points: [
        { x_mm: shape.outline.end.notch_mm, y_mm: 0 },
        { x_mm: shape.board.length_mm, y_mm: 0 },
      ],
      weight_mm: 0.25,
    },
    ...deck.map((points) => ({ layer: 'deck-bands', points, weight_mm: 0.25 })),
    ...under.map((points) => ({ layer: 'under-bands', points: mirrored(points), weight_mm: 0.25, dashed: true })),
  ];
  const texts: DrawnText[] = bandTable(shape, bands).flatMap((row) => {
    const say = (side: 'deck' | 'under') =>
      row[side].map((band) => `${lengthWords(band.in_mm, style)} inward, ${lengthWords(band.side_mm, style)}`);
    const written = (words: string, y_mm: number) => ({
      layer: 'text',
      x_mm: row.x_mm + 2,
      y_mm,
      size_mm: 3,
      text: words,
    });
    return [
      ...say('deck').map((words, k) => written(`${words} down`, 16 - 5 * k)),
      ...say('under').map((words, k) => written(`${words} up`, -8 - 5 * k)),
    ];
  });
  return framed(`${name}, rail bands`, lines, texts);
}
