import { strToU8, zipSync } from 'fflate';
import type { Paper } from '../../make/paper.ts';
import { DRAWINGS, type DrawingName } from '../boardDrawings.ts';
import type { DrawingChoices } from '../drawing.ts';
import { writeBoardFile } from '../boardFile.ts';
import { halfOutlineDrawing } from '../templateDrawing.ts';
import type { Shape } from '../../shape/shape.ts';
import { faceFor } from './fonts.ts';
import { newDocument } from './newDocument.ts';
import { POINT_PER_mm, writeText } from './pen.ts';
import { sheetsOf } from './sheets.ts';
import { drawingPdf, type Printing, templatePdf } from './templatePdf.ts';
import { ticketPdf, type TicketExtras } from './ticketPdf.ts';
import { firstPageOf } from './tiling.ts';
import { wallSheetPdf } from './wallSheetPdf.ts';

/** One paper of a board: its file, what it is, and how many pages it has. */
interface Entry {
  file: string;
  words: string;
  pages: number;
  bytes: Uint8Array;
}

/** What the papers of one board are made with. */
export interface Papers {
  /** The board and its number. */
  name: string;
  printing: Printing;
  /** The paper that ticket and wall sheet go on. */
  onePage: Paper;
  extras: TicketExtras;
  choices?: Omit<DrawingChoices, 'name'>;
}

/**
 * Every paper of a board in one zip, a page of contents first, the board file with them. The same board makes the same bytes.
 * `said` hears which paper is being made.
 */
export async function papersZip(
  shape: Shape,
  papers: Papers,
  said: (words: string) => void = () => undefined,
): Promise<Uint8Array> {
  const { name, printing, onePage, extras, choices = {} } = papers;
  const { on, style, fonts, reading } = printing;
  const pagesOf = (drawn: Parameters<typeof sheetsOf>[0]) => {
    const { columns, rows } = sheetsOf(drawn, on, reading).tiling;
    return 1 + columns * rows;
  };
  const entries: Entry[] = [];
  const add = async (file: string, words: string, pages: number, make: () => Promise<Uint8Array>) => {
    said(words);
    entries.push({ file, words, pages, bytes: await make() });
  };
  await add('ticket.pdf', 'ticket, to hang on the blank', 1, () => ticketPdf(shape, onePage, style, fonts, extras));
  await add('wall-sheet.pdf', 'wall sheet, in large type', 1, () =>
    wallSheetPdf(shape, onePage, style, fonts, { name, ...(extras.riderName ? { riderName: extras.riderName } : {}) }),
  );
  await add('half-outline.pdf', 'half outline, to cut and turn over', pagesOf(halfOutlineDrawing(shape, style)), () =>
    templatePdf(shape, printing, name),
  );
  for (const key of Object.keys(DRAWINGS) as DrawingName[]) {
    const { words, draw } = DRAWINGS[key];
    const drawn = draw(shape, style, { ...choices, name });
    const heading = {
      name,
      drawing: words,
      line: `${words}, full size`,
      hints: ['Lay the sheets with the crosses on one another.'],
    };
    const file = `${key.replace(/[A-Z]/g, (c) => `-${c.toLowerCase()}`)}.pdf`;
    await add(file, words, pagesOf(drawn), () => drawingPdf(drawn, heading, printing));
  }
  const contents = await contentsPdf(entries, papers);
  const numbered = entries.map(({ file, bytes }, i): [string, Uint8Array] => [
    `${String(i + 1).padStart(2, '0')}-${file}`,
    bytes,
  ]);
  const files = Object.fromEntries([
    ['00-contents.pdf', contents],
    ...numbered,
    ['board.json', strToU8(writeBoardFile(shape.board))],
  ]);
  // The earliest day a zip can say: no date of ours in it.
  return zipSync(files, { level: 6, mtime: new Date(1980, 0, 1) });
}

/** One page that says what is in the zip, and on how many pages of what. */
async function contentsPdf(entries: readonly Entry[], { name, printing, onePage }: Papers): Promise<Uint8Array> {
  const document = await newDocument(`${name}, contents`);
  const face = await faceFor(document, printing.fonts.plain, [name]);
  const { width_mm, height_mm } = firstPageOf(onePage);
  const page = document.addPage([width_mm * POINT_PER_mm, height_mm * POINT_PER_mm]);
  const left = 18;
  let y = height_mm - 26;
  const say = (text: string, size_mm: number, gap: number) => {
    writeText(page, face, text, { x_mm: left, y_mm: y, size_mm });
    y -= gap;
  };
  say(name, 9, 12);
  say(
    `Papers to make it from, on ${firstPageOf(printing.on).words}. Print at 100 %, measure the square, then cut.`,
    4,
    12,
  );
  entries.forEach(({ words, pages }, i) => {
    const right = width_mm - left;
    writeText(page, face, `${pages} ${pages === 1 ? 'page' : 'pages'}`, {
      x_mm: right,
      y_mm: y,
      size_mm: 4.4,
      anchor: 'end',
    });
    say(`${String(i + 1).padStart(2, '0')}  ${words}`, 4.4, 9);
  });
  y -= 4;
  say('board.json  the board itself, to be opened again', 4.4, 9);
  return document.save();
}
