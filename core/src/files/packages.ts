/** The writers that bring a library of their own: kept apart so that the app loads them only when asked. */
export { drawingToDxf, type DxfCurves } from './dxf.ts';
export { meshToThreeMf } from './threeMf.ts';
export { boardFromStations, furthestOff, stationsToCsv } from './stationCsv.ts';
export { type Residual, type StationsRead } from './stationCsv.ts';
export {
  shownTable,
  TABLE_KEYS,
  TABLE_UNITS,
  type TableChoices,
  type TableFrom,
  type TableKey,
  type TableShown,
  type TableUnit,
} from './stationTable.ts';
export { boardsToCsv } from '../record/boardsCsv.ts';
export { shelfFromCsv, shelfToCsv } from '../make/shelfCsv.ts';
export { sizeRunToCsv } from './sizeRunCsv.ts';
export { zipOf } from './zipOf.ts';
export {
  BACKUP_TABLES,
  type BackupRead,
  type BackupTable,
  backupZip,
  type KeptPhoto,
  readBackup,
  type ShedRows,
} from './backup.ts';
export {
  type Choice,
  type Fate,
  type RestoreRow,
  restoredRow,
  restoreDifference,
  restorePlan,
  rowName,
} from './restore.ts';
export { shapeToStep, type StepFile } from './step/step.ts';
