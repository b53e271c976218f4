// How a found line is told to be a board's, and what an outline's fit begins with: lines of closed forms, read by hand.
import { describe, expect, it } from '@jest/globals';
import { planOf } from './drawn.ts';
import type { Stroke } from './plane.ts';
import { acrossAt, isSymmetric, laid, middleLine, straightThrough, stringerOf } from './drawnSides.ts';
import { beginnings, type FoundPlan, steppedIn, tailsOf, widthAbout } from './outlineBeginnings.ts';
import { areaOf, boxOfPoints, type Point } from './plane.ts';

const at = (x: number, y: number): Point => ({ x, y });

/** A lens 1800 long whose half breadth is 250 (1 − u²), its upper side raised by `bump` mm in the middle third, turned by `slope`. */
function lens({ bump = 0, slope = 0, half = false }: { bump?: number; slope?: number; half?: boolean } = {}): Point[] {
  const xs = Array.from({ length: 181 }, (_, k) => 10 * k);
  const y = (x: number) => 250 * (1 - ((x - 900) / 900) ** 2);
  const upper = xs.map((x) => at(x, y(x) + (x > 600 && x < 1200 ? bump : 0) + slope * x));
  const lower = xs.map((x) => at(x, (half ? 0 : -y(x)) + slope * x)).reverse();
  return [...upper, ...lower.slice(1, -1)];
}

describe('the sides of a drawn line', () => {
  it('are its highest and lowest at a place, of a closed one from end to end, of an open one where it goes', () => {
    const triangle = [at(0, 0), at(100, 50), at(100, -30)];
    expect(acrossAt(triangle, true, 50)).toEqual({ low: -15, high: 25 });
    expect(acrossAt(triangle, true, 101)).toBeUndefined();
    // Without its last side there is the upper one alone.
    expect(acrossAt(triangle, false, 50)).toEqual({ low: 25, high: 25 });
  });

  it('have a straight middle, whose slope and place are those of least squares', () => {
    const found = straightThrough([at(0, 1), at(1, 3), at(2, 2), at(3, 4)]);
    // By hand: means 1.5 and 2.5, sums of products 4 and of squares 5.
    expect(found.slope).toBeCloseTo(0.8, 12);
    expect(found.at).toBeCloseTo(2.5 - 0.8 * 1.5, 12);
    expect(straightThrough([at(5, 7)])).toEqual({ at: 7, slope: 0 });
    const points = lens({ slope: 0.02 });
    const middle = middleLine(points, boxOfPoints(points));
    expect(middle).toHaveLength(33);
    for (const p of middle) expect(p.y).toBeCloseTo(0.02 * p.x, 6);
    expect(middle[0].x).toBeCloseTo((1800 * 2) / 36, 9);
    expect(middle[32].x).toBeCloseTo((1800 * 34) / 36, 9);
  });

  it.each([
    ['even', {}, true],
    ['even and turned a little', { slope: 0.03 }, true],
    // A bump b on a third of one side moves the middle by b / 2 there, b / 3 off its own course; a twentieth of 500 + b is let be: b = 88.
    ['a bump on one side', { bump: 80 }, true],
    ['a larger bump on one side', { bump: 95 }, false],
    ['half a board', { half: true }, false],
  ])('are one another’s mirror or not: %s', (_what, how, mirrored) => {
    const points = lens(how);
    expect(isSymmetric(points, boxOfPoints(points))).toBe(mirrored);
  });

  it('show the stringer of half a board, whichever side it is, and none where no side is straight', () => {
    const half = lens({ half: true });
    expect(stringerOf(half, boxOfPoints(half))).toEqual({ y: 0, isLow: true });
    const over = half.map(({ x, y }) => at(x, 100 - y));
    expect(stringerOf(over, boxOfPoints(over))).toEqual({ y: 100, isLow: false });
    const whole = lens();
    expect(stringerOf(whole, boxOfPoints(whole))).toBeUndefined();
    // A straight side a third of which is missing is no stringer; a notch of a tenth at its end leaves it one.
    const cut = (to: number) => half.map((p) => (p.y === 0 && p.x > 0 && p.x < to ? at(p.x, 30) : p));
    expect(stringerOf(cut(180), boxOfPoints(cut(180)))).toEqual({ y: 0, isLow: true });
    expect(stringerOf(cut(600), boxOfPoints(cut(600)))).toBeUndefined();
  });

  it('lie along x: upright and nearly level ones exactly so, others by their greatest moment', () => {
    const turned = (angle: number) =>
      lens().map(({ x, y }) =>
        at(x * Math.cos(angle) - y * Math.sin(angle), x * Math.sin(angle) + y * Math.cos(angle)),
      );
    const box = (angle: number) => {
      const { points, closed } = laid({ points: turned(angle), closed: true });
      expect(closed).toBe(true);
      return { ...boxOfPoints(points), area: Math.abs(areaOf(points)) };
    };
    for (const angle of [0, Math.PI / 2, 0.4, -1]) {
      const { left, right, low, high } = box(angle);
      expect(left).toBeCloseTo(0, 9);
      expect(right).toBeCloseTo(1800, 2);
      expect(high - low).toBeCloseTo(500, 2);
    }
    // Three degrees off the sheet's course is how it was drawn: it is left.
    expect(box(0.05).right).toBeCloseTo(boxOfPoints(turned(0.05)).right - boxOfPoints(turned(0.05)).left, 9);
  });
});

