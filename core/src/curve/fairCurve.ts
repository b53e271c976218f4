import { basisDerivatives, DEGREE, powerMatrices, SPANS, spanOf } from './quinticBasis.ts';
import { parameterOf, type StationMap, stationBend, stationOf, stationRate } from './stationMap.ts';

const ORDER = DEGREE + 1;

/** A value and its first two derivatives in the parameter. */
export interface Jet {
  y: number;
  first: number;
  second: number;
}

/**
 * A sprung batten: a quintic spline in the parameter of a truncated ellipse. Immutable.
 * Continuous with four derivatives; accurate to about 0.01 mm against a spline of four times the spans (tested).
 */
export class FairCurve {
  readonly map: StationMap;
  /** B-spline coefficients, mm. */
  readonly coefficients: Float64Array;
  /** Which of the no-hollow tests held the curve; a warm start for the next solve. */
  readonly active: Uint8Array;
  /** How many linear systems the solve took. */
  readonly solves: number;
  /** What each soft mark of the batten pulls with, in the solver's units and in the order of the marks. */
  readonly softWeights: Float64Array;
  private readonly polynomials: Float64Array;

  constructor(
    map: StationMap,
    coefficients: Float64Array,
    active: Uint8Array,
    solves: number,
    softWeights: Float64Array = new Float64Array(),
  ) {
    this.map = map;
    this.coefficients = coefficients;
    this.active = active;
    this.solves = solves;
    this.softWeights = softWeights;
    const matrices = powerMatrices();
    const polynomials = new Float64Array(SPANS * ORDER);
    for (let span = 0; span < SPANS; span++) {
      const matrix = matrices[span];
      for (let k = 0; k < ORDER; k++) {
        let sum = 0;
        for (let j = 0; j < ORDER; j++) sum += matrix[k * ORDER + j] * coefficients[span + j];
        polynomials[span * ORDER + k] = sum;
      }
    }
    this.polynomials = polynomials;
  }

  /** The ordinate, mm, at station x; at the tips' values beyond them. */
  valueAt(x_mm: number): number {
    const t = parameterOf(this.map, x_mm) * SPANS;
    const span = t >= SPANS ? SPANS - 1 : Math.floor(t);
    const u = t - span;
    const p = this.polynomials;
    const o = span * ORDER;
    return p[o] + u * (p[o + 1] + u * (p[o + 2] + u * (p[o + 3] + u * (p[o + 4] + u * p[o + 5]))));
  }

  /** Value and derivatives in s at parameter s. */
  jetAt(s: number): Jet {
    const span = spanOf(s);
    const u = s * SPANS - span;
    const p = this.polynomials;
    const o = span * ORDER;
    const y = p[o] + u * (p[o + 1] + u * (p[o + 2] + u * (p[o + 3] + u * (p[o + 4] + u * p[o + 5]))));
    const first = p[o + 1] + u * (2 * p[o + 2] + u * (3 * p[o + 3] + u * (4 * p[o + 4] + u * 5 * p[o + 5])));
    const second = 2 * p[o + 2] + u * (6 * p[o + 3] + u * (12 * p[o + 4] + u * 20 * p[o + 5]));
    return { y, first: first * SPANS, second: second * SPANS * SPANS };
  }

  /** dy/dx, dimensionless; infinite at a round end. */
  slopeAt(x_mm: number): number {
    const s = parameterOf(this.map, x_mm);
    const rate = stationRate(this.map, s);
    const { first } = this.jetAt(s);
    return Math.abs(rate) < 1e-9 * this.map.length_mm ? Math.sign(first) * Infinity : first / rate;
  }

  /** Signed curvature of the plane curve, 1/mm, negative where it bends toward the stringer; finite at a round end. */
  curvatureAt(x_mm: number): number {
    const s = parameterOf(this.map, x_mm);
    const rate = stationRate(this.map, s);
    const { first, second } = this.jetAt(s);
    return (rate * second - first * stationBend(this.map, s)) / Math.hypot(rate, first) ** 3;
  }

  /** d²y/dx², 1/mm; for gentle curves such as rocker. Infinite at a round end. */
  bendAt(x_mm: number): number {
    const s = parameterOf(this.map, x_mm);
    const rate = stationRate(this.map, s);
    const { first, second } = this.jetAt(s);
    return (rate * second - first * stationBend(this.map, s)) / rate ** 3;
  }

  /** Points evenly spread in the parameter, closer together where the curve turns. */
  points(count: number): { x_mm: number; y_mm: number }[] {
    return Array.from({ length: count }, (_, k) => {
      const s = k / (count - 1);
      return { x_mm: stationOf(this.map, s), y_mm: this.jetAt(s).y };
    });
  }
}

/** The six live basis values at s, for tests against the plain recursion. */
export function plainValue(curve: FairCurve, s: number): number {
  const span = spanOf(s);
  const row = basisDerivatives(s, 0, span)[0];
  return row.reduce((sum, basis, j) => sum + basis * curve.coefficients[span + j], 0);
}
