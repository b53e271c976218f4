import type { Paper } from '../../make/paper.ts';
import { DRAWINGS, type DrawingName } from '../boardDrawings.ts';
import type { DrawingChoices } from '../drawing.ts';
import { writeBoardFile } from '../boardFile.ts';
import type { Shape } from '../../shape/shape.ts';
import { boardPdf } from './boardPapers.ts';
import { onPaper, sheetCount } from './onPaper.ts';
import { zipOf } from '../zipOf.ts';
import { faceFor } from './fonts.ts';
import { newDocument } from './newDocument.ts';
import { POINT_PER_mm, writeText } from './pen.ts';
import type { Printing } from './firstPage.ts';
import type { TicketExtras } from '../ticketPage.ts';
import { ticketPdf } from './ticketPdf.ts';
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
  const entries: Entry[] = [];
  const add = async (file: string, words: string, pages: number, make: () => Promise<Uint8Array>) => {
    said(words);
    entries.push({ file, words, pages, bytes: await make() });
  };
  await add('ticket.pdf', 'ticket, to hang on the blank', 1, () => ticketPdf(shape, onePage, style, fonts, extras));
  await add('wall-sheet.pdf', 'wall sheet, in large type', 1, () =>
    wallSheetPdf(shape, onePage, style, fonts, { name, ...(extras.riderName ? { riderName: extras.riderName } : {}) }),
  );
  for (const key of ['half', ...Object.keys(DRAWINGS)] as ('half' | DrawingName)[]) {
    const words = key === 'half' ? 'half outline, to cut and turn over' : DRAWINGS[key].words;
    const file = key === 'half' ? 'half-outline.pdf' : `${key.replace(/[A-Z]/g, (c) => `-${c.toLowerCase()}`)}.pdf`;
    const named = { ...choices, name };
    const pages = 1 + sheetCount(onPaper(key, shape, printing, named), on, reading);
    await add(file, words, pages, () => boardPdf(key, shape, printing, named));
  }
  const contents = await contentsPdf(entries, papers);
  const numbered = entries.map(({ file, bytes }, i): [string, Uint8Array] => [
    `${String(i + 1).padStart(2, '0')}-${file}`,
    bytes,
  ]);
  return zipOf([['00-contents.pdf', contents], ...numbered, ['board.json', writeBoardFile(shape.board)]]);
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
