import {
  type Board,
  CHECK_SQUARE_mm,
  drawingToSvg,
  halfOutlineDrawing,
  meshOf,
  meshToStl,
  shapeOf,
  withCheckSquare,
  writeBoardFile,
} from '@june-tide/core';
import { type Paper, PAPERS, templatePdf } from '@june-tide/core/pdf';
import { Told } from './files.ts';

const style = { kind: 'fraction', denominator: 16 } as const;

/** The bytes or text of one export. @throws Told for a format or paper there is not. */
export async function exportBoard(board: Board, to: string, paper = 'A4'): Promise<string | Uint8Array> {
  if (!isPaper(paper)) throw new Told(`There is no paper “${paper}”; there are ${Object.keys(PAPERS).join(' and ')}.`);
  const shape = shapeOf(board);
  switch (to) {
    case 'json':
      return writeBoardFile(board);
    case 'svg':
      return drawingToSvg(withCheckSquare(halfOutlineDrawing(shape, style), CHECK_SQUARE_mm));
    case 'stl':
      return meshToStl(meshOf(shape), board.name);
    case 'pdf':
      return templatePdf(shape, paper, style);
    default:
      throw new Told(`jt cannot write “${to}”: it writes pdf, svg, json and stl.`);
  }
}

function isPaper(name: string): name is Paper {
  return Object.hasOwn(PAPERS, name);
}
