import { describe, expect, it } from '@jest/globals';
import { sectionAt, shapeOf } from '../shape/shape.ts';
import type { Board, BottomLayer } from '../document/schema.ts';
import { modelNamed } from '../models/models.ts';
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
});
