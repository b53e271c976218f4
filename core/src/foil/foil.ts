import type { DeckFeature, FoilDocument } from '../document/schema.ts';
import { type Anchors, stationOfMark } from '../document/station.ts';
import type { FairCurve } from '../curve/fairCurve.ts';
import { type CurveMark, curveMark } from '../curve/curveMark.ts';
import { sprungThrough } from '../curve/spring.ts';
import { featureThickness } from './features.ts';

const FINITE_END_rad = (40 * Math.PI) / 180;

/** Thickness at the stringer along the board. */
export interface Foil {
  readonly document: FoilDocument;
  /** Station of the greatest thickness, from the tail. */
  readonly thickest_mm: number;
  /** The batten before the deck's features. */
  readonly line: FairCurve;
  readonly features: readonly DeckFeature[];
  readonly anchors: Anchors;
}

/**
 * The foil sprung through its thicknesses; the thickest mark is the true maximum of a plain deck. Marks hold on the
 * finished board: what a beak adds or an S-deck takes is allowed for.
 */
export function sprungFoil(
  document: FoilDocument,
  features: readonly DeckFeature[],
  anchors: Anchors,
  previous?: Foil,
): Foil {
  const thickest_mm = anchors.length_mm / 2 + document.thickest_mm;
  const added = (x_mm: number) => featureThickness(features, x_mm, anchors);
  const marks: CurveMark[] = [
    { kind: 'value', x_mm: 0, value_mm: document.tailTip_mm - added(0) },
    { kind: 'value', x_mm: thickest_mm, value_mm: document.thickness_mm - added(thickest_mm) },
    { kind: 'slope', x_mm: thickest_mm, slope: 0 },
    { kind: 'value', x_mm: anchors.length_mm, value_mm: document.noseTip_mm - added(anchors.length_mm) },
    ...document.marks.map((mark) => {
      const x_mm = stationOfMark(mark, anchors);
      return curveMark(x_mm, mark.value_mm - added(x_mm), mark.give_mm);
    }),
  ];
  const line = sprungThrough(
    { length_mm: anchors.length_mm, tail_rad: FINITE_END_rad, nose_rad: FINITE_END_rad, marks, bend: 'in' },
    previous?.line,
  );
  return { document, thickest_mm, line, features, anchors };
}

/** The thinnest foam anywhere: tips worked down to less than this are drawn with it. */
const THINNEST_mm = 1;

/** Finished thickness at the stringer at x, mm. */
export function thicknessAt(foil: Foil, x_mm: number): number {
  const plain = foil.line.valueAt(x_mm);
  const worked = foil.features.length > 0 ? plain + featureThickness(foil.features, x_mm, foil.anchors) : plain;
  return Math.max(THINNEST_mm, worked);
}
