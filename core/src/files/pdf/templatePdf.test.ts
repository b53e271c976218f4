import { describe, expect, it } from '@jest/globals';
import { thinned } from '../../testing/runs.ts';
import { shapeOf } from '../../shape/shape.ts';
import { modelNamed, models } from '../../models/models.ts';
import { halfBreadthAt } from '../../outline/outline.ts';
import { type PdfPageRead, readPdf } from '../../testing/pdf.ts';
import { halfOutlineDrawing } from '../templateDrawing.ts';
import { FONTS } from '../../testing/fonts.ts';
import { DRAWINGS, type DrawingName } from '../boardDrawings.ts';
import { drawingPdf, templatePdf } from './templatePdf.ts';
import { checkSquareOf, type Paper, PAPERS, type PrintedOn } from '../../make/paper.ts';
import type { PrinterReading } from './sheets.ts';
import { OVERLAP_mm, PAGE_MARGIN_mm, tilingOn } from './tiling.ts';

const style = { kind: 'fraction', denominator: 16 } as const;
const shape = shapeOf(modelNamed('Slack Water')!);
const print = (on: PrintedOn, reading?: PrinterReading) => ({ on, style, fonts: FONTS, reading });

/** A closed square path of the given side, anywhere on the page. */
function squareOf(page: PdfPageRead, side_mm: number) {
  return page.paths.find((path) => {
    if (!path.closed || path.points.length !== 4) return false;
    const [a, b, c] = path.points;
    return Math.abs(b.x_mm - a.x_mm - side_mm) < 0.1 && Math.abs(c.y_mm - b.y_mm - side_mm) < 0.1;
  });
}

/** All the vertices of the sheets laid together on their overlaps, in the drawing's own mm. */
function assembled(pages: PdfPageRead[], paper: Paper) {
  const drawing = halfOutlineDrawing(shape, style);
  const tiling = tilingOn(drawing.width_mm, drawing.height_mm, paper);
  return pages.slice(1).flatMap((page, i) => {
    const column = i % tiling.columns;
    const row = Math.floor(i / tiling.columns);
    const dx = column * (tiling.window_mm.width - OVERLAP_mm) - PAGE_MARGIN_mm;
    const dy = row * (tiling.window_mm.height - OVERLAP_mm) - PAGE_MARGIN_mm;
    return page.paths
      .filter((path) => path.points.length > 50)
      .flatMap((path) => path.points.map((p) => ({ x_mm: p.x_mm + dx, y_mm: p.y_mm + dy })));
  });
}

describe.each(['A4', 'Letter', 'A3', 'Tabloid'] as const)('the template on %s', (paper) => {
  it('has a page for the map and one for each sheet, in the paper’s size', async () => {
    const pages = await readPdf(await templatePdf(shape, print(paper)));
    const drawing = halfOutlineDrawing(shape, style);
    const tiling = tilingOn(drawing.width_mm, drawing.height_mm, paper);
    expect(pages.length).toBe(1 + tiling.columns * tiling.rows);
    const sides = [PAPERS[paper].width_mm, PAPERS[paper].height_mm].sort((a, b) => a - b);
    for (const page of pages) {
      const found = [page.width_mm, page.height_mm].sort((a, b) => a - b);
      expect(found[0]).toBeCloseTo(sides[0], 2);
      expect(found[1]).toBeCloseTo(sides[1], 2);
    }
  });

  it('has a check square at true scale on the first page', async () => {
    const [first] = await readPdf(await templatePdf(shape, print(paper)));
    const { side_mm, words } = checkSquareOf(paper);
    expect(side_mm).toBe(paper === 'Letter' || paper === 'Tabloid' ? 101.6 : 100);
    expect(squareOf(first, side_mm)).toBeDefined();
    expect(first.texts.map((t) => t.text).join(' ')).toContain(`${words} each way`);
  });

  it('has the outline at true scale on the sheets laid together, within 0.1 mm', async () => {
    const points = assembled(await readPdf(await templatePdf(shape, print(paper))), paper);
    expect(points.length).toBeGreaterThan(400);
    for (const p of points) {
      const x = Math.min(Math.max(p.x_mm, 0), shape.board.length_mm);
      const half = halfBreadthAt(shape.outline, x);
      // The face of the block is a line across the tail: there any half width up to the corner's is right.
      const miss = x < 0.05 ? Math.max(0, p.y_mm - half, -p.y_mm) : Math.abs(p.y_mm - half);
      expect(miss).toBeLessThan(0.1);
    }
    const xs = points.map((p) => p.x_mm);
    expect(Math.max(...xs)).toBeCloseTo(shape.board.length_mm, 1);
    expect(Math.min(...xs)).toBeCloseTo(0, 1);
  });
});

