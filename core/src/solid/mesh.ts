import { notchHalfBreadthAt } from '../outline/outline.ts';
import { LAYERS } from '../document/kinds.ts';
import type { Section } from '../section/section.ts';
import type { Shape } from '../shape/shape.ts';
import { sectionAt } from '../shape/shape.ts';
import { type HalfCounts, walkHalf } from '../section/walk.ts';
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

export interface MeshDetail {
  /** Stations along the board. */
  stations: number;
  /** Points round a full ring, roughly; 96 is usual. */
  ring: number;
}

export const USUAL_DETAIL: MeshDetail = { stations: 240, ring: 96 };

/** Intervals across half a bottom in a ring of 96 that has no contour. */
const PLAIN_BOTTOM = 14;
/** Splits a ring over deck, under-rail, fillet and bottom, each an even number; more on a bottom with channels or a stepped deck. */
export function ringDetail(shape: Shape, ring: number): HalfCounts {
  const unit = ring / 96;
  const even = (count: number) => Math.max(2, 2 * Math.round(count / 2));
  const bottom = Math.max(PLAIN_BOTTOM, ...shape.bottom.layers.map(({ layer }) => LAYERS[layer.kind].across));
  const stepped = shape.board.deck.features.some((f) => f.kind === 'step' || f.kind === 'flat');
  return {
    deck: even((stepped ? 40 : 20) * unit),
    under: even(10 * unit),
    fillet: even(4 * unit),
    bottom: even(bottom * unit),
  };
}

/** Where a station's vertices lie in the mesh: one point, one ring, or two rings beside a notch. */
export interface Row {
  kind: 'pole' | 'full' | 'split';
  start: number;
}

/** How the rows are joined, which hangs on their kinds alone, and how the end was closed the last time. */
const topologies = new Map<string, { sides: Uint32Array; cap: number[]; triangles: Uint32Array }>();

/**
 * The solid of a board: closed, genus 0, a swallow's notch included. Vertices lie on the exact surface.
 * `into` is a mesh no longer needed whose memory is used again when it has the right size.
 */
export function meshOf(shape: Shape, detail: MeshDetail = USUAL_DETAIL, into?: Mesh): Mesh {
  const rings = ringDetail(shape, detail.ring);
  const half = rings.deck + rings.under + rings.fillet + rings.bottom;
  const { stations, sections } = rowsOf(shape, detail.stations);
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
    walkHalf(section, rings, ring);
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
  const cap = capOf(rows[0], half, rings.deck, positions);
  let known = topologies.get(key);
  if (!known) {
    known = { sides: joined(rows, half), cap: [], triangles: new Uint32Array() };
    if (topologies.size > 32) topologies.clear();
    topologies.set(key, known);
  }
  // The same triangles are the same array: whoever draws them need not take them over again.
  if (
    known.triangles.length === 0 ||
    cap.length !== known.cap.length ||
    cap.some((vertex, k) => vertex !== known.cap[k])
  ) {
    known.cap = cap;
    known.triangles = new Uint32Array(known.sides.length + cap.length);
    known.triangles.set(known.sides);
    known.triangles.set(cap, known.sides.length);
  }
  const { triangles } = known;
  return { positions, triangles, grid: { rows, half } };
}

/** A needle is not cut where it is narrower than this: its facets would have no area to speak of. */
const NEEDLE_mm = 0.02;

/** Where the rows of vertices are, and the sections there; none at a closed tip. */
function rowsOf(shape: Shape, count: number): { stations: number[]; sections: (Section | undefined)[] } {
  const rows = meshStations(shape, count)
    .map((x) => ({ x, section: sectionAt(shape, x) }))
    .filter(({ section }) => section === undefined || section.half_mm > NEEDLE_mm);
  return { stations: rows.map(({ x }) => x), sections: rows.map(({ section }) => section) };
}

/** The height at which a closed tip meets: that of the apex just inside it. */
function tipHeight(shape: Shape, x_mm: number, tip_mm: number): number {
  const inside = x_mm <= 0 ? 1e-3 : x_mm - 1e-3;
  return sectionAt(shape, inside)?.apex_mm ?? tip_mm / 2;
}

/**
 * The flat end of a board, or both of a split one: triangles between the deck's points and those under the rail and along the bottom,
 * taken in turn from one side to the other. Never between three points of one line, as long as deck and bottom are apart.
 */
function capOf(end: Row, half: number, deck: number, positions: Float64Array): number[] {
  if (end.kind === 'pole') return [];
  const upTo = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, k) => from + k);
  const right = upTo(0, half).map((j) => end.start + j);
  const out: number[] = [];
  if (end.kind === 'split') {
    const left = upTo(0, half).map((j) => end.start + 2 * half + 1 - j);
    zipped(right.slice(0, deck + 1), right.slice(deck).reverse(), positions, out);
    zipped(left.slice(0, deck + 1).reverse(), left.slice(deck), positions, out);
    return out;
  }
  const left = (j: number) => end.start + 2 * half - j;
  const overLeft = upTo(1, deck).map(left).reverse();
  const underLeft = upTo(deck, half - 1).map(left);
  zipped([...overLeft, ...right.slice(0, deck + 1)], [...underLeft, ...right.slice(deck).reverse()], positions, out);
  return out;
}

/** Points so near each other across the board stand over one another: there the lower one is taken first. */
const LEVEL_mm = 0.002;

/** A triangle of an end smaller than this, mm², lies in one line with itself. */
const IN_LINE_mm2 = 3e-6;

/**
 * Triangles between two chains of vertices, both from left to right, the upper one first; facing the tail. Whichever chain's next
 * vertex lies nearer goes on, unless its triangle would lie in one line and the other's would not.
 */
function zipped(upper: readonly number[], lower: readonly number[], positions: Float64Array, out: number[]): void {
  const y = (vertex: number) => positions[3 * vertex + 1];
  const z = (vertex: number) => positions[3 * vertex + 2];
  const area = ([a, b, c]: number[]) => Math.abs((y(b) - y(a)) * (z(c) - z(a)) - (y(c) - y(a)) * (z(b) - z(a))) / 2;
  // Chains that meet in a point begin or end there, without a triangle.
  const whole = (triangle: number[]) => new Set(triangle).size === 3;
  let [i, k] = [0, 0];
  while (i + 1 < upper.length || k + 1 < lower.length) {
    const above = [upper[i], upper[i + 1] ?? -1, lower[k]];
    const below = [upper[i], lower[k + 1] ?? -1, lower[k]];
    const mayAbove = i + 1 < upper.length;
    const mayBelow = k + 1 < lower.length;
    let first = !mayBelow || (mayAbove && y(upper[i + 1]) < y(lower[k + 1]) - LEVEL_mm);
    if (mayAbove && mayBelow) {
      const [chosen, other] = first ? [above, below] : [below, above];
      if (whole(chosen) && area(chosen) < IN_LINE_mm2 && (!whole(other) || area(other) > area(chosen))) first = !first;
    }
    const triangle = first ? above : below;
    if (whole(triangle)) out.push(...triangle);
    if (first) i++;
    else k++;
  }
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
