// What a mark does to its line: the gain against the line itself, sprung again with the mark a little changed.
import { describe, expect, it } from '@jest/globals';
import type { Board } from '../document/schema.ts';
import { type MarkedCurve, READING_ERROR_mm, withMarkHard, withNewMark } from '../edit/marks.ts';
import { thicknessAt } from '../foil/foil.ts';
import { modelNamed, models } from '../models/models.ts';
import { halfBreadthAt } from '../outline/outline.ts';
import { curveGains, levers } from './gains.ts';
import { type Shape, shapeOf } from './shape.ts';

const slack = modelNamed('Slack Water')!;
const CURVES = ['outline', 'rocker', 'foil'] as const;

/** The finished line as its marks are written: full widths, lifts, thicknesses. */
function line(shape: Shape, curve: MarkedCurve, x: number): number {
  if (curve === 'outline') return 2 * halfBreadthAt(shape.outline, x);
  return curve === 'rocker' ? shape.rocker.line.valueAt(x) : thicknessAt(shape.foil, x);
}

/** The most one line is off another, ends left out: there the tips are worked. */
function apart(one: Board, other: Board, curve: MarkedCurve): number {
  const [a, b] = [shapeOf(one), shapeOf(other)];
  let most = 0;
  for (let x = 30; x < one.length_mm - 30; x += 3) {
    most = Math.max(most, Math.abs(line(a, curve, x) - line(b, curve, x)));
  }
  return most;
}

const changed = (board: Board, curve: MarkedCurve, mark: number, by: number): Board => ({
  ...board,
  [curve]: {
    ...board[curve],
    marks: board[curve].marks.map((m, i) => (i === mark ? { ...m, value_mm: m.value_mm + by } : m)),
  },
});

/** A board with a mark on the line `near` mm from its tail 12, and off the line by so much. */
function crowded(curve: MarkedCurve, near: number, off_mm: number, hard: boolean): Board {
  const x = 304.8 + near;
  const value = line(shapeOf(slack), curve, x);
  const board = withNewMark(slack, curve, x, value + off_mm);
  return hard ? withMarkHard(board, curve, String(board[curve].marks.length - 1), true) : board;
}

describe('the gain of a mark', () => {
  it.each(CURVES)('of the %s of every model is what the line moves for a small change, within 2 %%', (curve) => {
    for (const board of models()) {
      const shape = shapeOf(board);
      for (const { mark, gain, soft, line_mm, x_mm } of curveGains(shape, curve)) {
        expect(soft).toBe(false);
        expect(line_mm).toBeCloseTo(line(shape, curve, x_mm), 9);
        // An S-deck raises the plain line as a whole: the gain is the batten's.
        if (curve === 'foil' && board.deck.features.some(({ kind }) => kind === 'sDeck')) continue;
        const by = 0.02;
        const moved = apart(board, changed(board, curve, mark, by), curve) / by;
        expect([board.name, mark, Math.abs(moved / gain - 1) < 0.02, moved, gain]).toEqual([
          board.name,
          mark,
          true,
          moved,
          gain,
        ]);
      }
    }
  });

  it('of no model is over 2: none of them has a lever', () => {
    for (const board of models()) expect(levers(shapeOf(board))).toEqual([]);
  });

  it('of a hard mark an inch from another is far over 2, and it is named with its station', () => {
    const board = crowded('outline', 25, -0.8, true);
    const named = levers(shapeOf(board));
    const own = named.find(({ mark }) => mark === 2)!;
    expect(own.curve).toBe('outline');
    expect(own.x_mm).toBeCloseTo(329.8, 6);
    expect(own.gain).toBeGreaterThan(4);
  });
});

describe('a soft mark that gave up its hold', () => {
  it('is named, and one that is only missed by its give is not', () => {
    const far = shapeOf(crowded('outline', 25, -6, false));
    const [own] = curveGains(far, 'outline').slice(-1);
    expect(own).toMatchObject({ mark: 2, soft: true, givenUp: true });
    expect(levers(far)).toContainEqual(own);
    const near = shapeOf(crowded('outline', 25, -1, false));
    expect(curveGains(near, 'outline').slice(-1)).toMatchObject([{ soft: true, givenUp: false }]);
    expect(levers(near)).toEqual([]);
  });
});

describe('a new mark', () => {
  it('is soft by its reading error, and set on the line it changes nothing', () => {
    for (const curve of CURVES) {
      const board = withNewMark(slack, curve, 700, line(shapeOf(slack), curve, 700));
      expect(board[curve].marks.at(-1)).toMatchObject({ give_mm: READING_ERROR_mm });
      expect(apart(slack, board, curve)).toBe(0);
    }
  });

  it('is made hard, and then met; and soft again', () => {
    const board = withNewMark(slack, 'outline', 700, line(shapeOf(slack), 'outline', 700) + 3);
    const hard = withMarkHard(board, 'outline', '2', true);
    expect(hard.outline.marks[2]).not.toHaveProperty('give_mm');
    expect(line(shapeOf(hard), 'outline', 700)).toBeCloseTo(hard.outline.marks[2].value_mm, 6);
    expect(withMarkHard(hard, 'outline', '2', false)).toEqual(board);
    const soft = shapeOf(board);
    // Half widths give 0.4, and the width is twice that.
    expect(Math.abs(line(soft, 'outline', 700) - board.outline.marks[2].value_mm)).toBeLessThan(
      2 * READING_ERROR_mm + 0.02,
    );
  });

  // A mark 0.4 mm off its curve and 20 mm from its neighbour moved the board elsewhere by 81 mm, at 60 mm by 16.
  it.each([
    [20, 0.4],
    [20, 0.8],
    [20, 2],
    [60, 0.4],
    [60, 2],
  ])('%d mm from another and %d mm off in half width moves the board nowhere by more than twice that', (near, off) => {
    for (const sign of [1, -1]) {
      expect(apart(slack, crowded('outline', near, sign * 2 * off, false), 'outline')).toBeLessThan(2 * 2 * off + 0.01);
    }
  });

  it('that nearly asks for a hollow in rocker or foil does not snap: a step of the mark moves the line by twice it', () => {
    // 10.8 times the step before.
    for (const curve of ['rocker', 'foil'] as const) {
      for (const x of [430, 520, 640]) {
        const at = line(shapeOf(slack), curve, x);
        for (const off of [-6, -4, -2, 2, 4, 6]) {
          const board = withNewMark(slack, curve, x, Math.max(0, at + off));
          const moved = apart(board, changed(board, curve, 2, 0.1), curve);
          expect([curve, x, off, moved < 0.3, moved]).toEqual([curve, x, off, true, moved]);
        }
      }
    }
  });

  it('rounded to a sixteenth, as a table writes it, moves the line by no more than twice that', () => {
    // 10 mm of one outline and 7.5 of one rocker before.
    for (const curve of CURVES) {
      for (const near of [15, 40, 90]) {
        const board = crowded(curve, near, 0, false);
        const { value_mm } = board[curve].marks[2];
        const rounded = Math.round(value_mm / 1.5875) * 1.5875;
        expect(apart(board, changed(board, curve, 2, rounded - value_mm), curve)).toBeLessThan(
          2 * Math.abs(rounded - value_mm) + 0.01,
        );
      }
    }
  });
});
