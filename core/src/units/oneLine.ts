/** Letters that steer a file or a screen and say nothing: control characters, line and paragraph separators, what turns writing round, what has no width. */
const STEERING = /[\p{Cc}\u2028\u2029\u200b-\u200f\u202a-\u202e\u2060-\u2069\ufeff]+/gu;

/** A text for a place that takes one line: what would begin another, or say something to the reader's program, is a blank. */
export const onOneLine = (text: string): string => text.replace(STEERING, ' ');

/** A text in letters of ASCII that are seen, for a place that takes no others. */
export const inAscii = (text: string): string => text.replace(/[^\x20-\x7e]/g, '?');

/** So much of what was typed is said back. */
const MOST_SAID = 40;
/** What was typed, said back in a refusal: on one line, in quotation marks, and no longer than is looked at. */
export const saidBack = (text: string): string => {
  const line = onOneLine(text.slice(0, 4 * MOST_SAID)).trim();
  return `“${line.length > MOST_SAID ? `${line.slice(0, MOST_SAID)}…` : line}”`;
};

/** A text a table must not take for a formula, as it is written in one: with an apostrophe before it. */
export const asWords = (text: string): string => (/^[=+\-@\t\r]/.test(text) ? `'${text}` : text);
/** The same read again. */
export const fromWords = (text: string): string => (/^'[=+\-@\t\r]/.test(text) ? text.slice(1) : text);
