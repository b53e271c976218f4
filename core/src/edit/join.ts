import type { Board, OutlineMark } from '../document/schema.ts';
import { boardIssues } from '../shape/issues.ts';
import { shapeOf } from '../shape/shape.ts';
import { stationOfMark } from '../document/station.ts';
import { smootherstep } from '../curve/ease.ts';
import { halfBreadthAt } from '../outline/outline.ts';

/** How near a joined half keeps to the half it was taken from, half width: what hand work is good to (common practice). */
const GIVE_mm = 0.8;
/** Stations at which a half is held beyond its own marks, as shares of the half from the wide point to the tip. */
const SHARES = [0.2, 0.4, 0.62] as const;
const CLEAR_mm = 60;

/**
 * The front half of one board's outline on the back half of another's, fair at the join.
 *
 * Front: its nose, marks ahead of its wide point and the length from there to the nose. Back: its tail, wings and marks
 * behind its wide point and that length. The width is the front's; where the back was wider or narrower its widths ease
 * into that toward the wide point. Marks are kept; soft marks between them hold each half to where it was. Everything but
 * the outline is the front board's, its length grown at the tail.
 * @returns the issues when the two halves cannot be one board.
 */
export function joinedOutlines(
  front: Board,
  back: Board,
): { ok: true; board: Board } | { ok: false; reason: string; board: Board } {
  const frontShape = shapeOf(front);
  const backShape = shapeOf(back);
  const ahead = front.length_mm - frontShape.outline.wide_mm;
  const behind = backShape.outline.wide_mm;
  const length_mm = ahead + behind;
  const widthBack = back.outline.width_mm;
  const widthChange = front.outline.width_mm - widthBack;
  /** What the back half's width becomes: unchanged toward its tail, the front's at the wide point. */
  const eased = (x: number, width: number) => {
    const share = smootherstep((x / behind - 0.25) / 0.75);
    return width * (1 + (share * widthChange) / widthBack);
  };

  const marks: OutlineMark[] = [];
  const place = (x_mm: number, value_mm: number, give_mm?: number) => {
    const from = x_mm > behind ? 'nose' : 'tail';
    const at_mm = from === 'nose' ? length_mm - x_mm : x_mm;
    const clear = marks.every((m) => Math.abs((m.from === 'nose' ? length_mm - m.at_mm : m.at_mm) - x_mm) > CLEAR_mm);
    if (!clear || Math.abs(x_mm - behind) < CLEAR_mm) return;
    if (value_mm >= front.outline.width_mm) return;
    marks.push({ from, at_mm, value_mm, ...(give_mm === undefined ? {} : { give_mm }) });
  };
  for (const mark of front.outline.marks) {
    const x = stationOfMark(mark, frontShape.anchors);
    if (x > frontShape.outline.wide_mm) place(x - front.length_mm + length_mm, mark.value_mm, mark.give_mm);
  }
  for (const mark of back.outline.marks) {
    const x = stationOfMark(mark, backShape.anchors);
    if (x < behind) place(x, eased(x, mark.value_mm), mark.give_mm);
  }
  for (const share of SHARES) {
    const xFront = frontShape.outline.wide_mm + share * ahead;
    place(behind + share * ahead, 2 * halfBreadthAt(frontShape.outline, xFront), GIVE_mm);
    const xBack = behind * (1 - share);
    place(xBack, eased(xBack, 2 * halfBreadthAt(backShape.outline, xBack)), GIVE_mm);
  }
  const board: Board = {
    ...front,
    name: `${front.name} on ${back.name}`.slice(0, 80),
    length_mm,
    outline: {
      width_mm: front.outline.width_mm,
      widePoint_mm: behind - length_mm / 2,
      marks,
      nose: front.outline.nose,
      tail: back.outline.tail,
      wings: back.outline.wings,
    },
  };
  const issues = boardIssues(board);
  if (issues.length === 0) return { ok: true, board };
  return { ok: false, reason: `the halves do not make one board: ${issues[0].words}`, board };
}
