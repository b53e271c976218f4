/** A point of a drawing or of a picture, mm unless said. */
export interface Point {
  x: number;
  y: number;
}

/** A line of points; closed where its last runs back to its first. */
export interface Stroke {
  points: Point[];
  closed: boolean;
  /** What the file calls the layer or group it lies on. */
  layer?: string;
}

const apart = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y);

export interface Box {
  left: number;
  right: number;
  low: number;
  high: number;
}

export function boxOfPoints(points: readonly Point[]): Box {
  const box = { left: Infinity, right: -Infinity, low: Infinity, high: -Infinity };
  for (const { x, y } of points) {
    box.left = Math.min(box.left, x);
    box.right = Math.max(box.right, x);
    box.low = Math.min(box.low, y);
    box.high = Math.max(box.high, y);
  }
  return box;
}

/** Area inside a closed line, positive where it runs anticlockwise. */
export function areaOf(points: readonly Point[]): number {
  let twice = 0;
  points.forEach((a, i) => {
    const b = points[(i + 1) % points.length];
    twice += a.x * b.y - b.x * a.y;
  });
  return twice / 2;
}

/** A line turns a corner where its course changes by more than this. */
const CORNER_rad = 0.12;

/** The points of a line no farther apart than this, all its corners and its furthest points kept. */
export function evenly({ points, closed }: Stroke, gap: number): Point[] {
  const out: Point[] = [];
  const { left, right, low, high } = boxOfPoints(points);
  const n = points.length;
  for (let i = 0; i < n; i++) {
    const a = points[i];
    const before = i > 0 ? points[i - 1] : closed ? points[n - 1] : undefined;
    const b = i + 1 < n ? points[i + 1] : closed ? points[0] : undefined;
    const isEnd = !before || !b || a.x === left || a.x === right || a.y === low || a.y === high;
    const last = out[out.length - 1];
    if (isEnd || !last || apart(a, last) > gap / 2 || turns(before, a, b)) out.push(a);
    if (!b) continue;
    const count = Math.floor(apart(a, b) / gap);
    for (let k = 1; k <= count; k++) {
      const p = { x: a.x + ((b.x - a.x) * k) / (count + 1), y: a.y + ((b.y - a.y) * k) / (count + 1) };
      out.push(p);
    }
  }
  return out;
}

function turns(a: Point, b: Point, c: Point): boolean {
  const [ux, uy, vx, vy] = [b.x - a.x, b.y - a.y, c.x - b.x, c.y - b.y];
  return Math.abs(Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy)) > CORNER_rad;
}

/** The way from a point to the nearest of a line: how far, and on which side, positive to the left of its course. */
export function offLine(line: readonly Point[], p: Point): number {
  let best = Infinity;
  let side = 1;
  for (let i = 0; i + 1 < line.length; i++) {
    const a = line[i];
    const b = line[i + 1];
    const dx = b.x - a.x;
    const dy = b.y - a.y;
    const size = dx * dx + dy * dy;
    const px = p.x - a.x;
    const py = p.y - a.y;
    let share = size > 0 ? (px * dx + py * dy) / size : 0;
    if (share < 0) share = 0;
    else if (share > 1) share = 1;
    const ox = px - share * dx;
    const oy = py - share * dy;
    const off = ox * ox + oy * oy;
    if (off < best) {
      best = off;
      side = dx * py - dy * px >= 0 ? 1 : -1;
    }
  }
  return side * Math.sqrt(best);
}

/** Strokes of one layer whose ends meet are one: nearest ends first, as long as they are no farther apart than this. */
export function chained(strokes: readonly Stroke[], within: number): Stroke[] {
  const open = strokes.filter(({ closed, points }) => !closed && points.length > 1);
  const done = strokes.filter(({ closed, points }) => closed && points.length > 2);
  while (open.length > 0) {
    let stroke = open.pop()!;
    for (;;) {
      const joined = nearestEnd(stroke, open, within);
      if (!joined) break;
      open.splice(joined.index, 1);
      stroke = { ...stroke, points: joined.points };
    }
    const { points } = stroke;
    const meets = points.length > 3 && apart(points[0], points[points.length - 1]) <= within;
    done.push({ ...stroke, points: meets ? points.slice(0, -1) : points, closed: meets });
  }
  return done;
}

/** The stroke whose end is nearest to one of this one's, with the points of both in one course; undefined where none is near, or its own two ends are nearer. */
function nearestEnd(
  { points, layer }: Stroke,
  others: readonly Stroke[],
  within: number,
): { index: number; points: Point[] } | undefined {
  const [first, last] = [points[0], points[points.length - 1]];
  let best = points.length > 3 ? Math.min(within, apart(first, last)) : within;
  let found: { index: number; points: Point[] } | undefined;
  others.forEach((other, index) => {
    if (other.layer !== layer) return;
    const [start, end] = [other.points[0], other.points[other.points.length - 1]];
    const ways: [number, () => Point[]][] = [
      [apart(last, start), () => [...points, ...other.points]],
      [apart(last, end), () => [...points, ...other.points.toReversed()]],
      [apart(first, end), () => [...other.points, ...points]],
      [apart(first, start), () => [...other.points.toReversed(), ...points]],
    ];
    for (const [off, made] of ways) {
      if (off > best || (found !== undefined && off === best)) continue;
      best = off;
      found = { index, points: made() };
    }
  });
  return found;
}
