import latin from '@fontsource/archivo/files/archivo-latin-400-normal.woff?url';
import latinMore from '@fontsource/archivo/files/archivo-latin-ext-400-normal.woff?url';
import vietnamese from '@fontsource/archivo/files/archivo-vietnamese-400-normal.woff?url';
import greek from '@fontsource/source-serif-4/files/source-serif-4-greek-400-normal.woff?url';
import cyrillic from '@fontsource/source-serif-4/files/source-serif-4-cyrillic-400-normal.woff?url';
import latinStrong from '@fontsource/archivo/files/archivo-latin-700-normal.woff?url';
import latinMoreStrong from '@fontsource/archivo/files/archivo-latin-ext-700-normal.woff?url';
import vietnameseStrong from '@fontsource/archivo/files/archivo-vietnamese-700-normal.woff?url';
import greekStrong from '@fontsource/source-serif-4/files/source-serif-4-greek-700-normal.woff?url';
import cyrillicStrong from '@fontsource/source-serif-4/files/source-serif-4-cyrillic-700-normal.woff?url';
import type { FontFiles } from '@june-tide/core/files/pdf';

let loaded: Promise<FontFiles> | undefined;

async function bytesOf(url: string): Promise<Uint8Array> {
  const answer = await fetch(url);
  if (!answer.ok) throw new Error(`A font for printing cannot be loaded (${answer.status}).`);
  return new Uint8Array(await answer.arrayBuffer());
}

/** The fonts that go into what is printed, fetched from the app itself when first wanted. */
export function pdfFonts(): Promise<FontFiles> {
  loaded ??= Promise.all([
    Promise.all([latin, latinMore, vietnamese, greek, cyrillic].map(bytesOf)),
    Promise.all([latinStrong, latinMoreStrong, vietnameseStrong, greekStrong, cyrillicStrong].map(bytesOf)),
  ]).then(([plain, strong]) => ({ plain, strong }));
  // What did not come is asked for again the next time.
  loaded.catch(() => (loaded = undefined));
  return loaded;
}
