import { describe, expect, it } from '@jest/globals';
import { thinned } from '../../testing/runs.ts';
import { FONTS } from '../../testing/fonts.ts';
import jsQR from 'jsqr';
import { shapeOf } from '../../shape/shape.ts';
import { stationTable } from '../../measure/stationTable.ts';
import { volume_L } from '../../measure/volume.ts';
import { modelNamed, models } from '../../models/models.ts';
import { type PdfPageRead, readPdf } from '../../testing/pdf.ts';
import { formatLength } from '../../units/format.ts';
import { ticketPdf } from './ticketPdf.ts';
import { PAPERS } from '../../make/paper.ts';
import { wallSheetPdf } from './wallSheetPdf.ts';

const style = { kind: 'fraction', denominator: 16 } as const;
const shape = shapeOf(modelNamed('Slack Water')!);
const full = {
  riderName: 'Maren',
  target: 'aim 28.0 to 31.0 L',
  id: 'skarn-slack-118',
  number: 118,
  blank: "6'5 curved, PU",
  glass: '4+4/4 oz, polyester, sanded',
  colours: 'clear, one grey pinline',
  due: '2026-12-11',
  weight: 'about 2.6 kg',
};

/** What a camera would read: the page's filled squares as a picture, through a decoder that is not the encoder. */
function scanned(page: PdfPageRead): string | undefined {
  const k = 8;
  const [width, height] = [Math.round(page.width_mm * k), Math.round(page.height_mm * k)];
  const pixels = new Uint8ClampedArray(4 * width * height).fill(255);
  for (const box of page.boxes) {
    for (let y = Math.round(box.y_mm * k); y < Math.round((box.y_mm + box.height_mm) * k); y++) {
      for (let x = Math.round(box.x_mm * k); x < Math.round((box.x_mm + box.width_mm) * k); x++) {
        pixels.fill(0, 4 * ((height - 1 - y) * width + x), 4 * ((height - 1 - y) * width + x) + 3);
      }
    }
  }
  return jsQR(pixels, width, height)?.data;
}

describe('the ticket', () => {
  it('is one page with the rider, the size, the litres, the order and every line', async () => {
    const pages = await readPdf(await ticketPdf(shape, 'A4', style, FONTS, full));
    expect(pages).toHaveLength(1);
    const text = pages[0].texts.map((t) => t.text).join('\n');
    const parts = ['Slack Water 118', 'for Maren', "6'0 x 19 1/4 x 2 7/16", 'Nose 12', 'aim 28.0', 'Front fins'];
    for (const part of [...parts, full.blank, full.glass, full.colours, full.due, full.weight]) {
      expect(text).toContain(part);
    }
  });

  it('has a code that a reader reads: the board’s id, sizes and litres', async () => {
    const [page] = await readPdf(await ticketPdf(shape, 'A4', style, FONTS, full));
    const said: unknown = JSON.parse(scanned(page) ?? 'null');
    expect(said).toEqual({
      juneTide: 1,
      id: 'skarn-slack-118',
      name: 'Slack Water 118',
      size: "6'0 x 19 1/4 x 2 7/16",
      litres_L: Number(volume_L(shape).toFixed(1)),
    });
  });

  it('leaves lines that are not settled open for the pencil, and has no code without a record', async () => {
    const [page] = await readPdf(await ticketPdf(shape, 'A4', style, FONTS));
    expect(page.texts.filter(({ text }) => /^\.{20,}$/.test(text))).toHaveLength(5);
    expect(page.boxes).toEqual([]);
  });

  it('keeps every line on the page and off the code, for every model', async () => {
    for (const board of thinned(models(), 4)) {
      const [page] = await readPdf(await ticketPdf(shapeOf(board), 'Letter', style, FONTS, full));
      const code = {
        left: Math.min(...page.boxes.map((b) => b.x_mm)),
        low: Math.min(...page.boxes.map((b) => b.y_mm)),
        high: Math.max(...page.boxes.map((b) => b.y_mm + b.height_mm)),
      };
      const rows = new Set<string>();
      for (const text of page.texts) {
        expect(text.y_mm).toBeGreaterThan(8);
        expect(text.x_mm).toBeLessThan(page.width_mm - 5);
        // Letters of this size are 2.1 mm wide on the average.
        const reach = text.x_mm + 2.1 * text.text.length;
        if (text.y_mm > code.low - 1 && text.y_mm < code.high) expect(reach).toBeLessThan(code.left);
        rows.add(`${text.x_mm.toFixed(1)} ${text.y_mm.toFixed(1)}`);
      }
      // No two texts begin at one place: nothing is written over.
      expect(rows.size).toBe(page.texts.length);
      const values = page.texts.filter(({ x_mm }) => Math.abs(x_mm - 86) < 0.1).map(({ y_mm }) => y_mm);
      expect(Math.min(...values)).toBeGreaterThan(18);
    }
  });
});

