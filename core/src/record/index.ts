export {
  type BlindTrial,
  BOX_KINDS,
  type BoxKind,
  type CutBox,
  type BoardRecord,
  boardRecordFrom,
  boardRecordSchema,
  type FinLayout,
  type Letter,
  LETTERS,
  MOST_LAYOUTS,
  MOST_RIDES,
  MOST_TRIALS,
  MOST_VERSIONS,
  type Parent,
  type ParentKind,
  type Version,
} from './record.ts';
export {
  type BoardFailure,
  type Failure,
  FAILURES,
  type Felt,
  MOST_FAILURES,
  MOST_PHOTOS,
  type Ride,
  type Wind,
} from './ride.ts';
export { asOnCard, cardFor, type CardOff, isOffCard, MET, offCard, offWords } from './card.ts';
export { type Card, EDITION } from './cardSchema.ts';
export { type Answers, answersOf } from './askAnswers.ts';
export { filtersFrom } from './askRead.ts';
export { writtenOf } from './written.ts';
export { answering, FAILURE_WORDS, type Filter, filterWords, questionSentence, WIND_WORDS } from './ask.ts';
export { withoutTrial, withTrialChosen, withTrialDealt } from './blind.ts';
export { rowLegible, rowPacked, rowUnpacked, stored, type StoredRecord, unstored } from './past.ts';
export { judgedChanges, ridesOf } from './helped.ts';
export { boardRowMended, boardRowRead, mended, readLeniently, type RowRead } from './lenient.ts';
export { ELSEWHERE, mergedRecord } from './mergedRecord.ts';
export {
  boardsOf,
  familyTree,
  type FamilyTree,
  PARENT_WORDS,
  type TreeBoard,
  type TreeBranch,
  type TreeLine,
  withRelatives,
} from './familyTree.ts';
export {
  BOX_WORDS,
  boxesApart,
  slide_mm,
  USUAL_BOX_mm,
  withCutBox,
  withFinSet,
  layoutsOf,
  withLayoutAdded,
  withLayoutFitted,
  withLayoutKept,
  withLayoutNamed,
  withoutLayout,
} from './finLayouts.ts';
export { type Drift, driftFrom, WINNER_MASS_kg, winnerOf } from './winner.ts';
export {
  atVersion,
  cutVersion,
  type Making,
  parentOf,
  versionMade,
  versionsOf,
  withChangeTaken,
  withFrozen,
  withParent,
  workingDiffers,
} from './versions.ts';
export { type KeptSteps, stepsPacked, stepsUnpacked } from './steps.ts';
export { recordJsonSchemas, writeRiderSheet } from './riderSheet.ts';
export { madeFor, type MadeFor } from './riderHistory.ts';
export {
  type FinSet,
  INSIDES,
  type KeptPart,
  MOST_KEPT,
  MOST_LOGO,
  MOST_SETS,
  PRINTS_ON,
  type PrintsOn,
  type Settings,
  settingsFrom,
  settingsSchema,
  USUAL_SETTINGS,
} from './settings.ts';
export { type Mishap, mishapOf, mishapsFile, mishapsFrom, withMishap } from './mishap.ts';
