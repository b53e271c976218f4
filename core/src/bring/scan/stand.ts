import { type Cloud, countOf } from './cloud.ts';

/** A board's points laid as a board lies: x from the tail, y from the stringer, z up, deck up; the unit as it was. */
export interface Stood {
  cloud: Cloud;
  length: number;
  /** Points that stand out of the bottom as fins do, as a share of all. */
  fins: number;
  /** Was the nose told by the fins, by the lift, or is it a guess? */
  noseBy: 'fins' | 'lift' | 'guess';
}

const SLABS = 48;
const END_POINTS = 8;

interface Slab {
  x: number;
  points: number[];
}

function slabsOf(cloud: Cloud): { slabs: Slab[]; low: number; high: number } {
  const n = countOf(cloud);
  const along = Float64Array.from({ length: n }, (_, i) => cloud[3 * i]).sort();
  // The very last few at an end may be strays.
  const few = Math.min(END_POINTS, Math.floor(n / 1000));
  const [low, high] = [along[few], along[n - 1 - few]];
  const wide = (high - low) / SLABS;
  const slabs: Slab[] = Array.from({ length: SLABS }, (_, k) => ({ x: low + (k + 0.5) * wide, points: [] }));
  for (let i = 0; i < n; i++) {
    const k = Math.floor((cloud[3 * i] - low) / wide);
    if (k >= 0 && k < SLABS) slabs[k].points.push(i);
  }
  return { slabs: slabs.filter(({ points }) => points.length > 20), low, high };
}

const sorted = (values: number[]) => values.sort((a, b) => a - b);
const at = (values: readonly number[], share: number) =>
  values[Math.min(values.length - 1, Math.max(0, Math.round(share * (values.length - 1))))];
const median = (values: number[]) => at(sorted(values), 0.5);

/** A line through pairs by the medians of its slopes, which a quarter of wrong ones does not move (Theil 1950, Sen 1968). */
function slopeOf(pairs: readonly (readonly [number, number])[]): { slope: number; at0: number } {
  const slopes: number[] = [];
  for (let i = 0; i < pairs.length; i++) {
    for (let j = i + 1; j < pairs.length; j++) {
      const dx = pairs[j][0] - pairs[i][0];
      if (Math.abs(dx) > 1e-9) slopes.push((pairs[j][1] - pairs[i][1]) / dx);
    }
  }
  const slope = slopes.length > 0 ? median(slopes) : 0;
  return { slope, at0: pairs.length > 0 ? median(pairs.map(([x, y]) => y - slope * x)) : 0 };
}

/** Turned in the plane of two axes, so that what rose by `slope` along the first lies level; then lowered. */
function levelled(cloud: Cloud, first: number, second: number, slope: number, lower = 0): Cloud {
  const angle = Math.atan(slope);
  const cos = Math.cos(angle);
  const sin = Math.sin(angle);
  const out = Float64Array.from(cloud);
  for (let i = 0; i < out.length; i += 3) {
    const a = cloud[i + first];
    const b = cloud[i + second] - lower;
    out[i + first] = a * cos + b * sin;
    out[i + second] = b * cos - a * sin;
  }
  return out;
}

function turnedOver(cloud: Cloud, ...axes: number[]): Cloud {
  const out = Float64Array.from(cloud);
  for (let i = 0; i < out.length; i += 3) for (const axis of axes) out[i + axis] = -out[i + axis];
  return out;
}

/** The heights of bottom and deck of a slab between two distances from the stringer, on one side or both; on the stringer itself may be a fin. */
export function strip(
  cloud: Cloud,
  points: readonly number[],
  inner: number,
  outer: number,
  side: -1 | 0 | 1 = 0,
): [number, number] | undefined {
  const heights: number[] = [];
  for (const i of points) {
    const y = Math.abs(cloud[3 * i + 1]);
    if (side * cloud[3 * i + 1] < 0) continue;
    if (y >= inner && y <= outer) heights.push(cloud[3 * i + 2]);
  }
  if (heights.length < 8) return undefined;
  sorted(heights);
  const middle = (at(heights, 0.04) + at(heights, 0.96)) / 2;
  const below = heights.filter((z) => z < middle);
  const above = heights.filter((z) => z >= middle);
  if (below.length < 3 || above.length < 3) return undefined;
  return [at(below, 0.5), at(above, 0.5)];
}

/** Fewer slabs with a deck and a bottom than this are no board. */
const LEAST_ROWS = 12;

