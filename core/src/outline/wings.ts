import type { Wing } from '../board/document.ts';

/** The blend of a step: 0 to 1 with two continuous derivatives at both ends. */
export function step(t: number): number {
  if (t <= 0) return 0;
  if (t >= 1) return 1;
  return t * t * t * (10 + t * (-15 + 6 * t));
}

/** How far all wings together draw the half width in at x. */
export function wingsAt(wings: readonly Wing[], x_mm: number): number {
  let sum = 0;
  for (const wing of wings) sum += wing.depth_mm * step((wing.fromTail_mm - x_mm) / wing.length_mm);
  return sum;
}
