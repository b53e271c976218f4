import { describe, expect, it } from '@jest/globals';
import type { PrintedOn } from '../../make/paper.ts';
import { modelNamed, models } from '../../models/models.ts';
import { shapeOf } from '../../shape/shape.ts';
import { FONTS } from '../../testing/fonts.ts';
import { readPdf } from '../../testing/pdf.ts';
import { thinned } from '../../testing/runs.ts';
import { DRAWINGS, type DrawingName } from '../boardDrawings.ts';
import { extentOf } from '../drawing.ts';
import { boxOf } from '../labels.ts';
import { boardPdf } from './boardPapers.ts';
import { onPaper, sheetCount } from './onPaper.ts';
import { labelsOn, sheetsOf } from './sheets.ts';
import { PAGE_MARGIN_mm } from './tiling.ts';

const STYLE = { kind: 'fraction', denominator: 16 } as const;
const ON: readonly PrintedOn[] = ['A4', 'A3', 'Letter', 'Tabloid', { roll_mm: 610 }];
const READINGS = [
  { across_mm: 100, along_mm: 100 },
  { across_mm: 98.5, along_mm: 101 },
  { across_mm: 101.3, along_mm: 99 },
];
const slack = shapeOf(modelNamed('Slack Water')!);

describe('pieces on paper', () => {
  it('lie whole on one sheet each, for every paper and printer; no label runs into another or off its sheet', () => {
    let count = 0;
    for (const [b, board] of thinned(models(), 5).entries()) {
      const shape = shapeOf(board);
      for (const [o, on] of ON.entries()) {
        // Each paper meets each printer's reading with one board or another; all of them in the deep run.
        for (const reading of thinned(
          [0, 1, 2].map((r) => READINGS[(r + b + o) % 3]),
          3,
        )) {
          for (const name of Object.keys(DRAWINGS) as DrawingName[]) {
            const paper = onPaper(name, shape, { on, style: STYLE, reading });
            if (paper.kind !== 'pieces') continue;
            for (const sheet of paper.nested.sheets) {
              const cut = sheetsOf(sheet, on, reading, paper.turn);
              const where = `${board.name}, ${name}, ${JSON.stringify([on, reading])}`;
              if (cut.tiling.columns * cut.tiling.rows !== 1) throw new Error(`${where}: cut in two`);
              const extent = extentOf(cut.drawing.lines);
              const { width, height } = cut.tiling.window_mm;
              if (extent.left_mm < 0 || extent.foot_mm < 0 || extent.right_mm > width || extent.top_mm > height)
                throw new Error(`${where}: runs off its sheet`);
              const boxes = labelsOn(cut, 0, 0).map(boxOf);
              boxes.forEach((a, i) => {
                for (const b of boxes.slice(i + 1)) {
                  const clear =
                    a.right_mm <= b.left_mm ||
                    b.right_mm <= a.left_mm ||
                    a.top_mm <= b.foot_mm ||
                    b.top_mm <= a.foot_mm;
                  if (!clear) throw new Error(`${where}: two labels on one another`);
                }
                if (a.left_mm < PAGE_MARGIN_mm || a.right_mm > PAGE_MARGIN_mm + width)
                  throw new Error(`${where}: a label runs off its sheet`);
              });
              count++;
            }
          }
        }
      }
    }
    expect(count).toBeGreaterThan(100);
  });

  it('are printed as large as they are, and the first page says which lie where', async () => {
    const printing = { on: 'A4' as const, style: STYLE, fonts: FONTS, reading: READINGS[1] };
    const paper = onPaper('railGauges', slack, printing, { name: 'Slack Water 104' });
    const [first, ...sheets] = await readPdf(
      await boardPdf('railGauges', slack, printing, { name: 'Slack Water 104' }),
    );
    expect(sheets).toHaveLength(sheetCount(paper, 'A4', READINGS[1]));
    const said = first.texts.map(({ text }) => text).join(' ');
    expect(said).toContain('rail gauge, 12 in from tail');
    // 98.5 across and 101 along on a sheet that stands: drawn wider and lower by that, so that it comes out true.
    const drawn = sheets.flatMap(({ paths }) => paths.filter(({ closed, points }) => closed && points.length > 50));
    const pieces = DRAWINGS.railGauges.pieces!(slack, STYLE);
    expect(drawn).toHaveLength(pieces.length);
    const stands = sheets[0].width_mm < sheets[0].height_mm;
    const [kx, ky] = stands ? [0.985, 1.01] : [1.01, 0.985];
    const sizes = drawn
      .map(({ points }) => {
        const xs = points.map((p) => p.x_mm * kx);
        const ys = points.map((p) => p.y_mm * ky);
        return [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
      })
      .sort((a, b) => a[1] - b[1]);
    const own = pieces.map((piece) => [piece.width_mm, piece.height_mm]).sort((a, b) => a[1] - b[1]);
    sizes.forEach(([wide, high], i) => {
      expect(Math.abs(wide - own[i][0])).toBeLessThan(0.02);
      expect(Math.abs(high - own[i][1])).toBeLessThan(0.02);
    });
  });

  it('what is too wide for the paper is laid together from sheets instead, none left out', () => {
    const paper = onPaper('bottomGauges', slack, { on: 'A4', style: STYLE });
    expect(paper.kind).toBe('laid');
    expect(onPaper('bottomGauges', slack, { on: { roll_mm: 914 }, style: STYLE }).kind).toBe('pieces');
  });
});
