import { NO_HOLLOW } from '../tolerances.ts';
import type { CurveMark } from './curveMark.ts';
import { FairCurve } from './fairCurve.ts';
import { solveInPlace } from './linear.ts';
import { basisDerivatives, basisRowInto, COEFFICIENTS, DEGREE, energyMatrices, spanOf } from './quinticBasis.ts';
import { addSoft, drawnToSoft, type SoftRow, softRows } from './softMarks.ts';
import { parameterOf, type StationMap, stationBend, stationMap, stationOf, stationRate } from './stationMap.ts';

/** A batten to be sprung. */
export interface Batten {
  readonly length_mm: number;
  /** End angles of the map: π/2 for a round end, which closes on the stringer by itself. */
  readonly tail_rad: number;
  readonly nose_rad: number;
  readonly marks: readonly CurveMark[];
  /** Which way it may bend: `in` like an outline or foil, `up` like a rocker, `free` either way. */
  readonly bend: 'in' | 'up' | 'free';
}

const n = COEFFICIENTS;
const CHECKS = 97;
const PENALTY = 10;
const MAX_STEPS = 60;
/** A step from a moment before settles in two or three; one that takes longer began from another curve. */
const MAX_WARM_STEPS = 12;
const MAX_ROWS = 64;

interface CheckTable {
  starts: Int32Array;
  /** Six weights a check: the no-hollow test is linear in the coefficients. */
  weights: Float64Array;
}

const hessians = new Map<string, Float64Array>();
const checkTables = new Map<string, CheckTable>();
const CACHE_LIMIT = 256;

function remembered<T>(cache: Map<string, T>, key: string, make: () => T): T {
  const found = cache.get(key);
  if (found) return found;
  if (cache.size >= CACHE_LIMIT) cache.clear();
  const made = make();
  cache.set(key, made);
  return made;
}

/** The matrix of E = ∫ (y''' + ω² y')² ds, scaled to a mean diagonal of 1. */
function hessianOf(map: StationMap): Float64Array {
  return remembered(hessians, String(map.omega), () => {
    const { third, mixed, first } = energyMatrices();
    const w2 = map.omega * map.omega;
    const h = third.map((a, i) => a + w2 * mixed[i] + w2 * w2 * first[i]);
    let trace = 0;
    for (let i = 0; i < n; i++) trace += h[i * n + i];
    const scale = n / trace;
    for (let i = 0; i < n * n; i++) h[i] *= scale;
    for (let i = 0; i < n; i++) h[i * n + i] += 1e-13;
    return h;
  });
}

/**
 * g = (y_ss x_s − y_s x_ss) / (4π² L), proportional to the curvature's numerator, at CHECKS even parameters. Worked out for a batten of
 * length 1: of the length that asked first it would keep the rounding, and a board would hang on which was drawn before it.
 */
function checksOf({ tail_rad, nose_rad }: StationMap): CheckTable {
  return remembered(checkTables, `${tail_rad}|${nose_rad}`, () => {
    const map = stationMap(1, tail_rad, nose_rad);
    const starts = new Int32Array(CHECKS);
    const weights = new Float64Array(CHECKS * (DEGREE + 1));
    const unit = 4 * Math.PI * Math.PI;
    for (let k = 0; k < CHECKS; k++) {
      const s = k / (CHECKS - 1);
      const span = spanOf(s);
      const rows = basisDerivatives(s, 2, span);
      starts[k] = span;
      for (let j = 0; j <= DEGREE; j++) {
        weights[k * (DEGREE + 1) + j] = (rows[2][j] * stationRate(map, s) - rows[1][j] * stationBend(map, s)) / unit;
      }
    }
    return { starts, weights };
  });
}

function checkInto(table: CheckTable, sign: number, c: Float64Array, out: Float64Array): void {
  for (let k = 0; k < CHECKS; k++) {
    let sum = 0;
    for (let j = 0; j <= DEGREE; j++) sum += table.weights[k * (DEGREE + 1) + j] * c[table.starts[k] + j];
    out[k] = sign * sum;
  }
}

interface Rows {
  count: number;
  left: Float64Array;
  right: Float64Array;
}

const scratch = {
  kkt: new Float64Array((n + MAX_ROWS) ** 2),
  rhs: new Float64Array(n + MAX_ROWS),
  rows: { count: 0, left: new Float64Array(MAX_ROWS * n), right: new Float64Array(MAX_ROWS) } satisfies Rows,
  h: new Float64Array(n * n),
  q: new Float64Array(n),
  step: new Float64Array(n),
  checksNow: new Float64Array(CHECKS),
  checksStep: new Float64Array(CHECKS),
};

