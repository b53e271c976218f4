import type { Shape } from '../../shape/shape.ts';
import { DRAWINGS, type DrawingName } from '../boardDrawings.ts';
import type { DrawingChoices } from '../drawing.ts';
import type { Printing } from './firstPage.ts';
import { type OnPaper, onPaper } from './onPaper.ts';
import { piecesPdf } from './piecesPdf.ts';
import { drawingPdf, templatePdf } from './templatePdf.ts';

/** Any drawing of a board at full size on paper, as `onPaper` lays it. Made the same from the same board. */
export function boardPdf(
  which: DrawingName | 'half',
  shape: Shape,
  printing: Printing,
  choices: DrawingChoices = {},
): Promise<Uint8Array> {
  const { name = shape.board.name } = choices;
  if (which === 'half') return templatePdf(shape, printing, name);
  const { words } = DRAWINGS[which];
  return paperPdf(onPaper(which, shape, printing, choices), name, words, printing);
}

/** What was laid on paper, as PDF: of a board (or several) by this name, and what it is. */
export function paperPdf(paper: OnPaper, name: string, words: string, printing: Printing): Promise<Uint8Array> {
  const heading = { name, drawing: words, line: `${words}, full size` };
  if (paper.kind === 'pieces') {
    const hints = ['Each piece is whole on its sheet: cut it out on the line.'];
    return piecesPdf(paper, { ...heading, hints }, printing);
  }
  return drawingPdf(
    paper.drawing,
    { ...heading, hints: ['Lay the sheets with the crosses on one another.'] },
    printing,
  );
}
