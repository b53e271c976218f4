import { type Board, boardSchema, type Mark } from '../document/schema.ts';
import { boardIssues } from '../shape/issues.ts';
import { anchorsOf, stationOfMark } from '../document/station.ts';
import { shapeOf } from '../shape/shape.ts';
import { areaSpread_mm2, foamSpread_L } from '../measure/distribution.ts';
import { volume_L } from '../measure/volume.ts';

/** An edit that may not be possible as asked: the board, or the reason and the nearest there is. */
export type Solved =
  { ok: true; board: Board; reached: number } | { ok: false; reason: string; nearest: Board; reached: number };

/** Marks ahead of the middle grow by 1 + p, those behind shrink by the same share; at the middle nothing moves. */
function tilted<M extends Mark>(marks: readonly M[], board: Board, p: number): M[] {
  const anchors = anchorsOf(board);
  return marks.map((mark) => {
    const fromMiddle = (2 * stationOfMark(mark, anchors)) / board.length_mm - 1;
    return { ...mark, value_mm: mark.value_mm * (1 + p * fromMiddle) };
  });
}

interface Trial {
  p: number;
  miss: number;
  board: Board;
}

/**
 * Finds p so that read(made(p)), which rises with p, is `wanted`: a bracket grown outward from 0 through legal boards, then
 * secant steps kept inside it, with a bisection every third. `most` bounds |p|.
 * @returns the nearest legal board when the wanted number lies beyond the last legal one.
 * @throws RangeError when the board to begin with cannot itself be built.
 */
export function solvedFor(
  made: (p: number) => Board,
  read: (board: Board) => number,
  wanted: number,
  { within, most, words }: { within: number; most: number; words: string },
): Solved {
  const issues = boardIssues(made(0));
  if (issues.length > 0) throw new RangeError(`solvedFor: the board to begin with cannot be built: ${issues[0].words}`);
  const tried = (p: number): Trial | undefined => {
    const board = made(p);
    if (!boardSchema.safeParse(board).success || boardIssues(board).length > 0) return undefined;
    return { p, board, miss: read(board) - wanted };
  };
  const start = tried(0)!;
  if (Math.abs(start.miss) <= within) return { ok: true, board: start.board, reached: start.miss + wanted };
  const { near, far } = bracketed(tried, start, start.miss < 0 ? 1 : -1, most);
  if (!far) return { ok: false, reason: words, nearest: near.board, reached: near.miss + wanted };
  let [low, high] = [near, far];
  for (let round = 0; round < 80; round++) {
    const best = Math.abs(low.miss) < Math.abs(high.miss) ? low : high;
    if (Math.abs(best.miss) <= within) return { ok: true, board: best.board, reached: best.miss + wanted };
    const secant = low.p - (low.miss * (high.p - low.p)) / (high.miss - low.miss);
    const p = round % 3 === 2 ? (low.p + high.p) / 2 : secant;
    const between = tried(p);
    if (!between) break;
    if (Math.sign(between.miss) === Math.sign(low.miss)) low = between;
    else high = between;
  }
  return { ok: false, reason: words, nearest: near.board, reached: near.miss + wanted };
}

/** Steps outward until the miss changes sign: the last board on this side, and the first on the other if there is one. */
function bracketed(
  tried: (p: number) => Trial | undefined,
  start: Trial,
  way: 1 | -1,
  most: number,
): { near: Trial; far?: Trial } {
  let near = start;
  /** The nearest p known to be beyond what can be built. */
  let wall = most * 1.0001;
  let stride = most / 64;
  for (let round = 0; round < 60; round++) {
    const reach = Math.min(Math.abs(near.p) + stride, most);
    const next = reach < wall ? tried(way * reach) : undefined;
    if (!next) {
      wall = Math.min(wall, reach);
      stride = (wall - Math.abs(near.p)) / 2;
      if (stride < 1e-7 * most) return { near };
      continue;
    }
    if (Math.sign(next.miss) !== Math.sign(start.miss)) return { near, far: next };
    near = next;
    if (reach >= most) return { near };
    stride = Math.min(2 * stride, (wall - reach) / 2);
  }
  return { near };
}

/**
 * Moves the centre of the foam by so much, forward positive: thicker toward one end, thinner toward the other, the
 * thickest point along with it, then the whole thickness trimmed so that the litres hold. Holds outline, rocker, tips.
 */
export function foilShifted(board: Board, by_mm: number): Solved {
  const litres = volume_L(shapeOf(board));
  const made = (p: number): Board => {
    const { foil } = board;
    const tilt = {
      ...board,
      foil: {
        ...foil,
        thickest_mm: foil.thickest_mm + p * 0.25 * board.length_mm,
        marks: tilted(foil.marks, board, p),
      },
    };
    // One step of the scale of thickness brings the litres back to within a thousandth.
    let trimmed: Board = tilt;
    for (let round = 0; round < 3; round++) {
      const k = litres / volume_L(shapeOf(trimmed));
      trimmed = {
        ...trimmed,
        foil: {
          ...trimmed.foil,
          thickness_mm: trimmed.foil.thickness_mm * k,
          marks: trimmed.foil.marks.map((mark) => ({ ...mark, value_mm: mark.value_mm * k })),
        },
      };
    }
    return trimmed;
  };
  const read = (b: Board) => foamSpread_L(shapeOf(b)).centroidFromCentre_mm;
  return solvedFor(made, read, read(board) + by_mm, {
    within: 0.01,
    most: 0.4,
    words: 'the foam cannot be moved so far with this outline and rocker',
  });
}

/**
 * Moves the centre of the plan area by so much, forward positive: wider toward one end, narrower toward the other.
 * Holds length, width, wide point and the tail block.
 */
export function areaShifted(board: Board, by_mm: number): Solved {
  const made = (p: number): Board => ({
    ...board,
    outline: { ...board.outline, marks: tilted(board.outline.marks, board, p) },
  });
  const read = (b: Board) => areaSpread_mm2(shapeOf(b)).centroidFromCentre_mm;
  return solvedFor(made, read, read(board) + by_mm, {
    within: 0.01,
    most: 0.5,
    words: 'the area cannot be moved so far with this wide point and these ends',
  });
}
