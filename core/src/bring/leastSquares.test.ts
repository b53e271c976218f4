import { describe, expect, it } from '@jest/globals';
import { leastSquares, type Unknown } from './leastSquares.ts';

const free = (start: number, step: number): Unknown => ({ start, low: -Infinity, high: Infinity, step });

/** Misra1a of the Statistical Reference Datasets (NIST, nonlinear regression): y, x. */
const MISRA1A: readonly (readonly [number, number])[] = [
  [10.07, 77.6],
  [14.73, 114.9],
  [17.94, 141.1],
  [23.93, 190.8],
  [29.61, 239.9],
  [35.18, 289.0],
  [40.02, 332.8],
  [44.82, 378.4],
  [50.76, 434.8],
  [55.05, 477.3],
  [61.01, 536.8],
  [66.4, 593.1],
  [75.47, 689.1],
  [81.78, 760.0],
];

describe('least squares', () => {
  it.each([
    [500, 1e-4],
    [250, 5e-4],
  ])('finds the certified values of NIST’s Misra1a from %p, %p', (b1, b2) => {
    const fit = leastSquares(
      [free(b1, 1e-4), free(b2, 1e-9)],
      ([p, q]) => Float64Array.from(MISRA1A, ([y, x]) => y - p * (1 - Math.exp(-q * x))),
      { huber: 1e9, mostRounds: 200 },
    );
    expect(fit.values[0] / 2.3894212918e2).toBeCloseTo(1, 4);
    expect(fit.values[1] / 5.5015643181e-4).toBeCloseTo(1, 4);
    // Certified residual sum of squares 1.2455138894E-01.
    expect(fit.rms ** 2 * MISRA1A.length).toBeCloseTo(0.12455138894, 6);
  });

  it('is not pulled over by a few numbers far off', () => {
    const points = Array.from({ length: 40 }, (_, k) => [k, 3 + 0.5 * k + (k % 8 === 0 ? 60 : 0)] as const);
    const line = (huber: number) =>
      leastSquares([free(0, 1e-3), free(0, 1e-4)], ([a, b]) => Float64Array.from(points, ([x, y]) => y - a - b * x), {
        huber,
        mostRounds: 60,
      }).values;
    expect(line(0.05)[0]).toBeCloseTo(3, 1);
    expect(line(0.05)[1]).toBeCloseTo(0.5, 2);
    expect(line(1e9)[0]).toBeGreaterThan(8);
  });

  it('stays within limits and says when there is nothing to start from', () => {
    const fit = leastSquares([{ start: 0, low: -1, high: 2, step: 1e-3 }], ([a]) => Float64Array.of(a - 5), {
      huber: 100,
    });
    expect(fit.values).toEqual([2]);
    expect(() => leastSquares([free(0, 1)], () => undefined, { huber: 1 })).toThrow(RangeError);
  });
});
