import type { FairCurve } from '../curve/fairCurve.ts';
import type { Shape } from '../shape/shape.ts';
import { stringerLineAt } from './bottomLines.ts';

/** How a curve bends over one stretch. */
export interface Bend {
  from_mm: number;
  to_mm: number;
  /** Arc length over turning: the radius of the arc that turns as much. Infinite for a straight stretch. */
  radius_mm: number;
  /** The tightest radius met. */
  tightest_mm: number;
  /** 1 for a circular arc, toward 0 the more the curvature wanders about its mean: 1 / (1 + its coefficient of variation). */
  evenness: number;
}

const SAMPLES = 64;

/** Radius and evenness of a curve between two stations. @throws RangeError for a stretch that is empty. */
export function bendOf(curve: FairCurve, from_mm: number, to_mm: number): Bend {
  if (!(to_mm > from_mm)) throw new RangeError(`bendOf: needs from_mm < to_mm, got ${from_mm} and ${to_mm}`);
  let arc = 0;
  let turning = 0;
  let squares = 0;
  let tightest = 0;
  let before: { x: number; y: number; k: number } | undefined;
  for (let i = 0; i <= SAMPLES; i++) {
    const x = from_mm + ((to_mm - from_mm) * i) / SAMPLES;
    const here = { x, y: curve.valueAt(x), k: curve.curvatureAt(x) };
    tightest = Math.max(tightest, Math.abs(here.k));
    if (before) {
      const step = Math.hypot(here.x - before.x, here.y - before.y);
      arc += step;
      turning += (step * (here.k + before.k)) / 2;
      squares += (step * (here.k * here.k + before.k * before.k)) / 2;
    }
    before = here;
  }
  const mean = Math.abs(turning) / arc;
  const variance = Math.max(0, squares / arc - mean * mean);
  return {
    from_mm,
    to_mm,
    radius_mm: mean > 0 ? 1 / mean : Infinity,
    tightest_mm: tightest > 0 ? 1 / tightest : Infinity,
    evenness: mean > 0 ? 1 / (1 + Math.sqrt(variance) / mean) : 1,
  };
}

/** Outline and rocker by stretch: tail third, middle third, nose third, clear of the last 3 % at the tips. */
export function bendsByThird(curve: FairCurve): { tail: Bend; middle: Bend; nose: Bend } {
  const L = curve.map.length_mm;
  return {
    tail: bendOf(curve, 0.03 * L, L / 3),
    middle: bendOf(curve, L / 3, (2 * L) / 3),
    nose: bendOf(curve, (2 * L) / 3, 0.97 * L),
  };
}

/** Light seen under a straightedge that still counts as flat: 1/32 in, what hand work is good to (common practice). */
const FLAT_GAP_mm = 25.4 / 32;

interface Flattest {
  gap_mm?: number;
  from_mm?: number;
  to_mm?: number;
}

/**
 * The flattest part of the bottom at the stringer: the longest straightedge that leaves no more than 1/32 in of
 * light under it anywhere, and where it lies; between two stations where they are given.
 */
export function flattestPart(
  shape: Shape,
  { gap_mm = FLAT_GAP_mm, from_mm = 0, to_mm = Infinity }: Flattest = {},
): { length_mm: number; middle_mm: number } {
  const { length_mm } = shape.board;
  const count = 360;
  const h = length_mm / count;
  const [first, last] = [Math.ceil(from_mm / h), Math.min(count, Math.floor(to_mm / h))];
  const z = Array.from({ length: count + 1 }, (_, k) => stringerLineAt(shape, k * h));
  const gapOver = (a: number, b: number) => {
    let widest = 0;
    for (let k = a + 1; k < b; k++)
      widest = Math.max(widest, Math.abs(z[a] + ((z[b] - z[a]) * (k - a)) / (b - a) - z[k]));
    return widest;
  };
  let best = { from: 0, to: 0 };
  let to = first + 1;
  for (let from = first; from < last; from++) {
    to = Math.max(to, from + 1);
    while (to < last && gapOver(from, to + 1) <= gap_mm) to++;
    if (to - from > best.to - best.from) best = { from, to };
  }
  return { length_mm: (best.to - best.from) * h, middle_mm: ((best.from + best.to) / 2) * h };
}
