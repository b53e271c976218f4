import type { FinTemplate } from '../document/schema.ts';

/**
 * Half thickness of a symmetric section at a share of the chord from the leading edge, in chords, for a greatest
 * thickness of `thickness` chords. NACA four-digit form: Abbott and von Doenhoff, Theory of Wing Sections, 1959, 6.4:
 * ±y = 5 t (0.2969 √x − 0.1260 x − 0.3516 x² + 0.2843 x³ − 0.1015 x⁴).
 * `closed` takes 0.1036 for the last coefficient, so that the trailing edge closes.
 */
export function nacaHalfThickness(share: number, thickness: number, closed = false): number {
  const x = Math.min(1, Math.max(0, share));
  const last = closed ? 0.1036 : 0.1015;
  return 5 * thickness * (0.2969 * Math.sqrt(x) - x * (0.126 + x * (0.3516 - x * (0.2843 - x * last))));
}

/** Greatest thickness of our fins, in chords: 9 %. Our own choice among usual ones. */
const FIN_THICKNESS = 0.09;

/** How a foil's thickness is shared between the outer and the inner face. */
const FACES: Readonly<Record<FinTemplate['foil'], readonly [outer: number, inner: number]>> = {
  symmetric: [1, 1],
  flat: [2, 0],
  eightyTwenty: [1.6, 0.4],
};

/** Outer and inner face at a share of the chord, in chords off the chord line; outer is positive. */
export function finFaces(foil: FinTemplate['foil'], share: number): { outer: number; inner: number } {
  const half = nacaHalfThickness(share, FIN_THICKNESS, true);
  const [outer, inner] = FACES[foil];
  return { outer: outer * half, inner: inner === 0 ? 0 : -inner * half };
}
