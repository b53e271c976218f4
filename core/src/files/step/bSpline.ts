/**
 * B-spline curves and surfaces through points, by global interpolation: parameters are given, knots are their averages, control points
 * solve a banded system (Piegl and Tiller, The NURBS Book, 2nd ed. 1997, 9.2.1 and 9.2.5, equations 9.8 and 9.24; from memory).
 */

export type Point = readonly [x: number, y: number, z: number];

/** What is shared by all that is interpolated at the same parameters: the knots, and the system already taken apart. */
export interface Interpolation {
  degree: number;
  /** Clamped; each as often as it counts. */
  knots: number[];
  params: number[];
  /** Rows of the factored matrix: `band` numbers from column `first`. */
  rows: { first: number; values: Float64Array }[];
}

/** The span of knots a parameter lies in. */
function spanOf(knots: readonly number[], degree: number, u: number): number {
  const last = knots.length - degree - 2;
  if (u >= knots[last + 1]) return last;
  let [low, high] = [degree, last + 1];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (u < knots[middle]) high = middle;
    else low = middle;
  }
  return low;
}

/** The degree + 1 basis functions that are not nothing at u, the first of them at `span - degree`. Cox and de Boor. */
function basis(knots: readonly number[], degree: number, u: number): { first: number; values: Float64Array } {
  const span = spanOf(knots, degree, u);
  const values = new Float64Array(degree + 1);
  values[0] = 1;
  for (let j = 1; j <= degree; j++) {
    let saved = 0;
    for (let r = 0; r < j; r++) {
      const [right, left] = [knots[span + r + 1] - u, u - knots[span + 1 - j + r]];
      const share = values[r] / (right + left);
      values[r] = saved + right * share;
      saved = left * share;
    }
    values[j] = saved;
  }
  return { first: span - degree, values };
}

/**
 * Makes ready to interpolate at parameters that rise from 0 to 1: cubic, of less where there are fewer than four.
 * @throws RangeError for fewer than two parameters, or such as do not rise.
 */
export function interpolationAt(params: readonly number[]): Interpolation {
  const n = params.length - 1;
  if (n < 1) throw new RangeError('interpolationAt: needs two parameters at the least');
  for (let i = 1; i <= n; i++)
    if (!(params[i] > params[i - 1])) throw new RangeError(`interpolationAt: parameter ${i} does not rise`);
  const degree = Math.min(3, n);
  const inner = Array.from({ length: n - degree }, (_, j) => {
    let sum = 0;
    for (let i = j + 1; i <= j + degree; i++) sum += params[i];
    return sum / degree;
  });
  const ends = (u: number) => Array.from({ length: degree + 1 }, () => u);
  const knots = [...ends(params[0]), ...inner, ...ends(params[n])];
  // Gauss without pivots: the matrix is totally positive (de Boor 1978), so that none is needed. Row i keeps what made it.
  const rows = params.map((u) => {
    const { first, values } = basis(knots, degree, u);
    const wide = new Float64Array(2 * degree + 1);
    wide.set(values);
    return { first, values: wide };
  });
  for (let i = 0; i <= n; i++) {
    const row = rows[i];
    for (let k = row.first; k < i; k++) {
      const pivot = rows[k];
      const factor = row.values[k - row.first] / pivot.values[k - pivot.first];
      row.values[k - row.first] = factor;
      for (let c = k + 1; c < pivot.first + 2 * degree + 1; c++) {
        const at = c - row.first;
        if (at < row.values.length) row.values[at] -= factor * pivot.values[c - pivot.first];
      }
    }
  }
  return { degree, knots, params: [...params], rows };
}

/** Control points of the curve through points at the parameters it was made ready for. */
export function controlPoints({ rows }: Interpolation, through: readonly Point[]): Point[] {
  const n = rows.length - 1;
  const out = through.map((p): [number, number, number] => [p[0], p[1], p[2]]);
  for (let axis = 0; axis < 3; axis++) {
    for (let i = 0; i <= n; i++) {
      const { first, values } = rows[i];
      for (let k = first; k < i; k++) out[i][axis] -= values[k - first] * out[k][axis];
    }
    for (let i = n; i >= 0; i--) {
      const { first, values } = rows[i];
      const last = Math.min(n, first + values.length - 1);
      for (let c = i + 1; c <= last; c++) out[i][axis] -= values[c - first] * out[c][axis];
      out[i][axis] /= values[i - first];
    }
  }
  return out;
}

/** Control points of the surface through a grid of points: `through[i][j]` at the i-th parameter of u and the j-th of v. */
export function controlNet(u: Interpolation, v: Interpolation, through: readonly (readonly Point[])[]): Point[][] {
  const across = through.map((row) => controlPoints(v, row));
  const net: Point[][] = across.map(() => []);
  for (let j = 0; j < v.params.length; j++) {
    const column = controlPoints(
      u,
      across.map((row) => row[j]),
    );
    column.forEach((p, i) => {
      net[i][j] = p;
    });
  }
  return net;
}

/** The point of a surface at u, v. */
export function surfaceAt(
  u: Interpolation,
  v: Interpolation,
  net: readonly (readonly Point[])[],
  at: readonly [number, number],
): Point {
  const [bu, bv] = [basis(u.knots, u.degree, at[0]), basis(v.knots, v.degree, at[1])];
  const out: [number, number, number] = [0, 0, 0];
  bu.values.forEach((wu, i) => {
    bv.values.forEach((wv, j) => {
      const p = net[bu.first + i][bv.first + j];
      for (let axis = 0; axis < 3; axis++) out[axis] += wu * wv * p[axis];
    });
  });
  return out;
}

/** Parameters from 0 to 1 by the mean of the chords of several lines of points, so that one set serves them all. */
export function meanChords(lines: readonly (readonly Point[])[]): number[] {
  const count = lines[0].length;
  const steps = new Float64Array(count);
  for (const line of lines) {
    const chords = line.slice(1).map((p, i) => Math.hypot(p[0] - line[i][0], p[1] - line[i][1], p[2] - line[i][2]));
    const whole = chords.reduce((sum, chord) => sum + chord, 0);
    // A line drawn together in one point has no say.
    if (whole > 0) chords.forEach((chord, i) => (steps[i + 1] += chord / whole));
  }
  const params = [0];
  for (let i = 1; i < count; i++) params.push(params[i - 1] + Math.max(steps[i], 1e-9));
  return params.map((p) => p / params[count - 1]);
}
