// A printer that is out, every paper, every drawing: what is laid together is true; labels can be read on every sheet.
import { describe, expect, it } from '@jest/globals';
import fontkit from '@pdf-lib/fontkit';
import { strFromU8, unzipSync } from 'fflate';
import type { Board } from '../../document/schema.ts';
import type { PrintedOn } from '../../make/paper.ts';
import { modelNamed, models } from '../../models/models.ts';
import { type Shape, shapeOf } from '../../shape/shape.ts';
import { FONTS } from '../../testing/fonts.ts';
import { type PdfPageRead, readPdf } from '../../testing/pdf.ts';
import { thinned } from '../../testing/runs.ts';
import type { LengthStyle } from '../../units/format.ts';
import { DRAWINGS, type DrawingName } from '../boardDrawings.ts';
import { readBoardFile } from '../boardFile.ts';
import { type Drawing, extentOf } from '../drawing.ts';
import { boxOf, textWidth_mm } from '../labels.ts';
import { halfOutlineDrawing } from '../templateDrawing.ts';
import { papersZip } from './papersZip.ts';
import { labelsOn, type PrinterReading, sheetsOf } from './sheets.ts';
import { drawingPdf, templatePdf } from './templatePdf.ts';

const INCHES: LengthStyle = { kind: 'fraction', denominator: 16 };
const ON: readonly PrintedOn[] = ['A4', 'A3', 'Letter', 'Tabloid', { roll_mm: 610 }];
const plain = (on: PrintedOn, reading?: PrinterReading) => ({ on, style: INCHES, fonts: FONTS, reading });

const everyDrawing = (shape: Shape, style: LengthStyle): [string, Drawing][] => [
  ['half', halfOutlineDrawing(shape, style, { name: `${shape.board.name} 104` })],
  ...(Object.keys(DRAWINGS) as DrawingName[]).map((name): [string, Drawing] => [
    name,
    DRAWINGS[name].draw(shape, style, { name: `${shape.board.name} 104` }),
  ]),
];

/** What a printer that is out makes of a length along the width of a sheet, and of one along its height. */
function printedBy(reading: PrinterReading, on: PrintedOn, page: { width: number; height: number }) {
  const [across, along] = [reading.across_mm / 100, reading.along_mm / 100];
  // A sheet runs through it by its long side, however the page in the file is turned; a roll by its length.
  const onItsSide = typeof on !== 'string' || page.width > page.height;
  return onItsSide ? { x: along, y: across } : { x: across, y: along };
}

