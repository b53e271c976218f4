import { describe, expect, test } from '@jest/globals';
import fontkit from '@pdf-lib/fontkit';
import { FONTS } from '../../testing/fonts.ts';
import { plainFont } from './woff.ts';

/** Sum of a table's words of four bytes (OpenType 1.9, "Calculating checksums"): the head's own sum counts as nothing. */
function sumOf(view: DataView, tag: string, offset: number, length: number): number {
  let sum = 0;
  for (let i = 0; i < length; i += 4) if (tag !== 'head' || i !== 8) sum = (sum + view.getUint32(offset + i)) >>> 0;
  return sum;
}

const FILES = [...FONTS.plain, ...FONTS.strong];

describe('A font out of its WOFF', () => {
  test('has every table as its maker summed it, in a directory by tag, and is as long as the WOFF says', () => {
    expect(FILES.length).toBe(10);
    for (const file of FILES) {
      const font = plainFont(file);
      const view = new DataView(font.buffer);
      expect(font.byteLength).toBe(new DataView(file.buffer, file.byteOffset).getUint32(16));
      const tables = Array.from({ length: view.getUint16(4) }, (_, i) => {
        const at = 12 + 16 * i;
        const tag = String.fromCharCode(...font.subarray(at, at + 4));
        const [sum, offset, length] = [4, 8, 12].map((k) => view.getUint32(at + k));
        return { tag, sum, offset, length };
      });
      expect(tables.map(({ tag }) => tag)).toEqual(expect.arrayContaining(['cmap', 'glyf', 'head', 'hmtx', 'loca']));
      expect(tables.map(({ tag }) => tag)).toEqual(tables.map(({ tag }) => tag).sort());
      for (const { tag, sum, offset, length } of tables) expect(sumOf(view, tag, offset, length)).toBe(sum);
    }
    // OpenType 1.9, table directory: of 15 tables, 8 by halves in 3 goes, and 7 over.
    const view = new DataView(plainFont(FONTS.plain[0]).buffer);
    expect([4, 6, 8, 10].map((at) => view.getUint16(at))).toEqual([15, 128, 3, 112]);
  });

  test('lays its letters out as the WOFF does, by fontkit', () => {
    const [file] = FONTS.plain;
    const [packed, plain] = [fontkit.create(file), fontkit.create(plainFont(file))];
    expect(plain.characterSet).toEqual(packed.characterSet);
    for (const text of ['Slack Water 118', 'office fjord', '19 1/2"', 'AVATAR']) {
      const [a, b] = [packed.layout(text), plain.layout(text)];
      expect(b.glyphs.map(({ id }) => id)).toEqual(a.glyphs.map(({ id }) => id));
      expect(b.glyphs.map(({ advanceWidth }) => advanceWidth)).toEqual(
        a.glyphs.map(({ advanceWidth }) => advanceWidth),
      );
    }
  });

  test('is left as it is where it is none, or plain already', () => {
    const plain = plainFont(FONTS.plain[0]);
    expect(plainFont(plain)).toBe(plain);
    const short = new Uint8Array([0x77, 0x4f, 0x46, 0x46]);
    expect(plainFont(short)).toBe(short);
  });

  test('that is cut off is refused', () => {
    expect(() => plainFont(FONTS.plain[0].slice(0, 2000))).toThrow();
  });
});
