// A result as a flat list of numbers and words, for the records of numbers.

export type Numbers = Record<string, number | string>;

export type Put = (name: string, value: unknown) => void;

/** More leaves than this are said by their sums. */
const MOST_LEAVES = 24;

/** Every number and word of a result by its path; of a long one how many, their sum, their sum by place, least and most. */
export function flat(name: string, value: unknown, out: Numbers): void {
  const leaves: [string, number | string][] = [];
  const visit = (path: string, entry: unknown): void => {
    if (typeof entry === 'number' || typeof entry === 'string') leaves.push([path, entry]);
    else if (typeof entry === 'boolean') leaves.push([path, Number(entry)]);
    else if (ArrayBuffer.isView(entry) || Array.isArray(entry))
      [...(entry as ArrayLike<unknown> & Iterable<unknown>)].forEach((item, i) => visit(`${path}.${i}`, item));
    else if (entry !== null && typeof entry === 'object')
      for (const [key, item] of Object.entries(entry)) visit(`${path}.${key}`, item);
  };
  visit(name, value);
  if (leaves.length <= MOST_LEAVES) {
    for (const [path, leaf] of leaves) out[path] = leaf;
    return;
  }
  const numbers = leaves.map(([, leaf]) => leaf).filter((leaf) => typeof leaf === 'number');
  const words = leaves.map(([, leaf]) => leaf).filter((leaf) => typeof leaf === 'string');
  out[`${name} count`] = numbers.length;
  out[`${name} sum`] = numbers.reduce((sum, x) => sum + x, 0);
  out[`${name} by place`] = numbers.reduce((sum, x, i) => sum + x * Math.cos(i), 0);
  out[`${name} least`] = numbers.reduce((least, x) => Math.min(least, x), Infinity);
  out[`${name} most`] = numbers.reduce((most, x) => Math.max(most, x), -Infinity);
  if (words.length > 0) out[`${name} words`] = `${words.length} words, ${hashed(words.join('\n'))}`;
}

/** FNV-1a of a text, 32 bits, in letters. */
function hashed(text: string): string {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return (hash >>> 0).toString(36);
}

/** As it was written down: what is no number is null there. */
export type Kept = number | string | null;

/** Sums of a thousand numbers are good to so much of their size, and to so much where they cancel. */
const SUMS = { ofSize: 1e-7, atZero: 1e-6 } as const;
/** What a fit comes to, whose last step hangs on every bit before it. */
export const FITS = { ofSize: 1e-6, atZero: 1e-5 } as const;

/** How many numbers are other than they were written down, and the first of them. */
export function changedFrom(
  kept: Readonly<Record<string, Kept>>,
  now: Numbers,
  within: { readonly ofSize: number; readonly atZero: number } = SUMS,
): { changed: number; first: string[] } {
  const same = (was: Kept | undefined, is: number | string | undefined): boolean => {
    if (typeof is === 'number' && !Number.isFinite(is)) return was === null;
    if (typeof was !== 'number' || typeof is !== 'number') return was === is;
    return Math.abs(was - is) <= within.atZero + within.ofSize * Math.abs(was);
  };
  const keys = [...new Set([...Object.keys(kept), ...Object.keys(now)])];
  const changed = keys.flatMap((key) =>
    same(kept[key], now[key]) ? [] : [`${key}: was ${kept[key]}, is ${now[key]}`],
  );
  return { changed: changed.length, first: changed.slice(0, 20) };
}
