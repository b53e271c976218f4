/**
 * The tone of the strip of light under a curve: how far the curvature at each sample stands off its own local trend.
 *
 * Method: κ L at even samples; the trend is the least-squares parabola over a window of 2 half + 1 samples (Savitzky
 * and Golay 1964, Anal. Chem. 36, 1627, smoothing of degree 2), taken off, so that a fair curve, whose curvature runs
 * smoothly, is even whatever its bend; what is left is scaled by the board's typical |κ L|.
 *
 * @param curvature_mm1 curvature at even stations, 1/mm
 * @returns −1 (flatter than its neighbourhood) to 1 (prouder), 0 where fair; the same length.
 */
export function fairnessTones(curvature_mm1: readonly number[], half = 6): number[] {
  const count = curvature_mm1.length;
  const typical = Math.max(1e-12, median(curvature_mm1.map(Math.abs)));
  return curvature_mm1.map((value, i) => {
    const from = Math.max(0, Math.min(i - half, count - 1 - 2 * half));
    const window = curvature_mm1.slice(from, from + 2 * half + 1);
    const trend = parabolaAt(window, i - from);
    return Math.max(-1, Math.min(1, (value - trend) / (0.5 * typical)));
  });
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? 0;
}

/** The value at index `at` of the least-squares parabola through the window. */
function parabolaAt(window: readonly number[], at: number): number {
  const m = (window.length - 1) / 2;
  let s2 = 0;
  let s4 = 0;
  let b0 = 0;
  let b1 = 0;
  let b2 = 0;
  window.forEach((value, i) => {
    const t = i - m;
    s2 += t * t;
    s4 += t ** 4;
    b0 += value;
    b1 += value * t;
    b2 += value * t * t;
  });
  const n = window.length;
  const det = n * s4 - s2 * s2;
  const a0 = (b0 * s4 - b2 * s2) / det;
  const a2 = (n * b2 - b0 * s2) / det;
  const t = at - m;
  return a0 + (b1 / s2) * t + a2 * t * t;
}
