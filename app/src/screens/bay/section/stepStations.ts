import { anchorsOf, type Board, type Mark, MOST_STATIONS, stationOfMark } from '@june-tide/core/document';
import { placeAt } from '@june-tide/core/edit';
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
  const places = placesOf(board, step, layer);
  const stations =
    places.length > 0
      ? places.map((place) => stationOfMark(place, anchors))
      : [TWELVE_mm, length_mm / 2, anchors.wide_mm, length_mm - TWELVE_mm];
  return stations
    .map((x_mm) => Math.min(length_mm, Math.max(0, x_mm)))
    .sort((a, b) => a - b)
    .filter((x_mm, i, all) => i === 0 || x_mm - all[i - 1] > ONE_mm);
}

/** What a step's work stands at: rails, crown, depths of the contour in hand. */
function placesOf(board: Board, step: StepKey, layer: number): readonly Pick<Mark, 'from' | 'at_mm'>[] {
  if (step === 'rails') return board.rails.stations;
  if (step === 'deck') return board.deck.crown;
  return step === 'bottom' ? (board.bottom.layers[layer]?.depths ?? []) : [];
}

/** Whether a pull at x would need a further station, and there may be none. */
export function fullAt(board: Board, step: StepKey, layer: number, x_mm: number): boolean {
  const places = placesOf(board, step, layer);
  return places.length >= MOST_STATIONS && placeAt(board, places, x_mm) === undefined;
}

/** The next of them toward the nose (1) or the tail (-1); where the hook is when there is none. */
export function nextStation(stations: readonly number[], hook_mm: number, way: 1 | -1): number {
  const ahead = stations.filter((x_mm) => (x_mm - hook_mm) * way > ONE_mm);
  if (ahead.length === 0) return hook_mm;
  return way > 0 ? ahead[0] : ahead[ahead.length - 1];
}
