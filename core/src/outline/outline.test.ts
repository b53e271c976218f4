import { describe, expect, it } from '@jest/globals';
import { type Board, TAIL_KINDS } from '../document/schema.ts';
import { deckHeightAt, undersideHeightAt } from '../section/heights.ts';
import { boardIssues } from '../shape/issues.ts';
import { sectionAt, shapeOf } from '../shape/shape.ts';
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
      const nose = { kind: 'pointed' as const, curve_rad: (degrees * Math.PI) / 180, tip_mm: 6 };
      return at({ ...base, outline: { ...base.outline, nose } }, base.length_mm - 40);
    };
    expect(half(70)).toBeGreaterThan(half(40));
    expect(half(40)).toBeGreaterThan(half(15));
  });
});

describe('tips', () => {
  const withTips = (name: string, tip_mm: number): Board => {
    const board = modelNamed(name)!;
    const { outline } = board;
    const nose = outline.nose.kind === 'pointed' ? { ...outline.nose, tip_mm } : outline.nose;
    return { ...board, outline: { ...outline, nose, tail: { ...outline.tail, tip_mm } } };
  };

  it.each([3, 6, 10, 25])('a tip of %d mm is a circle of that radius on the stringer, nose and pin', (radius) => {
    const board = withTips('North Ledge', radius);
    const { outline } = shapeOf(board);
    const L = board.length_mm;
    for (const from of [(d: number) => halfBreadthAt(outline, d), (d: number) => halfBreadthAt(outline, L - d)]) {
      // Close to the end a curve of radius r is y² = 2 r x.
      expect(from(1e-4) ** 2 / 2e-4 / radius).toBeCloseTo(1, 3);
      expect(from(0)).toBe(0);
    }
  });

  it('joins with no jump in slope or curvature, and is the batten before', () => {
    const { outline } = shapeOf(withTips('Slack Water', 10));
    const x0 = outline.length_mm - 15;
    const y = (x: number) => halfBreadthAt(outline, x);
    const second = (x: number, h: number) => (y(x + h) - 2 * y(x) + y(x - h)) / h ** 2;
    expect((y(x0 + 0.01) - 2 * y(x0) + y(x0 - 0.01)) / 0.01).toBeCloseTo(0, 4);
    expect(Math.abs(second(x0 + 0.2, 0.05) - second(x0 - 0.2, 0.05))).toBeLessThan(0.005);
    expect(y(x0 - 5)).toBeCloseTo(outline.base.valueAt(x0 - 5), 12);
  });

  it('2 mm from the tip the board is as wide as it is thick, where it was 2.5 wide and 8.9 tall', () => {
    for (const name of ['Slack Water', 'Kettle', 'North Ledge', 'Grey Door']) {
      const shape = shapeOf(modelNamed(name)!);
      const section = sectionAt(shape, shape.board.length_mm - 2)!;
      const tall = deckHeightAt(section, 0) - undersideHeightAt(section, 0);
      expect(2 * section.half_mm).toBeGreaterThan(8);
      expect(tall / (2 * section.half_mm)).toBeLessThan(1.3);
    }
  });

  it('marks hold beside them, and within them are refused with the reason', () => {
    for (const name of ['Slack Water', 'North Ledge']) {
      const board = withTips(name, 20);
      for (const mark of board.outline.marks) {
        const x = mark.from === 'nose' ? board.length_mm - mark.at_mm : mark.at_mm;
        expect(at(board, x)).toBeCloseTo(mark.value_mm, 6);
      }
    }
    const pin = withTips('North Ledge', 20);
    const marked: Board = {
      ...pin,
      outline: { ...pin.outline, marks: [...pin.outline.marks, { from: 'nose', at_mm: 25, value_mm: 50 }] },
    };
    expect(boardIssues(marked).map(({ code, limit }) => [code, limit])).toEqual([['markInEnd', 30]]);
  });

  it('a mark within a tail corner is refused: it was not met and dragged the board', () => {
    // Asked 145.9 and got 79.7, 66 mm moved elsewhere.
    const board = withTail(modelNamed('Penny Step')!, 'thumb');
    const marked: Board = {
      ...board,
      outline: { ...board.outline, marks: [...board.outline.marks, { from: 'tail', at_mm: 40, value_mm: 145.9 }] },
    };
    const [issue] = boardIssues(marked);
    expect(issue).toMatchObject({ code: 'markInEnd', path: 'outline.marks.2.at_mm' });
    expect(issue.limit).toBe(shapeOf(board).outline.end.corner_mm);
    expect(issue.words).toContain('set the block');
  });

  it('rounder than the board is wide is refused', () => {
    const board = withTips('Slack Water', 40);
    const narrow: Board = {
      ...board,
      outline: { ...board.outline, marks: [...board.outline.marks, { from: 'nose', at_mm: 70, value_mm: 78 }] },
    };
    expect(boardIssues(narrow).map(({ code }) => code)).toEqual(['tipTooBlunt']);
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
