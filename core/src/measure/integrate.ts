import { GAUSS3 } from '../curve/gauss.ts';

/** Panels over the whole board, split over its stretches; three points each, never at the ends, where a section may jump. */
const PANELS = 32;

export interface IntegralRange {
  /** Panels over the whole board; 32 when left out. */
  panels?: number;
  /** The stretch to integrate over, mm from the tail; the whole board when left out. */
  from_mm?: number;
  to_mm?: number;
}

/**
 * ∫ f(x) dx over [0, L], or a stretch of it, in s with x = L (1 − cos πs) / 2, each stretch between `breaks` on its own, so
 * that a kink costs no accuracy. For the section areas of boards within 5e-5 (tested), a third of what Simpson's rule
 * leaves at as many points.
 */
export function integrateAlong(
  length_mm: number,
  breaks: readonly number[],
  f: (x_mm: number) => number,
  { panels = PANELS, from_mm = 0, to_mm = length_mm }: IntegralRange = {},
): number {
  const low = Math.max(0, from_mm);
  const high = Math.min(length_mm, to_mm);
  if (!(high > low)) return 0;
  const parameter = (x: number) => (x <= 0 ? 0 : x >= length_mm ? 1 : Math.acos(1 - (2 * x) / length_mm) / Math.PI);
  const ends = [low, ...breaks.filter((x) => x > low && x < high), high].map(parameter);
  let total = 0;
  for (let e = 0; e + 1 < ends.length; e++) {
    const span = ends[e + 1] - ends[e];
    if (!(span > 1e-9)) continue;
    const count = Math.max(2, Math.ceil(panels * span));
    const half = span / count / 2;
    for (let p = 0; p < count; p++) {
      const middle = ends[e] + (2 * p + 1) * half;
      for (let q = 0; q < GAUSS3.length; q++) {
        const node = GAUSS3[q][0];
        const weight = GAUSS3[q][1];
        const angle = Math.PI * (middle + half * node);
        const rate = (length_mm * Math.PI * Math.sin(angle)) / 2;
        total += weight * half * rate * f((length_mm * (1 - Math.cos(angle))) / 2);
      }
    }
  }
  return total;
}
