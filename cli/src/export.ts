import type { Board } from '@june-tide/core/document';
import {
  type BYTES_A_FACET,
  type Drawing,
  type DrawingName,
  DRAWINGS,
  drawingToSvg,
  halfOutlineDrawing,
  meshToObj,
  meshToPly,
  meshToStl,
  solidSizeWords,
  USUAL_CHORD_mm,
  withCheckSquare,
  writeBoardFile,
} from '@june-tide/core/files';
import { type Shape, shapeOf } from '@june-tide/core/shape';
import { detailForChord, type Mesh, meshOf } from '@june-tide/core/solid';
import { checkSquareOf, LEAST_ROLL_mm, PAPERS, type PrintedOn } from '@june-tide/core/make';
import { pdfFonts } from './fonts.ts';
import { Told } from './files.ts';
import { lengthOf } from './options.ts';

const style = { kind: 'fraction', denominator: 16 } as const;

export interface ExportChoices {
  paper?: string;
  /** Width of the roll where the paper is one. */
  roll?: string;
  /** Which drawing PDF, SVG and DXF hold; the half outline when left out. */
  drawing?: string;
  /** How far a solid's facets may lie off the surface; 0.2 mm when left out. */
  chord?: string;
}

/** The bytes or text of one export. @throws Told for a format, paper or drawing there is not. */
export async function exportBoard(
  board: Board,
  to: string,
  choices: ExportChoices = {},
  say: (words: string) => void = () => undefined,
): Promise<string | Uint8Array> {
  const shape = shapeOf(board);
  switch (to) {
    case 'json':
      return writeBoardFile(board);
    case 'csv':
      return (await import('@june-tide/core/files/packages')).stationsToCsv(board);
    case 'svg':
      return drawingToSvg(withCheckSquare(drawingOf(shape, choices.drawing), checkSquareOf(paperOf(choices))));
    case 'dxf':
      return (await import('@june-tide/core/files/packages')).drawingToDxf(drawingOf(shape, choices.drawing));
    case 'stl':
      return meshToStl(solidOf(shape, choices.chord, to, say), board.name);
    case '3mf':
      return (await import('@june-tide/core/files/packages')).meshToThreeMf(
        solidOf(shape, choices.chord, to, say),
        board.name,
      );
    case 'obj':
      return meshToObj(solidOf(shape, choices.chord, to, say), board.name);
    case 'ply':
      return meshToPly(solidOf(shape, choices.chord, to, say), board.name);
    case 'step': {
      const made = (await import('@june-tide/core/files/packages')).shapeToStep(shape);
      say(`${made.faces} faces within ${made.error_mm.toFixed(3)} mm of the board.`);
      return made.text;
    }
    case 'pdf':
      return printed(shape, choices);
    default:
      throw new Told(`jt cannot write “${to}”: it writes pdf, svg, dxf, json, csv, stl, 3mf, obj, ply and step.`);
  }
}

async function printed(shape: Shape, choices: ExportChoices): Promise<Uint8Array> {
  const { boardPdf } = await import('@june-tide/core/files/pdf');
  return boardPdf(drawingName(choices.drawing), shape, { on: paperOf(choices), style, fonts: await pdfFonts() });
}

/** What is printed on: a paper by its name, or a roll of a width. */
function paperOf({ paper = 'A4', roll }: ExportChoices): PrintedOn {
  if (paper === 'roll' || (roll !== undefined && paper === 'A4')) {
    const roll_mm = lengthOf(roll ?? '24', '--roll');
    if (!(roll_mm >= LEAST_ROLL_mm)) throw new Told(`A roll is at least ${LEAST_ROLL_mm} mm wide.`);
    return { roll_mm };
  }
  const known = Object.keys(PAPERS).find((name): name is keyof typeof PAPERS => name === paper);
  if (known) return known;
  throw new Told(`There is no paper “${paper}”; there are ${Object.keys(PAPERS).join(', ')} and roll.`);
}

/** @throws Told for a drawing there is not. */
function drawingName(name = 'half'): DrawingName | 'half' {
  const known = ['half' as const, ...(Object.keys(DRAWINGS) as DrawingName[])].find((key) => key === name);
  if (known) return known;
  throw new Told(`There is no drawing “${name}”; there are half, ${Object.keys(DRAWINGS).join(', ')}.`);
}

function drawingOf(shape: Shape, asked?: string): Drawing {
  const name = drawingName(asked);
  return name === 'half' ? halfOutlineDrawing(shape, style) : DRAWINGS[name].draw(shape, style);
}

function solidOf(
  shape: Shape,
  chord: string | undefined,
  to: keyof typeof BYTES_A_FACET,
  say: (words: string) => void,
): Mesh {
  const chord_mm = chord === undefined ? USUAL_CHORD_mm : lengthOf(chord, '--chord');
  if (!(chord_mm > 0)) throw new Told('--chord must be more than nothing.');
  const { detail, error_mm } = detailForChord(shape, chord_mm);
  if (error_mm > chord_mm) {
    throw new Told(
      `--chord ${chord_mm} mm is finer than can be made: the finest there is lies within ${error_mm.toFixed(3)} mm.`,
    );
  }
  const mesh = meshOf(shape, detail);
  const facets = mesh.triangles.length / 3;
  say(`Facets within ${error_mm.toFixed(3)} mm of the board: ${facets} facets, ${solidSizeWords(to, facets)}.`);
  return mesh;
}
