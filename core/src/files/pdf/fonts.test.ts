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
    const faces = await Promise.all(
      [1, 2].map(async () => faceFor(await PDFDocument.create(), FONTS.plain, ['Nose 12'])),
    );
    for (const face of faces) {
      const [nose, tail] = ['Nose 12', 'Tail 12'].map((text) => runsOf(face, text)[0]);
      // Letters are numbered as they come up in a document: N, o, s, e, space, 1, 2, then T, a, i, l.
      expect(codesOf(nose).toString()).toBe('<0001000200030004000500060007>');
      expect(codesOf(tail).toString()).toBe('<00080009000A000B000500060007>');
      expect(codesOf(nose)).toBe(codesOf({ ...nose }));
      expect(codesOf(nose).toString()).toBe(nose.font.encodeText('Nose 12').toString());
    }
    expect(codesOf(runsOf(faces[0], 'Nose 12')[0])).not.toBe(codesOf(runsOf(faces[1], 'Nose 12')[0]));
  });
});
