import { boxOfPoints, type Point } from './plane.ts';

/** A curve is drawn by chords that stay this near it, as a share of its own size: 0.01 mm on one of 2 m. */
const CHORD = 5e-6;

const ARC_STEP_rad = 2 * Math.acos(1 - CHORD);

/** An arc of a circle or an ellipse as points: from one angle to another, anticlockwise where the second is the greater. */
export function arcPoints(at: (angle: number) => Point, from: number, to: number): Point[] {
  const count = Math.max(2, Math.ceil(Math.min(2 * Math.PI, Math.abs(to - from)) / ARC_STEP_rad));
  return Array.from({ length: count + 1 }, (_, k) => at(from + ((to - from) * k) / count));
}

/** The arc of a polyline's bulge, the tangent of a quarter of its angle, from a to b; the end left out. DXF Reference, LWPOLYLINE, code 42. */
export function bulgePoints(a: Point, b: Point, bulge: number): Point[] {
  if (Math.abs(bulge) < 1e-9) return [a];
  const angle = 4 * Math.atan(bulge);
  const span = Math.hypot(b.x - a.x, b.y - a.y);
  const radius = span / (2 * Math.sin(angle / 2));
  const toCentre = radius * Math.cos(angle / 2);
  const [ux, uy] = [(b.x - a.x) / span, (b.y - a.y) / span];
  const centre = { x: (a.x + b.x) / 2 - uy * toCentre, y: (a.y + b.y) / 2 + ux * toCentre };
  const from = Math.atan2(a.y - centre.y, a.x - centre.x);
  const size = Math.abs(radius);
  return arcPoints(
    (t) => ({ x: centre.x + size * Math.cos(t), y: centre.y + size * Math.sin(t) }),
    from,
    from + angle,
  ).slice(0, -1);
}

const sizeOf = (points: readonly Point[]) => {
  const { left, right, low, high } = boxOfPoints(points);
  return Math.hypot(right - left, high - low);
};

/** How many chords a curve needs whose second derivative is at most this. */
const chordsFor = (second: number, size: number) =>
  size > 0 ? Math.min(512, Math.max(1, Math.ceil(Math.sqrt(second / (8 * CHORD * size))))) : 1;

/** A cubic Bezier as points, its start left out; chords by the bound of its second difference (Wang 1984). */
export function cubicPoints(p: readonly [Point, Point, Point, Point]): Point[] {
  const second = (a: Point, b: Point, c: Point) => Math.hypot(a.x - 2 * b.x + c.x, a.y - 2 * b.y + c.y);
  const most = Math.max(second(p[0], p[1], p[2]), second(p[1], p[2], p[3]));
  const count = chordsFor(6 * most, sizeOf(p));
  return Array.from({ length: count }, (_, k) => {
    const t = (k + 1) / count;
    const r = 1 - t;
    const at = (of: 'x' | 'y') =>
      r * r * r * p[0][of] + 3 * r * r * t * p[1][of] + 3 * r * t * t * p[2][of] + t * t * t * p[3][of];
    return { x: at('x'), y: at('y') };
  });
}

/** A B-spline of any degree as points, by de Boor's algorithm (de Boor 1972); undefined where its knots do not fit it. */
export function splinePoints(control: readonly Point[], knots: readonly number[], degree: number): Point[] | undefined {
  if (!(degree >= 1 && degree <= 9) || control.length <= degree || knots.length !== control.length + degree + 1) {
    return undefined;
  }
  if (knots.some((knot, i) => !Number.isFinite(knot) || (i > 0 && knot < knots[i - 1]))) return undefined;
  const at = (t: number): Point => {
    let span = degree;
    while (span < control.length - 1 && t >= knots[span + 1]) span++;
    const d = Array.from({ length: degree + 1 }, (_, j) => ({ ...control[j + span - degree] }));
    for (let r = 1; r <= degree; r++) {
      for (let j = degree; j >= r; j--) {
        const [low, high] = [knots[j + span - degree], knots[j + 1 + span - r]];
        const share = high > low ? (t - low) / (high - low) : 0;
        d[j] = { x: d[j - 1].x + (d[j].x - d[j - 1].x) * share, y: d[j - 1].y + (d[j].y - d[j - 1].y) * share };
      }
    }
    return d[degree];
  };
  let most = 0;
  for (let i = 1; i + 1 < control.length; i++) {
    const [a, b, c] = [control[i - 1], control[i], control[i + 1]];
    most = Math.max(most, Math.hypot(a.x - 2 * b.x + c.x, a.y - 2 * b.y + c.y));
  }
  const pieces = Math.min(64, Math.max(2, chordsFor(degree * (degree - 1) * most, sizeOf(control))));
  const out: Point[] = [];
  for (let i = degree; i < control.length; i++) {
    const [low, high] = [knots[i], knots[i + 1]];
    if (!(high > low)) continue;
    if (out.length === 0) out.push(at(low));
    for (let k = 1; k <= pieces; k++) out.push(k === pieces ? at(high) : at(low + ((high - low) * k) / pieces));
  }
  return out;
}
