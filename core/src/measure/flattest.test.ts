import { describe, expect, it } from '@jest/globals';
import { modelNamed, models } from '../models/models.ts';
import { type Shape, shapeOf } from '../shape/shape.ts';
import { INCH_mm } from '../units/length.ts';
import { hollowLineAt, lowestAt, railLineAt, stringerLineAt } from './bottomLines.ts';
import { flattestPart } from './bend.ts';
import { straightRunOf } from './straightRun.ts';

/** From where to where it lies. */
function flattest(...asked: Parameters<typeof flattestPart>): { from_mm: number; to_mm: number } {
  const { length_mm, middle_mm } = flattestPart(...asked);
  return { from_mm: middle_mm - length_mm / 2, to_mm: middle_mm + length_mm / 2 };
}

/** The same board on another line along the stringer. */
function onLine(valueAt: (x_mm: number) => number): Shape {
  const shape = shapeOf(modelNamed('Slack Water')!);
  const line = Object.assign(Object.create(shape.rocker.line) as typeof shape.rocker.line, { valueAt });
  return { ...shape, rocker: { ...shape.rocker, line } };
}

describe('the flattest part of the bottom', () => {
  it('on an arc is the chord whose sagitta is the light: L²/8R, within two of its 361 stations', () => {
    for (const R of [8000, 20_000, 60_000]) {
      const shape = onLine((x) => R - Math.sqrt(R * R - (x - 900) ** 2));
      const { from_mm, to_mm } = flattest(shape);
      const station = shape.board.length_mm / 360;
      expect(Math.abs(to_mm - from_mm - Math.sqrt((8 * R * INCH_mm) / 32))).toBeLessThan(2 * station);
    }
  });

  it('ends where the bends begin, on a line that is flat between two arcs', () => {
    const bend = (x: number) => Math.max(0, 600 - x, x - 1300) ** 2 / 2500;
    const { from_mm, to_mm } = flattest(onLine(bend), { gap_mm: 0.2 });
    expect(from_mm).toBeGreaterThan(550);
    expect(from_mm).toBeLessThan(610);
    expect(to_mm).toBeGreaterThan(1290);
    expect(to_mm).toBeLessThan(1350);
  });

  it('is a run on every model, and no light on it is more than a thirty-second', () => {
    for (const board of models()) {
      const shape = shapeOf(board);
      const { from_mm, to_mm } = flattest(shape);
      expect(to_mm - from_mm).toBeGreaterThan(100);
      const [a, b] = [stringerLineAt(shape, from_mm), stringerLineAt(shape, to_mm)];
      for (let k = 1; k < 40; k++) {
        const x = from_mm + ((to_mm - from_mm) * k) / 40;
        expect(Math.abs(stringerLineAt(shape, x) - a - ((b - a) * k) / 40)).toBeLessThan(INCH_mm / 32 + 0.02);
      }
    }
  });
});

describe('the straight run of the rail line', () => {
  /** With no contour the rail line is the stringer's. */
  const plain = (valueAt: (x_mm: number) => number): Shape => {
    const board = modelNamed('Slack Water')!;
    const bare = shapeOf({ ...board, bottom: { ...board.bottom, layers: [] } });
    const shape = onLine(valueAt);
    return { ...bare, rocker: shape.rocker };
  };

  it('on an arc reaches as far to either side as leaves 1/32 in under a tangent: √(2Rt), a closed form', () => {
    const { flat_mm } = plain(() => 0).rocker;
    for (const R of [4000, 8000, 20_000]) {
      for (const leant of [0, 0.02]) {
        const { tail_mm, nose_mm } = straightRunOf(plain((x) => R - Math.sqrt(R * R - (x - flat_mm) ** 2) + leant * x));
        const side = Math.sqrt((2 * R * INCH_mm) / 32 - (INCH_mm / 32) ** 2);
        expect(nose_mm - flat_mm).toBeCloseTo(side, 1);
        expect(flat_mm - tail_mm).toBeCloseTo(side, 1);
      }
    }
  });

  it('ends at the tips where nothing bends', () => {
    const shape = plain(() => 3);
    expect(straightRunOf(shape)).toEqual({ tail_mm: 0, nose_mm: shape.board.length_mm });
  });

  it('leaves its light at both ends and less between on every model', () => {
    for (const board of models()) {
      const shape = shapeOf(board);
      const { tail_mm, nose_mm } = straightRunOf(shape);
      const { flat_mm } = shape.rocker;
      const at = railLineAt(shape, flat_mm);
      const slope = (railLineAt(shape, flat_mm + 1) - railLineAt(shape, flat_mm - 1)) / 2;
      const light = (x: number) => Math.abs(railLineAt(shape, x) - at - slope * (x - flat_mm));
      for (const end of [tail_mm, nose_mm]) expect(Math.abs(light(end) - INCH_mm / 32)).toBeLessThan(0.05);
      for (let k = 1; k < 30; k++)
        expect(light(tail_mm + ((nose_mm - tail_mm) * k) / 30)).toBeLessThan(INCH_mm / 32 + 0.05);
    }
  });
});

describe('the concave line', () => {
  it('is the stringer over a single concave, the middle of a half over a double one, the rail over vee; never under the lowest', () => {
    const single = shapeOf(modelNamed('Slack Water')!);
    for (const x of [500, 900, 1300]) {
      expect(hollowLineAt(single, x)).toBeCloseTo(stringerLineAt(single, x), 6);
      expect(hollowLineAt(single, x) - lowestAt(single, x)).toBeGreaterThan(2);
      expect(lowestAt(single, x)).toBeCloseTo(railLineAt(single, x), 6);
    }
    for (const board of models()) {
      const shape = shapeOf(board);
      for (let x = 100; x < board.length_mm - 100; x += 90) {
        expect(hollowLineAt(shape, x)).toBeGreaterThanOrEqual(stringerLineAt(shape, x) - 1e-9);
        expect(hollowLineAt(shape, x)).toBeGreaterThanOrEqual(railLineAt(shape, x) - 1e-9);
      }
    }
  });
});
