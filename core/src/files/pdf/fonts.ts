import fontkit from '@pdf-lib/fontkit';
import type { PDFDocument, PDFFont, PDFHexString } from 'pdf-lib';
import { plainFont } from './woff.ts';

/**
 * Files of the fonts that go into a PDF, in the order letters are looked for in: what is printed is embedded, so that a sheet
 * looks the same on every printer and a name keeps its letters.
 */
export interface FontFiles {
  plain: readonly Uint8Array[];
  strong: readonly Uint8Array[];
}

/** Where those files lie in the packages they come in (SIL Open Font License 1.1): Latin first, then its other letters, Greek, Cyrillic. */
export const FONT_FILES = {
  plain: [
    '@fontsource/archivo/files/archivo-latin-400-normal.woff',
    '@fontsource/archivo/files/archivo-latin-ext-400-normal.woff',
    '@fontsource/archivo/files/archivo-vietnamese-400-normal.woff',
    '@fontsource/source-serif-4/files/source-serif-4-greek-400-normal.woff',
    '@fontsource/source-serif-4/files/source-serif-4-cyrillic-400-normal.woff',
  ],
  strong: [
    '@fontsource/archivo/files/archivo-latin-700-normal.woff',
    '@fontsource/archivo/files/archivo-latin-ext-700-normal.woff',
    '@fontsource/archivo/files/archivo-vietnamese-700-normal.woff',
    '@fontsource/source-serif-4/files/source-serif-4-greek-700-normal.woff',
    '@fontsource/source-serif-4/files/source-serif-4-cyrillic-700-normal.woff',
  ],
} as const;

/** One face to write in: its fonts, each with the letters it has. */
export type Face = readonly { font: PDFFont; has: ReadonlySet<number> }[];

/** What is put for a letter that none of the fonts has. */
const UNKNOWN = '?';

/** A font file as it is embedded, with its letters: read once. */
interface ReadFont {
  plain: Uint8Array;
  letters: ReadonlySet<number>;
}
const known = new WeakMap<Uint8Array, ReadFont>();
function readFont(file: Uint8Array): ReadFont {
  let read = known.get(file);
  if (!read) {
    const plain = plainFont(file);
    read = { plain, letters: new Set(fontkit.create(plain).characterSet) };
    known.set(file, read);
  }
  return read;
}

/**
 * Embeds the first font of a face, and of the others those that have a letter of `said`: whatever the shop has typed itself.
 * Only letters that are written end up in the file.
 */
export async function faceFor(
  document: PDFDocument,
  files: readonly Uint8Array[],
  said: readonly (string | undefined)[],
): Promise<Face> {
  document.registerFontkit(fontkit);
  let missing = new Set(said.flatMap((text) => [...(text ?? '')].map((letter) => letter.codePointAt(0) ?? 0)));
  const face: { font: PDFFont; has: ReadonlySet<number> }[] = [];
  for (const [i, file] of files.entries()) {
    const { plain, letters: has } = readFont(file);
    if (i > 0 && ![...missing].some((letter) => has.has(letter))) continue;
    face.push({ font: await document.embedFont(plain, { subset: true }), has });
    missing = new Set([...missing].filter((letter) => !has.has(letter)));
  }
  return face;
}

/** A piece of a text that one font has all letters of. */
export interface Run {
  font: PDFFont;
  text: string;
}

/** A text cut into runs of one font each. */
export function runsOf(face: Face, text: string): Run[] {
  const runs: Run[] = [];
  for (const letter of text) {
    const code = letter.codePointAt(0) ?? 0;
    const found = face.find(({ has }) => has.has(code));
    const font = (found ?? face[0]).font;
    const written = found ? letter : UNKNOWN;
    const last = runs.at(-1);
    if (last?.font === font) last.text += written;
    else runs.push({ font, text: written });
  }
  return runs;
}

/** What was found of each word or text in a font of one document: a ticket says "1/8" many times, and a line is cut word by word. */
const widths = new WeakMap<PDFFont, Map<string, number>>();
const codes = new WeakMap<PDFFont, Map<string, PDFHexString>>();

function once<T>(all: WeakMap<PDFFont, Map<string, T>>, font: PDFFont, text: string, find: () => T): T {
  let found = all.get(font);
  if (!found) all.set(font, (found = new Map()));
  let value = found.get(text);
  if (value === undefined) found.set(text, (value = find()));
  return value;
}

/** How wide a word comes out at size 1. */
const wordWidth = (font: PDFFont, word: string): number =>
  once(widths, font, word, () => font.widthOfTextAtSize(word, 1));

/** A run as it stands in the file. */
export const codesOf = ({ font, text }: Run): PDFHexString => once(codes, font, text, () => font.encodeText(text));

/** How wide a text comes out, mm: its words and the spaces between them. */
export const widthOf_mm = (face: Face, text: string, size_mm: number): number =>
  runsOf(face, text).reduce((sum, { font, text: run }) => {
    const words = run.split(' ');
    const wide = words.reduce((most, word) => most + wordWidth(font, word), (words.length - 1) * wordWidth(font, ' '));
    return sum + wide * size_mm;
  }, 0);
