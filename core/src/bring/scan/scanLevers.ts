import { APEX, TUCK_mm } from '../../document/limits.ts';
import type { Board, Mark } from '../../document/schema.ts';
import { leversOf } from '../fitOutline.ts';
import type { Unknown } from '../leastSquares.ts';

export interface Lever {
  unknown: Unknown;
  isContour?: boolean;
  with: (board: Board, value: number) => Board;
}

/** A number to be found, with the step its slope is taken by. */
export const unknown = (start: number, low: number, high: number, step = 0.3): Unknown => ({ start, low, high, step });

/** Every number of a board a scan can tell. */
export function boardLevers(board: Board): Lever[] {
  const { outline, rocker, foil, deck, rails, bottom } = board;
  const levers: Lever[] = [
    {
      unknown: unknown(board.length_mm, board.length_mm - 40, board.length_mm + 40),
      with: (b, length_mm) => ({ ...b, length_mm }),
    },
    ...leversOf(outline).map((lever): Lever => ({
      unknown: lever.unknown,
      with: (b, value) => ({ ...b, outline: lever.with(b.outline, value) }),
    })),
    {
      unknown: unknown(rocker.noseLift_mm, 0, 600),
      with: (b, noseLift_mm) => ({ ...b, rocker: { ...b.rocker, noseLift_mm } }),
    },
    {
      unknown: unknown(rocker.tailLift_mm, 0, 400),
      with: (b, tailLift_mm) => ({ ...b, rocker: { ...b.rocker, tailLift_mm } }),
    },
    ...markLevers(
      rocker.marks,
      0,
      600,
      (b, marks) => ({ ...b, rocker: { ...b.rocker, marks } }),
      (b) => b.rocker.marks,
    ),
    {
      unknown: unknown(foil.thickness_mm, 10, 200),
      with: (b, thickness_mm) => ({ ...b, foil: { ...b.foil, thickness_mm } }),
    },
    {
      unknown: unknown(foil.thickest_mm, -500, 500, 2),
      with: (b, thickest_mm) => ({ ...b, foil: { ...b.foil, thickest_mm } }),
    },
    { unknown: unknown(foil.noseTip_mm, 3, 60), with: (b, noseTip_mm) => ({ ...b, foil: { ...b.foil, noseTip_mm } }) },
    { unknown: unknown(foil.tailTip_mm, 3, 60), with: (b, tailTip_mm) => ({ ...b, foil: { ...b.foil, tailTip_mm } }) },
    ...markLevers(
      foil.marks,
      3,
      200,
      (b, marks) => ({ ...b, foil: { ...b.foil, marks } }),
      (b) => b.foil.marks,
    ),
    ...markLevers(
      deck.crown,
      0,
      40,
      (b, crown) => ({ ...b, deck: { ...b.deck, crown } }),
      (b) => b.deck.crown,
    ),
  ];
  rails.stations.forEach((station, k) => {
    const set = (key: 'apex' | 'fullness' | 'tuck_mm' | 'edge') => (b: Board, value: number) => ({
      ...b,
      rails: { ...b.rails, stations: b.rails.stations.map((each, i) => (i === k ? { ...each, [key]: value } : each)) },
    });
    levers.push(
      { unknown: unknown(station.apex, APEX.low, APEX.high, 0.01), with: set('apex') },
      { unknown: unknown(station.fullness, 0, 1, 0.02), with: set('fullness') },
      { unknown: unknown(station.tuck_mm, 2, TUCK_mm.high, 1), with: set('tuck_mm') },
      { unknown: unknown(station.edge, 0, 1, 0.03), with: set('edge') },
    );
  });
  bottom.layers.forEach((layer, k) => {
    levers.push(
      ...markLevers(
        layer.depths,
        0,
        30,
        (b, depths) => ({
          ...b,
          bottom: { layers: b.bottom.layers.map((each, i) => (i === k ? { ...each, depths } : each)) },
        }),
        (b) => b.bottom.layers[k].depths,
      ).map((lever) => ({ ...lever, isContour: true })),
    );
  });
  return levers;
}

function markLevers<M extends Mark>(
  marks: readonly M[],
  low: number,
  high: number,
  set: (board: Board, marks: M[]) => Board,
  get: (board: Board) => readonly M[],
): Lever[] {
  return marks.map((mark, k) => ({
    unknown: unknown(mark.value_mm, low, high),
    with: (board, value_mm) =>
      set(
        board,
        get(board).map((each, i) => (i === k ? { ...each, value_mm } : each)),
      ),
  }));
}
