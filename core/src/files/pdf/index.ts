export { FONT_FILES, type FontFiles } from './fonts.ts';
export { papersZip } from './papersZip.ts';
export { boardPdf, paperPdf } from './boardPapers.ts';
export { ticketPdf } from './ticketPdf.ts';
export { wallSheetPdf } from './wallSheetPdf.ts';
export { onePagePdf } from './onePagePdf.ts';
