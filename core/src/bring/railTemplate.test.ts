// A rail from a gauge: made-up gauges of known rails come back, closed forms, and what is no rail.
import { describe, expect, it } from '@jest/globals';
import { modelNamed, models } from '../models/models.ts';
import { railAt } from '../rails/rails.ts';
import { sectionRing } from '../section/walk.ts';
import { boardFrom } from '../shape/issues.ts';
import { sectionAt, shapeOf } from '../shape/shape.ts';
import { readPoints } from './pointList.ts';
import { madeUpGauge, railFromTemplate, USUAL_GAUGE, withRailFound } from './railTemplate.ts';
import type { Stroke } from './plane.ts';

const slack = shapeOf(modelNamed('Slack Water')!);
const found = (...given: Parameters<typeof railFromTemplate>) => {
  const read = railFromTemplate(...given);
  if (!read.ok) throw new Error(read.reason);
  return read;
};
const clean = { ...USUAL_GAUGE, noise_mm: 0 };

describe('a rail that was gauged', () => {
  it.each([
    ['Slack Water', 0.5, 0.3, false],
    ['Slack Water', 0.85, 2.9, true],
    ['Half Mile', 0.12, -1.4, true],
    ['Slow Bell', 0.5, 4.1, false],
    ['North Ledge', 0.85, 0, false],
  ])(
    'of %s at %p of its length, turned by %p, left: %p, comes back to the last hundredth',
    (name, share, turn_rad, left) => {
      const shape = shapeOf(modelNamed(name)!);
      const x = share * shape.board.length_mm;
      const gauge = madeUpGauge(shape, x, { ...clean, turn_rad, left })!;
      const read = found(shape, x, gauge);
      const own = railAt(shape.rails, x);
      expect(read.rms_mm).toBeLessThan(0.02);
      expect(read.rail.apex).toBeCloseTo(own.apex, 2);
      expect(read.rail.fullness).toBeCloseTo(own.fullness, 1);
      expect(Math.abs(read.rail.tuck_mm - own.tuck_mm)).toBeLessThan(0.3);
      expect(Math.abs(read.thickness_mm - sectionAt(shape, x)!.input.thickness_mm)).toBeLessThan(0.1);
      expect(read.flipped).toBe(false);
    },
  );

  it('of any model put on another: no worse than half a millimetre off in the mean, with teeth a third of one off', () => {
    const all = models();
    all.forEach((model, i) => {
      const [of, onto] = [shapeOf(model), shapeOf(all[(i + 5) % all.length])];
      const gauge = madeUpGauge(of, 0.5 * of.board.length_mm, {
        ...USUAL_GAUGE,
        noise_mm: 0.3,
        turn_rad: i,
        seed: i + 1,
      })!;
      expect(found(onto, 0.5 * onto.board.length_mm, gauge).rms_mm).toBeLessThan(0.5);
    });
  });

  it('is told which way its points run, and taken so', () => {
    const x = 0.5 * slack.board.length_mm;
    const gauge = madeUpGauge(slack, x, clean)!;
    const back: Stroke = { points: gauge.points.toReversed(), closed: false };
    expect(found(slack, x, back).flipped).toBe(true);
    expect(found(slack, x, back, { deckFirst: false }).rms_mm).toBeLessThan(0.02);
    expect(found(slack, x, back, { deckFirst: true }).rms_mm).toBeGreaterThan(0.1);
  });

  it('of a whole section of a drawing is its right rail', () => {
    const x = 0.4 * slack.board.length_mm;
    const section = sectionAt(slack, x)!;
    const closed: Stroke = {
      points: sectionRing(section, 400).map(({ y_mm, z_mm }) => ({ x: y_mm, y: z_mm })),
      closed: true,
    };
    const read = found(slack, x, closed);
    expect(read.rms_mm).toBeLessThan(0.05);
    expect(read.rail.apex).toBeCloseTo(railAt(slack.rails, x).apex, 2);
  });

  it('goes onto the board at its place: one station there, all else as it was', () => {
    const x = 0.5 * slack.board.length_mm;
    const kettle = shapeOf(modelNamed('Kettle')!);
    const read = found(slack, x, madeUpGauge(kettle, 0.5 * kettle.board.length_mm, clean)!);
    const board = withRailFound(slack.board, x, read.rail);
    expect(boardFrom(board).ok).toBe(true);
    const now = railAt(shapeOf(board).rails, x);
    expect(now.apex).toBeCloseTo(read.rail.apex, 6);
    expect(now.tuck_mm).toBeCloseTo(read.rail.tuck_mm, 4);
    expect({ ...board, rails: slack.board.rails }).toEqual(slack.board);
  });

  // A rail that is half a circle of radius r about (0, 0) has its apex at half its height: 50/50 by the trade's count.
  it('of half a circle has its apex near the middle', () => {
    const r = 22;
    const arc = Array.from({ length: 61 }, (_, k) => (Math.PI * (k - 30)) / 60).map((a) => ({
      x: r * Math.cos(a),
      y: -r * Math.sin(a),
    }));
    const longboard = shapeOf(modelNamed('Old Anchor')!);
    const read = found(longboard, 0.5 * longboard.board.length_mm, { points: arc, closed: false }, { deckFirst: true });
    expect(read.rms_mm).toBeLessThan(1);
    expect(read.rail.apex).toBeGreaterThan(0.35);
    expect(read.rail.apex).toBeLessThan(0.65);
  });
});

