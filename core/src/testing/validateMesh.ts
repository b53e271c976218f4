import { type Mesh, meshVolume_mm3 } from '../solid/mesh.ts';

/** Triangle lists already found whole: boards of one build share theirs. */
const sound = new WeakMap<Uint32Array, number>();

/**
 * What keeps a mesh from being a closed, outward solid of genus 0; empty for a good one. Every number finite, each edge
 * shared by two triangles turned alike, the volume positive, V − E + F = 2 (Euler).
 */
export function meshFaults(mesh: Mesh): string[] {
  const { triangles } = mesh;
  const vertices = mesh.positions.length / 3;
  const faults: string[] = [];
  if (!mesh.positions.every(Number.isFinite)) faults.push('a vertex is not finite');
  if (sound.get(triangles) === vertices)
    return meshVolume_mm3(mesh) > 0 ? faults : [...faults, 'the mesh is inside out or empty'];
  const edges = new Float64Array(triangles.length);
  const used = new Uint8Array(vertices);
  for (let t = 0; t < triangles.length; t += 3) {
    for (let k = 0; k < 3; k++) {
      const a = triangles[t + k];
      const b = triangles[t + ((k + 1) % 3)];
      used[a] = 1;
      edges[t + k] = a * vertices + b;
    }
  }
  edges.sort();
  let open = 0;
  for (let e = 0; e < edges.length; e++) {
    if (e > 0 && edges[e] === edges[e - 1]) open += 1;
    const a = Math.floor(edges[e] / vertices);
    const b = edges[e] - a * vertices;
    if (!has(edges, b * vertices + a)) open += 1;
  }
  if (open > 0) faults.push(`${open} edges are not shared by exactly two triangles turned alike`);
  const points = used.reduce((sum, one) => sum + one, 0);
  if (points !== vertices) faults.push(`${vertices - points} vertices belong to no triangle`);
  const euler = vertices - edges.length / 2 + triangles.length / 3;
  if (euler !== 2) faults.push(`V - E + F is ${euler}, not 2`);
  if (!(meshVolume_mm3(mesh) > 0)) faults.push('the mesh is inside out or empty');
  if (faults.length === 0) sound.set(triangles, vertices);
  return faults;
}

function has(sorted: Float64Array, wanted: number): boolean {
  let low = 0;
  let high = sorted.length - 1;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (sorted[middle] < wanted) low = middle + 1;
    else high = middle;
  }
  return sorted[low] === wanted;
}
