import {
  asBuilt,
  blankLines,
  fitInBlank,
  measuringSheet,
  railBands,
  readingsOf,
  usualShelf,
} from '@june-tide/core/make';
import { measure } from '@june-tide/core/measure';
import { modelNamed } from '@june-tide/core/models';
import { shapeOf } from '@june-tide/core/shape';
import type { Timed } from './table.ts';
import { medianOf } from './timing.ts';

/** The heavier sums of making a board: what runs in the worker, and the fit of a measured board. */
export function making(): Timed[] {
  const board = modelNamed('Slack Water');
  if (!board) throw new Error('bench: a model is missing');
  const shape = shapeOf(board);
  const blank = blankLines(usualShelf()[10]);
  const read = readingsOf(shape, measuringSheet(shape));
  return [
    { what: 'headline measures', ms: medianOf(() => measure(shape)) },
    { what: 'the best place in one blank', ms: medianOf(() => fitInBlank(shape, blank), 15, 5) },
    { what: 'rail bands, three and one', ms: medianOf(() => railBands(shape), 15, 5) },
    { what: 'rail bands, four and two', ms: medianOf(() => railBands(shape, { deck: 4, under: 2 }), 9, 5) },
    { what: 'a board fitted to a whole measuring sheet', ms: medianOf(() => asBuilt(board, read), 15, 5) },
  ];
}
