import { describe, expect, it } from '@jest/globals';
import { halfBreadthAt } from '../outline/outline.ts';
import { type Board, LAYER_KINDS } from '../document/schema.ts';
import { withLayerDepth } from './bottomPresets.ts';
import { changesBetween } from './changes.ts';
import { blended } from './mix.ts';
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
  wingsTold,
  withWing,
  withWings,
} from './parts.ts';

const slack = () => modelNamed('Slack Water')!;

describe('a wing on a sprung outline', () => {
  const slack = modelNamed('Slack Water')!;
  /** 15 in up and 0.4 deep: it made the board wider at 16 in and added litres. */
  const winged = (board: Board) =>
    withWings(board, [
      ...board.outline.wings,
      { fromTail_mm: 15 * 25.4, depth_mm: 0.4 * 25.4, length_mm: 6, raised: 0 },
    ]);
  const half = (board: Board, x: number) => halfBreadthAt(shapeOf(board).outline, x);

  it.each(models().map((board) => [board.name, board] as const))(
    'of %s takes away what is behind it and leaves the line ahead as it was',
    (_name, board) => {
      const more = winged(board);
      for (let x = 382; x < board.length_mm; x += 20) expect(half(more, x)).toBe(half(board, x));
      const behind = [300, 200, 100].map((x) => half(board, x) - half(more, x));
      for (const taken of behind) {
        expect(taken).toBeGreaterThan(0.5);
        expect(taken).toBeLessThan(0.4 * 25.4 + 1e-9);
      }
      expect(volume_L(shapeOf(more))).toBeLessThan(volume_L(shapeOf(board)));
    },
  );

  it('keeps the marks ahead of it and says which it could not', () => {
    const more = winged(slack);
    const told = wingsTold(slack, more);
    expect(told.map(({ key }) => key)).toEqual(['1', 'block']);
    for (const { from_mm, to_mm } of told) expect(from_mm - to_mm).toBeCloseTo(2 * 0.4 * 25.4, 9);
    expect(wingsTold(slack, slack)).toEqual([]);
  });

  it('lifted off gives the area back, to the last digit that counts', () => {
    const back = withoutWing(winged(slack), 0);
    expect(back.outline.wings).toEqual([]);
    for (let x = 0; x <= slack.length_mm; x += 15) expect(half(back, x)).toBeCloseTo(half(slack, x), 9);
  });

  it('slid along or made deeper leaves the batten where it is', () => {
    const more = winged(slack);
    for (const change of [{ fromTail_mm: 280 }, { depth_mm: 16 }, { length_mm: 90 }]) {
      const other = withWing(more, 0, change);
      expect(shapeOf(other).outline.base.valueAt(250)).toBeCloseTo(shapeOf(more).outline.base.valueAt(250), 9);
    }
  });
});

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
      const bare = withWings(model, []).outline.marks;
      board.outline.marks.forEach((mark, i) => expect(mark.value_mm).toBeCloseTo(bare[i].value_mm, 9));
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

describe('what a part that was not there counts as', () => {
  it('a rail set anew is one change, not five, and so is one taken out', () => {
    const more = withNewRail(slack(), 700);
    expect(changesBetween(slack(), more)).toHaveLength(1);
    expect(changesBetween(more, slack())).toHaveLength(1);
  });
  it('a contour that is nowhere deep is made as deep everywhere as is asked; one that is keeps its proportions', () => {
    const board = slack();
    const [layer] = board.bottom.layers;
    const flat = { ...layer, depths: layer.depths.map((mark) => ({ ...mark, value_mm: 0 })) };
    const made = withLayerDepth({ ...board, bottom: { layers: [flat] } }, 0, 4);
    expect(made.bottom.layers[0].depths.map(({ value_mm }) => value_mm)).toEqual(flat.depths.map(() => 4));
    const deepest = Math.max(...layer.depths.map(({ value_mm }) => value_mm));
    const twice = withLayerDepth(board, 0, 2 * deepest);
    twice.bottom.layers[0].depths.forEach(({ value_mm }, k) =>
      expect(value_mm).toBeCloseTo(2 * layer.depths[k].value_mm, 9),
    );
  });
  it('a quarter of the way from one round nose to another has a radius a quarter of the way', () => {
    const round = (radius_mm: number) => ({ kind: 'round' as const, radius_mm });
    const board = modelNamed('Old Anchor')!;
    const withNose = (radius_mm: number): Board => ({
      ...board,
      outline: { ...board.outline, nose: round(radius_mm) },
    });
    expect(blended(withNose(90), withNose(110), 0.25).board.outline.nose).toEqual(round(95));
  });
});
