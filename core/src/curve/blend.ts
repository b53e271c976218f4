/** A number that changes along the board: exact at its knots, monotone between them, level beyond the first and last. */
export interface Blend {
  readonly stations: Float64Array;
  readonly values: Float64Array;
  readonly slopes: Float64Array;
}

/**
 * Blends values along the board without overshoot.
 * Method: monotone cubic Hermite with limited slopes, Steffen 1990, A&A 239, 443, equations 8 and 11.
 * Stations need not be sorted; of two within 1e-9 mm the later one in the list counts.
 */
export function blendThrough(points: readonly { x_mm: number; value: number }[]): Blend {
  if (points.length === 0) throw new RangeError('blendThrough: needs at least one point');
  const sorted = [...points].sort((a, b) => a.x_mm - b.x_mm);
  const kept: { x_mm: number; value: number }[] = [];
  for (const point of sorted) {
    const last = kept.at(-1);
    if (last && point.x_mm - last.x_mm < 1e-9) kept[kept.length - 1] = point;
    else kept.push(point);
  }
  const count = kept.length;
  const stations = Float64Array.from(kept, (p) => p.x_mm);
  const values = Float64Array.from(kept, (p) => p.value);
  const slopes = new Float64Array(count);
  for (let i = 1; i < count - 1; i++) {
    const h0 = stations[i] - stations[i - 1];
    const h1 = stations[i + 1] - stations[i];
    const s0 = (values[i] - values[i - 1]) / h0;
    const s1 = (values[i + 1] - values[i]) / h1;
    const p = (s0 * h1 + s1 * h0) / (h0 + h1);
    slopes[i] = (Math.sign(s0) + Math.sign(s1)) * Math.min(Math.abs(s0), Math.abs(s1), 0.5 * Math.abs(p));
  }
  return { stations, values, slopes };
}

/** The blended value at station x. */
export function blendAt(blend: Blend, x_mm: number): number {
  const { stations, values, slopes } = blend;
  const last = stations.length - 1;
  if (last === 0 || x_mm <= stations[0]) return values[0];
  if (x_mm >= stations[last]) return values[last];
  let i = 0;
  while (x_mm > stations[i + 1]) i++;
  const h = stations[i + 1] - stations[i];
  const t = (x_mm - stations[i]) / h;
  const u = 1 - t;
  return (
    values[i] * u * u * (1 + 2 * t) +
    values[i + 1] * t * t * (3 - 2 * t) +
    h * t * u * (slopes[i] * u - slopes[i + 1] * t)
  );
}
