import { anchorsOf, type Board, stationOfMark } from '@june-tide/core/document';
import { TWELVE_mm } from '@june-tide/core/measure';
import type { StepKey } from '../useBay.ts';

/** Two stations nearer than this are one to step to. */
const ONE_mm = 1;

/**
 * The stations the work of a step stands at, mm from the tail, tail first: of the rails, of the crown, of the contour in hand; where a
 * step has none, the places a board is read at.
 */
export function stepStations(board: Board, step: StepKey, layer: number): number[] {
  const anchors = anchorsOf(board);
  const { length_mm } = board;
  const places =
    step === 'rails'
      ? board.rails.stations
      : step === 'deck'
        ? board.deck.crown
        : step === 'bottom'
          ? (board.bottom.layers[layer]?.depths ?? [])
          : [];
  const stations =
    places.length > 0
      ? places.map((place) => stationOfMark(place, anchors))
      : [TWELVE_mm, length_mm / 2, anchors.wide_mm, length_mm - TWELVE_mm];
  return stations
    .map((x_mm) => Math.min(length_mm, Math.max(0, x_mm)))
    .sort((a, b) => a - b)
    .filter((x_mm, i, all) => i === 0 || x_mm - all[i - 1] > ONE_mm);
}

/** The next of them toward the nose (1) or the tail (-1); where the hook is when there is none. */
export function nextStation(stations: readonly number[], hook_mm: number, way: 1 | -1): number {
  const ahead = stations.filter((x_mm) => (x_mm - hook_mm) * way > ONE_mm);
  if (ahead.length === 0) return hook_mm;
  return way > 0 ? ahead[0] : ahead[ahead.length - 1];
}
