import type { Apart } from './heldAgainst.ts';

const { exp, floor } = Math;

/** Points of a scan count for a place by how near they are: half as much at about this, mm. */
const NEAR_mm = 18;
/** Farther points say nothing of it, mm. */
const REACH_mm = 45;

/**
 * How far a scan is off a board at places of its skin, three numbers each, mm: the mean of what was told nearby, nearer points more
 * (Gaussian weights). NaN where the scan has no point within 45 mm.
 */
export function apartOn(places: ArrayLike<number>, apart: readonly Apart[]): Float32Array {
  const cells = new Map<string, Apart[]>();
  const cellOf = (value: number) => floor(value / REACH_mm);
  for (const each of apart) {
    const key = `${cellOf(each.x_mm)} ${cellOf(each.y_mm)} ${cellOf(each.z_mm)}`;
    const known = cells.get(key);
    if (known) known.push(each);
    else cells.set(key, [each]);
  }
  /** What lies in a cell and round it. */
  const round = new Map<string, Apart[]>();
  const near = (a: number, b: number, c: number): Apart[] => {
    const key = `${a} ${b} ${c}`;
    let found = round.get(key);
    if (!found) {
      found = [];
      for (const i of [-1, 0, 1])
        for (const j of [-1, 0, 1])
          for (const k of [-1, 0, 1]) found = found.concat(cells.get(`${a + i} ${b + j} ${c + k}`) ?? []);
      round.set(key, found);
    }
    return found;
  };
  const out = new Float32Array(floor(places.length / 3));
  for (let i = 0; i < out.length; i++) {
    const [x, y, z] = [places[3 * i], places[3 * i + 1], places[3 * i + 2]];
    let sum = 0;
    let weights = 0;
    for (const { x_mm, y_mm, z_mm, off_mm } of near(cellOf(x), cellOf(y), cellOf(z))) {
      const away2 = (x_mm - x) ** 2 + (y_mm - y) ** 2 + (z_mm - z) ** 2;
      if (away2 > REACH_mm * REACH_mm) continue;
      const weight = exp(-away2 / (2 * NEAR_mm * NEAR_mm));
      sum += weight * off_mm;
      weights += weight;
    }
    out[i] = weights > 0 ? sum / weights : Number.NaN;
  }
  return out;
}
