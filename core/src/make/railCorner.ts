import type { Section } from '../section/section.ts';
import { halfPoints, walkHalf } from '../section/walk.ts';
import { bottomHeight, edgeSlope } from '../bottom/bottom.ts';

/**
 * One corner of the square blank that a rail is cut from: above it the deck, its crown shaped, falls to the apex, under it the bottom
 * rises to it. y is out to the rail; q is height over the bottom at the stringer, for the under side its negative, so that both
 * corners look alike: a plane (the deck's where it turns down, or the bottom's), a square side at y = half_mm, and the rail inside them.
 */
export interface RailCorner {
  readonly half_mm: number;
  /** The convex chain round the rail from the plane to the apex, y rising: y, q, y, q. */
  readonly chain: Float64Array;
  /** Angle of the outward normal of each edge of the chain from straight up, rising, rad. */
  readonly turns: Float64Array;
  /** Twice the area swept from the origin along the chain up to each point, mm². */
  readonly swept: Float64Array;
  /** Angle of the plane's normal from straight up: 0 for a level deck. */
  readonly plane_rad: number;
  /** Foam between the chain and a rail that is hollow in places (a stepped rail), mm². */
  readonly pocket_mm2: number;
}

/**
 * The crown is shaped before the rails, as a stage of its own: bands begin where the deck has turned down so far. Common practice, from
 * memory.
 */
export const DECK_TURNS_DOWN_rad = (8 * Math.PI) / 180;

/** Which corner: of the deck or of the bottom. */
export type RailSide = 'deck' | 'under';

/** Taken out of Math once: the test runner looks a global up anew at each use, which costs ten times the sine itself. */
const { sin, cos } = Math;

/** Chords within 0.02 mm of the rails of the models. */
const COUNTS = { deck: 220, under: 90, fillet: 40, bottom: 1 };

/** The corner of a section. Sampled so that chords stay within 0.02 mm of rails of the models. */
export function railCorner(section: Section, side: RailSide): RailCorner {
  const flat = new Float64Array(2 * halfPoints(COUNTS));
  walkHalf(section, COUNTS, flat);
  const apex = 2 * COUNTS.deck;
  const points = [...flat.subarray(0, apex + 2)];
  if (side === 'under') {
    points.length = 0;
    const end = apex + 2 * (COUNTS.under + COUNTS.fillet);
    for (let k = end; k >= apex; k -= 2) points.push(flat[k], -flat[k + 1]);
  }
  return cornerOf(points, side === 'deck' ? DECK_TURNS_DOWN_rad : bottomAngle(section));
}

/** Slope of the bottom where its edge begins, as an angle, which is that of its normal too: concave falls, vee and roll rise. */
function bottomAngle(section: Section): number {
  const { bottom, lens } = section.input;
  const v = section.bottomEnd;
  const step = 1e-4;
  const slope = v > step ? (bottomHeight(bottom, v) - bottomHeight(bottom, v - step)) / step : edgeSlope(bottom);
  return Math.atan((slope * lens) / section.edgeY_mm);
}

function cornerOf(points: readonly number[], plane_rad: number): RailCorner {
  const chain = upperHull(points);
  const count = chain.length / 2;
  const turns = new Float64Array(count - 1);
  const swept = new Float64Array(count);
  for (let i = 0; i + 1 < count; i++) {
    const [y, q, y1, q1] = [chain[2 * i], chain[2 * i + 1], chain[2 * i + 2], chain[2 * i + 3]];
    turns[i] = Math.atan2(q - q1, y1 - y);
    swept[i + 1] = swept[i] + cross(y, q, y1, q1);
  }
  let actual = 0;
  for (let i = 0; i + 3 < points.length; i += 2) {
    actual += cross(points[i], points[i + 1], points[i + 2], points[i + 3]);
  }
  // Seen from the origin a chain that runs right and down is swept clockwise: areas are negative, outer ones more so.
  const pocket_mm2 = Math.max(0, (actual - swept[count - 1]) / 2);
  return { half_mm: points[points.length - 2], chain, turns, swept, plane_rad, pocket_mm2 };
}

const cross = (y: number, q: number, y1: number, q1: number) => y * q1 - y1 * q;

/** Upper hull of points whose y rises. Method: Andrew 1979, Inf. Proc. Letters 9, 216. */
function upperHull(points: readonly number[]): Float64Array {
  const hull: number[] = [];
  for (let i = 0; i < points.length; i += 2) {
    const [y, q] = [points[i], points[i + 1]];
    while (hull.length >= 4) {
      const n = hull.length;
      const turn = (hull[n - 2] - hull[n - 4]) * (q - hull[n - 3]) - (hull[n - 1] - hull[n - 3]) * (y - hull[n - 4]);
      if (turn < 0) break;
      hull.length = n - 2;
    }
    hull.push(y, q);
  }
  return Float64Array.from(hull);
}

