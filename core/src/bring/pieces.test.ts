// The small pieces that drawings, pictures and scans are read with, each against its closed form or by hand.
import { describe, expect, it } from '@jest/globals';
import { WING_DEPTH_mm, WING_LENGTH_mm } from '../document/limits.ts';
import type { Board } from '../document/schema.ts';
import { modelNamed, models } from '../models/models.ts';
import { thinned } from '../testing/runs.ts';
import { lineAt } from './fitLine.ts';
import { leversOf } from './fitOutline.ts';
import { arcPoints, bulgePoints, cubicPoints, splinePoints } from './flatten.ts';
import { areaOf, boxOfPoints, chained, evenly, offLine, type Point } from './plane.ts';
import { readPoints } from './pointList.ts';
import { type Cloud, countOf, posed, principalPose, sampled } from './scan/cloud.ts';
import { readOff } from './scan/readOff.ts';
import { boardLevers } from './scan/scanLevers.ts';

const at = (x: number, y: number): Point => ({ x, y });

describe('curves as points', () => {
  it('an arc stays as near its circle as it says, with no more points than that takes', () => {
    const points = arcPoints((t) => at(1000 * Math.cos(t), 1000 * Math.sin(t)), 0, Math.PI);
    expect(points[0]).toEqual(at(1000, 0));
    expect(points.at(-1)!.x).toBeCloseTo(-1000, 9);
    // The sagitta of a chord, r (1 − cos(angle / 2)), is five millionths of the radius.
    const chord = Math.PI / (points.length - 1);
    expect(1 - Math.cos(chord / 2)).toBeLessThanOrEqual(5e-6);
    expect(1 - Math.cos(chord)).toBeGreaterThan(5e-6);
    expect(arcPoints((t) => at(t, 0), 1, 1)).toHaveLength(3);
  });

  it.each([
    [1, 1],
    [-1, -1],
    [Math.tan(Math.PI / 8), 1],
  ])('a bulge of %f is an arc through its ends, to the right side (DXF Reference, code 42)', (bulge, side) => {
    const points = [...bulgePoints(at(10, 0), at(10, 8), bulge), at(10, 8)];
    // Its sagitta is the bulge times half the span.
    const deep = Math.max(...points.map(({ x }) => side * (x - 10)));
    expect(deep).toBeCloseTo(4 * Math.abs(bulge), 3);
    expect(points[0].x).toBeCloseTo(10, 9);
    expect(points[0].y).toBeCloseTo(0, 9);
    expect(bulgePoints(at(1, 2), at(3, 4), 0)).toEqual([at(1, 2)]);
  });

  it('a cubic goes where Bernstein’s polynomial goes, nearer than it says, and a straight one is one chord', () => {
    const p = [at(0, 0), at(0, 100), at(100, 100), at(100, 0)] as const;
    const points = [p[0], ...cubicPoints(p)];
    const exact = (t: number) => at(100 * (3 * t * t - 2 * t ** 3), 300 * t * (1 - t));
    for (let k = 0; k <= 200; k++) expect(Math.abs(offLine(points, exact(k / 200)))).toBeLessThan(1e-3);
    expect(points.at(-1)).toEqual(at(100, 0));
    // 6 · second difference / (8 · tolerance), its root, rounded up.
    expect(points.length - 1).toBe(
      Math.ceil(Math.sqrt((6 * Math.hypot(100, 100)) / (8 * 5e-6 * Math.hypot(100, 100)))),
    );
    expect(cubicPoints([at(0, 0), at(1, 0), at(2, 0), at(3, 0)])).toEqual([at(3, 0)]);
    expect(cubicPoints([at(2, 2), at(2, 2), at(2, 2), at(2, 2)])).toHaveLength(1);
  });

  it('a clamped B-spline of one span is the Bezier of its points; one of degree 1 runs straight through them', () => {
    const p = [at(0, 0), at(0, 100), at(100, 100), at(100, 0)] as const;
    const spline = splinePoints(p, [0, 0, 0, 0, 1, 1, 1, 1], 3)!;
    const bezier = [p[0], ...cubicPoints(p)];
    for (const point of spline) expect(Math.abs(offLine(bezier, point))).toBeLessThan(5e-3);
    expect(spline.at(-1)).toEqual(at(100, 0));
    const line = splinePoints([at(0, 0), at(10, 0), at(10, 10)], [0, 0, 1, 2, 2], 1)!;
    expect(line).toContainEqual(at(10, 0));
    expect(line.at(-1)).toEqual(at(10, 10));
    // A uniform quadratic passes half way between its points (de Boor 1972).
    const free = splinePoints([at(0, 0), at(10, 0), at(10, 10)], [0, 1, 2, 3, 4, 5], 2)!;
    expect(free[0]).toEqual(at(5, 0));
    expect(free.at(-1)).toEqual(at(10, 5));
  });

  it.each([
    ['too few knots', [0, 0, 0, 1, 1, 1], 3],
    ['knots that fall', [0, 0, 0, 0, 1, 1, 0.5, 1], 3],
    ['a knot that is no number', [0, 0, 0, 0, 1, 1, 1, Number.NaN], 3],
    ['no degree', [0, 0, 0, 1], 0],
    ['a degree of ten', Array.from({ length: 15 }, (_, k) => k), 10],
  ])('%s make no spline', (_what, knots, degree) => {
    expect(splinePoints([at(0, 0), at(0, 1), at(1, 1), at(1, 0)], knots, degree)).toBeUndefined();
  });
});

