import { describe, expect, it } from '@jest/globals';
import { sectionAt, shapeOf } from '../shape/shape.ts';
import type { Board, BottomLayer } from '../document/schema.ts';
import { modelNamed, models } from '../models/models.ts';
import { notchHalfBreadthAt } from '../outline/outline.ts';
import { straightedgeAcross } from '../section/straightedge.ts';
import { bottomRelief } from './relief.ts';

const board = modelNamed('Slack Water')!;
const withLayers = (layers: BottomLayer[]): Board => ({ ...board, bottom: { layers } });
const even = (kind: BottomLayer['kind'], depth: number, width = 1): BottomLayer => ({
  kind,
  width,
  depths: [{ from: 'centre', at_mm: 0, value_mm: depth }],
});
const reading = (b: Board, x = b.length_mm / 2) => straightedgeAcross(sectionAt(shapeOf(b), x)!);

describe('a straightedge laid across the bottom', () => {
  it('lies flat on a flat bottom', () => {
    expect(reading(withLayers([]))).toMatchObject({ kind: 'flat', gap_mm: 0 });
  });

  it('shows the depth of a single concave as light at the stringer, resting on the edges', () => {
    const read = reading(withLayers([even('single', 4)]));
    expect(read.kind).toBe('light');
    expect(read.gap_mm).toBeCloseTo(4, 6);
    expect(read.at_mm).toBe(0);
    expect(read.rests_mm).toBeCloseTo(
      sectionAt(shapeOf(withLayers([even('single', 4)])), board.length_mm / 2)!.edgeY_mm,
      6,
    );
  });

  it('rocks on the stringer of a vee, by the vee at the edge', () => {
    const read = reading(withLayers([even('vee', 3)]));
    expect(read.kind).toBe('rocks');
    expect(read.gap_mm).toBeCloseTo(3, 6);
  });
});

describe('contour lines of the bottom', () => {
  it('are none on a flat bottom', () => {
    expect(bottomRelief(shapeOf(withLayers([])), 0.5)).toEqual([]);
  });

  it('lie where a single concave has that depth left: 1 − v² of it, to 1 % of the half width', () => {
    const shape = shapeOf(withLayers([even('single', 4)]));
    const lines = bottomRelief(shape, 1).filter((line) => line.light_mm === 1);
    const middle = lines.flatMap((line) => line.points).filter((p) => Math.abs(p.x_mm - board.length_mm / 2) < 150);
    expect(middle.length).toBeGreaterThan(10);
    for (const p of middle) {
      const { edgeY_mm } = sectionAt(shape, p.x_mm)!;
      expect(Math.abs(p.y_mm / edgeY_mm - Math.sqrt(0.75))).toBeLessThan(0.01);
    }
  });

  it('come at even steps of light and refuse a step of nothing', () => {
    const levels = new Set(bottomRelief(shapeOf(board), 0.8).map((line) => line.light_mm));
    expect([...levels].map((level) => Math.round(level / 0.8))).toEqual([...levels].map((_, i) => i + 1));
    expect(() => bottomRelief(shapeOf(board), 0)).toThrow(RangeError);
  });

  it('on every model end at the edge, at the stringer, at a tip or the notch, or close: none breaks off or turns back in mid-board', () => {
    for (const model of models()) {
      const shape = shapeOf(model);
      const [dx, share] = [model.length_mm / 140, 1 / 27];
      for (const { light_mm, points } of bottomRelief(shape, 1)) {
        const ends = [points[0], points[points.length - 1]];
        const closed = Math.hypot(ends[0].x_mm - ends[1].x_mm, ends[0].y_mm - ends[1].y_mm) < 1e-9;
        for (const { x_mm, y_mm } of closed ? [] : ends) {
          const { edgeY_mm } = sectionAt(shape, x_mm)!;
          const off = Math.min(y_mm, Math.abs(edgeY_mm - y_mm), x_mm - dx, model.length_mm - dx - x_mm);
          const notch = notchHalfBreadthAt(shape.outline, x_mm);
          // The notch ends in a point, or steeply: on its edge by height or by length.
          const atNotch = Math.abs(y_mm - notch) < 1e-3 || notchHalfBreadthAt(shape.outline, x_mm - 1e-3) > y_mm;
          if (off > share * edgeY_mm && !atNotch)
            throw new Error(`${model.name}: a line of ${light_mm} mm breaks off at ${x_mm}, ${y_mm}`);
        }
        for (const { x_mm, y_mm } of points) {
          const { edgeY_mm } = sectionAt(shape, x_mm)!;
          if (y_mm > edgeY_mm * 1.001 + 1 || y_mm < notchHalfBreadthAt(shape.outline, x_mm))
            throw new Error(`${model.name}: a line of ${light_mm} mm runs off the bottom at ${x_mm}, ${y_mm}`);
        }
      }
    }
  });
});
