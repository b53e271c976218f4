import { describe, expect, it } from '@jest/globals';
import { GAUSS3, GAUSS5, GAUSS6, type GaussRule } from './gauss.ts';

const integral = (rule: GaussRule, f: (x: number) => number) => rule.reduce((sum, [x, w]) => sum + w * f(x), 0);

describe('the Gauss-Legendre rules', () => {
  // ∫ xᵏ over [-1, 1] is 2 / (k + 1) for even k and 0 for odd.
  it.each([
    ['of 3 points', GAUSS3, 5],
    ['of 5 points', GAUSS5, 9],
    ['of 6 points', GAUSS6, 11],
  ] as const)('%s are exact to their degree and not beyond', (_name, rule, degree) => {
    for (let k = 0; k <= degree; k++) {
      expect(integral(rule, (x) => x ** k)).toBeCloseTo(k % 2 === 0 ? 2 / (k + 1) : 0, 14);
    }
    expect(Math.abs(integral(rule, (x) => x ** (degree + 1)) - 2 / (degree + 2))).toBeGreaterThan(1e-4);
  });
});