describe('the wall sheet', () => {
  it('is one landscape page with every station in large type', async () => {
    for (const paper of ['A4', 'Letter', 'A3'] as const) {
      const pages = await readPdf(
        await wallSheetPdf(shape, paper, style, FONTS, { name: 'Slack Water 118', riderName: 'Maren' }),
      );
      expect(pages).toHaveLength(1);
      const [page] = pages;
      expect(page.width_mm).toBeCloseTo(PAPERS[paper].height_mm, 2);
      const said = page.texts.map(({ text }) => text);
      for (const row of stationTable(shape)) {
        expect(said).toContain(formatLength(row.width_mm, style));
        expect(said).toContain(formatLength(row.thickness_mm, style));
      }
      expect(said).toEqual(expect.arrayContaining(['Nose 12', 'Wide point', 'Centre', 'Tail 12', 'Slack Water 118']));
      for (const text of page.texts) expect(text.y_mm).toBeGreaterThan(8);
      // Read from the top: name, size, the columns' names, the stations nose to tail at even steps, the note; none off the sheet.
      const leftmost = page.texts.filter(({ x_mm }) => x_mm < 17);
      const down = leftmost.map(({ y_mm }) => y_mm);
      expect([...down].sort((a, b) => b - a)).toEqual(down);
      const places = leftmost.slice(2, -1);
      expect(places).toHaveLength(stationTable(shape).length);
      expect(places[0].text).toMatch(/^Nose/);
      expect(places.at(-1)?.text).toMatch(/^Tail/);
      const steps = places.slice(1).map(({ y_mm }, i) => places[i].y_mm - y_mm);
      for (const step of steps) expect(step).toBeCloseTo(steps[0], 2);
      for (const { x_mm, y_mm } of page.texts) {
        expect(x_mm).toBeLessThan(page.width_mm - 10);
        expect(y_mm).toBeLessThan(page.height_mm - 8);
      }
      const ys = [...new Set(page.texts.filter(({ x_mm }) => x_mm < 17).map(({ y_mm }) => y_mm))].sort((a, b) => a - b);
      expect(ys[2] - ys[1]).toBeGreaterThan(9);
    }
  });

  it.each([[{ kind: 'fraction', denominator: 32 }], [{ kind: 'mm' }]] as const)(
    'has no column run into the next on any paper, written %j',
    async (written) => {
      for (const paper of ['A4', 'Letter', 'A3'] as const) {
        for (const name of ['Long Quay', 'Kettle']) {
          const [page] = await readPdf(
            await wallSheetPdf(shapeOf(modelNamed(name)!), paper, written, FONTS, { name: `${name} 118` }),
          );
          for (const y of new Set(page.texts.map(({ y_mm }) => y_mm))) {
            const across = page.texts.filter(({ y_mm }) => y_mm === y).sort((a, b) => a.x_mm - b.x_mm);
            across.slice(1).forEach((text, i) => {
              const before = across[i];
              const gap = text.x_mm - (before.x_mm + before.width_mm);
              expect([before.text, text.text, gap > 1]).toEqual([before.text, text.text, true]);
            });
          }
        }
      }
    },
    60_000,
  );

  it('names no rider where there is none', async () => {
    const [page] = await readPdf(await wallSheetPdf(shape, 'A4', style, FONTS, { name: 'Slack Water 118' }));
    expect(page.texts.map(({ text }) => text).join(' ')).not.toContain('for ');
  });

  it('says of a concave bottom that it is hollow, of a rolled one that it is round, and by how much', async () => {
    // Slack Water's concave is 3/16 deep at the wide point; Long Quay has nothing but roll there, 3/16 at the edge.
    const bottoms = async (name: string) => {
      const [page] = await readPdf(await wallSheetPdf(shapeOf(modelNamed(name)!), 'A4', style, FONTS, { name }));
      return page.texts.map(({ text }) => text).filter((text) => /^(hollow|round|flat)/.test(text));
    };
    expect(await bottoms('Slack Water')).toContain('hollow 3/16');
    expect((await bottoms('Long Quay')).some((text) => text.startsWith('round'))).toBe(true);
    expect((await bottoms('Slack Water')).some((text) => text.startsWith('round'))).toBe(false);
  });
});
