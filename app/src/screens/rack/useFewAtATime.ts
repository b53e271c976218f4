import { useEffect, useState } from 'react';

/** So many more are drawn in one frame: a jump along a wall of thousands leaves the page its thread. */
export const MORE_A_FRAME = 3;

/** What is drawn next: what is wanted still and was drawn before, and a few more in the order they are wanted. */
export function grown(drawn: ReadonlySet<string>, wanted: readonly string[]): ReadonlySet<string> {
  const missing = wanted.filter((id) => !drawn.has(id)).slice(0, MORE_A_FRAME);
  return new Set([...wanted.filter((id) => drawn.has(id)), ...missing]);
}

/** Which of the things wanted are drawn by now: at first all of them, then a few more each frame. */
export function useFewAtATime(wanted: readonly string[]): ReadonlySet<string> {
  const [drawn, setDrawn] = useState<ReadonlySet<string>>(() => new Set(wanted));
  const whole = wanted.every((id) => drawn.has(id));
  useEffect(() => {
    if (whole) return;
    const frame = requestAnimationFrame(() => setDrawn(grown(drawn, wanted)));
    return () => cancelAnimationFrame(frame);
  });
  return drawn;
}
