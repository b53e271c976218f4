import { Matrix, SingularValueDecomposition } from 'ml-matrix';
import type { Point } from '../plane.ts';

/** A plane seen in perspective: nine numbers, row by row, of points (x, y, 1). */
export type Homography = readonly number[];

export function seenThrough(h: Homography, { x, y }: Point): Point {
  const w = h[6] * x + h[7] * y + h[8];
  return { x: (h[0] * x + h[1] * y + h[2]) / w, y: (h[3] * x + h[4] * y + h[5]) / w };
}

/** Points moved and scaled about their middle to a mean distance of √2, and the matrix that does it. */
function normalised(points: readonly Point[]): { points: Point[]; by: Matrix } {
  const n = points.length;
  const middle = { x: points.reduce((s, p) => s + p.x, 0) / n, y: points.reduce((s, p) => s + p.y, 0) / n };
  const mean = points.reduce((s, p) => s + Math.hypot(p.x - middle.x, p.y - middle.y), 0) / n;
  const k = Math.SQRT2 / mean;
  return {
    points: points.map((p) => ({ x: k * (p.x - middle.x), y: k * (p.y - middle.y) })),
    by: new Matrix([
      [k, 0, -k * middle.x],
      [0, k, -k * middle.y],
      [0, 0, 1],
    ]),
  };
}

/**
 * The homography that takes each `from` to its `to`, four or more. Method: the normalised direct linear transformation (Hartley and
 * Zisserman, Multiple View Geometry, algorithm 4.2). Undefined where three of four lie in one line, or two at one place.
 */
export function homographyOf(from: readonly Point[], to: readonly Point[]): Homography | undefined {
  if (from.length < 4 || from.length !== to.length) return undefined;
  const [a, b] = [normalised(from), normalised(to)];
  if (![...a.points, ...b.points].every(({ x, y }) => Number.isFinite(x) && Number.isFinite(y))) return undefined;
  const rows = a.points.flatMap(({ x, y }, i) => {
    const { x: u, y: v } = b.points[i];
    return [
      [0, 0, 0, -x, -y, -1, v * x, v * y, v],
      [x, y, 1, 0, 0, 0, -u * x, -u * y, -u],
    ];
  });
  // Nine columns of nine rows: a row of nothing makes up what four points leave out.
  while (rows.length < 9) rows.push(new Array<number>(9).fill(0));
  const solved = new SingularValueDecomposition(new Matrix(rows), { autoTranspose: true });
  const values = solved.diagonal;
  if (!(values[7] > 1e-7 * values[0])) return undefined;
  const h = solved.rightSingularVectors.getColumn(8);
  const inner = new Matrix([h.slice(0, 3), h.slice(3, 6), h.slice(6, 9)]);
  const back = new SingularValueDecomposition(b.by).inverse();
  const whole = back.mmul(inner).mmul(a.by).to1DArray();
  const unit = whole[8];
  return Math.abs(unit) > 1e-12 ? whole.map((value) => value / unit) : undefined;
}

/** The same the other way. */
export function inverted(h: Homography): Homography {
  const inverse = new SingularValueDecomposition(new Matrix([h.slice(0, 3), h.slice(3, 6), h.slice(6, 9)])).inverse();
  return inverse.to1DArray().map((value) => value / inverse.get(2, 2));
}

/** Scale and turn alone, from two points: for a picture taken square on. Undefined for two at one place. */
export function similarityOf(from: readonly [Point, Point], to: readonly [Point, Point]): Homography | undefined {
  const [fx, fy] = [from[1].x - from[0].x, from[1].y - from[0].y];
  const [tx, ty] = [to[1].x - to[0].x, to[1].y - to[0].y];
  const size = fx * fx + fy * fy;
  if (!(size > 0)) return undefined;
  const [a, b] = [(tx * fx + ty * fy) / size, (ty * fx - tx * fy) / size];
  return [a, -b, to[0].x - a * from[0].x + b * from[0].y, b, a, to[0].y - b * from[0].x - a * from[0].y, 0, 0, 1];
}
