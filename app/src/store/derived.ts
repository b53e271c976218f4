import {
  type Board,
  type BoardRecord,
  litresFor,
  type LengthStyle,
  type LitresTarget,
  measure,
  type Measures,
  type Rider,
  type Shape,
  shapeOf,
} from '@june-tide/core';
import type { Settings } from './db.ts';

const shapes = new WeakMap<Board, Shape>();
const measured = new WeakMap<Shape, Measures>();
let latest: Shape | undefined;

/** The sprung shape of a board, made once; curves that did not change are taken from the last one made. */
export function shapeFor(board: Board): Shape {
  let shape = shapes.get(board);
  if (!shape) {
    shape = shapeOf(board, latest);
    shapes.set(board, shape);
  }
  latest = shape;
  return shape;
}

export function measuresFor(board: Board): Measures {
  const shape = shapeFor(board);
  let numbers = measured.get(shape);
  if (!numbers) {
    numbers = measure(shape);
    measured.set(shape, numbers);
  }
  return numbers;
}

const STYLES: Readonly<Record<Settings['lengthStyle'], LengthStyle>> = {
  in8: { kind: 'fraction', denominator: 8 },
  in16: { kind: 'fraction', denominator: 16 },
  in32: { kind: 'fraction', denominator: 32 },
  decimal: { kind: 'decimal', places: 2 },
  cm: { kind: 'cm' },
  mm: { kind: 'mm' },
};

export function styleOf(settings: Settings): LengthStyle {
  return STYLES[settings.lengthStyle];
}

export function targetFor(record: BoardRecord, riders: Readonly<Record<string, Rider>>): LitresTarget | undefined {
  const rider = record.riderId === null ? undefined : riders[record.riderId];
  return rider && litresFor(rider, record.board.family);
}
