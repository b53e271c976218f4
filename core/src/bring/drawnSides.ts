import { type Box, boxOfPoints, evenly, type Point, type Stroke } from './plane.ts';

/** A line turned so that it lies along x, the end it had lowest or leftmost at 0. */
export function laid({ points, closed }: Stroke): Stroke {
  const axis = axisOf(evenly({ points, closed }, sizeOf(points) / 400));
  // What was drawn along the sheet, or up it, lies so exactly.
  const right = Math.PI / 2;
  const nearest = Math.round(axis / right) * right;
  const angle = Math.abs(axis - nearest) < 0.06 ? nearest : axis;
  const [cos, sin] = [Math.cos(-angle), Math.sin(-angle)];
  const turned = points.map(({ x, y }) => ({ x: x * cos - y * sin, y: x * sin + y * cos }));
  const box = boxOfPoints(turned);
  return { points: turned.map(({ x, y }) => ({ x: x - box.left, y })), closed };
}

const sizeOf = (points: readonly Point[]) => {
  const box = boxOfPoints(points);
  return Math.max(1e-9, Math.hypot(box.right - box.left, box.high - box.low));
};

/** The course of a cloud of points: of its greatest moment. */
function axisOf(points: readonly Point[]): number {
  const n = points.length;
  const [mx, my] = [points.reduce((s, p) => s + p.x, 0) / n, points.reduce((s, p) => s + p.y, 0) / n];
  let [xx, xy, yy] = [0, 0, 0];
  for (const { x, y } of points) {
    xx += (x - mx) ** 2;
    xy += (x - mx) * (y - my);
    yy += (y - my) ** 2;
  }
  return 0.5 * Math.atan2(2 * xy, xx - yy);
}

/** The highest and lowest of a closed line at x. */
export function acrossAt(
  points: readonly Point[],
  closed: boolean,
  x: number,
): { low: number; high: number } | undefined {
  let [low, high] = [Infinity, -Infinity];
  const count = closed ? points.length : points.length - 1;
  for (let i = 0; i < count; i++) {
    const [a, b] = [points[i], points[(i + 1) % points.length]];
    if (a.x > x === b.x > x) continue;
    const y = a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x);
    low = Math.min(low, y);
    high = Math.max(high, y);
  }
  return high >= low ? { low, high } : undefined;
}

export function middleLine(points: readonly Point[], box: Box): Point[] {
  return Array.from({ length: 33 }, (_, k) => box.left + ((box.right - box.left) * (k + 2)) / 36).flatMap((x) => {
    const across = acrossAt(points, true, x);
    return across ? [{ x, y: (across.low + across.high) / 2 }] : [];
  });
}

/** A straight line through points by least squares: y = at + slope x. */
export function straightThrough(points: readonly Point[]): { at: number; slope: number } {
  const n = Math.max(1, points.length);
  const [mx, my] = [points.reduce((s, p) => s + p.x, 0) / n, points.reduce((s, p) => s + p.y, 0) / n];
  const xx = points.reduce((s, p) => s + (p.x - mx) ** 2, 0);
  const slope = xx > 0 ? points.reduce((s, p) => s + (p.x - mx) * (p.y - my), 0) / xx : 0;
  return { at: my - slope * mx, slope };
}

export function isSymmetric(points: readonly Point[], box: Box): boolean {
  const middle = middleLine(points, box);
  const { at, slope } = straightThrough(middle);
  const off = middle.reduce((most, p) => Math.max(most, Math.abs(p.y - at - slope * p.x)), 0);
  return off < 0.05 * (box.high - box.low);
}

/** Is one side of a closed line straight from end to end? Its height, where it is. */
export function stringerOf(points: readonly Point[], box: Box): { y: number; isLow: boolean } | undefined {
  for (const isLow of [true, false]) {
    const y = isLow ? box.low : box.high;
    const near = (x: number) => {
      const across = acrossAt(points, true, x);
      return across !== undefined && Math.abs((isLow ? across.low : across.high) - y) < 0.004 * (box.right - box.left);
    };
    const stations = Array.from({ length: 15 }, (_, k) => box.left + ((box.right - box.left) * (k + 1.5)) / 17);
    if (stations.filter(near).length >= 13) return { y, isLow };
  }
  return undefined;
}
