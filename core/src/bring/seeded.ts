// Pixel by pixel and point by point: looked up once.
const { cos, imul, log, sqrt } = Math;

/** Even numbers in [0, 1) that are the same for the same seed: Mulberry32 (Ettinger 2017, public domain). */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = imul(state ^ (state >>> 15), 1 | state);
    t = (t + imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** Normal numbers of deviation 1 from even ones (Box and Muller 1958). */
export function normally(even: () => number): () => number {
  return () => sqrt(-2 * log(1 - even())) * cos(2 * Math.PI * even());
}