function addRow(rows: Rows, s: number, order: number, weight: number, right: number): void {
  if (rows.count >= MAX_ROWS) throw new RangeError(`sprungThrough: at most ${MAX_ROWS} conditions on one batten`);
  rows.left.fill(0, rows.count * n, (rows.count + 1) * n);
  basisRowInto(s, order, weight, rows.left, rows.count * n);
  rows.right[rows.count] = weight * right;
  rows.count += 1;
}

const isRound = (angle_rad: number) => angle_rad > Math.PI / 2 - 1e-9;

function gatherRows(batten: Batten, map: StationMap, scale: number): Rows {
  const rows = scratch.rows;
  rows.count = 0;
  for (const mark of batten.marks) {
    if (mark.kind === 'tipRadius') {
      const s = mark.end === 'tail' ? 0 : 1;
      const sign = mark.end === 'tail' ? 1 : -1;
      const first = (sign * Math.sqrt(mark.radius_mm * Math.abs(stationBend(map, s)))) / scale;
      addRow(rows, s, 1, 0.1, first);
      continue;
    }
    const s = parameterOf(map, mark.x_mm);
    switch (mark.kind) {
      case 'value':
        addRow(rows, s, 0, 1, mark.value_mm / scale);
        break;
      case 'slope':
        addRow(rows, s, 1, 0.1, (mark.slope * stationRate(map, s)) / scale);
        break;
      case 'straight': {
        // y_ss x_s − y_s x_ss = 0
        addRow(rows, s, 2, 0.01, 0);
        basisRowInto(s, 1, (-0.01 * stationBend(map, s)) / stationRate(map, s), rows.left, (rows.count - 1) * n);
        break;
      }
      case 'soft':
        break;
    }
  }
  for (const [s, angle] of [
    [0, batten.tail_rad],
    [1, batten.nose_rad],
  ] as const) {
    if (!isRound(angle)) continue;
    addRow(rows, s, 0, 1, 0);
    addRow(rows, s, 2, 0.01, 0);
  }
  return rows;
}

/** Minimises cᵀHc − 2qᵀc subject to the rows; writes the solution into `out`. */
function solveHeld(h: Float64Array, q: Float64Array, rows: Rows, out: Float64Array): void {
  const size = n + rows.count;
  const kkt = scratch.kkt;
  kkt.fill(0, 0, size * size);
  for (let i = 0; i < n; i++) {
    for (let j = 0; j < n; j++) kkt[i * size + j] = h[i * n + j];
    scratch.rhs[i] = q[i];
  }
  for (let r = 0; r < rows.count; r++) {
    for (let j = 0; j < n; j++) {
      const entry = rows.left[r * n + j];
      kkt[(n + r) * size + j] = entry;
      kkt[j * size + n + r] = entry;
    }
    scratch.rhs[n + r] = rows.right[r];
  }
  if (!solveInPlace(kkt, scratch.rhs, size)) {
    throw new RangeError('sprungThrough: the marks contradict each other (two at one station?)');
  }
  for (let i = 0; i < n; i++) out[i] = scratch.rhs[i];
}

function quadratic(h: Float64Array, a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < n; i++) {
    let row = 0;
    for (let j = Math.max(0, i - DEGREE); j <= Math.min(n - 1, i + DEGREE); j++) row += h[i * n + j] * b[j];
    sum += a[i] * row;
  }
  return sum;
}

function dot(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < n; i++) sum += a[i] * b[i];
  return sum;
}

/** The solver works in this unit: the greatest of the marks' values, mm. */
function scaleOf({ marks }: Batten): number {
  let scale = 0;
  for (const mark of marks) {
    if (mark.kind === 'value' || mark.kind === 'soft') scale = Math.max(scale, Math.abs(mark.value_mm));
  }
  return scale === 0 ? 1 : scale;
}

/** How the coefficients answer when one soft mark is raised by one, everything else held. */
function softResponse(h: Float64Array, rows: Rows, { span, basis }: SoftRow, weight: number): Float64Array {
  const q = new Float64Array(n);
  for (let i = 0; i <= DEGREE; i++) q[span + i] = weight * basis[i];
  return responded(h, q, rows);
}

/** The solution of the system with everything held at nothing but `q`, and but one row if `raised` names it. */
function responded(h: Float64Array, q: Float64Array, rows: Rows, raised?: { row: number; by: number }): Float64Array {
  const right = new Float64Array(rows.count);
  if (raised) right[raised.row] = raised.by;
  const out = new Float64Array(n);
  solveHeld(h, q, { count: rows.count, left: rows.left, right }, out);
  return out;
}

/** Greatest size of a curve of these coefficients, over CHECKS even parameters. */
function greatest(c: Float64Array): number {
  const { starts, weights } = valuesTable();
  let most = 0;
  for (let k = 0; k < CHECKS; k++) {
    let y = 0;
    for (let j = 0; j <= DEGREE; j++) y += weights[k * (DEGREE + 1) + j] * c[starts[k] + j];
    most = Math.max(most, Math.abs(y));
  }
  return most;
}

