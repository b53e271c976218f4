/** Each round leaves this share of the bracket: (√5 − 1)/2. */
const SHARE = (Math.sqrt(5) - 1) / 2;

/**
 * Where a number is least in a bracket that holds one least place. Method: golden-section search, Kiefer 1953, Proc. Amer.
 * Math. Soc. 4, 502. Error: 0.618 to the power of the rounds, of the bracket.
 */
export function goldenSection(f: (x: number) => number, low: number, high: number, rounds = 20): number {
  let [a, b] = [low, high];
  let [left, right] = [b - SHARE * (b - a), a + SHARE * (b - a)];
  let [atLeft, atRight] = [f(left), f(right)];
  for (let k = 0; k < rounds; k++) {
    if (atLeft < atRight) {
      [b, right, atRight] = [right, left, atLeft];
      left = b - SHARE * (b - a);
      atLeft = f(left);
    } else {
      [a, left, atLeft] = [left, right, atRight];
      right = a + SHARE * (b - a);
      atRight = f(right);
    }
  }
  return (a + b) / 2;
}
