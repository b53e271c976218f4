/** The colours run out so far off, mm. */
export const FULL_mm = 2;

/** Where the scan has no point. */
const NO_POINT = [128, 128, 128] as const;
const ON = [214, 208, 192] as const;
const OUTSIDE = [190, 40, 30] as const;
const INSIDE = [30, 80, 180] as const;

/** Red, green and blue, 0 to 255, of a place so far outside a board; pale where it lies on it, grey where nobody knows. */
export function apartColour(off_mm: number): [number, number, number] {
  if (Number.isNaN(off_mm)) return [...NO_POINT];
  const share = Math.max(-1, Math.min(1, off_mm / FULL_mm));
  const full = share > 0 ? OUTSIDE : INSIDE;
  return ON.map((from, k) => Math.round(from + (full[k] - from) * Math.abs(share))) as [number, number, number];
}
