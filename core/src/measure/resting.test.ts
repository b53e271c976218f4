// How a board lies on a table, against a search through every line it could rest on.
import { describe, expect, it } from '@jest/globals';
import type { Board } from '../document/schema.ts';
import { modelNamed, models } from '../models/models.ts';
import { bottomHeight } from '../bottom/bottom.ts';
import { sectionAt, shapeOf } from '../shape/shape.ts';
import { lowestAt } from './bottomLines.ts';
import { tipLifts } from './rockerReading.ts';
import { sectionArea } from './volume.ts';

/** A heavy body comes to rest on the line under it that is highest under its centre. */
function restingBySearch(board: Board): { nose: number; tail: number } {
  const shape = shapeOf(board);
  const L = board.length_mm;
  const n = 360;
  const xs = Array.from({ length: n + 1 }, (_, k) => (L * k) / n);
  const zs = xs.map((x) => lowestAt(shape, x));
  const areas = xs.map((x) => sectionArea(shape, x));
  const sum = areas.reduce((all, a) => all + a, 0);
  const centre = xs.reduce((all, x, k) => all + x * areas[k], 0) / sum;
  let best = { height: -Infinity, slope: 0, at0: 0 };
  // The highest line under all points passes through two of them.
  for (let i = 0; i <= n; i++) {
    for (let j = i + 1; j <= n; j++) {
      const slope = (zs[j] - zs[i]) / (xs[j] - xs[i]);
      const at0 = zs[i] - slope * xs[i];
      const height = at0 + slope * centre;
      if (height <= best.height) continue;
      if (xs.every((x, k) => zs[k] >= at0 + slope * x - 1e-9)) best = { height, slope, at0 };
    }
  }
  const z = (x: number) => shape.rocker.line.valueAt(x) - best.at0 - best.slope * x;
  return { nose: z(L), tail: z(0) };
}

/** Hollow along the middle: it stands on two places, and which pair matters. */
const bridged = (from: string): Board => {
  const board = modelNamed(from)!;
  const half = board.length_mm / 2;
  return {
    ...board,
    bottom: {
      layers: [
        {
          kind: 'roll',
          width: 1,
          depths: [
            { from: 'tail', at_mm: 0, value_mm: 0 },
            { from: 'tail', at_mm: half - 200, value_mm: 0 },
            { from: 'tail', at_mm: half + 100, value_mm: -9 },
            { from: 'nose', at_mm: half - 350, value_mm: 0 },
          ],
        },
      ],
    },
  };
};

describe('a board on a table', () => {
  it.each([
    ...models().map((board) => [board.name, board] as const),
    ['a hollow one', bridged('Slack Water')] as const,
  ])(
    '%s: its tips stand where a search through all lines under it has them, within a millimetre',
    (_name, board) => {
      const read = tipLifts(shapeOf(board), 'table');
      const found = restingBySearch(board);
      // Both know a curved bottom by stations, ours by 241 of them: on Two Lanterns' concave that is 0.69 mm at the nose.
      expect(Math.abs(read.noseLift_mm - found.nose)).toBeLessThan(1);
      expect(Math.abs(read.tailLift_mm - found.tail)).toBeLessThan(1);
    },
    60_000,
  );

  it('touches the lowest of the bottom across, as four thousand places have it', () => {
    for (const board of [...models(), bridged('Slack Water')]) {
      const shape = shapeOf(board);
      for (const share of [0.06, 0.2, 0.45, 0.7, 0.93]) {
        const x = share * board.length_mm;
        const section = sectionAt(shape, x)!;
        const from = section.input.notch_mm / section.edgeY_mm;
        const heights = Array.from({ length: 4001 }, (_, k) =>
          bottomHeight(section.input.bottom, from + ((1 - from) * k) / 4000),
        );
        const lowest = Math.min(...heights) + shape.rocker.line.valueAt(x);
        expect(Math.abs(lowestAt(shape, x) - lowest)).toBeLessThan(1e-4);
      }
    }
  });

  it('stands on Two Lanterns’ concave to a tenth of a millimetre, as stations an eighth as far apart have it', () => {
    const board = modelNamed('Two Lanterns')!;
    const shape = shapeOf(board);
    const read = tipLifts(shape, 'table');
    const height = (x: number) => shape.rocker.line.valueAt(x);
    // The table's line from the two lifts; nothing of the bottom is under it, and it touches.
    const [tail, nose] = [height(0) - read.tailLift_mm, height(board.length_mm) - read.noseLift_mm];
    let nearest = Infinity;
    for (let k = 0; k <= 1920; k++) {
      const x = (board.length_mm * k) / 1920;
      nearest = Math.min(nearest, lowestAt(shape, x) - tail - ((nose - tail) * x) / board.length_mm);
    }
    expect(Math.abs(nearest)).toBeLessThan(0.01);
  });
});
