import type { Cloud } from './cloud.ts';
import { outside, type Surface } from './surface.ts';

/** The board's place in the scan: moved, then turned about the three axes at its middle. */
export type Place = [number, number, number, number, number, number];

/** Points as the board sees them, moved and turned by a little. */
export function placed(
  points: Float64Array,
  [dx, dy, dz, roll, pitch, yaw]: Place,
  middle: number,
  out: Float64Array,
): void {
  const [ca, sa] = [Math.cos(roll), Math.sin(roll)];
  const [cb, sb] = [Math.cos(pitch), Math.sin(pitch)];
  const [cc, sc] = [Math.cos(yaw), Math.sin(yaw)];
  for (let i = 0; i < points.length; i += 3) {
    const x = points[i] - middle;
    const y = points[i + 1];
    const z = points[i + 2];
    const y1 = y * ca - z * sa;
    const z1 = y * sa + z * ca;
    const x2 = x * cb + z1 * sb;
    const z2 = z1 * cb - x * sb;
    out[i] = x2 * cc - y1 * sc + middle + dx;
    out[i + 1] = x2 * sc + y1 * cc + dy;
    out[i + 2] = z2 + dz;
  }
}

/** So many points, as many from each stretch along the board, so that the ends count. */
export function pickedFrom(cloud: Cloud, count: number, length_mm: number): Float64Array {
  const BINS = 60;
  const bins = Array.from({ length: BINS }, () => [] as number[]);
  for (let i = 0; i < cloud.length; i += 3) {
    // By the angle, as the rows stand.
    const share = Math.acos(1 - 2 * Math.min(1, Math.max(0, cloud[i] / length_mm))) / Math.PI;
    bins[Math.min(BINS - 1, Math.floor(share * BINS))].push(i);
  }
  const each = count / BINS;
  const out: number[] = [];
  for (const bin of bins) {
    const step = Math.max(1, bin.length / each);
    for (let k = 0; k < bin.length; k += step) {
      const i = bin[Math.floor(k)];
      out.push(cloud[i], cloud[i + 1], cloud[i + 2]);
    }
  }
  return Float64Array.from(out);
}

/** How far points lie outside a surface from the board's place in them, mm. `moved` takes them as the board sees them. */
export function offOf(
  surface: Surface,
  place: Place,
  middle: number,
  points: Float64Array,
  moved = new Float64Array(points.length),
): Float64Array {
  placed(points, place, middle, moved);
  const off = new Float64Array(points.length / 3);
  outside(surface, moved, new Int32Array(2 * off.length), false, off);
  return off;
}
