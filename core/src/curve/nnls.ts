import { solveInPlace } from './linear.ts';

/** More rounds than a passive set of so many can take without going in circles. */
const ROUNDS_A_COLUMN = 6;
/** A gradient is counted positive above this share of the largest. */
const POSITIVE = 1e-11;

/**
 * The z ≥ 0 that makes |E z − f| least.
 *
 * Method: Lawson and Hanson, Solving Least Squares Problems, 1974, chapter 23, algorithm NNLS: columns enter the passive set
 * one at a time by their gradient, and leave it where the least squares of the set would make them negative.
 * @param columns of E, all as long as f.
 */
export function nonNegativeLeastSquares(columns: readonly Float64Array[], f: Float64Array): Float64Array {
  const count = columns.length;
  const z = new Float64Array(count);
  const passive: number[] = [];
  const residual = f.slice();
  const scale = Math.max(...columns.map((column) => Math.abs(dot(column, f))), 1e-300);
  const refused = new Uint8Array(count);
  for (let round = 0; round < ROUNDS_A_COLUMN * count; round++) {
    let enters = -1;
    let steepest = POSITIVE * scale;
    for (let j = 0; j < count; j++) {
      if (z[j] > 0 || refused[j] === 1 || passive.includes(j)) continue;
      const gradient = dot(columns[j], residual);
      if (gradient > steepest) [enters, steepest] = [j, gradient];
    }
    if (enters < 0) break;
    passive.push(enters);
    const solved = settle(columns, f, passive, z);
    // A column that others already span does not help: it stays out from here on.
    if (!solved) {
      passive.splice(passive.indexOf(enters), 1);
      refused[enters] = 1;
      continue;
    }
    residual.set(f);
    for (const j of passive) for (let i = 0; i < f.length; i++) residual[i] -= z[j] * columns[j][i];
  }
  return z;
}

/** Moves z to the least squares of the passive set, letting go of those that would turn negative; false if there is none. */
function settle(columns: readonly Float64Array[], f: Float64Array, passive: number[], z: Float64Array): boolean {
  for (;;) {
    const n = passive.length;
    const normal = new Float64Array(n * n);
    const wanted = new Float64Array(n);
    for (let a = 0; a < n; a++) {
      wanted[a] = dot(columns[passive[a]], f);
      for (let b = 0; b <= a; b++) {
        normal[a * n + b] = normal[b * n + a] = dot(columns[passive[a]], columns[passive[b]]);
      }
    }
    if (!solveInPlace(normal, wanted, n) || !wanted.every(Number.isFinite)) return false;
    let share = 1;
    for (let a = 0; a < n; a++) {
      const now = z[passive[a]];
      if (wanted[a] <= 0) share = Math.min(share, now / (now - wanted[a] || 1));
    }
    for (let a = 0; a < n; a++) z[passive[a]] += share * (wanted[a] - z[passive[a]]);
    if (share === 1 && wanted.every((value) => value > 0)) return true;
    for (let a = n - 1; a >= 0; a--) {
      if (wanted[a] <= 0 && z[passive[a]] <= 1e-15 * Math.abs(wanted[a]) + 1e-300) {
        z[passive[a]] = 0;
        passive.splice(a, 1);
      }
    }
    if (passive.length === n) return false;
    if (passive.length === 0) return true;
  }
}

function dot(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += a[i] * b[i];
  return sum;
}
