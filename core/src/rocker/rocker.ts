import type { RockerDocument } from '../document/schema.ts';
import { type Anchors, stationOfMark } from '../document/station.ts';
import type { FairCurve } from '../curve/fairCurve.ts';
import { type CurveMark, curveMark } from '../curve/curveMark.ts';
import { type Batten, sprungThrough } from '../curve/spring.ts';

/** Conditions of the batten before the first mark of the document: the tail, the flat point and its level, the nose. */
export const OWN_ROCKER_MARKS = 4;

/** The bottom at the stringer: heights above the tangent at the flat point. */
export interface Rocker {
  readonly document: RockerDocument;
  /** Station of the flat point, from the tail. */
  readonly flat_mm: number;
  readonly line: FairCurve;
  /** What it is sprung through: OWN_ROCKER_MARKS of the board's own, then the document's marks in their order. */
  readonly batten: Batten;
}

/** The rocker sprung through its lifts; level and zero at the flat point, never bent down if the marks allow it. */
export function sprungRocker(document: RockerDocument, anchors: Anchors, previous?: Rocker): Rocker {
  const flat_mm = anchors.length_mm / 2 + document.flatPoint_mm;
  const marks: CurveMark[] = [
    { kind: 'value', x_mm: 0, value_mm: document.tailLift_mm },
    { kind: 'value', x_mm: flat_mm, value_mm: 0 },
    { kind: 'slope', x_mm: flat_mm, slope: 0 },
    { kind: 'value', x_mm: anchors.length_mm, value_mm: document.noseLift_mm },
    ...document.marks.map((mark) => curveMark(stationOfMark(mark, anchors), mark.value_mm, mark.give_mm)),
  ];
  const batten: Batten = { length_mm: anchors.length_mm, tail_rad: 0, nose_rad: 0, marks, bend: 'up' };
  return { document, flat_mm, batten, line: sprungThrough(batten, previous?.line) };
}
