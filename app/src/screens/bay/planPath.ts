import { type Outline, outlinePoints } from '@june-tide/core/outline';
import type { PlankScale } from './scale.ts';

/** Quicker than toFixed, and this is written anew with each move of a drag. */
const hundredths = (value: number) => Math.round(value * 100) / 100;

/** The plan as an SVG path on the plank; only the upper half where that is all there is room for. */
export function planPath(outline: Outline, scale: PlankScale): string {
  const points = outlinePoints(outline, 140);
  const at = (x: number, y: number) => `${hundredths(x)} ${hundredths(y)}`;
  const upper = points.map((p) => at(scale.x(p.x_mm), scale.centre - p.y_mm * scale.k));
  if (scale.half) return `M${upper.join('L')}Z`;
  const lower = points.map((p) => at(scale.x(p.x_mm), scale.centre + p.y_mm * scale.k)).reverse();
  return `M${upper.join('L')}L${lower.join('L')}Z`;
}
