import type { Board, OutlineMark } from '../document/schema.ts';
import { MOST_MARKS } from '../document/limits.ts';
import { anchorsOf, stationOfMark } from '../document/station.ts';
import { boardIssues } from '../shape/issues.ts';
import { type Shape, shapeOf } from '../shape/shape.ts';
import { endReach, halfBreadthAt } from '../outline/outline.ts';
import { wingsAt } from '../outline/wings.ts';

/** So far either way of the join the line is faired anew; beyond it each half is what it was. */
const JOIN_ZONE_mm = 200;
/** The first mark of a half stands so far from its end: nearer, it would hold the tip and nothing else. */
const FIRST_mm = 45;
/** How well the marks along a half hold it, half width: softer they would let it drift, harder they would pull at one another. */
const GIVE_mm = 0.02;
/** A join this near to both halves, in width, is theirs. */
const THEIRS_mm = 0.5;
/** Marks are set no nearer to each other than this; closer they would be levers. */
const LEAST_GAP_mm = 70;
/** No more marks are set once each half is itself so near, in width, or as near as all the marks there is room for would bring it. */
const NEAR_mm = 0.19;

export type Joined =
  | {
      ok: true;
      board: Board;
      /** What had to change of the back half so that the two meet: its widths by this factor; 1 when nothing did. */
      backWidths: number;
      /** The most a width is off its half anywhere outside the zone of the join, mm. */
      off_mm: number;
    }
  | { ok: false; reason: string; board: Board };

/**
 * The front half of one board's outline on the back half of another's, fair at the join.
 *
 * Front: its nose, and the length from its wide point to there. Back: its tail, its wings and that length. Both stay as they were
 * but within JOIN_ZONE_mm of the join: marks are set along them and the batten goes through all. Where the two are so unlike in width
 * that no batten could lead from one into the other there, the back half is drawn wider or narrower as a whole until it meets the
 * front, and `backWidths` says by how much. Everything but the outline is the front board's, its length grown at the tail.
 * @returns why, when the two halves cannot be one board.
 */
export function joinedOutlines(front: Board, back: Board): Joined {
  const [frontShape, backShape] = [shapeOf(front), shapeOf(back)];
  const tried = [1, front.outline.width_mm / back.outline.width_mm].map((backWidths) => {
    const board = joinedAt(frontShape, backShape, backWidths);
    const issues = boardIssues(board);
    return {
      board,
      backWidths,
      issues,
      off_mm: issues.length > 0 ? Infinity : offHalves(board, frontShape, backShape, backWidths).off_mm,
    };
  });
  const [plain, drawn] = tried;
  const best = plain.off_mm <= Math.max(THEIRS_mm, drawn.off_mm) ? plain : drawn;
  if (best.issues.length > 0) {
    return { ok: false, reason: `the halves do not make one board: ${best.issues[0].words}`, board: best.board };
  }
  return { ok: true, board: best.board, backWidths: best.backWidths, off_mm: best.off_mm };
}

/** The most a width of the joined board is off its half outside the zone of the join, mm, and where that is. */
function offHalves(board: Board, front: Shape, back: Shape, backWidths: number): { off_mm: number; x_mm: number } {
  const { outline } = shapeOf(board);
  const STEP_mm = 12;
  let most = { off_mm: 0, x_mm: 0 };
  for (let x = STEP_mm; x < board.length_mm; x += STEP_mm) {
    if (Math.abs(x - outline.wide_mm) < JOIN_ZONE_mm) continue;
    const half =
      x > outline.wide_mm
        ? halfBreadthAt(front.outline, x - board.length_mm + front.board.length_mm)
        : backHalf(back, x, backWidths);
    const off_mm = 2 * Math.abs(halfBreadthAt(outline, x) - half);
    if (off_mm > most.off_mm) most = { off_mm, x_mm: x };
  }
  return most;
}

/** The back half with its batten drawn wider or narrower; wings step in by as much as they did. */
function backHalf({ outline }: Shape, x_mm: number, widths: number): number {
  const wings = wingsAt(outline.document, x_mm);
  return (halfBreadthAt(outline, x_mm) + wings) * widths - wings;
}

