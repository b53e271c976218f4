/**
 * Solves the dense system A z = r in place: on return `r` holds z.
 *
 * Method: Gaussian elimination with partial pivoting, zero multipliers skipped, which a banded A rewards.
 * `a` is row-major, n by n, and is destroyed. Returns false when A is singular to working precision.
 */
export function solveInPlace(a: Float64Array, r: Float64Array, n: number): boolean {
  for (let col = 0; col < n; col++) {
    let pivot = col;
    let largest = Math.abs(a[col * n + col]);
    for (let row = col + 1; row < n; row++) {
      const size = Math.abs(a[row * n + col]);
      if (size > largest) {
        largest = size;
        pivot = row;
      }
    }
    if (!(largest > 1e-300)) return false;
    if (pivot !== col) {
      for (let k = col; k < n; k++) {
        const held = a[col * n + k];
        a[col * n + k] = a[pivot * n + k];
        a[pivot * n + k] = held;
      }
      const held = r[col];
      r[col] = r[pivot];
      r[pivot] = held;
    }
    // Behind the last entry of the pivot's row nothing changes: a band costs its width and not the rest of the row.
    let end = n;
    while (a[col * n + end - 1] === 0) end -= 1;
    const inverse = 1 / a[col * n + col];
    for (let row = col + 1; row < n; row++) {
      const entry = a[row * n + col];
      if (entry === 0) continue;
      const multiplier = entry * inverse;
      for (let k = col + 1; k < end; k++) a[row * n + k] -= multiplier * a[col * n + k];
      r[row] -= multiplier * r[col];
    }
  }
  for (let row = n - 1; row >= 0; row--) {
    let sum = r[row];
    for (let k = row + 1; k < n; k++) sum -= a[row * n + k] * r[k];
    r[row] = sum / a[row * n + row];
  }
  return true;
}