/** The side of a plan every 2 mm: half breadth 250 (1 − u²) about the middle, `steps` taken in aft of each place over 6 mm. */
function plan(steps: readonly (readonly [at_mm: number, in_mm: number])[] = [], length_mm = 1800): FoundPlan {
  const points = Array.from({ length: length_mm / 2 + 1 }, (_, k) => {
    const x = 2 * k;
    const inward = steps.reduce((sum, [from, by]) => sum + by * Math.min(1, Math.max(0, (from - x) / 6)), 0);
    return at(x, Math.max(0, 250 * (1 - ((x - 900) / 900) ** 2) - inward));
  });
  return { length_mm, points };
}

describe('what a plan begins with', () => {
  it('is as wide about a place as its outermost point within reach', () => {
    const points = [at(100, 40), at(104, 60), at(111, 90)];
    expect(widthAbout({ length_mm: 1800, points }, 103, 3)).toBe(60);
    expect(widthAbout({ length_mm: 1800, points }, 103, 8)).toBe(90);
    expect(widthAbout({ length_mm: 1800, points }, 300, 8)).toBe(0);
  });

  it('is its widest place, and four widths where they are measured', () => {
    const [first] = beginnings(plan(), { within_mm: 1 });
    expect(first.width_mm).toBeCloseTo(500, 6);
    expect(first.widePoint_mm).toBeCloseTo(0, 6);
    const half = (x: number) => 250 * (1 - ((x - 900) / 900) ** 2);
    expect(first.marks.map(({ from, at_mm }) => [from, at_mm])).toEqual([
      ['tail', 305],
      ['tail', 610],
      ['nose', 305],
      ['nose', 610],
    ]);
    // The outermost within 7.2 mm.
    expect(first.marks[0].value_mm).toBeCloseTo(2 * half(312), 6);
    expect(first.marks[3].value_mm).toBeCloseTo(2 * half(1800 - 616), 0);
    expect(beginnings(plan(), { within_mm: 1, wings: false }).every(({ wings }) => wings.length === 0)).toBe(true);
  });

  it('has a pointed nose where its end is fine, a round one where it is broad, both between', () => {
    const nosed = (breadth: number): string[] => {
      const { points } = plan();
      const wide = points.map(({ x, y }) => at(x, x > 1788 ? breadth : y));
      return [...new Set(beginnings({ length_mm: 1800, points: wide }, { within_mm: 1 }).map(({ nose }) => nose.kind))];
    };
    expect(nosed(8)).toEqual(['pointed']);
    expect(nosed(30)).toEqual(['pointed', 'round']);
    expect(nosed(60)).toEqual(['round']);
  });

  it('has the tails of one tip, each as deep as that kind is cut, or the two of a split end', () => {
    const kinds = (found: ReturnType<typeof tailsOf>) => found.map(({ kind, depth_mm }) => `${kind} ${depth_mm}`);
    expect(kinds(tailsOf(plan(), 120, undefined))).toEqual([
      ...['squash 20', 'squash 45', 'square 30', 'thumb 60', 'thumb 130', 'diamond 50', 'diamond 110'],
      ...['sixCorner 50', 'sixCorner 110', 'round 30', 'pin 30'],
    ]);
    expect(kinds(tailsOf(plan(), 120, 'thumb'))).toEqual(['thumb 60', 'thumb 130']);
    // Tips 90 apart from the stringer, a notch from them to a crotch 100 ahead.
    const rail = Array.from({ length: 300 }, (_, k) => at(2 * k, 100 + k / 10));
    const notch = Array.from({ length: 51 }, (_, k) => at(2 * k, 90 * (1 - k / 50)));
    const split = { length_mm: 1800, points: [...rail, ...notch.filter(({ x }) => x > 6)] };
    expect(kinds(tailsOf(split, 200, undefined))).toEqual([
      'swallow 100',
      'swallow 120',
      'halfMoon 100',
      'halfMoon 120',
    ]);
    // The stringer is drawn to the very end: a notch it is not.
    const closed = { ...split, points: [...split.points, at(2, 0)] };
    expect(tailsOf(closed, 200, undefined).map(({ kind }) => kind)).not.toContain('swallow');
    expect(tailsOf(plan(), 120, 'pin').map(({ block_mm, tip_mm }) => [block_mm, tip_mm])).toEqual([[120, 10]]);
    expect(tailsOf(plan(), 900, 'squash')[0].block_mm).toBe(600);
  });

  it('has a wing where the rail steps in, as deep as the step beyond its own course', () => {
    expect(steppedIn(plan(), 900, 2.5)).toEqual([]);
    const [wing, ...more] = steppedIn(plan([[300, 9]]), 900, 2.5);
    expect(more).toEqual([]);
    expect(wing.fromTail_mm).toBeCloseTo(300, 0);
    expect(wing.depth_mm).toBeGreaterThan(8.5);
    expect(wing.depth_mm).toBeLessThan(9.5);
    expect(wing.length_mm).toBeGreaterThanOrEqual(6);
    expect(wing.length_mm).toBeLessThanOrEqual(14);
    expect(steppedIn(plan([[300, 3]]), 900, 4)).toEqual([]);
  });

  it('has wings the deepest first, two that are apart and one where two steps touch', () => {
    const two = steppedIn(
      plan([
        [240, 5],
        [420, 12],
      ]),
      900,
      2.5,
    );
    expect(two.map(({ fromTail_mm }) => Math.round(fromTail_mm / 10) * 10)).toEqual([420, 240]);
    expect(two[0].depth_mm).toBeGreaterThan(two[1].depth_mm);
    expect(
      steppedIn(
        plan([
          [300, 6],
          [312, 8],
        ]),
        900,
        2.5,
      ),
    ).toHaveLength(1);
  });

  it('looks for wings between the tail and the wide point alone', () => {
    expect(steppedIn(plan([[60, 9]]), 900, 2.5)).toEqual([]);
    expect(steppedIn(plan([[860, 9]]), 900, 2.5)).toEqual([]);
    expect(steppedIn(plan([[300, 9]]), 340, 2.5)).toEqual([]);
  });
});

