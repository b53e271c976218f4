/**
 * The map between the curve's own parameter s in [0, 1] and the station x in [0, L], that of a truncated ellipse:
 *   x = L (sin α + sin θt) / (sin θt + sin θn),  α = −θt + (θt + θn) s.
 * θ = 90° at an end makes it round (a vertical tangent there, x quadratic in s); a smaller θ leaves a finite slope;
 * θt = θn = 0 is x = L s. Every ellipse so truncated is a sine in s, which the fairing energy counts as free.
 */
export interface StationMap {
  readonly length_mm: number;
  readonly tail_rad: number;
  readonly nose_rad: number;
  /** ω = θt + θn */
  readonly omega: number;
  readonly sinTail: number;
  readonly sinSum: number;
}

/** @throws RangeError for a length that is not positive or an angle outside [0, π/2]. */
export function stationMap(length_mm: number, tail_rad: number, nose_rad: number): StationMap {
  if (!(length_mm > 0)) throw new RangeError(`stationMap: length_mm must be positive, got ${length_mm}`);
  for (const angle of [tail_rad, nose_rad]) {
    if (!(angle >= 0 && angle <= Math.PI / 2 + 1e-12)) {
      throw new RangeError(`stationMap: end angles must be in [0, π/2], got ${angle}`);
    }
  }
  return {
    length_mm,
    tail_rad,
    nose_rad,
    omega: tail_rad + nose_rad,
    sinTail: Math.sin(tail_rad),
    sinSum: Math.sin(tail_rad) + Math.sin(nose_rad),
  };
}

export function stationOf(map: StationMap, s: number): number {
  if (map.omega === 0) return map.length_mm * s;
  return (map.length_mm * (Math.sin(map.omega * s - map.tail_rad) + map.sinTail)) / map.sinSum;
}

/** dx/ds */
export function stationRate(map: StationMap, s: number): number {
  if (map.omega === 0) return map.length_mm;
  return (map.length_mm * map.omega * Math.cos(map.omega * s - map.tail_rad)) / map.sinSum;
}

/** d²x/ds² */
export function stationBend(map: StationMap, s: number): number {
  if (map.omega === 0) return 0;
  return (-map.length_mm * map.omega * map.omega * Math.sin(map.omega * s - map.tail_rad)) / map.sinSum;
}

/** The parameter of a station. Exactly 0 and 1 at and beyond the tips, where the sine's inverse is infinitely steep. */
export function parameterOf(map: StationMap, x_mm: number): number {
  if (x_mm <= 0) return 0;
  if (x_mm >= map.length_mm) return 1;
  if (map.omega === 0) return x_mm / map.length_mm;
  const sine = (x_mm * map.sinSum) / map.length_mm - map.sinTail;
  return (Math.asin(Math.min(1, Math.max(-1, sine))) + map.tail_rad) / map.omega;
}
