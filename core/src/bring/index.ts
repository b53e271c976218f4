export { DRAWING_UNITS, type DrawingUnit, readDrawing } from './drawingFile.ts';
export type { DrawingRead } from './drawingRead.ts';
export {
  boardFromDrawing,
  type BringChoices,
  type Brought,
  type BroughtIn,
  type DrawingChoicesIn,
  type DrawnPart,
  LINE_USES,
  type LineUse,
  type PartMisfit,
  partsOf,
  planOf,
  type Uses,
} from './drawn.ts';
export type { Point, Stroke } from './plane.ts';
export {
  boardFromScan,
  SCAN_UNITS,
  type ScanFindings,
  scanLength,
  type ScanMade,
  type ScanUnit,
} from './scan/fitScan.ts';
export { apartOn } from './scan/apartOn.ts';
export type { Scan } from './scan/cloud.ts';
export { CLEAN_SCANNER, madeUpScan, ROUGH_SCANNER } from './scan/madeUpScan.ts';
export { scanFileKind, type ScanFileKind } from './scan/scanFile.ts';
export type { Band, Bands } from './measured/bands.ts';
export {
  boardFromSheet,
  furthestRead,
  MET_mm,
  type SheetChoices,
  type SheetMade,
  type SheetResidual,
  worstOf,
} from './measured/fromSheet.ts';
export { PERFECT_HANDS, readByHand, ROUGH_HANDS } from './measured/hands.ts';
export {
  lineOf,
  type Read,
  readingTrouble,
  SHEET_READINGS,
  type SheetReading,
  type SheetReadings,
  type Tool,
  TOOL_KINDS,
  TOOLS,
} from './measured/sheet.ts';
export type { Picture } from './photo/findOutline.ts';
export { onDarkLine } from './photo/darkLine.ts';
export { boardFromPhoto, type Known, markedOnPlane, type PhotoChoices, type PhotoMade } from './photo/fromPhoto.ts';
export { madeUpPhoto, USUAL_CAMERA } from './photo/madeUpPhoto.ts';
export { pictureFileKind } from './photo/pictureFile.ts';
export { readPoints } from './pointList.ts';
export {
  madeUpGauge,
  type RailChoices,
  railFromTemplate,
  type RailRead,
  USUAL_GAUGE,
  withRailFound,
} from './railTemplate.ts';
