// How far a place lies outside a board: closed forms of its own skin, beyond its ends and about a notch.
import { describe, expect, it } from '@jest/globals';
import { modelNamed } from '../../models/models.ts';
import { withTail } from '../../edit/size.ts';
import { shapeOf } from '../../shape/shape.ts';
import { outside, surfaceOf } from './surface.ts';

const board = modelNamed('Slack Water')!;
const shape = shapeOf(board);
const surface = surfaceOf(shape);

function offOf(of: typeof surface, ...points: (readonly [number, number, number])[]): number[] {
  const out = new Float64Array(points.length);
  outside(of, Float64Array.from(points.flat()), new Int32Array(2 * points.length), false, out);
  return [...out];
}

const heightsAt = (k: number) => {
  const row = surface.rows[k];
  return { deck: row[1], bottom: row[row.length - 1], x: surface.xs[k] };
};

describe('a place and a board', () => {
  it('is as far out as it is over the deck or under the bottom, where they lie level', () => {
    // In the middle of the board, where deck and bottom run along.
    const k = 32;
    const { deck, bottom, x } = heightsAt(k);
    const [over, under, within] = offOf(surface, [x, 0, deck + 10], [x, 0, bottom - 10], [x, 0, deck - 10]);
    expect(over).toBeCloseTo(10, 1);
    expect(under).toBeCloseTo(10, 1);
    expect(within).toBeCloseTo(-10, 1);
  });

  it('is the same right and left of the stringer', () => {
    const { deck, x } = heightsAt(20);
    const [left, right] = offOf(surface, [x, 140, deck + 4], [x, -140, deck + 4]);
    expect(left).toBe(right);
  });

  it('is as far beyond a tip as it stands from it', () => {
    const nose = heightsAt(surface.xs.length - 1);
    const tail = heightsAt(0);
    const [ahead, behind] = offOf(
      surface,
      [board.length_mm + 40, 0, (nose.deck + nose.bottom) / 2],
      [-30, 0, (tail.deck + tail.bottom) / 2],
    );
    expect(ahead).toBeCloseTo(40, 0);
    expect(behind).toBeCloseTo(30, 0);
    const [overAhead] = offOf(surface, [board.length_mm + 30, 0, nose.deck + 40]);
    // Over the deck's steep end it is told to the first order: farther than straight ahead, no farther than it is.
    expect(overAhead).toBeGreaterThan(31);
    expect(overAhead).toBeLessThan(50.5);
  });

  it('is never farther inside than the nearer end', () => {
    const { deck, bottom } = heightsAt(1);
    const [inside] = offOf(surface, [2, 0, (deck + bottom) / 2]);
    expect(inside).toBeGreaterThanOrEqual(-2);
    expect(inside).toBeLessThan(0);
  });

  it('in a notch is outside, as far as its wall', () => {
    const split = surfaceOf(shapeOf(withTail(board, 'swallow')));
    const k = split.split.findLastIndex((each) => each) - 1;
    const row = split.rows[k];
    const [wall, deck, bottom] = [row[0], row[1], row[row.length - 1]];
    expect(wall).toBeGreaterThan(4);
    const [inNotch, inFoam] = offOf(
      split,
      [split.xs[k], 0, (deck + bottom) / 2],
      [split.xs[k], wall + 3, (deck + bottom) / 2],
    );
    expect(inNotch).toBeGreaterThan(0);
    expect(inNotch).toBeLessThanOrEqual(wall + 1e-6);
    expect(inFoam).toBeLessThan(0);
    expect(inFoam).toBeGreaterThanOrEqual(-3 - 1e-6);
  });
});
