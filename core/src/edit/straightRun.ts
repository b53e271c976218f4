import { type Board } from '../document/schema.ts';
import { anchorsOf, stationOfMark } from '../document/station.ts';
import { straightRunOf } from '../measure/straightRun.ts';
import { type Shape, shapeOf } from '../shape/shape.ts';
import { INCH_mm } from '../units/length.ts';
import { withNewMark } from './marks.ts';
import { type Solved, solvedFor } from './shift.ts';

/** What may be asked of it: where the bend toward one end begins, or how long it is. */
export type RunAsked = 'tail' | 'nose' | 'length';

/** The number that was asked for, off a shape. */
export function readRun(shape: Shape, asked: RunAsked): number {
  const run = straightRunOf(shape);
  return asked === 'length' ? run.nose_mm - run.tail_mm : run[`${asked}_mm`];
}

const TWELVE_mm = 12 * INCH_mm;
/** Nearer than this is what was asked: no rule shows it. */
const WITHIN_mm = 0.1;

/**
 * The board with a lift to change between the flat point and that end; where there is none one is set on the line, 12 in from the
 * end, or half way where the flat point is nearer than two feet.
 */
function withLiftToward(board: Board, end: 'tail' | 'nose'): Board {
  if (board.rocker.marks.some((mark) => sideOf(board, mark) === end)) return board;
  const { line, flat_mm } = shapeOf(board).rocker;
  const reach_mm = end === 'tail' ? flat_mm : board.length_mm - flat_mm;
  const from_mm = Math.min(TWELVE_mm, reach_mm / 2);
  const x_mm = end === 'tail' ? from_mm : board.length_mm - from_mm;
  return withNewMark(board, 'rocker', x_mm, line.valueAt(x_mm));
}

function sideOf(board: Board, mark: Board['rocker']['marks'][number]): 'tail' | 'nose' {
  return stationOfMark(mark, anchorsOf(board)) < board.length_mm / 2 + board.rocker.flatPoint_mm ? 'tail' : 'nose';
}

/**
 * Lowers or raises the lifts between the flat point and an end, all by one share, until the rail line is straight as asked: the
 * bend begins later the lower they are. Holds the lifts of the tips, the flat point and all that is not rocker.
 * @returns the nearest there is where no legal board reads so.
 * @throws RangeError when the board to begin with cannot itself be built.
 */
export function withStraightRun(board: Board, asked: RunAsked, wanted_mm: number): Solved {
  const ends: readonly ('tail' | 'nose')[] = asked === 'length' ? ['tail', 'nose'] : [asked];
  const marked = ends.reduce<Board>(withLiftToward, board);
  const made = (p: number): Board => ({
    ...marked,
    rocker: {
      ...marked.rocker,
      marks: marked.rocker.marks.map((mark) =>
        ends.includes(sideOf(marked, mark)) ? { ...mark, value_mm: mark.value_mm * (1 - p) } : mark,
      ),
    },
  });
  // The nearer the tail its bend begins, the lower the lifts: read the other way round it rises with p like the rest.
  const way = asked === 'tail' ? -1 : 1;
  const solved = solvedFor(made, (b) => way * readRun(shapeOf(b), asked), way * wanted_mm, {
    within: WITHIN_mm,
    most: 0.9,
    words: 'with these lifts of the tips it goes no further',
  });
  return { ...solved, reached: way * solved.reached };
}
