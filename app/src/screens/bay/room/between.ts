import type { Place } from './scene.ts';

/** Straight from one place to another, and how far along the board, across it and up; mm, none negative. */
export function betweenPlaces(from: Place, to: Place) {
  const [along_mm, across_mm, up_mm] = from.map((at, axis) => Math.abs(to[axis] - at));
  return { straight_mm: Math.hypot(along_mm, across_mm, up_mm), along_mm, across_mm, up_mm };
}