describe('the correction of a printer', () => {
  const READINGS = [99, 99.3, 99.75, 100, 100.25, 100.7, 101].flatMap((across_mm) =>
    [99, 99.3, 99.75, 100, 100.25, 100.7, 101].map((along_mm) => ({ across_mm, along_mm })),
  );

  it('is on the axes the sheets go through the printer by: every drawing, paper and reading within 1 % comes out true', () => {
    let count = 0;
    const shapes = thinned(models(), 6).map((board) => shapeOf(board));
    for (const shape of shapes) {
      for (const [name, whole] of everyDrawing(shape, INCHES)) {
        // Stretching is the same for every point: two corners of what is drawn say it all.
        const corners = extentOf(whole.lines);
        const [low, high] = [
          { x_mm: corners.left_mm, y_mm: corners.foot_mm },
          { x_mm: corners.right_mm, y_mm: corners.top_mm },
        ];
        const drawn = { ...whole, lines: [{ layer: 'corners', points: [low, high], weight_mm: 0.1 }] };
        for (const on of ON) {
          for (const reading of READINGS) {
            const { drawing, tiling } = sheetsOf(drawn, on, reading);
            const by = printedBy(reading, on, tiling.page_mm);
            const [was, is] = [extentOf(drawn.lines), extentOf(drawing.lines)];
            const long = (is.right_mm - is.left_mm) * by.x - (was.right_mm - was.left_mm);
            const tall = (is.top_mm - is.foot_mm) * by.y - (was.top_mm - was.foot_mm);
            if (Math.max(Math.abs(long), Math.abs(tall)) > 0.1)
              throw new Error(`${shape.board.name}, ${name} on ${JSON.stringify([on, reading])}: ${long}, ${tall}`);
            count++;
          }
        }
      }
    }
    expect(count).toBeGreaterThan(8000);
  });

  /** Where two short strokes cross on a page. */
  function crossesOn({ paths }: PdfPageRead): { x: number; y: number }[] {
    const short = paths.filter(
      ({ points, closed }) => !closed && points.length === 2 && Math.abs(lengthOf(points) - 8) < 0.2,
    );
    const middle = (points: { x_mm: number; y_mm: number }[]) => ({
      x: (points[0].x_mm + points[1].x_mm) / 2,
      y: (points[0].y_mm + points[1].y_mm) / 2,
    });
    const upright = short.filter(({ points: [a, b] }) => Math.abs(a.x_mm - b.x_mm) < 1e-3).map((p) => middle(p.points));
    return short
      .filter(({ points: [a, b] }) => Math.abs(a.y_mm - b.y_mm) < 1e-3)
      .map((p) => middle(p.points))
      .filter((at) => upright.some((other) => Math.hypot(other.x - at.x, other.y - at.y) < 1e-3));
  }
  const lengthOf = ([a, b]: { x_mm: number; y_mm: number }[]) => Math.hypot(a.x_mm - b.x_mm, a.y_mm - b.y_mm);

  /** Sheets of one row printed, and laid with their crosses on one another: how long the longest line on them is. */
  function laidTogether(pages: readonly PdfPageRead[], columns: number, by: { x: number; y: number }): number {
    let offset = 0;
    let [least, most] = [Infinity, -Infinity];
    for (let c = 0; c < columns; c++) {
      const page = pages[c];
      const crosses = crossesOn(page);
      if (c > 0) {
        const right = crossesOn(pages[c - 1]).filter(({ x }) => x > pages[c - 1].width_mm / 2);
        const left = crosses.filter(({ x }) => x < page.width_mm / 2);
        const pair = right.find(({ y }) => left.some((other) => Math.abs(other.y - y) < 1))!;
        const other = left.find(({ y }) => Math.abs(y - pair.y) < 1)!;
        offset += (pair.x - other.x) * by.x;
      }
      for (const { points } of page.paths.filter((path) => path.points.length > 50)) {
        for (const p of points) {
          least = Math.min(least, p.x_mm * by.x + offset);
          most = Math.max(most, p.x_mm * by.x + offset);
        }
      }
    }
    return most - least;
  }

  /** Every model on every sheet by three printers: an even spread of them here, all in the deep run. */
  const printed = models().flatMap(({ name }) =>
    (['A4', 'A3', 'Letter', 'Tabloid'] as const).flatMap((on) =>
      [
        { across_mm: 100, along_mm: 100.7 },
        { across_mm: 99.2, along_mm: 100.6 },
        { across_mm: 100.9, along_mm: 99.4 },
      ].map((reading) => [name, on, reading] as const),
    ),
  );

  it.each([['Kettle', 'A3', { across_mm: 100, along_mm: 100.7 }] as const, ...thinned(printed, 52)])(
    '%s on %s, read as %j: laid together by its crosses it is as long as the board',
    async (name, on, reading) => {
      const board = modelNamed(name)!;
      const shape = shapeOf(board);
      const pages = await readPdf(await templatePdf(shape, plain(on, reading)));
      const { tiling } = sheetsOf(halfOutlineDrawing(shape, INCHES), on, reading);
      const long = laidTogether(pages.slice(1), tiling.columns, printedBy(reading, on, tiling.page_mm));
      expect(Math.abs(long - board.length_mm)).toBeLessThan(0.1);
      // The first sheet says what to tape.
      expect(pages[0].texts.map(({ text }) => text).join(' ')).toContain(`(${board.length_mm.toFixed(1)} mm) long`);
    },
  );
});

describe('labels on sheets', () => {
  const styles: readonly LengthStyle[] = [INCHES, { kind: 'mm' }];
  const boards = thinned(models(), 8);

  it.each(boards.map((board): [string, Board] => [board.name, board]))(
    '%s: every label of every drawing is whole on some sheet of every paper, inside it, and none is on another',
    (_name, board) => {
      const shape = shapeOf(board);
      for (const style of styles) {
        for (const [name, drawn] of everyDrawing(shape, style)) {
          for (const on of ON) {
            const sheets = sheetsOf(drawn, on);
            const { columns, rows, page_mm } = sheets.tiling;
            let written = 0;
            for (let row = 0; row < rows; row++) {
              for (let column = 0; column < columns; column++) {
                const labels = labelsOn(sheets, row, column);
                written += labels.length;
                const boxes = labels.map(boxOf);
                boxes.forEach((box, i) => {
                  const where = `${name} on ${JSON.stringify(on)}: “${labels[i].text}”`;
                  const off =
                    box.left_mm < 12 ||
                    box.foot_mm < 12 ||
                    box.right_mm > page_mm.width - 12 ||
                    box.top_mm > page_mm.height - 12;
                  if (off) throw new Error(`${where} runs over the edge`);
                  const other = boxes.findIndex(
                    (b, k) =>
                      k < i &&
                      box.left_mm < b.right_mm &&
                      b.left_mm < box.right_mm &&
                      box.foot_mm < b.top_mm &&
                      b.foot_mm < box.top_mm,
                  );
                  if (other >= 0) throw new Error(`${where} is on “${labels[other].text}”`);
                });
              }
            }
            expect([name, written >= drawn.texts.length]).toEqual([name, true]);
          }
        }
      }
    },
  );

  it.each([false, true])('are as wide as the font writes them, strong: %s', (strong) => {
    const font = fontkit.create((strong ? FONTS.strong : FONTS.plain)[0]);
    for (const text of [
      '12 in from tail: 14 3/4 in wide',
      'Slack Water 104, rail, deck up',
      "5'11 x 19 7/8",
      '(0.5) ~ @Qg',
    ]) {
      const units = [...text].reduce(
        (sum, letter) => sum + font.glyphForCodePoint(letter.codePointAt(0)!).advanceWidth,
        0,
      );
      expect(textWidth_mm(text, 4, strong)).toBeCloseTo((4 * units) / font.unitsPerEm, 1);
    }
  });
});

