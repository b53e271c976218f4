// The background of a picture as a plane of colour: made-up planes, whose numbers are known.
import { describe, expect, it } from '@jest/globals';
import { apartFromBackground, planeThrough } from './background.ts';

const [COLUMNS, ROWS] = [80, 60];
type Colour = (column: number, row: number) => readonly [number, number, number];

const coloured = (colour: Colour): Float32Array =>
  Float32Array.from({ length: 3 * COLUMNS * ROWS }, (_, i) => {
    const place = Math.floor(i / 3);
    return colour(place % COLUMNS, Math.floor(place / COLUMNS))[i % 3];
  });
const all = Array.from({ length: COLUMNS * ROWS }, (_, i) => i);
const isBoard = (c: number, r: number) => c >= 20 && c < 60 && r >= 15 && r < 45;

describe('a plane of colour', () => {
  it('through places of one is that plane', () => {
    const colours = coloured((c, r) => [40 + 0.5 * c - 0.25 * r, 90, 10 + c]);
    const found = [0, 1, 2].map((k) => planeThrough(all, colours, k, COLUMNS));
    [
      [40, 0.5, -0.25],
      [90, 0, 0],
      [10, 1, 0],
    ].forEach((plane, k) => plane.forEach((value, i) => expect(found[k][i]).toBeCloseTo(value, 4)));
  });

  it('through a row of places, which tell nothing of it across, is their mean', () => {
    const colours = coloured((c) => [c, 0, 0]);
    expect(planeThrough(all.slice(0, COLUMNS), colours, 0, COLUMNS)).toEqual([expect.closeTo(39.5, 6), 0, 0]);
    expect(planeThrough([], colours, 0, COLUMNS)).toEqual([0, 0, 0]);
  });
});

describe('how far a place is from its background', () => {
  // Light that falls across the floor, and a board 60, 80 and 0 brighter than it: a hundred apart (3, 4, 5).
  const floor = (c: number, r: number) => [120 - 0.6 * c + 0.3 * r, 100 - 0.2 * c, 80 + 0.1 * r] as const;
  const lying: Colour = (c, r) => {
    const [x, y, z] = floor(c, r);
    return isBoard(c, r) ? [x + 60, y + 80, z] : [x, y, z];
  };

  it('is nothing on the background whatever the light, and the colour’s own way on the board', () => {
    const apart = apartFromBackground(coloured(lying), COLUMNS, ROWS);
    for (let i = 0; i < apart.length; i++) {
      expect(apart[i]).toBeCloseTo(isBoard(i % COLUMNS, Math.floor(i / COLUMNS)) ? 100 : 0, 2);
    }
  });

  it('leaves out what lies over the rim and is not the background', () => {
    const apart = apartFromBackground(
      coloured((c, r) => (c < 12 && r < 6 ? [255, 255, 255] : lying(c, r))),
      COLUMNS,
      ROWS,
    );
    expect(apart[30 * COLUMNS + 40]).toBeCloseTo(100, 0);
    expect(apart[30 * COLUMNS + 70]).toBeLessThan(1);
  });

  it('is nothing where the picture does not reach, and what it lacks tells nothing of the rest', () => {
    const colours = coloured(lying);
    for (let r = 0; r < ROWS; r++) for (let k = 0; k < 3; k++) colours[3 * (r * COLUMNS) + k] = Number.NaN;
    const apart = apartFromBackground(colours, COLUMNS, ROWS);
    expect(apart[0]).toBe(0);
    expect(apart[30 * COLUMNS + 40]).toBeCloseTo(100, 2);
    expect(apart[30 * COLUMNS + 70]).toBeCloseTo(0, 2);
  });
});
