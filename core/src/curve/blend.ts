import { GAUSS3 } from './gauss.ts';
import { nonNegativeLeastSquares } from './nnls.ts';

/**
 * A number that changes along the board: exact at its knots, monotone between them, level beyond the first and last, and with
 * two continuous derivatives everywhere.
 */
export interface Blend {
  readonly stations: Float64Array;
  readonly values: Float64Array;
  /** Slope and second derivative at each knot. */
  readonly slopes: Float64Array;
  readonly bends: Float64Array;
  /** Of each stretch: its number as a polynomial of degree five in the share of the stretch, the constant first. */
  readonly pieces: Float64Array;
}

/** A stretch shorter than this share of the mean bends as cheaply as one of that length: two knots at one place are no wall. */
const SHORTEST = 0.05;
/** Keeps the energy's matrix whole where a number does not change at all; far below what a tape reads. */
const RIDGE = 1e-9;

/**
 * Blends values along the board without overshoot: quintic Hermite pieces whose slopes and second derivatives make the
 * integral of the third derivative's square least, while every Bernstein coefficient of the first derivative keeps the sign
 * of its stretch, which is enough for monotony; level at both ends and where two neighbours have one value.
 *
 * Sufficient conditions after Fritsch and Carlson 1980, SIAM J. Numer. Anal. 17, 238, and Lux et al. 2023, ACM TOMS Algorithm
 * 1031; the least energy under them as a problem of least distance, Lawson and Hanson 1974, chapter 23.
 * Stations need not be sorted; of two within 1e-9 mm the later one in the list counts.
 */
export function blendThrough(points: readonly BlendPoint[]): Blend {
  const [stations, values] = knots(points);
  const { slopes, bends } = fairest(stations, values);
  return { stations, values, slopes, bends, pieces: piecesOf(stations, values, slopes, bends) };
}

interface BlendPoint {
  x_mm: number;
  value: number;
}

/** The points from tail to nose; of two at one place the later in the list. */
function knots(points: readonly BlendPoint[]): [stations: Float64Array, values: Float64Array] {
  if (points.length === 0) throw new RangeError('blendThrough: needs at least one point');
  const sorted = [...points].sort((a, b) => a.x_mm - b.x_mm);
  const kept: BlendPoint[] = [];
  for (const point of sorted) {
    const last = kept.at(-1);
    if (last && point.x_mm - last.x_mm < 1e-9) kept[kept.length - 1] = point;
    else kept.push(point);
  }
  return [Float64Array.from(kept, (p) => p.x_mm), Float64Array.from(kept, (p) => p.value)];
}

/**
 * The same with one continuous derivative only, and closer to straight between knots far apart: for lines that are guessed
 * from a few numbers and cut away, such as a blank's.
 * Method: monotone cubic Hermite with limited slopes, Steffen 1990, A&A 239, 443, equations 8 and 11.
 */
export function cubicThrough(points: readonly BlendPoint[]): Blend {
  const [stations, values] = knots(points);
  const count = stations.length;
  const slopes = new Float64Array(count);
  for (let i = 1; i < count - 1; i++) {
    const h0 = stations[i] - stations[i - 1];
    const h1 = stations[i + 1] - stations[i];
    const s0 = (values[i] - values[i - 1]) / h0;
    const s1 = (values[i + 1] - values[i]) / h1;
    const p = (s0 * h1 + s1 * h0) / (h0 + h1);
    slopes[i] = (Math.sign(s0) + Math.sign(s1)) * Math.min(Math.abs(s0), Math.abs(s1), 0.5 * Math.abs(p));
  }
  const pieces = new Float64Array(6 * Math.max(0, count - 1));
  const bends = new Float64Array(count);
  for (let i = 0; i + 1 < count; i++) {
    const h = stations[i + 1] - stations[i];
    const rise = values[i + 1] - values[i];
    const [m0, m1] = [h * slopes[i], h * slopes[i + 1]];
    pieces.set([values[i], m0, 3 * rise - 2 * m0 - m1, m0 + m1 - 2 * rise], 6 * i);
    bends[i] = (2 * pieces[6 * i + 2]) / (h * h);
  }
  return { stations, values, slopes, bends, pieces };
}

/** Third derivative of a stretch of unit length by value, slope and second derivative at its start and at its end. */
const thirdBy = (t: number): readonly number[] => {
  const value = -60 + t * (360 - 360 * t);
  return [
    value,
    -36 + t * (192 - 180 * t),
    -9 + t * (36 - 30 * t),
    -value,
    -24 + t * (168 - 180 * t),
    3 + t * (-24 + 30 * t),
  ];
};
const THIRDS = GAUSS3.map(([node, weight]) => ({ weight: weight / 2, row: thirdBy((node + 1) / 2) }));

