export { bandLines } from './bandsDrawing.ts';
export { type DrawingName, DRAWINGS } from './boardDrawings.ts';
export { readBoardFile, writeBoardFile } from './boardFile.ts';
export type { Drawing } from './drawing.ts';
export { meshToObj, meshToPly } from './obj.ts';
export { meshToStl } from './stl.ts';
export { drawingToSvg, withCheckSquare } from './svg.ts';
export { halfOutlineDrawing, sizeLine } from './templateDrawing.ts';
export { BYTES_A_FACET, solidSizeWords, USUAL_CHORD_mm } from './solidFiles.ts';
