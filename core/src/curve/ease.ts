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