/** Slopes and second derivatives at the knots that bend least and stay monotone. */
function fairest(x: Float64Array, y: Float64Array): { slopes: Float64Array; bends: Float64Array } {
  const count = x.length;
  const slopes = new Float64Array(count);
  const bends = new Float64Array(count);
  const range =
    y.reduce((most, v) => Math.max(most, v), -Infinity) - y.reduce((least, v) => Math.min(least, v), Infinity);
  if (count < 3 || !(range > 0)) return { slopes, bends };
  const mean = (x[count - 1] - x[0]) / (count - 1);
  // What is free: at knots between two stretches that rise or fall alike both numbers, at a turn the second derivative alone.
  const ways = Array.from({ length: count - 1 }, (_, i) => Math.sign(y[i + 1] - y[i]));
  const slopeAt = new Int32Array(count).fill(-1);
  const bendAt = new Int32Array(count).fill(-1);
  let free = 0;
  for (let i = 1; i + 1 < count; i++) {
    if (ways[i - 1] === 0 || ways[i] === 0) continue;
    if (ways[i - 1] === ways[i]) slopeAt[i] = free++;
    bendAt[i] = free++;
  }
  if (free === 0) return { slopes, bends };

  const energy = new Float64Array(free * free);
  const pull = new Float64Array(free);
  const rows: Float64Array[] = [];
  const bounds: number[] = [];
  const keep = (terms: readonly (readonly [index: number, factor: number])[], bound: number) => {
    const row = new Float64Array(free);
    let held = false;
    for (const [index, factor] of terms) {
      if (index < 0) continue;
      row[index] += factor;
      held = true;
    }
    if (!held) return;
    rows.push(row);
    bounds.push(bound);
  };
  for (let i = 0; i + 1 < count; i++) {
    const h = (x[i + 1] - x[i]) / mean;
    const from = y[i] / range;
    const to = y[i + 1] / range;
    const ids = [-1, slopeAt[i], bendAt[i], -1, slopeAt[i + 1], bendAt[i + 1]];
    const sizes = [1, h, h * h, 1, h, h * h];
    const price = Math.max(h, SHORTEST) ** -5;
    for (const { weight, row } of THIRDS) {
      const fixed = row[0] * from + row[3] * to;
      for (let a = 0; a < 6; a++) {
        if (ids[a] < 0) continue;
        const part = price * weight * row[a] * sizes[a];
        pull[ids[a]] += part * fixed;
        for (let b = 0; b < 6; b++) if (ids[b] >= 0) energy[ids[a] * free + ids[b]] += part * row[b] * sizes[b];
      }
    }
    const way = ways[i];
    if (way === 0) continue;
    // Bernstein coefficients of the slope, times h: m0, m0 + s0/4, what is left of 5 times the rise, m1 − s1/4, m1.
    const [m0, s0, m1, s1] = [ids[1], ids[2], ids[4], ids[5]];
    keep([[m0, way * h]], 0);
    keep([[m1, way * h]], 0);
    keep(
      [
        [m0, way * h],
        [s0, (way * h * h) / 4],
      ],
      0,
    );
    keep(
      [
        [m1, way * h],
        [s1, (-way * h * h) / 4],
      ],
      0,
    );
    keep(
      [
        [m0, -2 * way * h],
        [s0, (-way * h * h) / 4],
        [m1, -2 * way * h],
        [s1, (way * h * h) / 4],
      ],
      -5 * Math.abs(to - from),
    );
  }
  let largest = 0;
  for (let i = 0; i < free; i++) largest = Math.max(largest, energy[i * free + i]);
  for (let i = 0; i < free; i++) energy[i * free + i] += RIDGE * energy[i * free + i] + 1e-14 * largest;
  const found = leastUnder(energy, pull, rows, bounds, free);
  for (let i = 1; i + 1 < count; i++) {
    if (slopeAt[i] >= 0) slopes[i] = (found[slopeAt[i]] * range) / mean;
    if (bendAt[i] >= 0) bends[i] = (found[bendAt[i]] * range) / (mean * mean);
  }
  return { slopes, bends };
}

