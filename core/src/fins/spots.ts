import type { FinBox } from '../document/schema.ts';
import type { Shape } from '../shape/shape.ts';
import { halfBreadthAt } from '../outline/outline.ts';

interface PlanPoint {
  x_mm: number;
  y_mm: number;
}

/** Where one fin's base lies on the plan. */
export interface FinSpot {
  box: FinBox;
  /** +1 and −1 for the two of a pair, 0 for a centre box. */
  side: 1 | 0 | -1;
  rear: PlanPoint;
  middle: PlanPoint;
  front: PlanPoint;
  /** The rail abreast of the middle of the base, signed like y. */
  rail_mm: number;
}

/**
 * The bases of all fins, both sides. The trailing edge is at its distance from the tail; the middle of the base is its
 * inset in from the rail; toe turns the front of the base toward the stringer.
 */
export function finSpots(shape: Shape): FinSpot[] {
  return shape.board.fins.boxes.flatMap((box): FinSpot[] => {
    const run = box.template.base_mm * Math.cos(box.toe_rad);
    const turn = box.template.base_mm * Math.sin(box.toe_rad);
    const rearX = box.trailingEdge_mm;
    const middleX = rearX + run / 2;
    const rail = halfBreadthAt(shape.outline, middleX);
    if (box.role === 'centre') {
      const at = (x_mm: number) => ({ x_mm, y_mm: 0 });
      return [{ box, side: 0, rear: at(rearX), middle: at(middleX), front: at(rearX + run), rail_mm: rail }];
    }
    const middleY = rail - box.inset_mm;
    return ([1, -1] as const).map((side) => ({
      box,
      side,
      rear: { x_mm: rearX, y_mm: side * (middleY + turn / 2) },
      middle: { x_mm: middleX, y_mm: side * middleY },
      front: { x_mm: rearX + run, y_mm: side * (middleY - turn / 2) },
      rail_mm: side * rail,
    }));
  });
}
