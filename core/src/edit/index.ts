export {
  depthAsked,
  fadeOf,
  movedTo,
  placeAt,
  SAME_STATION_mm,
  withCrownAt,
  withDepthAt,
  withFade,
  withRailAt,
  withRailCopied,
} from './atStation.ts';
export {
  type Change,
  changesBetween,
  changeSays,
  changesSentence,
  type Replaced,
  replacedBetween,
  withReplaced,
} from './changes.ts';
export { BOTTOM_PRESETS, bottomPresetOf, withBottomPreset, withLayerDepth } from './bottomPresets.ts';
export {
  featureLitres,
  mayHaveFeature,
  withCrown,
  withCrownTimes,
  withDeckFeature,
  withNewCrown,
  withNewDeckFeature,
  withoutCrown,
  withoutDeckFeature,
} from './deck.ts';
export { type Fewer, withFewerMarks } from './fewer.ts';
export { fillOf, grown } from './grow.ts';
export { joinedOutlines } from './join.ts';
export { type Held, HOLDABLE, scaledToLitres } from './litres.ts';
export {
  type MarkedCurve,
  type MarkRow,
  markRows,
  withLength,
  READING_ERROR_mm,
  withMarkAt,
  withMarkHard,
  withMarkValue,
  withNewMark,
  withoutMark,
} from './marks.ts';
export { blended, exaggerated, type Mixed } from './mix.ts';
export {
  withDepthMark,
  withFinBox,
  withLayer,
  withLayerSwitched,
  withNewDepthMark,
  withNewLayer,
  withNewRail,
  withNewWing,
  withoutDepthMark,
  withoutLayer,
  withoutRail,
  wingsTold,
  withoutWing,
  withRail,
  withRailEverywhere,
  withWing,
} from './parts.ts';
export { solvedFor } from './shift.ts';
export { readRun, type RunAsked, withStraightRun } from './straightRun.ts';
export { FAMILY_DECIDES, type Part, PART_FACTS, PARTS, withFamily, withPart } from './take.ts';
export { stretched, withEqualEnds, withNose, withTail } from './size.ts';
export { MOST_SIZES, type SizeOfRun, type SizeRun, sizeRunSchema, sizesOf, usualRun } from './sizeRun.ts';
