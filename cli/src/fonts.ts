import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import type { FontFiles } from '@june-tide/core/files/pdf';

const { resolve } = createRequire(import.meta.url);
const read = (names: readonly string[]) => Promise.all(names.map((name) => readFile(resolve(name))));

/** The fonts that go into what is printed, from the packages they come in. */
export async function pdfFonts(): Promise<FontFiles> {
  const { FONT_FILES } = await import('@june-tide/core/files/pdf');
  return { plain: await read(FONT_FILES.plain), strong: await read(FONT_FILES.strong) };
}
