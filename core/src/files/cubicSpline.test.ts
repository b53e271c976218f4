import { describe, expect, it } from '@jest/globals';
import DxfParser from 'dxf-parser';
import { modelNamed, models } from '../models/models.ts';
import { halfBreadthAt } from '../outline/outline.ts';
import { shapeOf } from '../shape/shape.ts';
import { thinned } from '../testing/runs.ts';
import { DRAWINGS, type DrawingName } from './boardDrawings.ts';
import { type CubicSpline, piecesOf, splineThrough } from './cubicSpline.ts';
import { drawingToDxf } from './dxf.ts';
import { halfOutlineDrawing } from './templateDrawing.ts';

/** The spline at t by de Boor's algorithm (A Practical Guide to Splines, 1978, chapter X; from memory). */
function at({ knots, points }: CubicSpline, t: number): { x: number; y: number } {
  let k = 3;
  while (k < points.length - 1 && t >= knots[k + 1]) k++;
  const d = Array.from({ length: 4 }, (_, j) => ({ x: points[j + k - 3].x_mm, y: points[j + k - 3].y_mm }));
  for (let r = 1; r <= 3; r++) {
    for (let j = 3; j >= r; j--) {
      const [low, high] = [knots[j + k - 3], knots[j + 1 + k - r]];
      const share = high > low ? (t - low) / (high - low) : 0;
      d[j] = { x: (1 - share) * d[j - 1].x + share * d[j].x, y: (1 - share) * d[j - 1].y + share * d[j].y };
    }
  }
  return d[3];
}

const plane = (x_mm: number, y_mm: number) => ({ x_mm, y_mm });

describe('a cubic spline through points', () => {
  it('goes through each of them, by de Boor', () => {
    const through = [plane(0, 0), plane(10, 3), plane(25, 4), plane(30, -2), plane(55, 0), plane(61, 8)];
    const spline = splineThrough(through);
    expect(spline.knots).toHaveLength(spline.points.length + 4);
    let t = 0;
    through.forEach((p, i) => {
      if (i > 0) t += Math.hypot(p.x_mm - through[i - 1].x_mm, p.y_mm - through[i - 1].y_mm);
      const found = at(spline, t);
      expect(found.x).toBeCloseTo(p.x_mm, 8);
      expect(found.y).toBeCloseTo(p.y_mm, 8);
    });
  });

  it('is a circle’s arc within r (1 - cos(a/2))/300 between points', () => {
    const r = 100;
    const through = Array.from({ length: 19 }, (_, k) =>
      plane(r * Math.cos((k * Math.PI) / 36), r * Math.sin((k * Math.PI) / 36)),
    );
    const spline = splineThrough(through);
    const end = spline.knots[spline.knots.length - 1];
    // The arc is r (1 - cos 2.5°) off its chord: 0.095 mm.
    for (let i = 0; i <= 400; i++) {
      const { x, y } = at(spline, (end * i) / 400);
      expect(Math.abs(Math.hypot(x, y) - r)).toBeLessThan((r * (1 - Math.cos(Math.PI / 72))) / 30);
    }
  });

  it('refuses what is no line', () => {
    expect(() => splineThrough([plane(0, 0)])).toThrow(RangeError);
    expect(() => splineThrough([plane(0, 0), plane(0, 0)])).toThrow(/one place/);
  });

  it('is cut at corners alone', () => {
    const square = [plane(0, 0), plane(10, 0), plane(10, 10), plane(0, 10)];
    expect(piecesOf(square, true)).toHaveLength(4);
    const bend = Array.from({ length: 10 }, (_, k) => plane(Math.cos(k / 5), Math.sin(k / 5)));
    expect(piecesOf(bend, false)).toHaveLength(1);
  });
});

interface Entity {
  type: string;
  layer: string;
  lineType?: string;
  knotValues: number[];
  controlPoints: { x: number; y: number }[];
  vertices: { x: number; y: number }[];
}
const read = (text: string) => new DxfParser().parseSync(text)!;
const entitiesOf = (text: string) => read(text).entities as unknown as Entity[];

