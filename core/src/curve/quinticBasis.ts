import { GAUSS5 } from './gauss.ts';
/**
 * The quintic B-spline basis on [0, 1]: SPANS equal spans, clamped ends, COEFFICIENTS functions.
 * Method: de Boor's recursion with derivatives, Piegl and Tiller, The NURBS Book, 2nd ed., algorithms A2.2 and A2.3
 * (from memory).
 */
export const DEGREE = 5;
export const SPANS = 24;
export const COEFFICIENTS = SPANS + DEGREE;
const ORDER = DEGREE + 1;

const KNOTS = Float64Array.from(
  { length: COEFFICIENTS + ORDER },
  (_, i) => Math.min(Math.max(i - DEGREE, 0), SPANS) / SPANS,
);

/** The span that holds s; the last one holds s = 1. */
export function spanOf(s: number): number {
  return Math.min(Math.max(Math.floor(s * SPANS), 0), SPANS - 1);
}

/**
 * Derivatives 0 to `highest` of the six basis functions alive in `span`, at s.
 * Gives rows[k][j]: derivative k of function span + j, per unit s.
 */
export function basisDerivatives(s: number, highest: number, span = spanOf(s)): number[][] {
  const at = span + DEGREE;
  const ndu: number[][] = Array.from({ length: ORDER }, () => new Array<number>(ORDER).fill(0));
  const left = new Array<number>(ORDER).fill(0);
  const right = new Array<number>(ORDER).fill(0);
  ndu[0][0] = 1;
  for (let j = 1; j <= DEGREE; j++) {
    left[j] = s - KNOTS[at + 1 - j];
    right[j] = KNOTS[at + j] - s;
    let saved = 0;
    for (let r = 0; r < j; r++) {
      ndu[j][r] = right[r + 1] + left[j - r];
      const temp = ndu[r][j - 1] / ndu[j][r];
      ndu[r][j] = saved + right[r + 1] * temp;
      saved = left[j - r] * temp;
    }
    ndu[j][j] = saved;
  }
  const rows: number[][] = Array.from({ length: highest + 1 }, () => new Array<number>(ORDER).fill(0));
  for (let j = 0; j <= DEGREE; j++) rows[0][j] = ndu[j][DEGREE];
  for (let r = 0; r <= DEGREE; r++) {
    let previous = new Array<number>(ORDER).fill(0);
    let current = new Array<number>(ORDER).fill(0);
    previous[0] = 1;
    for (let k = 1; k <= highest; k++) {
      let d = 0;
      const rk = r - k;
      const pk = DEGREE - k;
      if (r >= k) {
        current[0] = previous[0] / ndu[pk + 1][rk];
        d = current[0] * ndu[rk][pk];
      }
      const j1 = rk >= -1 ? 1 : -rk;
      const j2 = r - 1 <= pk ? k - 1 : DEGREE - r;
      for (let j = j1; j <= j2; j++) {
        current[j] = (previous[j] - previous[j - 1]) / ndu[pk + 1][rk + j];
        d += current[j] * ndu[rk + j][pk];
      }
      if (r <= pk) {
        current[k] = -previous[k - 1] / ndu[pk + 1][r];
        d += current[k] * ndu[r][pk];
      }
      rows[k][r] = d;
      [previous, current] = [current, previous];
    }
  }
  let factor = DEGREE;
  for (let k = 1; k <= highest; k++) {
    for (let j = 0; j <= DEGREE; j++) rows[k][j] *= factor;
    factor *= DEGREE - k;
  }
  return rows;
}

/** Writes derivative `order` of all the basis functions at s, times `weight`, into a row of COEFFICIENTS numbers. */
export function basisRowInto(s: number, order: number, weight: number, out: Float64Array, offset: number): void {
  const span = spanOf(s);
  const row = basisDerivatives(s, order, span)[order];
  for (let j = 0; j <= DEGREE; j++) out[offset + span + j] += weight * row[j];
}

/** The three matrices of the fairing energy: third with third, third with first, first with first derivatives. */
export interface EnergyMatrices {
  third: Float64Array;
  mixed: Float64Array;
  first: Float64Array;
}

let energy: EnergyMatrices | undefined;

/** Integrals over [0, 1] of products of basis derivatives, row-major, made once. */
export function energyMatrices(): EnergyMatrices {
  if (energy) return energy;
  const n = COEFFICIENTS;
  const made: EnergyMatrices = {
    third: new Float64Array(n * n),
    mixed: new Float64Array(n * n),
    first: new Float64Array(n * n),
  };
  for (let span = 0; span < SPANS; span++) {
    for (const [node, weight] of GAUSS5) {
      const rows = basisDerivatives((span + (node + 1) / 2) / SPANS, 3, span);
      const w = weight / (2 * SPANS);
      for (let i = 0; i <= DEGREE; i++) {
        for (let j = 0; j <= DEGREE; j++) {
          const at = (span + i) * n + span + j;
          made.third[at] += w * rows[3][i] * rows[3][j];
          made.mixed[at] += w * (rows[3][i] * rows[1][j] + rows[1][i] * rows[3][j]);
          made.first[at] += w * rows[1][i] * rows[1][j];
        }
      }
    }
  }
  energy = made;
  return made;
}

let powers: Float64Array[] | undefined;

/** For each span the 6 by 6 matrix from its six coefficients to a polynomial in u = s SPANS − span, lowest power first. */
export function powerMatrices(): Float64Array[] {
  powers ??= Array.from({ length: SPANS }, (_, span) => {
    const rows = basisDerivatives(span / SPANS, DEGREE, span);
    const out = new Float64Array(ORDER * ORDER);
    let scale = 1;
    for (let k = 0; k <= DEGREE; k++) {
      if (k > 0) scale /= k * SPANS;
      for (let j = 0; j <= DEGREE; j++) out[k * ORDER + j] = rows[k][j] * scale;
    }
    return out;
  });
  return powers;
}
