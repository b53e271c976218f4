import { describe, expect, it } from '@jest/globals';
import { capped, heldWithin, risen, smootherstep, softly, softMax, softMin, together } from './ease.ts';

const first = (f: (x: number) => number, x: number, h = 1e-5) => (f(x + h) - f(x - h)) / (2 * h);
const second = (f: (x: number) => number, x: number, h = 1e-4) => (f(x + h) - 2 * f(x) + f(x - h)) / (h * h);

describe('steps, limits and the greater of two', () => {
  it('step from 0 to 1 through a half, level at both ends', () => {
    expect([-1, 0, 0.5, 1, 2].map(smootherstep)).toEqual([0, 0, 0.5, 1, 1]);
    // 10/8 · 0.25² … by hand at a quarter: 10/64 − 15/256 + 6/1024 = 106/1024.
    expect(smootherstep(0.25)).toBeCloseTo(106 / 1024, 12);
  });

  it('capped is the value to half the limit, and eases to it beyond', () => {
    expect(capped(10, 5)).toBe(5);
    expect(capped(10, 4)).toBe(4);
    // 10 (1/2 + tanh(1)/2) at the limit itself.
    expect(capped(10, 10)).toBeCloseTo(8.807970779778823, 9);
    expect(capped(10, 1e9)).toBeCloseTo(10, 9);
    expect(capped(0, 3)).toBe(0);
  });

  it('soft maximum is exact a width away, and 3/16 of the width over where the two are equal', () => {
    expect([softMax(3, 1, 2), softMax(1, 3, 2), softMax(5, 1, 2)]).toEqual([3, 3, 5]);
    expect(softMax(1, 1, 0.8)).toBeCloseTo(1.15, 12);
    expect(softMin(1, 1, 0.8)).toBeCloseTo(0.85, 12);
    expect([softMin(3, 1, 2), softMin(1, 3, 2)]).toEqual([1, 1]);
  });

  it.each([
    ['soft maximum', (x: number) => softMax(x, 0, 1), [-1, 0, 1]],
    ['soft minimum', (x: number) => softMin(x, 0, 1), [-1, 0, 1]],
    ['risen', (x: number) => risen(x, 1), [0, 1]],
  ] as const)('%s has no jump of slope or second derivative where it begins and ends', (_name, f, places) => {
    for (const x of places) {
      expect(first(f, x + 1e-4)).toBeCloseTo(first(f, x - 1e-4), 2);
      expect(Math.abs(second(f, x + 2e-4) - second(f, x - 2e-4))).toBeLessThan(0.1);
    }
  });

  it('a number held between two is itself clear of them, and past them neither', () => {
    expect(heldWithin(3, 1, 10, 0.2)).toBe(3);
    // Clear of both by exp(0.2) and a little it takes the short way: the long one says the same.
    for (const x of [1.24, 1.2400001, 1.23, 8.1, 8.06, 8.2]) {
      const long = Math.exp(softMin(softMax(Math.log(x), 0, 0.2), Math.log(10), 0.2));
      expect(heldWithin(x, 1, 10, 0.2)).toBeCloseTo(long, 12);
    }
    expect(heldWithin(0.01, 1, 10, 0.2)).toBeCloseTo(1, 12);
    expect(heldWithin(1e4, 1, 10, 0.2)).toBeCloseTo(10, 12);
    // At a limit itself 3/16 of the width of its logarithm within it.
    expect(heldWithin(1, 1, 10, 0.2)).toBeCloseTo(Math.exp(0.0375), 12);
  });

  it('held softly is under both the number and its limit, whichever is less being nearly it, and bends without a corner', () => {
    // At the limit itself 2^(-1/12) of it.
    expect(softly(3, 3)).toBeCloseTo(3 * 2 ** (-1 / 12), 12);
    expect(softly(3, 1)).toBeCloseTo(1, 5);
    expect(softly(3, 1e6)).toBeCloseTo(3, 12);
    expect(softly(1, 0.75) / 0.75).toBeCloseTo(1 - 0.0026, 4);
    // A third derivative that jumped nowhere, where the two formulas meet.
    const third = (x: number, h = 1e-3) =>
      (softly(1, x + 2 * h) - 2 * softly(1, x + h) + 2 * softly(1, x - h) - softly(1, x - 2 * h)) / (2 * h ** 3);
    expect(third(1 + 2e-3) / third(1 - 2e-3)).toBeCloseTo(1, 0);
  });

  it('risen is none where it is none and itself from its width on', () => {
    expect([risen(-2, 1), risen(0, 1), risen(1, 1), risen(3, 1), risen(0.5, 1)]).toEqual([-0, 0, 1, 3, 0.25]);
  });

  it('two shares together are the one where the other is none, never over 1, and alike at most 6 % over', () => {
    expect([together(0.4, 0), together(0, 0.4), together(0, 0), together(1, 0.3), together(0.3, 1)]).toEqual([
      0.4, 0.4, 0, 1, 1,
    ]);
    expect(together(1, 1)).toBeCloseTo(1, 12);
    expect(together(0.5, 0.5) / 0.5).toBeCloseTo((2 - 0.5 ** 12) ** (1 / 12), 12);
    for (let a = 0.05; a <= 1; a += 0.05) {
      for (let b = 0.05; b <= 1; b += 0.05) {
        expect(together(a, b)).toBeCloseTo(together(b, a), 12);
        expect(together(a, b)).toBeGreaterThanOrEqual(Math.max(a, b));
        expect(together(a, b)).toBeLessThanOrEqual(Math.min(1 + 1e-12, 1.06 * Math.max(a, b)));
      }
    }
  });
});