describe('a sheet', () => {
  it('says board and number, drawing, which sheet it is, where it lies and which way is up', async () => {
    const shape = shapeOf(modelNamed('Kettle')!);
    const { words } = DRAWINGS.sections;
    const heading = { name: 'Kettle 7', drawing: words, line: words, hints: [] };
    const pages = await readPdf(await drawingPdf(DRAWINGS.sections.draw(shape, INCHES), heading, plain('A4')));
    const { columns, rows } = sheetsOf(DRAWINGS.sections.draw(shape, INCHES), 'A4').tiling;
    expect(pages).toHaveLength(1 + columns * rows);
    pages.slice(1).forEach((page, i) => {
      const said = page.texts.map(({ text }) => text).join(' ');
      expect(said).toContain(`Kettle 7 · ${words} · sheet ${i + 1} of ${columns * rows}`);
      expect(said).toContain(
        `row ${Math.floor(i / columns) + 1} of ${rows} from below, column ${(i % columns) + 1} of ${columns} from the left`,
      );
      expect(page.texts.some(({ text }) => text === 'up')).toBe(true);
    });
  });

  it('keeps the letters of a name, in fonts that are in the file, named once a page', async () => {
    const name = 'Łódź Ωμέγα Жук Đẹp 7';
    const bytes = await templatePdf(shapeOf(modelNamed('Slack Water')!), plain('A3'), name);
    const pages = await readPdf(bytes);
    // Where the font changes a reader may drop the space.
    const close = (text: string) => text.replace(/\s/g, '');
    for (const page of pages) expect(close(page.texts.map(({ text }) => text).join(''))).toContain(close(name));
    const { fonts, embedded } = await fontsIn(bytes);
    expect(fonts.every((onPage) => onPage <= 5)).toBe(true);
    expect(embedded).toBe(true);
  });
});

/** How many fonts each page names, and whether all of them are in the file: by the library that writes them, read anew. */
async function fontsIn(bytes: Uint8Array): Promise<{ fonts: number[]; embedded: boolean }> {
  const { PDFDict, PDFDocument, PDFName, PDFArray } = await import('pdf-lib');
  const document = await PDFDocument.load(bytes);
  const embedded: boolean[] = [];
  const fonts = document.getPages().map((page) => {
    const dict = page.node.Resources()!.lookup(PDFName.of('Font'), PDFDict);
    for (const key of dict.keys()) {
      const below = dict.lookup(key, PDFDict).lookup(PDFName.of('DescendantFonts'), PDFArray).lookup(0, PDFDict);
      const descriptor = below.lookup(PDFName.of('FontDescriptor'), PDFDict);
      embedded.push(descriptor.has(PDFName.of('FontFile2')) || descriptor.has(PDFName.of('FontFile3')));
    }
    return dict.keys().length;
  });
  return { fonts, embedded: embedded.every(Boolean) };
}

describe('all papers of a board', () => {
  it('are in one zip: contents first, each with its pages, the board with them; the same bytes again', async () => {
    const shape = shapeOf(modelNamed('Kettle')!);
    const papers = {
      name: 'Kettle 7',
      printing: plain('A3'),
      onePage: 'A4' as const,
      extras: { id: 'k', number: 7, riderName: 'Maren' },
    };
    const heard: string[] = [];
    const bytes = await papersZip(shape, papers, (words) => heard.push(words));
    const files = unzipSync(bytes);
    const names = Object.keys(files).sort();
    expect(names[0]).toBe('00-contents.pdf');
    expect(names.at(-1)).toBe('board.json');
    expect(names).toHaveLength(1 + 3 + Object.keys(DRAWINGS).length + 1);
    expect(heard).toHaveLength(names.length - 2);
    const [contents] = await readPdf(files['00-contents.pdf']);
    const said = contents.texts.map(({ text }) => text);
    for (const [i, name] of names.slice(1, -1).entries()) {
      const pages = await readPdf(files[name]);
      // "12 pages" stands in the row of the paper it is of.
      const row = contents.texts.find(({ text }) => text.startsWith(String(i + 1).padStart(2, '0')))!;
      const count = contents.texts.find(
        ({ y_mm, text }) => Math.abs(y_mm - row.y_mm) < 0.1 && text.endsWith(pages.length === 1 ? 'page' : 'pages'),
      )!;
      expect([name, count.text]).toEqual([name, `${pages.length} ${pages.length === 1 ? 'page' : 'pages'}`]);
    }
    expect(said.join(' ')).toContain('Kettle 7');
    expect(readBoardFile(strFromU8(files['board.json'])).ok).toBe(true);
    expect(Buffer.from(await papersZip(shape, papers)).equals(Buffer.from(bytes))).toBe(true);
  }, 60_000);
});
