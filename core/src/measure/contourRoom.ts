import { stationOfMark } from '../document/station.ts';
import { sectionAt, type Shape } from '../shape/shape.ts';

/** A contour that is asked deeper than the foam has room for, at its deepest mark. */
export interface NoRoom {
  /** Which layer of the document. */
  layer: number;
  x_mm: number;
  asked_mm: number;
  given_mm: number;
  /** Of the foam there. */
  thickness_mm: number;
}

/** Less than a tape tells is not said. */
const TOLD_mm = 0.4;

/** Contours the foam has no room for: depths are limited together where a board is thin or narrow. At the tips nothing is said. */
export function contoursWithoutRoom(shape: Shape): NoRoom[] {
  return shape.board.bottom.layers.flatMap((layer, index): NoRoom[] => {
    const deepest = layer.depths.toSorted((a, b) => Math.abs(b.value_mm) - Math.abs(a.value_mm))[0];
    const x_mm = stationOfMark(deepest, shape.anchors);
    const section = sectionAt(shape, x_mm);
    if (!section) return [];
    const at = section.input.bottom.layers.indexOf(layer);
    if (at < 0) return [];
    const asked_mm = Math.abs(deepest.value_mm);
    const given_mm = Math.abs(section.input.bottom.depths[at]);
    if (asked_mm - given_mm < TOLD_mm) return [];
    return [{ layer: index, x_mm, asked_mm, given_mm, thickness_mm: section.input.thickness_mm }];
  });
}
