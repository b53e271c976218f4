import { outlinePoints, type Shape } from '@june-tide/core';
import type { PlankScale } from './scale.ts';

/** The plan as an SVG path on the plank; only the upper half where that is all there is room for. */
export function planPath(shape: Shape, scale: PlankScale): string {
  const points = outlinePoints(shape.outline, 200);
  const upper = points.map((p) => `${scale.x(p.x_mm).toFixed(2)} ${(scale.centre - p.y_mm * scale.k).toFixed(2)}`);
  if (scale.half) return `M${upper.join('L')}Z`;
  const lower = points
    .map((p) => `${scale.x(p.x_mm).toFixed(2)} ${(scale.centre + p.y_mm * scale.k).toFixed(2)}`)
    .reverse();
  return `M${upper.join('L')}L${lower.join('L')}Z`;
}
