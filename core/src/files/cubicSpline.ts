/** A cubic B-spline: clamped, its control points one more than two over the points it goes through. */
export interface CubicSpline {
  knots: number[];
  points: { x_mm: number; y_mm: number }[];
}

interface Plane {
  x_mm: number;
  y_mm: number;
}

const chord = (a: Plane, b: Plane) => Math.hypot(b.x_mm - a.x_mm, b.y_mm - a.y_mm);

/** Second derivatives of the cubic spline through values at parameters t; at the ends it runs out as a parabola. Thomas' algorithm. */
function secondDerivatives(t: readonly number[], value: readonly number[]): number[] {
  const n = t.length - 1;
  if (n < 2) return t.map(() => 0);
  const lower: number[] = [];
  const right: number[] = [];
  for (let i = 1; i < n; i++) {
    const [h, k] = [t[i] - t[i - 1], t[i + 1] - t[i]];
    // M0 = M1 and Mn = M(n-1) fold into the first and last row.
    const diagonal = 2 * (h + k) + (i === 1 ? h : 0) + (i === n - 1 ? k : 0);
    const before = i > 1 ? lower[i - 2] * h : 0;
    const rest = 6 * ((value[i + 1] - value[i]) / k - (value[i] - value[i - 1]) / h);
    lower.push(i === n - 1 ? 0 : k / (diagonal - before));
    right.push((rest - (i > 1 ? h * right[i - 2] : 0)) / (diagonal - before));
  }
  const m = Array.from({ length: n + 1 }, () => 0);
  for (let i = n - 1; i >= 1; i--) m[i] = right[i - 1] - (i === n - 1 ? 0 : lower[i - 1] * m[i + 1]);
  m[0] = m[1];
  m[n] = m[n - 1];
  return m;
}

/**
 * The cubic spline through points, parameterised by the chords between them, as a B-spline. Its control points are the polar form
 * of its pieces at three knots in a row (Ramshaw, Blossoming, 1987; from memory). Two points make a straight one.
 * @throws RangeError for fewer than two points, or two at one place.
 */
export function splineThrough(through: readonly Plane[]): CubicSpline {
  if (through.length < 2) throw new RangeError('splineThrough: needs two points at the least');
  const t = [0];
  for (let i = 1; i < through.length; i++) {
    const long = chord(through[i - 1], through[i]);
    if (!(long > 0)) throw new RangeError(`splineThrough: points ${i - 1} and ${i} are at one place`);
    t.push(t[i - 1] + long);
  }
  const n = t.length - 1;
  const knots = [t[0], t[0], t[0], ...t, t[n], t[n], t[n]];
  const control = (value: readonly number[]): number[] => {
    const m = secondDerivatives(t, value);
    return Array.from({ length: n + 3 }, (_, j) => {
      // Any piece on which the control point bears; from its start the piece is a + b s + c s² + d s³.
      const k = Math.min(n - 1, Math.max(0, j - 1));
      const h = t[k + 1] - t[k];
      const a = value[k];
      const b = (value[k + 1] - value[k]) / h - (h * (2 * m[k] + m[k + 1])) / 6;
      const c = m[k] / 2;
      const d = (m[k + 1] - m[k]) / (6 * h);
      const [u, v, w] = [knots[j + 1] - t[k], knots[j + 2] - t[k], knots[j + 3] - t[k]];
      return a + (b * (u + v + w)) / 3 + (c * (u * v + v * w + w * u)) / 3 + d * u * v * w;
    });
  };
  const xs = control(through.map((p) => p.x_mm));
  const ys = control(through.map((p) => p.y_mm));
  return { knots, points: xs.map((x_mm, i) => ({ x_mm, y_mm: ys[i] })) };
}

/** A turn of more than this between two chords is a corner. */
const CORNER_rad = (25 * Math.PI) / 180;

/** A chord so many times as long as the one beside it, and longer than this, is a straight edge: a spline through its ends would bulge. */
const EDGE = { times: 5, mm: 6 } as const;

/** A line of points cut at its corners and at the ends of its straight edges, each piece with both its ends. A closed one ends where it began. */
export function piecesOf(points: readonly Plane[], closed: boolean): Plane[][] {
  const line = closed ? [...points, points[0]] : [...points];
  const pieces: Plane[][] = [[line[0]]];
  for (let i = 1; i < line.length; i++) {
    pieces[pieces.length - 1].push(line[i]);
    if (i === line.length - 1) break;
    const before = Math.atan2(line[i].y_mm - line[i - 1].y_mm, line[i].x_mm - line[i - 1].x_mm);
    const after = Math.atan2(line[i + 1].y_mm - line[i].y_mm, line[i + 1].x_mm - line[i].x_mm);
    const turn = Math.abs(((after - before + 3 * Math.PI) % (2 * Math.PI)) - Math.PI);
    const [behind, ahead] = [chord(line[i - 1], line[i]), chord(line[i], line[i + 1])];
    const [short, long] = behind < ahead ? [behind, ahead] : [ahead, behind];
    if (turn > CORNER_rad || (long > EDGE.mm && long > EDGE.times * short)) pieces.push([line[i]]);
  }
  return pieces;
}
