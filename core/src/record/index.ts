export { type BoardRecord, boardRecordFrom, boardRecordSchema, MOST_RIDES } from './record.ts';
export { madeFor, type MadeFor } from './riderHistory.ts';
export { PRINTS_ON, type PrintsOn, type Settings, settingsFrom, settingsSchema, USUAL_SETTINGS } from './settings.ts';
