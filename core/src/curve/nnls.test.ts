import { describe, expect, it } from '@jest/globals';
import { seeded } from '../testing/random.ts';
import { nonNegativeLeastSquares } from './nnls.ts';

describe('least squares that are not negative', () => {
  it('are the plain ones where those are not negative, by hand', () => {
    // Columns (1, 0) and (1, 1), f = (3, 1): z = (2, 1).
    const z = nonNegativeLeastSquares([Float64Array.of(1, 0), Float64Array.of(1, 1)], Float64Array.of(3, 1));
    expect([...z].map((value) => Number(value.toFixed(12)))).toEqual([2, 1]);
  });

  it('let go of a column that would be negative, by hand', () => {
    // f = (1, −1): the plain answer is (2, −1); without the second column the first alone is 1.
    const z = nonNegativeLeastSquares([Float64Array.of(1, 0), Float64Array.of(1, 1)], Float64Array.of(1, -1));
    expect([...z].map((value) => Number(value.toFixed(12)))).toEqual([1, 0]);
  });

  it('meet the conditions of Kuhn and Tucker on random systems', () => {
    const random = seeded(23);
    for (let round = 0; round < 300; round++) {
      const rows = 2 + Math.floor(random() * 6);
      const count = 1 + Math.floor(random() * 12);
      const columns = Array.from({ length: count }, () => Float64Array.from({ length: rows }, () => random() - 0.5));
      const f = Float64Array.from({ length: rows }, () => random() - 0.3);
      const z = nonNegativeLeastSquares(columns, f);
      const rest = f.map((value, i) => value - columns.reduce((sum, column, j) => sum + column[i] * z[j], 0));
      columns.forEach((column, j) => {
        const gradient = column.reduce((sum, value, i) => sum + value * rest[i], 0);
        expect(z[j]).toBeGreaterThanOrEqual(0);
        expect(gradient).toBeLessThan(1e-8);
        if (z[j] > 0) expect(Math.abs(gradient)).toBeLessThan(1e-8);
      });
    }
  });
});