let values: CheckTable | undefined;
function valuesTable(): CheckTable {
  if (values) return values;
  const starts = new Int32Array(CHECKS);
  const weights = new Float64Array(CHECKS * (DEGREE + 1));
  for (let k = 0; k < CHECKS; k++) {
    const s = k / (CHECKS - 1);
    const span = spanOf(s);
    starts[k] = span;
    weights.set(basisDerivatives(s, 0, span)[0], k * (DEGREE + 1));
  }
  return (values = { starts, weights });
}

/**
 * The gain of each mark of a sprung batten: the most the line moves anywhere, for each mm its number is changed, max |dy/dmark|.
 *
 * Method: for a mark that is met, a column of the inverse of the Lagrange system as it stood at the end, with the penalty on
 * hollow of the stretches that held the curve; for a soft one its pull through the same. About 1 for a fair mark, 0 for a
 * soft one that the line meets by itself. Dimensionless, in the order of the marks; 0 for what is no number at a station.
 */
export function markGains(batten: Batten, curve: FairCurve): number[] {
  const map = curve.map;
  const scale = scaleOf(batten);
  const rows = gatherRows(batten, map, scale);
  const h = hessianOf(map).slice();
  const soft = softRows(batten.marks, map, scale);
  if (curve.softWeights.length === soft.length) addSoft(soft, curve.softWeights, h, new Float64Array(n));
  const table = checksOf(map);
  if (batten.bend !== 'free') addPenalty(h, table, curve.active);
  let row = 0;
  let nextSoft = 0;
  return batten.marks.map((mark) => {
    if (mark.kind === 'soft') {
      const weight = curve.softWeights[nextSoft] ?? 0;
      const gain = weight === 0 ? 0 : greatest(softResponse(h, rows, soft[nextSoft], weight));
      nextSoft += 1;
      return gain;
    }
    const gain = mark.kind === 'value' ? greatest(responded(h, new Float64Array(n), rows, { row, by: 1 })) : 0;
    row += 1;
    return gain;
  });
}

/** The penalty on hollow at the checks that are active; the sign of the bend falls out of it. */
function addPenalty(h: Float64Array, table: CheckTable, active: Uint8Array): void {
  for (let k = 0; k < CHECKS; k++) {
    if (!active[k]) continue;
    const start = table.starts[k];
    for (let i = 0; i <= DEGREE; i++) {
      const gi = PENALTY * table.weights[k * (DEGREE + 1) + i];
      for (let j = 0; j <= DEGREE; j++) h[(start + i) * n + start + j] += gi * table.weights[k * (DEGREE + 1) + j];
    }
  }
}

/**
 * Springs a batten through its marks: the fairest curve that meets them, bent one way only.
 *
 * Method: minimises the change of curvature E = ∫ (y''' + ω² y')² ds of a quintic spline in the station map's
 * parameter, with the marks as equations (a Lagrange system solved densely). Where the plain solution would be hollow,
 * a quadratic penalty on hollow at 97 parameters is minimised by Newton on the active set with an exact line search,
 * so that marks which demand a hollow get the smallest one and never a failure. docs/formulas.md has the derivation.
 *
 * Marks of kind `value` are met to about 1e-11 mm. `previous`, a curve of the same batten a moment before, saves steps.
 * @throws RangeError for a mark that is not finite, off the batten, or two values at one station.
 */
export function sprungThrough(batten: Batten, previous?: FairCurve): FairCurve {
  const map = stationMap(batten.length_mm, batten.tail_rad, batten.nose_rad);
  const scale = scaleOf(batten);
  for (const mark of batten.marks) {
    const numbers = Object.values(mark).filter((entry) => typeof entry === 'number');
    if (!numbers.every(Number.isFinite)) {
      throw new RangeError(`sprungThrough: a ${mark.kind} mark is not finite: ${JSON.stringify(mark)}`);
    }
  }

  const rows = gatherRows(batten, map, scale);
  const c = new Float64Array(n);
  let base = hessianOf(map);
  const q = new Float64Array(n);
  let solves = 1;
  solveHeld(base, q, rows, c);

  const soft = softRows(batten.marks, map, scale);
  let softWeights: Float64Array = new Float64Array();
  if (soft.length > 0) {
    const plain = base;
    base = base.slice();
    const energy = base;
    const drawn = drawnToSoft(
      soft,
      plain,
      { h: energy, q, c },
      () => solveHeld(energy, q, rows, c),
      (row, weight) => greatest(softResponse(energy, rows, row, weight)),
    );
    solves += drawn.solves;
    softWeights = drawn.weights;
  }

  const active = new Uint8Array(CHECKS);
  if (batten.bend !== 'free') {
    const sign = batten.bend === 'in' ? 1 : -1;
    const plain = c.slice();
    const warm = previous?.active.some((flag) => flag === 1) ? previous.active : undefined;
    const first = straightenHollows(base, q, rows, checksOf(map), sign, c, active, warm);
    solves += first.solves;
    if (warm && !first.settled) {
      // What was hollow on another curve is no help here: begin anew, so that a curve never hangs on the one before it.
      c.set(plain);
      solves += straightenHollows(base, q, rows, checksOf(map), sign, c, active, undefined).solves;
    }
  }
  for (let i = 0; i < n; i++) c[i] *= scale;
  return new FairCurve(map, c, active, solves, softWeights);
}

