export { type BoardRecord, boardRecordFrom, boardRecordSchema, MOST_RIDES } from './record.ts';
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
