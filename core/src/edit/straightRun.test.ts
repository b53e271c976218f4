import { describe, expect, it } from '@jest/globals';
import { boardIssues } from '../shape/issues.ts';
import { modelNamed, models } from '../models/models.ts';
import { shapeOf } from '../shape/shape.ts';
import { straightRunOf } from '../measure/straightRun.ts';
import { readRun, withStraightRun } from './straightRun.ts';

describe('a straight run that is asked for', () => {
  it('is what the board reads afterwards, on every model, an inch more and an inch less; tips and flat point held', () => {
    for (const board of models()) {
      const was = straightRunOf(shapeOf(board));
      for (const asked of ['tail', 'nose', 'length'] as const) {
        for (const by_mm of [-25.4, 25.4]) {
          const wanted = readRun(shapeOf(board), asked) + by_mm;
          const solved = withStraightRun(board, asked, wanted);
          expect([board.name, asked, by_mm, solved.ok]).toEqual([board.name, asked, by_mm, true]);
          if (!solved.ok) continue;
          const shape = shapeOf(solved.board);
          expect(Math.abs(readRun(shape, asked) - wanted)).toBeLessThan(0.11);
          expect(boardIssues(solved.board)).toEqual([]);
          const { marks: _marks, ...held } = board.rocker;
          expect(solved.board).toEqual({ ...board, rocker: { ...held, marks: solved.board.rocker.marks } });
          // A length is asked of both ends, and both give.
          const run = straightRunOf(shape);
          if (asked === 'length') {
            expect(Math.sign(run.nose_mm - was.nose_mm)).toBe(Math.sign(by_mm));
            expect(Math.sign(was.tail_mm - run.tail_mm)).toBe(Math.sign(by_mm));
          }
        }
      }
    }
  });

  it('sets a lift twelve inches from an end that has none, and leaves the other end’s alone', () => {
    const board = modelNamed('Slack Water')!;
    const toNose = board.rocker.marks.filter((mark) => mark.from === 'nose');
    const bare = { ...board, rocker: { ...board.rocker, marks: toNose } };
    const solved = withStraightRun(bare, 'tail', readRun(shapeOf(bare), 'tail') - 20);
    expect(solved.ok).toBe(true);
    if (!solved.ok) return;
    const { marks } = solved.board.rocker;
    expect(marks.slice(0, toNose.length)).toEqual(toNose);
    expect(marks.slice(toNose.length).map(({ from, at_mm }) => [from, at_mm.toFixed(6)])).toEqual([
      ['tail', '304.800000'],
    ]);
  });

  it('sets it half way where the flat point is nearer the end than two feet', () => {
    const board = modelNamed('Slack Water')!;
    const flatPoint_mm = 400 - board.length_mm / 2;
    const marks = board.rocker.marks.filter((mark) => mark.from === 'nose');
    const near = { ...board, rocker: { ...board.rocker, flatPoint_mm, marks } };
    const solved = withStraightRun(near, 'tail', readRun(shapeOf(near), 'tail') - 10);
    expect(solved.ok && solved.board.rocker.marks.at(-1)).toMatchObject({ from: 'tail', at_mm: 200 });
  });

  it('says how far it can go where no lift above nothing would do', () => {
    const board = modelNamed('Slack Water')!;
    const solved = withStraightRun(board, 'nose', board.length_mm - 100);
    expect(solved.ok).toBe(false);
    if (solved.ok) return;
    expect(solved.reason).toContain('no further');
    expect(solved.reached).toBeGreaterThan(readRun(shapeOf(board), 'nose') + 50);
    expect(readRun(shapeOf(solved.nearest), 'nose')).toBeCloseTo(solved.reached, 6);
  });
});
