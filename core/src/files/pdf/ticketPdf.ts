import type { Shape } from '../../shape/shape.ts';
import type { Paper } from '../../make/paper.ts';
import type { LengthStyle } from '../../units/format.ts';
import { ticketPage, type TicketExtras } from '../ticketPage.ts';
import type { FontFiles } from './fonts.ts';
import { onePagePdf } from './onePagePdf.ts';

/** The ticket that hangs on the blank, as one page. */
export function ticketPdf(
  shape: Shape,
  paper: Paper,
  style: LengthStyle,
  fonts: FontFiles,
  extras: TicketExtras = {},
): Promise<Uint8Array> {
  return onePagePdf(ticketPage(shape, paper, style, extras), fonts);
}
