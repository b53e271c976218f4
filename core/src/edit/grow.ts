import type { Board, Mark } from '../document/schema.ts';
import { stationOfMark } from '../document/station.ts';
import { thicknessAt } from '../foil/foil.ts';
import { volume_L } from '../measure/volume.ts';
import { boardFrom } from '../shape/issues.ts';
import { shapeOf } from '../shape/shape.ts';
import { solvedFor } from './shift.ts';
import { stretched, thickened, widened } from './size.ts';

/** How much of the box of length, width and thickness a board fills. */
export function fillOf(board: Board): number {
  const { length_mm, outline, foil } = board;
  return (volume_L(shapeOf(board)) * 1e6) / (length_mm * outline.width_mm * foil.thickness_mm);
}

/** Widths toward the ends give so much of what thicknesses there give to keep the fill. Our own. */
const OF_WIDTHS = 0.2;
/** The fill is kept to this. */
const FILL_KEPT = 0.0002;

/**
 * One board as another length of the same model, so much wider and thicker with it.
 *
 * Rocker is stretched so that its middle keeps its radius for the length; fins go as their usual place goes; widths measured so far
 * from an end stay so far from it, as a size chart reads them; the foil is stretched, and then thicknesses and widths toward the
 * ends give or take until the board fills as much of its box as the model does. Holds rails, crown, contours and the shape of the tail's end.
 */
export function grown(board: Board, length_mm: number, wider_mm = 0, thicker_mm = 0): Board {
  if (length_mm === board.length_mm && wider_mm === 0 && thicker_mm === 0) return board;
  const sized = thickened(widened(withEndsHeld(stretched(board, length_mm), board), wider_mm), thicker_mm);
  if (!boardFrom(sized).ok) return sized;
  const solved = solvedFor(
    (p) => {
      const by = <M extends Mark>(marks: readonly M[], share: number): M[] =>
        marks.map((mark) => ({ ...mark, value_mm: mark.value_mm * (1 + share * p) }));
      const { outline, foil } = sized;
      return {
        ...sized,
        outline: { ...outline, marks: by(outline.marks, OF_WIDTHS) },
        foil: { ...foil, marks: by(foil.marks, 1) },
      };
    },
    fillOf,
    fillOf(board),
    { within: FILL_KEPT, most: 0.3, words: 'no foil fills as much' },
  );
  return solved.ok ? solved.board : solved.nearest;
}

/** The stretched board with its outline's marks back at their own distance from their end, and its foil read there anew. */
function withEndsHeld(long: Board, board: Board): Board {
  const atEnd = ({ from }: Pick<Mark, 'from'>) => from === 'nose' || from === 'tail';
  const outline = { ...long.outline, marks: long.outline.marks.map((m, i) => (atEnd(m) ? board.outline.marks[i] : m)) };
  const { foil, anchors } = shapeOf(long);
  const marks = long.foil.marks.map((mark, i) => {
    if (!atEnd(mark)) return mark;
    const held = { ...mark, at_mm: board.foil.marks[i].at_mm };
    return { ...held, value_mm: thicknessAt(foil, stationOfMark(held, anchors)) };
  });
  return { ...long, outline, foil: { ...long.foil, marks } };
}
