import { EigenvalueDecomposition, Matrix } from 'ml-matrix';
import { seeded } from '../seeded.ts';

// Pixel by pixel and point by point: looked up once.
const { floor, hypot, max, min } = Math;

/** A scan as it was read: points, and the triangles between them where it is a mesh. In its own unit and pose. */
export interface Scan {
  positions: Float32Array | Float64Array;
  triangles?: Uint32Array | undefined;
}

/** Points, three numbers each. */
export type Cloud = Float64Array;

export const countOf = (cloud: ArrayLike<number>) => floor(cloud.length / 3);

/** So many of a scan's points are worked with: enough to find 0.1 mm among noise of 1 mm. */
const MOST_WORKED = 240_000;

/** Points evenly over a scan: of a mesh by area, whatever its triangles; of points alone, each as likely. Those that are no numbers are left out. */
export function sampled({ positions, triangles }: Scan, count = MOST_WORKED): Cloud {
  const even = seeded(7);
  if (triangles && triangles.length >= 3) return sampledMesh(positions, triangles, count, even);
  const points = countOf(positions);
  const out: number[] = [];
  const keep = min(1, count / max(1, points));
  for (let i = 0; i < points; i++) {
    if (keep < 1 && even() > keep) continue;
    const x = positions[3 * i];
    const y = positions[3 * i + 1];
    const z = positions[3 * i + 2];
    if (x - x === 0 && y - y === 0 && z - z === 0) out.push(x, y, z);
  }
  return Float64Array.from(out);
}

function sampledMesh(p: ArrayLike<number>, triangles: ArrayLike<number>, count: number, even: () => number): Cloud {
  const faces = floor(triangles.length / 3);
  const sums = new Float64Array(faces);
  let total = 0;
  for (let f = 0; f < faces; f++) {
    const [a, b, c] = [3 * triangles[3 * f], 3 * triangles[3 * f + 1], 3 * triangles[3 * f + 2]];
    const ux = p[b] - p[a];
    const uy = p[b + 1] - p[a + 1];
    const uz = p[b + 2] - p[a + 2];
    const vx = p[c] - p[a];
    const vy = p[c + 1] - p[a + 1];
    const vz = p[c + 2] - p[a + 2];
    const area = hypot(uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx) / 2;
    if (area > 0 && area < Infinity) total += area;
    sums[f] = total;
  }
  if (!(total > 0)) return new Float64Array();
  const out = new Float64Array(3 * count);
  let f = 0;
  for (let k = 0; k < count; k++) {
    // In step along the areas, so that no part is left out by chance.
    const at = ((k + even()) / count) * total;
    while (f < faces - 1 && sums[f] < at) f++;
    let u = even();
    let v = even();
    if (u + v > 1) {
      u = 1 - u;
      v = 1 - v;
    }
    const [a, b, c] = [3 * triangles[3 * f], 3 * triangles[3 * f + 1], 3 * triangles[3 * f + 2]];
    for (let j = 0; j < 3; j++) out[3 * k + j] = p[a + j] + u * (p[b + j] - p[a + j]) + v * (p[c + j] - p[a + j]);
  }
  return out;
}

/** A closed mesh in order has all of its volume on one side of its faces; holes and strays take some of it. */
const ONE_SIDE = 0.5;

/**
 * Do the faces of a mesh look inward? So they do where it was mirrored, or written inside out: which of the two, nobody can tell. By the volume
 * under each face, seen from the middle of all corners (the divergence theorem). No answer for points alone, or where the faces are in no order.
 */
export function looksInward({ positions: p, triangles }: Scan): boolean | undefined {
  if (!triangles || triangles.length < 3) return undefined;
  const about = [0, 0, 0];
  const corners = 3 * floor(triangles.length / 3);
  for (let k = 0; k < corners; k++) for (let j = 0; j < 3; j++) about[j] += p[3 * triangles[k] + j] / corners;
  let signed = 0;
  let all = 0;
  for (let f = 0; f < corners; f += 3) {
    const [a, b, c] = [3 * triangles[f], 3 * triangles[f + 1], 3 * triangles[f + 2]];
    const ux = p[a] - about[0];
    const uy = p[a + 1] - about[1];
    const uz = p[a + 2] - about[2];
    const vx = p[b] - about[0];
    const vy = p[b + 1] - about[1];
    const vz = p[b + 2] - about[2];
    const wx = p[c] - about[0];
    const wy = p[c + 1] - about[1];
    const wz = p[c + 2] - about[2];
    const six = ux * (vy * wz - vz * wy) + uy * (vz * wx - vx * wz) + uz * (vx * wy - vy * wx);
    signed += six;
    all += Math.abs(six);
  }
  return Math.abs(signed) > ONE_SIDE * all ? signed < 0 : undefined;
}

/** Cells of a grid over points, by key; a board is about this many cells long. */
const CELLS = 110;
/** Fewer points than this share of a cell's usual number in a cell and those round it are strays. */
const STRAY = 0.35;

export interface Cleaned {
  cloud: Cloud;
  /** Points that lay by themselves, as a share of all. */
  strays: number;
  /** Bodies apart from one another, as shares of what is no stray; the greatest first. */
  bodies: number[];
}

