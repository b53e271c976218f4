import { type Mesh, meshVolume_mm3 } from '../solid/mesh.ts';

/**
 * What is wrong with a mesh as a solid, in words; empty for a good one. Every edge must be used once each way (closed,
 * consistently turned), every number finite, no triangle without corners, the volume positive (outward), and Euler's
 * V − E + F = 2 must hold (one piece, genus 0).
 */
export function meshFaults(mesh: Mesh): string[] {
  const faults: string[] = [];
  if (!mesh.positions.every(Number.isFinite)) faults.push('a vertex is not finite');
  const count = mesh.positions.length / 3;
  const edges = new Map<number, number>();
  const used = new Set<number>();
  for (let t = 0; t < mesh.triangles.length; t += 3) {
    const corners = [mesh.triangles[t], mesh.triangles[t + 1], mesh.triangles[t + 2]];
    if (new Set(corners).size < 3) faults.push(`triangle ${t / 3} has a corner twice`);
    for (let k = 0; k < 3; k++) {
      const [a, b] = [corners[k], corners[(k + 1) % 3]];
      used.add(a);
      const key = Math.min(a, b) * count + Math.max(a, b);
      edges.set(key, (edges.get(key) ?? 0) + (a < b ? 1 : 1 << 8));
    }
  }
  let open = 0;
  for (const uses of edges.values()) if (uses !== 1 + (1 << 8)) open += 1;
  if (open > 0) faults.push(`${open} edges are not shared by exactly two triangles turned alike`);
  const euler = used.size - edges.size + mesh.triangles.length / 3;
  if (euler !== 2) faults.push(`V - E + F is ${euler}, not 2`);
  if (!(meshVolume_mm3(mesh) > 0)) faults.push('the mesh is inside out or empty');
  return faults;
}
