/** 0 to 1 with two continuous derivatives at both ends: 10 t³ − 15 t⁴ + 6 t⁵ between, 0 before and 1 after. */
export function smootherstep(t: number): number {
  if (t <= 0) return 0;
  if (t >= 1) return 1;
  return t * t * t * (10 + t * (-15 + 6 * t));
}

/**
 * The lesser of a value and a limit, joined smoothly: the value itself up to half the limit, then easing toward it.
 * So ordinary numbers come out exactly as typed and absurd ones stay legal. Twice continuously differentiable.
 */
export function capped(limit: number, value: number): number {
  if (!(limit > 0)) return 0;
  const share = value / limit;
  return share <= 0.5 ? value : limit * (0.5 + 0.5 * Math.tanh(2 * share - 1));
}

/** How late a softly held number feels its limit: at three quarters of it by a quarter of a percent. */
const LATE = 12;

/**
 * A positive number held softly under a limit, as smooth as can be everywhere: for what may come from far over the limit within a
 * millimetre, where a join with two derivatives would still be felt.
 */
export const softly = (limit: number, value: number): number =>
  value > limit
    ? limit * (1 + (limit / value) ** LATE) ** (-1 / LATE)
    : value * (1 + (value / limit) ** LATE) ** (-1 / LATE);

/**
 * The greater of two numbers, twice continuously differentiable: exact where they differ by `width` or more, and over it by
 * at most 3/16 of `width`, where they are equal.
 */
export function softMax(a: number, b: number, width: number): number {
  const t = (a - b) / width;
  if (t <= -1) return b;
  if (t >= 1) return a;
  const from = t + 1;
  return b + (width * from * from * from * (3 - t)) / 16;
}

/** The lesser of two numbers, as softMax has the greater. */
export function softMin(a: number, b: number, width: number): number {
  return -softMax(-a, -b, width);
}

/**
 * A positive number held between two others, twice continuously differentiable: itself where it is clear of both by the share
 * exp(soft), and eased into them by its logarithm.
 */
export function heldWithin(value: number, low: number, high: number, soft: number): number {
  const clear = 1 + soft + soft * soft;
  if (value > low * clear && value * clear < high) return value;
  return Math.exp(softMin(softMax(Math.log(value), Math.log(low), soft), Math.log(high), soft));
}

/**
 * The positive part of a number, twice continuously differentiable: none where it is none, the number itself from `over` on.
 */
export const risen = (value: number, over: number): number => value * smootherstep(value / over);

/**
 * The greater of two shares from 0 to 1, as smooth as they are where either is more than none: exactly one of them where the
 * other is none, never over 1, and over both by 6 % at the most.
 */
export function together(a: number, b: number): number {
  if (!(a > 0)) return Math.max(0, b);
  if (!(b > 0)) return a;
  const most = Math.max(a, b);
  const share = twelfth(Math.min(a, b) / most);
  if (share < 1e-17) return most;
  return most * Math.cbrt(Math.sqrt(Math.sqrt(1 + share - twelfth(Math.min(a, b)))));
}

function twelfth(x: number): number {
  const x2 = x * x;
  const x4 = x2 * x2;
  return x4 * x4 * x4;
}