describe('DXF with splines', () => {
  it.each(thinned(models(), 4).map((board) => board.name))(
    '%s: the outline is on the curve of the board within 0.01 mm, between the points too',
    (name) => {
      const shape = shapeOf(modelNamed(name)!);
      const style = { kind: 'mm' } as const;
      const splines = entitiesOf(drawingToDxf(halfOutlineDrawing(shape, style), 'splines')).filter(
        ({ type, layer }) => type === 'SPLINE' && layer === 'outline',
      );
      expect(splines.length).toBeGreaterThan(0);
      let long = 0;
      for (const { knotValues, controlPoints } of splines) {
        const spline = { knots: knotValues, points: controlPoints.map((p) => plane(p.x, p.y)) };
        const end = knotValues[knotValues.length - 1];
        for (let i = 0; i <= 2000; i++) {
          const p = at(spline, (end * i) / 2000);
          long = Math.max(long, p.x);
          // At the very tips a hair along is much across: there the test of the vertices speaks.
          if (p.x < 12 || p.x > shape.board.length_mm - 12) continue;
          expect(Math.abs(p.y - halfBreadthAt(shape.outline, p.x))).toBeLessThan(0.01);
        }
      }
      expect(long).toBeCloseTo(shape.board.length_mm, 2);
    },
  );
});

describe('DXF with splines of a whole outline', () => {
  it.each(['Long Quay', 'Slack Water', 'Broad Acre'])('%s: its straight tail stays straight, to 0.02 mm', (name) => {
    const shape = shapeOf(modelNamed(name)!);
    const splines = entitiesOf(drawingToDxf(DRAWINGS.outline.draw(shape, { kind: 'mm' }), 'splines')).filter(
      ({ type, layer }) => type === 'SPLINE' && layer === 'outline',
    );
    const drawn = splines.flatMap(({ knotValues, controlPoints }) => {
      const spline = { knots: knotValues, points: controlPoints.map((p) => plane(p.x, p.y)) };
      const end = knotValues[knotValues.length - 1];
      return Array.from({ length: 2001 }, (_, i) => at(spline, (end * i) / 2000).x);
    });
    expect(drawn.length).toBeGreaterThan(2000);
    expect(Math.min(...drawn)).toBeGreaterThan(-0.02);
    expect(Math.max(...drawn)).toBeLessThan(shape.board.length_mm + 0.02);
  });
});

describe('DXF', () => {
  const shape = shapeOf(modelNamed('Kettle')!);
  const style = { kind: 'fraction', denominator: 16 } as const;

  it.each(Object.keys(DRAWINGS) as DrawingName[])(
    'of %s has extents that hold it, and colours and line types of its layers',
    (name) => {
      const text = drawingToDxf(DRAWINGS[name].draw(shape, style));
      const { header, tables } = read(text);
      const [low, high] = [header.$EXTMIN, header.$EXTMAX] as unknown as { x: number; y: number }[];
      for (const { vertices = [] } of entitiesOf(text)) {
        for (const { x, y } of vertices) {
          expect(x >= low.x - 1e-6 && x <= high.x + 1e-6 && y >= low.y - 1e-6 && y <= high.y + 1e-6).toBe(true);
        }
      }
      expect(header.$ACADVER).toBe('AC1021');
      const layers = tables.layer.layers as unknown as Record<string, { colorIndex: number }>;
      if (layers.stations) expect(layers.stations.colorIndex).toBe(8);
      if (name === 'bands') {
        expect([layers['deck-bands'].colorIndex, layers['under-bands'].colorIndex]).toEqual([1, 1]);
        const under = entitiesOf(text).filter(({ layer }) => layer === 'under-bands');
        expect(under.every(({ lineType }) => lineType === 'DASHED')).toBe(true);
      }
    },
  );

  it('has no vertex twice in a row, and one closed contour to cut of the half outline and of the stringer', () => {
    for (const board of thinned(models(), 4)) {
      const own = shapeOf(board);
      for (const [drawing, layer] of [
        [halfOutlineDrawing(own, style), 'outline'],
        [DRAWINGS.rocker.draw(own, style), 'stringer'],
        [DRAWINGS.outline.draw(own, style), 'outline'],
      ] as const) {
        const contours = drawing.lines.filter((line) => line.layer === layer);
        expect(contours[0].closed).toBe(true);
        if (layer !== 'outline' || drawing.title.includes('half')) expect(contours).toHaveLength(1);
        for (const { points, closed } of drawing.lines) {
          points.forEach((p, i) => {
            const q = points[i + 1] ?? (closed ? points[0] : undefined);
            if (q && p !== q) expect(Math.hypot(p.x_mm - q.x_mm, p.y_mm - q.y_mm)).toBeGreaterThan(1e-7);
          });
        }
      }
    }
  });
});
