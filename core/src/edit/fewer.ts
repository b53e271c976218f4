import type { Board } from '../document/schema.ts';
import { lineAt } from '../shape/gains.ts';
import { boardIssues } from '../shape/issues.ts';
import { shapeOf } from '../shape/shape.ts';
import { type MarkedCurve, markRows, UNNAMED, withoutMark } from './marks.ts';

/** How far the line may move where marks are lifted off: what a pencil's line is wide, 1/64 in. */
export const LINE_mm = 0.4;
/** The line is compared at so many places, even along the board. */
const PLACES = 160;

export interface Fewer {
  board: Board;
  /** How many marks were lifted off. */
  lifted: number;
  /** The most the line moved anywhere: full width, lift or thickness, mm. */
  off_mm: number;
}

/**
 * The curve on as few marks as draw the same line: each time the mark without which it moves least is lifted off, as long as it is
 * nowhere more than LINE_mm from what it was at first. Nose 12 and tail 12 stay, being read off a board by name; so does what the
 * board itself has (wide point, block, tips). A line on few marks is fairer and each of them draws it.
 */
export function withFewerMarks(board: Board, curve: MarkedCurve): Fewer {
  const was = lineRead(board, curve);
  const apart = (other: Board) => {
    const is = lineRead(other, curve);
    return was.reduce((most, value, k) => Math.max(most, Math.abs(is[k] - value)), 0);
  };
  let best: Fewer = { board, lifted: 0, off_mm: 0 };
  for (;;) {
    const next = markRows(best.board, curve)
      .filter(({ liftable, label }) => liftable && label === UNNAMED)
      .map(({ key }) => withoutMark(best.board, curve, key))
      .map((without) => ({ board: without, lifted: best.lifted + 1, off_mm: apart(without) }))
      .reduce<Fewer | undefined>((least, one) => (least && least.off_mm <= one.off_mm ? least : one), undefined);
    if (next === undefined || next.off_mm > LINE_mm || boardIssues(next.board).length > 0) return best;
    best = next;
  }
}

function lineRead(board: Board, curve: MarkedCurve): number[] {
  const shape = shapeOf(board);
  return Array.from({ length: PLACES + 1 }, (_, k) => lineAt(shape, curve, (board.length_mm * k) / PLACES));
}
