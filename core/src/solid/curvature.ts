import type { LitMesh } from './creases.ts';

/** Which way a surface's curvature is taken: along the board, across it, or the mean of any two ways at right angles. */
export type CurvatureWay = 'along' | 'across' | 'mean';

/** Normal equations of one vertex: six sums of products of u², uv, v², and three with the edge's own curvature. */
const SUMS = 9;
/** Below this a vertex has too few unlike edges to say which way it bends. */
const LEAST_DETERMINANT = 1e-6;

/**
 * Normal curvature at each vertex of a lit mesh, 1/mm; round (a ball, a rail) is positive, hollow negative.
 * The curvature of each edge, 2 n·d/|d|², is fitted in the tangent plane as a u² + b uv + c v² by least squares, u the
 * board's length and v across it (the fit of the second fundamental form after Taubin 1995, from memory). Edges over a
 * crease belong to neither side: litMesh() has split them. A vertex whose edges do not settle it is 0.
 */
export function meshCurvature(mesh: LitMesh, way: CurvatureWay): Float32Array<ArrayBuffer> {
  const { positions: p, normals: n, triangles } = mesh;
  const count = p.length / 3;
  const sums = new Float64Array(SUMS * count);
  for (let t = 0; t < triangles.length; t += 3) {
    for (let k = 0; k < 3; k++) {
      const [i, j] = [triangles[t + k], triangles[t + ((k + 1) % 3)]];
      addEdge(p, n, i, j, sums);
      addEdge(p, n, j, i, sums);
    }
  }
  const out = new Float32Array(count);
  for (let i = 0; i < count; i++) {
    const form = solved(sums.subarray(SUMS * i, SUMS * i + SUMS));
    if (!form) continue;
    const [a, , c] = form;
    out[i] = way === 'along' ? a : way === 'across' ? c : (a + c) / 2;
  }
  return out;
}

/** Adds what the edge from vertex i to j says of i. */
function addEdge(p: Float32Array, n: Float32Array, i: number, j: number, sums: Float64Array): void {
  const [nx, ny, nz] = [n[3 * i], n[3 * i + 1], n[3 * i + 2]];
  const dx = p[3 * j] - p[3 * i];
  const dy = p[3 * j + 1] - p[3 * i + 1];
  const dz = p[3 * j + 2] - p[3 * i + 2];
  const square = dx * dx + dy * dy + dz * dz;
  if (square === 0) return;
  const bend = (-2 * (dx * nx + dy * ny + dz * nz)) / square;
  // The board's length laid into the tangent plane; where it is upright to it there is no along and across.
  const flat = Math.sqrt(1 - nx * nx);
  if (!(flat > 1e-3)) return;
  const along = (dx - (dx * nx + dy * ny + dz * nz) * nx) / flat;
  const across = (ny * dz - nz * dy) / flat;
  const size = Math.sqrt(along * along + across * across);
  if (size === 0) return;
  const [u, v] = [along / size, across / size];
  const [uu, uv, vv] = [u * u, u * v, v * v];
  const at = SUMS * i;
  sums[at] += uu * uu;
  sums[at + 1] += uu * uv;
  sums[at + 2] += uu * vv;
  sums[at + 3] += uv * uv;
  sums[at + 4] += uv * vv;
  sums[at + 5] += vv * vv;
  sums[at + 6] += uu * bend;
  sums[at + 7] += uv * bend;
  sums[at + 8] += vv * bend;
}

/** Cramer's rule for the three unknowns of one vertex. */
function solved(s: Float64Array): [number, number, number] | undefined {
  const [m0, m1, m2, m3, m4, m5, r0, r1, r2] = s;
  const det = (a: number, b: number, c: number, d: number, e: number, f: number, g: number, h: number, i: number) =>
    a * (e * i - f * h) - b * (d * i - f * g) + c * (d * h - e * g);
  const whole = det(m0, m1, m2, m1, m3, m4, m2, m4, m5);
  if (!(Math.abs(whole) > LEAST_DETERMINANT)) return undefined;
  return [
    det(r0, m1, m2, r1, m3, m4, r2, m4, m5) / whole,
    det(m0, r0, m2, m1, r1, m4, m2, r2, m5) / whole,
    det(m0, m1, r0, m1, m3, r1, m2, m4, r2) / whole,
  ];
}
