import * as z from 'zod';

/** Letters that are seen: not blanks, and not what steers a text or has no width (Unicode general categories C and Z). */
const SEEN = /[^\p{C}\p{Z}]/u;

/** A name a person can read: at least one letter that is seen, no longer than so many. */
export const nameOf = (most: number) =>
  z.string().trim().min(1).max(most).regex(SEEN, { message: 'must have a letter that is seen' });
