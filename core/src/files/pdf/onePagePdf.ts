import type { OnePage } from '../onePage.ts';
import { pageSize } from './firstPage.ts';
import { faceFor, type FontFiles } from './fonts.ts';
import { newDocument } from './newDocument.ts';
import { fillBoxes, POINT_PER_mm, strokeLine, writeText } from './pen.ts';

/** A page as PDF, its letters embedded. Made the same from the same page. */
export async function onePagePdf(page: OnePage, fonts: FontFiles): Promise<Uint8Array> {
  const document = await newDocument(page.title);
  const said = page.texts.map(({ text }) => text);
  const plain = await faceFor(document, fonts.plain, said);
  const strong = await faceFor(document, fonts.strong, said);
  const sheet = document.addPage(pageSize(page.width_mm, page.height_mm));
  for (const { points, weight_mm, ...how } of page.lines) strokeLine(sheet, points, weight_mm, how);
  fillBoxes(sheet, page.boxes);
  for (const text of page.texts) writeText(sheet, text.strong ? strong : plain, text.text, text);
  for (const { png, x_mm, y_mm, width_mm, height_mm } of page.pictures ?? []) {
    const picture = await document.embedPng(png);
    const size = picture.scaleToFit(width_mm * POINT_PER_mm, height_mm * POINT_PER_mm);
    sheet.drawImage(picture, { x: x_mm * POINT_PER_mm, y: y_mm * POINT_PER_mm, ...size });
  }
  return document.save();
}
