export { asBuilt, readingsOf } from './asBuilt.ts';
export { type Blank, blankLines, blankSchema, type Foam, FOAM_WORDS, FOAMS, shelfSchema, usualShelf } from './blank.ts';
export {
  type Allowance,
  fitInBlank,
  type Margin,
  marginAt,
  type RankedBlank,
  rankedBlanks,
  shortfallBrief,
  shortfallWords,
} from './blankFit.ts';
export { type Caution, cautionWords, foamCautions, glassCautions, stageCautions } from './cautions.ts';
export { costSheet } from './cost.ts';
export {
  type Cloth,
  CLOTH,
  CLOTHS,
  type GlassSchedule,
  type Laminate,
  type Laminated,
  laminated,
  lighter,
  scheduleWords,
  USUAL_SCHEDULE,
} from './glass.ts';
export {
  ASSUMPTION_KEYS,
  type AssumptionKey,
  ASSUMPTIONS,
  type GlassAssumptions,
  USUAL_ASSUMPTIONS,
} from './glassAssumptions.ts';
export {
  type Measured,
  measuredAgainst,
  measuringSheet,
  type Readings,
  readingTrouble,
  SHEET_GROUP_WORDS,
  SHEET_GROUPS,
  type SheetGroup,
  type SheetLine,
  toleranceOf,
} from './measuringSheet.ts';
export { planingPlan, type PlaningStation } from './planing.ts';
export {
  type BandCounts,
  type BandPlan,
  bandPlanSchema,
  FIXED_AT,
  type FixedLine,
  bandedSection,
  bandsAt,
  bandTable,
  DECK_BANDS,
  type RailBands,
  railBands,
  UNDER_BANDS,
  USUAL_BANDS,
} from './railBands.ts';
export { type Pace, type Stage, type Standing, standing, weeklyLoad } from './schedule.ts';
export { type Day, dayAfter, daySchema, FIRST_DAY, LAST_DAY, WEEKDAYS } from './workingDays.ts';
export {
  MOST_PRICE_LINES,
  priceLineSchema,
  type Prices,
  pricesSchema,
  type Tolerances,
  tolerancesSchema,
  USUAL_WORKSHOP,
  type Workshop,
  workshopSchema,
} from './workshop.ts';

export { type CheckSquare, checkSquareOf, LEAST_ROLL_mm, type Paper, PAPERS, type PrintedOn } from './paper.ts';
export { USUAL_WIRE_BLOCK, type WireBlock, wireBlockSchema, type WirePlan, wirePlan } from './hotWire.ts';
export { type Finish, finishRead } from './colours.ts';
