// Reads the surface as a batten and a side light would: where does a line along the board jump in slope or in curvature?
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { cubicThrough } from '../curve/blend.ts';
import type { Board } from '../document/schema.ts';
import { anchorsOf, stationOfMark } from '../document/station.ts';
import { models, modelNamed } from '../models/models.ts';
import { type Shape, shapeOf } from '../shape/shape.ts';
import { anyBoard } from '../testing/anyBoard.ts';
import { jumpsOf } from '../testing/fairness.ts';
import { runs, thinned } from '../testing/runs.ts';

const SLOPE_deg = 0.02;
const CURVATURE_per_m = { p99: 0.02, worst: 0.2 };

/** The value so many of a hundred are not over. */
const percentile = (values: readonly number[], share: number) =>
  values.toSorted((a, b) => a - b)[Math.floor(share * (values.length - 1))];

describe('the surface along the board', () => {
  it.each(thinned(models(), 2).map((board) => [board.name, board] as const))(
    'of %s has no crease that was not meant',
    (_name, board) => {
      const jumps = jumpsOf(shapeOf(board));
      expect(jumps.length).toBeGreaterThan(25);
      const worst = jumps.toSorted((a, b) => b.curvature_per_m - a.curvature_per_m)[0];
      expect(Math.max(...jumps.map(({ slope_deg }) => slope_deg))).toBeLessThan(SLOPE_deg);
      expect({ ...worst, within: worst.curvature_per_m < CURVATURE_per_m.p99 }).toMatchObject({ within: true });
    },
  );

  /** A mark every hand's breadth is a drawing; two rails an inch apart are a crease that is meant. */
  const APART_mm = 100;
  const drawn = (board: Board): boolean => {
    const anchors = anchorsOf(board);
    const apart = (marks: readonly Parameters<typeof stationOfMark>[0][]) => {
      const x = marks.map((mark) => stationOfMark(mark, anchors)).sort((a, b) => a - b);
      return x.every((at, i) => i === 0 || at - x[i - 1] > APART_mm);
    };
    return (
      apart(board.rails.stations) && apart(board.deck.crown) && board.bottom.layers.every(({ depths }) => apart(depths))
    );
  };

  it('of random boards has none either', () => {
    const jumps = fc
      .sample(anyBoard.filter(drawn), { numRuns: runs(10), seed: 77 })
      .flatMap((board) => jumpsOf(shapeOf(board)));
    const curvatures = jumps.map(({ curvature_per_m }) => curvature_per_m);
    expect(Math.max(...jumps.map(({ slope_deg }) => slope_deg))).toBeLessThan(SLOPE_deg);
    expect(percentile(curvatures, 0.99)).toBeLessThan(CURVATURE_per_m.p99);
    expect(Math.max(...curvatures)).toBeLessThan(CURVATURE_per_m.worst);
  });

  it('shows a blend with one derivative only when one is put back, where its marks are', () => {
    const shape = shapeOf(modelNamed('Slack Water')!);
    const { stations } = shape.board.rails;
    const cubic = (read: (station: (typeof stations)[number]) => number) =>
      cubicThrough(stations.map((station) => ({ x_mm: stationOfMark(station, shape.anchors), value: read(station) })));
    const apex = cubic((station) => station.apex);
    const tuck = cubic((station) => station.tuck_mm);
    const creased: Shape = { ...shape, rails: { ...shape.rails, apex, tuck } };
    const [worst] = jumpsOf(creased).toSorted((a, b) => b.curvature_per_m - a.curvature_per_m);
    expect(worst.curvature_per_m).toBeGreaterThan(0.2);
    const nearest = Math.min(...apex.stations.map((x) => Math.abs(x - worst.x_mm)));
    expect(nearest).toBeLessThan(1);
  });

  it('shows a corner when one is put in', () => {
    const shape = shapeOf(modelNamed('Slack Water')!);
    const { apex } = shape.rails;
    // The apex a thousandth of the rail's height a millimetre steeper ahead of 900 mm.
    const pieces = Float64Array.from([apex.values[0], 0, 0, 0, 0, 0, apex.values[0], 0.9, 0, 0, 0, 0]);
    const bent = {
      ...apex,
      stations: Float64Array.from([0, 900, 1800]),
      values: Float64Array.from([apex.values[0], apex.values[0], apex.values[0]]),
      pieces,
    };
    const jumps = jumpsOf({ ...shape, rails: { ...shape.rails, apex: bent } });
    const at = jumps.find(({ line }) => line === 'apex')!;
    expect(at.slope_deg).toBeGreaterThan(1);
    expect(Math.abs(at.x_mm - 900)).toBeLessThan(1);
  });
});
