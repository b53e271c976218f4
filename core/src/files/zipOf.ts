import { strToU8, zipSync } from 'fflate';

/** Files in one zip, in this order; texts as UTF-8. The same files make the same bytes: no date of ours is in it. */
export function zipOf(files: readonly (readonly [name: string, content: string | Uint8Array])[]): Uint8Array {
  const entries = files.map(([name, content]): [string, Uint8Array] => [
    name,
    typeof content === 'string' ? strToU8(content) : content,
  ]);
  // The earliest day a zip can say.
  return zipSync(Object.fromEntries(entries), { level: 6, mtime: new Date(1980, 0, 1) });
}
