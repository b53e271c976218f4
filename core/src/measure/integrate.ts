/** Panels over the whole board, split over its stretches. Even in each. */
const PANELS = 64;

export interface IntegralRange {
  /** Panels over the whole board; 64 when left out. */
  panels?: number;
  /** The stretch to integrate over, mm from the tail; the whole board when left out. */
  from_mm?: number;
  to_mm?: number;
}

/**
 * ∫ f(x) dx over [0, L], or a stretch of it, by Simpson's rule in s, x = L (1 − cos πs) / 2, each stretch between
 * `breaks` on its own, so that a kink costs no accuracy. Error is O(panels^-4) for an f smooth between breaks; under
 * 1e-5 for boards (tested).
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
    const a = ends[e];
    const span = ends[e + 1] - a;
    if (!(span > 1e-9)) continue;
    const count = Math.max(6, 2 * Math.ceil((panels * span) / 2));
    const h = span / count;
    let sum = 0;
    for (let k = 0; k <= count; k++) {
      // The ends of a stretch are taken from inside it: the integrand may jump there.
      const s = k === 0 ? a + 1e-12 : k === count ? a + span - 1e-12 : a + k * h;
      const x = (length_mm * (1 - Math.cos(Math.PI * s))) / 2;
      const rate = (length_mm * Math.PI * Math.sin(Math.PI * s)) / 2;
      if (rate < 1e-6) continue;
      sum += (k === 0 || k === count ? 1 : k % 2 === 1 ? 4 : 2) * f(x) * rate;
    }
    total += (sum * h) / 3;
  }
  return total;
}
