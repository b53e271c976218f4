/** What a file brought in may be: more than any board needs, and less than would stop the page. */
export const MOST_DRAWING_bytes = 30e6;
export const MOST_STROKES = 20_000;
export const MOST_POINTS = 600_000;
export const TOO_MANY_LINES = `The drawing has more than ${MOST_STROKES} lines: save the board’s own alone.`;