/** The greatest body of a cloud, without what lies about it: points by themselves are left out, and what is not joined to it. */
export function cleaned(cloud: Cloud): Cleaned {
  const n = countOf(cloud);
  const spans = [0, 1, 2].map((axis) => {
    const along = Float64Array.from({ length: n }, (_, i) => cloud[3 * i + axis]).sort();
    return { low: along[0], high: along[n - 1], inner: along[floor(0.97 * n)] - along[floor(0.03 * n)] };
  });
  const long = hypot(...spans.map(({ inner }) => inner));
  const cell = long / CELLS;
  if (!(cell > 0)) return { cloud, strays: 0, bodies: [1] };
  const size = spans.map(({ low, high }) => min(4000, floor((high - low) / cell) + 3));
  const keyOf = (i: number) => {
    const [a, b, c] = [0, 1, 2].map((axis) =>
      min(size[axis] - 2, floor((cloud[3 * i + axis] - spans[axis].low) / cell) + 1),
    );
    return (a * size[1] + b) * size[2] + c;
  };
  const keys = Float64Array.from({ length: n }, (_, i) => keyOf(i));
  const counts = new Map<number, number>();
  for (const key of keys) counts.set(key, (counts.get(key) ?? 0) + 1);
  const around: number[] = [];
  for (const a of [-1, 0, 1])
    for (const b of [-1, 0, 1]) for (const c of [-1, 0, 1]) around.push((a * size[1] + b) * size[2] + c);
  const near = (key: number) => around.reduce((sum, by) => sum + (counts.get(key + by) ?? 0), 0);
  const nears = new Map([...counts.keys()].map((key) => [key, near(key)]));
  // What a cell of the body usually has about it: the middle of what the points themselves have.
  const usual = [...keys]
    .filter((_, i) => i % 7 === 0)
    .map((key) => nears.get(key) ?? 0)
    .sort((a, b) => a - b);
  const least = STRAY * (usual[floor(usual.length / 2)] ?? 0);
  const body = new Map<number, number>();
  const sizes: number[] = [];
  for (const start of counts.keys()) {
    if (body.has(start) || (nears.get(start) ?? 0) < least) continue;
    const id = sizes.length;
    let sum = 0;
    const stack = [start];
    body.set(start, id);
    while (stack.length > 0) {
      const key = stack.pop()!;
      sum += counts.get(key)!;
      for (const by of around) {
        const next = key + by;
        if (!counts.has(next) || body.has(next) || (nears.get(next) ?? 0) < least) continue;
        body.set(next, id);
        stack.push(next);
      }
    }
    sizes.push(sum);
  }
  const all = sizes.reduce((sum, each) => sum + each, 0);
  const greatest = sizes.indexOf(max(...sizes));
  const out: number[] = [];
  for (let i = 0; i < n; i++) {
    if (body.get(keys[i]) === greatest) out.push(cloud[3 * i], cloud[3 * i + 1], cloud[3 * i + 2]);
  }
  return {
    cloud: Float64Array.from(out),
    strays: 1 - all / max(1, n),
    bodies: sizes.map((each) => each / max(1, all)).sort((a, b) => b - a),
  };
}

/** A turn and a move: to = turn (from − about). Rows of `turn` are the new axes. */
export interface Pose {
  turn: number[][];
  about: number[];
}

export function posed(cloud: ArrayLike<number>, { turn, about }: Pose): Cloud {
  const n = countOf(cloud);
  const out = new Float64Array(3 * n);
  for (let i = 0; i < n; i++) {
    const x = cloud[3 * i] - about[0];
    const y = cloud[3 * i + 1] - about[1];
    const z = cloud[3 * i + 2] - about[2];
    for (let j = 0; j < 3; j++) out[3 * i + j] = turn[j][0] * x + turn[j][1] * y + turn[j][2] * z;
  }
  return out;
}

/** The axes of a cloud's moments, the longest first, right-handed (principal component analysis; Pearson 1901). */
export function principalPose(cloud: Cloud): Pose {
  const n = countOf(cloud);
  const about = [0, 0, 0];
  for (let i = 0; i < n; i++) for (let j = 0; j < 3; j++) about[j] += cloud[3 * i + j] / n;
  const moments = [
    [0, 0, 0],
    [0, 0, 0],
    [0, 0, 0],
  ];
  for (let i = 0; i < n; i++) {
    const d = [cloud[3 * i] - about[0], cloud[3 * i + 1] - about[1], cloud[3 * i + 2] - about[2]];
    for (let a = 0; a < 3; a++) for (let b = 0; b < 3; b++) moments[a][b] += (d[a] * d[b]) / n;
  }
  const { realEigenvalues, eigenvectorMatrix } = new EigenvalueDecomposition(new Matrix(moments));
  const order = [0, 1, 2].sort((a, b) => realEigenvalues[b] - realEigenvalues[a]);
  const [u, v] = order.map((k) => eigenvectorMatrix.getColumn(k));
  const w = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
  return { turn: [u, v, w], about };
}
