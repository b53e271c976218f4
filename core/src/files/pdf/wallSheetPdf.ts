import type { Shape } from '../../shape/shape.ts';
import type { Paper } from '../../make/paper.ts';
import type { LengthStyle } from '../../units/format.ts';
import { wallPage } from '../wallPage.ts';
import type { FontFiles } from './fonts.ts';
import { onePagePdf } from './onePagePdf.ts';

/** The wall sheet, as one page. */
export function wallSheetPdf(
  shape: Shape,
  paper: Paper,
  style: LengthStyle,
  fonts: FontFiles,
  heading: { name: string; riderName?: string },
): Promise<Uint8Array> {
  return onePagePdf(wallPage(shape, paper, style, heading), fonts);
}
