import { describe, expect, it } from '@jest/globals';
import { INCH_mm } from '../units/length.ts';
import { BUMP_CURVATURE_mm1, bumpsAlong } from './sideLight.ts';

const STEP_mm = 18;
const even = Array.from({ length: 97 }, (_, k) => k / 96);
const most = (bumps: readonly number[]) => Math.max(...bumps.map(Math.abs));

describe('bumps along a curve', () => {
  it('are none where the curvature is level, slopes, or bends like a parabola', () => {
    for (const curvature of [
      () => 0.002,
      (s: number) => 0.001 + 0.004 * s,
      (s: number) => 0.003 - 0.004 * s * (1 - s),
    ]) {
      expect(most(bumpsAlong(even.map(curvature), STEP_mm))).toBeLessThan(1e-9);
    }
  });

  it('have as unit the curvature of 1/32 in of height over 12 in, by differences of that bump itself', () => {
    const bump = (x: number) => (INCH_mm / 64) * (1 + Math.cos((2 * Math.PI * x) / (12 * INCH_mm)));
    expect(bump(0)).toBeCloseTo(INCH_mm / 32, 12);
    const h = 0.5;
    expect((2 * bump(0) - bump(h) - bump(-h)) / h ** 2 / BUMP_CURVATURE_mm1).toBeCloseTo(1, 4);
  });

  it('are seven tenths to one at such a bump, as much less than none at such a flat, and none two feet off', () => {
    const middle = 48 * STEP_mm;
    for (const sign of [1, -1]) {
      const curvatures = even.map((_, i) => {
        const off = i * STEP_mm - middle;
        const inside = Math.abs(off) < 6 * INCH_mm;
        return 0.0004 + (inside ? sign * BUMP_CURVATURE_mm1 * Math.cos((2 * Math.PI * off) / (12 * INCH_mm)) : 0);
      });
      const bumps = bumpsAlong(curvatures, STEP_mm);
      // The trend follows it a little: it is told as no more than it is.
      expect(sign * bumps[48]).toBeGreaterThan(0.68);
      expect(sign * bumps[48]).toBeLessThan(1);
      expect(Math.abs(bumps[5])).toBeLessThan(1e-9);
    }
  });

  it('are as many at any spacing, and none of fewer than three stations', () => {
    expect(bumpsAlong(even.slice(0, 7), 400)).toHaveLength(7);
    expect(bumpsAlong(even, 1)).toHaveLength(97);
    expect(bumpsAlong([1, 2], 10)).toEqual([]);
  });
});