describe('both sides of a plan that was drawn', () => {
  const LONG = 1900;
  const half = (x: number) => 250 * Math.sqrt(Math.max(0, 1 - (x / (LONG / 2) - 1) ** 2));
  const lump = (x: number) => 6 * Math.exp(-(((x - LONG / 2) / 200) ** 2));
  /** An ellipse, one side of it grown, turned and laid anywhere on the sheet. */
  const drawn = (grown: (x: number) => number, turn_rad: number, up: number): Stroke => {
    const xs = Array.from({ length: 201 }, (_, i) => (LONG / 2) * (1 - Math.cos((Math.PI * i) / 200)));
    const flat = [
      ...xs.map((x) => ({ x, y: half(x) + grown(x) })),
      ...xs.slice(1, -1).map((_, i) => ({ x: xs[199 - i], y: -half(xs[199 - i]) })),
    ];
    const [cos, sin] = [Math.cos(turn_rad), Math.sin(turn_rad)];
    return { points: flat.map(({ x, y }) => ({ x: x * cos - y * sin, y: x * sin + y * cos + up })), closed: true };
  };

  it.each([
    ['lying level', 0, 0],
    ['off the axis', 0, 300],
    ['turned, and off the axis', 0.05, -120],
  ])('are mirrors of one another where they are, %s', (_how, turn_rad, up) => {
    expect(
      planOf(
        drawn(() => 0, turn_rad, up),
        'outline',
        false,
      ).uneven_mm,
    ).toBeLessThan(0.01);
  });

  it.each([
    ['lying level', 0, 0],
    ['turned, and off the axis', 0.05, 300],
  ])('are told apart by what one is the wider, about the stringer that fits best, %s', (_how, turn_rad, up) => {
    // Where 33 stations from 2 to 34 thirty-sixths see it: the lump, less its mean, in size.
    const seen = Array.from({ length: 33 }, (_, k) => lump((LONG * (k + 2)) / 36));
    const mean = seen.reduce((sum, each) => sum + each, 0) / 33;
    const uneven = seen.reduce((sum, each) => sum + Math.abs(each - mean), 0) / 33;
    expect(planOf(drawn(lump, turn_rad, up), 'outline', false).uneven_mm).toBeCloseTo(uneven, 1);
  });
});
