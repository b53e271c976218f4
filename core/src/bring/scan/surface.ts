import { halfPoints, type HalfCounts, walkHalf } from '../../section/walk.ts';
import { sectionAt, type Shape } from '../../shape/shape.ts';

const { sqrt } = Math;

/** Half a board as rows of points across, tail to nose: what points in space are held against. */
export interface Surface {
  readonly length_mm: number;
  readonly xs: Float64Array;
  /** y, z of each point of each row, deck at the stringer first, round the rail, to the bottom at the stringer. */
  readonly rows: readonly Float64Array[];
  readonly split: readonly boolean[];
}

const COUNTS: HalfCounts = { deck: 12, under: 8, fillet: 3, bottom: 12 };
const POINTS = halfPoints(COUNTS);
/** Rows stand this many along, closer at the ends and a little inside the tips. */
const ROWS = 64;

export function surfaceOf(shape: Shape): Surface {
  const { length_mm } = shape.board;
  const xs: number[] = [];
  const rows: Float64Array[] = [];
  const split: boolean[] = [];
  for (let k = 0; k <= ROWS; k++) {
    const share = (1 - Math.cos((Math.PI * k) / ROWS)) / 2;
    const x = Math.min(length_mm - 0.4, Math.max(0.4, share * length_mm));
    const section = sectionAt(shape, x);
    if (!section) continue;
    const row = new Float64Array(2 * POINTS);
    walkHalf(section, COUNTS, row);
    const lift = shape.rocker.line.valueAt(x);
    for (let j = 1; j < row.length; j += 2) row[j] += lift;
    xs.push(x);
    rows.push(row);
    split.push(section.input.notch_mm > 0);
  }
  return { length_mm, xs: Float64Array.from(xs), rows, split };
}

/** Where in a row the nearest segment was: looked round from there the next time. */
const NEAR = 3;

/** How far a place lies outside one row, mm; the segment it is nearest to in `seen`. */
function outsideRow(
  row: Float64Array,
  closed: boolean,
  y: number,
  z: number,
  from: number,
  seen: Int32Array,
  k: number,
): number {
  const last = POINTS - 1;
  let low = 0;
  let high = last;
  if (from >= 0) {
    low = from - NEAR < 0 ? 0 : from - NEAR;
    high = from + NEAR + 1 > last ? last : from + NEAR + 1;
  }
  let best = Infinity;
  let side = 1;
  let nearest = low;
  for (let j = low; j < high; j++) {
    const ay = row[2 * j];
    const az = row[2 * j + 1];
    const dy = row[2 * j + 2] - ay;
    const dz = row[2 * j + 3] - az;
    const py = y - ay;
    const pz = z - az;
    const size = dy * dy + dz * dz;
    let share = size > 0 ? (py * dy + pz * dz) / size : 0;
    if (share < 0) share = 0;
    else if (share > 1) share = 1;
    const oy = py - share * dy;
    const oz = pz - share * dz;
    const off = oy * oy + oz * oz;
    if (off < best) {
      best = off;
      nearest = j;
      // Round the rail from deck to bottom the foam is on the right.
      side = dy * pz - dz * py >= 0 ? 1 : -1;
    }
  }
  if (closed) {
    // The wall of a notch, from the bottom back up to the deck.
    const wall = row[0] - y;
    if (wall * wall < best && z < row[1] && z > row[2 * last + 1]) {
      best = wall * wall;
      side = wall >= 0 ? 1 : -1;
    }
  }
  seen[k] = nearest;
  return side * sqrt(best);
}

/**
 * How far points lie outside the surface, mm, to the first order: off the section at their station, over the slope of that along the
 * board (Taubin 1991). `seen` keeps, for two rows a point, where it was nearest; with `again` only about there is looked.
 */
export function outside(
  { length_mm, xs, rows, split }: Surface,
  points: Float64Array,
  seen: Int32Array,
  again: boolean,
  out: Float64Array,
): void {
  const count = points.length / 3;
  const last = xs.length - 1;
  for (let k = 0; k < count; k++) {
    const x = points[3 * k];
    const y = points[3 * k + 1] < 0 ? -points[3 * k + 1] : points[3 * k + 1];
    const z = points[3 * k + 2];
    // Rows stand by the cosine.
    let i = 0;
    let high = last;
    while (high - i > 1) {
      const middle = (i + high) >> 1;
      if (xs[middle] <= x) i = middle;
      else high = middle;
    }
    const a = outsideRow(rows[i], split[i], y, z, again ? seen[2 * k] : -1, seen, 2 * k);
    const b = outsideRow(rows[i + 1], split[i + 1], y, z, again ? seen[2 * k + 1] : -1, seen, 2 * k + 1);
    const long = xs[i + 1] - xs[i];
    let share = (x - xs[i]) / long;
    if (share < 0) share = 0;
    else if (share > 1) share = 1;
    const slope = (b - a) / long;
    let off = (a + share * (b - a)) / sqrt(1 + slope * slope);
    const beyond = x < 0 ? -x : x - length_mm;
    const inside = x < length_mm - x ? -x : x - length_mm;
    // Beyond an end it is off by both; on the flat end of a block it is as far off as the end is.
    if (x < 0 || x > length_mm) off = sqrt(beyond * beyond + (off > 0 ? off * off : 0));
    else if (off < inside) off = inside;
    out[k] = off;
  }
}
