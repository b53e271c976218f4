import { sameData } from '@june-tide/core/document';

/**
 * What was typed into a form and is not kept yet, where a page can write in one breath: it is there again when the form is, through a
 * reload, an update or a crash, for a day.
 */

const PLACE = 'june-tide:draft:';
const DAY_ms = 86_400_000;

const isPlain = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function entryAt(key: string, now_ms: number): { values: unknown } | undefined {
  try {
    const entry: unknown = JSON.parse(window.localStorage.getItem(key) ?? 'null');
    const at = isPlain(entry) && typeof entry.at === 'number' ? entry.at : -Infinity;
    return isPlain(entry) && now_ms - at < DAY_ms ? { values: entry.values } : undefined;
  } catch {
    return undefined;
  }
}

/**
 * What was typed of a thing, as far as it is of the kind of what stands there otherwise: another app may have kept it.
 * @param form which form, of which thing.
 * @param otherwise what stands there where nothing was typed; of an object with fields, each by itself, and no others.
 */
export function draftOf<T>(form: string, otherwise: T, now_ms = Date.now()): T {
  const values = entryAt(PLACE + form, now_ms)?.values;
  if (values === undefined) return otherwise;
  if (!isPlain(otherwise)) return sameKind(otherwise, values) ? (values as T) : otherwise;
  if (!isPlain(values)) return otherwise;
  if (Object.keys(otherwise).length === 0) return values as T;
  const fields = Object.entries(otherwise).map(([key, value]) => [
    key,
    Object.hasOwn(values, key) && sameKind(value, values[key]) ? values[key] : value,
  ]);
  return Object.fromEntries(fields) as T;
}

/** A field that was empty may have anything in it. */
const sameKind = (a: unknown, b: unknown): boolean =>
  a === undefined || a === null || b === null || (typeof a === typeof b && Array.isArray(a) === Array.isArray(b));

/** Keeps what is typed; nothing where it is as it stands otherwise. */
export function keepDraft<T>(form: string, values: T, otherwise: T, now_ms = Date.now()): void {
  try {
    if (sameData(values, otherwise)) window.localStorage.removeItem(PLACE + form);
    else window.localStorage.setItem(PLACE + form, JSON.stringify({ values, at: now_ms }));
  } catch {
    // Full or refused: then it lasts as long as the page.
  }
}

export const dropDraft = (form: string): void => keepDraft(form, undefined, undefined);

/** Lets go of what was typed more than a day ago. */
export function dropOldDrafts(now_ms = Date.now()): void {
  try {
    for (const key of Object.keys(window.localStorage)) {
      if (key.startsWith(PLACE) && !entryAt(key, now_ms)) window.localStorage.removeItem(key);
    }
  } catch {
    // Refused: then there is none.
  }
}
