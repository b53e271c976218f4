import { type Facet, facetInto } from './facet.ts';
import type { Mesh, Row } from './mesh.ts';

/**
 * Unit normals at the vertices. A board's own mesh has them from the differences of its grid, one half and its mirror;
 * any other mesh from its triangles, weighted by area. At the rim of a block and along a notch they are those of deck and
 * bottom: litMesh() splits such creases.
 */
export function meshNormals(mesh: Mesh, out = new Float32Array(mesh.positions.length)): Float32Array<ArrayBuffer> {
  if (mesh.grid) gridNormals(mesh.positions, mesh.grid, out);
  else facetNormals(mesh, out);
  return out;
}

type Grid = NonNullable<Mesh['grid']>;

function gridNormals(p: Float64Array, { rows, half }: Grid, out: Float32Array): void {
  const last = rows.length - 1;
  for (let i = 0; i <= last; i++) {
    const row = rows[i];
    if (row.kind === 'pole') {
      const at = 3 * row.start;
      out[at] = i === 0 ? -1 : 1;
      out[at + 1] = 0;
      out[at + 2] = 0;
      continue;
    }
    const aft = rows[Math.max(0, i - 1)];
    const fore = rows[Math.min(last, i + 1)];
    const full = row.kind === 'full';
    for (let j = 0; j <= half; j++) {
      const a = 3 * (aft.kind === 'pole' ? aft.start : aft.start + j);
      const f = 3 * (fore.kind === 'pole' ? fore.start : fore.start + j);
      const here = 3 * (row.start + j);
      const before = j > 0 ? here - 3 : here;
      const after = j < half ? here + 3 : here;
      const ux = p[f] - p[a];
      const uy = p[f + 1] - p[a + 1];
      const uz = p[f + 2] - p[a + 2];
      // Across the stringer the ring goes on in its mirror: there the step has no rise.
      const onStringer = full && (j === 0 || j === half);
      const vy = onStringer ? (j === 0 ? 1 : -1) : p[after + 1] - p[before + 1];
      const vz = onStringer ? 0 : p[after + 2] - p[before + 2];
      // u × v with v in the plane of the section, outward on the right half.
      let nx = uy * vz - uz * vy;
      let ny = -ux * vz;
      let nz = ux * vy;
      const size = Math.sqrt(nx * nx + ny * ny + nz * nz) || 1;
      nx /= size;
      ny /= size;
      nz /= size;
      out[here] = nx;
      out[here + 1] = ny;
      out[here + 2] = nz;
      const mirror = mirrored(row, j, half);
      if (mirror < 0) continue;
      out[3 * mirror] = nx;
      out[3 * mirror + 1] = -ny;
      out[3 * mirror + 2] = nz;
    }
  }
}

/** The vertex across the stringer; −1 for one that lies on it. */
function mirrored(row: Row, j: number, half: number): number {
  if (row.kind === 'split') return row.start + 2 * half + 1 - j;
  return j === 0 || j === half ? -1 : row.start + 2 * half - j;
}

function facetNormals({ positions: p, triangles }: Mesh, out: Float32Array): void {
  out.fill(0);
  const facet: Facet = { x: 0, y: 0, z: 0 };
  for (let t = 0; t < triangles.length; t += 3) {
    const a = 3 * triangles[t];
    const b = 3 * triangles[t + 1];
    const c = 3 * triangles[t + 2];
    facetInto(p, a, b, c, facet);
    for (const at of [a, b, c]) {
      out[at] += facet.x;
      out[at + 1] += facet.y;
      out[at + 2] += facet.z;
    }
  }
  for (let v = 0; v < out.length; v += 3) {
    const size = Math.sqrt(out[v] * out[v] + out[v + 1] * out[v + 1] + out[v + 2] * out[v + 2]) || 1;
    out[v] /= size;
    out[v + 1] /= size;
    out[v + 2] /= size;
  }
}
