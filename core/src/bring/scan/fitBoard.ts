import { APEX, heldWithin, TUCK_mm } from '../../document/limits.ts';
import type { Board, BottomLayer, LayerKind, Mark, RailStation } from '../../document/schema.ts';
import { type Shape, shapeOf } from '../../shape/shape.ts';
import { leastSquares, type Unknown } from '../leastSquares.ts';
import type { Cloud } from './cloud.ts';
import { GATES_mm } from './heldAgainst.ts';
import { offOf, pickedFrom, type Place, placed } from './place.ts';
import { boardLevers, unknown } from './scanLevers.ts';
import { outside, type Surface, surfaceOf } from './surface.ts';

/** So many points the fit is made with. */
export const FITTED = 5000;

/** Contours begin level, of the kinds any bottom is made up of; which of them are there is found. */
const FIRST_KINDS: readonly LayerKind[] = ['single', 'roll', 'vee', 'double'];

function depthsOf(length_mm: number): Mark[] {
  return [0.05, 0.22, 0.42, 0.66, 0.88].map((share) => ({ from: 'tail', at_mm: share * length_mm, value_mm: 0 }));
}

/** A board to begin from: its outline, rocker and foil, with rails, crown and contours that say nothing yet. */
export function withPlainBottom(board: Board): Board {
  const layer = (kind: LayerKind): BottomLayer => ({ kind, width: 1, depths: depthsOf(board.length_mm) });
  const { length_mm } = board;
  const rail = (from: 'tail' | 'nose' | 'centre', at_mm: number): RailStation => ({
    from,
    at_mm,
    apex: 0.36,
    fullness: 0.6,
    tuck_mm: 26,
    edge: from === 'tail' && at_mm < 300 ? 0.5 : 0.2,
    edgeRadius_mm: 4,
  });
  const third = Math.min(305, length_mm / 6);
  const crown = (from: 'tail' | 'nose' | 'centre', at_mm: number): Mark => ({ from, at_mm, value_mm: 8 });
  return {
    ...board,
    bottom: { layers: FIRST_KINDS.map(layer) },
    rails: {
      stations: [rail('tail', third / 2), rail('tail', 1.8 * third), rail('centre', 0), rail('nose', third)],
      tailEdge: { length_mm: 0, fade_mm: 300, hardness: 0 },
    },
    deck: { crown: [crown('tail', third), crown('centre', 0), crown('nose', third)], features: board.deck.features },
  };
}

/** Numbers a document must not have are drawn in. */
function legal(board: Board): Board {
  const { outline, foil } = board;
  return {
    ...board,
    outline: {
      ...outline,
      marks: outline.marks.map((mark) => ({ ...mark, value_mm: Math.min(mark.value_mm, outline.width_mm - 0.02) })),
    },
    foil: {
      ...foil,
      marks: foil.marks.map((mark) => ({ ...mark, value_mm: Math.min(mark.value_mm, foil.thickness_mm - 0.01) })),
    },
  };
}

function surfaceFor(board: Board): Surface | undefined {
  let shape: Shape;
  try {
    shape = shapeOf(legal(board));
    return surfaceOf(shape);
  } catch {
    return undefined;
  }
}

/** Two contours that undo one another are drawn to nothing by so much a mm: a point's part in a thousand. */
const CONTOUR_PULL = 0.1;

/**
 * All of a board's numbers and its place together, so that it lies nearest to the points: Gauss-Newton on their distances from its
 * surface, with Huber's weights, three times through narrower gates. `onGoing` is told how far it is; what it throws ends the work.
 */
export function fittedBoard(
  start: Board,
  cloud: Cloud,
  onGoing: (step: string, share: number) => void,
): { board: Board; place: Place } {
  let board = start;
  let place: Place = [0, 0, 0, 0, 0, 0];
  const middle = start.length_mm / 2;
  const picked = pickedFrom(cloud, FITTED, start.length_mm);
  GATES_mm.forEach((gate, stage) => {
    const points = within(board, place, middle, picked, gate);
    const count = points.length / 3;
    const moved = new Float64Array(points.length);
    const seen = new Int32Array(2 * count);
    let looked = false;
    const levers = boardLevers(board);
    const contours = [...levers.keys()].filter((k) => levers[k].isContour);
    const offBy = (values: readonly number[], again: boolean): Float64Array | undefined => {
      const made = surfaceFor(levers.reduce((b, lever, k) => lever.with(b, values[6 + k]), board));
      if (!made) return undefined;
      placed(points, values.slice(0, 6) as Place, middle, moved);
      const out = new Float64Array(count + contours.length);
      outside(made, moved, seen, again && looked, out);
      contours.forEach((k, i) => (out[count + i] = CONTOUR_PULL * values[6 + k]));
      looked = true;
      return out;
    };
    const places: Unknown[] = place.map((value, k) =>
      k < 3 ? unknown(value, value - 40, value + 40, 0.2) : unknown(value, value - 0.1, value + 0.1, 2e-4),
    );
    const fit = leastSquares([...places, ...levers.map((lever) => lever.unknown)], (values) => offBy(values, true), {
      huber: stage === 0 ? 3 : 1.2,
      mostRounds: stage === 0 ? 6 : 7,
      gained: 2e-3,
      onRound: (round) => {
        // The nearest places are looked for anew at the start of each round.
        looked = false;
        onGoing('Fitting the board to the points', 0.3 + 0.22 * stage + 0.03 * round);
      },
    });
    board = legal(levers.reduce((b, lever, k) => lever.with(b, fit.values[6 + k]), board));
    place = fit.values.slice(0, 6) as Place;
    board = withoutIdleLayers(board);
  });
  return { board: named(board), place };
}

/** A contour nowhere deeper than this is none. */
const IDLE_mm = 0.35;

/** What a concave and a roll of the same place undo of one another taken off both; contours that are none left out. */
function withoutIdleLayers(board: Board): Board {
  const of = (kind: LayerKind) => board.bottom.layers.find((layer) => layer.kind === kind);
  const [single, roll] = [of('single'), of('roll')];
  const layers = board.bottom.layers.map((layer) => {
    if (!single || !roll || (layer !== single && layer !== roll)) return layer;
    const both = single.depths.map(({ value_mm }, k) => Math.min(value_mm, roll.depths[k].value_mm));
    return { ...layer, depths: layer.depths.map((mark, k) => ({ ...mark, value_mm: mark.value_mm - both[k] })) };
  });
  return {
    ...board,
    bottom: { layers: layers.filter(({ depths }) => depths.some(({ value_mm }) => Math.abs(value_mm) > IDLE_mm)) },
  };
}

const named = (board: Board): Board => ({
  ...board,
  rails: {
    ...board.rails,
    stations: board.rails.stations.map((station) => ({
      ...station,
      apex: heldWithin(APEX, station.apex),
      tuck_mm: heldWithin(TUCK_mm, station.tuck_mm),
    })),
  },
});

/** The points no farther off the board than the gate. */
function within(board: Board, place: Place, middle: number, points: Float64Array, gate: number): Float64Array {
  const surface = surfaceFor(board);
  if (!surface) return points;
  const off = offOf(surface, place, middle, points);
  const out: number[] = [];
  off.forEach((each, k) => {
    if (Math.abs(each) <= gate) out.push(points[3 * k], points[3 * k + 1], points[3 * k + 2]);
  });
  return Float64Array.from(out);
}