/**
 * Changes c, the plain solution, to the least hollow one. `warm` is the active set of a curve a moment before: it is given up
 * after a few steps, `settled` then being false.
 */
function straightenHollows(
  base: Float64Array,
  q: Float64Array,
  rows: Rows,
  table: CheckTable,
  sign: number,
  c: Float64Array,
  active: Uint8Array,
  warm: Uint8Array | undefined,
): { solves: number; settled: boolean } {
  const { checksNow, checksStep, h, q: pushed, step } = scratch;
  checkInto(table, sign, c, checksNow);
  let count = 0;
  for (let k = 0; k < CHECKS; k++) count += active[k] = checksNow[k] > -NO_HOLLOW ? 1 : 0;
  if (count === 0) return { solves: 0, settled: true };
  if (warm) active.set(warm);

  let solves = 0;
  let settled = false;
  while (!settled && solves < (warm ? MAX_WARM_STEPS : MAX_STEPS)) {
    h.set(base);
    pushed.set(q);
    addPenalty(h, table, active);
    for (let k = 0; k < CHECKS; k++) {
      if (!active[k]) continue;
      for (let i = 0; i <= DEGREE; i++) {
        pushed[table.starts[k] + i] -= PENALTY * NO_HOLLOW * sign * table.weights[k * (DEGREE + 1) + i];
      }
    }
    solveHeld(h, pushed, rows, step);
    solves += 1;
    for (let i = 0; i < n; i++) step[i] -= c[i];
    checkInto(table, sign, c, checksNow);
    checkInto(table, sign, step, checksStep);
    const t = lineMinimum(base, q, c, step, checksNow, checksStep);
    for (let i = 0; i < n; i++) c[i] += t * step[i];
    let changed = false;
    for (let k = 0; k < CHECKS; k++) {
      const flag = checksNow[k] + t * checksStep[k] > -NO_HOLLOW ? 1 : 0;
      if (flag !== active[k]) changed = true;
      active[k] = flag;
    }
    settled = !changed;
  }
  return { solves, settled };
}

/** The t in [0, 1] that minimises the penalised energy along c + t step: its derivative rises, piece by piece linear. */
function lineMinimum(
  base: Float64Array,
  q: Float64Array,
  c: Float64Array,
  step: Float64Array,
  checksNow: Float64Array,
  checksStep: Float64Array,
): number {
  const constant = quadratic(base, step, c) - dot(q, step);
  const linear = quadratic(base, step, step);
  const derivative = (t: number) => {
    let sum = constant + t * linear;
    for (let k = 0; k < CHECKS; k++) {
      const over = checksNow[k] + t * checksStep[k] + NO_HOLLOW;
      if (over > 0) sum += PENALTY * over * checksStep[k];
    }
    return sum;
  };
  if (derivative(1) <= 0) return 1;
  let low = 0;
  let high = 1;
  for (let k = 0; k < 40; k++) {
    const middle = (low + high) / 2;
    if (derivative(middle) > 0) high = middle;
    else low = middle;
  }
  return (low + high) / 2;
}

/** The stretches, as [from, to] in mm, where the curve could not be kept from a hollow deeper than the tolerance. */
export function hollowStretches(curve: FairCurve, bend: 'in' | 'up'): [number, number][] {
  const sign = bend === 'in' ? 1 : -1;
  const found: [number, number][] = [];
  for (let k = 0; k < CHECKS; k++) {
    const s = k / (CHECKS - 1);
    const { first, second } = curve.jetAt(s);
    const numerator = sign * (second * stationRate(curve.map, s) - first * stationBend(curve.map, s));
    const bendTimesLength = (numerator * curve.map.length_mm) / Math.hypot(stationRate(curve.map, s), first) ** 3;
    if (!(bendTimesLength > 0.02)) continue;
    const x = stationOf(curve.map, s);
    const last = found.at(-1);
    if (last && x - last[1] < curve.map.length_mm / 24) last[1] = x;
    else found.push([x, x]);
  }
  return found;
}
