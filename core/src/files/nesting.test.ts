import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { models } from '../models/models.ts';
import { shapeOf } from '../shape/shape.ts';
import { runs, thinned } from '../testing/runs.ts';
import { DRAWINGS, type DrawingName, piecesOfDrawing } from './boardDrawings.ts';
import { type Drawing, type DrawnLine, extentOf } from './drawing.ts';
import { nested, withEdge } from './nesting.ts';

const MM = { kind: 'mm' } as const;
const PLY = { width_mm: 1220, height_mm: 2440 };

const box = (name: string, width_mm: number, height_mm: number): Drawing => ({
  title: name,
  width_mm,
  height_mm,
  lines: [
    {
      layer: 'gauges',
      closed: true,
      weight_mm: 0.3,
      points: [
        { x_mm: 0, y_mm: 0 },
        { x_mm: width_mm, y_mm: 0 },
        { x_mm: width_mm, y_mm: height_mm },
        { x_mm: 0, y_mm: height_mm },
      ],
    },
  ],
  texts: [{ layer: 'text', x_mm: 1, y_mm: 1, size_mm: 2, text: name }],
});

/** Signed area by the shoelace formula. */
const area = ({ points }: DrawnLine) =>
  points.reduce((sum, p, i) => {
    const q = points[(i + 1) % points.length];
    return sum + (p.x_mm * q.y_mm - q.x_mm * p.y_mm) / 2;
  }, 0);

/** The rectangles of what is cut on a sheet. */
const cuts = (sheet: Drawing) => sheet.lines.filter(({ layer }) => layer === 'gauges').map((line) => extentOf([line]));

/** How far two rectangles are apart; negative where they overlap. */
const apart = (a: ReturnType<typeof extentOf>, b: ReturnType<typeof extentOf>) =>
  Math.max(a.left_mm - b.right_mm, b.left_mm - a.right_mm, a.foot_mm - b.top_mm, b.foot_mm - a.top_mm);

describe('nesting', () => {
  it('lays any pieces clear of one another and of the edge by the gap, each once, or names it as too large', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 5, max: 1400 }), fc.integer({ min: 5, max: 900 })), {
          minLength: 1,
          maxLength: 24,
        }),
        fc.integer({ min: 0, max: 20 }),
        fc.integer({ min: 0, max: 6 }),
        (sizes, gap_mm, kerf_mm) => {
          const pieces = sizes.map(([w, h], i) => box(`piece ${i}`, w, h));
          const { sheets, on, tooLarge } = nested('random', pieces, PLY, { gap_mm, kerf_mm });
          const titles = [...on.flat(), ...tooLarge.map(({ title }) => title)].sort();
          expect(titles).toEqual(pieces.map(({ title }) => title).sort());
          for (const piece of tooLarge) {
            const [w, h] = sizes[Number(piece.title.slice(6))];
            expect(w + kerf_mm > PLY.width_mm - 2 * gap_mm || h + kerf_mm > PLY.height_mm - 2 * gap_mm).toBe(true);
          }
          for (const sheet of sheets) {
            const all = cuts(sheet);
            all.forEach((a, i) => {
              const edge = Math.min(a.left_mm, a.foot_mm, PLY.width_mm - a.right_mm, PLY.height_mm - a.top_mm);
              expect(edge).toBeGreaterThan(gap_mm - 1e-3);
              for (const b of all.slice(i + 1)) expect(apart(a, b)).toBeGreaterThan(gap_mm - 1e-3);
            });
          }
        },
      ),
      { numRuns: runs(60), endOnFailure: true },
    );
  });

  it('sets the cut off outward by half the kerf, corners kept, and a hole inward: what is left is true', () => {
    const square = box('square', 100, 60);
    const ring = Array.from({ length: 64 }, (_, k) => ({
      x_mm: 50 + 4 * Math.cos((Math.PI * k) / 32),
      y_mm: 30 + 4 * Math.sin((Math.PI * k) / 32),
    }));
    const holed = {
      ...square,
      lines: [...square.lines, { layer: 'holes', points: ring, closed: true, weight_mm: 0.2 }],
    };
    const [sheet] = nested('kerf', [holed], PLY, { gap_mm: 5, kerf_mm: 3 }).sheets;
    const [cut, hole] = sheet.lines;
    // A rectangle grown by 1.5 mm all round, its corners square: 103 x 63.
    expect(Math.abs(area(cut))).toBeCloseTo(103 * 63, 2);
    const across = extentOf([hole]);
    expect(across.right_mm - across.left_mm).toBeCloseTo(8 - 3, 1);
    // Scissors take nothing away.
    const [plain] = nested('plain', [square], PLY, { gap_mm: 5, kerf_mm: 0 }).sheets;
    expect(Math.abs(area(plain.lines[0]))).toBeCloseTo(6000, 9);
  });

  it('keeps every piece of every model whole: areas, labels and holes are those of the piece', () => {
    for (const board of thinned(models(), 5)) {
      const shape = shapeOf(board);
      for (const name of Object.keys(DRAWINGS) as DrawingName[]) {
        const pieces = piecesOfDrawing(name, shape, MM);
        if (pieces.length < 2) continue;
        const { sheets, tooLarge } = nested(name, pieces, PLY, { gap_mm: 6, kerf_mm: 0 });
        // Sticks of boards longer than a sheet lies wide stay whole nowhere: turned they would.
        const kept = pieces.filter((piece) => !tooLarge.some(({ title }) => title === piece.title));
        const sum = (drawings: readonly Drawing[]) =>
          drawings.flatMap(({ lines }) => lines).reduce((all, line) => all + Math.abs(area(line)), 0);
        expect(sum(sheets) / Math.max(1, sum(kept))).toBeCloseTo(kept.length > 0 ? 1 : 0, 9);
        const said = (drawings: readonly Drawing[]) =>
          drawings.flatMap(({ texts }) => texts.map(({ text }) => text)).sort();
        expect(said(sheets)).toEqual(said(kept));
      }
    }
  });

  it('draws the edge of the sheet on a layer that is not cut, and refuses stock without room', () => {
    const [sheet] = nested('edge', [box('a', 10, 10)], PLY, { gap_mm: 5, kerf_mm: 0 }).sheets;
    const [edge] = withEdge(sheet).lines;
    expect([edge.layer, Math.abs(area(edge))]).toEqual(['sheet', PLY.width_mm * PLY.height_mm]);
    expect(() => nested('none', [], { width_mm: 10, height_mm: 10 }, { gap_mm: 5, kerf_mm: 0 })).toThrow(/no room/);
  });
});
