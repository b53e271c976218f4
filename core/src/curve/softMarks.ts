import type { CurveMark } from './curveMark.ts';
import { basisDerivatives, COEFFICIENTS, DEGREE, spanOf } from './quinticBasis.ts';
import { parameterOf, type StationMap } from './stationMap.ts';

/** A soft mark ready for the solver: where its basis starts, its six weights, its value and give in the solver's unit. */
export interface SoftRow {
  span: number;
  basis: readonly number[];
  value: number;
  give: number;
}

export function softRows(marks: readonly CurveMark[], map: StationMap, scale: number): SoftRow[] {
  return marks.flatMap((mark) => {
    if (mark.kind !== 'soft') return [];
    const s = parameterOf(map, mark.x_mm);
    const span = spanOf(s);
    return [{ span, basis: basisDerivatives(s, 0, span)[0], value: mark.value_mm / scale, give: mark.give_mm / scale }];
  });
}

/** Mean square of the soft marks' misses, each in units of its own give. */
function softMiss(soft: readonly SoftRow[], c: Float64Array): number {
  let sum = 0;
  for (const { span, basis, value, give } of soft) {
    let y = -value;
    for (let i = 0; i <= DEGREE; i++) y += basis[i] * c[span + i];
    sum += (y / give) ** 2;
  }
  return sum / soft.length;
}

const SOFT_WEIGHTS = { least: -16, most: 4, closeness: 0.02 } as const;

/** The system that is solved: the energy cᵀhc − 2qᵀc and its solution c. */
interface System {
  h: Float64Array;
  q: Float64Array;
  c: Float64Array;
}

/**
 * Changes c, the plain solution, to the fairest curve whose soft marks miss by their own give on the whole, and `h`, `q`
 * to the energy that it minimises; `solve` solves the system as it stands. Does nothing if the plain solution already
 * misses by less.
 *
 * Method: adds w Σ ((y − v)/σ)² / n and finds w by bisection on its logarithm so that the mean square miss is 1: the
 * discrepancy principle (Morozov 1966, Soviet Math. Doklady 7, 414; from memory). The miss falls as w rises.
 * @returns the number of systems solved.
 */
export function drawnToSoft(
  soft: readonly SoftRow[],
  base: Float64Array,
  { h, q, c }: System,
  solve: () => void,
): number {
  if (softMiss(soft, c) <= 1) return 0;
  const solveWith = (exponent: number) => {
    h.set(base);
    q.fill(0);
    for (const { span, basis, value, give } of soft) {
      const weight = 10 ** exponent / (soft.length * give * give);
      for (let i = 0; i <= DEGREE; i++) {
        q[span + i] += weight * basis[i] * value;
        for (let j = 0; j <= DEGREE; j++) h[(span + i) * COEFFICIENTS + span + j] += weight * basis[i] * basis[j];
      }
    }
    solve();
  };
  let low: number = SOFT_WEIGHTS.least;
  let high: number = SOFT_WEIGHTS.most;
  let solves = 0;
  while (high - low > SOFT_WEIGHTS.closeness) {
    const middle = (low + high) / 2;
    solveWith(middle);
    solves += 1;
    if (softMiss(soft, c) > 1) low = middle;
    else high = middle;
  }
  solveWith(high);
  return solves + 1;
}