describe('lines of points', () => {
  const square = [at(0, 0), at(4, 0), at(4, 4), at(0, 4)];

  it('have a box, an area with a sign, and a side', () => {
    expect(boxOfPoints([at(1, 5), at(-2, 3), at(0, 9)])).toEqual({ left: -2, right: 1, low: 3, high: 9 });
    expect([areaOf(square), areaOf(square.toReversed())]).toEqual([16, -16]);
    const line = [at(0, 0), at(10, 0), at(10, 10)];
    // Left of the course is positive; beyond an end it is the way to the end.
    expect([offLine(line, at(5, 2)), offLine(line, at(5, -2)), offLine(line, at(13, 5))]).toEqual([2, -2, -3]);
    expect(offLine(line, at(-3, 4))).toBe(5);
    expect(Math.abs(offLine(line, at(13, 14)))).toBe(5);
    expect(offLine([at(1, 1), at(1, 1)], at(4, 5))).toBe(5);
  });

  it('are made even: no gap wider than asked, corners kept, crowds thinned', () => {
    const open = evenly({ points: [at(0, 0), at(10, 0)], closed: false }, 3);
    expect(open.map(({ x }) => x)).toEqual([0, 2.5, 5, 7.5, 10]);
    const round = evenly({ points: square, closed: true }, 1);
    for (const corner of square) expect(round).toContainEqual(corner);
    const gaps = round.map((p, i) =>
      Math.hypot(p.x - round[(i + 1) % round.length].x, p.y - round[(i + 1) % round.length].y),
    );
    expect(Math.max(...gaps)).toBeLessThanOrEqual(1);
    // Of a thousand on a flat arc only those half a gap apart stay.
    const crowd = Array.from({ length: 1001 }, (_, k) => at(k / 100, 1e-4 * (k / 100) ** 2));
    const thin = evenly({ points: crowd, closed: false }, 1);
    expect(thin.length).toBeLessThan(24);
    expect(thin.length).toBeGreaterThan(15);
    expect([thin[0], thin.at(-1)]).toEqual([crowd[0], crowd[1000]]);
  });

  it('whose ends meet are one, in one layer, the nearest first', () => {
    const line = (layer: string, ...points: Point[]) => ({ points, closed: false, layer });
    const one = chained(
      [line('a', at(0, 0), at(5, 0)), line('a', at(9, 0), at(5, 0.1)), line('b', at(9, 0), at(12, 0))],
      0.5,
    );
    expect(one.map(({ points }) => points.length).sort()).toEqual([2, 4]);
    expect(chained([line('a', at(0, 0), at(5, 0)), line('a', at(5.6, 0), at(9, 0))], 0.5)).toHaveLength(2);
    // Four sides in any sense are a closed line, its last point not said twice.
    const sides = chained(
      [
        line('a', at(0, 0), at(4, 0)),
        line('a', at(4, 4), at(4, 0)),
        line('a', at(4, 4), at(0, 4)),
        line('a', at(0, 0), at(0, 4)),
      ],
      0.01,
    );
    expect(sides).toHaveLength(1);
    expect([sides[0].closed, Math.abs(areaOf(sides[0].points))]).toEqual([true, 16]);
    // A closed line of two points is none; an open one of one neither.
    expect(
      chained(
        [
          { points: [at(0, 0), at(1, 1)], closed: true },
          { points: [at(0, 0)], closed: false },
        ],
        1,
      ),
    ).toEqual([]);
  });

  it('are read between their points, and at their ends beyond them', () => {
    const points = [at(0, 10), at(100, 20), at(100, 24), at(200, 14)];
    expect([-5, 0, 50, 150, 200, 300].map((x) => lineAt(points, x))).toEqual([10, 10, 15, 19, 14, 14]);
  });
});

