export { drawingPdf, type PrinterReading, templatePdf } from './templatePdf.ts';
export { ticketPdf, type TicketExtras } from './ticketPdf.ts';
export { type Paper, PAPERS } from '../../make/paper.ts';
export { LEAST_ROLL_mm, OVERLAP_mm, type PrintedOn, tilingOf, tilingOn } from './tiling.ts';
export { wallSheetPdf } from './wallSheetPdf.ts';