/** The point of the rail that a face of this normal angle touches: its place in the chain. */
export function touchedBy(corner: RailCorner, angle_rad: number): number {
  const { turns } = corner;
  let low = 0;
  let high = turns.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (turns[middle] > angle_rad) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** Distance of the face of this normal angle from the origin, mm: it touches the rail and lies outside it. */
function faceDistance(corner: RailCorner, angle_rad: number): number {
  const i = touchedBy(corner, angle_rad);
  return corner.chain[2 * i] * Math.sin(angle_rad) + corner.chain[2 * i + 1] * Math.cos(angle_rad);
}

/** Where two faces meet. */
export function facesMeet(corner: RailCorner, a: number, b: number): { y_mm: number; q_mm: number } {
  const [ha, hb] = [faceDistance(corner, a), faceDistance(corner, b)];
  const det = Math.sin(a - b);
  return {
    y_mm: (ha * Math.cos(b) - hb * Math.cos(a)) / det,
    q_mm: (hb * Math.sin(a) - ha * Math.sin(b)) / det,
  };
}

/** Where a face meets the square side, as q. */
export function meetsSide(corner: RailCorner, angle_rad: number): number {
  return (faceDistance(corner, angle_rad) - corner.half_mm * Math.sin(angle_rad)) / Math.cos(angle_rad);
}

/**
 * Foam between the rail and faces of the given normal angles, plane and square side included, mm². Never negative: each
 * face is a support line of the chain. Angles must rise. The search for bands lives in here: each face is worked out once.
 */
export function foamOutside(corner: RailCorner, angles_rad: readonly number[]): number {
  const { chain, swept, plane_rad } = corner;
  let from = touchedBy(corner, plane_rad);
  let sinFrom = sin(plane_rad);
  let cosFrom = cos(plane_rad);
  let distanceFrom = chain[2 * from] * sinFrom + chain[2 * from + 1] * cosFrom;
  let twice = 0;
  for (let k = 0; k <= angles_rad.length; k++) {
    const last = k === angles_rad.length;
    const to = last ? chain.length / 2 - 1 : touchedBy(corner, angles_rad[k]);
    const sinTo = last ? 1 : sin(angles_rad[k]);
    const cosTo = last ? 0 : cos(angles_rad[k]);
    const distanceTo = chain[2 * to] * sinTo + chain[2 * to + 1] * cosTo;
    if (to > from) {
      const det = sinFrom * cosTo - cosFrom * sinTo;
      const y = (distanceFrom * cosTo - distanceTo * cosFrom) / det;
      const q = (distanceTo * sinFrom - distanceFrom * sinTo) / det;
      const outer = cross(chain[2 * from], chain[2 * from + 1], y, q) + cross(y, q, chain[2 * to], chain[2 * to + 1]);
      twice += swept[to] - swept[from] - outer;
    }
    from = to;
    sinFrom = sinTo;
    cosFrom = cosTo;
    distanceFrom = distanceTo;
  }
  return Math.max(0, twice / 2) + corner.pocket_mm2;
}

/**
 * How far the corner between two faces of the given normal angles, the second steeper, stands off the rail, mm: to the nearest
 * of the chain between the points they touch.
 */
export function cornerProud(corner: RailCorner, a: number, b: number): number {
  const { chain } = corner;
  let low = touchedBy(corner, a);
  let high = touchedBy(corner, b);
  if (high <= low) return 0;
  const sinA = sin(a);
  const cosA = cos(a);
  const sinB = sin(b);
  const cosB = cos(b);
  const ha = chain[2 * low] * sinA + chain[2 * low + 1] * cosA;
  const hb = chain[2 * high] * sinB + chain[2 * high + 1] * cosB;
  const det = sinA * cosB - cosA * sinB;
  const y = (ha * cosB - hb * cosA) / det;
  const q = (hb * sinA - ha * sinB) / det;
  // The nearest edge is the last that the corner is ahead of: the chain is convex and the corner sees all of it.
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    const ahead =
      (y - chain[2 * middle]) * (chain[2 * middle + 2] - chain[2 * middle]) +
      (q - chain[2 * middle + 1]) * (chain[2 * middle + 3] - chain[2 * middle + 1]);
    if (ahead > 0) low = middle;
    else high = middle;
  }
  const [dy, dq] = [chain[2 * low + 2] - chain[2 * low], chain[2 * low + 3] - chain[2 * low + 1]];
  const along = ((y - chain[2 * low]) * dy + (q - chain[2 * low + 1]) * dq) / (dy * dy + dq * dq || 1);
  const t = Math.min(1, Math.max(0, along));
  return Math.hypot(y - chain[2 * low] - t * dy, q - chain[2 * low + 1] - t * dq);
}

/**
 * The face that leaves another at y: the angle of the tangent from that point of it to the rail beyond. Where the face touches the
 * rail no nearer the stringer than y there is none, and it is the other's own angle.
 */
export function faceFrom(corner: RailCorner, face_rad: number, y_mm: number): number {
  const h = faceDistance(corner, face_rad);
  const q = (h - y_mm * sin(face_rad)) / cos(face_rad);
  let [low, high] = [face_rad, Math.PI / 2];
  if (y_mm <= corner.chain[2 * touchedBy(corner, face_rad)]) return face_rad;
  for (let k = 0; k < 40; k++) {
    const middle = (low + high) / 2;
    if (y_mm * sin(middle) + q * cos(middle) > faceDistance(corner, middle)) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