describe('a list of points', () => {
  it.each([
    ['1 2\n3 4', [at(1, 2), at(3, 4)]],
    ['x y\n1,5 2,25', [at(1.5, 2.25)]],
    ['1, 2\n3, 4', [at(1, 2), at(3, 4)]],
    ['1,5;2\r\n3;4,5', [at(1.5, 2), at(3, 4.5)]],
    ['1\t2\r3\t4', [at(1, 2), at(3, 4)]],
  ])('%j', (text, points) => expect(readPoints(text)).toEqual({ ok: true, points }));

  it.each([
    ['1 2 3', /Line 1, “1 2 3”/],
    ['head\n1 2\nx7', /Line 3/],
    ['no figures', /no numbers/],
    ['1 2\n'.repeat(5001), /5000 points/],
    ['1'.repeat(400_001), /too long/],
    [`1 ${'9'.repeat(60)}z`, /Line 1, “1 9{38}…”/],
  ])('%.20j is refused', (text, why) => {
    const read = readPoints(text);
    expect(read.ok ? '' : read.reason).toMatch(why);
  });
  it('of just so many points is read', () => expect(readPoints('1 2\n'.repeat(5000)).ok).toBe(true));
});

describe('the points of a scan', () => {
  it('are all taken where they are few, those that are no numbers left out', () => {
    const positions = Float64Array.of(1, 2, 3, Number.NaN, 0, 0, 4, 5, 6, 7, Infinity, 1);
    expect([...sampled({ positions })]).toEqual([1, 2, 3, 4, 5, 6]);
    const many = Float64Array.from({ length: 3 * 20_000 }, (_, k) => k);
    const half = countOf(sampled({ positions: many }, 10_000));
    expect(Math.abs(half - 10_000)).toBeLessThan(300);
  });

  it('of a triangle lie on it, evenly: their middle is its middle', () => {
    const positions = Float64Array.of(0, 0, 5, 90, 0, 5, 0, 60, 5);
    const points = sampled({ positions, triangles: Uint32Array.of(0, 1, 2) }, 4000);
    const sum = [0, 0, 0];
    for (let i = 0; i < points.length; i += 3) {
      for (let j = 0; j < 3; j++) sum[j] += points[i + j] / 4000;
      expect(points[i] / 90 + points[i + 1] / 60).toBeLessThanOrEqual(1 + 1e-9);
    }
    expect(sum[0]).toBeCloseTo(30, 0);
    expect(sum[1]).toBeCloseTo(20, 0);
    expect(sum[2]).toBeCloseTo(5, 9);
    expect(
      sampled({ positions: Float64Array.of(0, 0, 0, 1, 1, 1, 2, 2, 2), triangles: Uint32Array.of(0, 1, 2) }, 9),
    ).toHaveLength(0);
  });

  it('of a box lie along its axes, the longest first, right-handed, about its middle (Pearson 1901)', () => {
    const box: number[] = [];
    for (const x of [-3, -1, 1, 3]) for (const y of [-10, 10]) for (const z of [-1, 1]) box.push(x + 5, y + 7, z - 2);
    const { turn, about } = principalPose(Float64Array.from(box));
    [5, 7, -2].forEach((value, j) => expect(about[j]).toBeCloseTo(value, 12));
    expect([Math.abs(turn[0][1]), Math.abs(turn[1][0]), Math.abs(turn[2][2])].map((v) => v.toFixed(9))).toEqual([
      '1.000000000',
      '1.000000000',
      '1.000000000',
    ]);
    const [u, v, w] = turn;
    const det =
      u[0] * (v[1] * w[2] - v[2] * w[1]) - u[1] * (v[0] * w[2] - v[2] * w[0]) + u[2] * (v[0] * w[1] - v[1] * w[0]);
    expect(det).toBeCloseTo(1, 9);
    const quarter = [
      [0, 1, 0],
      [-1, 0, 0],
      [0, 0, 1],
    ];
    expect([...posed([4, 2, 9], { turn: quarter, about: [1, 1, 1] })]).toEqual([1, -3, 8]);
  });
});

/** Points of a plank with a straight-sided plan, a notch in its tail, a bottom that rises and a deck over it. */
function plank(length_mm: number, half_mm: number, notch_mm: number): Cloud {
  const points: number[] = [];
  for (let x = 0.5; x < length_mm; x += 1.5) {
    for (let k = 0; k <= 60; k++) {
      const y = (half_mm * k) / 60;
      // The notch: open to half its width at the very tail, closed at its depth.
      if (x < notch_mm && y < 70 * (1 - x / notch_mm)) continue;
      const lift = 1e-5 * (x - 600) ** 2;
      for (const side of [-1, 1]) points.push(x, side * y, lift, x, side * y, lift + 50 + x / 100);
    }
  }
  return Float64Array.from(points);
}