describe('on a roll', () => {
  it('lies along it in one piece at true scale, in the roll’s width', async () => {
    const pages = await readPdf(await templatePdf(shape, print({ roll_mm: 610 })));
    expect(pages).toHaveLength(2);
    expect(pages[1].height_mm).toBeCloseTo(610, 2);
    expect(pages[1].width_mm).toBeCloseTo(shape.board.length_mm + 2 * PAGE_MARGIN_mm, 1);
    const outline = pages[1].paths.filter((path) => path.points.length > 50).flatMap((path) => path.points);
    for (const p of outline) {
      const x = Math.min(Math.max(p.x_mm - PAGE_MARGIN_mm, 0), shape.board.length_mm);
      if (x > 0.05) expect(Math.abs(p.y_mm - PAGE_MARGIN_mm - halfBreadthAt(shape.outline, x))).toBeLessThan(0.1);
    }
  });

  it('is cut in strips where the roll is narrower than the drawing, and refused when it is no roll', async () => {
    const sections = DRAWINGS.sections.draw(shape, style);
    const { rows } = tilingOn(sections.width_mm, sections.height_mm, { roll_mm: 300 });
    expect(rows).toBeGreaterThan(1);
    await expect(templatePdf(shape, print({ roll_mm: 100 }))).rejects.toThrow(/roll_mm/);
  });
});

describe('a printer that is out', () => {
  it('is corrected both ways: what it prints of the square and the outline is true', async () => {
    // It prints 100 mm as 98.5 across and 101 along.
    const reading = { across_mm: 98.5, along_mm: 101 };
    const [first, ...sheets] = await readPdf(await templatePdf(shape, print('A4', reading)));
    const square = first.paths.find(
      (path) =>
        path.closed &&
        path.points.length === 4 &&
        Math.abs(path.points[1].x_mm - path.points[0].x_mm - 100 / 0.985) < 0.1,
    );
    expect(square).toBeDefined();
    const [a, b, c] = square!.points;
    expect((b.x_mm - a.x_mm) * 0.985).toBeCloseTo(100, 1);
    expect((c.y_mm - b.y_mm) * 1.01).toBeCloseTo(100, 1);
    const plain = await readPdf(await templatePdf(shape, print('A4')));
    expect(sheets.length).toBeGreaterThanOrEqual(plain.length - 1);
    // The length of the outline over all sheets, as this printer puts it on paper.
    const turned = sheets[0].width_mm > sheets[0].height_mm;
    const [kx, window] = [turned ? 1.01 : 0.985, sheets[0].width_mm - 2 * PAGE_MARGIN_mm];
    const columns = Math.ceil((shape.board.length_mm / kx - OVERLAP_mm) / (window - OVERLAP_mm));
    const last = sheets[columns - 1].paths.filter((path) => path.points.length > 50).flatMap((path) => path.points);
    const end = Math.max(...last.map((p) => p.x_mm)) - PAGE_MARGIN_mm + (columns - 1) * (window - OVERLAP_mm);
    expect(end * kx).toBeCloseTo(shape.board.length_mm, 0);
  });

  it('is not corrected for more than 8 %: that is a page fitted to the paper', async () => {
    await expect(templatePdf(shape, print('A4', { across_mm: 90, along_mm: 100 }))).rejects.toThrow(/check square/);
  });
});

describe('every drawing', () => {
  it.each(Object.keys(DRAWINGS) as DrawingName[])('%s goes on sheets at full size', async (name) => {
    const drawing = DRAWINGS[name].draw(shape, style);
    const pages = await readPdf(
      await drawingPdf(
        drawing,
        { name: 'Slack Water', drawing: name, line: DRAWINGS[name].words, hints: [] },
        print('A4'),
      ),
    );
    const tiling = tilingOn(drawing.width_mm, drawing.height_mm, 'A4');
    expect(pages).toHaveLength(1 + tiling.columns * tiling.rows);
    expect(squareOf(pages[0], 100)).toBeDefined();
  });
});

describe('the template', () => {
  it('is the same bytes from the same board', async () => {
    const [a, b] = [await templatePdf(shape, print('A4')), await templatePdf(shape, print('A4'))];
    expect(Buffer.from(a).equals(Buffer.from(b))).toBe(true);
  });

  it.each(thinned(models(), 4).map((board) => [board.name, board] as const))(
    'can be made of %s',
    async (_name, board) => {
      expect((await templatePdf(shapeOf(board), print('A4'))).length).toBeGreaterThan(5000);
    },
  );
});
