import { describe, expect, it } from '@jest/globals';
import { seeded } from '../testing/random.ts';
import { blendAt, blendThrough } from './blend.ts';
import { solveInPlace } from './linear.ts';
import { parameterOf, stationMap, stationOf, stationRate } from './stationMap.ts';

describe('blends along the board', () => {
  it('go through their knots, are level beyond them, and never overshoot between', () => {
    const random = seeded(3);
    for (let round = 0; round < 300; round++) {
      const points = Array.from({ length: 2 + Math.floor(random() * 8) }, (_, i) => ({
        x_mm: 100 * i + 60 * random(),
        value: 40 * random() - 20,
      }));
      const blend = blendThrough(points);
      for (const { x_mm, value } of points) expect(blendAt(blend, x_mm)).toBeCloseTo(value, 9);
      expect(blendAt(blend, -500)).toBe(points[0].value);
      expect(blendAt(blend, 5000)).toBe(points[points.length - 1].value);
      let worst = 0;
      for (let i = 1; i < points.length; i++) {
        const [a, b] = [points[i - 1], points[i]];
        const [low, high] = [Math.min(a.value, b.value), Math.max(a.value, b.value)];
        for (let k = 0; k <= 20; k++) {
          const v = blendAt(blend, a.x_mm + ((b.x_mm - a.x_mm) * k) / 20);
          worst = Math.max(worst, low - v, v - high);
        }
      }
      expect(worst).toBeLessThan(1e-9);
    }
  });

  it('has no corner at a knot', () => {
    const blend = blendThrough([
      { x_mm: 0, value: 0 },
      { x_mm: 100, value: 5 },
      { x_mm: 300, value: 30 },
      { x_mm: 400, value: 32 },
    ]);
    for (const x of [100, 300]) {
      const before = (blendAt(blend, x) - blendAt(blend, x - 1e-5)) / 1e-5;
      const after = (blendAt(blend, x + 1e-5) - blendAt(blend, x)) / 1e-5;
      expect(after).toBeCloseTo(before, 4);
    }
  });

  it('takes one point for level, the later of two at one place, and refuses none', () => {
    expect(blendAt(blendThrough([{ x_mm: 5, value: 7 }]), 99)).toBe(7);
    const twice = blendThrough([
      { x_mm: 5, value: 7 },
      { x_mm: 5, value: 9 },
    ]);
    expect(blendAt(twice, 5)).toBe(9);
    expect(() => blendThrough([])).toThrow(/at least one/);
  });
});

describe('linear systems', () => {
  it('solves random systems to rounding, and says when there is no one solution', () => {
    const random = seeded(11);
    for (let n = 1; n <= 24; n++) {
      const a = Float64Array.from({ length: n * n }, () => random() - 0.5);
      const z = Float64Array.from({ length: n }, () => random() - 0.5);
      const r = new Float64Array(n);
      for (let i = 0; i < n; i++) for (let j = 0; j < n; j++) r[i] += a[i * n + j] * z[j];
      expect(solveInPlace(a.slice(), r, n)).toBe(true);
      for (let i = 0; i < n; i++) expect(r[i]).toBeCloseTo(z[i], 6);
    }
    expect(solveInPlace(Float64Array.from([1, 2, 2, 4]), new Float64Array(2), 2)).toBe(false);
  });
});

describe('the map of stations', () => {
  it('is its own inverse for every pair of end angles, exact at the ends', () => {
    for (const tail of [0, 0.3, 0.7, Math.PI / 2]) {
      for (const nose of [0, 0.5, 1.1, Math.PI / 2]) {
        const map = stationMap(1800, tail, nose);
        expect([parameterOf(map, 0), parameterOf(map, 1800)]).toEqual([0, 1]);
        for (let k = 1; k < 40; k++) {
          const s = k / 40;
          expect(parameterOf(map, stationOf(map, s))).toBeCloseTo(s, 9);
          const rate = (stationOf(map, s + 1e-6) - stationOf(map, s - 1e-6)) / 2e-6;
          expect(stationRate(map, s) / rate).toBeCloseTo(1, 6);
        }
      }
    }
    for (const [length, angle] of [
      [0, 0.1],
      [-5, 0.1],
      [NaN, 0.1],
      [1800, 2],
      [1800, -0.1],
    ]) {
      expect(() => stationMap(length, angle, 0.5)).toThrow(RangeError);
    }
  });
});