describe('what is no rail', () => {
  const x = 900;
  const line = (points: [number, number][], closed = false): Stroke => ({
    points: points.map(([a, b]) => ({ x: a, y: b })),
    closed,
  });
  it.each<[string, Stroke, RegExp]>([
    ['nothing', line([]), /three points/],
    [
      'one place',
      line([
        [3, 3],
        [3, 3],
        [3, 3],
      ]),
      /another unit/,
    ],
    [
      'inches as millimetres',
      line([
        [0, 2],
        [1, 1.9],
        [2, 1],
        [1, 0],
      ]),
      /another unit/,
    ],
    [
      'metres',
      line([
        [0, 2000],
        [900, 1900],
        [2000, 1000],
        [0, 0],
      ]),
      /another unit|no rail|No rail/i,
    ],
    [
      'no numbers',
      line([
        [0, NaN],
        [10, 2],
        [20, 0],
      ]),
      /no numbers/,
    ],
    [
      'a zigzag',
      line([
        [0, 0],
        [40, 14],
        [0, 28],
        [40, 42],
        [0, 56],
        [40, 70],
      ]),
      /No rail comes nearer|another unit/,
    ],
  ])('%s is refused in words', (_, stroke, words) => {
    const read = railFromTemplate(slack, x, stroke);
    expect(read).toEqual({ ok: false, reason: expect.stringMatching(words) });
  });

  it('no place beyond the board', () => {
    expect(railFromTemplate(slack, -5, madeUpGauge(slack, x, clean)!).ok).toBe(false);
  });
});

describe('points as a list', () => {
  it.each([
    ['0 52\n31.5 49', [0, 52, 31.5, 49]],
    ['x;y\n0,5;52,25\r\n1;2', [0.5, 52.25, 1, 2]],
    ['0,5 52,25', [0.5, 52.25]],
    ['1.5,2.5\n3,4', [1.5, 2.5, 3, 4]],
    ['1, 2', [1, 2]],
    ['-1e1\t4', [-10, 4]],
  ])('%j', (text, numbers) => {
    const read = readPoints(text);
    expect(read.ok && read.points.flatMap(({ x, y }) => [x, y])).toEqual(numbers);
  });
  it.each([
    ['nothing', '', /no numbers/],
    ['words', 'across up', /no numbers/],
    ['three numbers', '1 2 3', /Line 1/],
    ['one number', '1 2\n7', /Line 2/],
    ['a number with a letter', '1 2\n3 4x', /Line 2, “3 4x”/],
    ['a page of digits', '9'.repeat(400_001), /too long/],
    ['too many', '1 2\n'.repeat(5001), /More than 5000/],
  ])('refuses %s', (_, text, words) => {
    expect(readPoints(text)).toEqual({ ok: false, reason: expect.stringMatching(words) });
  });
});
