import { describe, expect, it } from '@jest/globals';
import { thinned } from '../testing/runs.ts';
import DxfParser from 'dxf-parser';
import { JSDOM } from 'jsdom';
import { svgPathProperties } from 'svg-path-properties';
import { shapeOf } from '../shape/shape.ts';
import { finArea_mm2 } from '../fins/finShape.ts';
import { finSpots } from '../fins/spots.ts';
import { areaSpread_mm2 } from '../measure/distribution.ts';
import { stringerLineAt } from '../measure/bottomLines.ts';
import { sectionArea } from '../measure/volume.ts';
import { modelNamed, models } from '../models/models.ts';
import { halfBreadthAt, notchHalfBreadthAt, outlinePoints } from '../outline/outline.ts';
import { DRAWINGS } from './boardDrawings.ts';
import { drawingToDxf } from './dxf.ts';
import { drawingToSvg } from './svg.ts';
import { halfOutlineDrawing } from './templateDrawing.ts';

const style = { kind: 'fraction', denominator: 16 } as const;

interface Polyline {
  layer: string;
  shape: boolean;
  vertices: { x: number; y: number }[];
}

/** What another program finds in a DXF: its polylines, and the unit it is in. */
function readDxf(text: string): { polylines: Polyline[]; unit: unknown; texts: string[] } {
  const parsed = new DxfParser().parseSync(text)!;
  const entities = parsed.entities as unknown as (Polyline & { type: string; text?: string })[];
  return {
    unit: parsed.header.$INSUNITS,
    polylines: entities.filter((e) => e.type === 'LWPOLYLINE'),
    texts: entities.filter((e) => e.type === 'TEXT').map((e) => e.text ?? ''),
  };
}

function areaOf(points: { x: number; y: number }[]): number {
  return (
    Math.abs(
      points.reduce((sum, p, i) => {
        const q = points[(i + 1) % points.length];
        return sum + p.x * q.y - q.x * p.y;
      }, 0),
    ) / 2
  );
}

describe('DXF', () => {
  it.each(thinned(models(), 2).map((b) => b.name))(
    '%s: the outline has the plan area, in mm, closed, on its layer',
    (name) => {
      const shape = shapeOf(modelNamed(name)!);
      const { polylines, unit, texts } = readDxf(drawingToDxf(DRAWINGS.outline.draw(shape, style)));
      expect(unit).toBe(4);
      const [outline] = polylines.filter((p) => p.layer === 'outline');
      expect(outline.shape).toBe(true);
      expect(Math.abs(areaOf(outline.vertices) / areaSpread_mm2(shape).total - 1)).toBeLessThan(2e-4);
      expect(texts.length).toBeGreaterThan(6);
    },
  );

  it('vertices lie on the curves within 0.01 mm: outline, rocker, sections, fins', () => {
    const shape = shapeOf(modelNamed('Slack Water')!);
    const half = readDxf(drawingToDxf(halfOutlineDrawing(shape, style))).polylines.find((p) => p.layer === 'outline')!;
    for (const v of half.vertices.slice(1))
      expect(Math.abs(v.y - halfBreadthAt(shape.outline, v.x))).toBeLessThan(0.01);

    const rocker = readDxf(drawingToDxf(DRAWINGS.rocker.draw(shape, style))).polylines;
    const contour = rocker.find((p) => p.layer === 'stringer')!;
    // Bottom from tail to nose, then the deck back: the first half of a closed contour.
    expect(contour.shape).toBe(true);
    const bottom = { vertices: contour.vertices.slice(0, contour.vertices.length / 2) };
    const low = Math.min(0, ...rocker.find((p) => p.layer === 'rail')!.vertices.map((v) => v.y));
    const datum = rocker.find((p) => p.layer === 'datum')!.vertices[0].y;
    expect(low).toBe(0);
    for (const v of bottom.vertices) expect(Math.abs(v.y - datum - stringerLineAt(shape, v.x))).toBeLessThan(0.01);

    const sections = readDxf(drawingToDxf(DRAWINGS.sections.draw(shape, style))).polylines.filter(
      (p) => p.layer === 'sections',
    );
    const twelve = sections.find(
      (p) =>
        Math.abs(Math.max(...p.vertices.map((v) => v.x)) - Math.min(...p.vertices.map((v) => v.x)) - 14.75 * 25.4) <
        0.2,
    )!;
    expect(areaOf(twelve.vertices) / sectionArea(shape, 304.8)).toBeCloseTo(1, 2);

    const fins = readDxf(drawingToDxf(DRAWINGS.fins.draw(shape, style))).polylines;
    const bases = fins.filter((p) => p.layer === 'bases');
    expect(bases).toHaveLength(finSpots(shape).length);
    for (const base of bases) {
      const [a, b] = base.vertices;
      expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeCloseTo(111.76, 2);
    }
    const plans = fins.filter((p) => p.layer === 'templates');
    plans.forEach((plan, i) => {
      expect(areaOf(plan.vertices) / finArea_mm2(shape.board.fins.boxes[i].template)).toBeCloseTo(1, 2);
    });
  });
});

