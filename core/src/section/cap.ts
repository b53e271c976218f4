/**
 * The lesser of a value and a limit, joined smoothly: the value itself up to half the limit, then easing toward it.
 * So ordinary numbers come out exactly as typed and absurd ones stay legal. Twice continuously differentiable.
 */
export function cappedAt(limit: number, value: number): number {
  if (!(limit > 0)) return 0;
  const share = value / limit;
  return share <= 0.5 ? value : limit * (0.5 + 0.5 * Math.tanh(2 * share - 1));
}
