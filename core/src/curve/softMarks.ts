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
 * A mark that moves the line by more than so many times its own change is a lever: of the batten, not of the shaper. A soft mark
 * gives up as much of its hold as it takes to stay under this; a hard one is named.
 */
export const MOST_GAIN = 2;

/** How a soft mark's hold is lessened: in steps of so many tenfolds, and by so many at the most. */
const LESS = { rounds: 14, most: 12 } as const;

/** Adds the pull of the soft marks, each with its weight, to an energy. */
export function addSoft(soft: readonly SoftRow[], weights: Float64Array, h: Float64Array, q: Float64Array): void {
  soft.forEach(({ span, basis, value }, k) => {
    const weight = weights[k];
    if (weight === 0) return;
    for (let i = 0; i <= DEGREE; i++) {
      q[span + i] += weight * basis[i] * value;
      for (let j = 0; j <= DEGREE; j++) h[(span + i) * COEFFICIENTS + span + j] += weight * basis[i] * basis[j];
    }
  });
}

/**
 * Changes c, the plain solution, to the fairest curve whose soft marks miss by their own give on the whole, and `h`, `q`
 * to the energy that it minimises; `solve` solves the system as it stands. Does nothing if the plain solution already
 * misses by less.
 *
 * Method: adds w Σ ((y − v)/σ)² / n and finds w by bisection on its logarithm so that the mean square miss is 1: the
 * discrepancy principle (Morozov 1966, Soviet Math. Doklady 7, 414; from memory). The miss falls as w rises. A mark that would
 * then move the line by more than MOST_GAIN times its own change (`gainOf`, asked of the system as it stands) has its own weight
 * lessened until it does not: it is missed by more than its give, as a batten would miss it.
 * @returns the number of systems solved, and the weight of each mark.
 */
export function drawnToSoft(
  soft: readonly SoftRow[],
  base: Float64Array,
  { h, q, c }: System,
  solve: () => void,
  gainOf: (row: SoftRow, weight: number) => number,
): { solves: number; weights: Float64Array } {
  const weights = new Float64Array(soft.length);
  if (softMiss(soft, c) <= 1) return { solves: 0, weights };
  const share = new Float64Array(soft.length).fill(1);
  let solves = 0;
  const weigh = (exponent: number) => {
    soft.forEach(({ give }, k) => (weights[k] = (share[k] * 10 ** exponent) / (soft.length * give * give)));
    h.set(base);
    q.fill(0);
    addSoft(soft, weights, h, q);
  };
  const solveWith = (exponent: number) => {
    weigh(exponent);
    solve();
    solves += 1;
  };
  let low: number = SOFT_WEIGHTS.least;
  let high: number = SOFT_WEIGHTS.most;
  while (high - low > SOFT_WEIGHTS.closeness) {
    const middle = (low + high) / 2;
    solveWith(middle);
    if (softMiss(soft, c) > 1) low = middle;
    else high = middle;
  }
  weigh(high);
  soft.forEach((row, k) => {
    solves += 1;
    if (gainOf(row, weights[k]) <= MOST_GAIN) return;
    let [less, more] = [-LESS.most, 0];
    for (let round = 0; round < LESS.rounds; round++) {
      const middle = (less + more) / 2;
      share[k] = 10 ** middle;
      weigh(high);
      solves += 1;
      if (gainOf(row, weights[k]) > MOST_GAIN) more = middle;
      else less = middle;
    }
    share[k] = 10 ** less;
    weigh(high);
  });
  solveWith(high);
  return { solves, weights };
}
