import type { DeckFeature, FoilDocument } from '../document/schema.ts';
import { type Anchors, stationOfMark } from '../document/station.ts';
import type { FairCurve } from '../curve/fairCurve.ts';
import { type CurveMark, curveMark } from '../curve/curveMark.ts';
import { type Batten, sprungThrough } from '../curve/spring.ts';
import { featureThickness } from './features.ts';

const FINITE_END_rad = (40 * Math.PI) / 180;

/** Conditions of the batten before the first mark of the document: the tail, the thickest place and its level, the nose. */
export const OWN_FOIL_MARKS = 4;

/** Thickness at the stringer along the board. */
export interface Foil {
  readonly document: FoilDocument;
  /** Station of the greatest thickness of the plain deck, from the tail. */
  readonly thickest_mm: number;
  /** The batten before the deck's features. */
  readonly line: FairCurve;
  /** What it is sprung through: OWN_FOIL_MARKS of the board's own, then the document's marks in their order. */
  readonly batten: Batten;
  readonly features: readonly DeckFeature[];
  readonly anchors: Anchors;
}

/** The greatest thickness is found to this. */
const GREATEST_WITHIN_mm = 1e-4;
const MOST_ROUNDS = 6;

/**
 * The foil sprung through its thicknesses. Marks hold on the finished board: what a beak adds or an S-deck takes is allowed for.
 * The stated thickness is the greatest there is, under an S-deck too: there the plain line is raised until it is.
 */
export function sprungFoil(
  document: FoilDocument,
  features: readonly DeckFeature[],
  anchors: Anchors,
  previous?: Foil,
): Foil {
  const added = (x_mm: number) => featureThickness(features, x_mm, anchors);
  const sprung = (plain_mm: number, before: FairCurve | undefined) =>
    sprungOver(plain_mm, { document, features, anchors }, before);
  const scooped = features.some((feature) => feature.kind === 'sDeck');
  let plain_mm = document.thickness_mm - (scooped ? 0 : added(anchors.length_mm / 2 + document.thickest_mm));
  let foil = sprung(plain_mm, previous?.line);
  for (let round = 0; scooped && round < MOST_ROUNDS; round++) {
    const over = greatestBy(foil, added) - document.thickness_mm;
    if (Math.abs(over) < GREATEST_WITHIN_mm) break;
    plain_mm -= over;
    foil = sprung(plain_mm, foil.line);
  }
  return foil;
}

/** Greatest finished thickness of a foil whose stated thickness is the one at its own place, whatever stands beside it: the first edition's. */
export function greatestWhereStatedAtPlace(
  document: FoilDocument,
  features: readonly DeckFeature[],
  anchors: Anchors,
): number {
  const added = (x_mm: number) => featureThickness(features, x_mm, anchors);
  const plain_mm = document.thickness_mm - added(anchors.length_mm / 2 + document.thickest_mm);
  return greatestBy(sprungOver(plain_mm, { document, features, anchors }, undefined), added);
}

/** The foil whose plain deck is so thick at its thickest place. */
function sprungOver(
  plain_mm: number,
  { document, features, anchors }: Pick<Foil, 'document' | 'features' | 'anchors'>,
  before: FairCurve | undefined,
): Foil {
  const thickest_mm = anchors.length_mm / 2 + document.thickest_mm;
  const added = (x_mm: number) => featureThickness(features, x_mm, anchors);
  const marks: CurveMark[] = [
    { kind: 'value', x_mm: 0, value_mm: document.tailTip_mm - added(0) },
    { kind: 'value', x_mm: thickest_mm, value_mm: plain_mm },
    { kind: 'slope', x_mm: thickest_mm, slope: 0 },
    { kind: 'value', x_mm: anchors.length_mm, value_mm: document.noseTip_mm - added(anchors.length_mm) },
    ...document.marks.map((mark) => {
      const x_mm = stationOfMark(mark, anchors);
      return curveMark(x_mm, mark.value_mm - added(x_mm), mark.give_mm);
    }),
  ];
  const batten: Batten = {
    length_mm: anchors.length_mm,
    tail_rad: FINITE_END_rad,
    nose_rad: FINITE_END_rad,
    marks,
    bend: 'in',
  };
  return { document, thickest_mm, batten, line: sprungThrough(batten, before), features, anchors };
}

/** Greatest finished thickness, by even samples and a parabola through the three about the greatest. */
function greatestBy(foil: Foil, added: (x_mm: number) => number): number {
  const COUNT = 128;
  const step = foil.anchors.length_mm / COUNT;
  const at = (k: number) => foil.line.valueAt(k * step) + added(k * step);
  let best = 1;
  for (let k = 2; k < COUNT; k++) if (at(k) > at(best)) best = k;
  const [a, b, c] = [at(best - 1), at(best), at(best + 1)];
  const bend = a - 2 * b + c;
  return bend < 0 ? b - (c - a) ** 2 / (8 * bend) : b;
}

/** The thinnest foam anywhere: tips worked down to less than this are drawn with it. */
const THINNEST_mm = 1;

/** Finished thickness at the stringer at x, mm. */
export function thicknessAt(foil: Foil, x_mm: number): number {
  const plain = foil.line.valueAt(x_mm);
  const worked = foil.features.length > 0 ? plain + featureThickness(foil.features, x_mm, foil.anchors) : plain;
  return Math.max(THINNEST_mm, worked);
}
