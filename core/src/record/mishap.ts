import * as z from 'zod';

/** Something that went wrong in the app, for whoever mends it: nothing of the shop, its boards or its people is in it. */
const mishapSchema = z.strictObject({
  /** When it was last seen, and how often, one after the other. */
  at: z.string().max(40),
  times: z.number().int().min(1),
  /** The screen, without whose it was: `/bay/:id/outline`. */
  screen: z.string().max(120),
  what: z.string().max(300),
  /** Where in the program: names of its own functions and files. */
  frames: z.array(z.string().max(160)).max(12),
});
export type Mishap = z.infer<typeof mishapSchema>;

/** The last so many are kept. */
const MOST_MISHAPS = 40;
/** A frame of a stack as browsers write it: “at name (address/file.js:1:2)”, “name@address/file.js:1:2”. */
const FRAME =
  /(?:\bat (?:async )?(?:([\w.$<>]+) \()?|^([\w.$<>]*)@)\S*\/([\w.-]+\.[cm]?[jt]sx?)(?:\?[^\s:]*)?:(\d+):(\d+)/;

/** Screens of a board or a rider are named without whose they are. */
const screenOf = (path: string): string => path.replace(/^\/(bay|riders|sizes)\/[^/]+/, '/$1/:id').slice(0, 120);

/** Words without what may be a person's: what stands in quotation marks, long numbers, and every name given. */
function withoutNames(words: string, names: readonly string[]): string {
  let out = words.replace(/“[^”]*”|"[^"]*"|‘[^’]*’|`[^`]*`/g, '“…”').replace(/\d{5,}/g, '…');
  for (const name of names) if (name.trim().length > 1) out = out.replaceAll(name.trim(), '…');
  return out.slice(0, 300);
}

/**
 * What is kept of an error.
 * @param names of boards, riders and the shop: none of them is kept.
 * @param at ISO 8601.
 */
export function mishapOf(error: unknown, path: string, names: readonly string[], at: string): Mishap {
  const isError = error instanceof Error;
  // A worker hands on its words with the stack on further lines.
  const [said = '', ...stack] = (typeof error === 'string' ? error : '').split('\n');
  const words = isError ? `${error.name}: ${error.message}` : said || 'Something that says nothing';
  const frames = (isError ? (error.stack ?? '').split('\n') : stack).flatMap((line) => {
    const found = FRAME.exec(line);
    return found ? [`${found[1] || found[2] || 'somewhere'} ${found[3]}:${found[4]}:${found[5]}`.slice(0, 160)] : [];
  });
  // The longest first: a name may be part of another.
  const known = [...names].sort((a, b) => b.length - a.length);
  return { at, times: 1, screen: screenOf(path), what: withoutNames(words, known), frames: frames.slice(0, 12) };
}

/** The list with one more, the latest first; the same again is counted. */
export function withMishap(list: readonly Mishap[], mishap: Mishap): Mishap[] {
  const same = list.findIndex(({ what, screen }) => what === mishap.what && screen === mishap.screen);
  const times = same < 0 ? 1 : list[same].times + 1;
  return [{ ...mishap, times }, ...list.filter((_, k) => k !== same)].slice(0, MOST_MISHAPS);
}

/** What was kept, as far as it can be read. */
export function mishapsFrom(stored: unknown): Mishap[] {
  return (Array.isArray(stored) ? stored : []).flatMap((each) => {
    const read = mishapSchema.safeParse(each);
    return read.success ? [read.data] : [];
  });
}

/** The list as a file to hand on. */
export const mishapsFile = (list: readonly Mishap[], app: string): string =>
  `${JSON.stringify({ format: 'june-tide-mishaps', version: 1, app, mishaps: list }, null, 2)}\n`;
