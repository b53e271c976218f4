import type { Shape } from '../board/shape.ts';

/** Two stations of a mesh stay this far apart. */
const LEAST_GAP_mm = 0.05;

/**
 * The stations of a mesh, tail to nose, closer together at the ends: x = L (1 − cos πs) / 2. The nearest one is moved
 * to each break of the plan (wings, tail corners, crotch), where the surface may have a crease.
 */
export function meshStations(shape: Shape, count: number): number[] {
  if (!(Number.isInteger(count) && count >= 12)) {
    throw new RangeError(`meshStations: count must be a whole number from 12, got ${count}`);
  }
  const { length_mm } = shape.board;
  const stations = Array.from(
    { length: count },
    (_, k) => (length_mm * (1 - Math.cos((Math.PI * k) / (count - 1)))) / 2,
  );
  stations[count - 1] = length_mm;
  const taken = new Set<number>();
  for (const x of shape.outline.breaks) {
    const s = Math.acos(1 - (2 * x) / length_mm) / Math.PI;
    let nearest = Math.min(Math.max(Math.round(s * (count - 1)), 1), count - 2);
    while (taken.has(nearest) && nearest < count - 2) nearest += 1;
    if (taken.has(nearest)) continue;
    taken.add(nearest);
    stations[nearest] = x;
  }
  stations.sort((a, b) => a - b);
  return stations.filter((x, i) => i === 0 || x - stations[i - 1] > LEAST_GAP_mm || x === length_mm);
}
