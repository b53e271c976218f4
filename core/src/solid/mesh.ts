import { channelCorners } from '../bottom/bottom.ts';
import { notchHalfBreadthAt } from '../outline/outline.ts';
import type { LayerKind } from '../board/document.ts';
import type { Shape } from '../board/shape.ts';
import { sectionAt } from '../board/shape.ts';
import { bottomPoint, deckParameterAt, deckPoint, type Section, type SectionPoint } from '../section/section.ts';
import { meshStations } from './stations.ts';

/** A closed triangle mesh, outward by the right-hand rule; mm, axes of docs/conventions.md. */
export interface Mesh {
  /** x, y, z of each vertex. */
  readonly positions: Float64Array;
  /** Three vertex indices a triangle. */
  readonly triangles: Uint32Array;
  /** How a board's own vertices lie: rows from tail to nose. Other meshes have none. */
  readonly grid?: { readonly rows: readonly Row[]; readonly half: number };
}

/** How many intervals a half ring has on each part. The sum is even. */
export interface RingDetail {
  deck: number;
  under: number;
  fillet: number;
  bottom: number;
}

export interface MeshDetail {
  /** Stations along the board. */
  stations: number;
  /** Points round a full ring, roughly; 96 is usual. */
  ring: number;
}

export const USUAL_DETAIL: MeshDetail = { stations: 240, ring: 96 };

/** Intervals across half a bottom in a ring of 96; more where a contour turns more often. */
const PLAIN_BOTTOM = 14;
const WORKED_BOTTOM: Readonly<Partial<Record<LayerKind, number>>> = {
  narrow: 24,
  double: 24,
  triple: 28,
  bevel: 24,
  channels: 48,
};

/** Splits a ring over deck, under-rail, fillet and bottom; more on a bottom with channels or a stepped deck. */
export function ringDetail(shape: Shape, ring: number): RingDetail {
  const unit = ring / 96;
  const even = (count: number) => Math.max(2, 2 * Math.round(count / 2));
  const bottom = Math.max(PLAIN_BOTTOM, ...shape.bottom.layers.map(({ layer }) => WORKED_BOTTOM[layer.kind] ?? 0));
  const stepped = shape.board.deck.features.some((f) => f.kind === 'step' || f.kind === 'flat');
  return {
    deck: even((stepped ? 40 : 20) * unit),
    under: even(10 * unit),
    fillet: even(4 * unit),
    bottom: even(bottom * unit),
  };
}

const point: SectionPoint = { y_mm: 0, z_mm: 0 };

/** Cubic Bernstein weights at the points of one part of a ring. */
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

