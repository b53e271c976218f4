import type { Point } from '../plane.ts';
import { type Cloud, countOf } from './cloud.ts';
import { strip } from './stand.ts';

/** Plan, bottom and thickness as slabs across the board show them: a millimetre or two off, to begin with. */
export function readOff(cloud: Cloud, length_mm: number) {
  const n = countOf(cloud);
  const wide = 9;
  const slabs = Array.from({ length: Math.ceil(length_mm / wide) }, () => [] as number[]);
  for (let i = 0; i < n; i++) slabs[Math.min(slabs.length - 1, Math.max(0, Math.floor(cloud[3 * i] / wide)))].push(i);
  const slices = [
    planOfSlices(cloud, slicesOf(cloud, 0, END_mm, END_SLICE_mm), END_SLICE_mm, length_mm, 0),
    planOfSlices(cloud, slabs, wide, length_mm),
    planOfSlices(
      cloud,
      slicesOf(cloud, length_mm - END_mm, length_mm, END_SLICE_mm),
      END_SLICE_mm,
      length_mm,
      length_mm - END_mm,
    ),
  ];
  const plan: Point[] = [{ x: length_mm, y: 0 }, ...slices.flatMap(({ outer }) => outer)];
  // A notch runs in from the tail without a break; what is open elsewhere is a hole of the scan.
  let reached = 0;
  for (const point of slices.flatMap(({ inner }) => inner)) {
    if (point.x - reached > NOTCH_BREAK_mm) break;
    plan.push(point);
    reached = point.x;
  }
  const bottom: Point[] = [];
  const foil: Point[] = [];
  for (let k = 2; k + 2 < slabs.length; k += 3) {
    const found = strip(cloud, [...slabs[k - 1], ...slabs[k], ...slabs[k + 1]], 12, 45);
    if (!found) continue;
    const x = (k + 0.5) * wide;
    bottom.push({ x, y: found[0] });
    foil.push({ x, y: found[1] - found[0] });
  }
  return {
    plan: { length_mm, points: plan, uneven_mm: 0 },
    bottom: { length_mm, points: bottom },
    foil: { length_mm, points: foil },
  };
}

/** At the ends, where the plan turns, slices are thinner. */
const END_mm = 108;
const END_SLICE_mm = 2.5;
/** The innermost of a slice, but this share, which strays may be. */
const INNER = 0.02;
const NOTCH_BREAK_mm = 20;

function slicesOf(cloud: Cloud, low: number, high: number, wide: number): number[][] {
  const slices = Array.from({ length: Math.ceil((high - low) / wide) }, () => [] as number[]);
  for (let i = 0; i < countOf(cloud); i++) {
    const x = cloud[3 * i];
    if (x >= low && x < high) slices[Math.min(slices.length - 1, Math.floor((x - low) / wide))].push(i);
  }
  return slices;
}

/** The outermost of each slice, but the hundredth part, which noise has carried farther; in the tail the innermost too, where nothing is on the stringer. */
function planOfSlices(
  cloud: Cloud,
  slices: readonly number[][],
  wide: number,
  length_mm: number,
  from?: number,
): { outer: Point[]; inner: Point[] } {
  const found: { outer: Point[]; inner: Point[] } = { outer: [], inner: [] };
  slices.forEach((points, k) => {
    const x = (from ?? 0) + (k + 0.5) * wide;
    const isEnd = x < END_mm || x > length_mm - END_mm;
    if (points.length < 4 || (from === undefined && isEnd)) return;
    const ys = points.map((i) => Math.abs(cloud[3 * i + 1])).sort((a, b) => a - b);
    const outer = { x, y: ys[Math.floor(0.99 * (ys.length - 1))] };
    const inner = ys[Math.floor(INNER * ys.length)];
    // Points lie evenly across: two in a hundred lie within two hundredths of the way, by chance within a few more.
    const byChance = INNER + 0.06 + 3 * Math.sqrt(INNER / points.length);
    found.outer.push(outer);
    if (x < 0.2 * length_mm && inner > 5 && inner > byChance * outer.y) found.inner.push({ x, y: inner });
  });
  return found;
}
