import { describe, expect, it } from '@jest/globals';
import { shapeOf } from '../shape/shape.ts';
import { modelNamed } from '../models/models.ts';
import { fairnessTones } from './sideLight.ts';

const even = Array.from({ length: 97 }, (_, k) => k / 96);
const most = (tones: readonly number[]) => Math.max(...tones.map(Math.abs));

describe('the strip of light', () => {
  it('is even for a curve whose curvature is level, slopes, or bends like a parabola', () => {
    for (const curvature of [
      () => 0.002,
      (s: number) => 0.001 + 0.004 * s,
      (s: number) => 0.003 - 0.004 * s * (1 - s),
    ]) {
      expect(most(fairnessTones(even.map(curvature)))).toBeLessThan(1e-9);
    }
  });

  it('says the same of a board and of one ten times its size', () => {
    const curvature = even.map((s) => 0.002 + 0.0006 * Math.sin(25 * s));
    const small = fairnessTones(curvature);
    const large = fairnessTones(curvature.map((k) => k / 10));
    small.forEach((tone, i) => expect(tone).toBeCloseTo(large[i], 12));
  });

  it('is bright at a bump and dark at a flat, and there only', () => {
    const at = 48;
    for (const [sign, name] of [
      [1, 'bump'],
      [-1, 'flat'],
    ] as const) {
      const tones = fairnessTones(even.map((_, i) => 0.002 + (Math.abs(i - at) <= 1 ? sign * 0.0015 : 0)));
      expect([name, Math.sign(tones[at])]).toEqual([name, sign]);
      expect(Math.abs(tones[at])).toBeGreaterThan(0.3);
      expect(Math.abs(tones[10])).toBeLessThan(1e-9);
    }
  });

  it('never leaves −1 to 1, and answers a straight line with none', () => {
    const kink = fairnessTones(even.map((_, i) => (i === 40 ? 1 : 0.001)));
    expect(most(kink)).toBeLessThanOrEqual(1);
    expect(most(fairnessTones(even.map(() => 0)))).toBe(0);
  });

  it('is quiet along the middle of a fair model, and louder where a mark is pushed in', () => {
    const board = modelNamed('Slack Water')!;
    const toneOf = (shape: ReturnType<typeof shapeOf>) => {
      const L = shape.board.length_mm;
      const xs = Array.from({ length: 61 }, (_, k) => 0.2 * L + (0.6 * L * k) / 60);
      const slope = (x: number) => shape.outline.base.slopeAt(x);
      return fairnessTones(xs.map((x) => (slope(x + 4) - slope(x - 4)) / 8));
    };
    const fair = most(toneOf(shapeOf(board)));
    const pushed = {
      ...board,
      outline: {
        ...board.outline,
        marks: [
          ...board.outline.marks,
          { from: 'centre' as const, at_mm: -300, value_mm: board.outline.width_mm - 34 },
        ],
      },
    };
    expect(most(toneOf(shapeOf(pushed)))).toBeGreaterThan(2 * fair);
  });
});
