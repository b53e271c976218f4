import { describe, expect, it } from '@jest/globals';
import type { Board } from '../document/schema.ts';
import { boardFrom } from '../shape/issues.ts';
import { shapeOf } from '../shape/shape.ts';
import { anchorsOf, distanceFrom, stationOfMark } from '../document/station.ts';
import { thicknessAt } from '../foil/foil.ts';
import { modelNamed, models } from '../models/models.ts';
import { halfBreadthAt } from '../outline/outline.ts';
import {
  type MarkedCurve,
  markRows,
  withLength,
  withMarkAt,
  withMarkValue,
  withNewMark,
  withoutMark,
} from './marks.ts';

const slack = modelNamed('Slack Water')!;
const CURVES: readonly MarkedCurve[] = ['outline', 'rocker', 'foil'];

/** What the sprung board has at a row’s place, as the row writes it. */
function found(board: Board, curve: MarkedCurve, x: number): number {
  const shape = shapeOf(board);
  switch (curve) {
    case 'outline':
      return 2 * halfBreadthAt(shape.outline, x);
    case 'rocker':
      return shape.rocker.line.valueAt(x);
    case 'foil':
      return thicknessAt(shape.foil, x);
  }
}

describe('the marks of a board', () => {
  it.each(models().map((board) => [board.name, board] as const))(
    'of %s lie from nose to tail and hold on the sprung lines',
    (_name, board) => {
      for (const curve of CURVES) {
        const rows = markRows(board, curve);
        expect(rows.map(({ x_mm }) => x_mm)).toEqual(rows.map(({ x_mm }) => x_mm).sort((a, b) => b - a));
        expect(new Set(rows.map(({ key }) => key)).size).toBe(rows.length);
        for (const { key, x_mm, value_mm } of rows) {
          // The block is the width before the corners are worked; the tips of the foil are under the lens.
          if (key === 'block') continue;
          // Under an S-deck the greatest thickness stands beside the thickest place of the plain deck.
          if (key === 'thickest' && board.deck.features.some(({ kind }) => kind === 'sDeck')) continue;
          expect(found(board, curve, x_mm)).toBeCloseTo(value_mm, 6);
        }
      }
    },
  );

  it('are named by the 12 in marks, and by the shaper elsewhere', () => {
    expect(markRows(slack, 'outline').map(({ label }) => label)).toEqual(
      expect.arrayContaining(['Nose 12', 'Wide point', 'Tail 12', 'Block']),
    );
    const more = withNewMark(slack, 'outline', 700, 470);
    expect(markRows(more, 'outline').map(({ label }) => label)).toContain('Your mark');
  });
});

describe('a mark', () => {
  it.each(
    CURVES.flatMap((curve) =>
      markRows(slack, curve)
        .filter((row) => row.valued)
        .map((row) => [curve, row] as const),
    ),
  )('of the %s, changed by 2 mm, changes its own number and no other mark’s', (curve, { key, value_mm }) => {
    const changed = withMarkValue(slack, curve, key, value_mm - 2);
    const rows = markRows(changed, curve);
    for (const row of markRows(slack, curve)) {
      const now = rows.find((other) => other.key === row.key)!;
      expect(now.value_mm).toBeCloseTo(row.key === key ? value_mm - 2 : row.value_mm, 12);
      expect(now.x_mm).toBeCloseTo(row.x_mm, 9);
    }
    for (const other of CURVES) if (other !== curve) expect(changed[other]).toBe(slack[other]);
  });

  it.each(
    CURVES.flatMap((curve) =>
      markRows(slack, curve)
        .filter((row) => row.movable)
        .map((row) => [curve, row] as const),
    ),
  )('of the %s, moved by 20 mm, keeps its number', (curve, { key, from, at_mm, value_mm, x_mm }) => {
    const moved = withMarkAt(slack, curve, key, at_mm + 20);
    const row = markRows(moved, curve).find((other) => other.key === key)!;
    expect(row.value_mm).toBe(value_mm);
    expect(Math.abs(row.x_mm - x_mm)).toBeCloseTo(20, 9);
    expect(row.from).toBe(from);
  });

  it('is set tied to the nearer end and lifted off again without a trace', () => {
    for (const [x, from] of [
      [500, 'tail'],
      [1400, 'nose'],
    ] as const) {
      const more = withNewMark(slack, 'rocker', x, 12);
      const added = more.rocker.marks.at(-1)!;
      expect(added.from).toBe(from);
      expect(stationOfMark(added, anchorsOf(more))).toBeCloseTo(x, 9);
      const key = String(more.rocker.marks.length - 1);
      expect(withoutMark(more, 'rocker', key)).toEqual(slack);
    }
  });

  it('that is not there cannot be changed, and what belongs to the board cannot be moved', () => {
    expect(() => withMarkValue(slack, 'outline', '99', 300)).toThrow(/no mark/);
    expect(() => withMarkValue(slack, 'rocker', 'wide', 300)).toThrow(RangeError);
    expect(() => withMarkAt(slack, 'foil', 'nose', 10)).toThrow(RangeError);
  });

  it('keeps its distance from what it is tied to when the length changes', () => {
    const longer = withLength(slack, slack.length_mm + 50.8);
    for (const curve of CURVES) {
      longer[curve].marks.forEach((mark, i) => expect(mark).toBe(slack[curve].marks[i]));
    }
    const nose = slack.outline.marks.find(({ from }) => from === 'nose')!;
    expect(stationOfMark(nose, anchorsOf(longer)) - stationOfMark(nose, anchorsOf(slack))).toBeCloseTo(50.8, 9);
  });
});

describe('a station', () => {
  it('is written from any anchor and found again', () => {
    const anchors = anchorsOf(slack);
    for (const from of ['nose', 'tail', 'centre', 'wide'] as const) {
      for (const x of [0, 304.8, 914, 1500, slack.length_mm]) {
        expect(stationOfMark({ from, at_mm: distanceFrom(from, x, anchors) }, anchors)).toBeCloseTo(x, 9);
      }
    }
  });
});

describe('soft marks of rocker and foil', () => {
  const soft = (value_mm: number) => ({ from: 'centre' as const, at_mm: 250, value_mm, give_mm: 0.5 });

  it('draw the line toward them without going through, and may be written in a file', () => {
    // The foil is drawn thinner: thicker than its thickest a board cannot be.
    for (const [curve, by] of [
      ['rocker', 4],
      ['foil', -4],
    ] as const) {
      const x = slack.length_mm / 2 + 250;
      const plain = found(slack, curve, x);
      const pulled = { ...slack, [curve]: { ...slack[curve], marks: [...slack[curve].marks, soft(plain + by)] } };
      const opened = boardFrom(JSON.parse(JSON.stringify(pulled)));
      expect(opened.ok).toBe(true);
      const now = found(pulled, curve, x);
      const share = (now - plain) / by;
      expect(share).toBeGreaterThan(0.5);
      expect(share).toBeLessThan(1);
    }
  });
});
