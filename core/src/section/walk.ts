import { channelCorners } from '../bottom/bottom.ts';
import { bottomPoint, deckParameterAt, deckPoint, type Section, type SectionPoint, underPoint } from './section.ts';

/** How many intervals a half section has on each of its parts. */
export interface HalfCounts {
  deck: number;
  under: number;
  fillet: number;
  bottom: number;
}

/** Points of a half section walked with these counts, both ends included. */
export const halfPoints = ({ deck, under, fillet, bottom }: HalfCounts): number => deck + under + fillet + bottom + 1;

const point: SectionPoint = { y_mm: 0, z_mm: 0 };

/** Cubic Bernstein weights at the points of one part of a walk, its end left out. */
function weightsOf(count: number): Float64Array {
  const out = new Float64Array(4 * count);
  for (let k = 0; k < count; k++) {
    const s = k / count;
    const r = 1 - s;
    out.set([r * r * r, 3 * r * r * s, 3 * r * s * s, s * s * s], 4 * k);
  }
  return out;
}

const weights = new Map<number, Float64Array>();

function weightsFor(count: number): Float64Array {
  let found = weights.get(count);
  if (!found) weights.set(count, (found = weightsOf(count)));
  return found;
}

/** The deck's points, stringer or notch to just before the apex. Plain decks by table, worked ones point by point. */
function deckInto(section: Section, count: number, out: Float64Array): number {
  const { notch_mm, levelled, thickness_mm, lens } = section.input;
  let at = 0;
  if (notch_mm > 0 || levelled > 0 || section.stepDrop_mm > 0) {
    const from = notch_mm > 0 ? deckParameterAt(section, notch_mm) : 0;
    for (let k = 0; k < count; k++) {
      deckPoint(section, from + ((1 - from) * k) / count, point);
      out[at++] = point.y_mm;
      out[at++] = point.z_mm;
    }
    return at;
  }
  const w = weightsFor(count);
  const { half_mm, alpha, beta, apex_mm, crown_mm } = section;
  for (let k = 0; k < 4 * count; k += 4) {
    const share = w[k + 1] * alpha + w[k + 2] + w[k + 3];
    const rise = w[k] + w[k + 1] + w[k + 2] * beta;
    out[at++] = half_mm * share;
    out[at++] = apex_mm + (thickness_mm - crown_mm * share * share - apex_mm) * rise * lens;
  }
  return at;
}

function cubicInto(section: Section, cubic: Section['under'], count: number, out: Float64Array, start: number): number {
  const w = weightsFor(count);
  const { apex_mm } = section;
  const { lens } = section.input;
  const [y0, z0, y1, z1, y2, z2, y3, z3] = cubic;
  let at = start;
  for (let k = 0; k < 4 * count; k += 4) {
    const a = w[k];
    const b = w[k + 1];
    const c = w[k + 2];
    const d = w[k + 3];
    out[at++] = a * y0 + b * y1 + c * y2 + d * y3;
    out[at++] = apex_mm + (a * z0 + b * z1 + c * z2 + d * z3 - apex_mm) * lens;
  }
  return at;
}

/**
 * Walks a half section from the deck at the stringer, or at the notch that splits the tail, round the rail to the bottom
 * there: y, z pairs of `halfPoints(counts)` points on the exact curves.
 */
export function walkHalf(section: Section, counts: HalfCounts, out: Float64Array): void {
  const notch = section.input.notch_mm;
  let at = deckInto(section, counts.deck, out);
  const vTo = notch > 0 ? notch / section.edgeY_mm : 0;
  let vFrom = section.bottomEnd;
  const { fillet } = section;
  if (Math.hypot(fillet[6] - fillet[0], fillet[7] - fillet[1]) < NO_FILLET_mm) {
    ({ at, vFrom } = cornerInto(section, counts, vTo, out, at));
  } else {
    at = cubicInto(section, section.under, counts.under, out, at);
    at = cubicInto(section, fillet, counts.fillet, out, at);
  }
  const shares = pointShares(section, counts.bottom, vFrom, vTo);
  for (let k = 0; k <= counts.bottom; k++) {
    bottomPoint(section, shares ? shares[k] : vFrom + ((vTo - vFrom) * k) / counts.bottom, point);
    out[at++] = point.y_mm;
    out[at++] = point.z_mm;
  }
  if (notch > 0) out[0] = notch;
}

/** A fillet shorter than this is a corner: its points would fall on one another. */
const NO_FILLET_mm = 0.02;
/** They stand so far to either side of it instead, on under-rail and bottom. */
const BESIDE_mm = 0.05;

