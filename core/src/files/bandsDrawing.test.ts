import { describe, expect, it } from '@jest/globals';
import { shapeOf } from '../shape/shape.ts';
import { bandsAt, railBands } from '../make/railBands.ts';
import { modelNamed } from '../models/models.ts';
import { halfBreadthAt, notchHalfBreadthAt } from '../outline/outline.ts';
import { bandLines, bandsDrawing } from './bandsDrawing.ts';

const shape = shapeOf(modelNamed('Slack Water')!);
const bands = railBands(shape, { deck: 3, under: 1 });

describe('the drawing of the rail bands', () => {
  it('has each inner edge where the table says, inside the outline', () => {
    const lines = bandLines(shape, bands, 80);
    expect(lines.deck).toHaveLength(3);
    expect(lines.under).toHaveLength(1);
    lines.deck.forEach((points, k) => {
      for (const { x_mm, y_mm } of points) {
        const at = bandsAt(shape, bands, x_mm)!;
        expect(y_mm).toBeCloseTo(Math.max(0, at.half_mm - at.deck[k].in_mm), 9);
        expect(y_mm).toBeLessThanOrEqual(halfBreadthAt(shape.outline, x_mm) + 1e-9);
      }
    });
  });

  it('draws no line across the notch of a swallow or a half-moon', () => {
    for (const name of ['Kettle', 'Peat Fire', 'Two Stairs']) {
      const split = shapeOf(modelNamed(name)!);
      const { deck, under } = bandLines(split, railBands(split, { deck: 3, under: 1 }), 400);
      for (const { x_mm, y_mm } of [...deck, ...under].flat()) {
        expect(y_mm).toBeGreaterThanOrEqual(notchHalfBreadthAt(split.outline, x_mm));
      }
    }
  });

  it('draws the bands as the shaper has them, a held line where it is held', () => {
    const fixed = [{ side: 'deck' as const, band: 0, in_mm: { nose12: 44, middle: 50, tail12: 44 } }];
    const middle_mm = shape.board.length_mm / 2;
    const drawing = bandsDrawing(shape, { kind: 'mm' }, { bands: { deck: 2, under: 1, fixed } });
    const lines = drawing.lines.filter(({ layer }) => layer === 'deck-bands');
    expect(lines).toHaveLength(2);
    const edge = Math.max(...drawing.lines[0].points.map((p) => p.y_mm));
    const stringer = drawing.lines.find(({ layer }) => layer === 'stringer')!.points[0];
    const near = lines[0].points.toSorted(
      (a, b) => Math.abs(a.x_mm - stringer.x_mm - middle_mm) - Math.abs(b.x_mm - stringer.x_mm - middle_mm),
    )[0];
    const half = halfBreadthAt(shape.outline, near.x_mm - stringer.x_mm);
    expect(edge - stringer.y_mm).toBeCloseTo(shape.board.outline.width_mm / 2, 0);
    expect(half - (near.y_mm - stringer.y_mm)).toBeCloseTo(50, 0);
  });

  it('is at true scale: its outline is the board’s, its deck lines lie on one side and those under on the other', () => {
    const drawing = bandsDrawing(shape, { kind: 'fraction', denominator: 16 });
    const layer = (name: string) => drawing.lines.filter((line) => line.layer === name).flatMap((line) => line.points);
    const outline = layer('outline');
    const width = Math.max(...outline.map((p) => p.y_mm)) - Math.min(...outline.map((p) => p.y_mm));
    expect(width).toBeCloseTo(shape.board.outline.width_mm, 1);
    const middle = (Math.max(...outline.map((p) => p.y_mm)) + Math.min(...outline.map((p) => p.y_mm))) / 2;
    for (const p of layer('deck-bands')) expect(p.y_mm).toBeGreaterThanOrEqual(middle - 1e-6);
    for (const p of layer('under-bands')) expect(p.y_mm).toBeLessThanOrEqual(middle + 1e-6);
    expect(drawing.texts.some(({ text }) => / inward, .* down$/.test(text))).toBe(true);
    expect(drawing.texts.some(({ text }) => / inward, .* up$/.test(text))).toBe(true);
  });
});
