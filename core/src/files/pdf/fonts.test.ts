import { describe, expect, test } from '@jest/globals';
import { PDFDocument } from 'pdf-lib';
import { FONTS } from '../../testing/fonts.ts';
import { codesOf, faceFor, runsOf, widthOf_mm } from './fonts.ts';

describe('A text in a face', () => {
  test("is as wide as pdf-lib's own measure of it in one piece, however often it is asked for", async () => {
    const face = await faceFor(await PDFDocument.create(), FONTS.plain, ['Привет']);
    const [{ font }] = face;
    for (const text of ['Slack Water 118', ' two  spaces ', '19 1/2', 'office fjord', '']) {
      const whole = font.widthOfTextAtSize(text, 5);
      expect(widthOf_mm(face, text, 5)).toBeCloseTo(whole, 9);
      expect(widthOf_mm(face, text, 5)).toBeCloseTo(whole, 9);
      expect(widthOf_mm(face, text, 10)).toBeCloseTo(2 * whole, 9);
    }
    const other = runsOf(face, 'Slack Привет')[1];
    expect(other.font).not.toBe(font);
    expect(widthOf_mm(face, 'Slack Привет', 5)).toBeCloseTo(
      font.widthOfTextAtSize('Slack ', 5) + other.font.widthOfTextAtSize('Привет', 5),
      9,
    );
  });

  test('stands in the file as its own font writes it, in each document anew', async () => {
    const written = async (text: string) => {
      const face = await faceFor(await PDFDocument.create(), FONTS.plain, []);
      const [run] = runsOf(face, text);
      expect(codesOf(run)).toBe(codesOf(run));
      expect(codesOf(run).toString()).toBe(run.font.encodeText(text).toString());
      return codesOf(run);
    };
    expect(await written('Nose 12')).not.toBe(await written('Nose 12'));
    expect((await written('Nose 12')).toString()).not.toBe((await written('Tail 12')).toString());
  });
});
