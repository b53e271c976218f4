// Each lever's first step: the number it is about moves by just that, both ways, and what it does not name stays.
import { describe, expect, it } from '@jest/globals';
import type { Board } from '../document/schema.ts';
import { type MeasureKey, measureOf } from '../measure/catalogue.ts';
import { Facts } from '../measure/facts.ts';
import { modelNamed, models } from '../models/models.ts';
import { boardIssues } from '../shape/issues.ts';
import { shapeOf } from '../shape/shape.ts';
import { lever, type LeverId, LEVERS } from './levers.ts';

/** Boards that together have something for every lever to hold on to. */
const BOARDS: readonly Board[] = [
  ...models(),
  {
    ...modelNamed('Slack Water')!,
    outline: {
      ...modelNamed('Slack Water')!.outline,
      wings: [{ fromTail_mm: 260, depth_mm: 7, length_mm: 24, raised: 0.25 }],
    },
  },
];

/** What one step moves, and by how much of the step; where that is no plain number, by which factor. */
const MOVES: Readonly<
  Record<LeverId, readonly [MeasureKey, 1 | -1] | readonly [MeasureKey, 'times', number] | 'shape'>
> = {
  length: ['length_mm', 1],
  width: ['width_mm', 1],
  thickness: ['thickness_mm', 1],
  widePoint: ['widePointFromCentre_mm', 1],
  noseWidth: ['noseWidth12_mm', 1],
  tailWidth: ['tailWidth12_mm', 1],
  block: ['block_mm', 1],
  curvier: 'shape',
  wingDepth: ['wingDepth_mm', 1],
  wingForward: ['wingFrom_mm', 1],
  wingRaise: ['wingRaised', 1],
  noseRocker: ['noseRocker_mm', 1],
  entry: ['noseRocker12_mm', 1],
  tailRocker: ['tailRocker_mm', 1],
  tailKick: ['tailRocker12_mm', 1],
  flat: 'shape',
  soften: 'shape',
  trailer: 'shape',
  wing: 'shape',
  roundedPin: 'shape',
  beak: 'shape',
  stepRail: 'shape',
  dome: 'shape',
  foilForward: ['foilBias12_mm', 1],
  railFullness: ['railFullness', 1],
  railDown: ['railApex', -1],
  edgeLength: ['hardTo_mm', 1],
  edgeHardness: ['railEdgeTail', 1],
  foreEdge: ['railEdgeNose', 1],
  bevel: ['bevel_mm', 1],
  concave: ['concaveDepth_mm', 1],
  concaveForward: 'shape',
  tailVee: ['tailVee_mm', 1],
  roll: ['roll_mm', 1],
  foreVee: ['foreVee_mm', 1],
  noseConcave: ['noseConcave_mm', 1],
  // The hollow at the very nose is of what runs into it.
  noseHollow: 'shape',
  blendLength: 'shape',
  channels: ['channels_mm', 1],
  finsForward: ['finsAhead_mm', 1],
  // Base and depth both 4 % more.
  finSize: ['finAreaShare', 'times', 1.04 ** 2],
  finRake: ['finRake_rad', 1],
  finTip: ['finTip', 1],
  finBase: ['finBase_mm', 1],
  // 3 % each way, which is 6 % of area.
  centreFin: ['centreFinShare', 'times', 1.03 ** 2],
  toe: ['toe_rad', 1],
  cant: ['cant_rad', 1],
};

/** The part of the document a lever may touch. */
const GROUPS = ['length_mm', 'outline', 'rocker', 'foil', 'deck', 'rails', 'bottom', 'fins'] as const;
const touched = (before: Board, after: Board) =>
  GROUPS.filter((group) => JSON.stringify(before[group]) !== JSON.stringify(after[group]));

describe('a first step', () => {
  it.each(Object.keys(LEVERS) as LeverId[])('of %s', (id) => {
    const { step, move } = lever(id);
    const moves = MOVES[id];
    let held = 0;
    let exact = 0;
    for (const board of BOARDS) {
      const more = move(board, 1);
      const less = move(board, -1);
      const parts = touched(board, more);
      if (parts.length === 0) continue;
      // One lever, one part of the board: its fins, its bottom, its rails. A longer board is another size of all of it.
      // Softening a board is three changes that go together; a beak is foam at the tip and the deck over it.
      if (id !== 'length' && id !== 'soften' && id !== 'beak') expect(parts.length).toBe(1);
      if (boardIssues(more).length > 0 || boardIssues(less).length > 0 || moves === 'shape') {
        held += 1;
        exact += moves === 'shape' ? 1 : 0;
        continue;
      }
      const [key, way, factor] = moves;
      const [was, up, down] = [board, more, less].map((b) => measureOf(key).read(new Facts(shapeOf(b))));
      expect(move(board, 2)).not.toEqual(more);
      if (Math.abs(up - was) < 1e-9) continue;
      held += 1;
      const wanted = way === 'times' ? was * (factor ?? 1) : was + way * step;
      if (Math.abs(up - wanted) < 1e-2 * step) exact += 1;
      expect(Math.sign(down - was)).not.toBe(Math.sign(up - was));
    }
    expect(held).toBeGreaterThan(0);
    // Depths are read at 61 stations and may lie between two; capped where there is no room: on most boards it is exact.
    expect(exact).toBeGreaterThanOrEqual(Math.ceil(held / 2));
  });
});

describe('a board without any lift at its tips', () => {
  const flat = (name: string): Board => {
    const board = modelNamed(name)!;
    const marks = board.rocker.marks.map((mark) => ({ ...mark, value_mm: 0 }));
    return {
      ...board,
      rocker: { ...board.rocker, noseLift_mm: 0, tailLift_mm: 0, marks },
      foil: { ...board.foil, marks: [] },
    };
  };

  it('goes through every lever both ways without a number that is none', () => {
    for (const name of ['North Ledge', 'Slack Water']) {
      const board = flat(name);
      expect(board.rocker.marks.length).toBeGreaterThan(0);
      for (const id of Object.keys(LEVERS) as LeverId[])
        for (const way of [1, -1]) {
          const { rocker, foil, outline } = lever(id).move(board, way);
          for (const { value_mm } of [...rocker.marks, ...foil.marks, ...outline.marks])
            expect([id, way, Number.isFinite(value_mm)]).toEqual([id, way, true]);
        }
    }
  });

  it('is lifted along a parabola from its flat point', () => {
    const board = flat('North Ledge');
    const { step, move } = lever('noseRocker');
    const { rocker } = move(board, 1);
    const run_mm = board.length_mm / 2 - board.rocker.flatPoint_mm;
    expect(rocker.noseLift_mm).toBe(step);
    for (const { from, at_mm, value_mm } of rocker.marks)
      expect(value_mm).toBeCloseTo(from === 'nose' ? step * (1 - at_mm / run_mm) ** 2 : 0, 9);
  });
});
