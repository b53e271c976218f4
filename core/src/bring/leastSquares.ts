import { CholeskyDecomposition, Matrix } from 'ml-matrix';

/** One number that is looked for: where it begins, what it may be, and how far a step aside is taken to see what it does. */
export interface Unknown {
  start: number;
  low: number;
  high: number;
  step: number;
}

export interface Fit {
  values: number[];
  residuals: Float64Array;
  /** Root mean square of the residuals, each as it counts. */
  rms: number;
  rounds: number;
}

interface FitChoices {
  /** Residuals beyond this count in proportion, not by their square. */
  huber: number;
  mostRounds?: number;
  /** Less gained in a round than this share of what is left, and it is found; a ten-thousandth where left out. */
  gained?: number;
  /** Told after each round; a fit that is stopped throws what this throws. */
  onRound?: (round: number) => void;
}

const { abs } = Math;

/** A residual counts whole up to `huber`, beyond it so that its pull stays the same. */
const weightOf = (residual: number, huber: number) => {
  const size = abs(residual);
  return size <= huber ? 1 : huber / size;
};

function costOf(residuals: Float64Array, huber: number): number {
  let sum = 0;
  for (const residual of residuals) {
    const size = abs(residual);
    sum += size <= huber ? size * size : huber * (2 * size - huber);
  }
  return sum;
}

const MOST_DAMPED = 8;

/**
 * The values that make the residuals least, each held within its limits.
 * Method: Gauss-Newton by forward differences, damped (Levenberg 1944, Marquardt 1963), with Huber's weights (Huber 1964) renewed each
 * round; a value at its limit that would leave it is held for the round. `residualsOf` may return undefined where the values make nothing.
 * @throws RangeError when the start itself makes nothing.
 */
export function leastSquares(
  unknowns: readonly Unknown[],
  residualsOf: (values: readonly number[]) => Float64Array | undefined,
  { huber, mostRounds = 20, gained: enough = 1e-4, onRound }: FitChoices,
): Fit {
  let values = unknowns.map(({ start, low, high }) => Math.min(high, Math.max(low, start)));
  let residuals = residualsOf(values);
  if (!residuals) throw new RangeError('leastSquares: what it starts from makes nothing');
  let cost = costOf(residuals, huber);
  let damping = 1e-3;
  let round = 0;
  for (; round < mostRounds; round++) {
    onRound?.(round);
    const { gradient, normal } = slopes(unknowns, values, residuals, residualsOf, huber);
    const held = unknowns.map(
      ({ low, high }, k) => (values[k] <= low && gradient[k] > 0) || (values[k] >= high && gradient[k] < 0),
    );
    let gained = 0;
    for (let tries = 0; tries < MOST_DAMPED; tries++) {
      const by = stepOf(normal, gradient, held, damping);
      const next = values.map((value, k) =>
        Math.min(unknowns[k].high, Math.max(unknowns[k].low, value - (by?.[k] ?? 0))),
      );
      const there = by && residualsOf(next);
      const nextCost = there ? costOf(there, huber) : Infinity;
      if (there && nextCost < cost) {
        gained = (cost - nextCost) / (cost + 1e-30);
        [values, residuals, cost] = [next, there, nextCost];
        damping = Math.max(1e-9, damping / 8);
        break;
      }
      damping *= 8;
    }
    if (gained < enough) break;
  }
  return { values, residuals, rms: Math.sqrt(cost / Math.max(1, residuals.length)), rounds: round };
}

function slopes(
  unknowns: readonly Unknown[],
  values: readonly number[],
  residuals: Float64Array,
  residualsOf: (values: readonly number[]) => Float64Array | undefined,
  huber: number,
): { gradient: number[]; normal: number[][] } {
  const columns = unknowns.map(({ step, high }, k) => {
    const aside = values[k] + step <= high ? step : -step;
    const there = residualsOf(values.map((value, j) => (j === k ? value + aside : value)));
    const column = new Float64Array(residuals.length);
    if (there) for (let i = 0; i < column.length; i++) column[i] = (there[i] - residuals[i]) / aside;
    return column;
  });
  const weights = residuals.map((residual) => weightOf(residual, huber));
  const gradient = columns.map((column) => {
    let sum = 0;
    for (let i = 0; i < column.length; i++) sum += weights[i] * column[i] * residuals[i];
    return sum;
  });
  const normal = columns.map(() => columns.map(() => 0));
  for (let a = 0; a < columns.length; a++) {
    for (let b = 0; b <= a; b++) {
      let sum = 0;
      for (let i = 0; i < residuals.length; i++) sum += weights[i] * columns[a][i] * columns[b][i];
      normal[a][b] = normal[b][a] = sum;
    }
  }
  return { gradient, normal };
}

/** The damped step; undefined where the normal equations cannot be solved. */
function stepOf(
  normal: readonly number[][],
  gradient: readonly number[],
  held: readonly boolean[],
  damping: number,
): number[] | undefined {
  const free = gradient.map((_, k) => k).filter((k) => !held[k] && normal[k][k] > 0);
  if (free.length === 0) return undefined;
  const left = new Matrix(
    free.map((a) => free.map((b) => normal[a][b] + (a === b ? damping * normal[a][a] + 1e-12 : 0))),
  );
  const solved = new CholeskyDecomposition(left);
  if (!solved.isPositiveDefinite()) return undefined;
  const by = solved.solve(Matrix.columnVector(free.map((k) => gradient[k]))).to1DArray();
  const out = gradient.map(() => 0);
  free.forEach((k, i) => (out[k] = by[i]));
  return out;
}
