import { bottomHeight } from '../bottom/bottom.ts';
import { goldenSection } from '../curve/goldenSection.ts';
import { sectionAt, type Shape } from '../shape/shape.ts';

/**
 * Lines along the bottom, as heights over the tangent at the flat point of the stringer, mm.
 * With concave the rail line lies below the stringer line and bends more; with vee or roll it is the other way round.
 */

/** Bottom at the stringer at x. */
export function stringerLineAt(shape: Shape, x_mm: number): number {
  return shape.rocker.line.valueAt(x_mm);
}

/** Bottom edge of the rail at x, where the bottom would meet the tuck. The stringer's at the closed tips. */
export function railLineAt(shape: Shape, x_mm: number): number {
  return stringerLineAt(shape, x_mm) + (sectionAt(shape, x_mm)?.edgeZ_mm ?? 0);
}

/** Bottom at y mm off the stringer; undefined where the board is narrower than that or notched. */
export function buttockLineAt(shape: Shape, x_mm: number, y_mm: number): number | undefined {
  const section = sectionAt(shape, x_mm);
  if (!section || Math.abs(y_mm) > section.edgeY_mm || Math.abs(y_mm) < section.input.notch_mm) return undefined;
  return stringerLineAt(shape, x_mm) + bottomHeight(section.input.bottom, Math.abs(y_mm) / section.edgeY_mm);
}

/** So many places across the bottom are looked at for its lowest or highest, and beside that it is sought on. */
const ACROSS = 64;

/** The bottom's farthest across the board at x: the lowest (1) or the highest (−1). Error below 1e-4 mm. */
function farthestAt(shape: Shape, x_mm: number, way: 1 | -1): number {
  const section = sectionAt(shape, x_mm);
  const stringer = stringerLineAt(shape, x_mm);
  if (!section || (section.input.bottom.layers.length === 0 && section.edgeZ_mm === 0)) return stringer;
  const from = section.input.notch_mm / section.edgeY_mm;
  const height = (share: number) => way * bottomHeight(section.input.bottom, from + (1 - from) * share);
  let least = Infinity;
  let at = 0;
  for (let k = 0; k <= ACROSS; k++) {
    const here = height(k / ACROSS);
    if (here < least) [least, at] = [here, k / ACROSS];
  }
  const sought = goldenSection(height, Math.max(0, at - 1 / ACROSS), Math.min(1, at + 1 / ACROSS));
  return stringer + way * Math.min(least, height(sought));
}

/** The lowest of the bottom at x: what a table or a straightedge across the board touches. Error below 1e-4 mm. */
export const lowestAt = (shape: Shape, x_mm: number): number => farthestAt(shape, x_mm, 1);

/** The concave line: the highest of the bottom at x, wherever across the board it is. Error below 1e-4 mm. */
export const hollowLineAt = (shape: Shape, x_mm: number): number => farthestAt(shape, x_mm, -1);

/** Length along the bottom at the stringer, tip to tip, mm: what a tape laid on the curve reads. */
export function curveLength_mm(shape: Shape): number {
  const { line } = shape.rocker;
  const { length_mm } = shape.board;
  const panels = 400;
  const h = length_mm / panels;
  let sum = 0;
  for (let k = 0; k <= panels; k++) {
    const weight = k === 0 || k === panels ? 1 : k % 2 === 1 ? 4 : 2;
    sum += weight * Math.sqrt(1 + line.slopeAt(k * h) ** 2);
  }
  return (sum * h) / 3;
}
