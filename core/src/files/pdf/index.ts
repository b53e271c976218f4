export { templatePdf } from './templatePdf.ts';
export { ticketPdf, type TicketExtras } from './ticketPdf.ts';
export { OVERLAP_mm, type Paper, PAPERS, tilingOf } from './tiling.ts';
