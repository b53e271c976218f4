export * from './units/index.ts';
export * from './tolerances.ts';
export { blendAt, type Blend, blendThrough } from './curve/blend.ts';
export { FairCurve } from './curve/fairCurve.ts';
export type { CurveMark } from './curve/curveMark.ts';
export { type Batten, hollowStretches, sprungThrough } from './curve/spring.ts';
export * from './document/schema.ts';
export { boardJsonSchema } from './document/jsonSchema.ts';
export {
  type BoardRecord,
  boardRecordSchema,
  MOST_RIDES,
  type Order,
  type Ride,
  type Shaped,
} from './record/record.ts';
export { madeFor, type MadeFor, massOn } from './record/riderHistory.ts';
export { understood, writtenOver } from './document/kept.ts';
export {
  LENGTH_STYLES,
  type Paper,
  PAPERS,
  type Settings,
  settingsFrom,
  settingsSchema,
  USUAL_SETTINGS,
} from './record/settings.ts';
export { boardFrom, boardIssues, type Issue, type Opened } from './shape/issues.ts';
export { type Anchors, anchorsOf, distanceFrom, stationOfMark } from './document/station.ts';
export { sectionAt, type Shape, shapeOf } from './shape/shape.ts';
export { type CurveTrouble, curveTroubles, hollowsOf } from './shape/troubles.ts';
export { FAMILY_WORDS, LAYER_WORDS, TAIL_WORDS } from './document/words.ts';
export {
  battenAlone,
  halfBreadthAt,
  notchHalfBreadthAt,
  type Outline,
  outlinePoints,
  sprungOutline,
} from './outline/outline.ts';
export { hasBlock } from './outline/tails.ts';
export { type Rocker, sprungRocker } from './rocker/rocker.ts';
export { type Foil, sprungFoil, thicknessAt } from './foil/foil.ts';
export { type RailAt, railAt, railRatio } from './rails/rails.ts';
export { type BottomAcross, bottomHeight } from './bottom/bottom.ts';
export {
  bottomPoint,
  deckParameterAt,
  deckPoint,
  filletPoint,
  halfArea,
  type Section,
  type SectionPoint,
  underPoint,
} from './section/section.ts';
export { straightedgeAcross, type StraightedgeReading } from './section/straightedge.ts';
export { bottomRelief, type ReliefLine } from './measure/relief.ts';
export { deckHeightAt, undersideHeightAt } from './section/heights.ts';
export { type Mesh, type MeshDetail, meshOf, meshVolume_mm3, USUAL_DETAIL } from './solid/mesh.ts';
export { meshNormals } from './solid/normals.ts';
export { detailForChord } from './solid/detail.ts';
export { CREASE_rad, type LitMesh, litMesh } from './solid/creases.ts';
export { type DeckShade, deckShade } from './solid/shade.ts';
export { integrateAlong } from './measure/integrate.ts';
export { measure, type Measures, TWELVE_mm } from './measure/measure.ts';
export { allMeasures, type MeasureKey, MEASURES, type MeasureUnit } from './measure/allMeasures.ts';
export { type Bend, bendOf, bendsByThird, flattestPart } from './measure/bend.ts';
export { buttockLineAt, curveLength_mm, lowestAt, railLineAt, stringerLineAt } from './measure/bottomLines.ts';
export {
  type Comparison,
  compared,
  type LeverDifference,
  leverDifferences,
  leverWords,
  type MeasureDifference,
} from './measure/compare.ts';
export {
  areaBehindFins_mm2,
  areaSpread_mm2,
  type Feet,
  foamSpread_L,
  foamWidth,
  litresBetween,
  litresUnder,
  sectionAreas,
  type Spread,
  usualFeet,
} from './measure/distribution.ts';
export {
  type Datum,
  datumOf,
  liftOver,
  READING_WORDS,
  ROCKER_READINGS,
  type RockerReading,
  straightLengthFor,
  type TipLifts,
  tipLifts,
  withTipLifts,
} from './measure/rockerReading.ts';
export { type Skin, skinOf } from './measure/skin.ts';
export {
  foilDifferences,
  placeWords,
  railThicknessAt,
  type StationPlace,
  type StationRow,
  stationTable,
  USUAL_STATIONS,
} from './measure/stationTable.ts';
export { planArea_mm2, sectionArea, volume_L } from './measure/volume.ts';
export { changeWords } from './measure/changeWords.ts';
export { bottomWords, ticketLines, type TicketLine } from './measure/ticket.ts';
export * from './edit/marks.ts';
export { joinedOutlines } from './edit/join.ts';
export * from './edit/parts.ts';
export { type Held, HOLDABLE, LITRES_MET, scaledToLitres } from './edit/litres.ts';
export { blended, exaggerated, type Mixed } from './edit/mix.ts';
export { areaShifted, foilShifted, type Solved, solvedFor } from './edit/shift.ts';
export {
  stretched,
  type StretchRule,
  thickened,
  widened,
  widePointMoved,
  withEqualEnds,
  withNose,
  withTail,
} from './edit/size.ts';
export { BOTTOM_PRESETS, bottomPresetOf, withBottomPreset, withLayerDepth } from './edit/bottomPresets.ts';
export { type FinSpot, finSpots } from './fins/spots.ts';
export { fairnessTones } from './curve/sideLight.ts';
export { ALSO_SERVES, FIN_TEMPLATES, finBoxes, SETUP_WORDS, withSetup } from './fins/placement.ts';
export { finFaces, nacaHalfThickness } from './fins/finFoil.ts';
export { finArea_mm2, finChord, finMesh, finNumbers, finPlan } from './fins/finShape.ts';
export { placedFins } from './fins/placed.ts';
export { type FinTrouble, finTroubles, setupTroubles, toeLines } from './fins/checks.ts';
export * from './rider/rider.ts';
export { type Answer } from './rider/answer.ts';
export { type Brief, briefSchema } from './rider/brief.ts';
export {
  type EqualBoard,
  equalLitreBoards,
  familiesFor,
  gentleQuestions,
  type LastBoard,
  type Question,
  type Sized,
  sizedBySchools,
} from './rider/sizing.ts';
export { FAMILY_SHARE, LITRES_PER_KG, litresFor, type LitresTarget, ridersFor } from './rider/litres.ts';
export { type SchoolQuestion, SCHOOLS, type Schools, schoolsSchema, USUAL_SCHOOLS } from './rider/schools.ts';
export { Facts, usualRange } from './judge/facts.ts';
export { lever, type LeverId, LEVERS } from './judge/levers.ts';
export { type Case, type Group, GROUP_WORDS, type Level, type Rule, type Writer } from './judge/rule.ts';
export { SENSIBLE_RUN } from './judge/rules/size.ts';
export { judged, type Note, RULES, verdict, writerOf } from './judge/judge.ts';
export { judgementDocument, stepWords } from './judge/judgementDocument.ts';
export { compareTraits, type TraitComparison, traitNumber, TRAITS } from './judge/traits.ts';
export { type Change, changesFor, type Complaint, COMPLAINTS, complaintsFor, pushedFar } from './judge/complaints.ts';
export { modelNamed, models } from './models/models.ts';
export {
  boardOf,
  contour,
  inches,
  RAIL_PRESETS,
  type RailPresetName,
  railStation,
  type Recipe,
} from './models/recipe.ts';
export { readBoardFile, type Read, writeBoardFile } from './files/boardFile.ts';
export type { Drawing, DrawnLine, DrawnText } from './files/drawing.ts';
export { drawingToSvg, withCheckSquare } from './files/svg.ts';
export { CHECK_SQUARE_mm, halfOutlineDrawing, sizeLine } from './files/templateDrawing.ts';
export { meshToStl } from './files/stl.ts';
export { meshToObj, meshToPly } from './files/obj.ts';
export { bandLines } from './files/bandsDrawing.ts';
export { type DrawingName, DRAWINGS } from './files/boardDrawings.ts';
export { type HalfCounts, halfSection, sectionRing } from './section/walk.ts';
export {
  type Blank,
  blankLines,
  blankSchema,
  type Foam,
  FOAM_WORDS,
  FOAMS,
  shelfSchema,
  usualShelf,
} from './make/blank.ts';
export {
  type Allowance,
  fitInBlank,
  type Margin,
  marginAt,
  type RankedBlank,
  rankedBlanks,
  shortfallWords,
} from './make/blankFit.ts';
export { planingPlan, type PlaningStation, USUAL_PASS_mm } from './make/planing.ts';
export {
  type Cloth,
  CLOTH_WORDS,
  CLOTHS,
  type GlassSchedule,
  type Laminate,
  type Laminated,
  laminated,
  lighter,
  scheduleWords,
  USUAL_SCHEDULE,
} from './make/glass.ts';
export {
  type AssumptionKey,
  ASSUMPTION_KEYS,
  ASSUMPTIONS,
  type GlassAssumptions,
  glassAssumptionsSchema,
  USUAL_ASSUMPTIONS,
} from './make/glassAssumptions.ts';
export {
  type Band,
  type BandCounts,
  bandedSection,
  bandsAt,
  type BandStation,
  bandTable,
  DECK_BANDS,
  type RailBands,
  railBands,
  UNDER_BANDS,
  USUAL_BANDS,
} from './make/railBands.ts';
export * from './make/workingDays.ts';
export * from './make/schedule.ts';
export { type CostLine, type CostSheet, costSheet } from './make/cost.ts';
export {
  MOST_PRICE_LINES,
  type PriceLine,
  priceLineSchema,
  type Prices,
  pricesSchema,
  type Tolerances,
  tolerancesSchema,
  USUAL_STAGES,
  USUAL_WORKSHOP,
  type Workshop,
  workshopFrom,
  workshopSchema,
} from './make/workshop.ts';
export {
  type Measured,
  measuredAgainst,
  measuringSheet,
  readingTrouble,
  readOf,
  type Readings,
  SHEET_GROUP_WORDS,
  SHEET_GROUPS,
  type SheetGroup,
  type SheetLine,
} from './make/measuringSheet.ts';
export { asBuilt, readingsOf } from './make/asBuilt.ts';
export { type Caution, CAUTIONS, cautionWords, foamCautions, glassCautions, stageCautions } from './make/cautions.ts';
export { MOST_SIZES, type SizeOfRun, type SizeRun, sizeRunSchema, sizesOf, usualRun } from './edit/sizeRun.ts';