/** Under-rail and a fillet that is none: its points lie on the curves it joins, close to the corner. Where the bottom goes on from. */
function cornerInto(
  section: Section,
  counts: HalfCounts,
  vTo: number,
  out: Float64Array,
  start: number,
): { at: number; vFrom: number } {
  const { under, bottomEnd, edgeY_mm } = section;
  const drop = Math.hypot(under[6] - under[0], under[7] - under[1]);
  // The under-rail may come in slowly: near its end length goes with the square of the parameter.
  const before = 1 - Math.min(0.3, Math.sqrt(BESIDE_mm / (3 * Math.max(drop, BESIDE_mm))));
  const after = bottomEnd - Math.min(0.2 * (bottomEnd - vTo), BESIDE_mm / edgeY_mm);
  let at = start;
  const push = () => {
    out[at++] = point.y_mm;
    out[at++] = point.z_mm;
  };
  for (let k = 0; k < counts.under; k++) {
    underPoint(section, (before * k) / counts.under, point);
    push();
  }
  for (let k = 0; k < counts.fillet; k++) {
    const share = (2 * k) / counts.fillet;
    if (share < 1) underPoint(section, before + (1 - before) * share, point);
    else bottomPoint(section, bottomEnd + (after - bottomEnd) * (share - 1), point);
    push();
  }
  return { at, vFrom: after };
}

/** Corners that are cut off stand so close, as a share of the bottom that is left. */
const CROWDED = 0.002;

/**
 * Shares of the half width at which a bottom walked in `count` intervals has its points, from the edge inward. Each corner of a
 * channel has a point of its own, at the same place in the row at every station, so that a wall runs along one line of points.
 */
function pointShares(section: Section, count: number, from: number, to: number): readonly number[] | undefined {
  const { bottom } = section.input;
  if (!bottom.layers.some((layer) => layer.kind === 'channels')) return undefined;
  const fixed: { k: number; v: number }[] = [{ k: 0, v: from }];
  const corners = channelCorners(bottom).sort((a, b) => b - a);
  // Those that the edge or the crotch has cut off crowd there, so that the rows stay alike.
  const close = CROWDED * (from - to);
  corners.forEach((corner, n) => {
    // By its share alone, whatever the edge does here.
    const k = Math.round((1 - corner) * count);
    const last = fixed[fixed.length - 1];
    const v = Math.min(last.v - close, Math.max(corner, to + close * (corners.length - n)));
    if (k > last.k && k < count) fixed.push({ k, v });
  });
  fixed.push({ k: count, v: to });
  return fixed.flatMap((end, n) => {
    if (n === 0) return [end.v];
    const start = fixed[n - 1];
    const steps = end.k - start.k;
    return Array.from({ length: steps }, (_, k) => start.v + ((end.v - start.v) * (k + 1)) / steps);
  });
}

/** So many pieces between two corners of channels. */
const WALL = 16;

/**
 * The bottom of a half section as shares of the half width to the edge, from the edge inward: evenly, the corners of channels among
 * them. What is drawn or cut to it has no corner cut off.
 */
export function bottomShares(section: Section, count: number): number[] {
  const { bottom, notch_mm } = section.input;
  const [from, to] = [section.bottomEnd, notch_mm > 0 ? notch_mm / section.edgeY_mm : 0];
  const even = Array.from({ length: count + 1 }, (_, k) => from + ((to - from) * k) / count);
  const corners = channelCorners(bottom)
    .filter((v) => v < from && v > to)
    .sort((a, b) => b - a);
  // Walls are steep and rounded: finer between two corners.
  const walls = corners
    .slice(1)
    .flatMap((v, n) => Array.from({ length: WALL - 1 }, (_, k) => v + ((corners[n] - v) * (k + 1)) / WALL));
  return [...new Set([...even, ...corners, ...walls])].sort((a, b) => b - a);
}

/** The points of a half section, deck to bottom, as the walk has them. */
export function halfSection(section: Section, counts: HalfCounts): SectionPoint[] {
  const flat = new Float64Array(2 * halfPoints(counts));
  walkHalf(section, counts, flat);
  return Array.from({ length: flat.length / 2 }, (_, k) => ({ y_mm: flat[2 * k], z_mm: flat[2 * k + 1] }));
}

/** Points round an edge fillet of a drawn ring: its radius is a few millimetres. */
const FILLET_OF_RING = 16;

/** The whole ring of a section, deck at the stringer round one rail to the bottom and back by the other; a split tail's right half. */
export function sectionRing(section: Section, count = 48): SectionPoint[] {
  const half = halfSection(section, { deck: count, under: count, fillet: FILLET_OF_RING, bottom: 2 * count });
  if (section.input.notch_mm > 0) return half;
  const other = half.slice(1, -1).reverse();
  return [...half, ...other.map(({ y_mm, z_mm }) => ({ y_mm: -y_mm, z_mm }))];
}