/**
 * A cloud on its principal axes made to lie as a board: the plane between its two halves found by the middles of its slabs, its roll by
 * the heights left and right, its deck by which way it bends, its nose by its fins or its lift. Undefined for what has no deck and bottom along its length.
 */
export function stood(cloud: Cloud): Stood | undefined {
  let now = cloud;
  for (let round = 0; round < 3; round++) {
    const { slabs } = slabsOf(now);
    const inner = slabs.slice(2, -2);
    const middles = inner.map(({ x, points }): [number, number] => {
      const ys = sorted(points.map((i) => now[3 * i + 1]));
      return [x, (at(ys, 0.01) + at(ys, 0.99)) / 2];
    });
    const yaw = slopeOf(middles);
    now = levelled(now, 0, 1, yaw.slope, yaw.at0);
    const rolls = inner.flatMap(({ points }) => {
      const half = at(sorted(points.map((i) => Math.abs(now[3 * i + 1]))), 0.98);
      const side = (sign: number) => {
        const own = points.filter((i) => sign * now[3 * i + 1] > 0.35 * half && sign * now[3 * i + 1] < 0.75 * half);
        const zs = sorted(own.map((i) => now[3 * i + 2]));
        return zs.length > 10 ? (at(zs, 0.1) + at(zs, 0.9)) / 2 : undefined;
      };
      const [left, right] = [side(1), side(-1)];
      return left !== undefined && right !== undefined ? [(left - right) / (1.1 * half)] : [];
    });
    if (rolls.length > 4) now = levelled(now, 1, 2, median(rolls));
  }
  const lines = (of: Cloud) => {
    const { slabs, low, high } = slabsOf(of);
    const unit = (high - low) / 1850;
    return {
      low,
      high,
      unit,
      slabs,
      rows: slabs.flatMap(({ x, points }) => {
        const found = strip(of, points, 12 * unit, 48 * unit);
        return found ? [{ x, low: found[0], high: found[1] }] : [];
      }),
    };
  };
  if (lines(now).rows.length < LEAST_ROWS) return undefined;
  // Deck up: the middle of the foam bends up toward both ends.
  const bend = (of: Cloud) => {
    const { rows } = lines(of);
    const chord = slopeOf([
      [rows[1].x, (rows[1].low + rows[1].high) / 2],
      [rows[rows.length - 2].x, (rows[rows.length - 2].low + rows[rows.length - 2].high) / 2],
    ]);
    const middle = rows.slice(Math.floor(0.3 * rows.length), Math.ceil(0.7 * rows.length));
    return median(middle.map(({ x, low, high }) => chord.at0 + chord.slope * x - (low + high) / 2));
  };
  if (bend(now) < 0) now = turnedOver(now, 1, 2);
  const level = (of: Cloud) => {
    const { rows, low, high } = lines(of);
    const middle = rows.filter(({ x }) => x > low + 0.38 * (high - low) && x < low + 0.62 * (high - low));
    const pitch = slopeOf(middle.map((row) => [row.x, row.low] as const));
    return levelled(of, 0, 2, pitch.slope, pitch.at0);
  };
  now = level(now);
  const { rows, slabs, low, high, unit } = lines(now);
  // What hangs far under the bottom is a fin, and they are at the tail.
  const finCounts = [0, 0];
  let all = 0;
  for (const { x, points } of slabs) {
    const row = rows.find((each) => each.x === x);
    all += points.length;
    if (!row) continue;
    const under = points.filter((i) => now[3 * i + 2] < row.low - 22 * unit).length;
    finCounts[x < (low + high) / 2 ? 0 : 1] += under;
  }
  const fins = (finCounts[0] + finCounts[1]) / Math.max(1, all);
  const [first, last] = [rows[1], rows[rows.length - 2]];
  const byFins = fins > 0.002 && Math.max(...finCounts) > 3 * Math.min(...finCounts);
  const lifts = [first.low, last.low];
  const byLift = Math.abs(lifts[0] - lifts[1]) > 6 * unit;
  const turned = byFins ? finCounts[1] > finCounts[0] : lifts[0] > lifts[1];
  if (turned) now = level(turnedOver(now, 0, 1));
  const ends = slabsOf(now);
  for (let i = 0; i < now.length; i += 3) now[i] -= ends.low;
  return { cloud: now, length: ends.high - ends.low, fins, noseBy: byFins ? 'fins' : byLift ? 'lift' : 'guess' };
}
