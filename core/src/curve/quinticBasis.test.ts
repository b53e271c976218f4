import { describe, expect, it } from '@jest/globals';
import {
  basisDerivatives,
  basisRowInto,
  COEFFICIENTS,
  DEGREE,
  energyMatrices,
  powerMatrices,
  SPANS,
  spanOf,
} from './quinticBasis.ts';

/** All the basis functions at s, or a derivative of them. */
function rowAt(s: number, order = 0): Float64Array {
  const row = new Float64Array(COEFFICIENTS);
  basisRowInto(s, order, 1, row, 0);
  return row;
}
const places = Array.from({ length: 97 }, (_, k) => k / 96);

describe('the quintic basis', () => {
  it('sums to one everywhere, is never negative, and its derivatives sum to none', () => {
    for (const s of places) {
      const row = rowAt(s);
      expect(row.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12);
      expect(Math.min(...row)).toBeGreaterThanOrEqual(-1e-15);
      for (const order of [1, 2, 3]) {
        const sum = rowAt(s, order).reduce((a, b) => a + b, 0);
        expect(Math.abs(sum)).toBeLessThan(1e-6 * SPANS ** order);
      }
    }
  });

  it('has at an inner knot the values of the cardinal spline: 1, 26, 66, 26, 1 over 120', () => {
    // Eulerian numbers over 5!: Schoenberg 1946, Quart. Appl. Math. 4, 45; de Boor 1978, A Practical Guide to Splines.
    const row = rowAt(12 / SPANS);
    const alive = [...row].filter((value) => value > 1e-12).map((value) => value * 120);
    expect(alive).toHaveLength(5);
    [1, 26, 66, 26, 1].forEach((value, i) => expect(alive[i]).toBeCloseTo(value, 9));
  });

  it('begins and ends in its first and last coefficient', () => {
    expect(rowAt(0)[0]).toBe(1);
    expect(rowAt(1)[COEFFICIENTS - 1]).toBeCloseTo(1, 12);
    expect(spanOf(0)).toBe(0);
    expect(spanOf(1)).toBe(SPANS - 1);
  });

  it('gives any polynomial of degree five back exactly, through its Greville points and beyond', () => {
    // A spline reproduces s: its coefficients are the knot averages (Marsden 1970).
    const knots = Array.from(
      { length: COEFFICIENTS + DEGREE + 1 },
      (_, i) => Math.min(Math.max(i - DEGREE, 0), SPANS) / SPANS,
    );
    const greville = Array.from(
      { length: COEFFICIENTS },
      (_, i) => knots.slice(i + 1, i + 1 + DEGREE).reduce((a, b) => a + b, 0) / DEGREE,
    );
    for (const s of places) {
      const value = rowAt(s).reduce((sum, b, i) => sum + b * greville[i], 0);
      expect(value).toBeCloseTo(s, 12);
      const slope = rowAt(s, 1).reduce((sum, b, i) => sum + b * greville[i], 0);
      expect(slope).toBeCloseTo(1, 9);
    }
  });

  it('has derivatives that central differences agree with', () => {
    const h = 1e-5;
    for (const s of [0.013, 0.211, 0.5004, 0.777, 0.9931]) {
      for (const order of [1, 2, 3]) {
        const exact = rowAt(s, order);
        const [ahead, behind] = [rowAt(s + h, order - 1), rowAt(s - h, order - 1)];
        const scale = SPANS ** order;
        exact.forEach((value, i) => {
          expect(Math.abs((ahead[i] - behind[i]) / (2 * h) - value) / scale).toBeLessThan(1e-5);
        });
      }
    }
  });

  it('is the same by powers in each span', () => {
    const coefficients = Float64Array.from({ length: COEFFICIENTS }, (_, i) => Math.sin(3 * i));
    for (const s of places) {
      const span = spanOf(s);
      const u = s * SPANS - span;
      const matrix = powerMatrices()[span];
      let value = 0;
      for (let k = 0; k <= DEGREE; k++) {
        for (let j = 0; j <= DEGREE; j++) value += matrix[k * (DEGREE + 1) + j] * u ** k * coefficients[span + j];
      }
      const row = basisDerivatives(s, 0)[0];
      const plain = row.reduce((sum, b, j) => sum + b * coefficients[span + j], 0);
      expect(value).toBeCloseTo(plain, 10);
    }
  });
});

describe('the matrices of the fairing energy', () => {
  it('cost a parabola nothing in its third derivative, and know its slope', () => {
    // f = s²: f' = 2 s, so that ∫ f'² = 4/3 and ∫ f'''² = 0. Coefficients of s² by blossoming.
    const knots = Array.from(
      { length: COEFFICIENTS + DEGREE + 1 },
      (_, i) => Math.min(Math.max(i - DEGREE, 0), SPANS) / SPANS,
    );
    const square = Array.from({ length: COEFFICIENTS }, (_, i) => {
      const t = knots.slice(i + 1, i + 1 + DEGREE);
      let sum = 0;
      for (let a = 0; a < DEGREE; a++) for (let b = a + 1; b < DEGREE; b++) sum += t[a] * t[b];
      return sum / 10;
    });
    const { third, mixed, first } = energyMatrices();
    const form = (matrix: Float64Array) => {
      let sum = 0;
      for (let i = 0; i < COEFFICIENTS; i++) {
        for (let j = 0; j < COEFFICIENTS; j++) sum += square[i] * matrix[i * COEFFICIENTS + j] * square[j];
      }
      return sum;
    };
    expect(form(first)).toBeCloseTo(4 / 3, 10);
    // None, to rounding: the matrix has entries of the order of SPANS⁵, some 10⁷.
    expect(Math.abs(form(third)) / Math.max(...third)).toBeLessThan(1e-12);
    expect(Math.abs(form(mixed)) / Math.max(...third)).toBeLessThan(1e-12);
  });
});