describe('slabs across a scan', () => {
  const { plan, bottom, foil } = readOff(plank(1500, 240, 60), 1500);

  it('show how wide it is all along, tips too', () => {
    const outer = plan.points.filter(({ y }) => y > 200);
    expect(outer.every(({ y }) => Math.abs(y - 240) < 5)).toBe(true);
    expect(Math.min(...outer.map(({ x }) => x))).toBeLessThan(2);
    expect(Math.max(...outer.map(({ x }) => x))).toBeGreaterThan(1498);
    const xs = outer.map(({ x }) => x).sort((a, b) => a - b);
    // Thin slices at the ends, 9 mm between.
    expect(Math.max(...xs.slice(1).map((x, i) => x - xs[i]))).toBeLessThan(20);
    expect(xs.filter((x) => x < 108).length).toBeGreaterThan(40);
    expect(xs.filter((x) => x > 108 && x < 1392).length).toBeLessThan(150);
  });

  it('show the notch of a tail and nothing like it elsewhere', () => {
    const inner = plan.points.filter(({ x, y }) => y > 5 && y < 200 && x < 1499);
    expect(inner.length).toBeGreaterThan(10);
    // Two in a hundred of a slice lie further in, and rows of it stand 4 mm apart.
    for (const { x, y } of inner) expect(Math.abs(y - 70 * (1 - x / 60))).toBeLessThan(0.02 * 240 + 4);
  });

  it('show bottom and thickness at the stringer', () => {
    expect(foil.points.length).toBeGreaterThan(40);
    for (const { x, y } of bottom.points) expect(y).toBeCloseTo(1e-5 * (x - 600) ** 2, 0);
    for (const { x, y } of foil.points) if (x > 80) expect(Math.abs(y - 50 - x / 100)).toBeLessThan(0.2);
  });
});

describe('the numbers that are looked for', () => {
  const own: readonly (readonly [string, Board])[] = thinned(models(), 3).map((board) => [board.name, board]);
  it.each(own)('of %s: each begins where the board has it, and moves that one number alone', (_name, board) => {
    const known = JSON.stringify(board);
    for (const { unknown, with: set } of boardLevers(board)) {
      expect(JSON.stringify(set(board, unknown.start))).toBe(known);
      const moved = set(board, unknown.start + unknown.step);
      expect(differing(board, moved)).toEqual([unknown.step]);
      expect(unknown.low).toBeLessThan(unknown.high);
      expect(unknown.step).toBeGreaterThan(0);
    }
    for (const { unknown, with: set } of leversOf(board.outline)) {
      expect(differing(board.outline, set(board.outline, unknown.start + unknown.step))).toEqual([unknown.step]);
      expect(unknown.start).toBeGreaterThanOrEqual(unknown.low);
      expect(unknown.start).toBeLessThanOrEqual(unknown.high);
    }
    // Length, three of rocker’s own, four of the foil’s, every mark, every crown, four a rail, every depth, and the outline’s.
    const { rocker, foil, deck, rails, bottom, outline } = board;
    const count = 1 + 2 + rocker.marks.length + 4 + foil.marks.length + deck.crown.length + 4 * rails.stations.length;
    expect(boardLevers(board)).toHaveLength(
      count + bottom.layers.reduce((sum, { depths }) => sum + depths.length, 0) + leversOf(outline).length,
    );
    expect(boardLevers(board).filter(({ isContour }) => isContour)).toHaveLength(
      bottom.layers.reduce((sum, { depths }) => sum + depths.length, 0),
    );
  });
});

/** By how much the numbers of two documents differ that do. */
function differing(a: unknown, b: unknown): number[] {
  if (typeof a === 'number' && typeof b === 'number') return a === b ? [] : [Number((b - a).toFixed(9))];
  if (typeof a !== 'object' || a === null || typeof b !== 'object' || b === null) return a === b ? [] : [Number.NaN];
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].flatMap((key) =>
    differing((a as Record<string, unknown>)[key], (b as Record<string, unknown>)[key]),
  );
}

describe('what an outline’s numbers may be', () => {
  const { outline } = modelNamed('Slack Water')!;
  const wing = { fromTail_mm: 300, depth_mm: 8, length_mm: 20, raised: 0 };
  it('is as far as a board goes, and no farther', () => {
    const ranges = leversOf({
      ...outline,
      marks: [],
      wings: [wing],
      nose: { kind: 'pointed', curve_rad: 0.7, tip_mm: 20 },
      tail: { kind: 'round', block_mm: 100, depth_mm: 30, tip_mm: 0 },
    }).map(({ unknown: { low, high } }) => [low, high]);
    expect(ranges.slice(0, 5)).toEqual([
      [150, 900],
      [outline.widePoint_mm - 120, outline.widePoint_mm + 120],
      [20, 2000],
      [WING_DEPTH_mm.low, WING_DEPTH_mm.high],
      [WING_LENGTH_mm.low, WING_LENGTH_mm.high],
    ]);
  });
});
