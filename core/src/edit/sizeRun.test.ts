import { describe, expect, it } from '@jest/globals';
import { thinned } from '../testing/runs.ts';
import { measure } from '../measure/measure.ts';
import type { Board } from '../document/schema.ts';
import { shapeOf } from '../shape/shape.ts';
import { modelNamed, models } from '../models/models.ts';
import { litresFor, ridersFor } from '../rider/litres.ts';
import { DEMO_RIDERS } from '../demo/demoShed.ts';
import { INCH_mm } from '../units/length.ts';
import { lever } from '../judge/levers.ts';
import { fillOf, grown } from './grow.ts';
import { MOST_SIZES, sizeRunSchema, sizesOf, usualRun } from './sizeRun.ts';

const slack = modelNamed('Slack Water')!;

describe('a model through its sizes', () => {
  it.each(thinned(models(), 2).map((board) => [board.name, board] as const))(
    '%s grows: every size can be built, each longer, wider, thicker and of more litres than the one before',
    (_name, board) => {
      const sizes = sizesOf(board, usualRun(board));
      expect(sizes).toHaveLength(7);
      const numbers = sizes.map(({ made }) => {
        if (!made.ok) throw new Error(made.issues[0].words);
        return measure(shapeOf(made.board));
      });
      for (let i = 1; i < numbers.length; i++) {
        for (const key of ['length_mm', 'width_mm', 'thickness_mm', 'volume_L'] as const) {
          expect(numbers[i][key]).toBeGreaterThan(numbers[i - 1][key]);
        }
        // A longer board of one model is not narrower or thinner 12 in from its ends.
        for (const key of ['noseWidth12_mm', 'tailWidth12_mm', 'noseThickness12_mm', 'tailThickness12_mm'] as const) {
          expect(numbers[i][key]).toBeGreaterThanOrEqual(numbers[i - 1][key] - 0.3);
        }
      }
    },
  );

  it.each(thinned(models(), 2).map((board) => [board.name, board] as const))(
    '%s keeps its fill, the radius of its middle for its length, and the place of its fins',
    (_name, board) => {
      const radiusShare = (b: Board) => {
        const { rocker, anchors } = shapeOf(b);
        return 1 / rocker.line.bendAt(anchors.length_mm / 2) / anchors.length_mm;
      };
      for (const { made, own } of sizesOf(board, usualRun(board))) {
        if (!made.ok || own) continue;
        // 0.515 became 0.555.
        expect(Math.abs(fillOf(made.board) - fillOf(board))).toBeLessThan(0.0005);
        expect(radiusShare(made.board) / radiusShare(board)).toBeCloseTo(1, 6);
      }
      const [first] = board.fins.boxes;
      const long = grown(board, board.length_mm + 203.2).fins.boxes[0];
      if (first.role !== 'centre') expect(long.trailingEdge_mm).toBeGreaterThan(first.trailingEdge_mm);
    },
  );

  it('is what the lever “longer” makes', () => {
    const longer = lever('length').move(slack, 3);
    expect(longer).toEqual(grown(slack, slack.length_mm + 3 * INCH_mm));
    expect(fillOf(longer)).toBeCloseTo(fillOf(slack), 3);
  });

  it('has the model itself among them, untouched, once', () => {
    const own = sizesOf(slack, usualRun(slack)).filter((size) => size.own);
    expect(own).toHaveLength(1);
    expect(own[0].made).toEqual({ ok: true, board: slack });
    // Off the raster of the run it still stands in its place.
    const off = sizesOf(slack, {
      ...usualRun(slack),
      from_mm: slack.length_mm - 3 * INCH_mm,
      to_mm: slack.length_mm + 3 * INCH_mm,
    });
    const lengths = off.map(({ length_mm }) => length_mm);
    expect(lengths).toEqual([...lengths].sort((a, b) => a - b));
    expect(off.filter((size) => size.own)).toHaveLength(1);
  });

  it('adds by the step what the run says', () => {
    const sizes = sizesOf(slack, { ...usualRun(slack), widthAStep_mm: 6, thicknessAStep_mm: 1 });
    const longest = sizes.at(-1)!.made;
    if (!longest.ok) throw new Error('not built');
    expect(longest.board.outline.width_mm).toBeCloseTo(slack.outline.width_mm + 24, 9);
    expect(longest.board.foil.thickness_mm).toBeCloseTo(slack.foil.thickness_mm + 4, 9);
  });

  it('has a usual run that may be kept, of the shortest board and of the longest', () => {
    for (const length_mm of [900, 1830, 4000]) {
      expect(sizeRunSchema.safeParse(usualRun({ ...slack, length_mm })).success).toBe(true);
    }
  });

  it('says which size no board can have, and refuses a run without end', () => {
    const thin = sizesOf(slack, { ...usualRun(slack), widthAStep_mm: 50, from_mm: 1000, step_mm: 100 });
    expect(thin.some(({ made }) => !made.ok)).toBe(true);
    expect(() => sizesOf(slack, { ...usualRun(slack), step_mm: 10 })).toThrow(String(MOST_SIZES));
    expect(() => sizesOf(slack, { ...usualRun(slack), to_mm: 1000 })).toThrow(RangeError);
  });
});

describe('the riders a size floats', () => {
  it('are those whose own target it is', () => {
    const maren = { ...DEMO_RIDERS.find(({ id }) => id === 'maren')!, age: 30, surfsAWeek: 3 };
    const target = litresFor(maren, 'shortboard');
    const { low_kg, high_kg } = ridersFor(target.perKg * maren.mass_kg, 'shortboard', maren.ability);
    expect(maren.mass_kg).toBeGreaterThan(low_kg);
    expect(maren.mass_kg).toBeLessThan(high_kg);
    // 27 L turn with 61 to 73 kg: 0.37 to 0.44 L per kg (common practice, from memory).
    expect(ridersFor(27, 'shortboard', 'advanced').low_kg).toBeCloseTo(27 / 0.44, 1);
    expect(ridersFor(27, 'shortboard', 'advanced').high_kg).toBeCloseTo(27 / 0.37, 1);
  });
});
