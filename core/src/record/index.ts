export {
  type BoardRecord,
  boardRecordFrom,
  boardRecordSchema,
  type Felt,
  FELT,
  MOST_RIDES,
  MOST_VERSIONS,
  type Parent,
  type ParentKind,
  type Ride,
  type Version,
} from './record.ts';
export {
  atVersion,
  cutVersion,
  type Making,
  parentOf,
  versionMade,
  versionsOf,
  withChangeTaken,
  withFrozen,
  workingDiffers,
} from './versions.ts';
export { recordJsonSchemas, writeRiderSheet } from './riderSheet.ts';
export { madeFor, type MadeFor } from './riderHistory.ts';
export {
  type KeptPart,
  MOST_KEPT,
  PRINTS_ON,
  type PrintsOn,
  type Settings,
  settingsFrom,
  settingsSchema,
  USUAL_SETTINGS,
} from './settings.ts';
