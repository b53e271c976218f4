// Marks that draw nothing: which are lifted off, and that the line stays where it was.
import { describe, expect, it } from '@jest/globals';
import type { Board } from '../document/schema.ts';
import { modelNamed, models } from '../models/models.ts';
import { lineAt } from '../shape/gains.ts';
import { shapeOf } from '../shape/shape.ts';
import { LINE_mm, withFewerMarks } from './fewer.ts';
import { joinedOutlines } from './join.ts';
import { type MarkedCurve, withMarkHard, withNewMark } from './marks.ts';

const CURVES: readonly MarkedCurve[] = ['outline', 'rocker', 'foil'];
const slack = () => modelNamed('Slack Water')!;

/** The most two boards' lines are apart, read every 3 mm: places of its own, not those the edit looks at. */
function apart(a: Board, b: Board, curve: MarkedCurve): number {
  const [A, B] = [shapeOf(a), shapeOf(b)];
  let most = 0;
  for (let x = 0; x <= a.length_mm; x += 3) most = Math.max(most, Math.abs(lineAt(A, curve, x) - lineAt(B, curve, x)));
  return most;
}

/** Marks set on the line itself, which so draw nothing. */
function withIdle(board: Board, curve: MarkedCurve, shares: readonly number[]): Board {
  const shape = shapeOf(board);
  return shares.reduce(
    (marked, share) =>
      withNewMark(marked, curve, share * board.length_mm, lineAt(shape, curve, share * board.length_mm)),
    board,
  );
}

describe('fewer marks', () => {
  it.each(CURVES)('lifts off what was set on the %s itself, and it alone', (curve) => {
    for (const board of [slack(), modelNamed('Long Quay')!, modelNamed('Tin Roof')!]) {
      const least = withFewerMarks(board, curve).board;
      const marked = withIdle(least, curve, [0.31, 0.42, 0.63, 0.72]);
      expect(marked[curve].marks.length).toBe(least[curve].marks.length + 4);
      const { board: back, lifted, off_mm } = withFewerMarks(marked, curve);
      expect(lifted).toBe(4);
      expect(back[curve].marks).toEqual(least[curve].marks);
      expect(off_mm).toBeLessThan(0.05);
    }
  });

  it('keeps nose 12 and tail 12, and a mark that draws the line', () => {
    const board = slack();
    const kept = withFewerMarks(board, 'outline').board.outline.marks;
    expect(kept.filter(({ at_mm }) => Math.abs(at_mm - 304.8) < 0.05).map(({ from }) => from)).toEqual(
      board.outline.marks.filter(({ at_mm }) => Math.abs(at_mm - 304.8) < 0.05).map(({ from }) => from),
    );
    // A quarter of an inch off the line: no pencil's width.
    const shape = shapeOf(board);
    const x_mm = 0.4 * board.length_mm;
    const drawn = withNewMark(board, 'outline', x_mm, lineAt(shape, 'outline', x_mm) - 6.35);
    expect(withFewerMarks(drawn, 'outline').board.outline.marks).toContainEqual(drawn.outline.marks.at(-1));
  });

  it('lifts off what is less than 1/64 in off the line without it, and keeps what is a little more', () => {
    const { board } = withFewerMarks(slack(), 'outline');
    const x_mm = 0.33 * board.length_mm;
    const line_mm = lineAt(shapeOf(board), 'outline', x_mm);
    const mark = (off_mm: number) =>
      withMarkHard(
        withNewMark(board, 'outline', x_mm, line_mm + off_mm),
        'outline',
        String(board.outline.marks.length),
        true,
      );
    expect(withFewerMarks(mark(0.15), 'outline').lifted).toBe(1);
    expect(withFewerMarks(mark(0.9), 'outline').lifted).toBe(0);
  });

  it('of every model and every curve leaves the line within 1/64 in, and says by how much it moved', () => {
    for (const board of models()) {
      for (const curve of CURVES) {
        const { board: fewer, lifted, off_mm } = withFewerMarks(board, curve);
        expect(fewer[curve].marks.length).toBe(board[curve].marks.length - lifted);
        const read = apart(board, fewer, curve);
        expect(read).toBeLessThan(LINE_mm + 0.03);
        expect(Math.abs(read - off_mm)).toBeLessThan(0.03);
      }
    }
  });
});

describe('a join', () => {
  it('of two models is drawn by fewer marks than there is room for, and by its halves’ own where these do', () => {
    const made = models().flatMap((front, i) =>
      models()
        .filter((back, k) => back !== front && (i + 5 * k) % 11 === 0)
        .map((back) => {
          const joined = joinedOutlines(front, back);
          if (!joined.ok) throw new Error(joined.reason);
          return joined.board.outline.marks.length;
        }),
    );
    const sorted = made.sort((a, b) => a - b);
    expect(sorted.length).toBeGreaterThan(40);
    expect(sorted[0]).toBeLessThan(5);
    expect(sorted[Math.floor(sorted.length / 2)]).toBeLessThanOrEqual(11);
    const itself = joinedOutlines(slack(), slack());
    expect(itself.board.outline.marks.length).toBe(slack().outline.marks.length);
  });
});
