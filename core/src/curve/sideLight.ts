import { INCH_mm } from '../units/length.ts';

/** What a hand feels and a lamp shows plainly: a bump of 1/32 in over 12 in. Common practice, no source. */
const BUMP_mm = INCH_mm / 32;
const OVER_mm = 12 * INCH_mm;

/**
 * The curvature at the crest of that bump, 1/mm: of h/2 (1 + cos 2πx/λ), h 1/32 in high and λ 12 in long, it is (h/2) (2π/λ)².
 * The unit that bends are told in here.
 */
export const BUMP_CURVATURE_mm1 = (BUMP_mm / 2) * ((2 * Math.PI) / OVER_mm) ** 2;

/** The trend is read over so much to each side: wide enough that it does not follow the bump it is to show. */
const TREND_mm = 190;

/**
 * How far the curvature at each sample stands off its own local trend, in bumps: 1 is the crest of a bump of 1/32 in over 12 in, −1 a
 * flat as deep.
 *
 * Method: the trend is the least-squares parabola over a window of 190 mm to each side (Savitzky and Golay 1964, Anal. Chem. 36, 1627,
 * smoothing of degree 2), taken off, so that a fair curve, whose curvature runs smoothly, is calm whatever its bend.
 *
 * @param curvature_mm1 curvature at even stations, 1/mm, positive where a bump would add to it
 * @param step_mm from one station to the next
 * @returns as many, not bounded; 0 where fair. An empty row for fewer than three.
 */
export function bumpsAlong(curvature_mm1: readonly number[], step_mm: number): number[] {
  const count = curvature_mm1.length;
  if (count < 3) return [];
  const half = Math.min(Math.floor((count - 1) / 2), Math.max(2, Math.round(TREND_mm / step_mm)));
  return curvature_mm1.map((value, i) => {
    const from = Math.max(0, Math.min(i - half, count - 1 - 2 * half));
    const window = curvature_mm1.slice(from, from + 2 * half + 1);
    return (value - parabolaAt(window, i - from)) / BUMP_CURVATURE_mm1;
  });
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
