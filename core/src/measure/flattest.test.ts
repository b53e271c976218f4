import { describe, expect, it } from '@jest/globals';
import { modelNamed, models } from '../models/models.ts';
import { type Shape, shapeOf } from '../shape/shape.ts';
import { INCH_mm } from '../units/length.ts';
import { hollowLineAt, lowestAt, railLineAt, stringerLineAt } from './bottomLines.ts';
import { flattestPart } from './bend.ts';

/** From where to where it lies. */
function straightRun(...asked: Parameters<typeof flattestPart>): { from_mm: number; to_mm: number } {
  const { length_mm, middle_mm } = flattestPart(...asked);
  return { from_mm: middle_mm - length_mm / 2, to_mm: middle_mm + length_mm / 2 };
}

/** The same board on another line along the stringer. */
function onLine(valueAt: (x_mm: number) => number): Shape {
  const shape = shapeOf(modelNamed('Slack Water')!);
  const line = Object.assign(Object.create(shape.rocker.line) as typeof shape.rocker.line, { valueAt });
  return { ...shape, rocker: { ...shape.rocker, line } };
}

describe('the straight run of a line along the bottom', () => {
  it('on an arc is the chord whose sagitta is the light: L²/8R, within two of its 361 stations', () => {
    for (const R of [8000, 20_000, 60_000]) {
      const shape = onLine((x) => R - Math.sqrt(R * R - (x - 900) ** 2));
      const { from_mm, to_mm } = straightRun(shape);
      const station = shape.board.length_mm / 360;
      expect(Math.abs(to_mm - from_mm - Math.sqrt((8 * R * INCH_mm) / 32))).toBeLessThan(2 * station);
    }
  });

  it('ends where the bends begin, on a line that is flat between two arcs', () => {
    const bend = (x: number) => Math.max(0, 600 - x, x - 1300) ** 2 / 2500;
    const { from_mm, to_mm } = straightRun(onLine(bend), { gap_mm: 0.2 });
    expect(from_mm).toBeGreaterThan(550);
    expect(from_mm).toBeLessThan(610);
    expect(to_mm).toBeGreaterThan(1290);
    expect(to_mm).toBeLessThan(1350);
  });

  it('is a run on every model, and no light on it is more than a thirty-second', () => {
    for (const board of models()) {
      const shape = shapeOf(board);
      for (const [of, lineAt] of [['rail', railLineAt] as const, ['stringer', stringerLineAt] as const]) {
        const { from_mm, to_mm } = straightRun(shape, { of });
        expect(to_mm - from_mm).toBeGreaterThan(100);
        const [a, b] = [lineAt(shape, from_mm), lineAt(shape, to_mm)];
        for (let k = 1; k < 40; k++) {
          const x = from_mm + ((to_mm - from_mm) * k) / 40;
          expect(Math.abs(lineAt(shape, x) - a - ((b - a) * k) / 40)).toBeLessThan(INCH_mm / 32 + 0.02);
        }
      }
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
