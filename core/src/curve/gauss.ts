/** Gauss-Legendre nodes and weights on [-1, 1]; Abramowitz and Stegun, table 25.4. n points are exact to degree 2 n − 1. */
export type GaussRule = readonly (readonly [node: number, weight: number])[];

/** Exact to degree 5. */
export const GAUSS3: GaussRule = [
  [-0.7745966692414834, 5 / 9],
  [0, 8 / 9],
  [0.7745966692414834, 5 / 9],
];

/** Exact to degree 9. */
export const GAUSS5: GaussRule = [
  [-0.906179845938664, 0.2369268850561891],
  [-0.5384693101056831, 0.4786286704993665],
  [0, 0.5688888888888889],
  [0.5384693101056831, 0.4786286704993665],
  [0.906179845938664, 0.2369268850561891],
];

/** Exact to degree 11. */
export const GAUSS6: GaussRule = [
  [-0.9324695142031521, 0.1713244923791704],
  [-0.6612093864662645, 0.3607615730481386],
  [-0.2386191860831969, 0.467913934572691],
  [0.2386191860831969, 0.467913934572691],
  [0.6612093864662645, 0.3607615730481386],
  [0.9324695142031521, 0.1713244923791704],
];