/** The deck's points of a half ring, stringer to just before the apex. Plain decks by table, worked ones point by point. */
function deckInto(section: Section, count: number, out: Float64Array): number {
  const { notch_mm, flat, thickness_mm, lens } = section.input;
  let at = 0;
  if (notch_mm > 0 || flat > 0 || section.stepDrop_mm > 0) {
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

/** Writes the half ring, deck stringer (or notch) to bottom stringer (or notch), as y, z pairs. */
function halfRingInto(section: Section, detail: RingDetail, out: Float64Array): void {
  const notch = section.input.notch_mm;
  let at = deckInto(section, detail.deck, out);
  at = cubicInto(section, section.under, detail.under, out, at);
  at = cubicInto(section, section.fillet, detail.fillet, out, at);
  const vFrom = section.bottomEnd;
  const vTo = notch > 0 ? notch / section.edgeY_mm : 0;
  const first = at;
  for (let k = 0; k <= detail.bottom; k++) {
    bottomPoint(section, vFrom + ((vTo - vFrom) * k) / detail.bottom, point);
    out[at++] = point.y_mm;
    out[at++] = point.z_mm;
  }
  if (section.input.bottom.layers.some((layer) => layer.kind === 'channels')) {
    for (const corner of channelCorners(section.input.bottom)) {
      const k = Math.round(((corner - vFrom) / (vTo - vFrom)) * detail.bottom);
      if (k <= 0 || k >= detail.bottom) continue;
      bottomPoint(section, corner, point);
      out[first + 2 * k] = point.y_mm;
      out[first + 2 * k + 1] = point.z_mm;
    }
  }
  if (notch > 0) out[0] = notch;
}

/** Where a station's vertices lie in the mesh: one point, one ring, or two rings beside a notch. */
export interface Row {
  kind: 'pole' | 'full' | 'split';
  start: number;
}

const topologies = new Map<string, Uint32Array>();

/**
 * The solid of a board: closed, genus 0, a swallow's notch included. Vertices lie on the exact surface.
 * `into` is a mesh no longer needed whose memory is used again when it has the right size.
 */
export function meshOf(shape: Shape, detail: MeshDetail = USUAL_DETAIL, into?: Mesh): Mesh {
  const rings = ringDetail(shape, detail.ring);
  const half = rings.deck + rings.under + rings.fillet + rings.bottom;
  const stations = meshStations(shape, detail.stations);
  const sections = stations.map((x) => sectionAt(shape, x));
  const rows: Row[] = [];
  let vertices = 0;
  for (let i = 0; i < stations.length; i++) {
    const isSplit = notchHalfBreadthAt(shape.outline, stations[i]) > 0;
    const kind = sections[i] === undefined ? 'pole' : isSplit ? 'split' : 'full';
    rows.push({ kind, start: vertices });
    vertices += kind === 'pole' ? 1 : kind === 'full' ? 2 * half : 2 * (half + 1);
  }
  const positions = into && into.positions.length === 3 * vertices ? into.positions : new Float64Array(3 * vertices);
  const ring = new Float64Array(2 * (half + 1));
  for (let i = 0; i < stations.length; i++) {
    const x = stations[i];
    const rocker = shape.rocker.line.valueAt(x);
    const section = sections[i];
    const { kind, start } = rows[i];
    if (!section) {
      const tip = i === 0 ? shape.board.foil.tailTip_mm : shape.board.foil.noseTip_mm;
      positions.set([x, 0, rocker + tipHeight(shape, x, tip)], 3 * start);
      continue;
    }
    halfRingInto(section, rings, ring);
    if (kind === 'full') {
      ring[0] = 0;
      ring[2 * half] = 0;
    }
    let at = 3 * start;
    for (let j = 0; j <= half; j++) {
      positions[at++] = x;
      positions[at++] = ring[2 * j];
      positions[at++] = rocker + ring[2 * j + 1];
    }
    const mirrored = kind === 'full' ? [half - 1, 1] : [half, 0];
    for (let j = mirrored[0]; j >= mirrored[1]; j--) {
      positions[at++] = x;
      positions[at++] = -ring[2 * j];
      positions[at++] = rocker + ring[2 * j + 1];
    }
  }
  const key = `${half}:${rows.map((row) => row.kind[0]).join('')}`;
  let triangles = topologies.get(key);
  if (!triangles) {
    triangles = joined(rows, half);
    if (topologies.size > 32) topologies.clear();
    topologies.set(key, triangles);
  }
  return { positions, triangles, grid: { rows, half } };
}

/** The height at which a closed tip meets: that of the apex just inside it. */
function tipHeight(shape: Shape, x_mm: number, tip_mm: number): number {
  const inside = x_mm <= 0 ? 1e-3 : x_mm - 1e-3;
  return sectionAt(shape, inside)?.apex_mm ?? tip_mm / 2;
}

/** The triangles between the rows, outward. */
function joined(rows: readonly Row[], half: number): Uint32Array {
  const out: number[] = [];
  const right = (row: Row, j: number) => row.start + j;
  const left = (row: Row, j: number) => {
    if (row.kind === 'split') return row.start + 2 * half + 1 - j;
    return j === 0 || j === half ? row.start + j : row.start + 2 * half - j;
  };
  const quad = (a: number, b: number, c: number, d: number) => {
    out.push(a, b, c, a, c, d);
  };
  for (let i = 0; i + 1 < rows.length; i++) {
    const aft = rows[i];
    const fore = rows[i + 1];
    for (let j = 0; j < half; j++) {
      if (aft.kind === 'pole') {
        out.push(aft.start, right(fore, j), right(fore, j + 1));
        out.push(aft.start, left(fore, j + 1), left(fore, j));
      } else if (fore.kind === 'pole') {
        out.push(right(aft, j), fore.start, right(aft, j + 1));
        out.push(left(aft, j), left(aft, j + 1), fore.start);
      } else {
        quad(right(aft, j), right(fore, j), right(fore, j + 1), right(aft, j + 1));
        quad(left(aft, j), left(aft, j + 1), left(fore, j + 1), left(fore, j));
      }
    }
    if (aft.kind === 'split') {
      quad(right(aft, 0), right(aft, half), right(fore, half), right(fore, 0));
      quad(left(aft, 0), left(fore, 0), left(fore, half), left(aft, half));
    }
  }
  const last = rows[0];
  if (last.kind === 'full') {
    for (let j = 0; j < half; j++) {
      if (j === 0) out.push(right(last, 0), right(last, 1), left(last, 1));
      else if (j === half - 1) out.push(right(last, j), right(last, half), left(last, j));
      else quad(right(last, j), right(last, j + 1), left(last, j + 1), left(last, j));
    }
  } else if (last.kind === 'split') {
    for (let j = 0; j < half / 2; j++) {
      const low = half - j;
      if (j + 1 < low - 1) {
        quad(right(last, j), right(last, j + 1), right(last, low - 1), right(last, low));
        quad(left(last, j), left(last, low), left(last, low - 1), left(last, j + 1));
      } else {
        out.push(right(last, j), right(last, j + 1), right(last, low));
        out.push(left(last, j), left(last, low), left(last, j + 1));
      }
    }
  }
  return Uint32Array.from(out);
}

/** Volume enclosed by a mesh, mm³, by the divergence theorem; positive when its triangles face outward. */
export function meshVolume_mm3(mesh: Mesh): number {
  const p = mesh.positions;
  let sum = 0;
  for (let t = 0; t < mesh.triangles.length; t += 3) {
    const a = 3 * mesh.triangles[t];
    const b = 3 * mesh.triangles[t + 1];
    const c = 3 * mesh.triangles[t + 2];
    sum +=
      p[a] * (p[b + 1] * p[c + 2] - p[b + 2] * p[c + 1]) +
      p[a + 1] * (p[b + 2] * p[c] - p[b] * p[c + 2]) +
      p[a + 2] * (p[b] * p[c + 1] - p[b + 1] * p[c]);
  }
  return sum / 6;
}
