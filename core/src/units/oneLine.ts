/** Letters that steer a file or a screen and say nothing: control characters, line and paragraph separators, what turns writing round, what has no width. */
const STEERING = /[\p{Cc}\u2028\u2029\u200b-\u200f\u202a-\u202e\u2060-\u2069\ufeff]+/gu;

/** A text for a place that takes one line: what would begin another, or say something to the reader's program, is a blank. */
export const onOneLine = (text: string): string => text.replace(STEERING, ' ');

/** A text a table must not take for a formula, as it is written in one: with an apostrophe before it. */
export const asWords = (text: string): string => (/^[=+\-@\t\r]/.test(text) ? `'${text}` : text);
/** The same read again. */
export const fromWords = (text: string): string => (/^'[=+\-@\t\r]/.test(text) ? text.slice(1) : text);
