import { describe, expect, it } from '@jest/globals';
import { LAYER_KINDS } from '../document/schema.ts';
import { boardFrom } from '../shape/issues.ts';
import { sectionAt, shapeOf } from '../shape/shape.ts';
import { modelNamed, models } from '../models/models.ts';
import { volume_L } from '../measure/volume.ts';
import {
  withDepthMark,
  withLayerSwitched,
  withNewDepthMark,
  withNewLayer,
  withNewRail,
  withNewWing,
  withoutDepthMark,
  withoutLayer,
  withoutRail,
  withoutWing,
  withRail,
  withRailEverywhere,
  withWing,
} from './parts.ts';

const slack = () => modelNamed('Slack Water')!;

describe('wings', () => {
  it('adds up to three on any model, each a board, and takes them off again', () => {
    for (const model of models()) {
      let board = model;
      for (let k = 0; k < 5; k++) {
        board = withNewWing(board);
        expect([model.name, boardFrom(board).ok]).toEqual([model.name, true]);
      }
      expect(board.outline.wings).toHaveLength(3);
      while (board.outline.wings.length > 0) board = withoutWing(board, 0);
      expect(board.outline.marks).toEqual(model.outline.marks);
    }
  });

  it('changes one number of one wing', () => {
    const board = withWing(modelNamed('Salt Ladder')!, 1, { depth_mm: 9 });
    expect(board.outline.wings.map((w) => w.depth_mm === 9)).toEqual([false, true, false]);
    expect(() => withWing(slack(), 0, { depth_mm: 3 })).toThrow(/no entry/);
  });
});

describe('rails', () => {
  it('a new station changes nothing until it is changed', () => {
    const board = withNewRail(slack(), 700);
    expect(board.rails.stations).toHaveLength(slack().rails.stations.length + 1);
    const [was, is] = [sectionAt(shapeOf(slack()), 700)!, sectionAt(shapeOf(board), 700)!];
    expect(is.apex_mm).toBeCloseTo(was.apex_mm, 9);
    const boxy = withRail(board, board.rails.stations.length - 1, { fullness: 1 });
    expect(volume_L(shapeOf(boxy))).toBeGreaterThan(volume_L(shapeOf(board)));
  });

  it('the same rail all along, and never none', () => {
    const board = withRailEverywhere(slack(), 0);
    expect(new Set(board.rails.stations.map((s) => s.apex)).size).toBe(1);
    let fewer = board;
    for (let k = 0; k < 9; k++) fewer = withoutRail(fewer, 0);
    expect(fewer.rails.stations).toHaveLength(1);
  });
});

describe('contours', () => {
  it.each(LAYER_KINDS)('%s goes on any model as a board and comes off again', (kind) => {
    for (const model of models()) {
      const board = withNewLayer(model, kind);
      expect([model.name, boardFrom(board).ok]).toEqual([model.name, true]);
      expect(withoutLayer(board, board.bottom.layers.length - 1)).toEqual(model);
    }
  });

  it('switched off it does nothing, switched on it is as it was', () => {
    const off = withLayerSwitched(slack(), 0, false);
    expect(shapeOf(off).bottom.layers).toHaveLength(0);
    expect(withLayerSwitched(off, 0, true)).toEqual(slack());
  });

  it('depth marks move, deepen, come and go', () => {
    const more = withNewDepthMark(slack(), 0, 900);
    expect(sectionAt(shapeOf(more), 900)!.edgeZ_mm).toBeCloseTo(sectionAt(shapeOf(slack()), 900)!.edgeZ_mm, 9);
    const last = more.bottom.layers[0].depths.length - 1;
    const deeper = withDepthMark(more, 0, last, { value_mm: 8, x_mm: 950 });
    expect(sectionAt(shapeOf(deeper), 950)!.edgeZ_mm).toBeCloseTo(-8, 6);
    expect(withoutDepthMark(more, 0, last)).toEqual(slack());
  });
});
