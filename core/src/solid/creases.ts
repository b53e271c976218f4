import { type Facet, facetInto } from './facet.ts';
import type { Mesh } from './mesh.ts';

/** A mesh to be lit: a vertex for every normal it needs, so that creases stay sharp. */
export interface LitMesh {
  readonly positions: Float32Array<ArrayBuffer>;
  readonly normals: Float32Array<ArrayBuffer>;
  readonly triangles: Uint32Array<ArrayBuffer>;
}

/** Facets that meet at a sharper angle than this have a crease between them. */
export const CREASE_rad = (35 * Math.PI) / 180;

/**
 * Normals for lighting: smooth over the surface, split where two neighbouring facets turn by more than `crease_rad`.
 * Facets about a vertex are gathered into groups across edges that are no crease; each group has one normal, weighted by
 * the facets' angles at the vertex (Thürmer and Wüthrich 1998, from memory), and one vertex of its own.
 */
export function litMesh(mesh: Mesh, crease_rad = CREASE_rad): LitMesh {
  const { positions: p, triangles } = mesh;
  const corners = triangles.length;
  const vertices = p.length / 3;
  const faces = faceNormals(mesh);
  const least = Math.cos(crease_rad);

  const { first, next } = cornersByVertex(triangles, vertices);
  const group = new Int32Array(corners).fill(-1);
  const outPositions: number[] = [];
  const outNormals: number[] = [];
  const around: number[] = [];
  for (let v = 0; v < vertices; v++) {
    around.length = 0;
    for (let c = first[v]; c >= 0; c = next[c]) around.push(c);
    for (const seed of around) {
      if (group[seed] >= 0) continue;
      const id = outPositions.length / 3;
      const members = gathered(around, seed, triangles, faces, least, group);
      let nx = 0;
      let ny = 0;
      let nz = 0;
      for (const corner of members) {
        group[corner] = id;
        const f = 3 * Math.floor(corner / 3);
        const weight = cornerAngle(p, triangles, corner);
        nx += weight * faces[f];
        ny += weight * faces[f + 1];
        nz += weight * faces[f + 2];
      }
      const size = Math.hypot(nx, ny, nz) || 1;
      outPositions.push(p[3 * v], p[3 * v + 1], p[3 * v + 2]);
      outNormals.push(nx / size, ny / size, nz / size);
    }
  }
  return {
    positions: Float32Array.from(outPositions),
    normals: Float32Array.from(outNormals),
    triangles: Uint32Array.from(group),
  };
}

function faceNormals({ positions: p, triangles }: Mesh): Float64Array {
  const out = new Float64Array(triangles.length);
  const facet: Facet = { x: 0, y: 0, z: 0 };
  for (let t = 0; t < triangles.length; t += 3) {
    const a = 3 * triangles[t];
    const b = 3 * triangles[t + 1];
    const c = 3 * triangles[t + 2];
    facetInto(p, a, b, c, facet);
    const size = Math.hypot(facet.x, facet.y, facet.z) || 1;
    out[t] = facet.x / size;
    out[t + 1] = facet.y / size;
    out[t + 2] = facet.z / size;
  }
  return out;
}

/** The corners of triangles that touch each vertex, as linked lists. */
function cornersByVertex(triangles: Uint32Array, vertices: number): { first: Int32Array; next: Int32Array } {
  const first = new Int32Array(vertices).fill(-1);
  const next = new Int32Array(triangles.length).fill(-1);
  for (let corner = 0; corner < triangles.length; corner++) {
    next[corner] = first[triangles[corner]];
    first[triangles[corner]] = corner;
  }
  return { first, next };
}

/** The corners reached from a seed without crossing a crease. Neighbours share an edge, and so a second vertex. */
function gathered(
  around: readonly number[],
  seed: number,
  triangles: Uint32Array,
  faces: Float64Array,
  least: number,
  group: Int32Array,
): number[] {
  const members = [seed];
  const others = (corner: number) => {
    const t = 3 * Math.floor(corner / 3);
    return [triangles[t + ((corner - t + 1) % 3)], triangles[t + ((corner - t + 2) % 3)]];
  };
  for (let k = 0; k < members.length; k++) {
    const f = 3 * Math.floor(members[k] / 3);
    const mine = others(members[k]);
    for (const other of around) {
      if (group[other] >= 0 || members.includes(other)) continue;
      if (!others(other).some((vertex) => mine.includes(vertex))) continue;
      const g = 3 * Math.floor(other / 3);
      const cos = faces[f] * faces[g] + faces[f + 1] * faces[g + 1] + faces[f + 2] * faces[g + 2];
      if (cos >= least) members.push(other);
    }
  }
  return members;
}

function cornerAngle(p: Float64Array, triangles: Uint32Array, corner: number): number {
  const t = 3 * Math.floor(corner / 3);
  const a = 3 * triangles[corner];
  const b = 3 * triangles[t + ((corner - t + 1) % 3)];
  const c = 3 * triangles[t + ((corner - t + 2) % 3)];
  const ux = p[b] - p[a];
  const uy = p[b + 1] - p[a + 1];
  const uz = p[b + 2] - p[a + 2];
  const vx = p[c] - p[a];
  const vy = p[c + 1] - p[a + 1];
  const vz = p[c + 2] - p[a + 2];
  const size = Math.hypot(ux, uy, uz) * Math.hypot(vx, vy, vz);
  return size > 0 ? Math.acos(Math.min(1, Math.max(-1, (ux * vx + uy * vy + uz * vz) / size))) : 0;
}