/** The v that makes vᵀ A v / 2 + gᵀ v least while every row · v is at least its bound. A is positive definite. */
function leastUnder(
  energy: Float64Array,
  pull: Float64Array,
  rows: readonly Float64Array[],
  bounds: readonly number[],
  n: number,
): Float64Array {
  // With A = L Lᵀ and u = Lᵀ v + L⁻¹ g it is the shortest u with (L⁻¹ row) · u ≥ bound + (L⁻¹ row) · (L⁻¹ g).
  const lower = cholesky(energy, n);
  const start = forward(lower, pull, n);
  const columns = rows.map((row, k) => {
    const tilted = forward(lower, row, n);
    const column = new Float64Array(n + 1);
    column.set(tilted);
    let bound = bounds[k];
    for (let i = 0; i < n; i++) bound += tilted[i] * start[i];
    column[n] = bound;
    // By its length no row weighs more than another.
    const size = Math.hypot(...tilted) || 1;
    for (let i = 0; i <= n; i++) column[i] /= size;
    return column;
  });
  const u = new Float64Array(n);
  // In units of the farthest bound the distance is of the order of one, and its remainder far from rounding.
  const farthest = Math.max(0, ...columns.map((column) => column[n]));
  if (farthest > 0) {
    for (const column of columns) column[n] /= farthest;
    const f = new Float64Array(n + 1);
    f[n] = 1;
    const z = nonNegativeLeastSquares(columns, f);
    const remainder = new Float64Array(n + 1);
    remainder[n] = -1;
    columns.forEach((column, j) => {
      for (let i = 0; i <= n; i++) remainder[i] += z[j] * column[i];
    });
    for (let i = 0; i < n; i++) u[i] = (-farthest * remainder[i]) / remainder[n];
  }
  for (let i = 0; i < n; i++) u[i] -= start[i];
  return held(backward(lower, u, n), rows, bounds);
}

/** What rounding may leave of a bound, in units of the whole range. */
const ROUNDING = 1e-9;

/** Drawn toward level, where every bound holds, as far as rounding asks for it. */
function held(v: Float64Array, rows: readonly Float64Array[], bounds: readonly number[]): Float64Array {
  let share = 1;
  rows.forEach((row, k) => {
    const reached = row.reduce((sum, factor, i) => sum + factor * v[i], 0);
    if (reached < bounds[k] - ROUNDING) share = Math.min(share, bounds[k] / reached);
  });
  return share < 1 ? v.map((value) => share * value) : v;
}

function cholesky(a: Float64Array, n: number): Float64Array {
  const l = new Float64Array(n * n);
  for (let i = 0; i < n; i++) {
    for (let j = 0; j <= i; j++) {
      let sum = a[i * n + j];
      for (let k = 0; k < j; k++) sum -= l[i * n + k] * l[j * n + k];
      l[i * n + j] = i === j ? Math.sqrt(Math.max(sum, 1e-300)) : sum / l[j * n + j];
    }
  }
  return l;
}

/** L z = r. */
function forward(l: Float64Array, r: Float64Array, n: number): Float64Array {
  const z = r.slice();
  for (let i = 0; i < n; i++) {
    for (let k = 0; k < i; k++) z[i] -= l[i * n + k] * z[k];
    z[i] /= l[i * n + i];
  }
  return z;
}

/** Lᵀ z = r. */
function backward(l: Float64Array, r: Float64Array, n: number): Float64Array {
  const z = r.slice();
  for (let i = n - 1; i >= 0; i--) {
    for (let k = i + 1; k < n; k++) z[i] -= l[k * n + i] * z[k];
    z[i] /= l[i * n + i];
  }
  return z;
}

/** The quintic Hermite pieces as polynomials of the share of each stretch. */
function piecesOf(x: Float64Array, y: Float64Array, slopes: Float64Array, bends: Float64Array): Float64Array {
  const pieces = new Float64Array(6 * Math.max(0, x.length - 1));
  for (let i = 0; i + 1 < x.length; i++) {
    const h = x[i + 1] - x[i];
    const [m0, m1] = [h * slopes[i], h * slopes[i + 1]];
    const [s0, s1] = [h * h * bends[i], h * h * bends[i + 1]];
    const rise = y[i + 1] - y[i];
    pieces.set(
      [
        y[i],
        m0,
        s0 / 2,
        10 * rise - 6 * m0 - 4 * m1 - 1.5 * s0 + 0.5 * s1,
        -15 * rise + 8 * m0 + 7 * m1 + 1.5 * s0 - s1,
        6 * rise - 3 * m0 - 3 * m1 - 0.5 * s0 + 0.5 * s1,
      ],
      6 * i,
    );
  }
  return pieces;
}

/** The blended value at station x. */
export function blendAt(blend: Blend, x_mm: number): number {
  const { stations, values, pieces } = blend;
  const last = stations.length - 1;
  if (last === 0 || x_mm <= stations[0]) return values[0];
  if (x_mm >= stations[last]) return values[last];
  let i = 0;
  while (x_mm > stations[i + 1]) i++;
  const t = (x_mm - stations[i]) / (stations[i + 1] - stations[i]);
  const p = 6 * i;
  return (
    pieces[p] +
    t * (pieces[p + 1] + t * (pieces[p + 2] + t * (pieces[p + 3] + t * (pieces[p + 4] + t * pieces[p + 5]))))
  );
}
