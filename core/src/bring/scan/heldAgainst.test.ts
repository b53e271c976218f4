// How far a scan is off a board: points of the board's own skin, moved by known ways.
import { describe, expect, it } from '@jest/globals';
import { modelNamed } from '../../models/models.ts';
import { shapeOf } from '../../shape/shape.ts';
import { heldAgainst } from './heldAgainst.ts';
import { pickedFrom, type Place, placed } from './place.ts';
import { surfaceOf } from './surface.ts';

const board = modelNamed('Slack Water')!;
const HERE: Place = [0, 0, 0, 0, 0, 0];
const ALL = 100_000;

/** Points of the skin, right and left, moved by `by`. */
function skin(by: (x: number, y: number, z: number) => [number, number, number] = (...p) => p): Float64Array {
  const { xs, rows } = surfaceOf(shapeOf(board));
  const points: number[] = [];
  rows.forEach((row, i) => {
    for (let j = 0; j + 1 < row.length; j += 2) {
      for (const side of [1, -1]) points.push(...by(xs[i], side * row[j], row[j + 1]));
    }
  });
  return Float64Array.from(points);
}

describe('a scan held against a board', () => {
  it('is nothing off where it is the board', () => {
    const { rms_mm, most_mm, sides, apart } = heldAgainst(board, skin(), HERE, ALL);
    expect(rms_mm).toBeLessThan(1e-9);
    expect(most_mm).toBeLessThan(1e-9);
    [0.17, 0.33, 0.5, 0.67, 0.83].forEach((share, i) =>
      expect(sides[i].at_mm / board.length_mm).toBeCloseTo(share, 12),
    );
    for (const { right_mm } of sides) expect(Math.abs(right_mm)).toBeLessThan(1e-9);
    expect(apart.length).toBeGreaterThan(2000);
    expect(apart.length).toBeLessThan(8000);
  });

  it('lies outside on the right and inside on the left where it is moved to the right, and nowhere once it is moved back', () => {
    const aside = skin((x, y, z) => [x, y - 1, z]);
    const { sides, rms_mm, most_mm } = heldAgainst(board, aside, HERE, ALL);
    // At a rail the skin looks sideways: nearly a whole millimetre out, and as much in on the other side.
    for (const { right_mm } of sides) {
      expect(right_mm).toBeGreaterThan(0.8);
      expect(right_mm).toBeLessThan(2);
    }
    expect(rms_mm).toBeGreaterThan(0.1);
    expect(rms_mm).toBeLessThan(most_mm);
    expect(most_mm).toBeLessThanOrEqual(1 + 1e-6);
    const back = heldAgainst(board, aside, [0, 1, 0, 0, 0, 0], ALL);
    expect(back.rms_mm).toBeLessThan(1e-9);
  });

  it('is a wider right side where only that is moved, by about half of what both would tell', () => {
    const whole = heldAgainst(
      board,
      skin((x, y, z) => [x, y - 1, z]),
      HERE,
      ALL,
    ).sides;
    const right = heldAgainst(
      board,
      skin((x, y, z) => [x, y < 0 ? y - 1 : y, z]),
      HERE,
      ALL,
    ).sides;
    // What goes out is told by another stretch of the skin than what goes in: by a tenth of a millimetre at most.
    right.forEach(({ right_mm }, i) => expect(Math.abs(right_mm - whole[i].right_mm / 2)).toBeLessThan(0.1));
  });

  it('tells a raised deck as outside and a raised bottom as inside, where it lies', () => {
    const { apart } = heldAgainst(
      board,
      skin((x, y, z) => [x, y, z + 2]),
      HERE,
      ALL,
    );
    const flat = apart.filter(({ x_mm, y_mm }) => Math.abs(y_mm) < 60 && Math.abs(x_mm - board.length_mm / 2) < 200);
    const bottom = (x: number) => shapeOf(board).rocker.line.valueAt(x);
    expect(flat.length).toBeGreaterThan(20);
    for (const { x_mm, z_mm, off_mm } of flat) expect(off_mm).toBeCloseTo(z_mm - bottom(x_mm) > 25 ? 2 : -2, 1);
  });

  it('leaves out what is no skin: farther off than six millimetres', () => {
    const own = skin();
    const strays = skin((x, y, z) => [x, y, z + 300]).slice(0, 900);
    const { rms_mm, apart } = heldAgainst(board, Float64Array.from([...own, ...strays]), HERE, ALL);
    expect(rms_mm).toBeLessThan(1e-9);
    expect(apart.every(({ off_mm }) => Math.abs(off_mm) < 6)).toBe(true);
  });
});

describe('points as the board sees them', () => {
  const seen = (place: Place, point: readonly [number, number, number], middle = 900) => {
    const out = new Float64Array(3);
    placed(Float64Array.from(point), place, middle, out);
    return [...out].map((each) => Number(each.toFixed(9)) + 0);
  };
  const quarter = Math.PI / 2;
  it.each<[string, Place, number[]]>([
    ['left as they are', HERE, [1000, 20, 30]],
    ['moved', [1, 2, 3, 0, 0, 0], [1001, 22, 33]],
    ['rolled: right goes up', [0, 0, 0, quarter, 0, 0], [1000, -30, 20]],
    ['pitched about the middle', [0, 0, 0, 0, quarter, 0], [930, 20, -100]],
    ['yawed about the middle', [0, 0, 0, 0, 0, quarter], [880, 100, 30]],
    ['rolled before they are yawed', [0, 0, 0, quarter, 0, quarter], [930, 100, 20]],
  ])('%s', (_how, place, expected) => {
    expect(seen(place, [1000, 20, 30])).toEqual(expected);
  });
});

describe('points that are picked', () => {
  it('are as many from each stretch, the stretches finer at the ends, whatever the scanner saw more of', () => {
    // Nine in ten points in the middle tenth.
    const xs = Array.from({ length: 20_000 }, (_, k) => (k % 10 === 0 ? (k / 20_000) * 1800 : 810 + (k % 180)));
    const cloud = Float64Array.from(xs.flatMap((x, k) => [x, k, -k]));
    const picked = pickedFrom(cloud, 1200, 1800);
    const at = Array.from({ length: picked.length / 3 }, (_, k) => picked[3 * k]);
    expect(at.length).toBeGreaterThan(1000);
    expect(at.length).toBeLessThanOrEqual(1260);
    // Of sixty stretches by the angle, six lie before 5 % of the length: acos(0.9) / π is 0.144.
    const ends = at.filter((x) => x < 90).length;
    expect(ends / at.length).toBeGreaterThan(0.08);
    expect(at.filter((x) => x > 810 && x < 990).length / at.length).toBeLessThan(0.12);
    // A point stays whole.
    for (let k = 0; k < at.length; k++) expect(picked[3 * k + 1]).toBe(-picked[3 * k + 2]);
  });
});
