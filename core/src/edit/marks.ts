import { type Board, type Mark } from '../document/schema.ts';
import { anchorsOf, distanceFrom, stationOfMark } from '../document/station.ts';
import { hasBlock } from '../outline/tails.ts';
import { INCH_mm } from '../units/length.ts';

/** The three curves that are set by marks. */
export type MarkedCurve = 'outline' | 'rocker' | 'foil';

/** One mark of a curve as a shaper sees it: full widths, lifts, thicknesses. */
export interface MarkRow {
  /** Stable while the board keeps its marks: `wide`, `block`, `nose`, `tail`, `flat`, `thickest` or an index. */
  key: string;
  label: string;
  from: Mark['from'];
  at_mm: number;
  x_mm: number;
  value_mm: number;
  /** May its number be changed, may it be moved along the board, may it be lifted off? */
  valued: boolean;
  /** How far the line may stay off it; undefined for a hard mark, which is met. */
  give_mm: number | undefined;
  movable: boolean;
  liftable: boolean;
}

/** Within this of 12 in from an end a mark bears the end's name. */
const TWELVE = 12 * INCH_mm;

/** What a mark is called that stands nowhere a place is named for. */
export const UNNAMED = 'Your mark';

function listed(board: Board, curve: MarkedCurve): MarkRow[] {
  const anchors = anchorsOf(board);
  return board[curve].marks.map((mark, i): MarkRow => {
    const universal = Math.abs(mark.at_mm - TWELVE) < 0.05;
    const named =
      universal && mark.from === 'nose' ? 'Nose 12' : universal && mark.from === 'tail' ? 'Tail 12' : UNNAMED;
    return {
      key: String(i),
      label: named,
      from: mark.from,
      at_mm: mark.at_mm,
      x_mm: stationOfMark(mark, anchors),
      value_mm: mark.value_mm,
      give_mm: mark.give_mm,
      valued: true,
      movable: true,
      liftable: true,
    };
  });
}

/** The marks of a curve from nose to tail, those that belong to the board itself among them. */
export function markRows(board: Board, curve: MarkedCurve): MarkRow[] {
  const rows = listed(board, curve);
  const own = (
    key: string,
    label: string,
    from: Mark['from'],
    at_mm: number,
    value_mm: number,
    can: Partial<MarkRow> = {},
  ) => {
    const x_mm = stationOfMark({ from, at_mm }, anchorsOf(board));
    rows.push({
      key,
      label,
      from,
      at_mm,
      x_mm,
      value_mm,
      give_mm: undefined,
      valued: true,
      movable: false,
      liftable: false,
      ...can,
    });
  };
  switch (curve) {
    case 'outline':
      own('wide', 'Wide point', 'centre', board.outline.widePoint_mm, board.outline.width_mm, { movable: true });
      if (hasBlock(board.outline.tail.kind)) own('block', 'Block', 'tail', 0, board.outline.tail.block_mm);
      break;
    case 'rocker':
      own('nose', 'Nose tip', 'nose', 0, board.rocker.noseLift_mm);
      own('flat', 'Flat point', 'centre', board.rocker.flatPoint_mm, 0, { valued: false, movable: true });
      own('tail', 'Tail tip', 'tail', 0, board.rocker.tailLift_mm);
      break;
    case 'foil':
      own('nose', 'Nose tip', 'nose', 0, board.foil.noseTip_mm);
      own('thickest', 'Thickest', 'centre', board.foil.thickest_mm, board.foil.thickness_mm, { movable: true });
      own('tail', 'Tail tip', 'tail', 0, board.foil.tailTip_mm);
      break;
  }
  return rows.sort((a, b) => b.x_mm - a.x_mm);
}

function withListed(board: Board, curve: MarkedCurve, marks: Board[MarkedCurve]['marks']): Board {
  return { ...board, [curve]: { ...board[curve], marks } };
}