/** Both halves' own marks, and of those that could hold the halves between them one more at a time, where a half is least itself. */
function joinedAt(front: Shape, back: Shape, backWidths: number): Board {
  const { own, spare } = holds(front, back, backWidths);
  const joined = (marks: readonly OutlineMark[]) => joinedWith(front, back, backWidths, marks);
  const onAll = joined([...own, ...spare]);
  if (boardIssues(onAll).length > 0) return onAll;
  const off = (marks: readonly OutlineMark[]) => {
    const board = joined(marks);
    return boardIssues(board).length > 0 ? undefined : offHalves(board, front, back, backWidths);
  };
  const enough_mm = Math.max(NEAR_mm, offHalves(onAll, front, back, backWidths).off_mm);
  const set: OutlineMark[] = [];
  for (const left = new Set(spare); left.size > 0;) {
    const apart = off([...own, ...set]);
    if (apart && apart.off_mm <= enough_mm) break;
    const far = (mark: OutlineMark) => (apart ? Math.abs(stationOfMark(mark, anchorsOf(onAll)) - apart.x_mm) : 0);
    const nearest = [...left].reduce((a, b) => (far(b) < far(a) ? b : a));
    left.delete(nearest);
    set.push(nearest);
  }
  // What was set first may have nothing left to hold.
  const needed = set.reduce((kept, mark) => {
    const without = kept.filter((each) => each !== mark);
    const { off_mm } = off([...own, ...without]) ?? { off_mm: Infinity };
    return off_mm <= enough_mm ? without : kept;
  }, set);
  return joined([...own, ...needed]);
}

/** The marks of both halves, and those that may be set between them. */
function holds(front: Shape, back: Shape, backWidths: number): { own: OutlineMark[]; spare: OutlineMark[] } {
  const reach = { nose: endReach(front.board.outline).nose_mm, tail: endReach(back.board.outline).tail_mm };
  const room = Math.floor(MOST_MARKS / 2);
  const marks = (end: 'nose' | 'tail', of: Shape, half_mm: number, reach_mm: number, width: (at: number) => number) => {
    const own = ownStations(of, end);
    return alongHalf(half_mm, reach_mm, room, own).map((at_mm) => ({
      mark: { from: end, at_mm, value_mm: width(at_mm) },
      own: own.includes(at_mm),
    }));
  };
  const { length_mm } = front.board;
  const all = [
    ...marks(
      'nose',
      front,
      length_mm - front.outline.wide_mm,
      reach.nose,
      (at) => 2 * halfBreadthAt(front.outline, length_mm - at),
    ),
    ...marks('tail', back, back.outline.wide_mm, reach.tail, (at) => 2 * backHalf(back, at, backWidths)),
  ];
  return {
    own: all.filter((each) => each.own).map(({ mark }) => mark),
    // The half's own marks are met; what is set between them only holds it.
    spare: all.filter((each) => !each.own).map(({ mark }) => ({ ...mark, give_mm: GIVE_mm })),
  };
}

function joinedWith(front: Shape, back: Shape, backWidths: number, marks: readonly OutlineMark[]): Board {
  const behind = back.outline.wide_mm;
  const length_mm = front.board.length_mm - front.outline.wide_mm + behind;
  const { tail, wings } = back.board.outline;
  return {
    ...front.board,
    name: `${front.board.name} on ${back.board.name}`.slice(0, 80),
    length_mm,
    outline: {
      // Where the two differ a little they meet half way.
      width_mm: (front.board.outline.width_mm + back.board.outline.width_mm * backWidths) / 2,
      widePoint_mm: behind - length_mm / 2,
      marks: [...marks],
      nose: front.board.outline.nose,
      tail: { ...tail, block_mm: tail.block_mm * backWidths },
      wings,
    },
  };
}

/** How far from its end each mark of a half stands. */
function ownStations({ board, anchors, outline }: Shape, end: 'nose' | 'tail'): number[] {
  const x = board.outline.marks.map((mark) => stationOfMark(mark, anchors));
  return end === 'nose'
    ? x.filter((at) => at > outline.wide_mm).map((at) => board.length_mm - at)
    : x.filter((at) => at < outline.wide_mm);
}

/**
 * Where a half of this length is held, from its end: evenly from its end's own work to the zone of the join, its own marks taken for
 * those nearest to them.
 */
function alongHalf(half_mm: number, reach_mm: number, room: number, own: readonly number[]): number[] {
  const last = half_mm - JOIN_ZONE_mm;
  const first = Math.max(reach_mm + 2, FIRST_mm);
  const count = Math.min(room, Math.floor((last - first) / LEAST_GAP_mm) + 1);
  if (count < 2) return own.filter((at) => at >= first && at <= last);
  const step = (last - first) / (count - 1);
  const stations = Array.from({ length: count }, (_, k) => first + k * step);
  for (const at of own) {
    const nearest = Math.round((at - first) / step);
    if (nearest > 0 && nearest < count - 1 && Math.abs(stations[nearest] - at) < step / 2) stations[nearest] = at;
  }
  return stations;
}
