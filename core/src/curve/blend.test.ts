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

  it('has the slopes of Steffen 1990, equation 11, worked by hand', () => {
    // On y = x² at 1, 2, 4: secants 3 and 6, p = (3 · 2 + 6 · 1) / 3 = 4, the parabola's own slope; 2 min(3, 6, 4/2) = 4.
    const parabola = blendThrough([1, 2, 4].map((x) => ({ x_mm: x, value: x * x })));
    expect([...parabola.slopes]).toEqual([0, 4, 0]);
    // Secants 1 and 100 at even steps: p = 50.5, and 2 min(1, 100, 25.25) = 2, so that it does not overshoot.
    expect(blendThrough([0, 1, 101].map((value, x_mm) => ({ x_mm, value }))).slopes[1]).toBe(2);
    // Falling the same way up, and level at a turn.
    expect(blendThrough([0, -1, -101].map((value, x_mm) => ({ x_mm, value }))).slopes[1]).toBe(-2);
    expect(blendThrough([0, 5, 1].map((value, x_mm) => ({ x_mm, value }))).slopes[1]).toBe(0);
  });

  it('is the cubic Hermite of its knots and slopes, by hand at a quarter', () => {
    // Between 1 and 2 of the parabola: values 1 and 4, slopes 0 and 4, h = 1, t = 1/4:
    // 1 · (9/16)(3/2) + 4 · (1/16)(5/2) + (1/4)(3/4)(0 − 4 · 1/4) = 0.84375 + 0.625 − 0.1875.
    const parabola = blendThrough([1, 2, 4].map((x) => ({ x_mm: x, value: x * x })));
    expect(blendAt(parabola, 1.25)).toBeCloseTo(1.28125, 12);
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
