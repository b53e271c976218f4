import type { Shape } from '../shape/shape.ts';
import { bendsByThird, flattestPart } from './bend.ts';
import { curveLength_mm, railLineAt } from './bottomLines.ts';
import { areaBehindFins_mm2, areaSpread_mm2, type Feet, foamSpread_L, litresUnder, usualFeet } from './distribution.ts';
import { measure, TWELVE_mm } from './measure.ts';
import { tipLifts } from './rockerReading.ts';
import { skinOf } from './skin.ts';
import { foilDifferences, railThicknessAt } from './stationTable.ts';

/** What a measure counts, which says how it is written: a length by the shop's units, an area, litres, a plain ratio. */
export type MeasureUnit = 'mm' | 'mm2' | 'L' | '';

/** Every measure by its key: unit and the words a shaper would use. docs/measures.md gives each one's formula. */
export const MEASURES = {
  length_mm: ['mm', 'length, straight'],
  curveLength_mm: ['mm', 'length along the bottom'],
  width_mm: ['mm', 'width'],
  thickness_mm: ['mm', 'thickness'],
  widePointFromCentre_mm: ['mm', 'wide point ahead of centre'],
  noseWidth12_mm: ['mm', 'nose 12'],
  tailWidth12_mm: ['mm', 'tail 12'],
  block_mm: ['mm', 'block'],
  noseRocker_mm: ['mm', 'nose lift'],
  tailRocker_mm: ['mm', 'tail lift'],
  noseRocker12_mm: ['mm', 'lift at nose 12'],
  tailRocker12_mm: ['mm', 'lift at tail 12'],
  noseRockerMiddle_mm: ['mm', 'nose lift from mid-length'],
  tailRockerMiddle_mm: ['mm', 'tail lift from mid-length'],
  noseRockerTable_mm: ['mm', 'nose lift on a table'],
  tailRockerTable_mm: ['mm', 'tail lift on a table'],
  noseRail12_mm: ['mm', 'rail line at nose 12'],
  tailRail12_mm: ['mm', 'rail line at tail 12'],
  noseThickness12_mm: ['mm', 'thick at nose 12'],
  tailThickness12_mm: ['mm', 'thick at tail 12'],
  foilBias12_mm: ['mm', 'nose less tail thickness at 12'],
  volume_L: ['L', 'litres'],
  volumeAhead_L: ['L', 'litres ahead of centre'],
  volumeBehind_L: ['L', 'litres behind centre'],
  foamCentre_mm: ['mm', 'centre of the foam ahead of centre'],
  chest_L: ['L', 'litres under the chest'],
  frontFoot_L: ['L', 'litres under the front foot'],
  backFoot_L: ['L', 'litres under the back foot'],
  area_mm2: ['mm2', 'plan area'],
  areaAhead_mm2: ['mm2', 'plan area ahead of centre'],
  areaBehind_mm2: ['mm2', 'plan area behind centre'],
  areaCentre_mm: ['mm', 'centre of the plan ahead of centre'],
  areaBehindFins_mm2: ['mm2', 'plan area behind the fins'],
  deckSkin_mm2: ['mm2', 'deck surface'],
  bottomSkin_mm2: ['mm2', 'wetted surface'],
  skin_mm2: ['mm2', 'whole surface'],
  railThicknessNose12_mm: ['mm', 'rail thickness at nose 12'],
  railThicknessWide_mm: ['mm', 'rail thickness at the wide point'],
  railThicknessTail12_mm: ['mm', 'rail thickness at tail 12'],
  flatLength_mm: ['mm', 'flattest part, length'],
  flatMiddle_mm: ['mm', 'flattest part, its middle from the tail'],
  outlineRadiusTail_mm: ['mm', 'outline radius in the tail third'],
  outlineRadiusMiddle_mm: ['mm', 'outline radius in the middle third'],
  outlineRadiusNose_mm: ['mm', 'outline radius in the nose third'],
  outlineEvenness: ['', 'outline evenness in the middle third'],
  rockerRadiusTail_mm: ['mm', 'rocker radius in the tail third'],
  rockerRadiusMiddle_mm: ['mm', 'rocker radius in the middle third'],
  rockerRadiusNose_mm: ['mm', 'rocker radius in the nose third'],
  rockerEvenness: ['', 'rocker evenness in the middle third'],
  fullness: ['', 'litres over length x width x thickness'],
} as const satisfies Record<string, readonly [MeasureUnit, string]>;
export type MeasureKey = keyof typeof MEASURES;

/** Every measure of a shape. Takes a few milliseconds; measure() has the headline alone. */
export function allMeasures(shape: Shape, feet: Feet = usualFeet(shape.board.length_mm)): Record<MeasureKey, number> {
  const headline = measure(shape);
  const area = areaSpread_mm2(shape);
  const foam = foamSpread_L(shape);
  const skin = skinOf(shape, { stations: 120, ring: 96 });
  const flat = flattestPart(shape);
  const plan = bendsByThird(shape.outline.base);
  const rocker = bendsByThird(shape.rocker.line);
  const middle = tipLifts(shape, 'middle');
  const table = tipLifts(shape, 'table');
  const nose12 = shape.board.length_mm - TWELVE_mm;
  return {
    ...headline,
    curveLength_mm: curveLength_mm(shape),
    noseRockerMiddle_mm: middle.noseLift_mm,
    tailRockerMiddle_mm: middle.tailLift_mm,
    noseRockerTable_mm: table.noseLift_mm,
    tailRockerTable_mm: table.tailLift_mm,
    noseRail12_mm: railLineAt(shape, nose12),
    tailRail12_mm: railLineAt(shape, TWELVE_mm),
    foilBias12_mm: foilDifferences(shape, [12])[0].difference_mm,
    volumeAhead_L: foam.ahead,
    volumeBehind_L: foam.behind,
    foamCentre_mm: foam.centroidFromCentre_mm,
    ...litresUnder(shape, feet),
    areaAhead_mm2: area.ahead,
    areaBehind_mm2: area.behind,
    areaCentre_mm: area.centroidFromCentre_mm,
    areaBehindFins_mm2: areaBehindFins_mm2(shape),
    deckSkin_mm2: skin.deck_mm2,
    bottomSkin_mm2: skin.bottom_mm2,
    skin_mm2: skin.total_mm2,
    railThicknessNose12_mm: railThicknessAt(shape, nose12),
    railThicknessWide_mm: railThicknessAt(shape, shape.outline.wide_mm),
    railThicknessTail12_mm: railThicknessAt(shape, TWELVE_mm),
    flatLength_mm: flat.length_mm,
    flatMiddle_mm: flat.middle_mm,
    outlineRadiusTail_mm: plan.tail.radius_mm,
    outlineRadiusMiddle_mm: plan.middle.radius_mm,
    outlineRadiusNose_mm: plan.nose.radius_mm,
    outlineEvenness: plan.middle.evenness,
    rockerRadiusTail_mm: rocker.tail.radius_mm,
    rockerRadiusMiddle_mm: rocker.middle.radius_mm,
    rockerRadiusNose_mm: rocker.nose.radius_mm,
    rockerEvenness: rocker.middle.evenness,
    fullness: (headline.volume_L * 1e6) / (headline.length_mm * headline.width_mm * headline.thickness_mm),
  };
}
