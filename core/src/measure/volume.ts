import { sectionAt, type Shape } from '../shape/shape.ts';
import { halfBreadthAt, notchHalfBreadthAt } from '../outline/outline.ts';
import { halfArea } from '../section/section.ts';
import { integrateAlong } from './integrate.ts';

/** Area of the full cross-section at x, mm². */
export function sectionArea(shape: Shape, x_mm: number): number {
  const section = sectionAt(shape, x_mm);
  return section ? 2 * halfArea(section) : 0;
}

/** Litres of shaped foam: the integral of section areas. */
export function volume_L(shape: Shape): number {
  return integrateAlong(shape.board.length_mm, shape.outline.breaks, (x) => sectionArea(shape, x)) / 1e6;
}

/** Area of the plan, mm², a notch left out. */
export function planArea_mm2(shape: Shape): number {
  const { outline } = shape;
  return integrateAlong(shape.board.length_mm, outline.breaks, (x) => {
    return 2 * (halfBreadthAt(outline, x) - notchHalfBreadthAt(outline, x));
  });
}
