import { describe, expect, it } from '@jest/globals';
import { seeded } from '../testing/random.ts';
import { blendAt, blendThrough, cubicThrough } from './blend.ts';
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

  it('never runs back between two knots, however near they are', () => {
    const random = seeded(17);
    let worst = 0;
    for (let round = 0; round < 300; round++) {
      const points = Array.from({ length: 2 + Math.floor(random() * 9) }, (_, i) => ({
        x_mm: 100 * i + 99.9 * random() ** 0.05,
        value: round % 3 === 0 ? Math.round(3 * random()) : 40 * random() - 20,
      }));
      const blend = blendThrough(points);
      for (let i = 1; i < points.length; i++) {
        const way = Math.sign(points[i].value - points[i - 1].value);
        for (let k = 0; k < 40; k++) {
          const at = (share: number) =>
            blendAt(blend, points[i - 1].x_mm + (points[i].x_mm - points[i - 1].x_mm) * share);
          const step = at((k + 1) / 40) - at(k / 40);
          worst = Math.max(worst, way === 0 ? Math.abs(step) : -way * step);
        }
      }
    }
    expect(worst).toBeLessThan(1e-8);
  });

  it('bends least of all that are level at the ends: numbers by hand where no bound holds', () => {
    // On y = x² at 1, 2, 4 with slope m and second derivative s in the middle the third derivatives are
    // 180 − 24 m + 3 s + … ; their squares’ integral has its least at m = 65/9, s = 70/9, from the two equations in m and s.
    const { slopes, bends } = blendThrough([1, 2, 4].map((x) => ({ x_mm: x, value: x * x })));
    expect(slopes[1]).toBeCloseTo(65 / 9, 6);
    expect(bends[1]).toBeCloseTo(70 / 9, 6);
    expect([slopes[0], bends[0], slopes[2], bends[2]]).toEqual([0, 0, 0, 0]);
  });

  it('gives the line back that bends least from level to level: 10 t³ − 15 t⁴ + 6 t⁵, from any of its points', () => {
    // With slope and second derivative nought at both ends no line has a lesser integral of the third’s square (its sixth
    // derivative is nought), so that points of its own cannot make it another.
    const rise = (x: number) => 20 * ((x / 800) ** 3 * (10 - 15 * (x / 800) + 6 * (x / 800) ** 2)) + 3;
    const blend = blendThrough([0, 90, 240, 400, 610, 800].map((x_mm) => ({ x_mm, value: rise(x_mm) })));
    for (let x = 0; x <= 800; x += 7) expect(blendAt(blend, x)).toBeCloseTo(rise(x), 6);
  });

  it('has no jump of slope or of second derivative at a knot or at its ends', () => {
    const points = [0, 100, 300, 400, 460].map((x_mm, i) => ({ x_mm, value: [0, 5, 30, 32, 12][i] }));
    const blend = blendThrough(points);
    for (const { x_mm } of points) {
      const second = (x: number) =>
        (blendAt(blend, x - 0.002) - 2 * blendAt(blend, x) + blendAt(blend, x + 0.002)) / 4e-6;
      const slope = (x: number) => (blendAt(blend, x + 0.001) - blendAt(blend, x - 0.001)) / 0.002;
      expect(slope(x_mm + 0.002)).toBeCloseTo(slope(x_mm - 0.002), 4);
      expect(second(x_mm + 0.004)).toBeCloseTo(second(x_mm - 0.004), 4);
    }
  });

  it('has the slopes of Steffen 1990, equation 11, worked by hand', () => {
    // On y = x² at 1, 2, 4: secants 3 and 6, p = (3 · 2 + 6 · 1) / 3 = 4, the parabola's own slope; 2 min(3, 6, 4/2) = 4.
    const parabola = cubicThrough([1, 2, 4].map((x) => ({ x_mm: x, value: x * x })));
    expect([...parabola.slopes]).toEqual([0, 4, 0]);
    // Secants 1 and 100 at even steps: p = 50.5, and 2 min(1, 100, 25.25) = 2, so that it does not overshoot.
    expect(cubicThrough([0, 1, 101].map((value, x_mm) => ({ x_mm, value }))).slopes[1]).toBe(2);
    // Falling the same way up, and level at a turn.
    expect(cubicThrough([0, -1, -101].map((value, x_mm) => ({ x_mm, value }))).slopes[1]).toBe(-2);
    expect(cubicThrough([0, 5, 1].map((value, x_mm) => ({ x_mm, value }))).slopes[1]).toBe(0);
  });

  it('is the cubic Hermite of its knots and slopes, by hand at a quarter', () => {
    // Between 1 and 2 of the parabola: values 1 and 4, slopes 0 and 4, h = 1, t = 1/4:
    // 1 · (9/16)(3/2) + 4 · (1/16)(5/2) + (1/4)(3/4)(0 − 4 · 1/4) = 0.84375 + 0.625 − 0.1875.
    const parabola = cubicThrough([1, 2, 4].map((x) => ({ x_mm: x, value: x * x })));
    expect(blendAt(parabola, 1.25)).toBeCloseTo(1.28125, 12);
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
