import type { Shape } from '../shape/shape.ts';

/** Two stations of a mesh stay this far apart. */
const LEAST_GAP_mm = 0.01;

/**
 * The stations of a mesh, tail to nose, closer together at the ends: x = L (1 − cos πs) / 2. The nearest one is moved
 * to each break of the plan (wings, tail corners, crotch), where the surface may have a crease, and more are set where the
 * plan turns within a few millimetres: `count` and those.
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
  stations.push(...crowded(shape, count));
  stations.sort((a, b) => a - b);
  const kept: number[] = [];
  for (const x of stations) if (kept.length === 0 || x - kept[kept.length - 1] > LEAST_GAP_mm) kept.push(x);
  kept[kept.length - 1] = length_mm;
  return kept;
}

/** More stations in the corners of a tail, round the crotch of a half-moon and across each wing. */
function crowded(shape: Shape, count: number): number[] {
  const { end, document } = shape.outline;
  const extra: number[] = [];
  const more = Math.max(3, Math.round(count / 24));
  for (let k = 1; k < more; k++) {
    const share = k / more;
    if (end.corner_mm > 0 && !end.facets) extra.push(end.corner_mm * share ** 3);
    if (end.notchShape === 'moon') extra.push(end.notch_mm * (1 - share ** 3));
  }
  const across = Math.max(2, Math.round(count / 60));
  for (const wing of document.wings) {
    for (let k = 1; k < across; k++) extra.push(wing.fromTail_mm - (wing.length_mm * k) / across);
  }
  return extra;
}
