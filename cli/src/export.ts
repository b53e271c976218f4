import type { Board } from '@june-tide/core/document';
import {
  CHECK_SQUARE_mm,
  type Drawing,
  DRAWINGS,
  drawingToSvg,
  halfOutlineDrawing,
  meshToObj,
  meshToPly,
  meshToStl,
  withCheckSquare,
  writeBoardFile,
} from '@june-tide/core/files';
import { type Shape, shapeOf } from '@june-tide/core/shape';
import { detailForChord, type Mesh, meshOf, USUAL_DETAIL } from '@june-tide/core/solid';
import { drawingToDxf, meshToThreeMf, stationsToCsv } from '@june-tide/core/files/packages';
import { type Paper, PAPERS, templatePdf } from '@june-tide/core/files/pdf';
import { Told } from './files.ts';
import { lengthOf } from './options.ts';

const style = { kind: 'fraction', denominator: 16 } as const;

export interface ExportChoices {
  paper?: string;
  /** Which drawing SVG and DXF hold; the half outline when left out. */
  drawing?: string;
  /** How far a solid's facets may lie off the surface; the usual detail when left out. */
  chord?: string;
}

/** The bytes or text of one export. @throws Told for a format, paper or drawing there is not. */
export async function exportBoard(board: Board, to: string, choices: ExportChoices = {}): Promise<string | Uint8Array> {
  const { paper = 'A4' } = choices;
  if (!isPaper(paper)) throw new Told(`There is no paper “${paper}”; there are ${Object.keys(PAPERS).join(' and ')}.`);
  const shape = shapeOf(board);
  switch (to) {
    case 'json':
      return writeBoardFile(board);
    case 'csv':
      return stationsToCsv(board);
    case 'svg':
      return drawingToSvg(withCheckSquare(drawingOf(shape, choices.drawing), CHECK_SQUARE_mm));
    case 'dxf':
      return drawingToDxf(drawingOf(shape, choices.drawing));
    case 'stl':
      return meshToStl(solidOf(shape, choices.chord), board.name);
    case '3mf':
      return meshToThreeMf(solidOf(shape, choices.chord), board.name);
    case 'obj':
      return meshToObj(solidOf(shape, choices.chord), board.name);
    case 'ply':
      return meshToPly(solidOf(shape, choices.chord), board.name);
    case 'pdf':
      return templatePdf(shape, paper, style);
    default:
      throw new Told(`jt cannot write “${to}”: it writes pdf, svg, dxf, json, csv, stl, 3mf, obj and ply.`);
  }
}

function drawingOf(shape: Shape, name = 'half'): Drawing {
  if (name === 'half') return halfOutlineDrawing(shape, style);
  if (!Object.hasOwn(DRAWINGS, name)) {
    throw new Told(`There is no drawing “${name}”; there are half, ${Object.keys(DRAWINGS).join(', ')}.`);
  }
  return DRAWINGS[name as keyof typeof DRAWINGS].draw(shape, style);
}

function solidOf(shape: Shape, chord: string | undefined): Mesh {
  if (chord === undefined) return meshOf(shape, USUAL_DETAIL);
  const chord_mm = lengthOf(chord, '--chord');
  if (!(chord_mm > 0)) throw new Told('--chord must be more than nothing.');
  return meshOf(shape, detailForChord(shape, chord_mm).detail);
}

function isPaper(name: string): name is Paper {
  return Object.hasOwn(PAPERS, name);
}