/** Sets the number of a mark. Holds everything else. @throws RangeError for a key this curve does not have. */
export function withMarkValue(board: Board, curve: MarkedCurve, key: string, value_mm: number): Board {
  const { outline, rocker, foil } = board;
  switch (`${curve}.${key}`) {
    case 'outline.wide':
      return { ...board, outline: { ...outline, width_mm: value_mm } };
    case 'outline.block':
      return { ...board, outline: { ...outline, tail: { ...outline.tail, block_mm: value_mm } } };
    case 'rocker.nose':
      return { ...board, rocker: { ...rocker, noseLift_mm: value_mm } };
    case 'rocker.tail':
      return { ...board, rocker: { ...rocker, tailLift_mm: value_mm } };
    case 'foil.nose':
      return { ...board, foil: { ...foil, noseTip_mm: value_mm } };
    case 'foil.tail':
      return { ...board, foil: { ...foil, tailTip_mm: value_mm } };
    case 'foil.thickest':
      return { ...board, foil: { ...foil, thickness_mm: value_mm } };
    default:
      return withListed(
        board,
        curve,
        replaced(board[curve].marks, curve, key, (mark) => ({ ...mark, value_mm })),
      );
  }
}

/** Moves a mark along the board, its number held. @throws RangeError for a key that cannot move. */
export function withMarkAt(board: Board, curve: MarkedCurve, key: string, at_mm: number): Board {
  const { outline, rocker, foil } = board;
  switch (`${curve}.${key}`) {
    case 'outline.wide':
      return { ...board, outline: { ...outline, widePoint_mm: at_mm } };
    case 'rocker.flat':
      return { ...board, rocker: { ...rocker, flatPoint_mm: at_mm } };
    case 'foil.thickest':
      return { ...board, foil: { ...foil, thickest_mm: at_mm } };
    default:
      return withListed(
        board,
        curve,
        replaced(board[curve].marks, curve, key, (mark) => ({ ...mark, at_mm })),
      );
  }
}

function replaced<M extends Mark>(marks: readonly M[], curve: string, key: string, change: (mark: M) => M): M[] {
  const index = Number(key);
  if (!(Number.isInteger(index) && index >= 0 && index < marks.length)) {
    throw new RangeError(`edit of marks: ${curve} has no mark “${key}”`);
  }
  return marks.map((mark, i) => (i === index ? change(mark) : mark));
}

/** Lifts a mark off: the batten springs free there. */
export function withoutMark(board: Board, curve: MarkedCurve, key: string): Board {
  const index = Number(key);
  return withListed(
    board,
    curve,
    board[curve].marks.filter((_, i) => i !== index),
  );
}

/** How well a half width, a lift or a thickness is read by hand: a new mark is as soft as that. Common practice, no source. */
export const READING_ERROR_mm = 0.4;

/** Makes a mark of the list hard, so that the line goes through it, or soft again by its reading error. */
export function withMarkHard(board: Board, curve: MarkedCurve, key: string, hard: boolean): Board {
  return withListed(
    board,
    curve,
    replaced(board[curve].marks, curve, key, ({ give_mm: _give, ...mark }) =>
      hard ? mark : { ...mark, give_mm: READING_ERROR_mm },
    ),
  );
}

/** Sets a new mark at station x, tied to the nearer end, soft by its reading error. */
export function withNewMark(board: Board, curve: MarkedCurve, x_mm: number, value_mm: number): Board {
  const from = x_mm > board.length_mm / 2 ? 'nose' : 'tail';
  const mark = {
    from,
    at_mm: distanceFrom(from, x_mm, anchorsOf(board)),
    value_mm,
    give_mm: READING_ERROR_mm,
  } as const;
  return withListed(board, curve, [...board[curve].marks, mark]);
}

/** A new length; marks stay at their distance from what they are tied to, all numbers held. */
export function withLength(board: Board, length_mm: number): Board {
  return { ...board, length_mm };
}
