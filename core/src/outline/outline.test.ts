import { describe, expect, it } from '@jest/globals';
import { type Board, TAIL_KINDS } from '../document/schema.ts';
import { shapeOf } from '../shape/shape.ts';
import { withTail } from '../edit/size.ts';
import { modelNamed, models } from '../models/models.ts';
import { battenAlone, halfBreadthAt, notchHalfBreadthAt, outlinePoints } from './outline.ts';
import { hasBlock } from './tails.ts';
import { smootherstep } from '../curve/ease.ts';
import { wingsAt } from './wings.ts';

const slack = () => modelNamed('Slack Water')!;
const at = (board: Board, x: number) => 2 * halfBreadthAt(shapeOf(board).outline, x);

describe('tails', () => {
  it.each(TAIL_KINDS)('%s closes the outline in one piece and leaves the marks alone', (kind) => {
    const board = withTail(slack(), kind);
    const { outline } = shapeOf(board);
    expect(at(board, 304.8)).toBeCloseTo(14.75 * 25.4, 4);
    const points = outlinePoints(outline, 400);
    expect(points.every((p) => p.y_mm >= 0 && Number.isFinite(p.y_mm))).toBe(true);
    expect(points.at(-1)).toMatchObject({ x_mm: board.length_mm });
    expect(points[0].y_mm).toBe(0);
    if (!hasBlock(kind)) expect(at(board, 0)).toBeCloseTo(0, 6);
    for (let x = 1; x < 300; x += 3) {
      expect(halfBreadthAt(outline, x)).toBeGreaterThan(notchHalfBreadthAt(outline, x));
    }
  });

  it('by area on one block five tails come in the order of the craft: square, squash, thumb, round, pin (common practice)', () => {
    const areaBehind = (kind: (typeof TAIL_KINDS)[number]) => {
      const board = { ...withTail(slack(), kind) };
      const { outline } = shapeOf(board);
      let sum = 0;
      for (let x = 0; x < 250; x += 1) sum += halfBreadthAt(outline, x) - notchHalfBreadthAt(outline, x);
      return sum;
    };
    // A diamond stands before the thumb in the craft, on a block cut wider for it; on the same block its facets hold less.
    const order = (['square', 'squash', 'thumb', 'round', 'pin'] as const).map(areaBehind);
    expect([...order].sort((a, b) => b - a)).toEqual(order);
  });

  it('a swallow is cut to its depth, a half-moon is round there', () => {
    const swallow = shapeOf(modelNamed('Kettle')!).outline;
    const depth = modelNamed('Kettle')!.outline.tail.depth_mm;
    expect(notchHalfBreadthAt(swallow, depth + 0.01)).toBe(0);
    expect(notchHalfBreadthAt(swallow, depth / 2)).toBeCloseTo(notchHalfBreadthAt(swallow, 0) / 2, 6);
    const moon = shapeOf(modelNamed('Peat Fire')!).outline;
    const deep = modelNamed('Peat Fire')!.outline.tail.depth_mm;
    const mouth = notchHalfBreadthAt(moon, 0);
    for (const share of [0.3, 0.6, 0.9]) {
      expect(notchHalfBreadthAt(moon, share * deep) / mouth).toBeCloseTo(Math.sqrt(1 - share * share), 9);
    }
  });

  it('a block is as wide as it says', () => {
    for (const kind of TAIL_KINDS.filter(hasBlock)) {
      const board = withTail(slack(), kind);
      const { end } = shapeOf(board).outline;
      const x = end.corner_mm;
      if (kind === 'swallow' || kind === 'halfMoon') expect(at(board, 0)).toBeCloseTo(board.outline.tail.block_mm, 6);
      else expect(at(board, x)).toBeGreaterThan(board.outline.tail.block_mm - 1e-6);
    }
  });
});

describe('noses', () => {
  it('a given tip radius is the curvature at the tip', () => {
    const base = modelNamed('Lamplight')!;
    for (const radius_mm of [70, 95, 130]) {
      const board: Board = { ...base, outline: { ...base.outline, nose: { kind: 'round', radius_mm } } };
      const { base: curve } = shapeOf(board).outline;
      expect(1 / Math.abs(curve.curvatureAt(board.length_mm))).toBeCloseTo(radius_mm, 1);
    }
  });

  it('more tip curve makes a pointed nose blunter', () => {
    const half = (degrees: number) => {
      const base = slack();
      const nose = { kind: 'pointed' as const, curve_rad: (degrees * Math.PI) / 180 };
      return at({ ...base, outline: { ...base.outline, nose } }, base.length_mm - 40);
    };
    expect(half(70)).toBeGreaterThan(half(40));
    expect(half(40)).toBeGreaterThan(half(15));
  });
});

describe('wings', () => {
  it('step from 0 to 1 with no slope at either end, and stack', () => {
    expect([smootherstep(-1), smootherstep(0), smootherstep(0.5), smootherstep(1), smootherstep(2)]).toEqual([
      0, 0, 0.5, 1, 1,
    ]);
    const { outline } = modelNamed('Salt Ladder')!;
    const depth = outline.wings.reduce((sum, wing) => sum + wing.depth_mm, 0);
    expect(wingsAt(outline, 0)).toBeCloseTo(depth, 9);
    expect(wingsAt(outline, 900)).toBe(0);
  });

  it('take their depth off the rail between their ends', () => {
    const board = modelNamed('Two Stairs')!;
    const wing = board.outline.wings[0];
    const { outline } = shapeOf(board);
    const fall = halfBreadthAt(outline, wing.fromTail_mm) - halfBreadthAt(outline, wing.fromTail_mm - wing.length_mm);
    const slope = outline.base.slopeAt(wing.fromTail_mm) * wing.length_mm;
    expect(fall).toBeCloseTo(wing.depth_mm + slope, 0);
  });

  it('on a tail that closes they close with it', () => {
    const board = modelNamed('Night Mail')!;
    const { outline } = shapeOf(board);
    for (let x = 0.05; x < 60; x += 0.5) expect(halfBreadthAt(outline, x)).toBeGreaterThan(0);
    expect(halfBreadthAt(outline, 0)).toBe(0);
    expect(wingsAt(board.outline, 0)).toBe(0);
  });
});

describe('marks', () => {
  it('the wide point is the widest place of every model, and every mark is met', () => {
    for (const board of models()) {
      const { outline } = shapeOf(board);
      const widest = Math.max(...outlinePoints(outline, 900).map((p) => p.y_mm));
      expect(2 * widest).toBeLessThan(board.outline.width_mm + 1e-4);
      expect(2 * halfBreadthAt(outline, outline.wide_mm)).toBeCloseTo(board.outline.width_mm, 6);
    }
  });

  it('the batten alone at a mark is what it takes when that mark is lifted off', () => {
    const board = slack();
    const alone = battenAlone(board.outline, shapeOf(board).anchors, 0);
    const without = { ...board, outline: { ...board.outline, marks: board.outline.marks.slice(1) } };
    expect(at(without, board.length_mm - 304.8)).toBeCloseTo(alone, 9);
  });
});
