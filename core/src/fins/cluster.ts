import { TRAILING_EDGE_mm } from '../document/limits.ts';
import type { Board, FinBox } from '../document/schema.ts';

/** Changes of where fins stand as a set, and of one by its leading edge. All hold inset, toe, cant and the fins themselves. */

/** How far a base reaches along the stringer, mm: toe shortens it. */
const runOf = ({ template, toe_rad }: FinBox): number => template.base_mm * Math.cos(toe_rad);

/** The leading edge of a base, up from the tail along the stringer. */
export const leadingEdge_mm = (box: FinBox): number => box.trailingEdge_mm + runOf(box);

/** Where the trailing edge stands when the leading edge is to stand at so much. */
export const trailingFor_mm = (box: FinBox, leading_mm: number): number => leading_mm - runOf(box);

const within = (value: number) => Math.min(TRAILING_EDGE_mm.high, Math.max(TRAILING_EDGE_mm.low, value));

function moved(board: Board, to: (box: FinBox) => number): Board {
  const boxes = board.fins.boxes.map((box) => ({ ...box, trailingEdge_mm: to(box) }));
  if (boxes.some((box) => box.trailingEdge_mm !== within(box.trailingEdge_mm))) return board;
  return { ...board, fins: { ...board.fins, boxes } };
}

/** All fins so much toward the nose, or toward the tail for less than nothing. Unchanged where one would leave the board. */
export const withFinsShifted = (board: Board, by_mm: number): Board =>
  moved(board, (box) => box.trailingEdge_mm + by_mm);

/** From the rearmost trailing edge to the foremost; undefined for fins that stand abreast, or for one alone. */
export function finSpread_mm({ fins }: Board): number | undefined {
  const edges = fins.boxes.map((box) => box.trailingEdge_mm);
  const spread = Math.max(...edges) - Math.min(...edges);
  return edges.length > 1 && spread > 0 ? spread : undefined;
}

/** The set drawn out or drawn together about its middle, every fin in proportion. Unchanged where one would leave the board, or they stand abreast. */
export function withFinSpread(board: Board, spread_mm: number): Board {
  const now = finSpread_mm(board);
  if (now === undefined) return board;
  const edges = board.fins.boxes.map((box) => box.trailingEdge_mm);
  const middle = (Math.max(...edges) + Math.min(...edges)) / 2;
  return moved(board, (box) => middle + ((box.trailingEdge_mm - middle) * spread_mm) / now);
}

/** Nearer than this a fin that is pulled stands at the wing, mm. */
const AT_WING_mm = 5;

/** The trailing edge wanted, or the one that puts either edge of the base just at a wing where that is near: `at` says which. */
export function atWing(
  board: Board,
  box: FinBox,
  trailing_mm: number,
): { trailing_mm: number; at: 'trailing' | 'leading' | undefined } {
  let best: ReturnType<typeof atWing> = { trailing_mm, at: undefined };
  let nearest = AT_WING_mm;
  for (const { fromTail_mm } of board.outline.wings) {
    for (const [at, stands] of [
      ['trailing', fromTail_mm],
      ['leading', trailingFor_mm(box, fromTail_mm)],
    ] as const) {
      const off = Math.abs(stands - trailing_mm);
      if (off < nearest) {
        nearest = off;
        best = { trailing_mm: stands, at };
      }
    }
  }
  return best;
}

/** The angle of toe at which the line of a base, carried so far ahead of its middle, has come in toward the stringer by so much. */
export const toeFor_rad = (in_mm: number, ahead_mm: number): number => Math.atan2(in_mm, ahead_mm);
