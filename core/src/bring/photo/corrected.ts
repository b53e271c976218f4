import { smootherstep } from '../../curve/ease.ts';
import type { Point } from '../plane.ts';

/** So far along the line on either side of a mark it eases back to where it was found; nearer marks are joined, mm. */
const REACH_mm = 260;

interface On {
  mark: Point;
  /** Along the ring from its first point. */
  s: number;
  /** From there to the mark. */
  by: Point;
}

/**
 * A closed line that was found, put right by a hand: it runs through every mark, each of which pulls the place that is nearest to it, and
 * eases back to where it was found beside the last of a row. Between marks near one another it is a curve through them and nothing of what
 * was found there (Catmull and Rom 1974, uniform). The points themselves where there is no mark.
 */
export function corrected(ring: readonly Point[], marks: readonly Point[]): readonly Point[] {
  if (marks.length === 0 || ring.length < 3) return ring;
  const at: number[] = [0];
  ring.forEach((p, i) => {
    const next = ring[(i + 1) % ring.length];
    at.push(at[i] + Math.hypot(next.x - p.x, next.y - p.y));
  });
  const round = at[ring.length];
  const pulls = marks.map((mark) => nearestOn(ring, at, mark)).sort((a, b) => a.s - b.s);
  const count = pulls.length;
  const from = (k: number) => pulls[(k + count) % count];
  const apart = (a: number, b: number) => (((b - a) % round) + round) % round;
  const gap = (k: number) => (count > 1 ? apart(from(k).s, from(k + 1).s) : round);
  const isJoined = (k: number) => gap(k) < REACH_mm;
  return ring.map((p, i) => {
    // The mark behind this place, and how far on from it it lies.
    const k = pulls.reduce((best, { s }, j) => (apart(s, at[i]) < apart(pulls[best].s, at[i]) ? j : best), 0);
    const on = apart(from(k).s, at[i]);
    if (isJoined(k)) {
      const [b, c] = [from(k).mark, from(k + 1).mark];
      const a = isJoined(k - 1) ? from(k - 1).mark : { x: 2 * b.x - c.x, y: 2 * b.y - c.y };
      const d = isJoined(k + 1) ? from(k + 2).mark : { x: 2 * c.x - b.x, y: 2 * c.y - b.y };
      return between([a, b, c, d], on / Math.max(1e-9, gap(k)));
    }
    const reach = Math.min(REACH_mm, gap(k) / 2);
    const [behind, ahead] = [1 - smootherstep(on / reach), 1 - smootherstep((gap(k) - on) / reach)];
    return {
      x: p.x + behind * from(k).by.x + ahead * from(k + 1).by.x,
      y: p.y + behind * from(k).by.y + ahead * from(k + 1).by.y,
    };
  });
}

/** Between the second and the third of four points, a share of the way. */
function between([a, b, c, d]: readonly [Point, Point, Point, Point], t: number): Point {
  const of = (p: number, q: number, r: number, s: number) =>
    q + (t / 2) * (r - p + t * (2 * p - 5 * q + 4 * r - s + t * (3 * (q - r) + s - p)));
  return { x: of(a.x, b.x, c.x, d.x), y: of(a.y, b.y, c.y, d.y) };
}

/** The place of a ring that is nearest to a mark. */
function nearestOn(ring: readonly Point[], at: readonly number[], mark: Point): On {
  let best: On & { off: number } = { mark, s: 0, by: { x: 0, y: 0 }, off: Infinity };
  ring.forEach((a, i) => {
    const b = ring[(i + 1) % ring.length];
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const long = dx * dx + dy * dy;
    const t = long > 0 ? Math.min(1, Math.max(0, ((mark.x - a.x) * dx + (mark.y - a.y) * dy) / long)) : 0;
    const by = { x: mark.x - a.x - t * dx, y: mark.y - a.y - t * dy };
    const off = Math.hypot(by.x, by.y);
    if (off < best.off) best = { mark, s: at[i] + t * Math.sqrt(long), by, off };
  });
  return best;
}