describe('SVG', () => {
  it('paths have the length of the curves, by a path library', () => {
    const shape = shapeOf(modelNamed('Lamplight')!);
    const svg = drawingToSvg(halfOutlineDrawing(shape, style));
    const layer = /<g id="outline"[^>]*>\s*<path d="([^"]+)"/.exec(svg)![1];
    const points = outlinePoints(shape.outline, 8000);
    let arc = 0;
    for (let i = 1; i < points.length; i++) {
      arc += Math.hypot(points[i].x_mm - points[i - 1].x_mm, points[i].y_mm - points[i - 1].y_mm);
    }
    // And back along the stringer: one contour to cut.
    expect(layer.endsWith('Z')).toBe(true);
    expect(new svgPathProperties(layer).getTotalLength() / (arc + shape.board.length_mm)).toBeCloseTo(1, 4);
  });

  it('of every drawing of any model is sound XML in the SVG namespace, its ids no two alike, its vertices those of the drawing', () => {
    const { window } = new JSDOM('');
    for (const board of thinned(models(), 5)) {
      const shape = shapeOf(board);
      const named = { ...shape, board: { ...board, name: 'Salt & <Ladder> "7"' } };
      for (const { draw } of Object.values(DRAWINGS)) {
        const drawing = draw(named, style);
        const parsed = new window.DOMParser().parseFromString(drawingToSvg(drawing, 10), 'image/svg+xml');
        expect(parsed.querySelector('parsererror')).toBeNull();
        expect(parsed.documentElement.namespaceURI).toBe('http://www.w3.org/2000/svg');
        expect(parsed.querySelector('title')?.textContent).toContain('Salt & <Ladder> "7"');
        const ids = [...parsed.querySelectorAll('[id]')].map(({ id }) => id);
        expect(new Set(ids).size).toBe(ids.length);
        const [, , , high] = (parsed.documentElement.getAttribute('viewBox') ?? '').split(' ').map(Number);
        for (const group of parsed.querySelectorAll('g')) {
          const lines = drawing.lines.filter(({ layer }) => layer === group.id);
          const paths = [...group.querySelectorAll('path')].map((path) => path.getAttribute('d') ?? '');
          expect(paths).toHaveLength(lines.length);
          paths.forEach((d, k) => {
            const numbers = (d.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);
            const worst = lines[k].points.reduce((most, p, i) => {
              const [dx, dy] = [numbers[2 * i] - 10 - p.x_mm, high - 10 - numbers[2 * i + 1] - p.y_mm];
              return Math.max(most, Math.abs(dx), Math.abs(dy));
            }, 0);
            expect([drawing.title, worst < 1e-3]).toEqual([drawing.title, true]);
          });
        }
      }
    }
  });

  it('has the outline on the board’s own within 0.01 mm, for every model', () => {
    for (const board of models()) {
      const shape = shapeOf(board);
      const drawing = halfOutlineDrawing(shape, style);
      const d = /<g id="outline"[^>]*>\s*<path d="([^"]+)"/.exec(drawingToSvg(drawing, 0))![1];
      const numbers = (d.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);
      let worst = 0;
      for (let i = 0; i < numbers.length; i += 2) {
        const [x, y] = [numbers[i], drawing.height_mm - numbers[i + 1]];
        // Where the end is flat, or split, x alone says no height: the line along the stringer, too.
        if (x < 1e-6 || y < 1e-6 || notchHalfBreadthAt(shape.outline, x - 1e-3) > 0) continue;
        worst = Math.max(worst, Math.abs(y - halfBreadthAt(shape.outline, x)));
      }
      expect([board.name, worst < 0.01]).toEqual([board.name, true]);
    }
  });

  it('draws what is thought dashed, what is cut whole; closed where it closes, words where they were put', () => {
    const drawing = {
      title: 'A <test>',
      width_mm: 100,
      height_mm: 50,
      lines: [
        {
          layer: 'cut',
          points: [
            { x_mm: 0, y_mm: 0 },
            { x_mm: 100, y_mm: 50 },
            { x_mm: 0, y_mm: 50 },
          ],
          weight_mm: 0.4,
          closed: true,
        },
        {
          layer: 'toe',
          points: [
            { x_mm: 0, y_mm: 0 },
            { x_mm: 10, y_mm: 0 },
          ],
          weight_mm: 0.1,
          dashed: true,
        },
      ],
      texts: [{ layer: 'text', x_mm: 20, y_mm: 30, size_mm: 4, text: '1/4 & less', anchor: 'end' as const }],
    };
    const svg = drawingToSvg(drawing, 10);
    expect(svg).toContain('width="120mm" height="70mm" viewBox="0 0 120 70"');
    // y runs down on paper: the bottom left corner of the drawing is at 10, 60.
    expect(svg).toContain('<path d="M10 60L110 10L10 10Z" stroke-width="0.4"/>');
    expect(svg).toContain('<path d="M10 60L20 60" stroke-width="0.1" stroke-dasharray="2 2"/>');
    expect(svg).toContain(
      '<text x="30" y="30" font-size="4" text-anchor="end" fill="black" stroke="none">1/4 &amp; less</text>',
    );
    expect(svg).toContain('<title>A &lt;test&gt;</title>');
  });

  it('every drawing of every model names its layers and stays on its sheet', () => {
    for (const board of thinned(models(), 3)) {
      for (const { draw } of Object.values(DRAWINGS)) {
        const drawing = draw(shapeOf(board), style);
        expect(drawing.width_mm).toBeGreaterThan(100);
        for (const { points } of drawing.lines) {
          for (const p of points) {
            if (!(
              p.x_mm >= -1e-9 &&
              p.x_mm <= drawing.width_mm + 1e-9 &&
              p.y_mm >= -1e-9 &&
              p.y_mm <= drawing.height_mm + 1e-9
            )) {
              throw new Error(`${board.name}: ${drawing.title} runs off its sheet`);
            }
          }
        }
        expect(drawingToSvg(drawing)).toContain(`<g id="${drawing.lines[0].layer}" `);
      }
    }
  });
});
