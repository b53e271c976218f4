export { drawingPdf, type PrinterReading, templatePdf } from './templatePdf.ts';
export { ticketPdf, type TicketExtras } from './ticketPdf.ts';
export { LEAST_ROLL_mm, OVERLAP_mm, type Paper, PAPERS, type PrintedOn, tilingOf, tilingOn } from './tiling.ts';
export { wallSheetPdf } from './wallSheetPdf.ts';
