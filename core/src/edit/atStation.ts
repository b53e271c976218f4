import { blendAt, blendThrough } from '../curve/blend.ts';
import { MOST_STATIONS } from '../document/limits.ts';
import type { Board, Mark, RailStation } from '../document/schema.ts';
import { anchorsOf, distanceFrom, stationOfMark } from '../document/station.ts';
import { withCrown, withNewCrown } from './deck.ts';
import { withDepthMark, withLayer, withNewDepthMark, withNewRail, withRail } from './parts.ts';

/**
 * What is pulled on a section at any place of the board: the station that stands there is changed, or one is set there first with
 * what the blend gives. All hold everything else, and leave the board as it is where there may be no further station.
 */

/** Two stations nearer than this would be one: a change made so near to one is made to it. */
export const SAME_STATION_mm = 20;

type Place = Pick<Mark, 'from' | 'at_mm'>;

/** Which of the places stands at x, within `SAME_STATION_mm`; the nearest of them. */
export function placeAt(board: Board, places: readonly Place[], x_mm: number): number | undefined {
  const anchors = anchorsOf(board);
  let found: number | undefined;
  let nearest = SAME_STATION_mm;
  places.forEach((place, i) => {
    const off = Math.abs(stationOfMark(place, anchors) - x_mm);
    if (off < nearest) [nearest, found] = [off, i];
  });
  return found;
}

/** Changes the rail at x. */
export function withRailAt(board: Board, x_mm: number, change: Partial<RailStation>): Board {
  const { stations } = board.rails;
  const index = placeAt(board, stations, x_mm);
  if (index !== undefined) return withRail(board, index, change);
  if (stations.length >= MOST_STATIONS) return board;
  return withRail(withNewRail(board, x_mm), stations.length, change);
}

/** Sets how far the deck falls to the rail at x. */
export function withCrownAt(board: Board, x_mm: number, value_mm: number): Board {
  const { crown } = board.deck;
  const index = placeAt(board, crown, x_mm);
  if (index !== undefined) return withCrown(board, index, { value_mm });
  if (crown.length >= MOST_STATIONS) return board;
  return withCrown(withNewCrown(board, x_mm), crown.length, { value_mm });
}

/** Sets how deep one contour is at x. */
export function withDepthAt(board: Board, layer: number, x_mm: number, value_mm: number): Board {
  const { depths } = board.bottom.layers[layer];
  const index = placeAt(board, depths, x_mm);
  if (index !== undefined) return withDepthMark(board, layer, index, { value_mm });
  if (depths.length >= MOST_STATIONS) return board;
  return withDepthMark(withNewDepthMark(board, layer, x_mm), layer, depths.length, { value_mm });
}

/** How deep one contour is asked to be along the board, before the foam limits it, mm. */
export function depthAsked(board: Board, layer: number): (x_mm: number) => number {
  const anchors = anchorsOf(board);
  const { depths } = board.bottom.layers[layer];
  const blend = blendThrough(depths.map((mark) => ({ x_mm: stationOfMark(mark, anchors), value: mark.value_mm })));
  return (x_mm) => blendAt(blend, x_mm);
}

/** A place moved to x, tied to what it was tied to. */
export function movedTo<P extends Place>(board: Board, place: P, x_mm: number): P {
  return { ...place, at_mm: distanceFrom(place.from, x_mm, anchorsOf(board)) };
}

/** The same rail once more at x. Unchanged where a station stands there already, or there may be no further one. */
export function withRailCopied(board: Board, index: number, x_mm: number): Board {
  const { stations } = board.rails;
  if (!(index in stations)) throw new RangeError(`withRailCopied: there is no rail ${index}`);
  if (stations.length >= MOST_STATIONS || placeAt(board, stations, x_mm) !== undefined) return board;
  const { from: _from, at_mm: _at, ...rail } = stations[index];
  return withRailAt(board, x_mm, rail);
}

type End = 'nose' | 'tail';

/** The depth marks of a contour from one end inward. */
function inward(board: Board, layer: number, end: End) {
  const anchors = anchorsOf(board);
  return board.bottom.layers[layer].depths
    .map((mark, index) => ({ mark, index, x_mm: stationOfMark(mark, anchors) }))
    .sort((a, b) => (end === 'tail' ? a.x_mm - b.x_mm : b.x_mm - a.x_mm));
}

/**
 * Over what length a contour fades out toward an end: from its last mark with depth to the mark where it is none. Undefined where
 * it runs out through the end at its depth.
 */
export function fadeOf(board: Board, layer: number, end: End): number | undefined {
  const marks = inward(board, layer, end);
  const first = marks.findIndex(({ mark }) => mark.value_mm !== 0);
  if (first < 1) return undefined;
  return Math.abs(marks[first].x_mm - marks[first - 1].x_mm);
}

/**
 * Makes a contour fade out toward an end over so much: its mark without depth is moved, or one is set where it had none.
 * Unchanged for a contour without depth. Bounded by the tip and, the other way, by `SAME_STATION_mm`.
 */
export function withFade(board: Board, layer: number, end: End, fade_mm: number): Board {
  const marks = inward(board, layer, end);
  const first = marks.findIndex(({ mark }) => mark.value_mm !== 0);
  if (first < 0) return board;
  const way = end === 'tail' ? -1 : 1;
  const to = marks[first].x_mm + way * Math.max(SAME_STATION_mm, fade_mm);
  const x_mm = Math.min(board.length_mm, Math.max(0, to));
  if (first > 0) return withDepthMark(board, layer, marks[first - 1].index, { x_mm });
  const { depths } = board.bottom.layers[layer];
  if (depths.length >= MOST_STATIONS) return board;
  const mark: Mark = { from: end, at_mm: distanceFrom(end, x_mm, anchorsOf(board)), value_mm: 0 };
  return withLayer(board, layer, { depths: [...depths, mark] });
}
