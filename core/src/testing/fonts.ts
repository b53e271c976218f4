// The fonts that go into a PDF, from the packages they come in.
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { FONT_FILES, type FontFiles } from '../files/pdf/fonts.ts';

const { resolve } = createRequire(import.meta.url);
const read = (names: readonly string[]) => names.map((name) => new Uint8Array(readFileSync(resolve(name))));

export const FONTS: FontFiles = { plain: read(FONT_FILES.plain), strong: read(FONT_FILES.strong) };
